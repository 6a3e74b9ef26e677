import type { Forecast } from "./useHeat";
import { coolingPieces, isColdAt, warmthAt } from "./warmth";

const C = { temperature: "C", length: "mm" };
const at = (p50: number | null) => ({ p10: p50, p50, p90: p50 });

/** Two stretches that came off at 200 s: one cold at 260 s, one at 290 s; a third that never was ready. */
const forecast = {
  workableFromC: 58,
  curve: [0, 100, 200, 300].map((seconds) => ({ seconds, bondC: at(0), batteryC: at(0), displayC: at(0) })),
  stretches: [
    { fromMm: 0, lengthMm: 30, bondC: [22, 40, 60, 50], readyAtSeconds: at(180), coldAtSeconds: at(260) },
    { fromMm: 30, lengthMm: 30, bondC: [22, 40, 64, 57], readyAtSeconds: at(150), coldAtSeconds: at(290) },
    { fromMm: 60, lengthMm: 30, bondC: [22, 30, 45, 40], readyAtSeconds: at(null), coldAtSeconds: at(200) },
  ],
} as unknown as Forecast;

describe("the warmth of the edge", () => {
  it("is full where the bond is workable and as high as it has come elsewhere", () => {
    const pieces = warmthAt(forecast, 200, C);
    expect(pieces.map((p) => p.tone)).toEqual(["warm", "warm", "cold"]);
    expect(pieces.map((p) => p.label)).toEqual(["60", "64", "45"]);
    // From 20 °C to 58 °C: 45 °C is 25/38 of the way.
    expect(pieces[2]?.fill).toBeCloseTo(25 / 38, 6);
  });

  it("writes a temperature once where neighbours are alike", () => {
    expect(warmthAt(forecast, 100, C).map((p) => p.label)).toEqual(["40", "", "30"]);
  });

  it("is told of the moment itself, not of the point of the curve beside it", () => {
    // Three quarters of the way from 100 s to 200 s: 40 to 60, 40 to 64, 30 to 45 °C.
    expect(warmthAt(forecast, 175, C).map((p) => p.label)).toEqual(["55", "58", "41"]);
    expect(warmthAt(forecast, 900, C).map((p) => p.label)).toEqual(["50", "57", "40"]);
    expect(warmthAt(forecast, 0, C)[0]?.label).toBe("22");
  });

  it("counts each stretch down to cold once it is off", () => {
    const pieces = coolingPieces(forecast, 230);
    expect(pieces.map((p) => p.label)).toEqual(["0:30", "1:00", "cold"]);
    expect(pieces.map((p) => p.tone)).toEqual(["warm", "warm", "cold"]);
  });

  it("tells neighbours that go cold together as one", () => {
    const alike = forecast.stretches.map((s, i) => ({ ...s, coldAtSeconds: at(260 + 5 * i) }));
    const pieces = coolingPieces({ ...forecast, stretches: alike.slice(0, 2) }, 230);
    expect(pieces).toMatchObject([{ from: 0, length: 60, label: "0:30" }]);
    expect(coolingPieces(forecast, 400)).toMatchObject([{ from: 0, length: 90, label: "cold" }]);
  });

  it("leaves a gap where nothing holds any more", () => {
    const alike = forecast.stretches.map((s) => ({ ...s, coldAtSeconds: at(260) }));
    const held = { ...forecast, stretches: alike.filter((_, i) => i !== 1) };
    expect(coolingPieces(held, 200).map((piece) => piece.from)).toEqual([0, 60]);
  });

  it("is cold where its own time is over, and not elsewhere", () => {
    expect([10, 40, 70].map((mm) => isColdAt(forecast, 270, mm))).toEqual([true, false, true]);
    expect(isColdAt(forecast, 259, 10)).toBe(false);
  });
});
