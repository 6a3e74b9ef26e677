import clsx from "clsx";
import { useUnits } from "@/session/useSession";
import { say } from "@/units/units";
import type { Job } from "./useJob";
import { ScrollRegion } from "@/ui/ScrollRegion";

const clock = new Intl.DateTimeFormat(undefined, { timeStyle: "medium" });
const dated = new Intl.DateTimeFormat(undefined, { dateStyle: "short", timeStyle: "medium" });

/** Without the date where it is today's: most entries are. */
function when(at: Date): string {
  return (at.toDateString() === new Date().toDateString() ? clock : dated).format(at);
}

/** What happened so far, the latest on top. */
export function JournalPanel({ job }: { job: Job }) {
  const units = useUnits();
  return (
    <div className="flex min-h-0 flex-1 flex-col">
      <p className="mb-3 text-xl">
        Job <span className="digits">{job.number}</span>, <b>{job.device}</b> of {job.owner}: {job.fault}
      </p>
      <h2 className="mb-1 text-lg font-semibold text-quiet">Journal</h2>
      <ScrollRegion label="Journal">
        <table className="w-full">
          <tbody>
            {job.journal.map((entry) => (
              <tr key={entry.seq} className="border-b border-line align-top">
                <td className="digits py-1.5 pr-4 whitespace-nowrap text-quiet">
                  {when(new Date(entry.at))}
                </td>
                <td className={clsx("py-1.5 pr-4", entry.undone && "line-through opacity-70")}>
                  {say(entry.words, units)}
                </td>
                <td className="py-1.5 whitespace-nowrap text-quiet">{entry.who}</td>
              </tr>
            ))}
          </tbody>
        </table>
      </ScrollRegion>
    </div>
  );
}
