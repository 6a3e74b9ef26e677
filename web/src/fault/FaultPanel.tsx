import { keepPreviousData, useQuery } from "@tanstack/react-query";
import clsx from "clsx";
import { api, type Schemas, unwrap } from "@/api/client";
import { keys } from "@/api/keys";
import { useUnits } from "@/session/useSession";
import { ScrollRegion } from "@/ui/ScrollRegion";
import { say } from "@/units/units";

type Fault = Schemas["OpenFaultView"];

/** Less than that is not worth a line of its own. */
const FAINT = 0.005;

/** Steps that test a function, or look for why one fails. */
const TESTS = /\.fault\.|^(before|open|after)\./;

export const useFaults = (jobId: string, seq: number, next: string) =>
  useQuery({
    enabled: TESTS.test(next),
    placeholderData: keepPreviousData,
    queryKey: keys.station(jobId, "faults", seq),
    queryFn: async () => unwrap(await api.GET("/api/jobs/{jobId}/faults", { params: { path: { jobId } } })),
  }).data;

/** The open case that a step is about: the test that failed, or a check for it. */
export const about = (faults: Fault[] | undefined, stepId: string | null) =>
  faults?.find((fault) => stepId !== null && fault.stepIds.includes(stepId));

/** Why something fails: what it may be, why that is thought, and what leads to the cure soonest. */
export function FaultPanel({ fault }: { fault: Fault }) {
  const units = useUnits();
  return (
    <ScrollRegion label="Why it fails" className="flex min-h-0 flex-1 flex-col gap-4 overflow-auto">
      <p className="text-3xl leading-tight font-bold">{fault.words}: why it fails</p>
      <ul className="grid gap-1.5" aria-label="What it may be">
        {fault.causes
          .filter((cause) => cause.share >= FAINT)
          .map((cause, nth) => (
            <li
              key={cause.words}
              className="grid grid-cols-[minmax(0,1fr)_minmax(0,1fr)_3.5rem] items-center gap-x-3"
            >
              <span className={clsx("leading-snug first-letter:uppercase", nth === 0 && "font-bold")}>
                {cause.words}
                {cause.cases >= 0.5 && (
                  <span className="font-normal text-quiet"> · {Math.round(cause.cases)} closed here</span>
                )}
              </span>
              <span aria-hidden className="h-3.5 bg-line/50">
                <span
                  className={clsx("block h-full", nth === 0 ? "bg-ink" : "bg-done")}
                  style={{ width: `${cause.share * 100}%` }}
                />
              </span>
              <span className="digits text-right text-lg font-bold">
                {Math.max(1, Math.round(cause.share * 100))} %
              </span>
            </li>
          ))}
      </ul>
      <div className="grid gap-5 md:grid-cols-2">
        <div>
          <h2 className="font-semibold">Because</h2>
          <ul className="mt-1 grid gap-1 leading-snug text-quiet">
            {fault.because.map((reason) => (
              <li key={reason} className="first-letter:uppercase">
                {say(reason, units)}
              </li>
            ))}
          </ul>
        </div>
        <div>
          <h2 className="font-semibold">Minutes to the cure, if it is first</h2>
          {fault.openingMinutes > 0 && (
            <p className="leading-snug text-quiet">
              Opening it again: {Math.round(fault.openingMinutes)} min
              {fault.plugMinutes >= 1 && `, and ${Math.round(fault.plugMinutes)} more to its plugs`}.
            </p>
          )}
          <ol className="mt-1 grid gap-1 leading-snug">
            {fault.checks.map((check, nth) => (
              <li
                key={check.words}
                className={clsx("grid grid-cols-[3rem_minmax(0,1fr)]", nth > 0 && "text-quiet")}
              >
                <span className="digits font-semibold">{Math.round(check.toTheCure)}</span>
                <span>
                  {check.words}
                  {check.opens && ", opened again"}
                </span>
              </li>
            ))}
          </ol>
        </div>
      </div>
      <p className="text-sm leading-snug text-quiet">
        Common practice, moved by what was found here; one fault at a time.
      </p>
    </ScrollRegion>
  );
}
