import { OctagonX } from "lucide-react";
import { Button } from "@/ui/Button";
import { Modal } from "@/ui/Modal";
import type { Step } from "./useJob";

/** What to do where someone can get hurt. Records nothing. */
export function StopDialog({ step, onClose }: { step: Step | null; onClose: () => void }) {
  return (
    <Modal title="Stop" open={step !== null} onClose={onClose} wide>
      {step && (
        <div className="space-y-4">
          <p className="flex items-center gap-3 text-3xl font-bold text-alarm">
            <OctagonX aria-hidden size={44} className="shrink-0" />
            <span className="inline-block first-letter:uppercase">{step.answer}</span>
          </p>
          <ol className="list-decimal space-y-2 pl-8 text-2xl leading-snug">
            {(step.hint ?? "").split("\n").map((line) => (
              <li key={line}>{line}</li>
            ))}
          </ol>
          <p className="text-quiet">
            Nothing goes on with this device. Was it a mis-tap, take it back; was it seen wrongly, answer
            again in the list on the right.
          </p>
          <div className="flex justify-end">
            <Button onClick={onClose}>Understood</Button>
          </div>
        </div>
      )}
    </Modal>
  );
}
