import { useQuery, useQueryClient } from "@tanstack/react-query";
import { useState } from "react";
import { useNavigate } from "react-router";
import { api, ProblemError, type Schemas, unwrap } from "@/api/client";
import { keys } from "@/api/keys";
import { useSubmit } from "@/api/useSubmit";
import type { Again } from "@/intake/TakeInPage";
import { AskDialog, type Asked } from "@/job/AskDialog";
import { type Choice, type Record, useJob } from "@/job/useJob";
import { useUnits } from "@/session/useSession";
import { useServerSeconds } from "@/time/clock";
import { Button } from "@/ui/Button";
import { ProblemNote } from "@/ui/ProblemNote";

/** How it was after a week at home: fine, or back on the bench. */
export function AfterAWeek({ jobId, record }: { jobId: string; record: Schemas["RecordView"] }) {
  const navigate = useNavigate();
  const client = useQueryClient();
  const units = useUnits();
  const now = useServerSeconds();
  const { job, record: tap } = useJob(jobId);
  const [asked, setAsked] = useState<Asked | null>(null);
  const owner = useQuery({
    queryKey: keys.station(jobId, "owner"),
    queryFn: async () => unwrap(await api.GET("/api/jobs/{jobId}/owner", { params: { path: { jobId } } })),
  });
  const tell: Record = async (fact, words) => {
    const fate = await tap(fact, words);
    await client.invalidateQueries({ queryKey: keys.job(jobId) });
    await client.invalidateQueries({ queryKey: keys.bench });
    return fate;
  };
  const { problem, busy, submit } = useSubmit(async (choice: Choice) => {
    const fate = await tell(choice.fact, choice.label);
    if (fate.kind === "refused") {
      throw new ProblemError(fate.problem);
    }
  });
  const heard = record.afterAWeek;
  const due = Date.parse(record.askedFrom ?? "") / 1000 <= now;
  if (!job || (!due && !heard)) {
    return null;
  }
  const again: Again = {
    number: job.number,
    device: record.device,
    owner: record.owner,
    contact: owner.data?.contact ?? null,
    fault: heard?.said ?? "",
  };
  return (
    <section
      aria-label="After a week"
      className="no-print flex flex-wrap items-center gap-x-6 gap-y-3 rounded-md border-2 border-ink p-4"
    >
      <p className="min-w-48 flex-1 text-lg leading-snug">
        <b>{heard ? `After a week: ${heard.said ?? "fine"}` : "At home for a week: how is it?"}</b>
        {owner.data?.contact && <span className="block text-quiet">reached at {owner.data.contact}</span>}
      </p>
      {job.afterwards.map((choice) => (
        <Button
          key={choice.label}
          disabled={busy || !choice.mine}
          onClick={() =>
            choice.asks.length > 0
              ? setAsked({ title: "After a week", hint: null, choice })
              : void submit(choice)
          }
        >
          {choice.label}
        </Button>
      ))}
      {heard && !heard.fine && (
        <Button look="lamp" onClick={() => void navigate("/take-in", { state: again })}>
          Take it in again
        </Button>
      )}
      {problem && <ProblemNote problem={problem} />}
      <AskDialog jobId={jobId} asked={asked} units={units} record={tell} onClose={() => setAsked(null)} />
    </section>
  );
}
