import { keepPreviousData, useQuery } from "@tanstack/react-query";
import { useId } from "react";
import { api, type Schemas, unwrap } from "@/api/client";
import { keys } from "@/api/keys";
import { TurnButtons } from "@/edge/TurnButtons";
import { useEdge } from "@/edge/useEdge";
import type { PanelProps } from "@/job/panel";
import { useUnits } from "@/session/useSession";
import { OpenDevice } from "@/strip/OpenDevice";
import { clockWords, secondsLeft, useServerSeconds } from "@/time/clock";
import { length, say } from "@/units/units";
import { Button } from "@/ui/Button";
import { Facts } from "@/ui/Facts";
import { FilmPanel } from "./FilmPanel";
import { reachAt } from "./reach";
import { Awaited } from "@/ui/Awaited";

type Join = Schemas["JoinView"];

/** As often as an instrument is asked. */
const OFTEN_MS = 2000;

/** New glass on the panel: where the liquid has got to by now, and how much of the lamp's dose is in. */
export function JoinPanel({ job, record, view, onView }: PanelProps) {
  const units = useUnits();
  const clip = useId();
  const nowS = useServerSeconds();
  const edge = useEdge(job.id, view).data;
  const { data: join } = useQuery({
    queryKey: keys.station(job.id, "join", job.seq, view),
    queryFn: async () =>
      unwrap(await api.GET("/api/jobs/{jobId}/join", { params: { path: { jobId: job.id }, query: view } })),
    placeholderData: keepPreviousData,
    refetchInterval: ({ state }) => (state.data?.lampMwPerCm2 === null ? OFTEN_MS : false),
  });
  if (!edge || !join) {
    return <Awaited words="Reckoning the liquid" />;
  }
  if (join.with === "FILM" && join.film) {
    return <FilmPanel film={join.film} units={units} />;
  }
  const since = join.laidAt ? Math.max(0, -secondsLeft(join.laidAt, 0, nowS)) : null;
  const dry = join.corners.filter((corner) => !corner.reached);
  const left =
    since === null || dry.length === 0
      ? null
      : Math.ceil(Math.max(...dry.map((corner) => corner.forecastSeconds)) - since);
  const late = dry.find((corner) => corner.late);
  return (
    <div className="grid min-h-0 flex-1 grid-cols-[minmax(0,1fr)_17rem] items-center gap-5">
      <div className="relative h-full min-h-0">
        <OpenDevice
          edge={edge}
          label="Where the liquid is between glass and panel"
          strip={{ plugs: [], holes: [], parts: [] }}
          marks={(px) => (
            <>
              <clipPath id={clip}>
                <polygon points={edge.inner.map((p) => `${p.x},${p.y}`).join(" ")} />
              </clipPath>
              <polygon
                points={edge.inner.map((p) => `${p.x},${p.y}`).join(" ")}
                fill="none"
                stroke="var(--quiet)"
                strokeWidth={1.5 * px}
                strokeDasharray={`${4 * px} ${3 * px}`}
              />
              <g clipPath={`url(#${clip})`}>
                {join.dots.map((dot) => (
                  <circle
                    key={`${dot.x}/${dot.y}`}
                    cx={dot.x}
                    cy={dot.y}
                    r={reachAt(join.reach, join.spread ? Number.POSITIVE_INFINITY : (since ?? 0))}
                    fill={since === null ? "none" : join.spread ? "var(--free)" : "var(--lamp)"}
                    opacity={0.75}
                    stroke="var(--ink)"
                    strokeWidth={1.5 * px}
                    strokeDasharray={since === null ? `${4 * px} ${3 * px}` : undefined}
                  />
                ))}
                {join.spread && (
                  <polygon points={edge.inner.map((p) => `${p.x},${p.y}`).join(" ")} fill="var(--free)" />
                )}
              </g>
              {!join.spread &&
                join.corners.map((corner) => (
                  <WetCorner
                    key={corner.corner}
                    corner={corner}
                    leftS={since === null ? 0 : Math.ceil(corner.forecastSeconds - since)}
                    px={px}
                    onSeen={job.closed ? null : () => void record(corner.take.fact, corner.take.label)}
                  />
                ))}
            </>
          )}
        />
        <TurnButtons view={view} onView={onView} className="absolute right-0 bottom-0 flex gap-1" />
      </div>
      <div>
        <Facts
          facts={[
            ["liquid", `${join.ml.toFixed(2)} ml`],
            ["of an 18 gauge needle", `${join.drops} drops`],
            ["film left", length(join.gapMm, units)],
            ["lamp there", join.lampMwPerCm2 === null ? "not read" : `${join.lampMwPerCm2} mW/cm²`],
          ]}
        />
        {join.radiometer && join.lampMwPerCm2 === null && !job.closed && (
          <Radiometer says={join.radiometer} onTake={(take) => void record(take.fact, take.label)} />
        )}
        {since !== null && !join.spread && (
          <p className="mt-3 text-xl leading-snug font-semibold">
            {late
              ? `Dry at the ${late.place} for far too long: warm the glass a little, press towards it from the middle`
              : left === null
                ? "At all four: look once more for bubbles"
                : left > 0
                  ? "Tap each corner as it gets there"
                  : "Should be at every corner: look by low light"}
          </p>
        )}
        {join.film && since === null && join.film.against.length > 0 && (
          <p className="mt-3 leading-snug text-quiet">
            {join.film.film}: {say(join.film.against[0] ?? "", units)}
          </p>
        )}
        <Doses join={join} />
        <p className="mt-3 leading-snug text-quiet">
          UV blinds and burns: shield eyes and skin. Reckoned for usual liquid: the maker&apos;s sheet comes
          first.
        </p>
      </div>
    </div>
  );
}

/** Tapped when the liquid is there; until then, how long it should take. */
function WetCorner({
  corner,
  leftS,
  px,
  onSeen,
}: {
  corner: Join["corners"][number];
  leftS: number;
  px: number;
  onSeen: (() => void) | null;
}) {
  const { at, reached } = corner;
  const words = reached ? "wet" : leftS > 0 ? clockWords(leftS) : corner.late ? "late" : "due";
  const see = reached ? null : onSeen;
  return (
    <g
      role={see ? "button" : undefined}
      tabIndex={see ? 0 : undefined}
      aria-label={`${corner.place}: ${words}${see ? ", tap when it is there" : ""}`}
      className={see ? "cursor-pointer" : undefined}
      onClick={() => see?.()}
      onKeyDown={(event) => {
        if (event.key === "Enter") {
          see?.();
        }
      }}
    >
      <circle
        cx={at.x}
        cy={at.y}
        r={30 * px}
        fill={reached ? "var(--done)" : "var(--sheet)"}
        stroke={corner.late ? "var(--alarm)" : "var(--ink)"}
        strokeWidth={(corner.late ? 4 : 2) * px}
      />
      <text
        x={at.x}
        y={at.y + 6 * px}
        textAnchor="middle"
        fontSize={17 * px}
        className="digits font-bold"
        fill={reached ? "var(--sheet)" : "var(--ink)"}
      >
        {words}
      </text>
    </g>
  );
}

/** What it reads under the lamp now, taken with one tap instead of typed. */
function Radiometer({
  says,
  onTake,
}: {
  says: NonNullable<Join["radiometer"]>;
  onTake: (take: NonNullable<Join["radiometer"]>["take"]) => void;
}) {
  return (
    <div className="mt-3 flex items-center justify-between gap-3">
      <p className="leading-snug">
        {says.instrument}: <b className="digits">{says.mwPerCm2} mW/cm²</b>
      </p>
      <Button disabled={!says.take.mine} onClick={() => onTake(says.take)}>
        {says.take.label}
      </Button>
    </div>
  );
}

function Doses({ join }: { join: Join }) {
  return (
    <dl className="mt-4 grid gap-3">
      {join.lit.map((lit) => {
        const share = Math.min(1, lit.givenJ / lit.neededJ);
        return (
          <div key={lit.lit}>
            <dt className="leading-tight text-quiet first-letter:uppercase">{lit.words}</dt>
            <dd className="mt-1">
              <svg viewBox="0 0 100 12" preserveAspectRatio="none" className="h-4 w-full" aria-hidden>
                <rect width="100" height="12" fill="var(--line)" />
                <rect width={100 * share} height="12" fill={share < 0.995 ? "var(--lamp)" : "var(--done)"} />
              </svg>
              <b className="digits text-xl">
                {lit.givenJ.toFixed(1)} of {lit.neededJ} J/cm²
              </b>
            </dd>
          </div>
        );
      })}
    </dl>
  );
}
