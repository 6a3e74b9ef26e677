import { Button } from "@/ui/Button";
import { say, type Units } from "@/units/units";
import type { Job } from "./useJob";

const moment = new Intl.DateTimeFormat(undefined, { dateStyle: "medium", timeStyle: "short" });

/** How the device lies there, for someone who was not the last to work on it. */
export function ResumeCard({
  resume,
  units,
  onSeen,
}: {
  resume: NonNullable<Job["resume"]>;
  units: Units;
  onSeen: () => void;
}) {
  return (
    <section
      aria-label="How it lies there"
      className="space-y-2 border-2 border-ink bg-sheet p-3 leading-snug"
    >
      <p className="text-quiet">
        {resume.who} left it {moment.format(new Date(resume.at))}
      </p>
      {resume.notes.map((note) => (
        <p key={`${note.at}/${note.words}`} className="text-lg font-semibold">
          “{note.words}” <span className="font-normal text-quiet">{note.who}</span>
        </p>
      ))}
      <ul className="space-y-0.5 text-lg">
        {resume.lines.map((line) => (
          <li key={line}>{say(line, units)}</li>
        ))}
      </ul>
      <Button onClick={onSeen}>I have it</Button>
    </section>
  );
}
