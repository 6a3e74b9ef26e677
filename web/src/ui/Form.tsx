import type { ReactNode } from "react";
import type { Problem } from "@/api/client";
import type { Units } from "@/units/units";
import { Button } from "./Button";
import { ProblemNote } from "./ProblemNote";
import { useJustOpened } from "./useJustOpened";

/** A dialog's fields, what was wrong with them, and the two ways out. */
export function Form({
  submit,
  problem,
  units,
  go,
  onClose,
  children,
}: {
  submit: () => Promise<void>;
  problem: Problem | null;
  units?: Units | undefined;
  go: string;
  onClose: () => void;
  children: ReactNode;
}) {
  const justOpened = useJustOpened();
  return (
    <form
      className="space-y-4"
      noValidate
      onSubmit={(event) => {
        event.preventDefault();
        if (!justOpened()) {
          void submit();
        }
      }}
    >
      {children}
      {problem && <ProblemNote problem={problem} units={units} />}
      <div className="flex justify-end gap-3">
        <Button look="quiet" onClick={onClose}>
          Not now
        </Button>
        <Button type="submit" look="lamp" className="px-6">
          {go}
        </Button>
      </div>
    </form>
  );
}
