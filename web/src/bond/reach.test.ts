import { describe, expect, it } from "vitest";
import { reachAt } from "./reach";

const reach = [
  { seconds: 0, mm: 6 },
  { seconds: 10, mm: 16 },
  { seconds: 20, mm: 20 },
];

describe("reachAt", () => {
  it("goes as the straight line does between two moments", () => {
    expect(reachAt(reach, 5)).toBe(11);
    expect(reachAt(reach, 15)).toBe(18);
  });
  it("begins as the dot stands and ends where it stays", () => {
    expect(reachAt(reach, 0)).toBe(6);
    expect(reachAt(reach, 500)).toBe(20);
    expect(reachAt(reach, Number.POSITIVE_INFINITY)).toBe(20);
  });
  it("is nothing where nothing was reckoned", () => {
    expect(reachAt([], 3)).toBe(0);
  });
});
