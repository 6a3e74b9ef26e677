import { duration, length, lengthAtMost, say, temperature, typed } from "./units";

const metric = { temperature: "C", length: "mm" };
const other = { temperature: "F", length: "in" };

describe("units", () => {
  it("shows temperatures and lengths as the reader likes them", () => {
    expect(temperature(80, metric)).toBe("80 °C");
    expect(temperature(80, other)).toBe("176 °F");
    expect(length(6, metric)).toBe("6.0 mm");
    expect(length(121.4, metric)).toBe("121 mm");
    expect(length(25.4, other)).toBe("1.00 in");
    expect(length(0, other)).toBe("0.00 in");
    expect(length(0.06, other)).toBe("0.002 in");
    expect(length(0.06, metric)).toBe("0.06 mm");
  });

  it("never rounds up what must not be passed", () => {
    expect(lengthAtMost(0.067, metric)).toBe("0.06 mm");
    expect(lengthAtMost(0.067, other)).toBe("0.002 in");
    expect(lengthAtMost(6, metric)).toBe("6.0 mm");
    expect(lengthAtMost(2.3, metric)).toBe("2.3 mm");
    expect(lengthAtMost(25.4, other)).toBe("1.00 in");
  });

  it("fills the core's sentences", () => {
    expect(say("Gel pad at {C:80}, {s:207}: no deeper than {mm:1.5}", metric)).toBe(
      "Gel pad at 80 °C, 3 min 27 s: no deeper than 1.5 mm",
    );
    expect(say("at {C:-5}", other)).toBe("at 23 °F");
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
