import { Camera, CircleDot, CornerDownRight, Slash } from "lucide-react";
import { useState } from "react";
import { Link } from "react-router";
import { type Tool, MarkBoard } from "./MarkBoard";
import { OwnerNote } from "./OwnerNote";
import { Photos } from "./Photos";
import { useEdge } from "@/edge/useEdge";
import { useDecision } from "@/decide/useDecision";
import { answered, filled } from "@/job/filled";
import type { PanelProps } from "@/job/panel";
import { TouchPanel, useTouch } from "@/test/TouchPanel";
import { useUnits } from "@/session/useSession";
import { say, typed } from "@/units/units";
import { Button } from "@/ui/Button";

const TOOLS: { tool: Tool; words: string; icon: typeof Slash; hint: string }[] = [
  {
    tool: "CRACK",
    words: "Crack",
    icon: Slash,
    hint: "Draw each crack with a finger; it steers heat and cutting later.",
  },
  { tool: "DENT", words: "Dent", icon: CircleDot, hint: "Tap each dent." },
  {
    tool: "BEND",
    words: "Bend",
    icon: CornerDownRight,
    hint: "Tap the corner that rocks on a flat plate, then say by how much.",
  },
];

const FACE_UP = { quarterTurns: 0, faceDown: false };

/** Where it is broken and what it does, while the owner stands there: drawn, tapped, photographed. */
export function IntakePanel({ job, record, ask }: PanelProps) {
  const units = useUnits();
  const edge = useEdge(job.id, FACE_UP).data;
  const decision = useDecision(job.id, job.seq);
  const [tool, setTool] = useState<Tool>("CRACK");
  const [place, setPlace] = useState("");
  const [proving, setProving] = useState(false);
  const touch = useTouch(job, proving).data;
  const provable = job.nextProvenBy === "DEVICE";
  const marks = edge?.marks ?? [];
  const { board } = job;
  if (proving && provable) {
    return touch ? (
      <TouchPanel
        job={job}
        touch={touch}
        otherwise={
          <div className="m-auto grid justify-items-start gap-3">
            <p className="text-lg leading-snug">
              What it does now is kept: after the repair it is said what was so before.
            </p>
            <Button onClick={() => setProving(false)}>Back to where it is broken</Button>
          </div>
        }
      />
    ) : (
      <p className="p-8 text-xl">…</p>
    );
  }
  return (
    <div className="flex min-h-0 flex-1 flex-col gap-2">
      <div className="flex items-start gap-4">
        <p className="min-w-0 flex-1 text-lg leading-snug">
          <b>{job.owner}</b>: {job.fault}
        </p>
        <div className="text-right">
          <OwnerNote jobId={job.id} />
        </div>
        {provable && !job.closed && (
          <Button onClick={() => setProving(true)} look="quiet" className="underline">
            Prove it on itself
          </Button>
        )}
        <Link to={`/jobs/${job.id}/tag`} className="min-h-11 px-2 py-2 underline">
          Print the tag
        </Link>
      </div>
      <div className="flex flex-wrap gap-1.5" role="group" aria-label="What is wrong">
        {decision?.symptoms.map((s) => (
          <button
            key={s.symptom}
            type="button"
            aria-pressed={s.seen}
            disabled={job.closed}
            className="min-h-10 rounded-full border-2 border-line bg-sheet px-3 text-[0.93rem] aria-pressed:border-ink aria-pressed:bg-ink aria-pressed:text-sheet"
            onClick={() => void record(s.turn.fact, s.words)}
          >
            {s.seen && "✓ "}
            {s.words}
          </button>
        ))}
      </div>
      {/* Not before all that stands above it: it would move under the finger that draws. */}
      {edge && decision && (
        <MarkBoard
          edge={edge}
          tool={tool}
          onCrack={(line) => void record(filled(board.crack, { line }), board.crack.label)}
          onDent={(at) => void record(filled(board.dent, { at }), board.dent.label)}
          onBend={(corner, words) =>
            ask({
              title: `Bent at the ${words}`,
              hint: "lay it on a flat plate and feel under this corner",
              choice: answered(board.bend, { corner }),
            })
          }
        />
      )}
      <div className="flex flex-wrap items-center gap-2">
        {TOOLS.map(({ tool: one, words, icon: Icon }) => (
          <Button
            key={one}
            aria-pressed={tool === one}
            className="flex items-center gap-2 aria-pressed:bg-ink aria-pressed:text-sheet"
            onClick={() => setTool(one)}
          >
            <Icon aria-hidden size={18} /> {words}
          </Button>
        ))}
        <form
          className="flex items-center gap-1"
          onSubmit={(event) => {
            event.preventDefault();
            void record(
              filled(board.crackAt, { fromMm: typed(place, "mm", units) }),
              board.crackAt.label,
            ).then((fate) => fate.kind !== "refused" && setPlace(""));
          }}
        >
          <label htmlFor="crack-at" className="text-quiet">
            or at
          </label>
          <input
            id="crack-at"
            inputMode="decimal"
            value={place}
            onChange={(e) => setPlace(e.target.value)}
            className="min-h-11 w-20 rounded-md border-2 border-line bg-sheet px-2"
          />
          <span className="text-quiet">{units.length} along the edge</span>
          <Button type="submit" disabled={place.trim() === ""}>
            Crack
          </Button>
        </form>
      </div>
      <p className="text-quiet">{TOOLS.find((t) => t.tool === tool)?.hint}</p>
      <div className="flex min-h-12 flex-wrap items-center gap-2">
        {marks.map((mark) => (
          <Button
            key={mark.seq}
            disabled={job.closed}
            className="text-[0.93rem]"
            onClick={() => void record(mark.remove.fact, `${mark.words}: removed`)}
          >
            {mark.words}
            {mark.gapMm !== null && `, ${say(`{mm:${mark.gapMm}}`, units)}`} ✕
            <span className="sr-only"> remove</span>
          </Button>
        ))}
        <Photos job={job} icon={Camera} />
      </div>
    </div>
  );
}
