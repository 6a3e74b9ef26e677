import { TriangleAlert } from "lucide-react";
import type { ReactNode } from "react";
import type { Problem, Schemas } from "@/api/client";
import { say, type Units } from "@/units/units";

const PLAIN: Units = { temperature: "C", length: "mm" };

/** What went wrong and what would be right, in the words of the one who refused it. */
export function ProblemNote({
  problem,
  units = PLAIN,
  signOff,
}: {
  problem: Problem;
  units?: Units | undefined;
  /** What is offered beside a hold that a lead may answer for. */
  signOff?: (hold: Schemas["HoldView"]) => ReactNode;
}) {
  return (
    <div role="alert" className="flex gap-3 rounded-md border-2 border-alarm bg-sheet p-3 text-ink">
      <TriangleAlert aria-hidden className="mt-0.5 shrink-0 text-alarm" />
      <div>
        <p className="font-semibold">{problem.title}</p>
        {problem.flaws ? (
          <ul className="max-h-60 list-disc overflow-auto pl-5">
            {problem.flaws.map((flaw) => (
              <li key={`${flaw.path}/${flaw.value}/${flaw.allowed}`}>
                <b>{flaw.path}</b> is {flaw.value}; allowed: {flaw.allowed}
              </li>
            ))}
          </ul>
        ) : problem.mistakes ? (
          <ul className="max-h-60 list-disc overflow-auto pl-5">
            {problem.mistakes.map((mistake) => (
              <li key={`${mistake.line}/${mistake.field}`}>
                line {mistake.line}: <b>{mistake.field}</b> is {mistake.value}; allowed: {mistake.allowed}
              </li>
            ))}
          </ul>
        ) : problem.holds ? (
          <ul className="list-disc pl-5">
            {problem.holds.map((hold) => (
              <li key={hold.id}>
                {say(hold.because, units)}
                {signOff?.(hold)}
              </li>
            ))}
          </ul>
        ) : (
          <p>{say(problem.detail, units)}</p>
        )}
      </div>
    </div>
  );
}
