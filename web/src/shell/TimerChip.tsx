import clsx from "clsx";
import { Link } from "react-router";
import type { Schemas } from "@/api/client";
import { clockWords, secondsLeft, useServerSeconds } from "@/time/clock";

/** What runs, for which job, and how long still; over is said by sign and shape, not by colour alone. */
export function TimerChip({ timer }: { timer: Schemas["BenchTimer"] }) {
  const left = secondsLeft(timer.startedAt, timer.seconds, useServerSeconds());
  const over = left <= 0;
  return (
    <Link
      to={`/jobs/${timer.jobId}`}
      className={clsx(
        "flex shrink-0 items-baseline gap-2 rounded px-2 py-0.5",
        over ? "bg-on-deep text-deep" : "text-on-deep",
      )}
    >
      <span className="digits text-2xl font-semibold">{clockWords(left)}</span>
      <span className="text-sm">
        {timer.words}
        {over && ": over"} · job {timer.jobNumber}
      </span>
    </Link>
  );
}
