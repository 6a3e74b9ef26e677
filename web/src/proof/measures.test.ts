import { expect, test } from "vitest";
import { rise, spread, tilt } from "./measures";

test("the tone that stands out least speaks for all: a dead tweeter is not outvoted", () => {
  expect(rise([-80, -78, -75], [-40, -42, -74])).toEqual({ quietDb: -75, toneDb: -74 });
  expect(rise([-80, -78, -75], [-40, -42, -41])).toEqual({ quietDb: -75, toneDb: -41 });
});

test("half black and half white is half bright and as far apart as it can be", () => {
  expect(spread([0, 0, 0, 255, 255, 255, 255, 255])).toEqual({ mean: 127.5, deviation: 127.5 });
  expect(spread([90, 90, 90, 255, 90, 90, 90, 255])).toEqual({ mean: 90, deviation: 0 });
  expect(spread([])).toEqual({ mean: 0, deviation: 0 });
});

test("from flat to upright is a right angle, and a fall in between says nothing", () => {
  expect(
    tilt([
      [0, 0, 9.8],
      [0, 6.93, 6.93],
      [0, 9.8, 0],
    ]),
  ).toBeCloseTo(90);
  expect(
    tilt([
      [0, 0, 9.8],
      [0, -0.01, 0.02],
      [0, 0, 9.8],
    ]),
  ).toBeCloseTo(0);
  expect(tilt([[0, 0, 9.8]])).toBe(0);
  expect(tilt([])).toBe(0);
});
