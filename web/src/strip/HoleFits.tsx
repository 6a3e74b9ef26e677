import clsx from "clsx";
import type { Schemas } from "@/api/client";
import { Button } from "@/ui/Button";
import { say, type Units } from "@/units/units";
import { ScrewMark } from "./ScrewMark";

export type Strip = Schemas["OpenDeviceView"];
export type Hole = Strip["holes"][number];

/** One hole: its own screw, and what every other of this device would do in it. */
export function HoleFits({
  screws,
  hole,
  units,
  onClose,
}: {
  screws: Strip["screws"];
  hole: Hole;
  units: Units;
  onClose: () => void;
}) {
  const own = hole.fits.filter((fit) => fit.kind === hole.kind);
  const others = hole.fits.filter((fit) => fit.kind !== hole.kind);
  return (
    <div className="flex items-start gap-3" role="status">
      <ul className="min-w-0 flex-1 text-lg" aria-label="Screws for this hole">
        {[...own, ...others].map((fit) => {
          const belongs = fit.kind === hole.kind;
          return (
            <li key={fit.kind} className="flex items-center gap-2">
              <svg viewBox="-6 -6 12 12" className="size-6 shrink-0" aria-hidden>
                <ScrewMark kind={fit.kind} r={4.5} fill={belongs ? "var(--lamp)" : "var(--sheet)"} />
              </svg>
              <span
                className={clsx(
                  belongs && "font-semibold",
                  fit.verdict === "TOO_LONG" && "font-semibold text-alarm",
                )}
              >
                {say(screws[fit.kind]?.words ?? "", units)}:{" "}
                {belongs ? "belongs here" : say(fit.words, units)}
              </span>
            </li>
          );
        })}
      </ul>
      <Button onClick={onClose}>All screws</Button>
    </div>
  );
}
