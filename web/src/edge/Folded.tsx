import { type PointerEvent, useId } from "react";
import { pathAlong, pointAt, positionNear } from "./geometry";
import { FILL, type Piece, type Pin } from "./pieces";
import type { Edge } from "./useEdge";

const MARGIN = 13;

/** The outline to scale, as the device lies on the bench, with pieces on its border. */
export function Folded({
  edge,
  pieces,
  pins,
  outlines,
  active,
  onPoint,
  onActive,
}: {
  edge: Edge;
  pieces: readonly Piece[];
  pins: readonly Pin[];
  /** Closed shapes to scale, such as strips of tape. */
  outlines?: readonly { id: string; points: readonly { x: number; y: number }[]; laid: boolean }[];
  active: string | null;
  onPoint: (at: number) => void;
  onActive: (id: string | null) => void;
}) {
  const clip = useId();
  const whole = pathAlong(edge.outline, edge.perimeterMm, 0, edge.perimeterMm);
  const inner = edge.inner
    .map((v, i) => `${i === 0 ? "M" : "L"}${v.x.toFixed(2)} ${v.y.toFixed(2)}`)
    .join("");
  const point = (event: PointerEvent<SVGSVGElement>) => {
    const svg = event.currentTarget;
    const at = new DOMPoint(event.clientX, event.clientY).matrixTransform(svg.getScreenCTM()?.inverse());
    onPoint(positionNear(edge.outline, at.x, at.y));
  };
  return (
    <svg
      viewBox={`${-MARGIN} ${-MARGIN} ${edge.widthMm + 2 * MARGIN} ${edge.heightMm + 2 * MARGIN}`}
      className="h-full w-full touch-manipulation select-none"
      role="img"
      aria-label="Outline of the device with what lies on its edge"
      onPointerDown={point}
    >
      <clipPath id={clip}>
        <path d={`${whole}Z`} />
      </clipPath>
      <path d={`${whole}Z`} fill="var(--sheet)" />
      <g clipPath={`url(#${clip})`} fill="none">
        <path d={whole} stroke="var(--bond)" strokeWidth={2 * edge.borderMm} />
        {pieces.map((piece) => (
          <path
            key={piece.id}
            d={pathAlong(edge.outline, edge.perimeterMm, piece.from, piece.length)}
            stroke={FILL[piece.tone]}
            strokeWidth={2 * edge.borderMm * (piece.fill ?? 1)}
            opacity={active === null || active === piece.id ? 1 : 0.75}
            onPointerEnter={() => onActive(piece.id)}
            onPointerLeave={() => onActive(null)}
          >
            <title>{piece.title}</title>
          </path>
        ))}
        {edge.features.map((feature) => (
          <path
            key={feature.id}
            d={pathAlong(edge.outline, edge.perimeterMm, feature.fromMm, feature.lengthMm)}
            stroke="var(--ink)"
            strokeWidth="2.4"
          >
            <title>{`${feature.words}: ${feature.consequence}`}</title>
          </path>
        ))}
      </g>
      {outlines?.map((shape) => (
        <polygon
          key={shape.id}
          points={shape.points.map((p) => `${p.x.toFixed(2)},${p.y.toFixed(2)}`).join(" ")}
          fill={shape.laid ? "var(--free)" : "none"}
          stroke="var(--ink)"
          strokeWidth="0.5"
        />
      ))}
      <path d={`${inner}Z`} fill="none" stroke="var(--quiet)" strokeWidth="0.4" strokeDasharray="2 1.5" />
      <path d={`${whole}Z`} fill="none" stroke="var(--ink)" strokeWidth="0.9" />
      {edge.parts
        .filter((part) => !part.landmark.includes("_"))
        .map((part) => (
          <EdgeName key={part.landmark} edge={edge} at={part.fromMm + part.lengthMm / 2} words={part.words} />
        ))}
      {pins.map((pin) => {
        const { x, y } = pointAt(edge.outline, pin.at);
        return pin.kind === "wedge" ? (
          <path
            key={pin.id}
            d={`M${x - 4} ${y - 4}h8l-4 8z`}
            fill="var(--ink)"
            stroke="var(--sheet)"
            strokeWidth="0.8"
          >
            <title>{pin.title}</title>
          </path>
        ) : (
          <circle
            key={pin.id}
            cx={x}
            cy={y}
            r="4.5"
            fill="none"
            stroke="var(--ink)"
            strokeWidth="1.6"
            strokeDasharray="3 2"
          />
        );
      })}
    </svg>
  );
}

/** The name of an edge stands outside it, upright wherever the device is turned. */
function EdgeName({ edge, at, words }: { edge: Edge; at: number; words: string }) {
  const { x, y } = pointAt(edge.outline, at);
  const upright = x < 1 || x > edge.widthMm - 1;
  const outX = x < 1 ? -7 : x > edge.widthMm - 1 ? 7 : 0;
  const outY = y < 1 ? -6 : y > edge.heightMm - 1 ? 9 : 0;
  return (
    <text
      x={x + outX}
      y={y + outY}
      fontSize="7"
      fill="var(--quiet)"
      textAnchor="middle"
      dominantBaseline={upright ? "middle" : "auto"}
      transform={upright ? `rotate(${x < 1 ? -90 : 90} ${x + outX} ${y})` : undefined}
    >
      {words}
    </text>
  );
}
