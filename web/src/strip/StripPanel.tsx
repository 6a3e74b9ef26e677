import { keepPreviousData, useQuery } from "@tanstack/react-query";
import { Camera } from "lucide-react";
import { useState } from "react";
import { api, unwrap } from "@/api/client";
import { keys } from "@/api/keys";
import { TurnButtons } from "@/edge/TurnButtons";
import { useEdge } from "@/edge/useEdge";
import { TakePhoto } from "@/intake/Photos";
import type { PanelProps } from "@/job/panel";
import { JournalPanel } from "@/job/JournalPanel";
import { useUnits } from "@/session/useSession";
import { say } from "@/units/units";
import { HoleFits } from "./HoleFits";
import { isStray, OpenDevice } from "./OpenDevice";
import { ScrewMark } from "./ScrewMark";

/** The open device to scale: lit is what the hand is at, hatched what lies over it and comes off first. */
export function StripPanel({ job, view, onView, choose }: PanelProps) {
  const units = useUnits();
  const [holeId, setHoleId] = useState<string | null>(null);
  const edge = useEdge(job.id, view).data;
  const { data: strip } = useQuery({
    queryKey: keys.station(job.id, "strip", job.seq, view),
    queryFn: async () =>
      unwrap(await api.GET("/api/jobs/{jobId}/strip", { params: { path: { jobId: job.id }, query: view } })),
    placeholderData: keepPreviousData,
  });
  if (!strip || !edge) {
    return <p className="text-xl">…</p>;
  }
  const drawn =
    strip.holes.length > 0 || strip.parts.some((part) => part.corners) || strip.plugs.some((plug) => plug.at);
  if (!drawn) {
    return <JournalPanel job={job} />;
  }
  const screwsNow = strip.holes.some((hole) => hole.lie === "NOW");
  const step = job.steps.find((one) => one.id === job.nextStepId);
  const strays = strip.holes.filter(isStray);
  const plug = strip.plugs.find((one) => one.lie === "NOW");
  const part = strip.parts.find((one) => one.lie === "NOW");
  const hole = strip.holes.find((one) => one.id === holeId);
  return (
    <div className="flex min-h-0 flex-1 flex-col gap-2">
      <div className="min-h-0 flex-1">
        <OpenDevice
          edge={edge}
          strip={strip}
          label="The open device with what comes off now"
          chosen={holeId}
          onHole={setHoleId}
        />
      </div>
      <div className="flex min-h-24 items-start gap-4">
        <div className="min-w-0 flex-1 leading-snug">
          {hole ? (
            <HoleFits
              screws={strip.screws}
              hole={hole}
              units={units}
              onTell={(choice) => {
                setHoleId(null);
                if (step) {
                  choose(step, choice);
                }
              }}
              onClose={() => setHoleId(null)}
            />
          ) : screwsNow ? (
            <ul className="flex flex-wrap gap-x-5 gap-y-1 text-lg" aria-label="Screws by kind">
              {strip.screws.map(
                (kind, i) =>
                  kind.now > 0 && (
                    <li key={kind.words} className="flex items-center gap-2">
                      <svg viewBox="-6 -6 12 12" className="size-7 shrink-0" aria-hidden>
                        <ScrewMark kind={i} r={4.5} fill="var(--lamp)" />
                      </svg>
                      <span className="text-2xl">
                        <b className="digits">{kind.now}</b> × {say(kind.words, units)}
                        {kind.hiddenNow > 0 && <b> · {kind.hiddenNow} hidden</b>}
                      </span>
                    </li>
                  ),
              )}
            </ul>
          ) : (
            <>
              <p className="text-xl font-semibold">{plug?.words ?? part?.words}</p>
              <p>{plug?.hint}</p>
              {plug && <WayOfItsCable job={job} plug={plug} goesOff={step?.station === "STRIP"} />}
            </>
          )}
          {strip.onTheWay.length > 0 && (
            <p className="text-lg">
              First off: <b>{strip.onTheWay.join(", then ")}</b>
            </p>
          )}
          {!hole && strays.length > 0 && (
            <p className="text-lg font-semibold text-alarm">
              {strays.map((one) => `${one.id} ${say(one.told ?? "", units)}`).join("; ")}
            </p>
          )}
          {!hole && strip.holes.length > 0 && (
            <p className="text-quiet">
              Tap a hole: which screw belongs there, what the others would do; and if one fell, sticks or is
              not there.{" "}
              <a
                className="underline"
                href={`/api/jobs/${job.id}/tray-sheet`}
                target="_blank"
                rel="noreferrer"
              >
                Tray at true scale, PDF
              </a>
              {"; "}
              <a className="underline" href={`/api/jobs/${job.id}/screws`}>
                CSV
              </a>
            </p>
          )}
          {screwsNow && !hole && strip.holes.some((hole) => hole.lie === "STAYS_EMPTY") && (
            <p className="text-quiet">A crossed ring stays empty until a later layer is back.</p>
          )}
        </div>
        {!hole && <TurnButtons view={view} onView={onView} className="flex shrink-0 gap-1" />}
      </div>
    </div>
  );
}

/** How the cable ran before anybody moved it: pictured on the way down, looked at on the way back. */
function WayOfItsCable({
  job,
  plug,
  goesOff,
}: {
  job: PanelProps["job"];
  plug: { id: string; words: string };
  goesOff: boolean;
}) {
  const words = `how the cable ran, ${plug.words}`;
  const taken = job.photos.filter((photo) => photo.words === words);
  return (
    <div className="mt-1 flex flex-wrap items-center gap-2">
      {taken.map((photo) => (
        <a key={photo.id} href={`/api/photos/${photo.id}`} target="_blank" rel="noreferrer">
          <img
            src={`/api/photos/${photo.id}?thumb=true`}
            alt={words}
            className="h-24 rounded border-2 border-line"
          />
        </a>
      ))}
      {goesOff && <TakePhoto job={job} icon={Camera} id={`way-${plug.id}`} words={words} />}
      {goesOff && taken.length === 0 && <span className="text-quiet">of how its cable runs</span>}
    </div>
  );
}
