import { Button } from "@/ui/Button";
import { Modal } from "@/ui/Modal";
import { StopSteps } from "./StopSteps";
import type { Choice, Job, Step } from "./useJob";

/** What to do where someone can get hurt. What it is, and whether it goes on, is said here and not by the space bar. */
export function StopDialog({
  step,
  job,
  onTell,
  onChoose,
  onClose,
}: {
  step: Step | null;
  job: Job;
  onTell: (what: Choice) => void;
  onChoose: (step: Step, choice: Choice) => void;
  onClose: () => void;
}) {
  return (
    <Modal title="Stop" open={step !== null} onClose={onClose} wide quiet>
      {step && (
        <div className="space-y-4">
          <StopSteps step={step} />
          <div>
            <p className="mb-2 text-quiet">Once it lies safe: what is it?</p>
            <div className="flex flex-wrap gap-2">
              {job.cellSigns.slice(1).map((sign) => (
                <Button key={sign.label} look="alarm" disabled={!sign.mine} onClick={() => onTell(sign)}>
                  {sign.label}
                </Button>
              ))}
            </div>
          </div>
          <p className="text-quiet">Nothing goes on with this device. Was it a mis-tap, take it back.</p>
          <div className="flex flex-wrap items-center gap-3">
            {step.choices.map((choice) => (
              <Button key={choice.label} disabled={!choice.mine} onClick={() => onChoose(step, choice)}>
                {choice.label}
              </Button>
            ))}
            <Button look="lamp" className="ml-auto" onClick={onClose}>
              Understood
            </Button>
          </div>
        </div>
      )}
    </Modal>
  );
}
