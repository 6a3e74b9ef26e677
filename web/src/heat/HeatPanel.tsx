import { useState } from "react";
import type { PanelProps } from "@/job/JobPage";
import { useEdgePicture } from "@/edge/useEdgePicture";
import { useEdge } from "@/edge/useEdge";
import { crackPieces, featurePieces } from "@/intake/IntakePanel";
import { useUnits } from "@/session/useSession";
import { clockWords, secondsLeft, useServerSeconds } from "@/time/clock";
import { duration, temperature, type Units } from "@/units/units";
import { Button } from "@/ui/Button";
import { Curve } from "./Curve";
import { type Heat, useHeat } from "./useHeat";
import { WhyHeat } from "./WhyHeat";

/** One number, the curve it comes from, and the reasons a tap away. */
export function HeatPanel({ job, record, pointed, onPoint, view, onView }: PanelProps) {
  const units = useUnits();
  const [choice, setChoice] = useState<{ sourceId: string; settingC: number } | null>(null);
  const [why, setWhy] = useState(false);
  const soak = job.timers.find((timer) => timer.kind === "SOAK");
  const { data: heat } = useHeat(job.id, job.seq, soak ? null : choice);
  const edge = useEdge(job.id, view).data;
  const nowS = useServerSeconds();
  const picture = useEdgePicture({
    jobId: job.id,
    tracks: [
      { id: "edge", name: "edge", height: 26, pieces: [...featurePieces(edge), ...crackPieces(job.cracks)] },
    ],
    foldedTrack: "edge",
    pointed,
    onPoint,
    view,
    onView,
  });
  if (!heat) {
    return <p className="text-xl">Computing the plan …</p>;
  }
  const left = soak ? secondsLeft(soak.startedAt, soak.seconds, nowS) : null;
  const elapsed = soak && left !== null ? soak.seconds - left : null;
  const lay = () =>
    void record(
      {
        type: "SoakStarted",
        sourceId: heat.sourceId,
        settingC: heat.settingC,
        seconds: Math.max(10, Math.round(heat.soakSeconds)),
      },
      "Lay it on",
    );
  return (
    <div className="flex min-h-0 flex-1 flex-col gap-2">
      <div className="grid grid-cols-[minmax(0,1fr)_15rem] gap-4">
        <div className="flex flex-col gap-2">
          <div className="flex items-start gap-5">
            <p className="leading-none">
              <span className="digits text-6xl font-bold">
                {clockWords(left ?? Math.round(heat.soakSeconds))}
              </span>
              <span className="mt-2 block text-xl">
                {soak ? "left on" : "on"} {heat.sourceName} at {temperature(heat.settingC, units)}
              </span>
            </p>
            <Facts heat={heat} units={units} />
          </div>
          <div className="flex items-center gap-3">
            {!soak && (
              <SourceChoice
                heat={heat}
                units={units}
                chosen={choice !== null}
                onChoose={setChoice}
                onLay={choice ? lay : null}
              />
            )}
            <Button look="quiet" className="underline" onClick={() => setWhy(true)}>
              Why?
            </Button>
          </div>
        </div>
        <div className="h-44">{picture.folded}</div>
      </div>
      <Curve heat={heat} units={units} elapsed={elapsed} />
      {picture.band}
      <p className="text-quiet">
        Plates burn; lithium cells stay below {temperature(heat.limits.batteryStopC, units)}. Swollen, hissing
        or hot: stop. Local codes come first.
      </p>
      <WhyHeat heat={heat} units={units} open={why} onClose={() => setWhy(false)} />
    </div>
  );
}

function Facts({ heat, units }: { heat: Heat; units: Units }) {
  const early = heat.readyAtSeconds.p10;
  const late = heat.readyAtSeconds.p90;
  const rows: [string, string][] = [
    [
      "bond ready",
      early === null
        ? "not on this source"
        : `${clockWords(Math.round(early))} – ${late === null ? "…" : clockWords(Math.round(late))}`,
    ],
    ["battery then", temperature(heat.batteryAtPullC.p50 ?? 0, units)],
    ["off at the latest", clockWords(Math.round(heat.latestSeconds))],
    ["then soft for", duration(heat.workableForSeconds.p50 ?? 0)],
  ];
  return (
    <dl className="grid flex-1 grid-cols-[auto_auto] justify-start gap-x-3 whitespace-nowrap leading-snug">
      {rows.map(([name, value]) => (
        <div key={name} className="contents">
          <dt className="text-quiet">{name}</dt>
          <dd className="digits font-semibold">{value}</dd>
        </div>
      ))}
    </dl>
  );
}

function SourceChoice({
  heat,
  units,
  chosen,
  onChoose,
  onLay,
}: {
  heat: Heat;
  units: Units;
  chosen: boolean;
  onChoose: (choice: { sourceId: string; settingC: number } | null) => void;
  onLay: (() => void) | null;
}) {
  const source = heat.sources.find((s) => s.id === heat.sourceId);
  const settings = source
    ? Array.from({ length: Math.floor((source.maxC - source.minC) / 5) + 1 }, (_, i) => source.minC + 5 * i)
    : [];
  return (
    <div className="flex flex-wrap items-center gap-3">
      <label className="flex items-center gap-2">
        <span className="text-quiet">Source</span>
        <select
          className="min-h-11 rounded-md border-2 border-line bg-sheet px-2"
          value={heat.sourceId}
          onChange={(e) => {
            const next = heat.sources.find((s) => s.id === e.target.value);
            if (next) {
              onChoose({
                sourceId: next.id,
                settingC: Math.min(next.maxC, Math.max(next.minC, heat.settingC)),
              });
            }
          }}
        >
          {heat.sources.map((s) => (
            <option key={s.id} value={s.id}>
              {s.name}
            </option>
          ))}
        </select>
      </label>
      <label className="flex items-center gap-2">
        <span className="text-quiet">Setting</span>
        <select
          className="min-h-11 rounded-md border-2 border-line bg-sheet px-2"
          value={heat.settingC}
          onChange={(e) => onChoose({ sourceId: heat.sourceId, settingC: Number(e.target.value) })}
        >
          {settings.map((c) => (
            <option key={c} value={c}>
              {temperature(c, units)}
            </option>
          ))}
        </select>
      </label>
      {chosen && (
        <Button look="quiet" onClick={() => onChoose(null)}>
          Back to the plan
        </Button>
      )}
      {onLay && <Button onClick={onLay}>Lay it on with this</Button>}
      {!heat.feasible && (
        <span className="font-semibold text-alarm">does not soften the bond within the limits</span>
      )}
    </div>
  );
}
