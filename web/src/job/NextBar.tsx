import { RotateCcw } from "lucide-react";
import { Link } from "react-router";
import { clockWords, secondsLeft, useServerSeconds } from "@/time/clock";
import { say, type Units } from "@/units/units";
import type { Choice, Job, Step } from "./useJob";

const SIDE =
  "flex w-24 lg:w-32 flex-col justify-center border-l-2 border-deep-quiet/40 px-3 text-left leading-tight disabled:opacity-40";

/** The one thing to do now, as large as a hand; everything else small beside it. */
export function NextBar({
  job,
  next,
  pendingCount,
  units,
  onChoose,
  onUndo,
  onMishap,
  onHelp,
}: {
  job: Job;
  next: Step | null;
  pendingCount: number;
  units: Units;
  onChoose: (step: Step, choice: Choice) => void;
  onUndo: () => void;
  onMishap: (kind: string) => void;
  onHelp: () => void;
}) {
  return (
    <footer className="flex h-30 shrink-0 bg-deep text-on-deep" data-pending={pendingCount}>
      <button
        type="button"
        className="flex w-28 lg:w-36 flex-col justify-center gap-1 px-4 text-left leading-tight disabled:opacity-40"
        disabled={!job.undo}
        onClick={onUndo}
      >
        <span className="flex items-center gap-2">
          <RotateCcw aria-hidden size={20} /> Take back <Key>u</Key>
        </span>
        <span className="line-clamp-2 text-sm text-deep-quiet">{job.undo && say(job.undo.words, units)}</span>
      </button>
      {next ? (
        <NextAction job={job} next={next} units={units} onChoose={onChoose} />
      ) : (
        <Done job={job} waiting={pendingCount > 0} />
      )}
      {job.atRisk && (
        <>
          <button type="button" className={SIDE} onClick={() => onMishap("SLIP")}>
            <span>Slip</span>
            <Key>s</Key>
          </button>
          <button type="button" className={SIDE} onClick={() => onMishap("NEW_CRACK")}>
            <span>New crack</span>
            <Key>c</Key>
          </button>
        </>
      )}
      <button
        type="button"
        className="w-14 border-l-2 border-deep-quiet/40 text-2xl"
        aria-label="Keys and help"
        onClick={onHelp}
      >
        ?
      </button>
    </footer>
  );
}

function Done({ job, waiting }: { job: Job; waiting: boolean }) {
  if (waiting || !job.closed) {
    return <p className="grid flex-1 place-content-center text-2xl">Kept until the line is back</p>;
  }
  return (
    <Link
      to={`/jobs/${job.id}/record`}
      className="grid flex-1 place-content-center bg-on-deep text-3xl font-semibold text-deep"
    >
      Handed over. Open the record
    </Link>
  );
}

function NextAction({
  job,
  next,
  units,
  onChoose,
}: {
  job: Job;
  next: Step;
  units: Units;
  onChoose: (step: Step, choice: Choice) => void;
}) {
  const now = useServerSeconds();
  const timer = job.timers.find((t) => t.seq === next.waitsFor);
  const left = timer ? secondsLeft(timer.startedAt, timer.seconds, now) : 0;
  const [first, ...others] = next.choices;
  if (!first) {
    return null;
  }
  if (!first.mine) {
    return (
      <p className="grid flex-1 place-content-center px-6 text-center text-xl">
        Next: {say(next.title, units)}. This is for the bench, not for your role.
      </p>
    );
  }
  const waiting = timer !== undefined && left > 0;
  return (
    <>
      {waiting ? (
        <div
          className="flex min-w-0 flex-1 items-center gap-3 border-4 border-lamp px-3 lg:gap-6 lg:px-6"
          role="timer"
        >
          <span className="digits text-5xl font-bold lg:text-7xl">{clockWords(left)}</span>
          <span className="text-xl leading-tight lg:text-2xl">
            {say(next.title, units)}
            {next.hint && (
              <small className="hidden text-base text-deep-quiet lg:block">{say(next.hint, units)}</small>
            )}
          </span>
        </div>
      ) : (
        <button
          type="button"
          data-next={next.id}
          className="min-w-0 flex-1 bg-lamp px-6 text-left text-on-lamp"
          onClick={() => onChoose(next, first)}
        >
          <span className="flex items-center gap-2">
            {timer ? `${say(next.title, units)}: time is up` : say(next.title, units)} <Key>space</Key>
          </span>
          <span className="block truncate text-3xl leading-tight font-bold lg:text-4xl">
            {say(first.label, units)}
          </span>
          {next.hint && (
            <span className="line-clamp-2 text-[0.95rem] leading-tight">{say(next.hint, units)}</span>
          )}
        </button>
      )}
      {waiting && (
        <button type="button" className={SIDE} onClick={() => onChoose(next, first)}>
          <span>{say(first.label, units)} already</span>
          <Key>1</Key>
        </button>
      )}
      {others
        .filter((choice) => choice.mine)
        .slice(0, 2)
        .map((choice, i) => (
          <button key={choice.label} type="button" className={SIDE} onClick={() => onChoose(next, choice)}>
            <span>{say(choice.label, units)}</span>
            <Key>{i + 2}</Key>
          </button>
        ))}
    </>
  );
}

function Key({ children }: { children: React.ReactNode }) {
  return (
    <kbd className="digits self-start rounded border border-current px-1.5 text-xs opacity-80">
      {children}
    </kbd>
  );
}
