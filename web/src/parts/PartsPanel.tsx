import { useQuery } from "@tanstack/react-query";
import { api, unwrap } from "@/api/client";
import { keys } from "@/api/keys";
import { useSubmit } from "@/api/useSubmit";
import { newId } from "@/live/outbox";
import type { PanelProps } from "@/job/panel";
import { money } from "@/units/money";
import { Button } from "@/ui/Button";
import { ProblemNote } from "@/ui/ProblemNote";
import { bringsWords } from "./brings";
import { ScrollRegion } from "@/ui/ScrollRegion";

/** What the shelf has for this device, and which piece of it this job takes. */
export function PartsPanel({ job }: PanelProps) {
  const { data } = useQuery({
    queryKey: keys.station(job.id, "parts", job.seq),
    queryFn: async () =>
      unwrap(await api.GET("/api/jobs/{jobId}/parts", { params: { path: { jobId: job.id } } })),
  });
  const { problem, busy, submit } = useSubmit(
    async ({ stockId, taken }: { stockId: string; taken: boolean }) => {
      const given = { params: { path: { jobId: job.id } }, body: { commandId: newId(), stockId } };
      unwrap(
        await (taken
          ? api.DELETE("/api/jobs/{jobId}/parts", given)
          : api.POST("/api/jobs/{jobId}/parts", given)),
      );
    },
  );
  return (
    <div className="flex min-h-0 flex-1 flex-col gap-3">
      <h2 className="text-2xl font-bold">On the shelf for {job.device}</h2>
      {problem && <ProblemNote problem={problem} />}
      {data?.length === 0 && (
        <p className="text-lg">
          Nothing that fits is on the shelf or on a price list. Order it before anything is opened.
        </p>
      )}
      <ScrollRegion label="Parts that fit">
        <ul className="divide-y-2 divide-line border-y-2 border-line">
          {data?.map(({ row, words, needed, taken }) => (
            <li key={row.id} className="flex items-center gap-4 px-2 py-2">
              <span className="min-w-0 flex-1 leading-snug">
                <b className="text-lg">{words}</b>
                <span className="block text-quiet">
                  {row.brings.length === 0 ? "brings nothing along" : `brings ${bringsWords(row.brings)}`}
                  {row.tested ? ", tested on arrival" : ""}
                  {needed ? "" : ", not what was agreed"}
                </span>
              </span>
              <span className="text-right leading-snug">
                <span className="digits block text-lg">
                  {money({ amount: row.price, currency: row.currency })}
                </span>
                <span className={row.free > 0 ? "text-quiet" : "text-alarm"}>{row.free} free</span>
              </span>
              {taken ? (
                <Button disabled={busy || job.closed} onClick={() => void submit({ stockId: row.id, taken })}>
                  ✓ taken, put back
                </Button>
              ) : (
                <Button
                  disabled={busy || job.closed || row.free < 1}
                  onClick={() => void submit({ stockId: row.id, taken })}
                >
                  Take one
                </Button>
              )}
            </li>
          ))}
        </ul>
      </ScrollRegion>
      <p className="text-quiet">
        What it does not bring is asked beside this: missing tape is found now, not with the device open.
      </p>
    </div>
  );
}
