import { useQuery } from "@tanstack/react-query";
import { useState } from "react";
import { api, type Schemas, unwrap } from "@/api/client";
import { keys } from "@/api/keys";
import { BandAndOutline } from "@/edge/BandAndOutline";
import { useEdgePicture } from "@/edge/useEdgePicture";
import type { Piece, Pin } from "@/edge/pieces";
import { type Forecast, useForecast } from "@/heat/useHeat";
import { coolingPieces, isColdAt } from "@/heat/warmth";
import { crackPieces } from "@/intake/pieces";
import { filled } from "@/job/filled";
import type { PanelProps } from "@/job/panel";
import { useUnits } from "@/session/useSession";
import { clockWords, secondsLeft, useServerSeconds } from "@/time/clock";
import { duration, length, lengthAtMost, say, type Units } from "@/units/units";
import { Button } from "@/ui/Button";
import { Facts } from "@/ui/Facts";

import { PickMark } from "./PickMark";
import { Awaited } from "@/ui/Awaited";

type Plan = Schemas["SeparateView"];

/** More is no pattern that a hand would keep. */
const MOST_OF_THE_TIME = 0.85;

export function SeparatePanel({ job, record, choose, pointed, onPoint, view, onView }: PanelProps) {
  const units = useUnits();
  const [marking, setMarking] = useState(false);
  const { data: plan } = useQuery({
    queryKey: keys.station(job.id, "separate", job.seq),
    queryFn: async () =>
      unwrap(await api.GET("/api/jobs/{jobId}/separate", { params: { path: { jobId: job.id } } })),
    placeholderData: (before: Plan | undefined) => before,
  });
  const soaked = job.timers.some((t) => t.warmth === "FALLING");
  const forecast = useForecast(job.id, job.seq, soaked);
  const nowS = useServerSeconds();
  const sinceS = forecast ? nowS - Math.floor(Date.parse(forecast.startedAt) / 1000) : 0;
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
          ...(forecast && soaked
            ? [
                {
                  id: "warm",
                  name: "warm",
                  height: 24,
                  pieces: coolingPieces(holding(forecast, plan), sinceS),
                },
              ]
            : []),
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
    return <Awaited words="Computing the way round" />;
  }
  const move = plan.moves[0];
  const stretch = plan.stretches.find((s) => s.id === move?.stretchId);
  const coldThere =
    forecast !== undefined &&
    soaked &&
    stretch !== undefined &&
    isColdAt(forecast, sinceS, stretch.fromMm + stretch.lengthMm / 2);
  return (
    <>
      <BandAndOutline
        {...picture}
        below={
          <>
            {plan.moves.length} of {plan.stretches.length} hold: {duration(plan.cuttingSeconds)} of cutting
            {again(plan)}. Gloves and eye protection on.
          </>
        }
      >
        {move && stretch ? (
          <>
            <Facts
              facts={[
                ["deep at most", lengthAtMost(stretch.depthMm, units)],
                [
                  `${move.tool} at most`,
                  move.pickMm === null ? "the thinnest" : lengthAtMost(move.pickMm, units),
                ],
                ...(coldThere
                  ? []
                  : ([
                      ["a second", length(move.mmPerS, units)],
                      [
                        "of cutting",
                        move.seconds < 60 ? duration(move.seconds) : clockWords(Math.round(move.seconds)),
                      ],
                    ] as const)),
              ]}
            />
            <Button shortcut="t" look="quiet" className="-mx-1 px-1" onClick={() => setMarking(true)}>
              tape flag {lengthAtMost(move.markMm, units)} from the tip
            </Button>
            {marking && (
              <PickMark
                jobId={job.id}
                markMm={move.markMm}
                depthMm={stretch.depthMm}
                tool={move.tool}
                onClose={() => setMarking(false)}
              />
            )}
            <p className="text-xl leading-snug font-semibold">
              {move.newEntry ? "Enter here, then " : ""}
              {move.towards}
            </p>
            {stretch.dangerous && (
              <p className="leading-snug font-semibold text-alarm">{stretch.hazardWords}</p>
            )}
            {move.warmFirst && (
              <p className="leading-snug font-semibold">Warm it first: {say(move.warmFirst, units)}.</p>
            )}
            {plan.air && move.airShare > 0 && (
              <p className="leading-snug">
                {say(plan.air, units)}
                {move.airShare < MOST_OF_THE_TIME &&
                  `: about ${Math.round(move.airShare * 10)} of 10 seconds`}
                .
              </p>
            )}
            {!move.warmFirst && <GoneCold job={job} choose={choose} coldThere={coldThere} />}
            <p className="leading-snug">{lifting(move, units)}</p>
            {move.warmedOnTheWay[0] && !coldThere && (
              <p className="leading-snug">
                Warm it again at {say(move.warmedOnTheWay[0], units)}
                {move.warmedOnTheWay.length > 1 && `, and ${move.warmedOnTheWay.length - 1} times more`}.
              </p>
            )}
            {plan.unknownCracks && move.tool === "blade" && (
              <p className="mt-1 leading-snug text-quiet">{plan.unknownCracks}</p>
            )}
          </>
        ) : (
          <p className="text-2xl leading-snug">
            All free. It opens on the {plan.opensOn}, {plan.greatestOpeningDeg}° at most.
          </p>
        )}
      </BandAndOutline>
      {pointed !== null && !job.closed && (
        <Button
          shortcut="v"
          className="self-end"
          onClick={() =>
            void record(filled(plan.wedge, { positionMm: pointed }), plan.wedge.label).then(() =>
              onPoint(null),
            )
          }
        >
          {plan.wedge.label} at {length(pointed, units)}
        </Button>
      )}
    </>
  );
}

function lifting(move: Plan["moves"][number], units: Units): string {
  if (move.riseMm === null) {
    return "Do not lift: cut from the frame's side.";
  }
  return `Once free, this edge may rise ${lengthAtMost(move.riseMm, units)}.`;
}

function again(plan: Plan): string {
  if (plan.warmings === 0) {
    return "";
  }
  const times = plan.warmings === 1 ? "one warming" : `${plan.warmings} warmings`;
  return `, ${times} (${duration(plan.totalSeconds - plan.cuttingSeconds)})`;
}

/** The forecast of this stretch decides when it runs, or the clock that the plan set. */
function GoneCold({ job, choose, coldThere }: Pick<PanelProps, "job" | "choose"> & { coldThere: boolean }) {
  const now = useServerSeconds();
  const timer = job.timers.find((t) => t.warmth === "FALLING");
  const over = timer !== undefined && secondsLeft(timer.startedAt, timer.seconds, now) <= 0;
  const warm = job.steps.find((step) => step.id === "separate.warm");
  const lay = warm?.choices[0];
  if (!(coldThere || over) || !warm || !lay) {
    return null;
  }
  return (
    <div className="my-1 flex items-center gap-4">
      <p className="leading-snug font-semibold">
        {coldThere ? "Reckoned cold by now. Does the pick drag?" : "It was to be warmed again about now."}
        {warm.lead === "REASONS" && <span className="block font-normal text-alarm">{warm.hint}</span>}
      </p>
      <Button shortcut="h" className="shrink-0" disabled={!lay.mine} onClick={() => choose(warm, lay)}>
        Warm it again
      </Button>
    </div>
  );
}

/** What is free needs no warmth any more. */
function holding(forecast: Forecast, plan: Plan): Forecast {
  const freed = (atMm: number) =>
    plan.stretches.some((s) => s.free && atMm >= s.fromMm && atMm < s.fromMm + s.lengthMm);
  return {
    ...forecast,
    stretches: forecast.stretches.filter((s) => !freed(s.fromMm + s.lengthMm / 2)),
  };
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
      ...(turn === 0 && plan.moves[0] ? { clockwise: plan.moves[0].clockwise } : {}),
      title: s.free
        ? `${s.place}: free`
        : `${s.place}: number ${(turn ?? 0) + 1}, ${lengthAtMost(s.depthMm, units)} deep`,
    };
  });
}

/** The bar hangs as deep as the tool may go; hatched where a slip costs a part. */
function depthPieces(plan: Plan, units: Units): Piece[] {
  const deepest = Math.max(...plan.stretches.map((s) => s.depthMm));
  return plan.stretches.map((s) => ({
    id: `${s.id}-depth`,
    from: s.fromMm,
    length: s.lengthMm,
    tone: s.dangerous ? "hazard" : "free",
    fill: Math.max(0.12, s.depthMm / deepest),
    label: lengthAtMost(s.depthMm, units),
    title: `${s.place}: ${lengthAtMost(s.depthMm, units)} deep at most, ${s.depthBecause}${s.hazardWords ? `; ${s.hazardWords}` : ""}`,
  }));
}
