import { keepPreviousData, useQuery, useQueryClient } from "@tanstack/react-query";
import { useState } from "react";
import { useLocation, useNavigate } from "react-router";
import { api, type Schemas, unwrap } from "@/api/client";
import { keys } from "@/api/keys";
import { useSubmit } from "@/api/useSubmit";
import { BringIn } from "@/intake/BringIn";
import { filled } from "@/job/filled";
import { newId, outbox } from "@/live/outbox";
import { Button } from "@/ui/Button";
import { Field } from "@/ui/Field";
import { ProblemNote } from "@/ui/ProblemNote";

type Device = Schemas["DeviceView"];

/** What is known of a device that was here before. */
export interface Again {
  number: number;
  device: string;
  owner: string;
  contact: string | null;
  fault: string;
}

/** What is asked while the owner stands at the desk: which device, whose, what is wrong. */
export function TakeInPage() {
  const navigate = useNavigate();
  const client = useQueryClient();
  const again = useLocation().state as Again | null;
  const [query, setQuery] = useState(again?.device ?? "");
  const [device, setDevice] = useState<Device | null>(null);
  const [variantId, setVariantId] = useState<string | null>(null);
  const [given, setGiven] = useState({
    owner: again?.owner ?? "",
    contact: again?.contact ?? "",
    fault: again?.fault ?? "",
  });
  const [commandId] = useState(newId);
  const found = useQuery({
    queryKey: keys.devices(query),
    queryFn: async () => unwrap(await api.GET("/api/devices", { params: { query: { query } } })),
    placeholderData: keepPreviousData,
  });
  // A second try goes out with the same command id: a job that was opened unheard is not opened twice.
  const { problem, busy, submit } = useSubmit(async () => {
    const receipt = unwrap(
      await api.POST("/api/jobs", {
        body: { commandId, profileId: device?.id ?? "", variantId, ...given, contact: given.contact || null },
      }),
    );
    if (again) {
      await cameBack(receipt.jobId, again.number);
    }
    void client.invalidateQueries({ queryKey: keys.bench });
    await navigate(`/jobs/${receipt.jobId}`);
  });
  const choose = (one: Device, variant: string | null) => {
    setDevice(one);
    setVariantId(variant);
    document.getElementById("owner")?.focus();
  };
  return (
    <main className="grid min-h-0 flex-1 grid-cols-[minmax(0,1fr)_minmax(0,26rem)]">
      <section className="min-h-0 min-w-0 overflow-auto px-6 py-5" aria-label="Device">
        <div className="mb-4 flex flex-wrap items-center justify-between gap-3">
          <h1 className="text-3xl font-bold">Take a job in</h1>
          <BringIn />
        </div>
        <Field
          id="device-search"
          label="Which device? Any words of its name"
          autoComplete="off"
          value={query}
          onChange={(e) => setQuery(e.target.value)}
          onKeyDown={(e) => {
            const first = found.data?.[0];
            if (e.key === "Enter" && first) {
              e.preventDefault();
              choose(first, null);
            }
          }}
        />
        <ul className="mt-4 divide-y-2 divide-line border-y-2 border-line">
          {found.data?.map((one) => (
            <li key={one.id} className={device?.id === one.id ? "bg-sheet" : undefined}>
              <button
                type="button"
                aria-pressed={device?.id === one.id}
                className="flex min-h-12 w-full items-center gap-3 px-3 py-1.5 text-left hover:bg-sheet"
                onClick={() => choose(one, null)}
              >
                <span className="min-w-0 flex-1 leading-snug">
                  <b className="text-lg">{one.name}</b>
                  <span className="block text-quiet">{one.words}</span>
                </span>
                {device?.id === one.id && <span className="font-semibold text-done">✓ this one</span>}
              </button>
              {device?.id === one.id && one.variants.length > 0 && (
                <div className="flex flex-wrap gap-2 px-3 pb-2" role="group" aria-label="Variant">
                  {[{ id: null, words: "variant not known" }, ...one.variants].map((variant) => (
                    <Button
                      key={variant.words}
                      aria-pressed={variantId === variant.id}
                      className="aria-pressed:bg-ink aria-pressed:text-sheet"
                      onClick={() => setVariantId(variant.id)}
                    >
                      {variant.words}
                    </Button>
                  ))}
                </div>
              )}
            </li>
          ))}
        </ul>
        {found.data?.length === 0 && <p className="mt-3 text-lg">The book has nothing like that.</p>}
        <p className="mt-3 text-quiet">
          Not in the book? Take the unknown device of its kind: stated defaults, wider margins, less
          certainty.
        </p>
      </section>
      <form
        className="flex min-h-0 min-w-0 flex-col gap-4 overflow-auto border-l-2 border-line px-5 py-5"
        noValidate
        onSubmit={(event) => {
          event.preventDefault();
          void submit(undefined);
        }}
      >
        <p className="min-h-14 text-xl leading-snug">
          {device ? (
            <>
              <b className="block">{device.name}</b>
              {device.variants.find((v) => v.id === variantId)?.words ?? device.words}
            </>
          ) : (
            <span className="text-quiet">No device chosen yet</span>
          )}
        </p>
        <Field
          id="owner"
          label="Belongs to"
          autoComplete="off"
          value={given.owner}
          onChange={(e) => setGiven({ ...given, owner: e.target.value })}
        />
        <Field
          id="contact"
          label="Reached at, if anyone must call; erased after the shop's time"
          autoComplete="off"
          value={given.contact}
          onChange={(e) => setGiven({ ...given, contact: e.target.value })}
        />
        <Field
          id="fault"
          label="What is wrong, in the owner's words"
          autoComplete="off"
          value={given.fault}
          onChange={(e) => setGiven({ ...given, fault: e.target.value })}
        />
        <p className="text-quiet">
          Swollen, hissing or hot? Do not take it to the bench: isolate it and follow the local rules.
        </p>
        {problem && <ProblemNote problem={problem} />}
        <Button type="submit" look="lamp" className="mt-auto min-h-16 text-center text-2xl" disabled={busy}>
          Take it in
        </Button>
      </form>
    </main>
  );
}

/** Says which job it was before; where that can't be recorded now, intake asks for it. */
async function cameBack(jobId: string, jobNumber: number): Promise<void> {
  const job = unwrap(await api.GET("/api/jobs/{jobId}", { params: { path: { jobId } } }));
  const choice = job.steps
    .flatMap((step) => step.choices)
    .find((one) => one.fact.type === "CameBack" && one.mine);
  if (choice) {
    await outbox.tap(jobId, job.seq, filled(choice, { jobNumber }), choice.label, null);
  }
}
