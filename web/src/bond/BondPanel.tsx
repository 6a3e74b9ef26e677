import { keepPreviousData, useQuery } from "@tanstack/react-query";
import { useState } from "react";
import { api, type Schemas, unwrap } from "@/api/client";
import { keys } from "@/api/keys";
import { BandAndOutline } from "@/edge/BandAndOutline";
import { useEdgePicture } from "@/edge/useEdgePicture";
import type { Piece } from "@/edge/pieces";
import type { PanelProps } from "@/job/panel";
import { useUnits } from "@/session/useSession";
import { length, say, type Units } from "@/units/units";
import { Button } from "@/ui/Button";
import { JoinPanel } from "./JoinPanel";

type Plan = Schemas["PlanView"];

export function BondPanel(props: PanelProps) {
  return props.job.steps.some((step) => step.id === "bond.liquid") ? (
    <JoinPanel {...props} />
  ) : (
    <StripsPanel {...props} />
  );
}

function StripsPanel({ job, pointed, onPoint, view, onView }: PanelProps) {
  const units = useUnits();
  const [looked, setLooked] = useState<string | null>(null);
  const { data } = useQuery({
    queryKey: keys.station(job.id, "bond", job.seq, view),
    queryFn: async () =>
      unwrap(await api.GET("/api/jobs/{jobId}/bond", { params: { path: { jobId: job.id }, query: view } })),
    placeholderData: keepPreviousData,
  });
  const plan =
    data?.plans.find((p) => p.school === looked) ?? data?.plans.find((p) => p.chosen) ?? data?.plans[0];
  const picture = useEdgePicture({
    jobId: job.id,
    tracks: plan ? [{ id: "strips", name: "strips", height: 46, pieces: stripPieces(plan, units) }] : [],
    foldedTrack: "none",
    outlines: plan?.strips.map((s) => ({ id: s.id, points: s.outline, laid: s.laid })) ?? [],
    pointed,
    onPoint,
    view,
    onView,
  });
  if (!data) {
    return <p className="text-xl">Computing the strips …</p>;
  }
  if (!plan) {
    const own = job.steps.filter((s) => s.station === "BOND");
    const step = own.find((s) => s.id === job.nextStepId) ?? own.at(-1);
    return (
      <BandAndOutline {...picture}>
        <p className="text-3xl leading-tight font-bold">{step && say(step.title, units)}</p>
        <p className="mt-2 text-lg leading-snug text-quiet">{step?.hint && say(step.hint, units)}</p>
      </BandAndOutline>
    );
  }
  return (
    <>
      <BandAndOutline {...picture}>
        <p className="digits text-5xl leading-none font-bold">{length(plan.rollMm, units)}</p>
        <p className="mt-2 text-xl leading-snug font-semibold">
          off the roll, {plan.strips.length} pieces {length(plan.strips[0]?.widthMm ?? 0, units)} wide
        </p>
        <p className="mt-2 text-lg leading-snug">
          Holds {Math.round(plan.shearN)} N when warm, with a safety of three; a drop pulls{" "}
          {Math.round(data.dropLoadN)} N. Covers {Math.round(plan.coverage * 100)} % of the ledge;{" "}
          {plan.cornersClosed ? "the corners are closed" : "the corners stay open: not water tight"}.
        </p>
      </BandAndOutline>
      <div
        className="flex min-h-12 flex-wrap items-center gap-2"
        role="group"
        aria-label="Ways to end the strips"
      >
        {data.plans.map((p) => (
          <Button
            key={p.school}
            aria-pressed={p.school === plan.school}
            className="aria-pressed:bg-ink aria-pressed:text-sheet"
            onClick={() => setLooked(p.school)}
          >
            {p.words}, {Math.round(p.shearN)} N{p.chosen ? ", chosen" : ""}
          </Button>
        ))}
      </div>
    </>
  );
}

function stripPieces(plan: Plan, units: Units): Piece[] {
  const next = plan.chosen ? plan.strips.find((s) => !s.laid)?.id : undefined;
  return [
    ...plan.strips.map((s): Piece => ({
      id: s.id,
      from: s.fromMm,
      length: s.lengthMm,
      tone: s.laid ? "free" : s.id === next ? "next" : "bond",
      label: length(s.pieceMm, units),
      title: `${s.place}: ${length(s.pieceMm, units)} long${s.laid ? ", laid" : ""}`,
    })),
    ...plan.skips.map((s, i): Piece => ({
      id: `skip-${i}`,
      from: s.fromMm,
      length: s.lengthMm,
      tone: "skip",
      title: s.because,
    })),
  ];
}
