import { useQuery } from "@tanstack/react-query";
import { useCallback, useMemo } from "react";
import { api, type Schemas, unwrap } from "@/api/client";
import { keys } from "@/api/keys";
import { type Fate, outbox, useOutbox } from "@/live/outbox";
import type { Fact } from "./filled";
import { learnServerTime } from "@/time/clock";

export type Job = Schemas["JobView"];
export type Step = Schemas["StepView"];
export type Choice = Schemas["ChoiceView"];
export type Hold = Schemas["HoldView"];
export type Station = Job["stations"][number]["id"];

/**
 * Records a fact of this job; {@code step} is the one it answers, so that it is not offered twice meanwhile, and {@code then} what the
 * server has said that this leads to.
 */
export type Record = (fact: Fact, words: string, step?: Step, then?: Choice["leadsTo"]) => Promise<Fate>;

/** A tap that the server's word on the job does not know of yet. */
export interface Unheard {
  stepId: string | null;
  words: string;
  then?: Step | null;
}

/**
 * The job as it stands with what was tapped since: a straight answer leads where the server said it would, and after any other
 * nothing is due before the server has said what.
 */
export function standing(job: Job, unheard: readonly Unheard[]): Job {
  const last = unheard.at(-1);
  if (!last) {
    return job;
  }
  // A tap that an older version kept says nothing of it.
  const then = last.then ?? null;
  const at = job.steps.findIndex((step) => step.id === then?.id);
  const before = job.steps.findIndex((step) => step.id === last.stepId) + 1;
  const steps =
    then === null
      ? job.steps
      : at >= 0
        ? job.steps.map((step) => (step.id === then.id ? then : step))
        : [...job.steps.slice(0, before), then, ...job.steps.slice(before)];
  return {
    ...job,
    steps,
    nextStepId: then?.id ?? null,
    nextProvenBy: then !== null && then.id === job.nextStepId ? job.nextProvenBy : null,
  };
}

export function useJob(jobId: string) {
  const query = useQuery({
    queryKey: keys.job(jobId),
    queryFn: async () => {
      const askedAt = Date.now();
      const job = unwrap(await api.GET("/api/jobs/{jobId}", { params: { path: { jobId } } }));
      learnServerTime(job.serverTime, askedAt);
      return job;
    },
  });
  const { taps, recorded, stuck } = useOutbox();
  const seq = query.data?.seq ?? 0;
  const record: Record = useCallback(
    (fact, words, step, then) => outbox.tap(jobId, seq, fact, words, step?.id ?? null, then ?? null),
    [jobId, seq],
  );
  const unheard: readonly Unheard[] = useMemo(
    () => [
      ...recorded.filter((tap) => tap.jobId === jobId && tap.seq > seq),
      ...taps.filter((tap) => tap.jobId === jobId),
    ],
    [taps, recorded, jobId, seq],
  );
  const job = useMemo(() => query.data && standing(query.data, unheard), [query.data, unheard]);
  return { job, error: query.error, record, unheard, stuck };
}
