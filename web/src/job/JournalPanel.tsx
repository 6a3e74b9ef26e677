import clsx from "clsx";
import { useUnits } from "@/session/useSession";
import { say } from "@/units/units";
import type { Job } from "./useJob";

const time = new Intl.DateTimeFormat(undefined, { hour: "2-digit", minute: "2-digit", second: "2-digit" });

/** What happened so far, the latest on top. */
export function JournalPanel({ job }: { job: Job }) {
  const units = useUnits();
  return (
    <div className="flex min-h-0 flex-1 flex-col">
      <p className="mb-3 text-xl">
        <b>{job.device}</b> of {job.owner}: {job.fault}
      </p>
      <h2 className="mb-1 text-lg font-semibold text-quiet">Journal</h2>
      {/* A scrolling region must be reachable by keyboard. */}
      {/* eslint-disable-next-line jsx-a11y/no-noninteractive-tabindex */}
      <div className="min-h-0 flex-1 overflow-auto" tabIndex={0} role="region" aria-label="Journal">
        <table className="w-full">
          <tbody>
            {job.journal.map((entry) => (
              <tr key={entry.seq} className="border-b border-line align-top">
                <td className="digits py-1.5 pr-4 text-quiet">{time.format(new Date(entry.at))}</td>
                <td className={clsx("py-1.5 pr-4", entry.undone && "line-through opacity-70")}>
                  {say(entry.words, units)}
                </td>
                <td className="py-1.5 text-quiet">{entry.who}</td>
              </tr>
            ))}
          </tbody>
        </table>
      </div>
    </div>
  );
}
