import { useQuery, useQueryClient } from "@tanstack/react-query";
import clsx from "clsx";
import { type ReactNode, useState } from "react";
import { api, type Schemas, unwrap } from "@/api/client";
import { keys } from "@/api/keys";
import { useSubmit } from "@/api/useSubmit";
import { useOffered } from "@/job/offered";
import type { PanelProps } from "@/job/panel";
import { useUnits } from "@/session/useSession";
import { say } from "@/units/units";
import { Button } from "@/ui/Button";
import { ProblemNote } from "@/ui/ProblemNote";
import { ByHand } from "./ByHand";
import { TraceFile } from "./TraceFile";

type Touch = Schemas["TouchView"];
type Link = Schemas["TouchLinkView"];

const OFTEN_MS = 1000;

const LOOKS = {
  PICTURE: "Picture",
  STYLUS: "Stylus",
  LIGHT: "Light",
  SOUND: "Sound",
  CAMERA: "Camera",
  MOTION: "Motion",
} as const;

/** Asked for where it is about to be proven, and nowhere else. */
export const useTouch = ({ id: jobId, seq, nextProvenBy }: PanelProps["job"], wanted = true) =>
  useQuery({
    queryKey: keys.station(jobId, "touch", seq),
    queryFn: async () => unwrap(await api.GET("/api/jobs/{jobId}/touch", { params: { path: { jobId } } })),
    enabled: wanted && nextProvenBy === "DEVICE",
    refetchInterval: ({ state }) => (state.data?.openUntil ? OFTEN_MS : false),
  });

/**
 * What the device's own browser tells of its touch, as it comes in, and what that says.
 *
 * @param otherwise shown until it tells anything
 */
export function TouchPanel({
  job,
  touch,
  otherwise,
}: Pick<PanelProps, "job"> & { touch: Touch; otherwise: ReactNode }) {
  const units = useUnits();
  const client = useQueryClient();
  useOffered(job.id, JSON.stringify([touch.works, touch.looks]));
  const [link, setLink] = useState<Link | null>(null);
  const path = { jobId: job.id };
  const again = () => client.invalidateQueries({ queryKey: keys.station(job.id, "touch") });
  const open = useSubmit(async () => {
    setLink(unwrap(await api.POST("/api/jobs/{jobId}/touch", { params: { path } })));
    await again();
  });
  const end = useSubmit(async () => {
    unwrap(await api.DELETE("/api/jobs/{jobId}/touch", { params: { path } }));
    setLink(null);
    await again();
  });
  const [rigAt, setRigAt] = useState<string | null>(null);
  const rig = useSubmit(async () => {
    try {
      for (const { task, words } of touch.tasks.filter((one) => one.byRig)) {
        setRigAt(words);
        unwrap(
          await api.PUT("/api/jobs/{jobId}/touch/{task}/by-rig", {
            params: { path: { jobId: job.id, task } },
          }),
        );
        await again();
      }
    } finally {
      setRigAt(null);
    }
  });
  const touched = touch.tasks.some((task) => task.done || task.samples > 0);
  const begun = touch.looks.length > 0 || touched;
  const drawn = touched || touch.looks.some((look) => look.spots.length > 0);
  const done = touch.tasks.some((task) => task.done);
  const failed = touch.looks.find((look) => look.works === false);
  const problem = open.problem ?? end.problem ?? rig.problem;
  const bad = touch.findings.filter((finding) => finding.weight === "BAD");
  return (
    <div className="grid min-h-0 flex-1 grid-rows-[minmax(0,1fr)_auto] items-center gap-5 lg:grid-cols-[minmax(0,1fr)_19rem] lg:grid-rows-1">
      {drawn ? (
        <Screen touch={touch} />
      ) : link && !begun ? (
        <Code link={link} />
      ) : (
        <div className="flex h-full min-h-0 min-w-0">{otherwise}</div>
      )}
      <div className="grid gap-3">
        {touch.openUntil === null && !begun && (
          <>
            <p className="text-2xl leading-tight font-semibold">Proven by the device itself</p>
            <p className="leading-snug text-quiet">
              Its browser opens a page without a sign-in: touch, and what else it has of picture, light, sound
              and camera. Nothing on it names the owner.
            </p>
          </>
        )}
        {begun && (
          <p className="text-2xl leading-tight font-bold" role="status">
            {touch.openUntil === null && touch.works === null
              ? "The last proof, before what was done since"
              : touch.works === true
                ? "Touch works everywhere"
                : bad.length > 0
                  ? "Touch fails"
                  : failed
                    ? `${LOOKS[failed.look]} fails`
                    : touch.findings.length > 0
                      ? "Not sure yet"
                      : done || touch.looks.length > 0
                        ? "Nothing wrong so far"
                        : "It comes in …"}
          </p>
        )}
        {touch.findings.map((finding) => (
          <p
            key={finding.words}
            className={clsx(
              "border-l-4 pl-3 leading-snug first-letter:uppercase",
              finding.weight === "BAD" ? "border-alarm font-semibold text-alarm" : "border-lamp",
            )}
          >
            {say(finding.words, units)}
          </p>
        ))}
        {(touch.touchAsked || touched) && (begun || touch.openUntil !== null) && (
          <ol className="grid gap-1">
            {touch.tasks.map((task) => (
              <li key={task.task} className={task.done ? "" : "text-quiet"}>
                <span aria-hidden className="inline-block w-6">
                  {task.done ? "✓" : "·"}
                </span>
                {task.words}
                {task.done && (
                  <a
                    className="ml-2 underline"
                    href={`/api/jobs/${job.id}/touch/${task.task}`}
                    aria-label={`Trace as a file: ${task.words}`}
                    download
                  >
                    CSV
                  </a>
                )}
              </li>
            ))}
          </ol>
        )}
        {touch.looks.map((look) => (
          <p
            key={look.look}
            className={clsx(
              "border-l-4 pl-3 leading-snug first-letter:uppercase",
              look.works === false ? "border-alarm font-semibold text-alarm" : "border-line",
            )}
          >
            {LOOKS[look.look]}: {say(look.words, units)}
          </p>
        ))}
        {!job.closed && (
          <div className="flex flex-wrap gap-2">
            <Button
              look={begun || touch.openUntil !== null ? "plain" : "lamp"}
              disabled={open.busy}
              onClick={() => void open.submit(undefined)}
            >
              {begun || touch.openUntil !== null ? "Another link" : "Open it on the device"}
            </Button>
            {touch.openUntil !== null && (
              <Button disabled={end.busy} onClick={() => void end.submit(undefined)}>
                Call it off
              </Button>
            )}
            {touch.touchAsked && touch.rig !== null && (
              <Button disabled={rig.busy} onClick={() => void rig.submit(undefined)}>
                {rigAt ? `${touch.rig}: ${rigAt}` : "By the rig"}
              </Button>
            )}
            {touch.touchAsked && !begun && <ByHand jobId={job.id} />}
            {touch.stepId !== null && <TraceFile jobId={job.id} tasks={touch.tasks} />}
          </div>
        )}
        {problem && <ProblemNote problem={problem} />}
      </div>
    </div>
  );
}

function Code({ link }: { link: Link }) {
  return (
    <div className="grid h-full min-h-0 min-w-0 grid-rows-[minmax(0,1fr)_auto_auto] gap-2">
      <svg
        viewBox={`0 0 ${link.modules} ${link.modules}`}
        className="h-full max-h-full min-h-0 w-full"
        role="img"
        aria-label="QR code of the link"
        shapeRendering="crispEdges"
      >
        <rect width={link.modules} height={link.modules} fill="#fff" />
        <path d={link.squares} fill="#000" />
      </svg>
      <a
        className="digits text-base leading-tight break-all underline"
        href={link.address}
        target="_blank"
        rel="noreferrer"
      >
        {link.address}
      </a>
      <p className="text-sm leading-snug break-all text-quiet">
        {link.fingerprint
          ? `It may ask about the certificate first: SHA-256 ${link.fingerprint}`
          : "Opens on this machine only. RIDGEFALL_BIND at the start lets the bench's network in."}
      </p>
    </div>
  );
}

const WIDE = 1000;

/** The screen as it is held: squares that never answered, ways of fingers, and where something is wrong. */
function Screen({ touch }: { touch: Touch }) {
  const high = WIDE / touch.aspect;
  // What the finger has not come to yet is not dead.
  const swept = touch.tasks.some((task) => task.task === "SWEEP" && task.done);
  const beside = { x: touch.border.x * WIDE + 6, y: touch.border.y * high + 6 };
  const cell = { w: WIDE / Math.max(1, touch.columns), h: high / Math.max(1, touch.rows) };
  return (
    <svg
      viewBox={`${-beside.x} ${-beside.y} ${WIDE + 2 * beside.x} ${high + 2 * beside.y}`}
      className="h-full max-h-full w-full"
      role="img"
      aria-label={`The screen as it is held: ${touch.silent.length} of ${touch.columns * touch.rows} cells did not answer`}
    >
      <rect
        x={6 - beside.x}
        y={6 - beside.y}
        width={WIDE + 2 * beside.x - 12}
        height={high + 2 * beside.y - 12}
        rx={30}
        fill="var(--bond)"
        stroke="var(--ink)"
        strokeWidth={3}
      />
      {touch.strips.map((strip, i) => (
        <polygon
          key={i}
          points={strip.map((p) => `${p.x * WIDE},${p.y * high}`).join(" ")}
          fill="var(--free)"
          stroke="var(--ink)"
          strokeWidth={1.5}
        />
      ))}
      <rect width={WIDE} height={high} fill="var(--sheet)" stroke="var(--ink)" strokeWidth={4} />
      {touch.silent.map(({ column, row }) => (
        <rect
          key={`${column}/${row}`}
          x={column * cell.w}
          y={row * cell.h}
          width={cell.w}
          height={cell.h}
          fill={swept ? "var(--alarm)" : "var(--line)"}
          fillOpacity={0.45}
          stroke="var(--sheet)"
        />
      ))}
      {touch.plugs.map((plug) => (
        <g key={plug.words}>
          <polyline
            points={plug.cable.map((p) => `${p.x * WIDE},${p.y * high}`).join(" ")}
            fill="none"
            stroke="var(--done)"
            strokeWidth={18}
            strokeLinejoin="round"
            opacity={0.45}
          />
          <rect
            x={plug.at.x * WIDE - 22}
            y={plug.at.y * high - 14}
            width={44}
            height={28}
            fill="var(--done)"
            stroke="var(--sheet)"
            strokeWidth={3}
          />
          <text
            x={plug.at.x * WIDE + (plug.at.x > 0.6 ? -34 : 34)}
            y={plug.at.y * high + 11}
            textAnchor={plug.at.x > 0.6 ? "end" : "start"}
            fontSize={34}
            fill="var(--ink)"
          >
            {plug.words}
          </text>
        </g>
      ))}
      {touch.strokes.map((stroke, i) => (
        <polyline
          key={i}
          points={stroke.points
            .map((point) => `${(point.x * WIDE).toFixed(1)},${(point.y * high).toFixed(1)}`)
            .join(" ")}
          fill="none"
          stroke={stroke.task === "WATCH" ? "var(--alarm)" : "var(--ink)"}
          strokeWidth={stroke.task === "SWEEP" ? 2 : 4}
          opacity={stroke.task === "SWEEP" ? 0.4 : 0.9}
        />
      ))}
      {[...touch.findings.flatMap((finding) => finding.at), ...touch.looks.flatMap((look) => look.spots)].map(
        (at, i) => (
          <circle
            key={i}
            cx={at.x * WIDE}
            cy={at.y * high}
            r={26}
            fill="none"
            stroke="var(--alarm)"
            strokeWidth={6}
          />
        ),
      )}
    </svg>
  );
}
