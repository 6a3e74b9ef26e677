import { describe, expect, it } from "vitest";
import { filled } from "./filled";

type Choice = Parameters<typeof filled>[0];

const wedge = {
  label: "Wedge in",
  tone: "OTHER",
  mine: true,
  fact: { type: "WedgeSet", positionMm: 0 },
  asks: [
    {
      field: "positionMm",
      label: "Where",
      kind: "PLACE",
      unit: "mm",
      suggestion: null,
      mayBeEmpty: false,
      options: [],
    },
  ],
  leadsTo: null,
} satisfies Choice;

describe("a choice filled in", () => {
  it("takes what it asks for and nothing else", () => {
    expect(filled(wedge, { positionMm: 52.5, type: "Sealed" })).toEqual({
      type: "WedgeSet",
      positionMm: 52.5,
    });
  });

  it("stays as it came where nothing was given", () => {
    expect(filled(wedge, {})).toEqual(wedge.fact);
    expect(wedge.fact.positionMm).toBe(0);
  });
});
