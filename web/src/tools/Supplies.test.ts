import { expect, test } from "vitest";
import { supplyWords } from "./Supplies";

const NOTHING = {
  widthMm: null,
  thicknessMm: null,
  profileId: null,
  needleMm: null,
  skinMinutes: null,
  cureHours: null,
  viscosityPaS: null,
  doseJPerCm2: null,
  newtons: null,
  expires: null,
};
const KINDS = [
  { kind: "ROLL" as const, words: "tape", unit: "mm" },
  { kind: "RINGS" as const, words: "rings", unit: "pieces" },
  { kind: "LIQUID" as const, words: "liquid", unit: "ml" },
];

test("a roll, the last ring and a syringe past its day in a line each", () => {
  const roll = {
    ...NOTHING,
    kind: "ROLL" as const,
    name: "tape",
    left: 31399.6,
    widthMm: 2,
    thicknessMm: 0.2,
  };
  expect(supplyWords({ line: roll, past: false }, KINDS)).toBe("31,400 mm left, 2 mm wide, 0.2 mm thick");
  const ring = { ...NOTHING, kind: "RINGS" as const, name: "ring", left: 1, thicknessMm: 0.3 };
  expect(supplyWords({ line: ring, past: false }, KINDS)).toBe("1 piece left, 0.3 mm thick");
  const old = {
    ...NOTHING,
    kind: "LIQUID" as const,
    name: "l",
    left: 3.06,
    doseJPerCm2: 3,
    expires: "2026-01-01",
  };
  expect(supplyWords({ line: old, past: true }, KINDS)).toBe(
    "3.1 ml left, hard by 3 J/cm², past its day 2026-01-01",
  );
});
