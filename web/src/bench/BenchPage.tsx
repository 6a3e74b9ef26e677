import { useState } from "react";
import { Link } from "react-router";
import type { Schemas } from "@/api/client";
import { useUnits } from "@/session/useSession";
import { clockWords, secondsLeft, useServerSeconds } from "@/time/clock";
import { say } from "@/units/units";
import { Button } from "@/ui/Button";
import { NewJob } from "./NewJob";
import { useBench } from "./useBench";

type BenchJob = Schemas["BenchJob"];

/** All jobs: which need hands now, which wait for a timer, which are done. */
export function BenchPage() {
  const { data } = useBench();
  const [taking, setTaking] = useState(false);
  if (!data) {
    return <p className="p-8">…</p>;
  }
  const hands = data.open.filter((job) => !job.waiting);
  const waiting = data.open.filter((job) => job.waiting);
  return (
    <main className="min-h-0 flex-1 overflow-auto px-6 py-5">
      <div className="mb-5 flex items-center gap-4">
        <h1 className="flex-1 text-3xl font-bold">The bench</h1>
        <Button look="lamp" className="px-6 text-lg" onClick={() => setTaking(true)}>
          Take a job in
        </Button>
      </div>
      {data.open.length === 0 && (
        <p className="mb-8 max-w-xl text-xl text-quiet">
          Nothing lies on the bench. Take a job in: who it belongs to and what is wrong is enough to start.
        </p>
      )}
      <Jobs title="Needs hands" jobs={hands} timers={data.timers} />
      <Jobs title="Waits for a timer" jobs={waiting} timers={data.timers} />
      <Jobs title="Handed over" jobs={data.closed} timers={[]} />
      <NewJob open={taking} onClose={() => setTaking(false)} />
    </main>
  );
}

function Jobs({
  title,
  jobs,
  timers,
}: {
  title: string;
  jobs: BenchJob[];
  timers: readonly Schemas["BenchTimer"][];
}) {
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
          <JobRow key={job.id} job={job} timer={timers.find((t) => t.jobId === job.id)} />
        ))}
      </ul>
    </section>
  );
}

const STATIONS: BenchJob["station"][] = [
  "INTAKE",
  "DECIDE",
  "PARTS",
  "HEAT",
  "SEPARATE",
  "STRIP",
  "CARRY",
  "CLEAN",
  "BOND",
  "TEST",
  "SEAL",
  "PROVE",
];

function JobRow({ job, timer }: { job: BenchJob; timer: Schemas["BenchTimer"] | undefined }) {
  const units = useUnits();
  const now = useServerSeconds();
  const closed = job.handedOverAt !== null;
  const at = closed ? STATIONS.length : STATIONS.indexOf(job.station);
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
            {STATIONS.map((station, i) => (
              <span
                key={station}
                className={`h-2 flex-1 ${i < at ? "bg-free" : i === at ? "bg-ink" : "bg-bond"}`}
              />
            ))}
          </span>
        </span>
        <span className="digits w-24 text-right text-2xl">
          {timer && clockWords(secondsLeft(timer.startedAt, timer.seconds, now))}
        </span>
      </Link>
    </li>
  );
}
