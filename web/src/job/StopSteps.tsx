import { OctagonX } from "lucide-react";
import type { Step } from "./useJob";

/** What to do where someone can get hurt, in the order it is done. */
export function StopSteps({ step }: { step: Step }) {
  return (
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
    </div>
  );
}
