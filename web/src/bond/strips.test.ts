import DxfParser from "dxf-parser";
import { expect, test } from "vitest";
import file from "./fixtures/strips.dxf?raw";

interface Vertex {
  x: number;
  y: number;
}

const entities = new DxfParser().parseSync(file)?.entities ?? [];
const outlines = entities.flatMap((entity) =>
  entity.type === "POLYLINE" ? [(entity as unknown as { vertices: Vertex[] }).vertices] : [],
);
const sizes = outlines.map((vertices) => {
  const xs = vertices.map((v) => v.x);
  const ys = vertices.map((v) => v.y);
  return [Math.max(...xs) - Math.min(...xs), Math.max(...ys) - Math.min(...ys)] as const;
});
/** "3:  118.2 × 2.0 mm, volume edge" */
const listed = entities.flatMap((entity) => {
  const words = /^\d+: +([\d.]+) × ([\d.]+) mm/.exec((entity as { text?: string }).text ?? "");
  return words ? [[Number(words[1]), Number(words[2])] as const] : [];
});

test("a reader that is not ours finds every listed piece as long and as wide as it says", () => {
  expect(listed.length).toBeGreaterThan(5);
  for (const [long, wide] of listed) {
    expect(
      sizes.some(
        ([x, y]) =>
          // The list says tenths.
          (Math.abs(x - long) <= 0.05 + 1e-3 && Math.abs(y - wide) <= 0.05) ||
          (Math.abs(y - long) <= 0.05 + 1e-3 && Math.abs(x - wide) <= 0.05),
      ),
      `${long} × ${wide}`,
    ).toBe(true);
  }
});

test("the bar to lay a rule on is a hundred millimetres long", () => {
  expect(sizes.some(([x, y]) => Math.abs(x - 100) < 0.05 && y < 0.05)).toBe(true);
});
