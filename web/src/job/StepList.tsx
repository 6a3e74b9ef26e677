import clsx from "clsx";
import { Check, CircleAlert, Circle } from "lucide-react";
import { useEffect, useRef, useState } from "react";
import { say, type Units } from "@/units/units";
import { Button } from "@/ui/Button";
import type { Choice, Step } from "./useJob";

/** What there is to do at a station; the next one open, every other one a tap away. */
export function StepList({
  steps,
  nextId,
  pending,
  stuck,
  waits,
  units,
  closed,
  still,
  onChoose,
}: {
  steps: readonly Step[];
  nextId: string | null;
  pending: ReadonlySet<string | null>;
  /** The line is down. */
  stuck: boolean;
  /** What was told last may change what is due: nothing is answered before that is known. */
  waits: boolean;
  units: Units;
  closed: boolean;
  /** Something above is to be read first: the next step does not push it out of sight. */
  still: boolean;
  onChoose: (step: Step, choice: Choice) => void;
}) {
  const [unfolded, setUnfolded] = useState<string | null>(null);
  const nextRow = useRef<HTMLLIElement>(null);
  useEffect(() => {
    // Newer browsers answer with a promise, which an effect must not return.
    if (!still) {
      nextRow.current?.scrollIntoView({ block: "nearest" });
    }
  }, [nextId, still]);
  return (
    <ol className="divide-y-2 divide-line">
      {steps.map((step) => {
        const isNext = step.id === nextId;
        const isOpen = !closed && (isNext || unfolded === step.id);
        return (
          <li
            key={step.id}
            ref={isNext ? nextRow : undefined}
            className={clsx("py-0.5", isNext && "bg-sheet")}
            data-step={step.id}
          >
            <button
              type="button"
              aria-expanded={isOpen}
              disabled={closed}
              className="flex min-h-11 w-full items-center gap-3 px-2 py-1 text-left disabled:cursor-default"
              onClick={() => setUnfolded(unfolded === step.id ? null : step.id)}
            >
              <Mark step={step} pending={pending.has(step.id)} />
              <span className="min-w-0 flex-1 leading-snug">
                <span className={clsx(isNext && "font-semibold")}>{say(step.title, units)}</span>
                {pending.has(step.id) ? (
                  <span className="block text-quiet">{stuck ? "waits for the line" : "sent"}</span>
                ) : (
                  step.answer && (
                    <span className={clsx("block", step.problem ? "font-semibold text-alarm" : "text-done")}>
                      {say(step.answer, units)}
                    </span>
                  )
                )}
              </span>
            </button>
            {isOpen && (
              <div className="pb-3 pl-11">
                {step.hint && step.lead !== "STOP" && (
                  <p className="mb-2 leading-snug text-quiet">{say(step.hint, units)}</p>
                )}
                <div className="flex flex-wrap gap-2">
                  {step.choices.map((choice) => (
                    <Button
                      key={choice.label}
                      look={choice.tone === "FAIL" ? "alarm" : "plain"}
                      disabled={!choice.mine || waits || pending.has(step.id)}
                      onClick={() => onChoose(step, choice)}
                    >
                      {say(choice.label, units)}
                    </Button>
                  ))}
                </div>
              </div>
            )}
          </li>
        );
      })}
    </ol>
  );
}

function Mark({ step, pending }: { step: Step; pending: boolean }) {
  if (step.problem) {
    return <CircleAlert aria-label="problem" className="shrink-0 text-alarm" />;
  }
  if (step.answer && !pending) {
    return <Check aria-label="done" className="shrink-0 text-done" />;
  }
  return (
    <Circle
      aria-label={step.optional ? "if needed" : "open"}
      className={clsx("shrink-0 text-quiet", step.optional && "opacity-40")}
    />
  );
}
