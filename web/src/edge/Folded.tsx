import { type PointerEvent, useId } from "react";
import { arrowAlong, pathAlong, pointAt, positionNear } from "./geometry";
import { Marks } from "./Marks";
import { useSize } from "@/ui/useSize";
import { FILL, type Piece, type Pin } from "./pieces";
import type { Edge } from "./useEdge";

/** Room for the names of the edges, in px. */
const MARGIN_PX = 23;

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
  const [box, size] = useSize<HTMLDivElement>({ width: 420, height: 320 });
  // Letters and marks keep their size on the screen, whether it is a watch or a large tablet: mm per px.
  const px = Math.max(
    edge.widthMm / Math.max(40, size.width - 2 * MARGIN_PX),
    edge.heightMm / Math.max(40, size.height - 2 * MARGIN_PX),
  );
  const margin = MARGIN_PX * px;
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
    <div ref={box} className="h-full min-h-0 w-full">
      <svg
        viewBox={`${-margin} ${-margin} ${edge.widthMm + 2 * margin} ${edge.heightMm + 2 * margin}`}
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
          {short(edge).map((feature) => (
            <path
              key={feature.id}
              d={pathAlong(edge.outline, edge.perimeterMm, feature.fromMm, feature.lengthMm)}
              stroke="var(--ink)"
              strokeWidth={4 * px}
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
            strokeWidth={px}
          />
        ))}
        <path
          d={`${inner}Z`}
          fill="none"
          stroke="var(--quiet)"
          strokeWidth={px}
          strokeDasharray={`${3 * px} ${3 * px}`}
        />
        <path d={`${whole}Z`} fill="none" stroke="var(--ink)" strokeWidth={1.5 * px} />
        <Marks marks={edge.marks} px={px} />
        {pieces.map(
          ({ id, from, length, clockwise }) =>
            clockwise !== undefined && (
              <path
                key={id}
                d={arrowAlong(
                  edge.outline,
                  edge.perimeterMm,
                  { from, length, clockwise },
                  { x: edge.widthMm / 2, y: edge.heightMm / 2 },
                  edge.borderMm + 14 * px,
                  36 * px,
                )}
                fill="none"
                stroke="var(--ink)"
                strokeWidth={4 * px}
                strokeLinejoin="round"
                strokeLinecap="round"
              />
            ),
        )}
        <EdgeNames edge={edge} px={px} />
        {pins.map((pin) => {
          const { x, y } = pointAt(edge.outline, pin.at);
          return pin.kind === "wedge" ? (
            <path
              key={pin.id}
              d={`M${x - 7 * px} ${y - 7 * px}h${14 * px}l${-7 * px} ${14 * px}z`}
              fill="var(--ink)"
              stroke="var(--sheet)"
              strokeWidth={1.3 * px}
            >
              <title>{pin.title}</title>
            </path>
          ) : (
            <circle
              key={pin.id}
              cx={x}
              cy={y}
              r={8 * px}
              fill="none"
              stroke="var(--ink)"
              strokeWidth={2.5 * px}
              strokeDasharray={`${5 * px} ${3 * px}`}
            />
          );
        })}
      </svg>
    </div>
  );
}

/** What runs round most of the edge, such as a gasket, would hide all that lies under it. */
function short(edge: Edge): Edge["features"] {
  return edge.features.filter((feature) => feature.lengthMm < edge.perimeterMm / 2);
}

/** Whichever way it lies, one sees where one is. */
export function EdgeNames({ edge, px }: { edge: Edge; px: number }) {
  return edge.parts
    .filter((part) => !part.landmark.includes("_"))
    .map((part) => (
      <EdgeName
        key={part.landmark}
        edge={edge}
        at={part.fromMm + part.lengthMm / 2}
        words={part.words}
        px={px}
      />
    ));
}

/** The name of an edge stands outside it, upright wherever the device is turned. */
function EdgeName({ edge, at, words, px }: { edge: Edge; at: number; words: string; px: number }) {
  const { x, y } = pointAt(edge.outline, at);
  const upright = x < 1 || x > edge.widthMm - 1;
  const outX = x < 1 ? -11 * px : x > edge.widthMm - 1 ? 11 * px : 0;
  const outY = y < 1 ? -7 * px : y > edge.heightMm - 1 ? 18 * px : 0;
  return (
    <text
      x={x + outX}
      y={y + outY}
      fontSize={14 * px}
      fill="var(--quiet)"
      textAnchor="middle"
      dominantBaseline={upright ? "middle" : "auto"}
      transform={upright ? `rotate(${x < 1 ? -90 : 90} ${x + outX} ${y})` : undefined}
    >
      {words}
    </text>
  );
}
