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

/** Records a fact of this job; {@code step} is the one it answers, so that it is not offered twice meanwhile. */
export type Record = (fact: Fact, words: string, step?: Step) => Promise<Fate>;

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
  const { taps, recorded } = useOutbox();
  const seq = query.data?.seq ?? 0;
  const record: Record = useCallback(
    (fact, words, step) => outbox.tap(jobId, seq, fact, words, step?.id ?? null),
    [jobId, seq],
  );
  const pending = useMemo(
    () =>
      new Set([
        ...taps.filter((tap) => tap.jobId === jobId).map((tap) => tap.stepId),
        ...recorded.filter((tap) => tap.jobId === jobId && tap.seq > seq).map((tap) => tap.stepId),
      ]),
    [taps, recorded, jobId, seq],
  );
  return { job: query.data, error: query.error, record, pending };
}
