import { openIn } from "./openIn";

describe("how long it takes until all is free", () => {
  it("is told in whole minutes, rounded up", () => {
    expect(openIn({ words: "", seconds: 481, lateSeconds: 905 })).toBe("9 – 16 min");
  });

  it("is one number where a slow bench takes no longer", () => {
    expect(openIn({ words: "", seconds: 481, lateSeconds: 539 })).toBe("9 min");
  });
});
