import { BandAndOutline } from "@/edge/BandAndOutline";
import { useEdgePicture } from "@/edge/useEdgePicture";
import type { Piece } from "@/edge/pieces";
import { useEdge } from "@/edge/useEdge";
import type { PanelProps } from "@/job/JobPage";
import { useUnits } from "@/session/useSession";
import { length } from "@/units/units";
import { Button } from "@/ui/Button";

const CRACK_MM = 10;

export function crackPieces(cracks: PanelProps["job"]["cracks"]): Piece[] {
  return cracks.map((crack, i) => ({
    id: `crack-${i}`,
    from: crack.fromMm,
    length: crack.lengthMm,
    tone: "crack",
    title: "crack at the edge",
  }));
}

/** Where it is broken: a tap on either picture, then one on the button. */
export function IntakePanel({ job, record, pointed, onPoint, view, onView }: PanelProps) {
  const units = useUnits();
  const edge = useEdge(job.id, view).data;
  const picture = useEdgePicture({
    jobId: job.id,
    tracks: [
      { id: "features", name: "on the edge", height: 30, pieces: featurePieces(edge) },
      { id: "cracks", name: "cracks", height: 30, pieces: crackPieces(job.cracks) },
    ],
    foldedTrack: "cracks",
    pointed,
    onPoint,
    view,
    onView,
  });
  return (
    <>
      <BandAndOutline {...picture}>
        <p className="text-3xl leading-tight font-bold">{job.owner}</p>
        <p className="mt-2 text-xl leading-snug">{job.fault}</p>
        <p className="mt-2 text-quiet">
          {job.device}, {job.deviceWords}
        </p>
      </BandAndOutline>
      <div className="flex min-h-12 items-center gap-4">
        {pointed === null ? (
          <p className="text-quiet">Point at the edge where a crack reaches it.</p>
        ) : (
          <Button
            look="alarm"
            onClick={() =>
              void record(
                {
                  type: "CrackMarked",
                  fromMm: Math.max(0, pointed - CRACK_MM / 2),
                  lengthMm: CRACK_MM,
                },
                "Crack at the edge",
              ).then(() => onPoint(null))
            }
          >
            Crack here, at {length(pointed, units)}
          </Button>
        )}
      </div>
    </>
  );
}

export function featurePieces(edge: ReturnType<typeof useEdge>["data"]): Piece[] {
  return (edge?.features ?? []).map((feature) => ({
    id: feature.id,
    from: feature.fromMm,
    length: feature.lengthMm,
    tone: "free",
    label: feature.words,
    title: `${feature.words}: ${feature.consequence}`,
  }));
}
