import { useState } from "react";
import { api, ProblemError, unwrap } from "@/api/client";
import { useSubmit } from "@/api/useSubmit";
import { newId } from "@/live/outbox";
import { say, typed, unitLabel, type Units } from "@/units/units";
import { Button } from "@/ui/Button";
import { DrawingPad } from "@/ui/DrawingPad";
import { Field } from "@/ui/Field";
import { Form } from "@/ui/Form";
import { Modal } from "@/ui/Modal";
import { FindJob } from "./FindJob";
import { filled } from "./filled";
import type { Choice, Record, Step } from "./useJob";

const NUMBERS: ReadonlySet<Choice["asks"][number]["kind"]> = new Set(["NUMBER", "JOB"]);

export interface Asked {
  title: string;
  hint: string | null;
  choice: Choice;
  /** The step this answers; none for a tap that belongs to no step. */
  step?: Step | undefined;
}

/** Asks for what a tap still needs. What the core refuses stays typed, with the reason beside it. */
export function AskDialog({
  jobId,
  asked,
  units,
  record,
  onClose,
}: {
  jobId: string;
  asked: Asked | null;
  units: Units;
  record: Record;
  onClose: () => void;
}) {
  return (
    <Modal title={asked ? say(asked.title, units) : ""} open={asked !== null} onClose={onClose}>
      {asked && (
        <Asking
          key={`${asked.title}/${asked.choice.label}`}
          jobId={jobId}
          asked={asked}
          units={units}
          record={record}
          onClose={onClose}
        />
      )}
    </Modal>
  );
}

function Asking({
  jobId,
  asked: { title, hint, choice, step },
  units,
  record,
  onClose,
}: {
  jobId: string;
  asked: Asked;
  units: Units;
  record: Record;
  onClose: () => void;
}) {
  const [values, setValues] = useState<{ [field: string]: string }>(
    Object.fromEntries(choice.asks.map((ask) => [ask.field, ask.suggestion ?? ""])),
  );
  const { problem, submit } = useSubmit(async () => {
    const given: { [field: string]: unknown } = {};
    for (const ask of choice.asks) {
      const text = values[ask.field] ?? "";
      if (ask.mayBeEmpty && text.trim() === "") {
        continue;
      }
      given[ask.field] =
        ask.kind === "DRAWING"
          ? await kept(jobId, text)
          : NUMBERS.has(ask.kind)
            ? typed(text, ask.unit, units)
            : text;
    }
    const fate = await record(filled(choice, given), `${title}: ${choice.label}`, step);
    if (fate.kind === "refused" && fate.problem.status !== 409) {
      throw new ProblemError(fate.problem);
    }
    onClose();
  });

  return (
    <Form
      submit={() => submit(undefined)}
      problem={problem}
      units={units}
      go={say(choice.label, units)}
      onClose={onClose}
    >
      {hint && <p className="text-quiet">{say(hint, units)}</p>}
      {choice.asks.map((ask) => {
        const put = (value: string) => setValues({ ...values, [ask.field]: value });
        const value = values[ask.field] ?? "";
        return ask.kind === "JOB" ? (
          <FindJob key={ask.field} id={ask.field} label={ask.label} chosen={value} onChoose={put} />
        ) : ask.kind === "DRAWING" ? (
          <DrawingPad key={ask.field} label={ask.label} onDrawn={put} />
        ) : (
          <div key={ask.field} className="space-y-2">
            {ask.options.length > 0 && (
              <div className="flex flex-wrap gap-2">
                {ask.options.map((option) => (
                  <Button key={option} aria-pressed={value === option} onClick={() => put(option)}>
                    {option}
                  </Button>
                ))}
              </div>
            )}
            <Field
              id={ask.field}
              label={ask.label}
              type={ask.kind === "DATE" ? "date" : "text"}
              inputMode={ask.kind === "NUMBER" ? "decimal" : undefined}
              autoComplete="off"
              suffix={unitLabel(ask.unit, units)}
              value={value}
              onChange={(e) => put(e.target.value)}
            />
          </div>
        );
      })}
    </Form>
  );
}

/** Keeps what was drawn, and answers with the id that it is kept under. */
async function kept(jobId: string, drawing: string): Promise<string> {
  const attachmentId = newId();
  unwrap(
    await api.POST("/api/jobs/{jobId}/attachments", {
      params: { path: { jobId }, query: { attachmentId, kind: "SIGNATURE", name: "signature" } },
      body: drawing,
      bodySerializer: (lines: unknown) => lines as string,
      headers: { "Content-Type": "application/json" },
    }),
  );
  return attachmentId;
}
