import type { Schemas } from "@/api/client";
import { TurnButtons } from "@/edge/TurnButtons";
import { useEdge } from "@/edge/useEdge";
import type { PanelProps } from "@/job/panel";
import { useUnits } from "@/session/useSession";
import { OpenDevice } from "@/strip/OpenDevice";
import { say } from "@/units/units";

type Row = Schemas["LedgerRowView"];

const LIES = {
  NOW: "NOW",
  TO_MOVE: "IN",
  MOVED: "OUT",
  BROUGHT: "STAYS_EMPTY",
  LOST: "OUT",
} as const;

const STANDINGS: Record<Row["standing"], string> = {
  NOW: "in hand",
  TO_MOVE: "to move",
  MOVED: "moved",
  BROUGHT: "the new part has its own",
  LOST: "lost",
};

/** Where each thing sits that has to get to the new front, what is in hand lit; the old front is kept as long as any is to come. */
export function Ledger({
  job,
  view,
  onView,
  rows,
  oldFront,
}: PanelProps & { rows: Row[]; oldFront: string }) {
  const units = useUnits();
  const edge = useEdge(job.id, view).data;
  const step = job.steps.find((one) => one.id === job.nextStepId && one.station === "CARRY");
  const now = rows.find((row) => row.standing === "NOW");
  const joints = rows.flatMap((row) => row.joints);
  if (!edge) {
    return <p className="text-xl">…</p>;
  }
  return (
    <div className="flex min-h-0 flex-1 flex-col gap-2">
      <div className="min-h-0 flex-1">
        <OpenDevice
          edge={edge}
          label="Where on the old front it sits"
          strip={{
            plugs: [],
            holes: [],
            parts: rows.map((row) => ({
              id: row.id,
              words: row.words,
              kind: "PLATE",
              layer: 1,
              corners: row.corners,
              lie: LIES[row.standing],
            })),
          }}
          marks={(px) =>
            joints.map((joint, i) => (
              <g key={joint.id} transform={`translate(${joint.at.x} ${joint.at.y}) scale(${px})`}>
                <circle
                  r={10}
                  fill={
                    joint.ohm === null
                      ? step?.id === `carry.joint-${joint.id}`
                        ? "var(--lamp)"
                        : "var(--sheet)"
                      : joint.sound
                        ? "var(--bond)"
                        : "var(--alarm)"
                  }
                  stroke="var(--ink)"
                  strokeWidth={2}
                />
                <text y={5} textAnchor="middle" fontSize={14} fontWeight={700} fill="var(--ink)">
                  {i + 1}
                </text>
              </g>
            ))
          }
        />
      </div>
      <div className="flex min-h-24 items-start gap-4">
        <div className="min-w-0 flex-1 leading-snug">
          {step && (
            <>
              <p className="text-2xl font-semibold">{say(step.title, units)}</p>
              {step.hint && <p className="text-lg">{say(step.hint, units)}</p>}
            </>
          )}
          {now?.tried && <p>{say(now.tried, units)}</p>}
          <ul className="mt-1 flex flex-wrap gap-x-5 text-quiet" aria-label="Ledger">
            {rows.map((row) => (
              <li key={row.id} className={row.standing === "LOST" ? "font-semibold text-alarm" : ""}>
                {row.words}: <b className="font-semibold">{STANDINGS[row.standing]}</b>
              </li>
            ))}
          </ul>
          {oldFront !== "" && (
            <p className="mt-1 text-lg font-semibold first-letter:uppercase">{oldFront}.</p>
          )}
        </div>
        <TurnButtons view={view} onView={onView} className="flex shrink-0 gap-1" />
      </div>
    </div>
  );
}
