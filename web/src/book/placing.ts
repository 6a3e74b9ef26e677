import type { Schemas } from "@/api/client";
import { freshId } from "./document";

export type Screw = Schemas["Screw"];

/** Where a finger points to, in mm. */
export interface At {
  x: number;
  y: number;
}

/** To half a millimetre: finer no finger points. */
export const half = (mm: number) => Math.round(2 * mm) / 2;

const ids = (entries: readonly { id: string }[]) => entries.map((entry) => entry.id);

/** One more screw, like another. */
export function withScrew(
  screws: readonly Screw[],
  like: Omit<Screw, "id" | "xMm" | "yMm">,
  at: At,
): Screw[] {
  const id = freshId("screw", ids(screws));
  return [...screws, { ...like, id, xMm: half(at.x), yMm: half(at.y) }];
}

/** Some screws once more in the other three corners; where one is already none is added. */
export function inFourCorners(
  screws: readonly Screw[],
  chosen: readonly string[],
  size: { widthMm: number; heightMm: number },
): Screw[] {
  const across = (at: At) => ({ x: size.widthMm - at.x, y: at.y });
  const down = (at: At) => ({ x: at.x, y: size.heightMm - at.y });
  return screws
    .filter((screw) => chosen.includes(screw.id))
    .flatMap((screw) => {
      const at = { x: screw.xMm, y: screw.yMm };
      return [across(at), down(at), across(down(at))].map((corner) => ({ screw, corner }));
    })
    .reduce<Screw[]>(
      (all, { screw, corner }) => (isThere(all, corner) ? all : withScrew(all, screw, corner)),
      [...screws],
    );
}

const isThere = (screws: readonly Screw[], at: At) =>
  screws.some((one) => Math.hypot(one.xMm - half(at.x), one.yMm - half(at.y)) < 1);

/** As many in all as said, from one to a place, as far from each other. */
export function inARow(screws: readonly Screw[], first: Screw, to: At, count: number): Screw[] {
  return Array.from({ length: Math.max(0, count - 1) }, (_, i) => (i + 1) / (count - 1)).reduce<Screw[]>(
    (all, share) =>
      withScrew(all, first, {
        x: first.xMm + share * (to.x - first.xMm),
        y: first.yMm + share * (to.y - first.yMm),
      }),
    [...screws],
  );
}

/** In the order in which they were tapped, called by their number; the others after them as they were. */
export function numbered(screws: readonly Screw[], tapped: readonly string[]): Screw[] {
  const first = tapped.flatMap((id) => screws.find((screw) => screw.id === id) ?? []);
  const rest = screws.filter((screw) => !tapped.includes(screw.id));
  return [...first, ...rest].map((screw, i) => ({ ...screw, id: `screw-${i + 1}` }));
}

/** Lies under it, or does no longer. */
export function covered<T extends { id: string; coveredBy: string[] }>(entry: T, by: string): T {
  if (entry.id === by) {
    return entry;
  }
  return {
    ...entry,
    coveredBy: entry.coveredBy.includes(by)
      ? entry.coveredBy.filter((id) => id !== by)
      : [...entry.coveredBy, by],
  };
}

/** The rectangle between two corners; a tap makes a small one. */
export function area(from: At, to: At) {
  const tap = Math.hypot(to.x - from.x, to.y - from.y) < 3;
  return {
    xMm: half(Math.min(from.x, to.x)),
    yMm: half(Math.min(from.y, to.y)),
    widthMm: tap ? 20 : half(Math.abs(to.x - from.x)),
    heightMm: tap ? 10 : half(Math.abs(to.y - from.y)),
  };
}
