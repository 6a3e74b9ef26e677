import { FlipHorizontal2, RotateCw } from "lucide-react";
import { type ReactNode, useState } from "react";
import { useUnits } from "@/session/useSession";
import { Folded } from "./Folded";
import { Patterns } from "./Patterns";
import type { Pin, Track } from "./pieces";
import { Unrolled } from "./Unrolled";
import { useEdge, type View } from "./useEdge";

interface Picture {
  jobId: string;
  tracks: readonly Track[];
  /** Which track the folded outline carries on its border. */
  foldedTrack: string;
  pins?: readonly Pin[];
  outlines?: Parameters<typeof Folded>[0]["outlines"];
  pointed: number | null;
  onPoint: (at: number) => void;
  view: View;
  onView: (view: View) => void;
}

const TOOL =
  "grid size-11 place-items-center rounded border-2 border-line bg-sheet aria-pressed:bg-ink aria-pressed:text-sheet";

/** The shared picture of every station, folded and unrolled and always linked; a station arranges the two. */
export function useEdgePicture({
  jobId,
  tracks,
  foldedTrack,
  pins = [],
  outlines,
  pointed,
  onPoint,
  view,
  onView,
}: Picture): { band: ReactNode; folded: ReactNode } {
  const units = useUnits();
  const edge = useEdge(jobId, view).data;
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
        <div className="absolute inset-0 m-auto flex size-fit gap-1">
          <button
            type="button"
            className={TOOL}
            aria-label="Turn the picture a quarter"
            onClick={() => onView({ ...view, quarterTurns: (view.quarterTurns + 1) % 4 })}
          >
            <RotateCw aria-hidden />
          </button>
          <button
            type="button"
            className={TOOL}
            aria-pressed={view.faceDown}
            aria-label="Face down"
            onClick={() => onView({ ...view, faceDown: !view.faceDown })}
          >
            <FlipHorizontal2 aria-hidden />
          </button>
        </div>
        {view.faceDown && (
          <p className="pointer-events-none absolute inset-x-0 bottom-[22%] text-center">seen face down</p>
        )}
      </div>
    ),
  };
}
