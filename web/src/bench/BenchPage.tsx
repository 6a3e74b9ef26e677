import { keepPreviousData, useQuery } from "@tanstack/react-query";
import { useState } from "react";
import { Link } from "react-router";
import { api, type Schemas, unwrap } from "@/api/client";
import { keys } from "@/api/keys";
import { useMay } from "@/session/useMay";
import { useUnits } from "@/session/useSession";
import { clockWords, secondsLeft, useServerSeconds } from "@/time/clock";
import { Field } from "@/ui/Field";
import { dayWords, say } from "@/units/units";
import { useBench, useClocks } from "./useBench";

type BenchJob = Schemas["BenchJob"];

/** What rows of jobs are drawn with. */
interface Rows {
  stations: readonly BenchJob["station"][];
  timers: readonly Schemas["BenchTimer"][];
}

/** All jobs by what they wait for: what is stopped first, then the reader's own; found by whatever is known of them. */
export function BenchPage() {
  const { data } = useBench();
  const timers = useClocks().data?.timers;
  const atDesk = !useMay("WORK_AT_THE_BENCH");
  const now = useServerSeconds();
  const [query, setQuery] = useState("");
  if (!data || !timers) {
    return <p className="p-8">…</p>;
  }
  const rows: Rows = { stations: data.stations, timers };
  const timerOf = (job: BenchJob) => timers.find((t) => t.jobId === job.id);
  const runs = (job: BenchJob) => {
    const timer = timerOf(job);
    return timer !== undefined && secondsLeft(timer.startedAt, timer.seconds, now) > 0;
  };
  /** A clock that has run out needs hands again. */
  const waits = (job: BenchJob) => (job.waitsFor === "TIMER" && !runs(job) ? "HANDS" : job.waitsFor);
  const of = (kind: BenchJob["waitsFor"]) => data.open.filter((job) => waits(job) === kind);
  const hands = [
    { title: "Needs hands at the bench", desk: false, jobs: of("HANDS").filter((job) => !job.atDesk) },
    { title: "Needs the front desk", desk: true, jobs: of("HANDS").filter((job) => job.atDesk) },
  ].sort((a, b) => Number(b.desk === atDesk) - Number(a.desk === atDesk));
  const asked = new Set(data.atHomeForAWeek.map((job) => job.id));
  const groups = [
    { title: "Stopped: a lead looks at it", jobs: of("LEAD") },
    ...hands,
    { title: "Waits for a timer", jobs: of("TIMER") },
    { title: "Waits for a part", jobs: of("PART").sort((a, b) => byDay(a.partDue, b.partDue)) },
    { title: "Waits for its owner", jobs: of("OWNER") },
    { title: "At home for a week: ask how it is", jobs: data.atHomeForAWeek },
    { title: "Handed over", jobs: data.closed.filter((job) => !asked.has(job.id)) },
  ];
  return (
    <main className="min-h-0 flex-1 overflow-auto px-6 py-5">
      <div className="mb-5 flex items-end gap-4">
        <h1 className="text-3xl font-bold">The bench</h1>
        <div className="flex-1">
          <Field
            id="find-job"
            label="Find by number, owner, device or tag"
            autoComplete="off"
            value={query}
            onChange={(e) => setQuery(e.target.value)}
          />
        </div>
        <Link
          to="/take-in"
          className="flex min-h-12 items-center rounded-md border-2 border-lamp bg-lamp px-6 text-lg font-semibold text-on-lamp hover:brightness-105"
        >
          Take a job in
        </Link>
      </div>
      {query.trim() ? (
        <Found query={tagged(query)} {...rows} />
      ) : (
        <>
          {data.open.length === 0 && (
            <p className="mb-8 max-w-xl text-xl text-quiet">
              Nothing lies on the bench. Take a job in: who it belongs to and what is wrong is enough to
              start.
            </p>
          )}
          {groups.map(({ title, jobs }) => (
            <Jobs key={title} title={title} jobs={jobs} {...rows} />
          ))}
        </>
      )}
    </main>
  );
}

/** A scanned tag is an address that ends in the job's id. */
function tagged(query: string): string {
  return /[0-9a-f]{8}(-[0-9a-f]{4}){3}-[0-9a-f]{12}/i.exec(query)?.[0] ?? query;
}

function byDay(a: string | null, b: string | null): number {
  return (a ?? "9999").localeCompare(b ?? "9999");
}

function Found({ query, ...rows }: Rows & { query: string }) {
  const { data } = useQuery({
    queryKey: keys.found(query, false),
    queryFn: async () => unwrap(await api.GET("/api/jobs", { params: { query: { query } } })),
    placeholderData: keepPreviousData,
  });
  if (data?.length === 0) {
    return <p className="text-xl text-quiet">No job has that in its number, owner, device or fault.</p>;
  }
  return <Jobs title="Found" jobs={data ?? []} {...rows} />;
}

function Jobs({ title, jobs, stations, timers }: Rows & { title: string; jobs: BenchJob[] }) {
  if (jobs.length === 0) {
    return null;
  }
  return (
    <section className="mb-7" aria-label={title}>
      <h2 className="mb-2 text-lg font-semibold text-quiet">
        {title} <span className="digits">{jobs.length}</span>
      </h2>
      <ul className="divide-y-2 divide-line border-y-2 border-line">
        {jobs.map((job) => (
          <JobRow key={job.id} job={job} stations={stations} timer={timers.find((t) => t.jobId === job.id)} />
        ))}
      </ul>
    </section>
  );
}

function JobRow({
  job,
  stations,
  timer,
}: {
  job: BenchJob;
  stations: readonly BenchJob["station"][];
  timer: Schemas["BenchTimer"] | undefined;
}) {
  const units = useUnits();
  const now = useServerSeconds();
  const closed = job.handedOverAt !== null;
  const at = closed ? stations.length : stations.indexOf(job.station);
  return (
    <li>
      <Link
        to={closed ? `/jobs/${job.id}/record` : `/jobs/${job.id}`}
        className="grid grid-cols-[3.5rem_minmax(0,1.2fr)_minmax(0,1.4fr)_auto] items-center gap-4 px-2 py-3 hover:bg-sheet"
      >
        <span className="digits text-3xl font-semibold">{job.number}</span>
        <span className="min-w-0">
          <span className="line-clamp-2 text-lg leading-snug font-semibold">{job.owner}</span>
          <span className="line-clamp-2 leading-snug text-quiet">
            {job.device}: {job.fault}
          </span>
        </span>
        <span className="min-w-0">
          <span className="line-clamp-2 text-lg leading-snug">
            <b>{closed ? "Handed over" : job.stationWords}</b>
            {job.nextStep && <>: {say(job.nextStep, units)}</>}
          </span>
          <span className="mt-1.5 flex gap-0.5" aria-hidden>
            {stations.map((station, i) => (
              <span
                key={station}
                className={`h-2 flex-1 ${i < at ? "bg-free" : i === at ? "bg-ink" : "bg-bond"}`}
              />
            ))}
          </span>
        </span>
        <span className="w-44 text-right text-[0.95rem] leading-snug">
          {timer ? (
            <span className="digits text-2xl">
              {clockWords(secondsLeft(timer.startedAt, timer.seconds, now))}
            </span>
          ) : (
            !closed && (
              <>
                <Days job={job} today={today(now)} />
                <span className="block truncate text-quiet">
                  {age(job.openedAt, now)} old, {job.touchedBy}
                </span>
              </>
            )
          )}
        </span>
      </Link>
    </li>
  );
}

function today(nowS: number): string {
  return new Date(nowS * 1000).toLocaleDateString("sv");
}

function age(openedAt: string, nowS: number): string {
  const minutes = Math.max(0, Math.floor((nowS - Date.parse(openedAt) / 1000) / 60));
  const days = Math.floor(minutes / 1440);
  if (days > 0) {
    return `${days} ${days === 1 ? "day" : "days"}`;
  }
  return minutes < 60 ? `${minutes} min` : `${Math.floor(minutes / 60)} h`;
}

/** When the owner was told it is ready, and when its part should be here; late in red. */
function Days({ job, today }: { job: BenchJob; today: string }) {
  const line = (words: string, day: string | null) =>
    day && (
      <span className={`block ${day < today ? "font-semibold text-alarm" : "text-quiet"}`}>
        {words} {dayWords(day)}
        {day < today && ", late"}
      </span>
    );
  return (
    <>
      {line("promised", job.promisedOn)}
      {job.waitsFor === "PART" && line("due", job.partDue)}
    </>
  );
}
