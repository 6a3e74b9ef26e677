import { useState } from "react";
import { Link, useParams } from "react-router";
import { ProblemError } from "@/api/client";
import { useUnits } from "@/session/useSession";
import { say, type Units } from "@/units/units";
import { Button } from "@/ui/Button";
import { ProblemNote } from "@/ui/ProblemNote";
import { AfterAWeek } from "./AfterAWeek";
import { Evidence, Functions, H, type JobRecord, Signatures, useRecord } from "./Record";

const moment = new Intl.DateTimeFormat(undefined, { dateStyle: "long", timeStyle: "short" });
const time = new Intl.DateTimeFormat(undefined, { timeStyle: "medium" });

const BOX = "flex min-h-11 items-center rounded-md border-2 border-ink px-4 py-1.5 leading-tight";

/** What goes with the device: proof to someone who was not there. Prints black on white. */
export function RecordPage() {
  const { jobId = "" } = useParams();
  const units = useUnits();
  const [shops, setShops] = useState(false);
  const { data: record, error } = useRecord(jobId);
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
      <article className="mx-auto max-w-5xl space-y-5 bg-sheet p-6 print:max-w-none print:p-0">
        <header className="flex items-start gap-6">
          <div className="min-w-0 flex-1">
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
        </header>
        <nav className="no-print flex flex-wrap items-center gap-3" aria-label="This record">
          <a
            href={`/api/jobs/${jobId}/record.pdf?copy=${shops ? "SHOP" : "OWNER"}`}
            target="_blank"
            rel="noreferrer"
            className={`${BOX} border-lamp bg-lamp font-semibold text-on-lamp`}
          >
            PDF for {shops ? "the shop" : "the owner"}
          </a>
          <Button onClick={() => setShops(!shops)}>
            {shops ? "Show the owner’s copy" : "Show the shop’s copy"}
          </Button>
          <a href={`/api/jobs/${jobId}/export`} className={BOX} download>
            Job as JSON
          </a>
          <Link to={record.handedOverAt ? "/" : `/jobs/${jobId}`} className="min-h-11 px-2 py-2 underline">
            {record.handedOverAt ? "The bench" : "Back to the job"}
          </Link>
        </nav>
        {record.handedOverAt && <AfterAWeek jobId={jobId} record={record} />}
        <section>
          <H>What works</H>
          <Functions functions={record.functions} />
        </section>
        <Evidence pieces={record.evidence} units={units} shops={shops} />
        <div className="grid gap-x-8 gap-y-5 md:grid-cols-2 print:grid-cols-2">
          <List title="Kept" items={record.kept} />
          <List title="Lost" items={record.lost} none="nothing" />
          <Facts title="Found" lines={record.found} units={units} />
          <Facts title="Measured" lines={record.measured} units={units} />
          <WentWrong incidents={record.wentWrong} units={units} shops={shops} />
          {record.signedOff.length > 0 && (
            <List
              title="Sign-offs"
              items={record.signedOff.map((line) => `${say(line.words, units)} (${line.who})`)}
            />
          )}
          <List title="What holds the front" items={[record.adhesive, say(record.sealed, units)]} />
          <Signatures signatures={record.signatures} />
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
        <p className="text-quiet">Old parts go to recycling.</p>
      </article>
    </main>
  );
}

function Facts({ title, lines, units }: { title: string; lines: JobRecord["done"]; units: Units }) {
  return <List title={title} items={lines.map((line) => say(line.words, units))} />;
}

/** Apart from what was found; the owner's copy says what harmed the device, the shop's all of it and who was there. */
function WentWrong({
  incidents,
  units,
  shops,
}: {
  incidents: JobRecord["wentWrong"];
  units: Units;
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
