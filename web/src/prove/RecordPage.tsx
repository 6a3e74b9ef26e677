import { useQuery } from "@tanstack/react-query";
import { useState } from "react";
import { Link, useParams } from "react-router";
import { api, ProblemError, type Schemas, unwrap } from "@/api/client";
import { keys } from "@/api/keys";
import { useUnits } from "@/session/useSession";
import { say } from "@/units/units";
import { Button } from "@/ui/Button";
import { ProblemNote } from "@/ui/ProblemNote";

type Lines = Schemas["RecordView"]["done"];

const moment = new Intl.DateTimeFormat(undefined, { dateStyle: "long", timeStyle: "short" });
const time = new Intl.DateTimeFormat(undefined, { timeStyle: "medium" });

/** The page that goes with the device. Prints black on white. */
export function RecordPage() {
  const { jobId = "" } = useParams();
  const units = useUnits();
  const [shops, setShops] = useState(false);
  const { data: record, error } = useQuery({
    queryKey: keys.station(jobId, "record"),
    queryFn: async () => unwrap(await api.GET("/api/jobs/{jobId}/record", { params: { path: { jobId } } })),
  });
  if (error instanceof ProblemError && !error.passing) {
    return (
      <main className="p-8">
        <ProblemNote problem={error.problem} />
      </main>
    );
  }
  if (!record) {
    return <main className="p-8">…</main>;
  }
  return (
    <main className="min-h-0 flex-1 overflow-auto print:overflow-visible">
      <article className="mx-auto max-w-5xl space-y-5 bg-sheet p-8 print:max-w-none print:p-0">
        <header className="flex items-start gap-6">
          <div className="flex-1">
            <h1 className="text-3xl font-bold">{record.device}</h1>
            <p className="text-xl">{record.owner}</p>
            <p className="text-quiet">{record.fault}</p>
          </div>
          <dl className="grid grid-cols-[auto_auto] gap-x-4">
            <dt className="text-quiet">Taken in</dt>
            <dd>{moment.format(new Date(record.openedAt))}</dd>
            <dt className="text-quiet">Handed over</dt>
            <dd>{record.handedOverAt ? moment.format(new Date(record.handedOverAt)) : "not yet"}</dd>
            <dt className="text-quiet">Copy for</dt>
            <dd>{shops ? "the shop" : "the owner"}</dd>
            <dt className="text-quiet">Worked on by</dt>
            <dd>{record.people.join("; ")}</dd>
          </dl>
          <div className="no-print flex flex-col gap-2">
            <Button look="lamp" onClick={() => window.print()}>
              Print
            </Button>
            <Button onClick={() => setShops(!shops)}>
              {shops ? "Show the owner’s copy" : "Show the shop’s copy"}
            </Button>
            <a
              href={`/api/jobs/${jobId}/export`}
              className="min-h-11 rounded-md border-2 border-ink px-4 py-2"
              download
            >
              Job as JSON
            </a>
            <Link to="/" className="min-h-11 px-4 py-2 underline">
              The bench
            </Link>
          </div>
        </header>
        <div className="grid gap-8 md:grid-cols-2 print:grid-cols-2">
          <section>
            <H>Functions</H>
            <table className="w-full">
              <thead>
                <tr className="text-left text-quiet">
                  <th className="font-normal" />
                  <th className="font-normal">before</th>
                  <th className="font-normal">open</th>
                  <th className="font-normal">after</th>
                </tr>
              </thead>
              <tbody>
                {record.functions.map((f) => (
                  <tr key={f.function} className="border-t border-line align-top">
                    <th scope="row" className="py-1 pr-2 text-left font-semibold">
                      {f.function}
                    </th>
                    <td className="py-1 pr-2">{f.before}</td>
                    <td className="py-1 pr-2">{f.open}</td>
                    <td className="py-1">{f.after}</td>
                  </tr>
                ))}
              </tbody>
            </table>
          </section>
          <div className="space-y-5">
            <Facts title="Found" lines={record.found} units={units} />
            <WentWrong incidents={record.wentWrong} units={units} shops={shops} />
            <Facts title="Measured" lines={record.measured} units={units} />
            <List title="Kept" items={record.kept} />
            <List title="Lost" items={record.lost} none="nothing" />
            {record.signedOff.length > 0 && (
              <List
                title="Sign-offs"
                items={record.signedOff.map((line) => `${say(line.words, units)} (${line.who})`)}
              />
            )}
            <List title="Adhesive" items={[record.adhesive]} />
          </div>
        </div>
        <section>
          <H>Done</H>
          <ul className="gap-8 text-[0.93rem] md:columns-2 print:columns-2">
            {record.done.map((line, i) => (
              <li key={i} className="flex gap-3 border-b border-line py-0.5">
                <span className="digits text-quiet">{time.format(new Date(line.at))}</span>
                <span>{say(line.words, units)}</span>
              </li>
            ))}
          </ul>
        </section>
        {shops && record.notes.length > 0 && (
          <List title="Notes" items={record.notes.map((note) => `${note.words} (${note.who})`)} />
        )}
        <p className="text-quiet">{say(record.sealed, units)} Old parts go to recycling.</p>
      </article>
    </main>
  );
}

function H({ children }: { children: React.ReactNode }) {
  return <h2 className="mb-1 border-b-2 border-ink text-lg font-semibold">{children}</h2>;
}

function Facts({ title, lines, units }: { title: string; lines: Lines; units: ReturnType<typeof useUnits> }) {
  return <List title={title} items={lines.map((line) => say(line.words, units))} />;
}

/** Apart from what was found; the owner's copy says what harmed the device, the shop's all of it and who was there. */
function WentWrong({
  incidents,
  units,
  shops,
}: {
  incidents: Schemas["RecordView"]["wentWrong"];
  units: ReturnType<typeof useUnits>;
  shops: boolean;
}) {
  const told = incidents.filter((one) => shops || one.forOwner);
  if (told.length === 0) {
    return null;
  }
  return (
    <List
      title="What went wrong at the bench"
      items={told.map(
        (one) =>
          `${time.format(new Date(one.at))} ${say(one.words, units)}: ${one.outcome}` +
          (one.told ? `; ${one.told}` : "") +
          (shops ? ` (${one.who})` : ""),
      )}
    />
  );
}

function List({ title, items, none = "–" }: { title: string; items: readonly string[]; none?: string }) {
  return (
    <section>
      <H>{title}</H>
      {items.length === 0 ? (
        <p>{none}</p>
      ) : (
        <ul>
          {items.map((item, i) => (
            <li key={i}>{item}</li>
          ))}
        </ul>
      )}
    </section>
  );
}
