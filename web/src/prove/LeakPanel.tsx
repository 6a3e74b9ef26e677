import { keepPreviousData, useQuery } from "@tanstack/react-query";
import { api, type Schemas, unwrap } from "@/api/client";
import { keys } from "@/api/keys";
import { useOffered } from "@/job/offered";
import type { PanelProps } from "@/job/panel";
import { useUnits } from "@/session/useSession";
import { say } from "@/units/units";
import { Button } from "@/ui/Button";
import { span } from "./span";
import { Awaited } from "@/ui/Awaited";

type Leak = Schemas["LeakView"];

const OFTEN_MS = 2000;
const WIDTH = 720;
const HEIGHT = 250;
const LEFT = 64;
const FOOT = 30;

/** The chamber's pressure while a watch lies in it, as read and as it would be without its warmth: what is left falls by a leak. */
export function LeakPanel({ job, record }: Pick<PanelProps, "job" | "record">) {
  const units = useUnits();
  const { data: leak } = useQuery({
    queryKey: keys.station(job.id, "leak", job.seq),
    queryFn: async () =>
      unwrap(await api.GET("/api/jobs/{jobId}/leak", { params: { path: { jobId: job.id } } })),
    placeholderData: keepPreviousData,
    refetchInterval: OFTEN_MS,
  });
  useOffered(job.id, leak?.read);
  const step = job.steps.find((one) => one.id === "prove.seal-tested");
  const start = step?.choices.find((choice) => choice.fact.type === "TimerStarted");
  if (!leak || !step) {
    return <Awaited words="Looking at the tester" />;
  }
  const { result } = leak;
  const runs = step.waitsFor !== null;
  const latest = leak.curve.at(-1);
  return (
    <div className="flex min-h-0 flex-1 flex-col gap-4">
      <div aria-live="polite">
        {result && !runs ? (
          <p className={`text-4xl font-bold ${TONES[result.verdict]}`}>{WORDS[result.verdict]}</p>
        ) : latest && runs ? (
          <p className="digits text-5xl leading-none font-bold">{latest.kPa.toFixed(2)} kPa</p>
        ) : (
          <p className="text-3xl font-bold">Seal not tested</p>
        )}
      </div>
      {leak.curve.length > 1 ? (
        <Curve leak={leak} />
      ) : (
        <p className="text-lg">
          {runs
            ? "No tester says anything yet. Read it by hand where none is on the network."
            : "Dry and closed, in the chamber, at the room's warmth. Air only: no water is near it."}
        </p>
      )}
      {!job.closed && start && !runs && (
        <div>
          <Button disabled={!start.mine} onClick={() => void record(start.fact, start.label)}>
            {say(start.label, units)}
          </Button>
        </div>
      )}
      <p className="leading-snug text-quiet">
        The first {leak.fromS} s do not count: pressed air is warm and cools. Allowed is what would let half a
        drop of water in, a metre deep, in half an hour. Untested stays not tested; no rating is claimed
        either way.
      </p>
    </div>
  );
}

const WORDS = {
  TIGHT: "Tight",
  LEAKS: "It leaks",
  GROSS: "Wide open",
  DOUBTFUL: "Can't be told: test again",
  TOO_LARGE: "The chamber is too large for this watch",
} as const;

const TONES = { TIGHT: "", LEAKS: "text-alarm", GROSS: "text-alarm", DOUBTFUL: "", TOO_LARGE: "" } as const;

function Curve({ leak }: { leak: Leak }) {
  const [low, high] = span(leak.curve.flatMap((p) => [p.kPa, p.atOneWarmthKPa]));
  const x = (s: number) => LEFT + (s / leak.untilS) * (WIDTH - LEFT - 10);
  const y = (kPa: number) => 10 + ((high - kPa) / (high - low)) * (HEIGHT - FOOT - 10);
  const line = (of: (p: Leak["curve"][number]) => number) =>
    leak.curve
      .filter((p) => p.seconds <= leak.untilS)
      .map((p, i) => `${i === 0 ? "M" : "L"}${x(p.seconds)} ${y(of(p))}`)
      .join("");
  return (
    <svg
      viewBox={`0 0 ${WIDTH} ${HEIGHT}`}
      className="min-h-0 w-full flex-1"
      role="img"
      aria-label="Pressure in the chamber"
    >
      <rect
        x={LEFT}
        y={10}
        width={x(leak.fromS) - LEFT}
        height={HEIGHT - FOOT - 10}
        fill="var(--bond)"
        opacity={0.5}
      />
      <path
        d={`M${LEFT} 10V${HEIGHT - FOOT}H${WIDTH - 10}`}
        fill="none"
        stroke="var(--ink)"
        strokeWidth={1.5}
      />
      {[low, (low + high) / 2, high].map((kPa) => (
        <text key={kPa} x={LEFT - 8} y={y(kPa) + 5} textAnchor="end" fontSize={15} fill="var(--ink)">
          {kPa.toFixed(2)}
        </text>
      ))}
      {[0, leak.fromS, leak.untilS].map((s) => (
        <text
          key={s}
          x={x(s)}
          y={HEIGHT - 8}
          textAnchor={s === leak.untilS ? "end" : "middle"}
          fontSize={15}
          fill="var(--ink)"
        >
          {s} s
        </text>
      ))}
      <path d={line((p) => p.kPa)} fill="none" stroke="var(--quiet)" strokeWidth={2} strokeDasharray="6 4" />
      <path d={line((p) => p.atOneWarmthKPa)} fill="none" stroke="var(--ink)" strokeWidth={3.5} />
      <text x={WIDTH - 16} y={26} textAnchor="end" fontSize={15} fill="var(--ink)">
        thick: at one warmth, kPa · dashed: as read
      </text>
    </svg>
  );
}
