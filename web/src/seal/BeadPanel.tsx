import { BandAndOutline } from "@/edge/BandAndOutline";
import { useEdge } from "@/edge/useEdge";
import { useEdgePicture } from "@/edge/useEdgePicture";
import type { PanelProps } from "@/job/panel";
import { useUnits } from "@/session/useSession";
import { clockWords, secondsLeft, useServerSeconds } from "@/time/clock";
import { length } from "@/units/units";
import { beadTracks, type Seal } from "./useSeal";

/** The bead before the front goes on: where it runs, what stays bare, where clamps will press, how long it is still soft. */
export function BeadPanel({
  job,
  bead,
  pointed,
  onPoint,
  view,
  onView,
}: Pick<PanelProps, "job" | "pointed" | "onPoint" | "view" | "onView"> & {
  bead: NonNullable<Seal["bead"]>;
}) {
  const units = useUnits();
  const nowS = useServerSeconds();
  const edge = useEdge(job.id, view).data;
  const picture = useEdgePicture({
    jobId: job.id,
    newFront: true,
    tracks: edge ? beadTracks(bead, edge.perimeterMm, false) : [],
    foldedTrack: "bead",
    pointed,
    onPoint,
    view,
    onView,
  });
  const softS = bead.skinsAt === null ? null : secondsLeft(bead.skinsAt, 0, nowS);
  return (
    <BandAndOutline {...picture} below="Aired, gloves on. What stays bare is hatched.">
      {softS === null ? (
        <>
          <p className="digits text-5xl leading-none font-bold">{bead.ml.toFixed(2)} ml</p>
          <p className="mt-2 text-xl leading-snug font-semibold">
            in {clockWords(bead.layingSeconds)}, {length(bead.inMm, units)} in from the edge, one go
          </p>
          <p className="mt-2 leading-snug">Then the front at once, and {bead.clamps} clamps.</p>
        </>
      ) : softS > 0 ? (
        <>
          <p className="digits text-5xl leading-none font-bold">{clockWords(softS)}</p>
          <p className="mt-2 text-xl leading-snug font-semibold">until it skins: the front goes on now</p>
        </>
      ) : (
        <p className="text-2xl leading-snug font-semibold text-alarm">
          It has skinned: wipe it off and lay it anew
        </p>
      )}
    </BandAndOutline>
  );
}
