import clsx from "clsx";
import { RotateCcw } from "lucide-react";
import { Link } from "react-router";
import { useForecast } from "@/heat/useHeat";
import { momentOf } from "@/heat/useMoment";
import { clockWords, secondsLeft, useServerSeconds } from "@/time/clock";
import { say, type Units } from "@/units/units";
import type { LargeAction } from "./largeAction";
import type { Choice, Job, Step } from "./useJob";
import { MISHAP_KEYS } from "./useKeys";

/** More letters than fit beside the keys in the largest type. */
const LONG = 26;

/** More than fit in it on a narrow screen. */
const SHORT = 14;

/** What is longer stands in full beside the picture; cut it would say less than nothing. */
const IN_ONE = 72;

/** The same on a narrow screen. */
const IN_HALF = 36;

const SIDE =
  "flex w-24 lg:w-32 flex-col justify-center border-l-2 border-deep-quiet/40 px-3 text-left leading-tight disabled:opacity-40";

/** Two of half the height beside each other's edge: they are for the moment something goes wrong. */
const STACK = "flex w-24 lg:w-32 flex-col divide-y-2 divide-deep-quiet/40 border-l-2 border-deep-quiet/40";
const HALF =
  "flex flex-1 items-center justify-between gap-1 px-2.5 text-left leading-tight disabled:opacity-40 [&_kbd]:self-center";

/** The one thing to do now, as large as a hand; everything else small beside it. */
export function NextBar({
  job,
  action,
  unheard,
  stuck,
  question,
  units,
  onGo,
  onChoose,
  onUndo,
  onMishap,
  onCell,
  onWrong,
  onHelp,
}: {
  job: Job;
  action: LargeAction;
  /** How many taps the server's word does not know of yet. */
  unheard: number;
  /** The line is down. */
  stuck: boolean;
  /** Whether what is asked has stood long enough to be answered, and whether a press came too soon. */
  question: { stands: boolean; tooSoon: boolean };
  units: Units;
  /** Does what the large action says. */
  onGo: () => void;
  onChoose: (step: Step, choice: Choice) => void;
  onUndo: () => void;
  onMishap: (what: Choice) => void;
  onCell: (sign: Choice) => void;
  onWrong: () => void;
  onHelp: () => void;
}) {
  const danger = job.cellSigns[0];
  return (
    <footer
      className={clsx(
        "flex h-30 shrink-0 bg-deep text-on-deep",
        question.tooSoon && "outline-4 -outline-offset-4 outline-on-deep",
      )}
      data-pending={unheard}
      data-stands={question.stands || undefined}
      data-too-soon={question.tooSoon || undefined}
    >
      <button
        type="button"
        className="flex w-28 lg:w-36 flex-col justify-center gap-1 px-4 text-left leading-tight disabled:opacity-40"
        disabled={!job.undo?.choice.mine || unheard > 0}
        onClick={onUndo}
      >
        <span className="flex items-center gap-2">
          <RotateCcw aria-hidden size={20} /> Take back <Key>u</Key>
        </span>
        <span className="line-clamp-2 text-sm text-deep-quiet">
          {job.undo && (job.undo.choice.mine ? say(job.undo.words, units) : `for ${job.undo.who} or a lead`)}
        </span>
      </button>
      <Large job={job} action={action} stuck={stuck} units={units} onGo={onGo} onChoose={onChoose} />
      {job.atRisk && (
        <div className={STACK}>
          {job.whenItGoesWrong.slice(0, MISHAP_KEYS.length).map((what, i) => (
            <button
              key={what.label}
              type="button"
              className={HALF}
              disabled={!what.mine}
              onClick={() => onMishap(what)}
            >
              <span>{what.label}</span>
              <Key>{MISHAP_KEYS[i]}</Key>
            </button>
          ))}
        </div>
      )}
      {danger && (
        <div className={STACK}>
          <button type="button" className={HALF} onClick={onWrong}>
            <span>Else</span>
            <Key>w</Key>
          </button>
          {action.kind !== "stop" && (
            <button
              type="button"
              className={`${HALF} bg-danger text-on-danger`}
              disabled={!danger.mine}
              onClick={() => onCell(danger)}
            >
              <span>Battery!</span>
              <Key>x</Key>
            </button>
          )}
        </div>
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

function Large({
  job,
  action,
  stuck,
  units,
  onGo,
  onChoose,
}: {
  job: Job;
  action: LargeAction;
  stuck: boolean;
  units: Units;
  onGo: () => void;
  onChoose: (step: Step, choice: Choice) => void;
}) {
  const { step } = action;
  if (action.kind === "waits") {
    return <Told words={say(action.words, units)} stuck={stuck} />;
  }
  if (!step) {
    return <Done job={job} />;
  }
  const title = say(step.title, units);
  const found = step.answer ? `${title}${title.endsWith("?") ? "" : ":"} ${say(step.answer, units)}` : title;
  switch (action.kind) {
    case "record":
      return (
        <Taking job={job} step={step} choice={action.choice} units={units} onGo={onGo} onChoose={onChoose} />
      );
    case "back":
      return (
        <Lamp
          step={step}
          above={`Due at ${job.stations.find((s) => s.id === step.station)?.words}: ${title}`}
          words={`Back to ${job.stations.find((s) => s.id === step.station)?.words}`}
          onGo={onGo}
        />
      );
    case "answers":
      return <Answers step={step} units={units} onChoose={onChoose} />;
    case "runs":
      return <Running step={step} units={units} onChoose={onChoose} />;
    case "again":
    case "stop":
      return <Lamp step={step} above={found} words={action.words} onGo={onGo} />;
    case "reasons":
      return <Lamp step={step} above={`${title}: ${step.hint}`} words={action.words} onGo={onGo} />;
    default:
      return (
        <p className="grid flex-1 place-content-center px-6 text-center text-xl">
          Next: {title}.{" "}
          {step.choices.length === 0
            ? "What to do is being worked out; it comes by itself."
            : "This is for the bench, not for your role."}
        </p>
      );
  }
}

/** The large action itself: what it is about, and what the hand does. */
function Lamp({
  step,
  above,
  words,
  below,
  onGo,
}: {
  step: Step;
  above: string;
  words: string;
  below?: string | undefined;
  onGo: () => void;
}) {
  return (
    <button
      type="button"
      data-next={step.id}
      className="min-w-0 flex-1 bg-lamp px-4 text-left text-on-lamp lg:px-6"
      onClick={onGo}
    >
      <span className="flex items-center gap-2">
        <span className="line-clamp-2">{above}</span> <Key>space</Key>
      </span>
      <span
        className={clsx(
          "line-clamp-2 leading-tight font-bold",
          words.length > LONG
            ? "text-xl lg:text-2xl"
            : words.length > SHORT
              ? "text-2xl xl:text-4xl"
              : "text-3xl lg:text-4xl",
        )}
      >
        {words}
      </span>
      {below && below.length <= IN_ONE && words.length <= LONG && (
        <span
          className={clsx("block text-[0.95rem] leading-tight", below.length > IN_HALF && "max-xl:hidden")}
        >
          {below}
        </span>
      )}
    </button>
  );
}

/** The same question once more: no answer is larger than the other. */
function Answers({
  step,
  units,
  onChoose,
}: {
  step: Step;
  units: Units;
  onChoose: (step: Step, choice: Choice) => void;
}) {
  return (
    <>
      <p
        className="flex min-w-0 flex-1 flex-col justify-center border-4 border-lamp px-4 leading-tight"
        data-next={step.id}
      >
        <span className="line-clamp-3 text-xl font-bold lg:text-2xl">{say(step.title, units)}: and now?</span>
        <span className="line-clamp-1 text-deep-quiet">Before: {say(step.answer ?? "", units)}</span>
      </p>
      <div className={step.choices.length > 3 ? "grid grid-flow-col grid-rows-2" : "flex"}>
        {step.choices.map(
          (choice, i) =>
            choice.mine && (
              <button
                key={choice.label}
                type="button"
                className={
                  step.choices.length > 3 ? `${HALF} w-28 border-l-2 border-deep-quiet/40 lg:w-40` : SIDE
                }
                onClick={() => onChoose(step, choice)}
              >
                <span>{say(choice.label, units)}</span>
                <Key>{i + 1}</Key>
              </button>
            ),
        )}
      </div>
    </>
  );
}

/** Nothing to do but wait for it, or to stop it. */
function Running({
  step,
  units,
  onChoose,
}: {
  step: Step;
  units: Units;
  onChoose: (step: Step, choice: Choice) => void;
}) {
  return (
    <>
      <p
        className="flex min-w-0 flex-1 flex-col justify-center border-4 border-lamp px-6 leading-tight"
        data-next={step.id}
        data-runs
      >
        <span className="line-clamp-2 text-2xl font-bold lg:text-3xl">{say(step.title, units)}</span>
        {step.hint && <span className="line-clamp-1 text-deep-quiet">{say(step.hint, units)}</span>}
      </p>
      {step.choices
        .filter((choice) => choice.mine)
        .map((choice, i) => (
          <button key={choice.label} type="button" className={SIDE} onClick={() => onChoose(step, choice)}>
            <span>{say(choice.label, units)}</span>
            <Key>{i + 1}</Key>
          </button>
        ))}
    </>
  );
}

/** What was told last; what comes next the server says, and nothing can be answered before. */
function Told({ words, stuck }: { words: string; stuck: boolean }) {
  return (
    <p
      data-told
      role="status"
      className="flex min-w-0 flex-1 flex-col justify-center border-4 border-lamp px-4 leading-tight lg:px-6"
    >
      <span className="line-clamp-2 text-2xl font-bold">{words}</span>
      <span className="animate-late">
        {stuck
          ? "Kept until the line is back; what comes next needs the line."
          : "Sent; what comes next follows."}
      </span>
    </p>
  );
}

function Done({ job }: { job: Job }) {
  if (!job.closed) {
    return <p className="grid flex-1 place-content-center text-2xl">Nothing is left to do here</p>;
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

function Taking({
  job,
  step,
  choice,
  units,
  onGo,
  onChoose,
}: {
  job: Job;
  step: Step;
  choice: Choice;
  units: Units;
  onGo: () => void;
  onChoose: (step: Step, choice: Choice) => void;
}) {
  const now = useServerSeconds();
  const timer = job.timers.find((t) => t.seq === step.waitsFor);
  const left = timer ? secondsLeft(timer.startedAt, timer.seconds, now) : 0;
  const waiting = timer !== undefined && left > 0;
  const forecast = useForecast(job.id, timer?.seq ?? 0, timer?.warmth === "RISING");
  const off = timer !== undefined && momentOf(forecast, timer.seconds - left) === "LIMIT";
  const title = say(step.title, units);
  const hint = step.hint === null ? undefined : say(step.hint, units);
  return (
    <>
      {waiting ? (
        <div
          className={clsx(
            "flex min-w-0 flex-1 items-center gap-3 border-4 px-3 lg:gap-6 lg:px-6",
            off ? "border-alarm bg-alarm text-on-alarm" : "border-lamp",
          )}
          role="timer"
          data-waits={step.id}
        >
          <span
            className={clsx(
              "digits text-4xl font-bold lg:text-5xl",
              step.choices.length < 3 && "xl:text-7xl",
            )}
          >
            {clockWords(left)}
          </span>
          <span
            className={clsx(
              "min-w-0 leading-tight",
              title.length > IN_HALF ? "text-base lg:text-lg" : "text-xl",
            )}
          >
            <span
              className={clsx(
                title.length <= LONG && "lg:text-2xl",
                title.length > IN_HALF ? "line-clamp-4 max-xl:hidden" : "line-clamp-4",
              )}
            >
              {title}
            </span>
            {off && <strong className="block lg:text-3xl">Off now: it is past its limit</strong>}
            {hint && !off && hint.length + title.length <= IN_ONE && (
              <small className="hidden text-base text-deep-quiet xl:block">{hint}</small>
            )}
          </span>
        </div>
      ) : (
        <Lamp
          step={step}
          above={timer ? `${title}: ${off ? "off now, it is past its limit" : "time is up"}` : title}
          words={say(choice.label, units)}
          below={hint}
          onGo={onGo}
        />
      )}
      {waiting && (
        <button type="button" className={SIDE} onClick={() => onChoose(step, choice)}>
          <span>{say(choice.label, units)} already</span>
          <Key>1</Key>
        </button>
      )}
      {step.choices
        .slice(1)
        .filter((other) => other.mine)
        .slice(0, 2)
        .map((other, i) => (
          <button key={other.label} type="button" className={SIDE} onClick={() => onChoose(step, other)}>
            <span>{say(other.label, units)}</span>
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
