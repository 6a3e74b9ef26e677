import { numbersOf, told, valueAt, withValueAt } from "./entries";

const PLACE = ["xMm", "yMm"];

describe("fields that are more than one word", () => {
  it("are typed as a row of numbers, a comma for a point", () => {
    expect(numbersOf("57 64,5", PLACE, false)).toEqual({ xMm: 57, yMm: 64.5 });
    expect(numbersOf("72 64, 80,5 70", PLACE, true)).toEqual([
      { xMm: 72, yMm: 64 },
      { xMm: 80.5, yMm: 70 },
    ]);
    expect(numbersOf("", PLACE, true)).toEqual([]);
  });

  it("stay as typed while they are not right", () => {
    expect(numbersOf("57", PLACE, false)).toBe("57");
    expect(numbersOf("57 64 3", PLACE, true)).toBe("57 64 3");
    expect(numbersOf("57 up", PLACE, false)).toBe("57 up");
  });

  it("are shown as they are typed", () => {
    expect(told({ xMm: 57, yMm: 64.5 }, PLACE)).toBe("57 64.5");
    expect(
      told(
        [
          { xMm: 1, yMm: 2 },
          { xMm: 3, yMm: 4 },
        ],
        PLACE,
      ),
    ).toBe("1 2, 3 4");
    expect(told(null, PLACE)).toBe("");
    expect(
      numbersOf(
        told(
          [
            { xMm: 1, yMm: 2 },
            { xMm: 3, yMm: 4 },
          ],
          PLACE,
        ),
        PLACE,
        true,
      ),
    ).toHaveLength(2);
  });

  it("may be a part of a field, which begins and goes with what it belongs to", () => {
    const plug = { id: "touch", cable: null };
    const begun = withValueAt(plug, "cable.from", "panel");
    expect(begun["cable"]).toEqual({ from: "panel", tight: false, route: [] });
    expect(valueAt(begun, "cable.from")).toBe("panel");
    expect(withValueAt(begun, "cable.from", null)["cable"]).toBeNull();
    expect(valueAt(plug, "cable.tight")).toBeUndefined();
  });
});
