import { Link } from "react-router";
import type { Schemas } from "@/api/client";
import { useMay } from "@/session/useMay";
import { useUnits } from "@/session/useSession";
import { clockWords, secondsLeft, useServerSeconds } from "@/time/clock";
import { say } from "@/units/units";
import { useBench } from "./useBench";

type BenchJob = Schemas["BenchJob"];

/** All jobs: whose hands they need now, which wait for a timer, which are done. The reader's own come first. */
export function BenchPage() {
  const { data } = useBench();
  const atDesk = !useMay("WORK_AT_THE_BENCH");
  const now = useServerSeconds();
  if (!data) {
    return <p className="p-8">…</p>;
  }
  const timerOf = (job: BenchJob) => data.timers.find((t) => t.jobId === job.id);
  const waits = (job: BenchJob) => {
    const timer = timerOf(job);
    return job.waiting && timer !== undefined && secondsLeft(timer.startedAt, timer.seconds, now) > 0;
  };
  const hands = data.open.filter((job) => !waits(job));
  const groups = [
    { title: "Needs hands at the bench", desk: false, jobs: hands.filter((job) => !job.atDesk) },
    { title: "Needs the front desk", desk: true, jobs: hands.filter((job) => job.atDesk) },
  ].sort((a, b) => Number(b.desk === atDesk) - Number(a.desk === atDesk));
  return (
    <main className="min-h-0 flex-1 overflow-auto px-6 py-5">
      <div className="mb-5 flex items-center gap-4">
        <h1 className="flex-1 text-3xl font-bold">The bench</h1>
        <Link
          to="/take-in"
          className="flex min-h-11 items-center rounded-md border-2 border-lamp bg-lamp px-6 text-lg font-semibold text-on-lamp hover:brightness-105"
        >
          Take a job in
        </Link>
      </div>
      {data.open.length === 0 && (
        <p className="mb-8 max-w-xl text-xl text-quiet">
          Nothing lies on the bench. Take a job in: who it belongs to and what is wrong is enough to start.
        </p>
      )}
      {groups.map((group) => (
        <Jobs key={group.title} {...group} bench={data} />
      ))}
      <Jobs title="Waits for a timer" jobs={data.open.filter(waits)} bench={data} />
      <Jobs title="Handed over" jobs={data.closed} bench={data} />
    </main>
  );
}

function Jobs({ title, jobs, bench }: { title: string; jobs: BenchJob[]; bench: Schemas["BenchView"] }) {
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
          <JobRow
            key={job.id}
            job={job}
            stations={bench.stations}
            timer={bench.timers.find((t) => t.jobId === job.id)}
          />
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
          <span className="block truncate text-lg font-semibold">{job.owner}</span>
          <span className="block truncate text-quiet">
            {job.device}: {job.fault}
          </span>
        </span>
        <span className="min-w-0">
          <span className="block truncate text-lg">
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
        <span className="digits w-32 text-right text-2xl">
          {timer && clockWords(secondsLeft(timer.startedAt, timer.seconds, now))}
        </span>
      </Link>
    </li>
  );
}
