import { expect, test } from "vitest";
import { span } from "./span";

test("a quiet chamber does not look like a leaking one", () => {
  const [low, high] = span([20.0, 20.01]);
  expect(high - low).toBeCloseTo(0.22);
  expect((high + low) / 2).toBeCloseTo(20.005);
});

test("a fall of a kilopascal fills the picture", () => {
  const [low, high] = span([20, 19]);
  expect(low).toBeCloseTo(18.95);
  expect(high).toBeCloseTo(20.05);
});
