import { Button } from "@/ui/Button";
import type { Asked } from "./AskDialog";
import type { Hold } from "./useJob";

/** A hold that need not stay one: a lead answers for it with a reason, others learn whom to call. */
export function SignOff({ hold, onAsk }: { hold: Hold; onAsk: (asked: Asked) => void }) {
  const choice = hold.signOff;
  if (!choice) {
    return null;
  }
  if (!choice.mine) {
    return <span className="block text-quiet">A lead may sign this off.</span>;
  }
  return (
    <Button
      className="mt-1 block"
      onClick={() => onAsk({ title: "Sign off a hold point", hint: hold.because, choice })}
    >
      {choice.label}
    </Button>
  );
}
