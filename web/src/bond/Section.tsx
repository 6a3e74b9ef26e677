import type { Schemas } from "@/api/client";

const HEIGHT = 46;
const WIDTH = 128;
const RIM_Y = 14;
const DEEP = HEIGHT - RIM_Y - 6;

/** Cut through rim, ledge, what holds and the front, upright to scale: whether it stands over the rim is seen before it is laid. */
export function Section({
  seat,
  proudMm,
  title,
}: {
  seat: Schemas["SeatView"];
  proudMm: number;
  title: string;
}) {
  const px = DEEP / seat.depthMm;
  const top = RIM_Y - proudMm * px;
  const front = seat.frontMm * px;
  return (
    <svg viewBox={`0 0 ${WIDTH} ${HEIGHT}`} className="h-12 w-32 shrink-0" role="img" aria-label={title}>
      <path
        d={`M0 ${HEIGHT}V${RIM_Y}H26V${RIM_Y + DEEP}H78V${HEIGHT}Z`}
        fill="var(--bond)"
        stroke="var(--ink)"
        strokeWidth={1.2}
      />
      <rect
        x={34}
        y={top + front}
        width={34}
        height={Math.max(1.5, RIM_Y + DEEP - top - front)}
        fill="var(--lamp)"
        stroke="var(--ink)"
        strokeWidth={0.8}
      />
      <rect
        x={29}
        y={top}
        width={WIDTH - 29}
        height={front}
        fill="var(--sheet)"
        stroke="var(--ink)"
        strokeWidth={1.2}
      />
      <line
        x1={26}
        x2={WIDTH}
        y1={RIM_Y}
        y2={RIM_Y}
        stroke="var(--ink)"
        strokeWidth={0.8}
        strokeDasharray="3 3"
      />
    </svg>
  );
}
