import { useId } from "react";
import { scaleLinear } from "d3-scale";
import { area, line } from "d3-shape";
import { clockWords } from "@/time/clock";
import { degrees, temperature, type Units } from "@/units/units";
import { useSize } from "@/ui/useSize";
import type { Forecast, Guarded } from "./useHeat";

type Point = Forecast["curve"][number];

/** What there is to draw; {@code liftS} is when it is meant to come off. */
export interface Course {
  curve: Point[];
  guarded: Guarded;
  workableFromC: number;
  liftS: number;
  latestS: number;
  measured: Forecast["measured"];
}

const LEFT = 58;
const RIGHT = 72;
const BOTTOM = 26;
/** So far from the moment to lift the clock is written again, px. */
const BESIDE_LIFT = 70;

/** Bond and battery, or the display where that is out, over time, each with its band, against what is workable and what is the limit. */
export function Curve({ course, units, elapsed }: { course: Course; units: Units; elapsed: number | null }) {
  const [box, { width: W, height: H }] = useSize<HTMLDivElement>({ width: 740, height: 220 });
  const known = course.curve.at(-1)?.seconds ?? 0;
  const horizon = Math.min(known, Math.max(course.liftS * 1.5, Math.min(course.latestS, 900) * 1.15, 240));
  const points = course.curve.filter((point) => point.seconds <= horizon + 15);
  const plot = useId();
  const { batteryIn, stopC } = course.guarded;
  const part = batteryIn ? "battery" : "display";
  const inside = (p: Point) => (batteryIn ? p.batteryC : p.displayC);
  // A curve starts at the room's temperature.
  const foot = Math.min(20, Math.floor((course.curve[0]?.bondC.p50 ?? 20) / 10) * 10);
  const top = Math.max(stopC, course.workableFromC) + 8;
  const stopOnTop = stopC >= course.workableFromC;
  const x = scaleLinear([0, horizon], [LEFT, W - RIGHT]);
  const y = scaleLinear([foot, top], [H - BOTTOM, 8]).clamp(true);
  const at = (value: number | null) => y(value ?? foot);
  const band = (of: (p: Point) => Point["bondC"]) =>
    area<Point>()
      .x((p) => x(p.seconds))
      .y0((p) => at(of(p).p10))
      .y1((p) => at(of(p).p90))(points) ?? "";
  const middle = (of: (p: Point) => Point["bondC"]) =>
    line<Point>()
      .x((p) => x(p.seconds))
      .y((p) => at(of(p).p50))(points) ?? "";
  const ticks = x.ticks(6).filter((tick) => Math.abs(x(tick) - x(course.liftS)) > BESIDE_LIFT);
  const end = points.at(-1);
  const bondEnd = at(end?.bondC.p50 ?? null);
  const insideEnd = at(end ? inside(end).p50 : null);
  // Names at the line ends keep apart where the lines run together.
  const apart = Math.abs(bondEnd - insideEnd) < 17;
  // At the start and near the moment to lift the word would cover others; the coloured line says it alone.
  const clear =
    elapsed !== null &&
    x(elapsed) - LEFT > 60 &&
    (elapsed > course.liftS || x(course.liftS) - x(elapsed) > 150);
  return (
    <div ref={box} className="min-h-36 flex-1 overflow-hidden">
      <svg
        width={W}
        height={H}
        className="block"
        role="img"
        aria-label={`Bond and ${part} over time; the bond is workable from ${temperature(course.workableFromC, units)}`}
      >
        <clipPath id={plot}>
          <rect x={LEFT} y={0} width={Math.max(0, W - RIGHT - LEFT)} height={H} />
        </clipPath>
        <path clipPath={`url(#${plot})`} d={band(inside)} fill="var(--quiet)" opacity="0.18" />
        <path clipPath={`url(#${plot})`} d={band((p) => p.bondC)} fill="var(--warm)" opacity="0.28" />
        <path
          clipPath={`url(#${plot})`}
          d={middle(inside)}
          fill="none"
          stroke="var(--quiet)"
          strokeWidth="3"
          strokeDasharray="7 4"
        />
        <path
          clipPath={`url(#${plot})`}
          d={middle((p) => p.bondC)}
          fill="none"
          stroke="var(--warm)"
          strokeWidth="4"
        />
        <Level
          to={W - RIGHT}
          y={y(course.workableFromC)}
          words={`workable ${temperature(course.workableFromC, units)}`}
          above={!stopOnTop}
        />
        <Level
          to={W - RIGHT}
          y={y(stopC)}
          words={`${part} stop ${temperature(stopC, units)}`}
          above={stopOnTop}
          alarm
        />
        <text
          x={W - RIGHT + 8}
          y={Math.max(14, (apart ? bondEnd - 8 : bondEnd) + 5)}
          fontSize="16"
          fontWeight="600"
          fill="var(--ink)"
        >
          bond
        </text>
        <text
          x={W - RIGHT + 8}
          y={Math.max(apart ? 30 : 14, (apart ? insideEnd + 10 : insideEnd) + 5)}
          fontSize="16"
          fill="var(--quiet)"
        >
          {part}
        </text>
        <line
          x1={x(course.liftS)}
          x2={x(course.liftS)}
          y1={8}
          y2={H - BOTTOM}
          stroke="var(--ink)"
          strokeWidth="2"
        />
        <text
          x={x(course.liftS)}
          y={H - 8}
          fontSize="15"
          fontWeight="600"
          fill="var(--ink)"
          textAnchor="middle"
        >
          lift {clockWords(Math.round(course.liftS))}
        </text>
        {course.measured.map((m) => (
          <circle
            key={`${m.surface}${m.seconds}`}
            cx={x(m.seconds)}
            cy={y(m.celsius)}
            r="4.5"
            fill={m.surface === "FRAME" ? "var(--ink)" : "var(--sheet)"}
            stroke="var(--ink)"
            strokeWidth="2"
          >
            <title>{`${m.surface === "FRAME" ? "frame" : "glass"} ${temperature(m.celsius, units, 1)}`}</title>
          </circle>
        ))}
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
            {clear && (
              <text x={x(elapsed) + 8} y={H - BOTTOM - 8} fontSize="15" fill="var(--ink)">
                now
              </text>
            )}
          </>
        )}
        {ticks.map((tick) => (
          <text key={tick} x={x(tick)} y={H - 8} fontSize="14" fill="var(--quiet)" textAnchor="middle">
            {clockWords(tick)}
          </text>
        ))}
        {degrees(foot, top, 5, units).map((mark) => (
          <text
            key={mark.at}
            x={LEFT - 8}
            y={y(mark.at) + 5}
            fontSize="14"
            fill="var(--quiet)"
            textAnchor="end"
          >
            {mark.words}
          </text>
        ))}
      </svg>
    </div>
  );
}

/** The upper one is written above its line, the lower one below, so that the two keep apart. */
function Level({
  y,
  to,
  words,
  above,
  alarm = false,
}: {
  y: number;
  to: number;
  words: string;
  above: boolean;
  alarm?: boolean;
}) {
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
      <text
        x={LEFT + 6}
        y={above ? y - 6 : y + 16}
        fontSize="15"
        fill={alarm ? "var(--alarm)" : "var(--ink)"}
        stroke="var(--ground)"
        strokeWidth="4"
        paintOrder="stroke"
      >
        {words}
      </text>
    </g>
  );
}
