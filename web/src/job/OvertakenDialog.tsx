import { outbox, useOutbox } from "@/live/outbox";
import { say, type Units } from "@/units/units";
import { Button } from "@/ui/Button";
import { Modal } from "@/ui/Modal";

/** Two benches tapped at once: this one was slower. It says what changed and asks what to do. */
export function OvertakenDialog({ jobId, seq, units }: { jobId: string; seq: number; units: Units }) {
  const { overtaken } = useOutbox();
  const mine = overtaken?.tap.jobId === jobId ? overtaken : null;
  return (
    <Modal title="Someone was faster" open={mine !== null} onClose={() => outbox.resolve(false, seq)}>
      {mine && (
        <div className="space-y-4">
          <p>Meanwhile, in this job:</p>
          <ul className="list-disc pl-6">
            {(mine.problem.changes ?? []).map((change) => (
              <li key={change.seq}>
                <b>{change.who}</b>: {say(change.words, units)}
              </li>
            ))}
          </ul>
          <p>
            Your tap “{say(mine.tap.words, units)}” was not recorded. Is it still right after what changed?
          </p>
          <div className="flex justify-end gap-3">
            <Button look="quiet" onClick={() => outbox.resolve(true, seq)}>
              Record it all the same
            </Button>
            <Button look="lamp" onClick={() => outbox.resolve(false, seq)}>
              Drop my tap
            </Button>
          </div>
        </div>
      )}
    </Modal>
  );
}
