import { BandAndOutline } from "@/edge/BandAndOutline";
import type { Piece } from "@/edge/pieces";
import { useEdge } from "@/edge/useEdge";
import { useEdgePicture } from "@/edge/useEdgePicture";
import { crackPieces, featurePieces } from "@/intake/pieces";
import type { PanelProps } from "@/job/panel";
import { type Clips, useClips } from "./useClips";
import { Awaited } from "@/ui/Awaited";

/** The map of the clips: which comes next and from where, what lies beneath it, how many still hold. */
export function ClipPanel({ job, pointed, onPoint, view, onView }: PanelProps) {
  const map = useClips(job.id, job.seq);
  const edge = useEdge(job.id, view).data;
  const beneath = featurePieces(edge).filter(
    (piece) => edge?.features.find((feature) => feature.id === piece.id)?.kind !== "GASKET",
  );
  const picture = useEdgePicture({
    jobId: job.id,
    tracks: [
      { id: "clips", name: "clips", height: 44, pieces: map ? clipPieces(map) : [] },
      { id: "edge", name: "edge", height: 26, pieces: [...beneath, ...crackPieces(job.cracks)] },
    ],
    foldedTrack: "clips",
    pointed,
    onPoint,
    view,
    onView,
  });
  if (!map) {
    return <Awaited words="Reading the map of the clips" />;
  }
  const held = map.clips.filter((clip) => clip.turn !== null).length;
  const next = map.clips.find((clip) => clip.turn === 1);
  return (
    <BandAndOutline {...picture}>
      <p className="digits text-5xl leading-none font-bold">
        {held} <span className="text-2xl font-normal">of {map.clips.length} hold</span>
      </p>
      {next ? (
        <>
          <p className="mt-2 text-xl leading-snug font-semibold">
            {held === map.clips.length ? "Begin here, then " : ""}
            {map.towards}
          </p>
          {next.beneath.length > 0 && (
            <p className="mt-1 leading-snug font-semibold text-alarm">Beneath: {next.beneath.join("; ")}</p>
          )}
          {next.stiff && (
            <p className="mt-1 leading-snug">
              Beside a corner the front gives little and clips break: lever at the clip, not beside it.
            </p>
          )}
        </>
      ) : (
        <p className="mt-2 text-xl leading-snug">
          All free. It opens on the {map.opensOn}, {map.greatestOpeningDeg}° at most.
        </p>
      )}
      <p className="mt-2 leading-snug text-quiet">
        Held by clips and a gasket: no heat, no adhesive. Cold plastic breaks: a stiff clip is warmed by hand
        first.
      </p>
    </BandAndOutline>
  );
}

function clipPieces(map: Clips): Piece[] {
  return map.clips.map((clip) => ({
    id: clip.id,
    from: clip.heldFromMm,
    length: clip.heldMm,
    tone: clip.broken ? "crack" : clip.turn === null ? "free" : clip.turn === 1 ? "next" : "bond",
    label: clip.turn === null ? "" : String(clip.turn),
    title: `${clip.words}: ${clip.broken ? "broken, " : ""}${clip.turn === null ? "free" : `number ${clip.turn}`}${
      clip.beneath.length > 0 ? `; beneath: ${clip.beneath.join("; ")}` : ""
    }`,
  }));
}
