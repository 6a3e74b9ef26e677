import { useQuery } from "@tanstack/react-query";
import clsx from "clsx";
import { Check, X } from "lucide-react";
import { api, unwrap } from "@/api/client";
import { keys } from "@/api/keys";
import type { Job } from "@/job/useJob";
import { ScrollRegion } from "@/ui/ScrollRegion";
import { Awaited } from "@/ui/Awaited";

/** What is left to try with the front loose, what costs most found late first, and what stands at stake were it sealed now. */
export function TestPlan({ job }: { job: Job }) {
  const { data: plan } = useQuery({
    queryKey: keys.station(job.id, "test-plan", job.seq),
    queryFn: async () =>
      unwrap(await api.GET("/api/jobs/{jobId}/test-plan", { params: { path: { jobId: job.id } } })),
  });
  if (!plan) {
    return <Awaited words="Reckoning what to try first" />;
  }
  const most = Math.max(...plan.tests.map((one) => one.lateMinutes));
  return (
    <ScrollRegion label="What to try before it is sealed" className="flex h-full flex-col gap-3">
      <p className="leading-snug">
        <b className="digits mr-2 text-3xl">
          {plan.atStakeMinutes < 0.05 ? "0" : plan.atStakeMinutes.toFixed(1)} min
        </b>
        at stake, were it sealed now: opening it again takes {Math.round(plan.openingMinutes)}.
      </p>
      <ol className="grid gap-1.5" aria-label="In which order">
        {plan.tests.map((one) => (
          <li
            key={one.stepId}
            aria-current={one.stepId === job.nextStepId ? "step" : undefined}
            className={clsx(
              "grid grid-cols-[1.75rem_minmax(0,1fr)_3rem] items-center gap-x-2",
              one.answer !== null && "text-quiet",
            )}
          >
            <span aria-hidden className="row-span-2 self-start pt-0.5">
              {one.answer === "PASS" && <Check className="text-done" />}
              {one.answer === "FAIL" && <X className="text-alarm" />}
            </span>
            <span className={clsx(one.stepId === job.nextStepId ? "text-lg font-bold" : "font-semibold")}>
              {one.words}
              {one.answer === null && one.because.length > 0 && (
                <span className="font-normal text-quiet">: {one.because.join(", ")}</span>
              )}
            </span>
            <span className="digits row-span-2 text-right">
              {one.chance < 0.01 ? "<1" : Math.round(100 * one.chance)} %
            </span>
            <span aria-hidden className="h-2.5 bg-line/50">
              <span
                className={clsx("block h-full", one.stepId === job.nextStepId ? "bg-lamp" : "bg-done")}
                style={{
                  width: `${(100 * one.lateMinutes) / most}%`,
                  opacity: one.answer === null ? 1 : 0.35,
                }}
              />
            </span>
          </li>
        ))}
      </ol>
      {plan.onlyClosed.length > 0 && (
        <p className="leading-snug">
          <b>Only once it is closed:</b> {plan.onlyClosed.join(", ")}. What fails then is opened again.
        </p>
      )}
      <p className="text-sm leading-snug text-quiet">
        How often each fails here, and as a bar what it costs found late. Common practice, moved by what
        happened in this job.
      </p>
    </ScrollRegion>
  );
}
