import { useQueryClient } from "@tanstack/react-query";
import { useState } from "react";
import { api, unwrap } from "@/api/client";
import { keys } from "@/api/keys";
import { useSubmit } from "@/api/useSubmit";
import { Button } from "@/ui/Button";
import { Choose, Field } from "@/ui/Field";
import { Modal } from "@/ui/Modal";
import { ProblemNote } from "@/ui/ProblemNote";
import type { Channel, Instrument, Instruments, Source } from "./useTools";

/** A question and the instrument's own channel that it is about: "MEAS:TEMP? (@101)". */
const parts = (query: string) => {
  const [, question = query, channel = ""] = /^(.*?)(?: \(@(.*)\))?$/.exec(query) ?? [];
  return { question, channel };
};
const asked = (question: string, channel: string) =>
  channel === "" ? question : `${question} (@${channel})`;

const FIRST: Channel = { quantity: "TEMPERATURE", place: "FRAME", query: "MEAS:TEMP?" };

/** An instrument by address; what it is asked is its own language, a question each. */
export function InstrumentForm({
  instrument,
  bench,
  sources,
  onClose,
}: {
  instrument: Instrument | null;
  bench: Instruments;
  sources: Source[];
  onClose: () => void;
}) {
  const client = useQueryClient();
  const [attends, setAttends] = useState(instrument?.attends ?? bench.runs[0]?.id ?? "");
  const onASource = bench.runs.find((run) => run.id === attends)?.onASource ?? false;
  const [sourceId, setSourceId] = useState(instrument?.sourceId ?? sources[0]?.id ?? "");
  const [channels, setChannels] = useState<Channel[]>(instrument?.channels ?? [FIRST]);
  const [given, setGiven] = useState({
    name: instrument?.name ?? "",
    host: instrument?.host ?? "",
    port: String(instrument?.port ?? 5025),
  });
  const done = async () => {
    await client.invalidateQueries({ queryKey: keys.instruments });
    onClose();
  };
  const put = useSubmit(async () => {
    const port = Number(given.port);
    unwrap(
      await api.PUT("/api/instruments/{instrumentId}", {
        params: { path: { instrumentId: instrument?.id ?? `instrument-${Date.now().toString(36)}` } },
        body: {
          name: given.name,
          host: given.host.trim(),
          port: Number.isNaN(port) ? (given.port as unknown as number) : port,
          attends,
          sourceId: onASource ? sourceId : null,
          channels: channels.map((channel) => ({ ...channel, place: channel.place.trim() })),
        },
      }),
    );
    await done();
  });
  const remove = useSubmit(async () => {
    unwrap(
      await api.DELETE("/api/instruments/{instrumentId}", {
        params: { path: { instrumentId: instrument?.id ?? "" } },
      }),
    );
    await done();
  });
  const problem = put.problem ?? remove.problem;
  const field = (id: keyof typeof given, label: string) => (
    <Field
      id={id}
      label={label}
      inputMode={id === "port" ? "numeric" : "text"}
      value={given[id]}
      onChange={(e) => setGiven({ ...given, [id]: e.target.value })}
    />
  );
  const change = (at: number, values: Partial<Channel>) =>
    setChannels(channels.map((channel, i) => (i === at ? { ...channel, ...values } : channel)));
  return (
    <Modal title={instrument ? instrument.name : "Another instrument"} wide open onClose={onClose}>
      <form
        className="grid grid-cols-2 gap-3"
        noValidate
        onSubmit={(event) => {
          event.preventDefault();
          void put.submit(undefined);
        }}
      >
        {field("name", "What it is called")}
        <Choose
          id="attends"
          label="Listens during"
          value={attends}
          onChange={(e) => setAttends(e.target.value)}
        >
          {bench.runs.map((run) => (
            <option key={run.id} value={run.id}>
              {run.words}
            </option>
          ))}
        </Choose>
        {field("host", "Address in the shop")}
        {field("port", "Port")}
        {onASource && (
          <Choose
            id="instrumentSource"
            label="Stands beside"
            value={sourceId}
            onChange={(e) => setSourceId(e.target.value)}
          >
            {sources.map((s) => (
              <option key={s.id} value={s.id}>
                {s.name}
              </option>
            ))}
          </Choose>
        )}
        <p className="col-span-2 text-quiet">
          What it measures, of what, and what to ask for it. FRAME and GLASS move the forecast of a soak.
        </p>
        <datalist id="places">
          {bench.places.map((place) => (
            <option key={place} value={place} />
          ))}
        </datalist>
        {channels.map((channel, i) => (
          <div
            key={i}
            className="col-span-2 grid grid-cols-[12rem_7rem_minmax(0,1fr)_6rem_auto] items-end gap-2"
          >
            <Choose
              id={`quantity-${i}`}
              label="Measures"
              value={channel.quantity}
              onChange={(e) => {
                const quantity = bench.quantities.find((q) => q.id === e.target.value);
                if (quantity) {
                  change(i, { quantity: quantity.id, query: quantity.questions[0] ?? "" });
                }
              }}
            >
              {bench.quantities.map((q) => (
                <option key={q.id} value={q.id}>
                  {q.id.toLowerCase()}, {q.unit}
                </option>
              ))}
            </Choose>
            <Field
              id={`place-${i}`}
              label="of"
              list="places"
              value={channel.place}
              onChange={(e) => change(i, { place: e.target.value })}
            />
            <Choose
              id={`query-${i}`}
              label="asked with"
              value={parts(channel.query).question}
              onChange={(e) => change(i, { query: asked(e.target.value, parts(channel.query).channel) })}
            >
              {[
                ...new Set([
                  ...(bench.quantities.find((q) => q.id === channel.quantity)?.questions ?? []),
                  parts(channel.query).question,
                ]),
              ].map((question) => (
                <option key={question}>{question}</option>
              ))}
            </Choose>
            <Field
              id={`channel-${i}`}
              label="its channel"
              inputMode="numeric"
              value={parts(channel.query).channel}
              onChange={(e) =>
                change(i, { query: asked(parts(channel.query).question, e.target.value.trim()) })
              }
            />
            <Button
              look="quiet"
              aria-label={`Leave out ${channel.place}`}
              disabled={channels.length === 1}
              onClick={() => setChannels(channels.filter((_, at) => at !== i))}
            >
              ✕
            </Button>
          </div>
        ))}
        <div className="col-span-2 flex flex-wrap gap-3">
          <Button type="submit" look="lamp" disabled={put.busy}>
            Keep
          </Button>
          <Button onClick={() => setChannels([...channels, { ...FIRST, place: "" }])}>
            One more question
          </Button>
          {instrument && <Button onClick={() => void remove.submit(undefined)}>Take it off the list</Button>}
        </div>
      </form>
      {problem && <ProblemNote problem={problem} />}
    </Modal>
  );
}
