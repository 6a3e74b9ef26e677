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
import { HoldPanel } from "./HoldPanel";
import { JoinPanel } from "./JoinPanel";
import { Section } from "./Section";
import { Awaited } from "@/ui/Awaited";

type Plan = Schemas["PlanView"];
type Bond = Schemas["BondView"];

/** What will hold it is asked first; then what is in hand: glass and liquid, or what lies on the ledge. */
export function BondPanel(props: PanelProps) {
  const own = props.job.steps.filter((step) => step.station === "BOND");
  const liquid = own.findIndex((step) => step.id === "bond.optical");
  const next = own.findIndex((step) => step.id === props.job.nextStepId);
  return liquid >= 0 && own[0]?.id === "bond.seat" && (next < 0 || next > liquid) ? (
    <LedgePanel {...props} />
  ) : liquid >= 0 && props.job.nextStepId !== "bond.held" ? (
    <JoinPanel {...props} />
  ) : (
    <LedgePanel {...props} />
  );
}

function LedgePanel({ job, pointed, onPoint, view, onView }: PanelProps) {
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
    newFront: true,
    tracks: plan ? [{ id: "strips", name: "strips", height: 46, pieces: stripPieces(plan, units) }] : [],
    foldedTrack: "none",
    outlines: plan?.strips.map((s) => ({ id: s.id, points: s.outline, laid: s.laid })) ?? [],
    pointed,
    onPoint,
    view,
    onView,
  });
  if (!data) {
    return <Awaited words="Reckoning what will hold it" />;
  }
  if (data.held === null && data.ways.length > 0 && data.plans.length === 0 && asked(job)) {
    return <HoldPanel bond={data} />;
  }
  if (!plan) {
    const own = job.steps.filter((s) => s.station === "BOND");
    const step = own.find((s) => s.id === job.nextStepId) ?? own.at(-1);
    return (
      <BandAndOutline {...picture}>
        {data.seat && step?.id.startsWith("bond.ring") ? (
          <Ring bond={data} seat={data.seat} />
        ) : (
          <>
            <p className="text-3xl leading-tight font-bold">{step && say(step.title, units)}</p>
            <p className="mt-2 text-lg leading-snug text-quiet">{step?.hint && say(step.hint, units)}</p>
          </>
        )}
      </BandAndOutline>
    );
  }
  return (
    <>
      <BandAndOutline {...picture}>
        <p className="digits text-5xl leading-none font-bold">{length(plan.rollMm, units)}</p>
        <p className="mt-2 text-xl leading-snug font-semibold">off the roll: {piecesWords(plan, units)}</p>
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
        <a
          className="ml-auto flex min-h-12 items-center underline"
          href={`/api/jobs/${job.id}/strip-sheet?school=${plan.school}`}
          target="_blank"
          rel="noreferrer"
        >
          Print them at true scale
        </a>
      </div>
    </>
  );
}

/** How far the seat squeezes the ring: what seals, in hundredths of its thickness. */
function Ring({ bond, seat }: { bond: Bond; seat: NonNullable<Bond["seat"]> }) {
  const units = useUnits();
  const { ring } = bond;
  const hundred = (share: number) => Math.max(0, Math.round(100 * share));
  return (
    <>
      <Section seat={seat} proudMm={0} title="Ring in its seat, front flush" />
      {ring ? (
        <>
          <p className="digits mt-2 text-5xl leading-none font-bold">{hundred(ring.squeeze)} in 100</p>
          <p className="mt-2 text-xl leading-snug font-semibold">
            squeezed; it seals from {hundred(ring.leastSqueeze)} on, all round
          </p>
          <p className={`mt-2 leading-snug ${ring.stretch < 0 ? "font-semibold text-alarm" : ""}`}>
            {ring.stretch < 0
              ? "Too thin for this seat: another ring."
              : `Never stretched: ${hundred(ring.stretch)} in 100 longer and it leaks.`}
          </p>
        </>
      ) : (
        <>
          <p className="digits mt-2 text-5xl leading-none font-bold">
            {length(seat.depthMm - seat.frontMm, units)}
          </p>
          <p className="mt-2 text-xl leading-snug font-semibold">
            is what the seat leaves, {seat.measured ? "by caliper" : "by the book"}: the ring has to be
            thicker
          </p>
        </>
      )}
    </>
  );
}

/** Whether it is still to be said what holds it. */
const asked = (job: PanelProps["job"]) =>
  job.steps.some((step) => step.id === "bond.held" && step.answer === null);

/** How many of which width, the most first: "7 pieces 2.0 mm wide, 1 of 1.5 mm". */
function piecesWords(plan: Plan, units: Units): string {
  const widths = new Map<number, number>();
  plan.strips.forEach((s) => widths.set(s.widthMm, (widths.get(s.widthMm) ?? 0) + 1));
  return [...widths]
    .sort(([, a], [, b]) => b - a)
    .map(([width, count], i) =>
      i === 0 ? `${count} pieces ${length(width, units)} wide` : `${count} of ${length(width, units)}`,
    )
    .join(", ");
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
