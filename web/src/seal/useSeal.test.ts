import { expect, test } from "vitest";
import { beadTracks } from "./useSeal";

const bead = {
  ml: 0.2,
  layingSeconds: 90,
  inMm: 1.25,
  bare: [
    { fromMm: 100, lengthMm: 12, words: "camera" },
    { fromMm: 300, lengthMm: 20, words: "sensor" },
  ],
  clamps: 2,
  clampsAtMm: [3, 250],
  skinsAt: null,
};

test("a bead goes all round but where nothing may lie, over position 0 too", () => {
  const laid = beadTracks(bead, 500, false)[0]?.pieces.filter((piece) => piece.tone === "next");
  expect(laid?.map((piece) => [piece.from, piece.length])).toEqual([
    [112, 188],
    [320, 280],
  ]);
  expect(beadTracks({ ...bead, bare: [] }, 500, false)[0]?.pieces[0]?.length).toBe(500);
});

test("a clamp near position 0 begins before it", () => {
  const clamps = beadTracks(bead, 500, true)[1]?.pieces;
  expect(clamps?.map((piece) => [piece.from, piece.tone])).toEqual([
    [496, "free"],
    [243, "free"],
  ]);
});
