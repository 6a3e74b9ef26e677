import type { Schemas } from "@/api/client";

type Vertex = Schemas["Vertex"];

/** The point at an edge position on a polyline of vertices that know theirs. */
function pointAt(vertices: readonly Vertex[], at: number): { x: number; y: number } {
  for (let i = 1; i < vertices.length; i++) {
    const a = vertices[i - 1];
    const b = vertices[i];
    if (a && b && at <= b.atMm) {
      const share = b.atMm === a.atMm ? 0 : (at - a.atMm) / (b.atMm - a.atMm);
      return { x: a.x + share * (b.x - a.x), y: a.y + share * (b.y - a.y) };
    }
  }
  return vertices[0] ?? { x: 0, y: 0 };
}

/** An SVG path along the outline from an edge position over a length; runs over position 0 where it must. */
export function pathAlong(
  vertices: readonly Vertex[],
  perimeter: number,
  from: number,
  length: number,
): string {
  const spans =
    from + length <= perimeter
      ? [[from, from + length]]
      : [
          [from, perimeter],
          [0, from + length - perimeter],
        ];
  const points = spans.flatMap(([a = 0, b = 0]) => [
    pointAt(vertices, a),
    ...vertices.filter((v) => v.atMm > a && v.atMm < b),
    pointAt(vertices, b),
  ]);
  return points.map((p, i) => `${i === 0 ? "M" : "L"}${p.x.toFixed(2)} ${p.y.toFixed(2)}`).join("");
}

/** The edge position nearest to a point of the drawing. */
export function positionNear(vertices: readonly Vertex[], x: number, y: number): number {
  let best = 0;
  let least = Infinity;
  for (let i = 1; i < vertices.length; i++) {
    const a = vertices[i - 1];
    const b = vertices[i];
    if (!a || !b) {
      continue;
    }
    const dx = b.x - a.x;
    const dy = b.y - a.y;
    const squared = dx * dx + dy * dy;
    const share = squared === 0 ? 0 : Math.min(1, Math.max(0, ((x - a.x) * dx + (y - a.y) * dy) / squared));
    const distance = Math.hypot(x - a.x - share * dx, y - a.y - share * dy);
    if (distance < least) {
      least = distance;
      best = a.atMm + share * (b.atMm - a.atMm);
    }
  }
  return Math.round(best * 10) / 10;
}

type Point = ReturnType<typeof pointAt>;

/**
 * An arrow beside a stretch, `inset` towards the middle of the drawing and never shorter than `least`, so that it is seen on
 * a corner too: its shaft and its head as an SVG path.
 */
export function arrowAlong(
  vertices: readonly Vertex[],
  perimeter: number,
  stretch: { from: number; length: number; clockwise: boolean },
  middle: Point,
  inset: number,
  least: number,
): string {
  const a = pointAt(vertices, stretch.from);
  const b = pointAt(vertices, (stretch.from + stretch.length) % perimeter);
  const chord = Math.hypot(b.x - a.x, b.y - a.y) || 1;
  const forward = stretch.clockwise ? 1 : -1;
  const along = { x: (forward * (b.x - a.x)) / chord, y: (forward * (b.y - a.y)) / chord };
  const at = { x: (a.x + b.x) / 2, y: (a.y + b.y) / 2 };
  const side = along.x * (middle.y - at.y) - along.y * (middle.x - at.x) < 0 ? -1 : 1;
  const inwards = { x: -side * along.y, y: side * along.x };
  const half = Math.max(chord, least) / 2;
  const head = least / 4;
  const to = (forwards: number, inside: number) =>
    `${(at.x + forwards * along.x + inside * inwards.x).toFixed(2)} ${(at.y + forwards * along.y + inside * inwards.y).toFixed(2)}`;
  return (
    `M${to(-half, inset)}L${to(half, inset)}` +
    `M${to(half - head, inset - head)}L${to(half, inset)}L${to(half - head, inset + head)}`
  );
}

export { pointAt };
