import clsx from "clsx";
import { Link } from "react-router";
import type { Schemas } from "@/api/client";
import { type Moment, useMoment } from "@/heat/useMoment";
import { clockWords, secondsLeft, useServerSeconds } from "@/time/clock";

type Timer = Schemas["BenchTimer"];

/** What runs, for which job, and how long still; over is said by sign and shape, not by colour alone. */
export function TimerChip({ timer }: { timer: Timer }) {
  return timer.warmth === "RISING" ? <SoakChip timer={timer} /> : <Chip timer={timer} words={timer.words} />;
}

const MOMENTS: Partial<Record<Moment, string>> = { READY: "Bond ready", LIMIT: "Off now" };

/** A soak says how it stands wherever one is: hands are rarely at the screen of the job that needs them. */
function SoakChip({ timer }: { timer: Timer }) {
  const left = secondsLeft(timer.startedAt, timer.seconds, useServerSeconds());
  const moment = useMoment(timer.jobId, timer.seq, timer.seconds - left);
  return <Chip timer={timer} words={MOMENTS[moment] ?? timer.words} urgent={moment === "LIMIT"} />;
}

function Chip({ timer, words, urgent = false }: { timer: Timer; words: string; urgent?: boolean }) {
  const left = secondsLeft(timer.startedAt, timer.seconds, useServerSeconds());
  const over = left <= 0 || urgent;
  return (
    <Link
      to={`/jobs/${timer.jobId}`}
      className={clsx(
        "flex max-w-full shrink-0 items-center gap-2 rounded px-2 py-0.5",
        urgent ? "bg-alarm text-on-alarm" : over ? "bg-on-deep text-deep" : "text-on-deep",
      )}
    >
      <span className="digits text-xl font-semibold lg:text-2xl">{clockWords(left)}</span>
      <span className="line-clamp-3 min-w-0 text-[0.78rem] leading-[1.1]">
        {words}
        {left <= 0 && !urgent && <span className="sr-only">: over</span>}, job {timer.jobNumber}
      </span>
    </Link>
  );
}
