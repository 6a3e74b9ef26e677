import { useQuery, useQueryClient } from "@tanstack/react-query";
import { api, type Schemas, unwrap } from "@/api/client";
import { keys } from "@/api/keys";
import { useSubmit } from "@/api/useSubmit";
import { pathAlong } from "@/edge/geometry";
import { type Edge, useEdge } from "@/edge/useEdge";
import type { PanelProps } from "@/job/panel";
import { useUnits } from "@/session/useSession";
import { FilePick } from "@/ui/FilePick";
import { ProblemNote } from "@/ui/ProblemNote";
import { say } from "@/units/units";

type Copy = Schemas["CopyView"];

/** While a programmer is at it. */
const OFTEN_MS = 400;

const BLOCKS = 16;

/** Which front is on the adapter, whether the battery is in, and how far the data are: at arm's length. */
export function Copying({ job, view, partId }: PanelProps & { partId: string }) {
  const units = useUnits();
  const edge = useEdge(job.id, view).data;
  const copies = useQuery({
    queryKey: keys.station(job.id, "copies", job.seq),
    queryFn: async () =>
      unwrap(await api.GET("/api/jobs/{jobId}/copies", { params: { path: { jobId: job.id } } })),
    placeholderData: (before: Copy[] | undefined) => before,
    refetchInterval: ({ state }) => (state.data?.some((copy) => copy.doing !== null) ? OFTEN_MS : false),
  }).data;
  const copy = copies?.find((one) => one.partId === partId);
  const step = job.steps.find((one) => one.id === job.nextStepId);
  if (!copy || !edge) {
    return <p className="text-xl">…</p>;
  }
  return (
    <div className="flex min-h-0 flex-1 flex-col gap-2">
      <Adapter copy={copy} edge={edge} />
      {step?.answer && (
        <p className="text-2xl leading-snug font-semibold text-alarm">{say(step.answer, units)}</p>
      )}
      <Files jobId={job.id} copy={copy} />
    </div>
  );
}

function Adapter({ copy, edge }: { copy: Copy; edge: Edge }) {
  const { running, at } = copy;
  const share = running && running.total > 0 ? running.done / running.total : 0;
  const reads = running?.stage === "READING";
  const said = running
    ? `${running.programmer ?? "Looking for the programmer"}${running.words ? ` ${running.words}` : " …"}`
    : at.plugged === "NONE"
      ? "nothing on the adapter"
      : `${at.plugged === "OLD" ? "old" : "new"} front on the adapter`;
  return (
    <svg
      viewBox="0 0 760 420"
      className="min-h-0 w-full flex-1 select-none"
      role="img"
      aria-label={`${at.battery}: ${at.says}; ${said}`}
    >
      <Battery at={at} />
      <Front
        edge={edge}
        x={0}
        words="Old front"
        name={copy.read?.front ?? null}
        on={at.plugged === "OLD"}
        due={at.due === "OLD"}
      />
      <Front
        edge={edge}
        x={500}
        words="New front"
        name={copy.written?.front ?? null}
        on={at.plugged === "NEW"}
        due={at.due === "NEW"}
      />
      <Cable from={260} to={298} on={at.plugged === "OLD"} due={at.due === "OLD"} />
      <Cable from={500} to={462} on={at.plugged === "NEW"} due={at.due === "NEW"} />
      <rect
        x={298}
        y={144}
        width={164}
        height={112}
        rx={6}
        fill="var(--sheet)"
        stroke="var(--ink)"
        strokeWidth={2.5}
      />
      {["Adapter", ...adapter(copy.adapter)].map((line, i) => (
        <text
          key={line}
          x={380}
          y={176 + 28 * i}
          textAnchor="middle"
          fontSize={i === 0 ? 24 : 20}
          fontWeight={i === 0 ? 700 : 400}
          fill="var(--ink)"
        >
          {line}
        </text>
      ))}
      <Memory
        x={0}
        full={copy.read ? 1 : reads ? share : 0}
        color="var(--free)"
        words={
          copy.read ? `${copy.read.bytes.toLocaleString("en")} bytes, kept` : reads ? said : "not read yet"
        }
        hash={copy.read?.sha256 ?? null}
      />
      <Memory
        x={500}
        full={copy.written ? 1 : running && !reads ? share : copy.half ? 0.5 : 0}
        color={copy.written ? "var(--free)" : "var(--lamp)"}
        words={
          copy.written
            ? "reads back the same"
            : running && !reads
              ? (running.words ?? "…")
              : copy.half
                ? "not whole"
                : "not written yet"
        }
        hash={copy.written?.sha256 ?? null}
      />
    </svg>
  );
}

/** In two lines at most, without the word that stands above them. */
const adapter = (name: string | null) =>
  (name ?? "that fits")
    .replace(/\s*adapter\b/i, "")
    .split(/,\s*/)
    .slice(0, 2);

function Battery({ at }: { at: Copy["at"] }) {
  return (
    <g>
      <rect
        x={262}
        y={8}
        width={226}
        height={64}
        rx={8}
        fill={at.batteryIn ? "var(--lamp)" : "var(--sheet)"}
        stroke="var(--ink)"
        strokeWidth={3}
        strokeDasharray={at.batteryIn ? undefined : "10 7"}
      />
      <rect x={488} y={26} width={10} height={28} fill="var(--ink)" />
      <text
        x={375}
        y={50}
        textAnchor="middle"
        fontSize={29}
        fontWeight={700}
        fill={at.batteryIn ? "var(--on-lamp)" : "var(--ink)"}
      >
        {at.battery}
      </text>
      <text x={380} y={98} textAnchor="middle" fontSize={21} fill="var(--ink)">
        {at.says}
      </text>
    </g>
  );
}

function Front({
  edge,
  x,
  words,
  name,
  on,
  due,
}: {
  edge: Edge;
  x: number;
  words: string;
  name: string | null;
  on: boolean;
  due: boolean;
}) {
  const scale = Math.min(250 / edge.widthMm, 190 / edge.heightMm);
  const at = { x: x + (260 - edge.widthMm * scale) / 2, y: 200 - (edge.heightMm * scale) / 2 };
  return (
    <g>
      <g transform={`translate(${at.x} ${at.y}) scale(${scale})`}>
        <path
          d={`${pathAlong(edge.outline, edge.perimeterMm, 0, edge.perimeterMm)}Z`}
          fill={due ? "var(--lamp)" : on ? "var(--free)" : "var(--sheet)"}
          stroke="var(--ink)"
          strokeWidth={(due || on ? 3 : 1.5) / scale}
        />
      </g>
      <text
        x={x + 130}
        y={196}
        textAnchor="middle"
        fontSize={24}
        fontWeight={700}
        fill={due ? "var(--on-lamp)" : "var(--ink)"}
      >
        {words}
      </text>
      <text
        x={x + 130}
        y={224}
        textAnchor="middle"
        fontSize={20}
        fill={due ? "var(--on-lamp)" : "var(--ink)"}
      >
        {due ? "2 plug home: click" : (name ?? "")}
      </text>
    </g>
  );
}

function Cable({ from, to, on, due }: { from: number; to: number; on: boolean; due: boolean }) {
  return (
    <line
      x1={from}
      x2={to}
      y1={200}
      y2={200}
      stroke={on || due ? "var(--ink)" : "var(--line)"}
      strokeWidth={on ? 12 : 6}
      strokeDasharray={on ? undefined : "6 8"}
    />
  );
}

/** As many blocks as are over. */
function Memory({
  x,
  full,
  color,
  words,
  hash,
}: {
  x: number;
  full: number;
  color: string;
  words: string;
  hash: string | null;
}) {
  const wide = 260 / BLOCKS;
  return (
    <g>
      {Array.from({ length: BLOCKS }, (_, i) => (
        <rect
          key={i}
          x={x + i * wide + 1}
          y={316}
          width={wide - 2}
          height={26}
          fill={i < full * BLOCKS ? color : "var(--sheet)"}
          stroke="var(--ink)"
          strokeWidth={1}
        />
      ))}
      <text x={x} y={370} fontSize={22} fontWeight={600} fill="var(--ink)">
        {words}
      </text>
      {hash && (
        <text x={x} y={398} fontSize={20} fill="var(--quiet)" className="digits">
          {hash.slice(0, 8)} {hash.slice(8, 16)}
        </text>
      )}
    </g>
  );
}

/** What was read goes out as a file, and comes in again instead of reading once more. */
function Files({ jobId, copy }: { jobId: string; copy: Copy }) {
  const client = useQueryClient();
  const bring = useSubmit(async (file: File) => {
    let content: Schemas["DataFile"];
    try {
      content = JSON.parse(await file.text()) as Schemas["DataFile"];
    } catch {
      // The server says what such a file holds.
      content = { format: file.name } as Schemas["DataFile"];
    }
    unwrap(
      await api.PUT("/api/jobs/{jobId}/copies/{partId}/file", {
        params: { path: { jobId, partId: copy.partId } },
        body: { commandId: crypto.randomUUID(), file: content },
      }),
    );
    await client.invalidateQueries({ queryKey: keys.job(jobId) });
  });
  return (
    <div className="mt-2 flex flex-wrap items-center gap-3">
      {copy.read ? (
        <a
          href={`/api/jobs/${jobId}/copies/${copy.partId}/file`}
          download
          className="flex min-h-12 items-center rounded-md border-2 border-ink bg-sheet px-4"
        >
          Save the file
        </a>
      ) : (
        copy.doing === null && (
          <FilePick id="front-data" accept=".json" onFile={(file) => void bring.submit(file)}>
            Bring a saved file
          </FilePick>
        )
      )}
      {bring.problem && <ProblemNote problem={bring.problem} />}
    </div>
  );
}
