import { arrowAlong, pathAlong, pointAt, positionNear } from "./geometry";

/** A square of 10 mm, clockwise from its top left. */
const square = [
  { atMm: 0, x: 0, y: 0 },
  { atMm: 10, x: 10, y: 0 },
  { atMm: 20, x: 10, y: 10 },
  { atMm: 30, x: 0, y: 10 },
  { atMm: 40, x: 0, y: 0 },
];

describe("drawing along the edge", () => {
  it("finds points by edge position", () => {
    expect(pointAt(square, 5)).toEqual({ x: 5, y: 0 });
    expect(pointAt(square, 35)).toEqual({ x: 0, y: 5 });
  });

  it("draws round corners and over position 0", () => {
    expect(pathAlong(square, 40, 5, 10)).toBe("M5.00 0.00L10.00 0.00L10.00 5.00");
    expect(pathAlong(square, 40, 35, 10)).toBe("M0.00 5.00L0.00 0.00L0.00 0.00L5.00 0.00");
  });

  it("finds the edge position nearest to a tap, in tenths", () => {
    expect(positionNear(square, 4.04, 3)).toBe(4);
    expect(positionNear(square, 9, 8)).toBe(18);
    expect(positionNear(square, -2, 4)).toBe(36);
  });

  it("points the way the tool goes, inside the outline whichever way that is", () => {
    const right = { from: 12, length: 6, clockwise: true };
    const middle = { x: 5, y: 5 };
    expect(arrowAlong(square, 40, right, middle, 2, 4)).toBe(
      "M8.00 2.00L8.00 8.00M9.00 7.00L8.00 8.00L7.00 7.00",
    );
    expect(arrowAlong(square, 40, { ...right, clockwise: false }, middle, 2, 4)).toBe(
      "M8.00 8.00L8.00 2.00M9.00 3.00L8.00 2.00L7.00 3.00",
    );
  });

  it("keeps an arrow long enough to be seen on a short stretch", () => {
    const short = { from: 24, length: 2, clockwise: true };
    expect(arrowAlong(square, 40, short, { x: 5, y: 5 }, 1, 4)).toBe(
      "M7.00 9.00L3.00 9.00M4.00 10.00L3.00 9.00L4.00 8.00",
    );
  });
});
