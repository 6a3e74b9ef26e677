import { keepPreviousData, useQuery, useQueryClient } from "@tanstack/react-query";
import { useState } from "react";
import { api, type Schemas, unwrap } from "@/api/client";
import { keys } from "@/api/keys";
import { useSubmit } from "@/api/useSubmit";
import { useOffered } from "@/job/offered";
import type { PanelProps } from "@/job/panel";
import { newId } from "@/live/outbox";
import { useUnits } from "@/session/useSession";
import { say } from "@/units/units";
import { Button } from "@/ui/Button";
import { Field } from "@/ui/Field";
import { ProblemNote } from "@/ui/ProblemNote";
import { Awaited } from "@/ui/Awaited";

type Charge = Schemas["ChargeView"];

const OFTEN_MS = 1000;
const WIDTH = 720;
const HEIGHT = 280;
const LEFT = 58;
const FOOT = 30;

/** A minute of what a device draws from its charger: whether it charges, and whether its board starts. */
export function ChargePanel({
  job,
  step,
  record,
}: Pick<PanelProps, "job" | "record"> & { step: Schemas["StepView"] }) {
  const units = useUnits();
  const { data: charge } = useQuery({
    queryKey: keys.station(job.id, "charge", job.seq),
    queryFn: async () =>
      unwrap(await api.GET("/api/jobs/{jobId}/charge", { params: { path: { jobId: job.id } } })),
    placeholderData: keepPreviousData,
    refetchInterval: ({ state }) => (state.data?.runs ? OFTEN_MS : false),
  });
  useOffered(job.id, charge && charge.verdict !== null);
  const start = step.choices.find((choice) => choice.fact.type === "TimerStarted");
  if (!charge) {
    return <Awaited words="Looking at the meter" />;
  }
  const latest = charge.curve.at(-1);
  return (
    <div className="flex min-h-0 flex-1 flex-col gap-4">
      <div aria-live="polite">
        {charge.verdict ? (
          <>
            <p className={`text-4xl font-bold ${BAD.has(charge.verdict) ? "text-alarm" : ""}`}>
              {WORDS[charge.verdict]}
            </p>
            <p className="mt-1 text-xl leading-snug first-letter:uppercase">
              {say(charge.words ?? "", units)}.
            </p>
          </>
        ) : latest && charge.runs ? (
          <p className="digits text-4xl leading-tight font-bold whitespace-nowrap max-lg:text-2xl">
            {latest.amps.toFixed(2)} A · {latest.volts.toFixed(2)} V
            {latest.celsius !== null && ` · ${say(`{t:${latest.celsius.toFixed(1)}}`, units)}`}
          </p>
        ) : (
          <p className="text-3xl font-bold">Does it charge?</p>
        )}
      </div>
      {charge.curve.length > 1 ? (
        <Curve charge={charge} />
      ) : (
        <p className="text-lg">
          {charge.runs
            ? "No meter says anything yet. Read it by hand where none is on the network."
            : "Charger, meter, cable, device; screen awake. A minute of its current tells whether it charges, and whether its board starts, picture or none."}
        </p>
      )}
      {charge.verdict === "LITTLE" && !job.closed && <Level jobId={job.id} />}
      {start && !charge.runs && !job.closed && (
        <div>
          <Button
            look={charge.curve.length > 1 ? "plain" : "lamp"}
            disabled={!start.mine}
            onClick={() => void record(start.fact, start.label)}
          >
            {say(start.label, units)}
          </Button>
        </div>
      )}
      <p className="leading-snug text-quiet">
        Never left alone, never on a dented or swollen cell; hot, hissing or smelling: off, away, outside.
      </p>
    </div>
  );
}

/** A cell that is nearly full takes little, and a weak one too: what the device shows tells. */
function Level({ jobId }: { jobId: string }) {
  const client = useQueryClient();
  const [percent, setPercent] = useState("");
  const take = useSubmit(async () => {
    unwrap(
      await api.POST("/api/jobs/{jobId}/charge/level", {
        params: { path: { jobId } },
        body: { commandId: newId(), percent: Number(percent.replace(",", ".")) },
      }),
    );
    await client.invalidateQueries({ queryKey: keys.job(jobId) });
  });
  return (
    <form
      className="flex flex-wrap items-end gap-3"
      onSubmit={(event) => {
        event.preventDefault();
        void take.submit(undefined);
      }}
    >
      <Field
        id="percent"
        label="Its level, %"
        inputMode="numeric"
        value={percent}
        onChange={(event) => setPercent(event.target.value)}
      />
      <Button type="submit" look="lamp" disabled={take.busy || percent.trim() === ""}>
        Take it
      </Button>
      {take.problem && <ProblemNote problem={take.problem} />}
    </form>
  );
}

const WORDS: Record<NonNullable<Charge["verdict"]>, string> = {
  NO_POWER: "No power arrives",
  NOTHING: "It draws nothing",
  SAGS: "The charger gives way",
  LITTLE: "It draws little",
  CHARGES: "It charges",
  STARTS_OVER: "It starts over and over",
  TOO_MUCH: "Off now: it draws too much",
  HOT: "Off now: too warm",
};

const BAD = new Set(["NO_POWER", "NOTHING", "SAGS", "STARTS_OVER", "TOO_MUCH", "HOT"]);

function Curve({ charge }: { charge: Charge }) {
  const watts = charge.curve.map((p) => ({ s: p.seconds, w: p.volts * p.amps }));
  const top = Math.max(charge.leastW * 2, ...watts.map((p) => p.w)) * 1.15;
  const x = (s: number) => LEFT + (s / charge.seconds) * (WIDTH - LEFT - 10);
  const y = (w: number) => 10 + ((top - w) / top) * (HEIGHT - FOOT - 10);
  const marks = [0, top / 2, top];
  return (
    <svg
      viewBox={`0 0 ${WIDTH} ${HEIGHT}`}
      className="min-h-0 w-full flex-1"
      role="img"
      aria-label={`What it draws, up to ${Math.max(...watts.map((p) => p.w)).toFixed(1)} W`}
    >
      <rect
        x={LEFT}
        y={y(Math.min(top, charge.mostW))}
        width={WIDTH - LEFT - 10}
        height={y(charge.leastW) - y(Math.min(top, charge.mostW))}
        fill="var(--bond)"
        opacity={0.5}
      />
      <text x={WIDTH - 16} y={y(charge.leastW) - 8} textAnchor="end" fontSize={15} fill="var(--ink)">
        usual from {charge.leastW} W
      </text>
      <path
        d={`M${LEFT} 10V${HEIGHT - FOOT}H${WIDTH - 10}`}
        fill="none"
        stroke="var(--ink)"
        strokeWidth={1.5}
      />
      {marks.map((w) => (
        <text key={w} x={LEFT - 8} y={y(w) + 5} textAnchor="end" fontSize={15} fill="var(--ink)">
          {w.toFixed(1)} W
        </text>
      ))}
      {[0, charge.seconds / 2, charge.seconds].map((s) => (
        <text
          key={s}
          x={x(s)}
          y={HEIGHT - 8}
          textAnchor={s === charge.seconds ? "end" : "middle"}
          fontSize={15}
          fill="var(--ink)"
        >
          {s} s
        </text>
      ))}
      <path
        d={watts
          .filter((p) => p.s <= charge.seconds)
          .map((p, i) => `${i === 0 ? "M" : "L"}${x(p.s)} ${y(p.w)}`)
          .join("")}
        fill="none"
        stroke="var(--ink)"
        strokeWidth={3.5}
      />
    </svg>
  );
}
