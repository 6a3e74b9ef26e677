import { degrees, duration, length, lengthAtMost, say, temperature, typed, ruler } from "./units";

const metric = { temperature: "C", length: "mm" };
const other = { temperature: "F", length: "in" };

describe("round marks", () => {
  const inches = { temperature: "F", length: "in" };

  it("are round in what the reader measures in", () => {
    // 825 mm are 32.48 inches.
    expect(ruler(825, 8, inches).map((mark) => mark.words)).toEqual([
      "0 in",
      "5 in",
      "10 in",
      "15 in",
      "20 in",
      "25 in",
      "30 in",
    ]);
    expect(ruler(825, 8, inches)[1]?.at).toBeCloseTo(127);
    expect(ruler(825, 8, metric)[1]).toEqual({ at: 100, words: "100 mm" });
  });

  it("stand where their temperature is", () => {
    const marks = degrees(20, 100, 5, inches);
    expect(marks.map((mark) => mark.words)).toEqual([
      "80 °F",
      "100 °F",
      "120 °F",
      "140 °F",
      "160 °F",
      "180 °F",
      "200 °F",
    ]);
    expect(marks[0]?.at).toBeCloseTo(26.67, 2);
  });
});

describe("units", () => {
  it("shows temperatures and lengths as the reader likes them", () => {
    expect(temperature(80, metric)).toBe("80 °C");
    expect(temperature(80, other)).toBe("176 °F");
    expect(length(6, metric)).toBe("6.0 mm");
    expect(length(121.4, metric)).toBe("121 mm");
    expect(length(25.4, other)).toBe("1.00 in");
    expect(length(0, other)).toBe("0.0 in");
    // 11 mm are 0.4331 inches, 560 mm 22.05.
    expect(length(11, other)).toBe("0.43 in");
    expect(length(560, other)).toBe("22.0 in");
    expect(length(0.06, other)).toBe("0.002 in");
    expect(length(0.06, metric)).toBe("0.06 mm");
  });

  it("never rounds up what must not be passed", () => {
    expect(lengthAtMost(0.067, metric)).toBe("0.06 mm");
    expect(lengthAtMost(0.067, other)).toBe("0.002 in");
    expect(lengthAtMost(6, metric)).toBe("6.0 mm");
    expect(lengthAtMost(2.3, metric)).toBe("2.3 mm");
    expect(lengthAtMost(25.4, other)).toBe("1.00 in");
    // 7.5 mm are 0.2953 inches.
    expect(lengthAtMost(7.5, other)).toBe("0.29 in");
  });

  it("fills the core's sentences", () => {
    expect(say("Gel pad at {C:80}, {s:207}: no deeper than {mm:1.5}", metric)).toBe(
      "Gel pad at 80 °C, 3 min 27 s: no deeper than 1.5 mm",
    );
    expect(say("at {C:-5}", other)).toBe("at 23 °F");
    expect(say("no deeper than {most:1.999}", metric)).toBe("no deeper than 1.9 mm");
    // 1.3 mm are 0.05118 inches.
    expect(say("no deeper than {most:1.3}", other)).toBe("no deeper than 0.051 in");
    expect(say("due {day:2026-12-01}", metric)).toBe("due Dec 1");
    expect(say("{t:22.4} now", metric)).toBe("22.4 °C now");
    expect(say("{t:22.4} now", other)).toBe("72.3 °F now");
    expect(duration(120)).toBe("2 min");
  });

  it("reads what was typed back into the app's units and leaves nonsense to be refused", () => {
    expect(typed("176", "C", other)).toBe(80);
    expect(typed("60,5", "C", metric)).toBe(60.5);
    expect(typed("warm", "C", metric)).toBe("warm");
    expect(typed("", null, metric)).toBe("");
  });
});
