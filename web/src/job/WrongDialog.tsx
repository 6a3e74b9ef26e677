import { useEffect } from "react";
import { Button } from "@/ui/Button";
import { Modal } from "@/ui/Modal";
import { length, type Units } from "@/units/units";
import type { Choice, Job } from "./useJob";

/** Everything off the straight way: what went wrong, and where the course of the job may bend. */
export function WrongDialog({
  open,
  job,
  pointed,
  units,
  onMishap,
  onDetour,
  onClose,
}: {
  open: boolean;
  job: Job;
  pointed: number | null;
  units: Units;
  onMishap: (what: Choice) => void;
  onDetour: (way: Choice) => void;
  onClose: () => void;
}) {
  const mishaps = job.atRisk ? job.whenItGoesWrong : [];
  const all = [
    ...mishaps.map((choice) => ({ choice, tap: onMishap })),
    ...job.detours.map((choice) => ({ choice, tap: onDetour })),
  ];
  useEffect(() => {
    if (!open) {
      return;
    }
    const press = (event: KeyboardEvent) => {
      const at = "123456789abcdefg".indexOf(event.key);
      const one = event.key.length === 1 ? all[at] : undefined;
      if (one?.choice.mine) {
        event.preventDefault();
        onClose();
        one.tap(one.choice);
      }
    };
    window.addEventListener("keydown", press);
    return () => window.removeEventListener("keydown", press);
  });
  const button = (choice: Choice, i: number, tap: (choice: Choice) => void) => (
    <Button
      key={choice.label}
      disabled={!choice.mine}
      className="flex items-center gap-3 text-lg"
      onClick={() => {
        onClose();
        tap(choice);
      }}
    >
      <kbd className="digits rounded border border-current px-1.5 text-xs opacity-80">
        {"123456789abcdefg"[i]}
      </kbd>
      {choice.label}
    </Button>
  );
  return (
    <Modal title="Something else happened" open={open} onClose={onClose} wide quiet>
      {mishaps.length > 0 && (
        <>
          <p className="mb-2 text-quiet">
            {pointed === null
              ? "Told at what is in hand; the place can be moved afterwards."
              : `Told at ${length(pointed, units)}, where you pointed.`}
          </p>
          <div className="mb-5 grid grid-cols-3 gap-2">
            {mishaps.map((choice, i) => button(choice, i, onMishap))}
          </div>
        </>
      )}
      <p className="mb-2 text-quiet">The job itself</p>
      <div className="grid grid-cols-2 gap-2">
        {job.detours.map((choice, i) => button(choice, mishaps.length + i, onDetour))}
      </div>
    </Modal>
  );
}
