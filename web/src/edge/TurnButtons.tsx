import { FlipHorizontal2, RotateCw } from "lucide-react";
import type { View } from "./useEdge";

const TOOL =
  "grid size-11 place-items-center rounded border-2 border-line bg-sheet aria-pressed:bg-ink aria-pressed:text-sheet";

/** Shows the device as it lies on the bench. */
export function TurnButtons({
  view,
  onView,
  className,
}: {
  view: View;
  onView: (view: View) => void;
  className: string;
}) {
  return (
    <div className={className}>
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
  );
}
