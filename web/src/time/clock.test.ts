import { clockWords, learnServerTime, secondsLeft, serverNow } from "./clock";

describe("timers", () => {
  it("count down by the server's clock, whatever this one says", () => {
    learnServerTime("2026-03-02T08:00:00Z", Date.now());
    expect(Math.abs(serverNow() - Date.parse("2026-03-02T08:00:00Z"))).toBeLessThan(50);
  });

  it("are not put off by an answer that took its time", () => {
    const now = Date.now();
    const ahead = (ms: number) => new Date(now + ms).toISOString();
    learnServerTime(ahead(60_000), now - 10, now);
    // Stamped when it was asked for, and three seconds under way.
    learnServerTime(ahead(60_000 - 3000), now - 3000, now);
    // Or when it was answered.
    learnServerTime(ahead(60_000 + 2), now - 14_000, now);
    expect(Math.abs(serverNow() - now - 60_000)).toBeLessThan(60);
  });

  it("follow a server whose clock was set", () => {
    const now = Date.now();
    learnServerTime(new Date(now + 60_000).toISOString(), now - 10, now);
    learnServerTime(new Date(now + 90_000).toISOString(), now - 10, now);
    expect(Math.abs(serverNow() - now - 90_000)).toBeLessThan(60);
  });

  it("show what is left, and what is over with a plus", () => {
    const start = "2026-03-02T08:00:00Z";
    const now = Date.parse(start) / 1000;
    expect(clockWords(secondsLeft(start, 207, now))).toBe("3:27");
    expect(clockWords(secondsLeft(start, 207, now + 207))).toBe("0:00");
    expect(clockWords(secondsLeft(start, 207, now + 219))).toBe("+0:12");
    expect(clockWords(secondsLeft(start, 7265, now))).toBe("2:01:05");
  });

  it("are right to the second whenever they began and whenever one looks", () => {
    const began = Date.parse("2026-03-02T08:00:00Z");
    for (let from = 0; from < 1000; from += 90) {
      for (let looked = 0; looked < 1000; looked += 70) {
        const now = (began + 50_000 + looked) / 1000;
        const left = (began + from) / 1000 + 207 - now;
        const shown = secondsLeft(new Date(began + from).toISOString(), 207, Math.floor(now));
        expect(Math.abs(shown - left)).toBeLessThan(1);
      }
    }
  });
});
