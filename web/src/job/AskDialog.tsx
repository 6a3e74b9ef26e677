import { type SyntheticEvent, useState } from "react";
import type { Problem } from "@/api/client";
import { say, typed, unitLabel, type Units } from "@/units/units";
import { Button } from "@/ui/Button";
import { Field } from "@/ui/Field";
import { Modal } from "@/ui/Modal";
import { ProblemNote } from "@/ui/ProblemNote";
import type { Choice, Record, Step } from "./useJob";

export interface Asked {
  step: Step;
  choice: Choice;
}

/** Asks for what a tap still needs. What the core refuses stays typed, with the reason beside it. */
export function AskDialog({
  asked,
  units,
  record,
  onClose,
}: {
  asked: Asked | null;
  units: Units;
  record: Record;
  onClose: () => void;
}) {
  return (
    <Modal title={asked ? say(asked.step.title, units) : ""} open={asked !== null} onClose={onClose}>
      {asked && (
        <Form
          key={`${asked.step.id}/${asked.choice.label}`}
          asked={asked}
          units={units}
          record={record}
          onClose={onClose}
        />
      )}
    </Modal>
  );
}

function Form({
  asked: { step, choice },
  units,
  record,
  onClose,
}: {
  asked: Asked;
  units: Units;
  record: Record;
  onClose: () => void;
}) {
  const [values, setValues] = useState<{ [field: string]: string }>(
    Object.fromEntries(choice.asks.map((ask) => [ask.field, ask.suggestion ?? ""])),
  );
  const [problem, setProblem] = useState<Problem | null>(null);

  const submit = async (event: SyntheticEvent) => {
    event.preventDefault();
    setProblem(null);
    const given = Object.fromEntries(
      choice.asks.map((ask) => {
        const text = values[ask.field] ?? "";
        return [ask.field, ask.kind === "NUMBER" ? typed(text, ask.unit, units) : text];
      }),
    );
    const fate = await record({ ...choice.fact, ...given }, `${step.title}: ${choice.label}`, step);
    if (fate.kind === "refused" && fate.problem.status !== 409) {
      setProblem(fate.problem);
    } else {
      onClose();
    }
  };

  return (
    <form className="space-y-4" onSubmit={(e) => void submit(e)} noValidate>
      {step.hint && <p className="text-quiet">{say(step.hint, units)}</p>}
      {choice.asks.map((ask) => (
        <Field
          key={ask.field}
          id={ask.field}
          label={ask.label}
          inputMode={ask.kind === "NUMBER" ? "decimal" : "text"}
          autoComplete="off"
          suffix={unitLabel(ask.unit, units)}
          value={values[ask.field] ?? ""}
          onChange={(e) => setValues({ ...values, [ask.field]: e.target.value })}
        />
      ))}
      {problem && <ProblemNote problem={problem} units={units} />}
      <div className="flex justify-end gap-3">
        <Button look="quiet" onClick={onClose}>
          Not now
        </Button>
        <Button type="submit" look="lamp" className="px-6">
          {say(choice.label, units)}
        </Button>
      </div>
    </form>
  );
}
