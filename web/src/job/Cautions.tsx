import { TriangleAlert } from "lucide-react";
import { say, type Units } from "@/units/units";

/** What was noted at another station and matters at this one. */
export function Cautions({ cautions, units }: { cautions: readonly string[]; units: Units }) {
  if (cautions.length === 0) {
    return null;
  }
  return (
    <ul className="space-y-1 border-l-4 border-alarm pl-3" aria-label="Cautions">
      {cautions.map((caution) => (
        <li key={caution} className="flex gap-2 leading-snug">
          <TriangleAlert aria-hidden size={20} className="mt-0.5 shrink-0 text-alarm" />
          {say(caution, units)}
        </li>
      ))}
    </ul>
  );
}
