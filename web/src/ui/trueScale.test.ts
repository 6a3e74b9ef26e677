import { isTrueScale, pixelsPerMm, setPixelsPerMm } from "./trueScale";

describe("the scale of a screen", () => {
  beforeEach(() => localStorage.clear());

  it("is what the browser says until a rule was laid on it", () => {
    expect(isTrueScale()).toBe(false);
    expect(pixelsPerMm()).toBeCloseTo(3.7795, 4);
    setPixelsPerMm(5.2);
    expect(isTrueScale()).toBe(true);
    expect(pixelsPerMm()).toBe(5.2);
  });

  it("keeps to what a screen can have, whatever is stored", () => {
    setPixelsPerMm(400);
    expect(pixelsPerMm()).toBe(12);
    localStorage.setItem("ridgefall.pixels-per-mm", "wide");
    expect(pixelsPerMm()).toBeCloseTo(3.7795, 4);
  });
});
