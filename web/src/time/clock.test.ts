import { clockWords, learnServerTime, secondsLeft, serverNow } from "./clock";

describe("timers", () => {
  it("count down by the server's clock, whatever this one says", () => {
    learnServerTime("2026-03-02T08:00:00Z", Date.now());
    expect(Math.abs(serverNow() - Date.parse("2026-03-02T08:00:00Z"))).toBeLessThan(50);
  });

  it("show what is left, and what is over with a plus", () => {
    const start = "2026-03-02T08:00:00Z";
    const now = Date.parse(start) / 1000;
    expect(clockWords(secondsLeft(start, 207, now))).toBe("3:27");
    expect(clockWords(secondsLeft(start, 207, now + 207))).toBe("0:00");
    expect(clockWords(secondsLeft(start, 207, now + 219))).toBe("+0:12");
    expect(clockWords(secondsLeft(start, 7265, now))).toBe("2:01:05");
  });
});
