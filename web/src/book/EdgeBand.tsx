import clsx from "clsx";
import { scaleLinear } from "d3-scale";
import { type KeyboardEvent, type PointerEvent, useRef } from "react";
import type { Edge } from "@/edge/useEdge";
import { useUnits } from "@/session/useSession";
import { length, ruler } from "@/units/units";
import { useSize } from "@/ui/useSize";
import { type Feature, tenth, wrapped } from "./document";
import { dragged, type Drawing, type Part, places, SNAP_PX } from "./dragging";

const LANE = 26;
const LANES_TOP = 22;
/** Room for this many from the start: the drawing must not jump while one thing is dragged over another. */
const LEAST_LANES = 3;
const GRIP_PX = 12;

/** Arrow keys move by a tenth, with shift by a millimetre; with alt they change the length. */
function nudge(event: KeyboardEvent, feature: Feature, edge: Edge, onSet: Drawing["onSet"]) {
  const way = event.key === "ArrowRight" ? 1 : event.key === "ArrowLeft" ? -1 : 0;
  if (way === 0) {
    return;
  }
  event.preventDefault();
  const by = way * (event.shiftKey ? 1 : 0.1);
  onSet(
    feature.id,
    event.altKey
      ? { lengthMm: tenth(Math.max(0.1, feature.lengthMm + by)) }
      : { fromMm: wrapped(feature.fromMm + by, edge.perimeterMm) },
  );
}

/** Features that share some of the edge lie in lanes of their own. */
function lanes(features: readonly Feature[], perimeter: number): Map<string, number> {
  const lane = new Map<string, number>();
  const ends: Feature[][] = [];
  for (const feature of features) {
    const clear = (other: Feature) => {
      const ahead = (((other.fromMm - feature.fromMm) % perimeter) + perimeter) % perimeter;
      return ahead >= feature.lengthMm && ahead + other.lengthMm <= perimeter;
    };
    let n = ends.findIndex((one) => one.every(clear));
    if (n < 0) {
      n = ends.push([]) - 1;
    }
    ends[n]?.push(feature);
    lane.set(feature.id, Math.min(n, 3));
  }
  return lane;
}

/** The edge unrolled; everything on it can be dragged, stretched at its ends or nudged. */
export function EdgeBand({
  document,
  edge,
  chosen,
  wrong,
  onChoose,
  onSet,
  onBegin,
  onPlace,
}: Drawing & {
  /** Where nothing lies: something is put there; null where a tap means nothing. */
  onPlace: ((mm: number) => void) | null;
}) {
  const units = useUnits();
  const [box, { width }] = useSize<HTMLDivElement>({ width: 1200, height: 0 });
  const x = scaleLinear([0, edge.perimeterMm], [0, width]);
  const lane = lanes(document.features, edge.perimeterMm);
  const bottom = LANES_TOP + LANE * Math.max(LEAST_LANES, ...[...lane.values()].map((n) => n + 1));
  const drag = useRef<{ before: Feature; part: Part; at: number } | null>(null);
  const down = (event: PointerEvent<SVGGElement>, feature: Feature) => {
    const left = event.currentTarget.ownerSVGElement?.getBoundingClientRect().left ?? 0;
    const at = x.invert(event.clientX - left);
    const from = x(feature.fromMm);
    const to = x(Math.min(edge.perimeterMm, feature.fromMm + feature.lengthMm));
    const px = event.clientX - left;
    const part =
      to - from < 3 * GRIP_PX ? "body" : px - from < GRIP_PX ? "start" : to - px < GRIP_PX ? "end" : "body";
    event.currentTarget.setPointerCapture(event.pointerId);
    drag.current = { before: feature, part, at };
    onChoose(feature.id);
    onBegin();
  };
  const move = (event: PointerEvent<SVGGElement>) => {
    const now = drag.current;
    if (now) {
      const left = event.currentTarget.ownerSVGElement?.getBoundingClientRect().left ?? 0;
      const by = x.invert(event.clientX - left) - now.at;
      const snap = places(document, edge, now.before.id);
      onSet(
        now.before.id,
        dragged(now.before, now.part, by, snap, edge.perimeterMm, x.invert(SNAP_PX)),
        true,
      );
    }
  };
  return (
    <div ref={box} className="w-full">
      <svg
        width={width}
        height={bottom + 78}
        className={clsx("block touch-none select-none", onPlace && "cursor-copy")}
        role="group"
        aria-label="The edge unrolled, to draw on"
        data-band
        onPointerDown={(event) => {
          if ((event.target as Element).closest("[data-feature]") === null) {
            onPlace?.(x.invert(event.clientX - event.currentTarget.getBoundingClientRect().left));
          }
        }}
      >
        {edge.parts.map((part) =>
          part.landmark.includes("_") ? (
            <rect
              key={part.landmark}
              x={x(part.fromMm)}
              y={16}
              width={x(part.lengthMm)}
              height={bottom + 38}
              fill="var(--line)"
              opacity="0.45"
            />
          ) : (
            x(part.lengthMm) > 7 * part.words.length && (
              <text
                key={part.landmark}
                x={x(part.fromMm + part.lengthMm / 2)}
                y={13}
                fontSize="15"
                fill="var(--quiet)"
                textAnchor="middle"
              >
                {part.words}
              </text>
            )
          ),
        )}
        {document.features.map((feature) => {
          const y = LANES_TOP + LANE * (lane.get(feature.id) ?? 0);
          const w = x(feature.lengthMm);
          return (
            <g
              key={feature.id}
              tabIndex={0}
              role="button"
              aria-pressed={feature.id === chosen}
              aria-label={`${feature.words}, from ${length(feature.fromMm, units)}, ${length(feature.lengthMm, units)} long`}
              data-feature={feature.id}
              className="cursor-grab"
              onPointerDown={(event) => down(event, feature)}
              onPointerMove={move}
              onPointerUp={() => (drag.current = null)}
              onPointerCancel={() => (drag.current = null)}
              onFocus={() => onChoose(feature.id)}
              onKeyDown={(event) => nudge(event, feature, edge, onSet)}
            >
              {[0, feature.fromMm + feature.lengthMm > edge.perimeterMm ? -width : null].map(
                (shift) =>
                  shift !== null && (
                    <rect
                      key={shift}
                      x={x(feature.fromMm) + shift}
                      y={y}
                      width={Math.max(4, w)}
                      height={LANE - 4}
                      fill={
                        wrong.has(feature.id)
                          ? "url(#hazard)"
                          : feature.id === chosen
                            ? "var(--lamp)"
                            : "var(--free)"
                      }
                      stroke={feature.id === chosen ? "var(--ink)" : "none"}
                      strokeWidth={2}
                    />
                  ),
              )}
              {w > 8 * feature.words.length && (
                <text
                  x={x(feature.fromMm) + w / 2}
                  y={y + 16}
                  fontSize="13"
                  textAnchor="middle"
                  fill={feature.id === chosen && !wrong.has(feature.id) ? "var(--on-lamp)" : "var(--ink)"}
                  pointerEvents="none"
                >
                  {feature.words}
                </text>
              )}
            </g>
          );
        })}
        <Widths y={bottom + 4} words="border" widths={edge.borders} x={x} most={edge.borderMm * 1.6} />
        <Widths y={bottom + 30} words="ledge" widths={edge.ledges} x={x} most={edge.borderMm * 1.6} />
        {ruler(x.domain()[1] ?? 0, 9, units)
          .filter((mark) => x(mark.at) < width - 60)
          .map((mark) => (
            <text key={mark.at} x={x(mark.at) + 2} y={bottom + 72} fontSize="13" fill="var(--quiet)">
              {mark.words}
            </text>
          ))}
      </svg>
    </div>
  );
}

/** How wide border or ledge is along the edge, as a band whose height says it. */
function Widths({
  y,
  words,
  widths,
  x,
  most,
}: {
  y: number;
  words: string;
  widths: Edge["borders"];
  x: (mm: number) => number;
  most: number;
}) {
  const units = useUnits();
  return (
    <g>
      {widths.map((piece) => {
        const h = Math.max(2, (22 * piece.widthMm) / most);
        return (
          <rect
            key={piece.fromMm}
            x={x(piece.fromMm)}
            y={y}
            width={Math.max(1, x(piece.lengthMm) - 1)}
            height={Math.min(22, h)}
            fill="var(--bond)"
          >
            <title>{`${words} ${length(piece.widthMm, units)}`}</title>
          </rect>
        );
      })}
      <text x={4} y={y + 15} fontSize="13" fill="var(--ink)">
        {words} {length(widths[0]?.widthMm ?? 0, units)}
      </text>
    </g>
  );
}
