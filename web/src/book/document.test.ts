import { freshId, snapped, tenth, wrapped } from "./document";

describe("positions on the edge", () => {
  it("are kept to a tenth of a millimetre", () => {
    expect(tenth(12.34)).toBe(12.3);
    expect(tenth(0.05)).toBe(0.1);
  });

  it("stay within one turn", () => {
    expect(wrapped(-5, 100)).toBe(95);
    expect(wrapped(205, 100)).toBe(5);
    expect(wrapped(99.99, 100)).toBe(0);
  });

  it("are pulled to the nearest place within reach, over position 0 too", () => {
    const places = [0, 40, 43];
    expect(snapped(41, places, 100, 2)).toBe(40);
    expect(snapped(42.4, places, 100, 2)).toBe(43);
    // In its own turn: a length reckoned from it must not fall short by a whole one.
    expect(snapped(99.5, places, 100, 2)).toBe(100);
    expect(snapped(0.5, [99.8], 100, 2)).toBe(-0.2);
    expect(snapped(60, places, 100, 2)).toBe(60);
  });
});

describe("ids", () => {
  it("are made of words and never twice the same", () => {
    expect(freshId("Home key, left", [])).toBe("home-key-left");
    expect(freshId("feature", ["feature", "feature-2"])).toBe("feature-3");
    expect(freshId("§", [])).toBe("new");
  });
});
