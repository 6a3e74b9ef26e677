import { type PointerEvent, useRef, useState } from "react";
import type { Edge } from "@/edge/useEdge";
import { Marks } from "@/edge/Marks";
import { pathAlong } from "@/edge/geometry";
import { useSize } from "@/ui/useSize";

export type Tool = "CRACK" | "DENT" | "BEND";

export interface Place {
  xMm: number;
  yMm: number;
}

const MARGIN_PX = 26;
/** Closer points say nothing more about a crack. */
const STEP_PX = 5;
const MOST_POINTS = 200;

/** The outline as a sheet to draw damage on, face up. */
export function MarkBoard({
  edge,
  tool,
  onCrack,
  onDent,
  onBend,
}: {
  edge: Edge;
  tool: Tool;
  onCrack: (line: Place[]) => void;
  onDent: (at: Place) => void;
  onBend: (corner: string, words: string) => void;
}) {
  const [box, size] = useSize<HTMLDivElement>({ width: 600, height: 300 });
  const [line, setLine] = useState<Place[]>([]);
  // A quick stroke on a busy screen ends before any of it was drawn.
  const stroke = useRef<Place[] | null>(null);
  const px = Math.max(
    edge.widthMm / Math.max(40, size.width - 2 * MARGIN_PX),
    edge.heightMm / Math.max(40, size.height - 2 * MARGIN_PX),
  );
  const margin = MARGIN_PX * px;
  const whole = `${pathAlong(edge.outline, edge.perimeterMm, 0, edge.perimeterMm)}Z`;

  const at = (event: PointerEvent<SVGSVGElement>): Place => {
    const p = new DOMPoint(event.clientX, event.clientY).matrixTransform(
      event.currentTarget.getScreenCTM()?.inverse(),
    );
    const within = (v: number, most: number) => Math.round(Math.min(most + 4, Math.max(-4, v)) * 10) / 10;
    return { xMm: within(p.x, edge.widthMm), yMm: within(p.y, edge.heightMm) };
  };
  const down = (event: PointerEvent<SVGSVGElement>) => {
    const place = at(event);
    if (tool === "DENT") {
      onDent(place);
    } else if (tool === "BEND") {
      const far = (corner: Edge["corners"][number]) => Math.hypot(corner.x - place.xMm, corner.y - place.yMm);
      const nearest = edge.corners.reduce((a, b) => (far(b) < far(a) ? b : a));
      onBend(nearest.landmark, nearest.words);
    } else {
      event.currentTarget.setPointerCapture(event.pointerId);
      stroke.current = [place];
      setLine(stroke.current);
    }
  };
  const move = (event: PointerEvent<SVGSVGElement>) => {
    const before = stroke.current;
    const last = before?.at(-1);
    if (!before || !last) {
      return;
    }
    const place = at(event);
    const far = Math.hypot(place.xMm - last.xMm, place.yMm - last.yMm) > STEP_PX * px;
    if (far && before.length < MOST_POINTS) {
      stroke.current = [...before, place];
      setLine(stroke.current);
    }
  };
  const up = () => {
    const drawn = stroke.current;
    stroke.current = null;
    if (drawn && drawn.length > 1) {
      onCrack(drawn);
    }
    setLine([]);
  };

  return (
    <div ref={box} className="min-h-40 flex-1">
      <svg
        viewBox={`${-margin} ${-margin} ${edge.widthMm + 2 * margin} ${edge.heightMm + 2 * margin}`}
        className="h-full w-full cursor-crosshair touch-none select-none"
        role="img"
        aria-label="Outline of the device, face up, to draw damage on"
        data-board
        onPointerDown={down}
        onPointerMove={move}
        onPointerUp={up}
        onPointerCancel={up}
      >
        <path d={whole} fill="var(--sheet)" stroke="var(--ink)" strokeWidth={2 * px} />
        {edge.features.map((feature) => (
          <path
            key={feature.id}
            d={pathAlong(edge.outline, edge.perimeterMm, feature.fromMm, feature.lengthMm)}
            fill="none"
            stroke="var(--free)"
            strokeWidth={6 * px}
          >
            <title>{feature.words}</title>
          </path>
        ))}
        {edge.parts
          .filter((part) => part.landmark === "TOP" || part.landmark === "BOTTOM")
          .map((part) => (
            <text
              key={part.landmark}
              x={edge.widthMm / 2}
              y={part.landmark === "TOP" ? -7 * px : edge.heightMm + 19 * px}
              fontSize={14 * px}
              fill="var(--quiet)"
              textAnchor="middle"
            >
              {part.words}
            </text>
          ))}
        <Marks marks={edge.marks} px={px} />
        {line.length > 1 && (
          <polyline
            points={line.map((p) => `${p.xMm},${p.yMm}`).join(" ")}
            fill="none"
            stroke="var(--alarm)"
            strokeWidth={3 * px}
          />
        )}
      </svg>
    </div>
  );
}
