import { type ReactNode, useState } from "react";
import { useUnits } from "@/session/useSession";
import { Folded } from "./Folded";
import { Patterns } from "./Patterns";
import type { Pin, Track } from "./pieces";
import { TurnButtons } from "./TurnButtons";
import { Unrolled } from "./Unrolled";
import { useEdge, type View } from "./useEdge";

interface Picture {
  jobId: string;
  tracks: readonly Track[];
  /** Which track the folded outline carries on its border. */
  foldedTrack: string;
  pins?: readonly Pin[];
  outlines?: Parameters<typeof Folded>[0]["outlines"];
  /** The old glass is off: its cracks went with it. */
  newFront?: boolean;
  pointed: number | null;
  onPoint: (at: number) => void;
  view: View;
  onView: (view: View) => void;
}

/** The shared picture of every station, folded and unrolled and always linked; a station arranges the two. */
export function useEdgePicture({
  jobId,
  tracks,
  foldedTrack,
  pins = [],
  outlines,
  newFront = false,
  pointed,
  onPoint,
  view,
  onView,
}: Picture): { band: ReactNode; folded: ReactNode } {
  const units = useUnits();
  const drawn = useEdge(jobId, view).data;
  const edge =
    drawn && newFront ? { ...drawn, marks: drawn.marks.filter((mark) => mark.kind !== "CRACK") } : drawn;
  const [active, setActive] = useState<string | null>(null);
  if (!edge) {
    return { band: <div className="h-24" />, folded: null };
  }
  const allPins: Pin[] =
    pointed === null ? [...pins] : [...pins, { id: "pointer", at: pointed, kind: "pointer", title: "" }];
  const shared = { edge, pins: allPins, active, onPoint, onActive: setActive };
  return {
    band: (
      <>
        <Patterns />
        <Unrolled {...shared} tracks={tracks} units={units} />
      </>
    ),
    folded: (
      <div className="relative h-full min-h-0 w-full">
        <Folded
          {...shared}
          pieces={tracks.find((track) => track.id === foldedTrack)?.pieces ?? []}
          {...(outlines ? { outlines } : {})}
        />
        <TurnButtons view={view} onView={onView} className="absolute inset-0 m-auto flex size-fit gap-1" />
        {view.faceDown && (
          <p className="pointer-events-none absolute inset-x-0 bottom-[22%] text-center">seen face down</p>
        )}
      </div>
    ),
  };
}
