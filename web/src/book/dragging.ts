import { pointAt, positionNear } from "@/edge/geometry";
import type { Edge } from "@/edge/useEdge";
import { type Document, type Feature, snapped, tenth, wrapped } from "./document";

/** How near, in pixels, a drag has to come to be pulled. */
export const SNAP_PX = 7;

export type Part = "body" | "start" | "end";

/** What both drawings of the edge are given. */
export interface Drawing {
  document: Document;
  edge: Edge;
  chosen: string | null;
  wrong: ReadonlySet<string>;
  onChoose: (id: string) => void;
  onSet: (id: string, values: Partial<Feature>, joined?: boolean) => void;
  onBegin: () => void;
}

/** Corners, middles of edges and the ends of everything else: what a drag is pulled to. */
export function places(document: Document, edge: Edge, but: string): number[] {
  return [
    ...edge.parts.flatMap((part) => [
      part.fromMm,
      part.fromMm + part.lengthMm / 2,
      part.fromMm + part.lengthMm,
    ]),
    ...document.features.filter((f) => f.id !== but).flatMap((f) => [f.fromMm, f.fromMm + f.lengthMm]),
  ];
}

/** Where a feature comes to lie when a part of it is dragged by so much from where it was. */
export function dragged(
  before: Feature,
  part: Part,
  by: number,
  snap: readonly number[],
  perimeter: number,
  reach: number,
) {
  const start = before.fromMm;
  const end = before.fromMm + before.lengthMm;
  if (part === "body") {
    const byStart = snapped(start + by, snap, perimeter, reach);
    const byEnd = snapped(end + by, snap, perimeter, reach);
    const at = byStart !== start + by ? byStart : byEnd !== end + by ? byEnd - before.lengthMm : start + by;
    return { fromMm: wrapped(at, perimeter) };
  }
  if (part === "end") {
    const at = snapped(end + by, snap, perimeter, reach);
    return { lengthMm: tenth(Math.min(perimeter, Math.max(1, at - start))) };
  }
  const at = Math.min(snapped(start + by, snap, perimeter, reach), end - 1);
  return { fromMm: wrapped(at, perimeter), lengthMm: tenth(Math.min(perimeter, end - at)) };
}

/** The same place on the other side of the device's upright middle. */
export function mirrored(feature: Feature, edge: Edge): number {
  const end = pointAt(edge.outline, wrapped(feature.fromMm + feature.lengthMm, edge.perimeterMm));
  return wrapped(positionNear(edge.outline, edge.widthMm - end.x, end.y), edge.perimeterMm);
}
