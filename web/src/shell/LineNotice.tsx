import { CloudOff } from "lucide-react";
import { useLineUp } from "@/live/line";
import { useOutbox } from "@/live/outbox";

/** Says when the line or the journal is away, and what becomes of taps meanwhile. */
export function LineNotice({
  benchFailing,
  diskLeft,
}: {
  benchFailing: boolean;
  /** What is left of the app's disk, where that is little. */
  diskLeft: string | null;
}) {
  const lineUp = useLineUp();
  const { taps, stuck, signedOut } = useOutbox();
  if (signedOut) {
    return (
      <Notice>
        Your session has ended. {waiting(taps.length)}{" "}
        <button type="button" className="underline" onClick={() => location.assign("/")}>
          Sign in again
        </button>
      </Notice>
    );
  }
  if (lineUp && !stuck && !benchFailing) {
    return diskLeft === null ? null : (
      <Notice>
        The disk is nearly full: {diskLeft} left on the machine that Ridgefall runs on. Make room before
        nothing can be recorded.
      </Notice>
    );
  }
  return (
    <Notice>
      {lineUp ? "The journal can't be reached." : "The line to the app is down."} Timers go on.{" "}
      {taps.length > 0 ? waiting(taps.length) : "Taps are kept and sent once it is back."}
    </Notice>
  );
}

function waiting(count: number): string {
  return count === 0 ? "" : `${count} ${count === 1 ? "tap is" : "taps are"} kept and sent once it is back.`;
}

function Notice({ children }: { children: React.ReactNode }) {
  return (
    <p
      role="status"
      className="no-print flex items-center gap-3 border-b-4 border-alarm bg-sheet px-4 py-2 text-lg"
    >
      <CloudOff aria-hidden className="text-alarm" />
      <span>{children}</span>
    </p>
  );
}
