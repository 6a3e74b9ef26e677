import { Camera, TriangleAlert } from "lucide-react";
import { TakePhoto } from "@/intake/Photos";
import { Button } from "@/ui/Button";
import { length, say, type Units } from "@/units/units";
import { answered } from "./filled";
import type { Choice, Job } from "./useJob";

type Mishap = Job["mishaps"][number];

/** What just went wrong: what lies there, what will be asked because of it, and where it was if not there. */
export function MishapCard({
  job,
  mishap,
  pointed,
  units,
  onTap,
}: {
  job: Job;
  mishap: Mishap;
  pointed: number | null;
  units: Units;
  /** Records it, asking first for what it still needs. */
  onTap: (title: string, choice: Choice) => void;
}) {
  const title = `${mishap.words}${mishap.place ? `, ${say(mishap.place, units)}` : ""}`;
  return (
    <section
      aria-label="What went wrong"
      className="space-y-2 border-l-4 border-alarm bg-sheet p-3 leading-snug"
    >
      <p className="flex gap-2 text-lg font-semibold">
        <TriangleAlert aria-hidden className="mt-0.5 shrink-0 text-alarm" />
        {title}
      </p>
      {mishap.beneath.length > 0 && <p>Beneath: {mishap.beneath.join("; ")}</p>}
      {mishap.todo && (
        <p>
          <b>Before sealing:</b> {mishap.todo}
        </p>
      )}
      {mishap.told && <p className="text-quiet">{mishap.told}</p>}
      <div className="flex flex-wrap gap-2">
        {pointed !== null && pointed !== mishap.positionMm && (
          <Button
            shortcut="r"
            disabled={!mishap.move.mine}
            onClick={() => onTap(title, answered(mishap.move, { positionMm: pointed }))}
          >
            {mishap.move.label}: {length(pointed, units)}
          </Button>
        )}
        <Button shortcut="e" disabled={!mishap.tell.mine} onClick={() => onTap(title, mishap.tell)}>
          {mishap.tell.label}
        </Button>
        {!job.closed && <TakePhoto job={job} icon={Camera} id="mishap-photo" words={mishap.words} />}
      </div>
      {pointed === null && mishap.positionMm !== null && (
        <p className="text-sm text-quiet">Elsewhere? Point at the band or the outline.</p>
      )}
    </section>
  );
}
