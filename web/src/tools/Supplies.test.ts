import { expect, test } from "vitest";
import type { Schemas } from "@/api/client";
import { supplyWords } from "./Supplies";

const NOTHING = { profileId: null, expires: null };
const THICKNESS = { field: "thicknessMm", words: "Thickness", unit: "mm" };
const kind = (
  kind: Schemas["SupplyKindView"]["kind"],
  unit: string,
  ...measures: Schemas["SupplyKindView"]["measures"]
) => ({ kind, words: "", unit, measures, cutForOne: false, goesOff: false });
const KINDS = [
  kind("ROLL", "mm", { field: "widthMm", words: "Width", unit: "mm" }, THICKNESS),
  kind("RINGS", "pieces", THICKNESS),
  kind("LIQUID", "ml", { field: "doseJPerCm2", words: "Hard by", unit: "J/cm²" }),
];

test("a roll, the last ring and a syringe past its day in a line each", () => {
  const roll = {
    ...NOTHING,
    kind: "ROLL" as const,
    name: "tape",
    left: 31399.6,
    numbers: { thicknessMm: 0.2, widthMm: 2 },
  };
  expect(supplyWords({ line: roll, past: false }, KINDS)).toBe(
    "31,400 mm left, width 2 mm, thickness 0.2 mm",
  );
  const ring = { ...NOTHING, kind: "RINGS" as const, name: "ring", left: 1, numbers: { thicknessMm: 0.3 } };
  expect(supplyWords({ line: ring, past: false }, KINDS)).toBe("1 piece left, thickness 0.3 mm");
  const old = {
    ...NOTHING,
    kind: "LIQUID" as const,
    name: "l",
    left: 3.06,
    numbers: { doseJPerCm2: 3 },
    expires: "2026-01-01",
  };
  expect(supplyWords({ line: old, past: true }, KINDS)).toBe(
    "3.1 ml left, hard by 3 J/cm², past its day 2026-01-01",
  );
});
