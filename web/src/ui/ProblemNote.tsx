import { TriangleAlert } from "lucide-react";
import type { Problem } from "@/api/client";
import { say, type Units } from "@/units/units";

const PLAIN: Units = { temperature: "C", length: "mm" };

/** What went wrong and what would be right, in the words of the one who refused it. */
export function ProblemNote({ problem, units = PLAIN }: { problem: Problem; units?: Units }) {
  return (
    <div role="alert" className="flex gap-3 rounded-md border-2 border-alarm bg-sheet p-3 text-ink">
      <TriangleAlert aria-hidden className="mt-0.5 shrink-0 text-alarm" />
      <div>
        <p className="font-semibold">{problem.title}</p>
        {problem.holds ? (
          <ul className="list-disc pl-5">
            {problem.holds.map((hold) => (
              <li key={hold.id}>{say(hold.because, units)}</li>
            ))}
          </ul>
        ) : (
          <p>{say(problem.detail, units)}</p>
        )}
      </div>
    </div>
  );
}
