import { useQuery } from "@tanstack/react-query";
import { Nfc } from "lucide-react";
import type { ReactNode } from "react";
import { api, unwrap } from "@/api/client";
import { keys } from "@/api/keys";
import { useSubmit } from "@/api/useSubmit";
import type { PanelProps } from "@/job/panel";
import { newId } from "@/live/outbox";
import { Button } from "@/ui/Button";
import { ProblemNote } from "@/ui/ProblemNote";
import { ChargePanel } from "./ChargePanel";
import { TouchPanel, useTouch } from "./TouchPanel";

/** As often as a reader is asked. */
const OFTEN_MS = 2000;

/** What an instrument can prove now, as it sees it. */
export function TestPanel({ otherwise, ...props }: PanelProps & { otherwise: ReactNode }) {
  const { job } = props;
  const { data: proof } = useQuery({
    queryKey: keys.station(job.id, "proof", job.seq),
    queryFn: async () =>
      unwrap(await api.GET("/api/jobs/{jobId}/proof", { params: { path: { jobId: job.id } } })),
    enabled: job.nextProvenBy === "READER",
    refetchInterval: ({ state }) => (state.data?.stepId ? OFTEN_MS : false),
  });
  const prove = useSubmit(async () => {
    unwrap(
      await api.POST("/api/jobs/{jobId}/proof", {
        params: { path: { jobId: job.id } },
        body: { commandId: newId() },
      }),
    );
  });
  const touch = useTouch(job).data;
  const step = job.steps.find((one) => one.id === proof?.stepId);
  if (touch && touch.stepId !== null && touch.stepId === job.nextStepId) {
    return <TouchPanel job={job} touch={touch} otherwise={otherwise} />;
  }
  const next = job.steps.find((one) => one.id === job.nextStepId);
  if (next && job.nextProvenBy === "METER") {
    return <ChargePanel job={job} step={next} record={props.record} />;
  }
  if (!step) {
    return otherwise;
  }
  return (
    <div className="flex min-h-0 flex-1 flex-col items-center justify-center gap-5 text-center">
      <div
        className={`flex size-56 items-center justify-center rounded-full border-4 ${
          proof?.answers ? "border-ink bg-lamp text-on-lamp" : "border-dashed border-line"
        }`}
      >
        <Nfc aria-hidden size={120} strokeWidth={1.5} />
      </div>
      <p className="text-2xl font-semibold" role="status">
        {proof?.says ?? "No reader is entered under tools: try it at one by hand"}
      </p>
      <p className="text-lg">Device on the reader, front laid loose over it, screen awake.</p>
      <Button disabled={prove.busy || proof?.answers == null} onClick={() => void prove.submit(undefined)}>
        Take what the reader says
      </Button>
      {prove.problem && <ProblemNote problem={prove.problem} />}
    </div>
  );
}
