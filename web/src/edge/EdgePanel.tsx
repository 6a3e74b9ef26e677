import { useEdgePicture } from "@/edge/useEdgePicture";
import { useEdge } from "@/edge/useEdge";
import { crackPieces, featurePieces } from "@/intake/pieces";
import type { PanelProps } from "@/job/panel";
import { BandAndOutline } from "./BandAndOutline";

/** The picture alone, for a front that clips hold: what lies where, and which clips are free. */
export function EdgePanel({ job, pointed, onPoint, view, onView }: PanelProps) {
  const edge = useEdge(job.id, view).data;
  const free = new Set(
    job.steps.filter((s) => s.station === "SEPARATE" && s.answer !== null).map((s) => s.id.slice(9)),
  );
  const next = job.nextStepId?.slice(9);
  const picture = useEdgePicture({
    jobId: job.id,
    tracks: [
      {
        id: "edge",
        name: "clips",
        height: 40,
        pieces: [
          ...featurePieces(edge)
            .filter((piece) => edge?.features.find((f) => f.id === piece.id)?.kind !== "GASKET")
            .map((piece) => ({
              ...piece,
              tone:
                piece.id === next
                  ? ("next" as const)
                  : free.has(piece.id)
                    ? ("free" as const)
                    : ("bond" as const),
            })),
          ...crackPieces(job.cracks),
        ],
      },
    ],
    foldedTrack: "edge",
    pointed,
    onPoint,
    view,
    onView,
  });
  const clips = edge?.features.filter((f) => f.kind === "CLIP") ?? [];
  return (
    <BandAndOutline {...picture}>
      <p className="digits text-5xl leading-none font-bold">
        {clips.filter((c) => free.has(c.id)).length} / {clips.length}
      </p>
      <p className="mt-2 text-xl leading-snug font-semibold">clips free</p>
      <p className="mt-2 text-lg leading-snug">
        Clips and a gasket hold this front: no heat, no adhesive. The clip map is read off the new part.
      </p>
    </BandAndOutline>
  );
}
