import type { Schemas } from "@/api/client";

export type Document = Schemas["ProfileDocument"];
export type Feature = Schemas["Feature"];
export type Flaw = Schemas["Flaw"];
export type Confidence = Document["confidence"][string];

/** The surest first, as the bench says them. */
export const CONFIDENCES: [Confidence, string][] = [
  ["MEASURED", "measured here"],
  ["PART_MAKER", "from the maker of the part"],
  ["COMMON_PRACTICE", "common practice"],
  ["GUESS", "a guess"],
];

/** To a tenth of a millimetre: finer nobody measures at a bench. */
export function tenth(mm: number): number {
  return Math.round(mm * 10) / 10;
}

/** The position within one turn. */
export function wrapped(mm: number, perimeter: number): number {
  return tenth(((mm % perimeter) + perimeter) % perimeter) % perimeter;
}

/** An id made of words, none of those that are taken. */
export function freshId(words: string, taken: readonly string[]): string {
  const stem =
    words
      .toLowerCase()
      .replace(/[^a-z0-9]+/g, "-")
      .replace(/^-+|-+$/g, "")
      .slice(0, 30) || "new";
  let id = stem;
  for (let n = 2; taken.includes(id); n++) {
    id = `${stem}-${n}`;
  }
  return id;
}

/**
 * Where an edge of an interval is pulled to when it comes near: the nearest of some places, else where it is. It stays in its
 * own turn round the edge.
 */
export function snapped(mm: number, places: readonly number[], perimeter: number, reach: number): number {
  const way = (place: number) => ((((place - mm) % perimeter) + perimeter * 1.5) % perimeter) - perimeter / 2;
  const nearest = places.map(way).reduce((a, b) => (Math.abs(b) < Math.abs(a) ? b : a), perimeter);
  return Math.abs(nearest) < reach ? tenth(mm + nearest) : mm;
}

/** The name of a choice in bench words. */
export const words = (name: string) => name.toLowerCase().replaceAll("_", " ");
