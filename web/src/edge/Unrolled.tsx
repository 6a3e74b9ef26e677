import { scaleLinear } from "d3-scale";
import type { PointerEvent } from "react";
import { ruler, type Units } from "@/units/units";
import { useSize } from "@/ui/useSize";
import { FILL, type Pin, type Track } from "./pieces";
import type { Edge } from "./useEdge";

const NAMES = 22;
const RULER = 20;

/** All four edges in one straight band, corners marked, with the tracks that matter at this station. */
export function Unrolled({
  edge,
  tracks,
  pins,
  units,
  active,
  onPoint,
  onActive,
}: {
  edge: Edge;
  tracks: readonly Track[];
  pins: readonly Pin[];
  units: Units;
  active: string | null;
  onPoint: (at: number) => void;
  onActive: (id: string | null) => void;
}) {
  const [box, { width }] = useSize<HTMLDivElement>({ width: 740, height: 0 });
  const x = scaleLinear([0, edge.perimeterMm], [0, width]);
  const height = tracks.reduce((sum, track) => sum + track.height + 4, NAMES) + RULER;
  const point = (event: PointerEvent<SVGSVGElement>) => {
    const left = event.currentTarget.getBoundingClientRect().left;
    onPoint(Math.round(Math.max(0, Math.min(edge.perimeterMm, x.invert(event.clientX - left))) * 10) / 10);
  };
  const tops = tracks.map((_, i) => tracks.slice(0, i).reduce((sum, track) => sum + track.height + 4, NAMES));
  return (
    <div ref={box} className="w-full">
      <svg
        width={width}
        height={height}
        className="block touch-manipulation select-none"
        role="img"
        aria-label="The edge unrolled into one band"
        onPointerDown={point}
      >
        {edge.parts.map((part) =>
          // A name that has no room stays away; the outline carries it too.
          part.landmark.includes("_") ? (
            <g key={part.landmark}>
              <rect
                x={x(part.fromMm)}
                y={NAMES - 4}
                width={x(part.lengthMm)}
                height={height - NAMES - RULER + 6}
                fill="var(--line)"
                opacity="0.45"
              />
              <path
                d={`M${x(part.fromMm) + 3} ${NAMES - 7}q${x(part.lengthMm) / 2 - 3} -9 ${x(part.lengthMm) - 6} 0`}
                fill="none"
                stroke="var(--quiet)"
                strokeWidth="1.5"
              />
            </g>
          ) : (
            x(part.lengthMm) > 7 * part.words.length && (
              <text
                key={part.landmark}
                x={x(part.fromMm + part.lengthMm / 2)}
                y={14}
                fontSize="15"
                fill="var(--quiet)"
                textAnchor="middle"
              >
                {part.words}
              </text>
            )
          ),
        )}
        {tracks.map((track, n) => {
          const y = tops[n] ?? NAMES;
          return (
            <g key={track.id}>
              <rect x="0" y={y} width={width} height={track.height} fill="var(--bond)" opacity="0.5" />
              {track.pieces.flatMap((piece) => {
                const tall = track.height * (piece.fill ?? 1);
                return wrapped(piece.from, piece.length, edge.perimeterMm).map(([from, run], i) => (
                  <g key={`${piece.id}/${i}`}>
                    <rect
                      x={x(from) + 0.75}
                      y={y}
                      width={Math.max(1, x(run) - 1.5)}
                      height={tall}
                      fill={FILL[piece.tone]}
                      stroke={
                        active === piece.id || piece.tone === "next"
                          ? "var(--ink)"
                          : piece.tone === "bond"
                            ? "var(--quiet)"
                            : "none"
                      }
                      strokeWidth={piece.tone === "bond" ? 0.75 : 2}
                      onPointerEnter={() => onActive(piece.id)}
                      onPointerLeave={() => onActive(null)}
                    >
                      <title>{piece.title}</title>
                    </rect>
                    {piece.label && x(run) > 8 * piece.label.length && (
                      <text
                        x={x(from + run / 2)}
                        y={y + track.height - 7}
                        fontSize="14"
                        textAnchor="middle"
                        fill={piece.tone === "next" ? "var(--on-lamp)" : "var(--ink)"}
                        stroke={piece.tone === "hazard" ? "var(--sheet)" : "none"}
                        strokeWidth={piece.tone === "hazard" ? 4 : 0}
                        paintOrder="stroke"
                        pointerEvents="none"
                      >
                        {piece.label}
                      </text>
                    )}
                  </g>
                ));
              })}
            </g>
          );
        })}
        {pins.map((pin) => (
          <g key={pin.id} transform={`translate(${x(pin.at)} ${NAMES - 4})`}>
            {pin.kind === "wedge" ? (
              <path d="M-7 -8h14l-7 16z" fill="var(--ink)" stroke="var(--sheet)" strokeWidth="1.2">
                <title>{pin.title}</title>
              </path>
            ) : (
              <line
                y2={height - NAMES - RULER + 6}
                stroke="var(--ink)"
                strokeWidth="2"
                strokeDasharray="5 3"
              />
            )}
          </g>
        ))}
        {ruler(x.domain()[1] ?? 0, Math.min(9, Math.floor(width / 80)), units)
          .filter((mark) => x(mark.at) < width - 60)
          .map((mark) => (
            <text key={mark.at} x={x(mark.at) + 2} y={height - 4} fontSize="13" fill="var(--quiet)">
              {mark.words}
            </text>
          ))}
      </svg>
    </div>
  );
}

/** A piece that runs over position 0 shows at both ends of the band. */
function wrapped(from: number, length: number, perimeter: number): [number, number][] {
  return from + length <= perimeter
    ? [[from, length]]
    : [
        [from, perimeter - from],
        [0, from + length - perimeter],
      ];
}
