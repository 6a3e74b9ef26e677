import clsx from "clsx";
import { useState } from "react";
import type { PanelProps } from "@/job/panel";
import { useEdge } from "@/edge/useEdge";
import { useEdgePicture } from "@/edge/useEdgePicture";
import { crackPieces, featurePieces } from "@/intake/pieces";
import { useUnits } from "@/session/useSession";
import { clockWords, secondsLeft, useServerSeconds } from "@/time/clock";
import { duration, say, temperature, type Units } from "@/units/units";
import { Button } from "@/ui/Button";
import { type Course, Curve } from "./Curve";
import { During } from "./During";
import { openIn } from "./openIn";
import { SoakLog } from "./SoakLog";
import { Sources } from "./Sources";
import { type Forecast, type Guarded, type Heat, type Plan, useForecast, useHeat } from "./useHeat";
import { atMoment, plannedWarmth, warmthAt } from "./warmth";
import { WhyHeat } from "./WhyHeat";
import { Awaited } from "@/ui/Awaited";

/** One number, the curve it comes from, the edge it is about; sources and reasons a tap away. */
export function HeatPanel(props: PanelProps) {
  const { job } = props;
  const soaking = job.timers.some((timer) => timer.warmth === "RISING");
  const heat = useHeat(job.id, job.seq, !soaking);
  const forecast = useForecast(job.id, job.seq, soaking);
  if (soaking) {
    return forecast ? <Running {...props} forecast={forecast} /> : <Computing what="forecast" />;
  }
  const best = heat?.plans[0];
  return heat && best ? <Planned {...props} heat={heat} best={best} /> : <Computing what="plan" />;
}

function Computing({ what }: { what: string }) {
  return <Awaited words={`Computing the ${what}`} />;
}

function Planned({
  job,
  record,
  pointed,
  onPoint,
  view,
  onView,
  heat,
  best,
  reasons,
  onReasonsSeen,
}: PanelProps & { heat: Heat; best: Plan }) {
  const { plans, guarded, rough, stillWarm, soaks, hand } = heat;
  const units = useUnits();
  const [chosen, setChosen] = useState<Plan | null>(null);
  const [shown, setShown] = useState<"why" | "sources" | "log" | null>(null);
  const close = () => {
    setShown(null);
    onReasonsSeen();
  };
  const plan = chosen ?? best;
  const start = () => void record(plan.begin.fact, "Start the soak");
  const early = plan.readyAtSeconds.p10;
  const late = plan.readyAtSeconds.p90;
  const rows: [string, string][] = [
    [
      "first soft",
      early === null
        ? "not here"
        : `${clockWords(Math.round(early))} – ${late === null ? "…" : clockWords(Math.round(late))}`,
    ],
    guarded.batteryIn
      ? ["battery then", temperature(plan.batteryAtPullC.p50 ?? 0, units)]
      : ["display then", temperature(plan.displayAtPullC.p50 ?? 0, units)],
    ["off at the latest", clockWords(Math.round(plan.latestSeconds))],
    plan.then
      ? ["all free in", openIn(plan.then)]
      : ["then soft for", duration(plan.workableForSeconds.p50 ?? 0)],
  ];
  return (
    <Layout
      panel={{ job, pointed, onPoint, view, onView }}
      units={units}
      guarded={guarded}
      warmth={plannedWarmth(plan, units)}
      elapsed={null}
      course={{
        curve: plan.curve,
        guarded,
        workableFromC: plan.workableFromC,
        liftS: plan.soakSeconds,
        latestS: plan.latestSeconds,
        measured: [],
      }}
      number={clockWords(plan.seconds)}
      beside={plan.byStretch ? "the first stretch" : stillWarm ? "again" : null}
      under={`on ${plan.sourceName} at ${temperature(plan.settingC, units)}`}
      then={plan.then && say(plan.then.words, units)}
      rows={rows}
    >
      {chosen && (
        <Button shortcut="g" disabled={!plan.begin.mine || plan.taken !== null} onClick={start}>
          Start with this
        </Button>
      )}
      {chosen && (
        <Button shortcut="p" look="quiet" onClick={() => setChosen(null)}>
          Back to the plan
        </Button>
      )}
      <Button shortcut="o" onClick={() => setShown("sources")}>
        Sources and recipes
      </Button>
      {soaks > 0 && (
        <Button shortcut="l" onClick={() => setShown("log")}>
          Last soak
        </Button>
      )}
      <Button shortcut="y" look="quiet" onClick={() => setShown("why")}>
        Why?
      </Button>
      <span className="text-quiet">
        {rough
          ? "a first look; weighing all sources …"
          : plan.howSure === "MEASURED_HERE"
            ? "measured on this bench"
            : "computed, not measured"}
      </span>
      {plan.taken && (
        <span className="font-semibold text-alarm">another device lies on it: see the sources</span>
      )}
      {!plan.feasible && (
        <span className="font-semibold text-alarm">does not soften the bond within the limits</span>
      )}
      <WhyHeat plan={plan} hand={hand} units={units} open={shown === "why" || reasons} onClose={close} />
      {shown === "log" && <SoakLog jobId={job.id} units={units} onClose={() => setShown(null)} />}
      {shown === "sources" && (
        <Sources
          job={job}
          plans={plans}
          schools={heat.schools}
          units={units}
          onChoose={(next) => {
            setChosen(next);
            setShown(null);
          }}
          onClose={() => setShown(null)}
        />
      )}
    </Layout>
  );
}

function Running({ forecast, ...props }: PanelProps & { forecast: Forecast }) {
  const { job, record, pointed, onPoint, view, onView } = props;
  const units = useUnits();
  const nowS = useServerSeconds();
  const timer = job.timers.find((t) => t.warmth === "RISING");
  const meant = timer?.seconds ?? 0;
  const elapsed = Math.max(0, nowS - Math.floor(Date.parse(forecast.startedAt) / 1000));
  const left = secondsLeft(forecast.startedAt, meant, nowS);
  const ready = forecast.readyAtSeconds;
  const now = (of: (point: Forecast["curve"][number]) => number | null) =>
    temperature(
      atMoment(forecast, elapsed, (i) => {
        const point = forecast.curve[i];
        return point && of(point);
      }) ?? 0,
      units,
    );
  const rows: [string, string][] = [
    ["bond ready", ready.p10 === null ? "not like this" : readyWords(ready, elapsed)],
    forecast.guarded.batteryIn
      ? ["battery now", now((p) => p.batteryC.p50)]
      : ["display now", now((p) => p.displayC.p50)],
    ["off at the latest", clockWords(Math.round(forecast.latestSeconds))],
    ["coldest bond now", now((p) => p.bondC.p50)],
  ];
  return (
    <Layout
      panel={{ job, pointed, onPoint, view, onView }}
      units={units}
      guarded={forecast.guarded}
      warmth={warmthAt(forecast, elapsed, units)}
      elapsed={elapsed}
      course={{
        curve: forecast.curve,
        guarded: forecast.guarded,
        workableFromC: forecast.workableFromC,
        liftS: meant,
        latestS: forecast.latestSeconds,
        measured: forecast.measured,
      }}
      number={clockWords(left)}
      beside={left > 0 ? "left" : "over"}
      under={`on ${forecast.sourceName} at ${temperature(forecast.settingC, units)}`}
      rows={rows}
    >
      <During forecast={forecast} elapsed={elapsed} record={record} units={units} />
    </Layout>
  );
}

function readyWords(ready: Forecast["readyAtSeconds"], elapsed: number): string {
  if (ready.p90 !== null && elapsed > ready.p90) {
    return "now";
  }
  return `${clockWords(Math.round(ready.p10 ?? 0))} – ${ready.p90 === null ? "…" : clockWords(Math.round(ready.p90))}`;
}

function Layout({
  panel,
  units,
  guarded,
  warmth,
  course,
  elapsed,
  number,
  beside,
  under,
  then,
  rows,
  children,
}: {
  panel: Pick<PanelProps, "job" | "pointed" | "onPoint" | "view" | "onView">;
  units: Units;
  guarded: Guarded;
  warmth: ReturnType<typeof plannedWarmth>;
  course: Course;
  elapsed: number | null;
  number: string;
  beside: string | null;
  under: string;
  then?: string | null;
  rows: [string, string][];
  children: React.ReactNode;
}) {
  const { job, pointed, onPoint, view, onView } = panel;
  const edge = useEdge(job.id, view).data;
  const picture = useEdgePicture({
    jobId: job.id,
    tracks: [
      { id: "warm", name: "bond", height: 36, pieces: warmth },
      { id: "edge", name: "edge", height: 22, pieces: [...featurePieces(edge), ...crackPieces(job.cracks)] },
    ],
    foldedTrack: "warm",
    pointed,
    onPoint,
    view,
    onView,
  });
  return (
    <div className="flex min-h-0 flex-1 flex-col gap-2">
      <div className="grid gap-3 xl:grid-cols-[minmax(0,1fr)_13rem]">
        <div className="flex flex-col gap-2">
          <div className="flex items-start gap-5">
            <p className="leading-none">
              <span className={clsx("digits font-bold", number.length > 5 ? "text-4xl" : "text-6xl")}>
                {number}
              </span>
              {beside && <span className="ml-2 text-2xl">{beside}</span>}
              <span className="mt-2 block text-xl whitespace-nowrap">{under}</span>
            </p>
            <dl className="grid flex-1 grid-cols-[auto_auto] justify-start gap-x-3 whitespace-nowrap leading-snug">
              {rows.map(([name, value]) => (
                <div key={name} className="contents">
                  <dt className="text-quiet">{name}</dt>
                  <dd className="digits font-semibold">{value}</dd>
                </div>
              ))}
            </dl>
          </div>
          {then && <p className="text-lg leading-snug">{then}</p>}
          <div className="flex flex-wrap items-center gap-2">{children}</div>
        </div>
        <div className="hidden h-44 xl:block">{picture.folded}</div>
      </div>
      <Curve course={course} units={units} elapsed={elapsed} />
      {picture.band}
      <p className="text-quiet">
        Plates and nozzles burn; {guarded.batteryIn ? "lithium cells stay" : "the display stays"} below{" "}
        {temperature(guarded.stopC, units)}. Swollen or hissing: stop. Local codes first.
      </p>
    </div>
  );
}
