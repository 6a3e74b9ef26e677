import clsx from "clsx";
import type { Schemas } from "@/api/client";
import { Button } from "@/ui/Button";
import { say, type Units } from "@/units/units";
import { ScrewMark } from "./ScrewMark";

export type Strip = Schemas["OpenDeviceView"];
export type Hole = Strip["holes"][number];
type Choice = Hole["choices"][number];

/** One hole: where its screw is and what can be told of it; its own kind, and what every other of this device would do in it. */
export function HoleFits({
  screws,
  hole,
  units,
  onTell,
  onClose,
}: {
  screws: Strip["screws"];
  hole: Hole;
  units: Units;
  onTell: (choice: Choice) => void;
  onClose: () => void;
}) {
  const own = hole.fits.filter((fit) => fit.kind === hole.kind);
  const others = hole.fits.filter((fit) => fit.kind !== hole.kind);
  return (
    <div role="status">
      <div className="flex flex-wrap items-center gap-2">
        <p className="mr-auto text-lg leading-snug">
          <b>Hole {hole.id}</b>
          {hole.told && <span>: {say(hole.told, units)}</span>}
        </p>
        {hole.choices
          .filter((choice) => choice.mine)
          .map((choice) => (
            <Button
              key={choice.label}
              look={choice.tone === "GO" ? "lamp" : "plain"}
              onClick={() => onTell(choice)}
            >
              {choice.label}
            </Button>
          ))}
        <Button onClick={onClose}>All screws</Button>
      </div>
      <ul
        className="mt-1 grid gap-x-4 gap-y-0.5 leading-snug lg:grid-cols-2"
        aria-label="Screws for this hole"
      >
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
              {fit.drive?.mine && fit.verdict === "FITS" && (
                <Button onClick={() => fit.drive && onTell(fit.drive)}>{fit.drive.label}</Button>
              )}
            </li>
          );
        })}
      </ul>
    </div>
  );
}
