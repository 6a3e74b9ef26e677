import { Printer } from "lucide-react";
import type { Schemas } from "@/api/client";
import { TurnButtons } from "@/edge/TurnButtons";
import type { Piece } from "@/edge/pieces";
import { useEdge } from "@/edge/useEdge";
import { useEdgePicture } from "@/edge/useEdgePicture";
import type { PanelProps } from "@/job/panel";
import { useUnits } from "@/session/useSession";
import { OpenDevice } from "@/strip/OpenDevice";
import { clockWords } from "@/time/clock";
import { ScrollRegion } from "@/ui/ScrollRegion";
import { say, temperature } from "@/units/units";

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
  pointed,
  onPoint,
  rows,
  oldFront,
}: PanelProps & { rows: Row[]; oldFront: string }) {
  const units = useUnits();
  const edge = useEdge(job.id, view).data;
  const { band } = useEdgePicture({
    jobId: job.id,
    tracks: [{ id: "parts", name: "", height: 30, pieces: pieces(rows) }],
    foldedTrack: "parts",
    pointed,
    onPoint,
    view,
    onView,
  });
  const step = job.steps.find((one) => one.id === job.nextStepId && one.station === "CARRY");
  const now = rows.find((row) => row.standing === "NOW");
  const joints = rows.flatMap((row) => row.joints);
  if (!edge) {
    return <p className="text-xl">…</p>;
  }
  const moving = now?.moving;
  return (
    <div className="flex min-h-0 flex-1 flex-col gap-2">
      {moving?.on && band}
      <div
        className={`grid min-h-0 flex-1 gap-5 ${moving || now?.soldering ? "grid-cols-[minmax(0,1fr)_19rem]" : "grid-cols-1"}`}
      >
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
          marks={(px) => (
            <>
              {moving?.centre && (
                <path
                  transform={`translate(${moving.centre.x} ${moving.centre.y}) scale(${px})`}
                  d="M-20 0H-8M8 0H20M0 -20V-8M0 8V20"
                  fill="none"
                  stroke="var(--ink)"
                  strokeWidth={1.5}
                />
              )}
              {joints.map((joint) => (
                <circle
                  key={joint.id}
                  cx={joint.at.x}
                  cy={joint.at.y}
                  r={4 * px}
                  fill={FILLS[standing(joint, step?.id)]}
                  stroke="var(--ink)"
                  strokeWidth={1.5 * px}
                />
              ))}
            </>
          )}
        />
        {moving && <HowItMoves moving={moving} />}
        {now?.soldering && <Board joints={joints} soldering={now.soldering} stepId={step?.id} />}
      </div>
      <div className="flex min-h-24 items-start gap-4">
        <div className="min-w-0 flex-1 leading-snug">
          {step && !moving && !now?.soldering && (
            <>
              <p className="text-2xl font-semibold">{say(step.title, units)}</p>
              {step.hint && <p className="text-lg">{say(step.hint, units)}</p>}
            </>
          )}
          {now?.tried && <p>{say(now.tried, units)}</p>}
          {now?.irreplaceable && now.joints.every((joint) => joint.ohm === null) && (
            <a
              className="mt-1 inline-flex items-center gap-2 underline underline-offset-4"
              href={givenUpSheet(job.id, now.id)}
            >
              <Printer aria-hidden size={18} /> Paper for an owner who does without it
            </a>
          )}
          <ul className="mt-1 flex flex-wrap gap-x-5 text-quiet" aria-label="Ledger">
            {rows.map((row) => (
              <li key={row.id} className={row.standing === "LOST" ? "font-semibold text-alarm" : ""}>
                {row.words}: <b className="font-semibold">{STANDINGS[row.standing]}</b>
                {row.standing === "LOST" && (
                  <a
                    className="ml-2 underline underline-offset-4"
                    href={givenUpSheet(job.id, row.id)}
                    aria-label={`Paper to sign: ${row.words}`}
                  >
                    paper
                  </a>
                )}
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

/** Where along the edge what moves is; what is in hand stands out. */
const pieces = (rows: Row[]): Piece[] =>
  rows.flatMap((row) =>
    row.moving?.on
      ? [
          {
            id: row.id,
            from: row.moving.on.fromMm,
            length: row.moving.on.lengthMm,
            tone: row.standing === "NOW" ? "next" : row.standing === "TO_MOVE" ? "bond" : "free",
            label: row.words,
            title: row.words,
          },
        ]
      : [],
  );

const givenUpSheet = (jobId: string, partId: string) => `/api/jobs/${jobId}/given-up-sheet/${partId}`;

/** How it comes off the old front, how warm by what, and how it lies on the new one. */
function HowItMoves({ moving }: { moving: NonNullable<Row["moving"]> }) {
  const units = useUnits();
  return (
    <ScrollRegion label="How it comes off and lies" className="max-h-full self-center">
      {moving.on && <p className="mb-2 text-lg leading-snug">{say(moving.on.words, units)}</p>}
      {moving.offBy.length > 0 && <h3 className="text-quiet">Off</h3>}
      <ol className="mb-3 text-xl leading-snug font-semibold">
        {moving.offBy.map((by) => (
          <li key={by} className="first-letter:uppercase">
            {by}
          </li>
        ))}
      </ol>
      {moving.bondC !== null && (
        <div className="mb-3 leading-snug">
          <p className="text-xl font-semibold">
            {temperature(moving.bondC, units)}, never above {temperature(moving.limitC, units)}
          </p>
          {moving.ways.map((way) => (
            <p key={way.source}>
              {way.source} at {temperature(way.settingC, units)}, {way.air ? "to and fro" : "glass down"}:{" "}
              <b className="font-semibold">{clockWords(way.seconds)}</b>
              {way.noLongerS !== null && `; thermometer on it from ${clockWords(way.noLongerS)} on`}
            </p>
          ))}
          {moving.ways.length === 0 && (
            <p>Nothing here gets it that warm within its limit: alcohol at its edge, and time.</p>
          )}
        </div>
      )}
      {moving.lays.length > 0 && <h3 className="text-quiet">On</h3>}
      <ul className="leading-snug">
        {moving.lays.map((lay) => (
          <li key={lay} className="first-letter:uppercase">
            {say(lay, units)}
          </li>
        ))}
      </ul>
    </ScrollRegion>
  );
}

type Joint = Row["joints"][number];

const FILLS = {
  NOW: "var(--lamp)",
  TO_MEASURE: "var(--sheet)",
  SOUND: "var(--bond)",
  OPEN: "var(--alarm)",
} as const;

function standing(joint: Joint, stepId: string | undefined): keyof typeof FILLS {
  if (joint.ohm !== null) {
    return joint.sound ? "SOUND" : "OPEN";
  }
  return stepId === `carry.joint-${joint.id}` ? "NOW" : "TO_MEASURE";
}

/** The joints as large as a hand needs them, and how hot and how long at each. */
function Board({
  joints,
  soldering,
  stepId,
}: {
  joints: Joint[];
  soldering: NonNullable<Row["soldering"]>;
  stepId: string | undefined;
}) {
  const units = useUnits();
  const left = Math.min(...joints.map((joint) => joint.at.x));
  const top = Math.min(...joints.map((joint) => joint.at.y));
  const across = Math.max(
    1,
    ...joints.map((joint) => joint.at.x - left),
    ...joints.map((joint) => joint.at.y - top),
  );
  const x = (joint: Joint) => 40 + (150 * (joint.at.x - left)) / across;
  const y = (joint: Joint) => 40 + (130 * (joint.at.y - top)) / across;
  return (
    <div className="flex min-h-0 flex-col justify-center gap-3">
      {joints.length > 0 && (
        <svg viewBox="0 0 310 210" className="min-h-0 w-full flex-1" role="img" aria-label="Joints, enlarged">
          {joints.map((joint, i) => (
            <g key={joint.id} transform={`translate(${x(joint)} ${y(joint)})`}>
              <circle
                r={17}
                fill={FILLS[standing(joint, stepId)]}
                stroke="var(--ink)"
                strokeWidth={2.5}
                strokeDasharray={standing(joint, stepId) === "OPEN" ? "6 4" : undefined}
              />
              <text
                y={7}
                textAnchor="middle"
                fontSize={20}
                fontWeight={700}
                fill={standing(joint, stepId) === "NOW" ? "var(--on-lamp)" : "var(--ink)"}
              >
                {i + 1}
              </text>
              <text x={23} y={joint.ohm === null ? 6 : -2} fontSize={19} fill="var(--ink)">
                {joint.words}
              </text>
              {joint.ohm !== null && (
                <text x={23} y={19} fontSize={19} fontWeight={700} fill="var(--ink)">
                  {joint.read}
                </text>
              )}
            </g>
          ))}
        </svg>
      )}
      <dl className="grid grid-cols-[auto_1fr] gap-x-3 text-xl leading-snug">
        {(
          [
            ["tip", temperature(soldering.tipC, units)],
            ["a joint", `${soldering.seconds} s, ${soldering.atMostS} s at most`],
            ["between", `${soldering.betweenS} s`],
            ["panel", `never above ${temperature(soldering.panelC, units)}`],
          ] as const
        ).map(([what, how]) => (
          <div key={what} className="contents">
            <dt className="text-quiet">{what}</dt>
            <dd className="font-semibold">{how}</dd>
          </div>
        ))}
      </dl>
      <p className="leading-snug text-quiet">
        Reckoned for fine joints under flux. It has wetted when it shines: off then.
      </p>
    </div>
  );
}
