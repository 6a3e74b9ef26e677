import { scaleLinear } from "d3-scale";
import { area, line } from "d3-shape";
import { clockWords } from "@/time/clock";
import { temperature, type Units } from "@/units/units";
import { useSize } from "@/ui/useSize";
import type { Heat } from "./useHeat";

type Point = Heat["curve"][number];

const LEFT = 58;
const RIGHT = 72;
const BOTTOM = 26;

/** Bond and battery over time, each with its band, against what is workable and what is the limit. */
export function Curve({ heat, units, elapsed }: { heat: Heat; units: Units; elapsed: number | null }) {
  const [box, { width: W, height: H }] = useSize<HTMLDivElement>({ width: 740, height: 220 });
  const horizon = Math.min(900, Math.max(heat.soakSeconds * 1.5, heat.latestSeconds * 1.15, 240));
  const points = heat.curve.filter((point) => point.seconds <= horizon + 15);
  const top = heat.limits.batteryStopC + 8;
  const x = scaleLinear([0, horizon], [LEFT, W - RIGHT]);
  const y = scaleLinear([20, top], [H - BOTTOM, 8]).clamp(true);
  const at = (value: number | null) => y(value ?? 20);
  const band = (of: (p: Point) => Point["bondC"]) =>
    area<Point>()
      .x((p) => x(p.seconds))
      .y0((p) => at(of(p).p10))
      .y1((p) => at(of(p).p90))(points) ?? "";
  const middle = (of: (p: Point) => Point["bondC"]) =>
    line<Point>()
      .x((p) => x(p.seconds))
      .y((p) => at(of(p).p50))(points) ?? "";
  const end = points.at(-1);
  const bondEnd = at(end?.bondC.p50 ?? null);
  const batteryEnd = at(end?.batteryC.p50 ?? null);
  // Names at the line ends keep apart where the lines run together.
  const apart = Math.abs(bondEnd - batteryEnd) < 17;
  return (
    <div ref={box} className="min-h-36 flex-1 overflow-hidden">
      <svg
        width={W}
        height={H}
        className="block"
        role="img"
        aria-label={`Bond and battery over time; the bond is workable from ${temperature(heat.workableFromC, units)}`}
      >
        <path d={band((p) => p.batteryC)} fill="var(--quiet)" opacity="0.18" />
        <path d={band((p) => p.bondC)} fill="var(--warm)" opacity="0.28" />
        <Level
          to={W - RIGHT}
          y={y(heat.workableFromC)}
          words={`workable ${temperature(heat.workableFromC, units)}`}
        />
        <Level
          to={W - RIGHT}
          y={y(heat.limits.batteryStopC)}
          words={`battery stop ${temperature(heat.limits.batteryStopC, units)}`}
          alarm
        />
        <path
          d={middle((p) => p.batteryC)}
          fill="none"
          stroke="var(--quiet)"
          strokeWidth="3"
          strokeDasharray="7 4"
        />
        <path d={middle((p) => p.bondC)} fill="none" stroke="var(--warm)" strokeWidth="4" />
        <text
          x={W - RIGHT + 8}
          y={(apart ? bondEnd - 8 : bondEnd) + 5}
          fontSize="16"
          fontWeight="600"
          fill="var(--ink)"
        >
          bond
        </text>
        <text
          x={W - RIGHT + 8}
          y={(apart ? batteryEnd + 10 : batteryEnd) + 5}
          fontSize="16"
          fill="var(--quiet)"
        >
          battery
        </text>
        <line
          x1={x(heat.soakSeconds)}
          x2={x(heat.soakSeconds)}
          y1={8}
          y2={H - BOTTOM}
          stroke="var(--ink)"
          strokeWidth="2"
        />
        <text x={x(heat.soakSeconds) - 6} y={H - BOTTOM - 8} fontSize="15" fill="var(--ink)" textAnchor="end">
          lift at {clockWords(Math.round(heat.soakSeconds))}
        </text>
        {elapsed !== null && elapsed <= horizon && (
          <>
            <line
              x1={x(elapsed)}
              x2={x(elapsed)}
              y1={8}
              y2={H - BOTTOM}
              stroke="var(--lamp)"
              strokeWidth="6"
              opacity="0.85"
            />
            <text x={x(elapsed) + 8} y={22} fontSize="15" fill="var(--ink)">
              now
            </text>
          </>
        )}
        {x.ticks(6).map((tick) => (
          <text key={tick} x={x(tick)} y={H - 8} fontSize="14" fill="var(--quiet)" textAnchor="middle">
            {clockWords(tick)}
          </text>
        ))}
        {y.ticks(5).map((tick) => (
          <text key={tick} x={LEFT - 8} y={y(tick) + 5} fontSize="14" fill="var(--quiet)" textAnchor="end">
            {temperature(tick, units)}
          </text>
        ))}
      </svg>
    </div>
  );
}

function Level({ y, to, words, alarm = false }: { y: number; to: number; words: string; alarm?: boolean }) {
  return (
    <g>
      <line
        x1={LEFT}
        x2={to}
        y1={y}
        y2={y}
        stroke={alarm ? "var(--alarm)" : "var(--ink)"}
        strokeWidth={alarm ? 3 : 1.5}
      />
      <text x={LEFT + 6} y={y - 6} fontSize="15" fill={alarm ? "var(--alarm)" : "var(--ink)"}>
        {words}
      </text>
    </g>
  );
}
