import { useQuery, useQueryClient } from "@tanstack/react-query";
import clsx from "clsx";
import { useState } from "react";
import { api, unwrap } from "@/api/client";
import { keys } from "@/api/keys";
import { useSubmit } from "@/api/useSubmit";
import { newId } from "@/live/outbox";
import { Button } from "@/ui/Button";
import { Modal } from "@/ui/Modal";
import { ProblemNote } from "@/ui/ProblemNote";

/** Touch tried square by square: what does not answer is tapped here, and judged as a trace is. */
export function ByHand({ jobId }: { jobId: string }) {
  const client = useQueryClient();
  const [open, setOpen] = useState(false);
  const [silent, setSilent] = useState<ReadonlySet<string>>(new Set());
  const { data: squares } = useQuery({
    enabled: open,
    queryKey: keys.station(jobId, "touch-squares"),
    queryFn: async () =>
      unwrap(await api.GET("/api/jobs/{jobId}/touch/by-hand", { params: { path: { jobId } } })),
  });
  const take = useSubmit(async () => {
    unwrap(
      await api.POST("/api/jobs/{jobId}/touch/by-hand", {
        params: { path: { jobId } },
        body: {
          commandId: newId(),
          silent: (squares?.squares ?? [])
            .filter(({ name }) => silent.has(name))
            .map(({ column, row }) => ({ column, row })),
        },
      }),
    );
    await client.invalidateQueries({ queryKey: keys.job(jobId) });
    setOpen(false);
  });
  const toggle = (name: string) => {
    const next = new Set(silent);
    if (!next.delete(name)) {
      next.add(name);
    }
    setSilent(next);
  };
  return (
    <>
      <Button onClick={() => setOpen(true)}>Square by square</Button>
      <Modal title="Touch, square by square" open={open} onClose={() => setOpen(false)}>
        <div className="grid gap-3">
          <p className="leading-snug">
            On its own drawing page or test screen, a finger into every square. Tap here what does not answer,
            tried twice.{" "}
            <a className="underline" href={`/api/jobs/${jobId}/touch/by-hand/sheet`}>
              The squares on paper
            </a>
          </p>
          {squares && (
            <div
              className="mx-auto grid w-full gap-px"
              style={{
                gridTemplateColumns: `repeat(${squares.columns}, minmax(0, 1fr))`,
                aspectRatio: squares.aspect,
                maxWidth: `calc(46vh * ${squares.aspect})`,
              }}
            >
              {squares.squares.map(({ name }) => (
                <button
                  key={name}
                  type="button"
                  aria-pressed={silent.has(name)}
                  aria-label={`${name}${silent.has(name) ? " does not answer" : ""}`}
                  onClick={() => toggle(name)}
                  className={clsx(
                    "min-h-0 min-w-0 text-[0.6rem] leading-none",
                    silent.has(name) ? "bg-alarm font-bold text-on-alarm" : "bg-bond text-ink",
                  )}
                >
                  {name}
                </button>
              ))}
            </div>
          )}
          <Button look="lamp" disabled={take.busy || !squares} onClick={() => void take.submit(undefined)}>
            {silent.size === 0 ? "All answer" : `${silent.size} do not answer`}
          </Button>
          {take.problem && <ProblemNote problem={take.problem} />}
        </div>
      </Modal>
    </>
  );
}
