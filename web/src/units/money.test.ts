import { typed, unitLabel } from "./units";
import { money, percent } from "./money";

describe("money on the screen", () => {
  it("shows the digits that came, with two decimals", () => {
    expect(money({ amount: 189.5, currency: "EUR" })).toContain("189.50");
    expect(money({ amount: 0, currency: "EUR" })).toContain("0.00");
  });

  it("shows chances as whole percents", () => {
    expect(percent(0.0512)).toMatch(/^5\s?%$/);
  });
});

describe("what is typed in the reader's units", () => {
  const inches = { temperature: "F", length: "in" };

  it("goes to the app in its own", () => {
    expect(typed("2", "mm", inches)).toBe(50.8);
    expect(typed("176", "C", inches)).toBe(80);
    expect(typed("2,5", "mm", { temperature: "C", length: "mm" })).toBe(2.5);
    expect(unitLabel("mm", inches)).toBe("in");
  });

  it("stays a text where it is no number", () => {
    expect(typed("wide", "mm", inches)).toBe("wide");
    expect(typed("", "mm", inches)).toBe("");
  });
});
