import type { Schemas } from "@/api/client";
import { length, type Units } from "@/units/units";
import { Facts } from "@/ui/Facts";

type Film = NonNullable<Schemas["JoinView"]["film"]>;

const WIDTH = 560;
const HEIGHT = 300;
const LEFT = 84;
const BOTTOM = 44;
const TOP = 16;

/** How long the chamber takes for a bubble of any size, and where those lie that were seen. */
export function FilmPanel({ film, units }: { film: Film; units: Units }) {
  const last = film.chamber.at(-1);
  if (!last) {
    return <p className="text-xl">This chamber is too weak for any bubble that can be seen.</p>;
  }
  const x = (mm: number) => LEFT + ((WIDTH - LEFT - 12) * mm) / last.acrossMm;
  const y = (seconds: number) => HEIGHT - BOTTOM - ((HEIGHT - BOTTOM - TOP) * seconds) / last.seconds;
  const secondsFor = (mm: number) =>
    film.chamber.reduce((near, one) =>
      Math.abs(one.acrossMm - mm) < Math.abs(near.acrossMm - mm) ? one : near,
    ).seconds;
  const hours = [1800, 3600, 5400, 7200].filter((s) => s <= last.seconds);
  const seen = film.bubblesMm.at(-1);
  return (
    <div className="grid min-h-0 flex-1 grid-cols-[minmax(0,1fr)_17rem] items-center gap-5">
      <svg
        viewBox={`0 0 ${WIDTH} ${HEIGHT}`}
        className="max-h-full w-full"
        role="img"
        aria-label={`Minutes under pressure by the width of the largest bubble, up to ${length(last.acrossMm, units)}`}
      >
        {hours.map((s) => (
          <g key={s}>
            <line x1={LEFT} x2={WIDTH - 12} y1={y(s)} y2={y(s)} stroke="var(--line)" />
            <text x={LEFT - 8} y={y(s) + 5} textAnchor="end" className="digits fill-ink text-base">
              {s / 60} min
            </text>
          </g>
        ))}
        {film.chamber
          .filter((_, i) => i % 2 === 1)
          .map(({ acrossMm }) => (
            <text
              key={acrossMm}
              x={x(acrossMm)}
              y={HEIGHT - BOTTOM + 22}
              textAnchor="middle"
              className="digits fill-ink text-base"
            >
              {length(acrossMm, units)}
            </text>
          ))}
        <text x={WIDTH - 12} y={HEIGHT - 2} textAnchor="end" className="fill-quiet text-base">
          largest bubble, across
        </text>
        <polyline
          points={film.chamber.map((one) => `${x(one.acrossMm)},${y(one.seconds)}`).join(" ")}
          fill="none"
          stroke="var(--ink)"
          strokeWidth={3}
        />
        {film.bubblesMm.map((mm, run) => (
          <g key={run}>
            <circle
              cx={x(Math.min(mm, last.acrossMm))}
              cy={y(secondsFor(mm))}
              r={9}
              fill={run === film.bubblesMm.length - 1 ? "var(--lamp)" : "var(--done)"}
              stroke="var(--ink)"
              strokeWidth={2}
            />
            <text
              x={x(Math.min(mm, last.acrossMm)) + (mm > last.acrossMm / 2 ? -14 : 14)}
              y={y(secondsFor(mm)) + (mm > last.acrossMm / 2 ? 5 : 22)}
              textAnchor={mm > last.acrossMm / 2 ? "end" : "start"}
              className="fill-ink text-base font-semibold"
            >
              {run + 1}.
            </text>
          </g>
        ))}
      </svg>
      <div>
        {seen !== undefined && (
          <>
            <p className="digits text-5xl leading-none font-bold">{Math.ceil(secondsFor(seen) / 60)} min</p>
            <p className="mt-2 text-xl leading-snug font-semibold">
              for a bubble of {length(seen, units)} and all smaller ones
            </p>
          </>
        )}
        <div className="mt-3">
          <Facts
            facts={[
              ["film", length(film.thicknessMm, units)],
              ["chamber", `${film.chamberKPa} kPa`],
            ]}
          />
        </div>
        <p className="mt-3 leading-snug text-quiet">
          Ten minutes until it is warm through, the rest for the bubble. Reckoned for usual soft film: the
          maker&apos;s sheet comes first. A vessel under pressure is opened only when its gauge stands at
          nothing.
        </p>
      </div>
    </div>
  );
}
