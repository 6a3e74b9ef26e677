import { keepPreviousData, useQuery } from "@tanstack/react-query";
import { api, type Schemas, unwrap } from "@/api/client";
import { keys } from "@/api/keys";
import { BandAndOutline } from "@/edge/BandAndOutline";
import type { Piece } from "@/edge/pieces";
import { useEdgePicture } from "@/edge/useEdgePicture";
import type { PanelProps } from "@/job/panel";
import { useUnits } from "@/session/useSession";
import { clockWords, secondsLeft, useServerSeconds } from "@/time/clock";
import { length, say, type Units } from "@/units/units";
import { Button } from "@/ui/Button";
import { Awaited } from "@/ui/Awaited";

type Ledge = Schemas["LedgeView"];
type Stretch = Ledge["stretches"][number];

/** How far each stretch of the ledge has come, what goes on it, and what to keep off. */
export function CleanPanel({ job, record, pointed, onPoint, view, onView }: PanelProps) {
  const units = useUnits();
  const nowS = useServerSeconds();
  const { data: ledge } = useQuery({
    queryKey: keys.station(job.id, "ledge", job.seq),
    queryFn: async () =>
      unwrap(await api.GET("/api/jobs/{jobId}/ledge", { params: { path: { jobId: job.id } } })),
    placeholderData: keepPreviousData,
  });
  const picture = useEdgePicture({
    jobId: job.id,
    newFront: true,
    tracks: ledge
      ? [
          { id: "ledge", name: "ledge", height: 38, pieces: stagePieces(ledge, nowS) },
          { id: "solvent", name: "solvent", height: 24, pieces: solventPieces(ledge) },
          { id: "off", name: "keep off", height: 24, pieces: keepOffPieces(ledge, units) },
        ]
      : [],
    foldedTrack: "ledge",
    pointed,
    onPoint,
    view,
    onView,
  });
  if (!ledge) {
    return <Awaited words="Looking along the ledge" />;
  }
  const there = pointed === null ? undefined : ledge.stretches.find((s) => covers(s, pointed));
  const accepted = ledge.stretches.filter((s) => s.stage === "ACCEPTED").length;
  return (
    <BandAndOutline
      {...picture}
      below={
        <>
          {accepted} of {ledge.stretches.length} stretches accepted. Ledge {length(ledge.widthMm, units)}{" "}
          wide. Aired, gloves and eye protection on.
        </>
      }
    >
      {there ? (
        <One
          stretch={there}
          onTell={(choice) => void record(choice.fact, choice.label).then(() => onPoint(null))}
          closed={job.closed}
        />
      ) : (
        <InHand ledge={ledge} nowS={nowS} />
      )}
    </BandAndOutline>
  );
}

/** One stretch that a finger points at: how far it is, and what is not right with it. */
function One({
  stretch,
  onTell,
  closed,
}: {
  stretch: Stretch;
  onTell: (choice: Stretch["choices"][number]) => void;
  closed: boolean;
}) {
  const units = useUnits();
  return (
    <>
      <p className="text-xl leading-snug font-semibold first-letter:uppercase">{say(stretch.place, units)}</p>
      <p className="text-lg leading-snug">
        {stretch.stageWords}; {stretch.solvent}
      </p>
      <KeepOff near={stretch.near} />
      <div className="mt-3 flex flex-wrap gap-2">
        {!closed &&
          stretch.choices.map((choice) => (
            <Button
              key={choice.label}
              look={choice.tone === "FAIL" ? "alarm" : "plain"}
              disabled={!choice.mine}
              onClick={() => onTell(choice)}
            >
              {choice.label}
            </Button>
          ))}
      </div>
    </>
  );
}

function InHand({ ledge, nowS }: { ledge: Ledge; nowS: number }) {
  const now = ledge.stretches.filter((s) => s.now);
  const wetS: number = Math.max(...ledge.stretches.map((s) => wetFor(s, nowS)));
  const openS = ledge.primer && !ledge.primer.covered ? secondsLeft(ledge.primer.openUntil, 0, nowS) : null;
  if (now.length > 0) {
    const wiping = now.every((s) => s.stage !== "GLUE");
    const solvents = [...new Set(now.map((s) => s.solvent))];
    return (
      <>
        {wiping && <p className="text-4xl leading-none font-bold first-letter:uppercase">{solvents[0]}</p>}
        <p className="mt-1 text-xl leading-snug font-semibold">
          {now.length === ledge.stretches.length
            ? "All round"
            : `${now.length} of ${ledge.stretches.length} stretches, lit above`}
        </p>
        <KeepOff near={[...new Set(now.flatMap((s) => s.near))]} />
        <Pointing />
      </>
    );
  }
  if (wetS > 0) {
    return (
      <>
        <p className="digits text-5xl leading-none font-bold">{clockWords(wetS)}</p>
        <p className="mt-2 text-xl leading-snug">
          until the last of it is reckoned dry. Nothing near that glows.
        </p>
      </>
    );
  }
  if (openS !== null) {
    return (
      <>
        <p className="digits text-5xl leading-none font-bold">{clockWords(openS)}</p>
        <p className="mt-2 text-xl leading-snug">
          {openS > 0 ? "left to tape on the primer" : "too long: prime again before tape"}
        </p>
      </>
    );
  }
  return (
    <>
      <p className="text-2xl leading-snug font-semibold">
        {ledge.stretches.every((s) => s.stage === "ACCEPTED")
          ? "Clean all round"
          : "Nail along it, lamp flat over it"}
      </p>
      <Pointing />
    </>
  );
}

const Pointing = () => <p className="mt-2 leading-snug text-quiet">Tap a stretch to tell of it alone.</p>;

/** More of them are a wall: the band has them all. */
const NAMED = 7;

function KeepOff({ near }: { near: readonly string[] }) {
  return near.length === 0 ? null : (
    <p className="mt-1 leading-snug font-semibold text-alarm">
      Keep off: {near.slice(0, NAMED).join(", ")}
      {near.length > NAMED && ` and ${near.length - NAMED} more, hatched above`}
    </p>
  );
}

const covers = (s: Stretch, at: number) => at >= s.fromMm && at < s.fromMm + s.lengthMm;

/** Seconds until it is reckoned dry; 0 where it is. */
const wetFor = (s: Stretch, nowS: number) =>
  s.stage === "WIPED" && s.readyAt ? Math.max(0, secondsLeft(s.readyAt, 0, nowS)) : 0;

function stagePieces(ledge: Ledge, nowS: number): Piece[] {
  return ledge.stretches.map((s) => ({
    id: s.id,
    from: s.fromMm,
    length: s.lengthMm,
    tone: s.now ? "next" : TONES[s.stage],
    label:
      s.stage === "WIPED" ? (wetFor(s, nowS) > 0 ? clockWords(wetFor(s, nowS)) : "wet") : LABELS[s.stage],
    title: `${s.place}: ${s.stageWords}`,
  }));
}

const TONES = { GLUE: "bond", BARE: "strip", WIPED: "warm", DRY: "strip", ACCEPTED: "free" } as const;

const LABELS = { GLUE: "glue", BARE: "bare", DRY: "dry", ACCEPTED: "✓" } as const;

function solventPieces(ledge: Ledge): Piece[] {
  return ledge.stretches.map((s) => ({
    id: `${s.id}-solvent`,
    from: s.fromMm,
    length: s.lengthMm,
    tone: s.solvent === "acetone" ? "free" : "bond",
    label: s.solvent,
    title: `${s.place}: ${s.solvent}`,
  }));
}

function keepOffPieces(ledge: Ledge, units: Units): Piece[] {
  return ledge.keepOffs.map((off) => ({
    id: `${off.id}-off`,
    from: off.fromMm,
    length: off.lengthMm,
    tone: "hazard",
    label: off.words,
    title: off.inwardMm > 0 ? `${off.words}, ${length(off.inwardMm, units)} inside` : off.words,
  }));
}
