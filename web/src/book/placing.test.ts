import { area, covered, inARow, inFourCorners, numbered, type Screw, withScrew } from "./placing";

const LIKE = { driver: "cross 00", underHeadMm: 2.8, layer: 1, coveredBy: ["front"] } as unknown as Screw;
const at = (screws: readonly Screw[]) => screws.map((s) => [s.id, s.xMm, s.yMm]);

describe("placing screws on the drawing", () => {
  it("rounds to half a millimetre and makes an id of its own", () => {
    const two = withScrew(withScrew([], LIKE, { x: 10.26, y: 4.9 }), LIKE, { x: 30.1, y: 5 });
    expect(at(two)).toEqual([
      ["screw", 10.5, 5],
      ["screw-2", 30, 5],
    ]);
    expect(two[1]?.underHeadMm).toBe(2.8);
  });

  it("copies into the other three corners, none twice", () => {
    const one = withScrew([], LIKE, { x: 10, y: 5 });
    const four = inFourCorners(one, ["screw"], { widthMm: 200, heightMm: 130 });
    expect(at(four)).toEqual([
      ["screw", 10, 5],
      ["screw-2", 190, 5],
      ["screw-3", 10, 125],
      ["screw-4", 190, 125],
    ]);
    expect(inFourCorners(four, ["screw"], { widthMm: 200, heightMm: 130 })).toHaveLength(4);
    const middle = withScrew([], LIKE, { x: 100, y: 5 });
    expect(inFourCorners(middle, ["screw"], { widthMm: 200, heightMm: 130 })).toHaveLength(2);
  });

  it("makes a row from the first to a place, as many as said in all", () => {
    const [first] = withScrew([], LIKE, { x: 10, y: 5 });
    expect(at(inARow([first as Screw], first as Screw, { x: 40, y: 5 }, 4))).toEqual([
      ["screw", 10, 5],
      ["screw-2", 20, 5],
      ["screw-3", 30, 5],
      ["screw-4", 40, 5],
    ]);
  });

  it("numbers them in the order they were tapped", () => {
    const three = [1, 2, 3].reduce<Screw[]>((all, x) => withScrew(all, LIKE, { x: 10 * x, y: 5 }), []);
    expect(at(numbered(three, ["screw-3", "screw"]))).toEqual([
      ["screw-1", 30, 5],
      ["screw-2", 10, 5],
      ["screw-3", 20, 5],
    ]);
  });

  it("says what lies under what, and takes it back", () => {
    const screw = { id: "s", coveredBy: ["front"] };
    expect(covered(screw, "plate").coveredBy).toEqual(["front", "plate"]);
    expect(covered(covered(screw, "plate"), "plate").coveredBy).toEqual(["front"]);
    expect(covered({ id: "plate", coveredBy: [] }, "plate").coveredBy).toEqual([]);
  });

  it("draws an area from any corner; a tap makes a small one", () => {
    expect(area({ x: 50, y: 30 }, { x: 20.2, y: 10 })).toEqual({
      xMm: 20,
      yMm: 10,
      widthMm: 30,
      heightMm: 20,
    });
    expect(area({ x: 5, y: 5 }, { x: 6, y: 5 })).toEqual({ xMm: 5, yMm: 5, widthMm: 20, heightMm: 10 });
  });
});
