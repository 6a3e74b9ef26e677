import type { MouseEvent, ReactNode } from "react";
import { EdgeNames } from "@/edge/Folded";
import { pathAlong } from "@/edge/geometry";
import type { Edge } from "@/edge/useEdge";
import { useSize } from "@/ui/useSize";
import type { Hole, Strip } from "./HoleFits";
import { ScrewMark } from "./ScrewMark";

type Lie = Strip["plugs"][number]["lie"];

/** Neither in its hole nor in the tray, or not to be moved. */
export const isStray = (hole: Hole) => hole.where === "LOST" || hole.where === "STUCK";

const MARGIN_PX = 23;

/** A finger in a glove hits beside what it means, in px. */
const FINGER_PX = 40;

/** To scale, letters and marks as large as on any other device. */
export function OpenDevice({
  edge,
  strip,
  label,
  chosen = null,
  onHole,
  marks,
}: {
  edge: Edge;
  strip: Pick<Strip, "parts" | "plugs" | "holes">;
  label: string;
  chosen?: string | null;
  onHole?: (id: string) => void;
  /** Drawn over all else, with mm per px. */
  marks?: (px: number) => ReactNode;
}) {
  const [box, size] = useSize<HTMLDivElement>({ width: 640, height: 360 });
  // Letters and marks keep their size on the screen, whether it is a watch or a large tablet: mm per px.
  const px = Math.max(
    edge.widthMm / Math.max(40, size.width - 2 * MARGIN_PX),
    edge.heightMm / Math.max(40, size.height - 2 * MARGIN_PX),
  );
  const margin = MARGIN_PX * px;
  const whole = pathAlong(edge.outline, edge.perimeterMm, 0, edge.perimeterMm);
  const parts = [...strip.parts].sort((a, b) => b.layer - a.layer);
  const points = (corners: readonly { x: number; y: number }[]) =>
    corners.map((p) => `${p.x.toFixed(2)},${p.y.toFixed(2)}`).join(" ");
  return (
    <div ref={box} className="h-full min-h-0 w-full">
      {/* A finger takes the hole nearest to it; by keys each hole is a button of its own. */}
      {/* oxlint-disable-next-line jsx-a11y/click-events-have-key-events, jsx-a11y/no-noninteractive-element-interactions */}
      <svg
        viewBox={`${-margin} ${-margin} ${edge.widthMm + 2 * margin} ${edge.heightMm + 2 * margin}`}
        className="h-full w-full select-none"
        role="group"
        onClick={(event) => {
          const near = nearest(event, strip.holes);
          if (near && near.apartMm < FINGER_PX * px) {
            onHole?.(near.hole.id);
          }
        }}
        aria-label={label}
      >
        <defs>
          <pattern
            id="over-it"
            width={8 * px}
            height={8 * px}
            patternUnits="userSpaceOnUse"
            patternTransform="rotate(45)"
          >
            <rect width={8 * px} height={8 * px} fill="var(--sheet)" />
            <rect width={3 * px} height={8 * px} fill="var(--lamp)" />
          </pattern>
        </defs>
        <path d={`${whole}Z`} fill="var(--sheet)" stroke="var(--ink)" strokeWidth={1.5 * px} />
        <EdgeNames edge={edge} px={px} />
        {parts.map(
          (part) =>
            part.corners && (
              <g key={part.id}>
                <polygon
                  points={points(part.corners)}
                  fill={FILLS[part.lie]}
                  fillOpacity={part.lie === "IN" ? 0.35 : 1}
                  stroke="var(--ink)"
                  strokeWidth={part.lie === "NOW" || part.lie === "OVER_IT" ? 2.5 * px : px}
                  strokeDasharray={part.lie === "OUT" ? `${4 * px} ${4 * px}` : undefined}
                >
                  <title>{part.words}</title>
                </polygon>
                {(part.lie === "NOW" || part.lie === "OVER_IT") && (
                  <Name corners={part.corners} words={part.words} px={px} />
                )}
              </g>
            ),
        )}
        {strip.plugs.map(
          (plug) =>
            plug.at && (
              <g key={plug.id} opacity={plug.lie === "OUT" ? 0.45 : 1}>
                <polyline
                  points={points([plug.at, ...plug.route])}
                  fill="none"
                  stroke="var(--ink)"
                  strokeWidth={(plug.lie === "NOW" ? 6 : 3) * px}
                  strokeLinejoin="round"
                  strokeDasharray={plug.lie === "OUT" ? `${4 * px} ${4 * px}` : undefined}
                />
                <rect
                  x={plug.at.x - 9 * px}
                  y={plug.at.y - 6 * px}
                  width={18 * px}
                  height={12 * px}
                  rx={2 * px}
                  fill={FILLS[plug.lie]}
                  stroke="var(--ink)"
                  strokeWidth={(plug.lie === "NOW" ? 3 : 1.5) * px}
                >
                  <title>{plug.words}</title>
                </rect>
              </g>
            ),
        )}
        {strip.holes.map((hole) => (
          <g
            key={hole.id}
            transform={`translate(${hole.at.x} ${hole.at.y}) scale(${px})`}
            role="button"
            tabIndex={0}
            aria-label={`Hole ${hole.id}`}
            aria-pressed={hole.id === chosen}
            onKeyDown={(event) => {
              if (event.key === "Enter" || event.key === " ") {
                event.preventDefault();
                event.stopPropagation();
                onHole?.(hole.id);
              }
            }}
          >
            {hole.id === chosen && <circle r={13} fill="none" stroke="var(--ink)" strokeWidth={3} />}
            <ScrewMark
              kind={hole.kind}
              r={hole.lie === "NOW" || isStray(hole) ? 7 : 5}
              fill={isStray(hole) ? "var(--alarm)" : FILLS[hole.lie]}
              ring={hole.hidden && hole.lie === "NOW"}
              crossed={hole.lie === "STAYS_EMPTY" || hole.where === "ABSENT" || hole.where === "EMPTY"}
            />
          </g>
        ))}
        {marks?.(px)}
      </svg>
    </div>
  );
}

/** The hole nearest to a tap, in the drawing's own mm. */
function nearest(event: MouseEvent<SVGSVGElement>, holes: Hole[]) {
  const matrix = event.currentTarget.getScreenCTM()?.inverse();
  if (!matrix) {
    return null;
  }
  const at = new DOMPoint(event.clientX, event.clientY).matrixTransform(matrix);
  return holes
    .map((hole) => ({ hole, apartMm: Math.hypot(hole.at.x - at.x, hole.at.y - at.y) }))
    .reduce<{ hole: Hole; apartMm: number } | null>(
      (best, one) => (best === null || one.apartMm < best.apartMm ? one : best),
      null,
    );
}

const FILLS: Record<Lie, string> = {
  NOW: "var(--lamp)",
  OVER_IT: "url(#over-it)",
  IN: "var(--bond)",
  OUT: "none",
  STAYS_EMPTY: "var(--sheet)",
};

/** As wide as a letter is on average, in px. */
const LETTER_PX = 7.5;

/** In a corner of what is lit, where it has room: the words below say it too. */
function Name({
  corners,
  words,
  px,
}: {
  corners: readonly { x: number; y: number }[];
  words: string;
  px: number;
}) {
  const left = Math.min(...corners.map((corner) => corner.x));
  const right = Math.max(...corners.map((corner) => corner.x));
  const top = Math.min(...corners.map((corner) => corner.y));
  if (right - left < (words.length + 2) * LETTER_PX * px) {
    return null;
  }
  return (
    <text
      x={left + 8 * px}
      y={top + 34 * px}
      fontSize={15 * px}
      fontWeight={600}
      fill="var(--on-lamp)"
      stroke="var(--lamp)"
      strokeWidth={6 * px}
      paintOrder="stroke"
    >
      {words}
    </text>
  );
}
