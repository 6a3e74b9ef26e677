import { Button } from "@/ui/Button";
import { Modal } from "@/ui/Modal";

const KEYS: [string, string][] = [
  ["space", "the next action; a foot pedal types this"],
  ["1 … 9", "an answer of the next step, in their order"],
  ["u", "take back the latest tap"],
  ["s", "a slip, at the place last pointed at, else at what is in hand"],
  ["c", "a new crack, likewise"],
  ["w", "something else went wrong, or the job takes another way"],
  ["x", "the battery is a danger: stop"],
  ["esc", "what was refused has been read"],
  ["[  ]", "the station before, the station after"],
  ["b", "back to the bench"],
  ["m", "mute the sounds"],
  ["a letter", "on a button is that button's key"],
  ["tab", "through everything else; enter taps it"],
];

export function HelpDialog({ open, onClose }: { open: boolean; onClose: () => void }) {
  return (
    <Modal title="Keys" open={open} onClose={onClose}>
      <dl className="grid grid-cols-[6rem_1fr] gap-x-4 gap-y-2 text-lg">
        {KEYS.map(([key, words]) => (
          <div key={key} className="contents">
            <dt>
              <kbd className="digits whitespace-nowrap rounded border-2 border-ink px-2">{key}</kbd>
            </dt>
            <dd>{words}</dd>
          </div>
        ))}
      </dl>
      <p className="mt-4 text-quiet">
        Timers are kept by the app, not by this screen: reload, close or change it as you like. Local codes
        and licensed practice come before anything shown here.
      </p>
      <div className="mt-4 flex justify-end">
        <Button look="lamp" onClick={onClose}>
          Close
        </Button>
      </div>
    </Modal>
  );
}
