import type { Piece } from "@/edge/pieces";
import { useEdgePicture } from "@/edge/useEdgePicture";
import type { PanelProps } from "@/job/panel";
import { useClips } from "@/separate/useClips";

/** Which clip is pressed home when, and which are. */
export function ClosingBand({
  job,
  pointed,
  onPoint,
  view,
  onView,
}: Pick<PanelProps, "job" | "pointed" | "onPoint" | "view" | "onView">) {
  const map = useClips(job.id, job.seq);
  const pieces: Piece[] = (map?.clips ?? []).map((clip) => {
    const home = job.steps.some((step) => step.id === clip.closedBy && !step.open);
    return {
      id: clip.id,
      from: clip.heldFromMm,
      length: clip.heldMm,
      tone: home ? "free" : clip.closedBy === job.nextStepId ? "next" : "bond",
      label: home ? "" : String(clip.closes),
      title: `${clip.words}: ${home ? "home" : `number ${clip.closes}`}`,
    };
  });
  const picture = useEdgePicture({
    jobId: job.id,
    tracks: [{ id: "clips", name: "clips", height: 44, pieces }],
    foldedTrack: "clips",
    pointed,
    onPoint,
    view,
    onView,
  });
  return picture.band;
}
