import { useQuery } from "@tanstack/react-query";
import { api, type Schemas, unwrap } from "@/api/client";
import { keys } from "@/api/keys";
import { BandAndOutline } from "@/edge/BandAndOutline";
import { useEdgePicture } from "@/edge/useEdgePicture";
import type { Piece, Pin } from "@/edge/pieces";
import { crackPieces } from "@/intake/IntakePanel";
import type { PanelProps } from "@/job/JobPage";
import { useUnits } from "@/session/useSession";
import { secondsLeft, useServerSeconds } from "@/time/clock";
import { duration, length, type Units } from "@/units/units";
import { Button } from "@/ui/Button";

type Plan = Schemas["SeparateView"];

/** Depths on the band are drawn against this. */
const DEEPEST_MM = 6;

export function SeparatePanel({ job, record, choose, pointed, onPoint, view, onView }: PanelProps) {
  const units = useUnits();
  const { data: plan } = useQuery({
    queryKey: keys.station(job.id, "separate", job.seq),
    queryFn: async () =>
      unwrap(await api.GET("/api/jobs/{jobId}/separate", { params: { path: { jobId: job.id } } })),
    placeholderData: (before: Plan | undefined) => before,
  });
  const pins: Pin[] = job.wedgesMm.map((at) => ({
    id: `wedge-${at}`,
    at,
    kind: "wedge",
    title: `wedge at ${length(at, units)}`,
  }));
  const picture = useEdgePicture({
    jobId: job.id,
    tracks: plan
      ? [
          { id: "cut", name: "cut", height: 34, pieces: cutPieces(plan, units) },
          {
            id: "depth",
            name: "depth",
            height: 44,
            pieces: [...depthPieces(plan, units), ...crackPieces(job.cracks)],
          },
        ]
      : [],
    foldedTrack: "cut",
    pins,
    pointed,
    onPoint,
    view,
    onView,
  });
  if (!plan) {
    return <p className="text-xl">Computing the way round …</p>;
  }
  const move = plan.moves[0];
  const stretch = plan.stretches.find((s) => s.id === move?.stretchId);
  return (
    <>
      <BandAndOutline {...picture}>
        {move && stretch ? (
          <>
            <p className="digits text-5xl leading-none font-bold">{length(stretch.depthMm, units)}</p>
            <p className="mt-2 text-xl leading-snug font-semibold">deep at most: {stretch.depthBecause}</p>
            <p className="mt-2 text-lg leading-snug">
              {stretch.place}, {move.newEntry ? "enter here, then " : ""}
              {move.clockwise ? "clockwise" : "counter-clockwise"} seen face up. Lift no more than{" "}
              {length(move.liftLimitMm, units)}.
            </p>
            {stretch.hazardWords && stretch.hazard >= 0.4 && (
              <p className="mt-2 leading-snug font-semibold text-alarm">{stretch.hazardWords}</p>
            )}
            <GoneCold job={job} choose={choose} likely={move.warmAgain} />
          </>
        ) : (
          <p className="text-2xl leading-snug">
            All free. It opens on the {plan.opensOn}, {plan.greatestOpeningDeg}° at most.
          </p>
        )}
      </BandAndOutline>
      <div className="flex min-h-12 flex-wrap items-center gap-x-5 gap-y-2">
        <p className="text-quiet">
          {plan.moves.length} of {plan.stretches.length} stretches hold, about {duration(plan.cuttingSeconds)}{" "}
          of cutting. Enter {plan.entrySeam}. Gloves and eye protection on.
        </p>
        {pointed !== null && !job.closed && (
          <Button
            onClick={() =>
              void record({ type: "WedgeSet", positionMm: pointed }, "Wedge in").then(() => onPoint(null))
            }
          >
            Wedge in at {length(pointed, units)}
          </Button>
        )}
      </div>
    </>
  );
}

/** The bond's own clock decides when it runs; before that the plan's reckoning. */
function GoneCold({ job, choose, likely }: Pick<PanelProps, "job" | "choose"> & { likely: boolean }) {
  const now = useServerSeconds();
  const timer = job.timers.find((t) => t.kind === "WORKABLE");
  const warm = job.steps.find((step) => step.id === "separate.warm");
  const lay = warm?.choices[0];
  const cold = timer && secondsLeft(timer.startedAt, timer.seconds, now) <= 0;
  if (!(cold || likely) || !warm || !lay) {
    return null;
  }
  return (
    <div className="mt-3">
      <p className="leading-snug font-semibold">
        {cold ? "Reckoned cold by now. Does the pick drag?" : "Likely cold before this stretch is through."}
      </p>
      <Button className="mt-2" disabled={!lay.mine} onClick={() => choose(warm, lay)}>
        Warm it again
      </Button>
    </div>
  );
}

function cutPieces(plan: Plan, units: Units): Piece[] {
  const order = new Map(plan.moves.map((move, i) => [move.stretchId, i]));
  return plan.stretches.map((s) => {
    const turn = order.get(s.id);
    return {
      id: s.id,
      from: s.fromMm,
      length: s.lengthMm,
      tone: s.free ? "free" : turn === 0 ? "next" : "bond",
      label: s.free ? "free" : turn === undefined ? "" : String(turn + 1),
      title: s.free
        ? `${s.place}: free`
        : `${s.place}: number ${(turn ?? 0) + 1}, ${length(s.depthMm, units)} deep`,
    };
  });
}

/** The bar hangs as deep as the tool may go; hatched where a slip costs a part. */
function depthPieces(plan: Plan, units: Units): Piece[] {
  return plan.stretches.map((s) => ({
    id: `${s.id}-depth`,
    from: s.fromMm,
    length: s.lengthMm,
    tone: s.hazard >= 0.4 ? "hazard" : "free",
    fill: Math.max(0.12, Math.min(1, s.depthMm / DEEPEST_MM)),
    label: length(s.depthMm, units),
    title: `${s.place}: ${length(s.depthMm, units)} deep at most, ${s.depthBecause}${s.hazardWords ? `; ${s.hazardWords}` : ""}`,
  }));
}
