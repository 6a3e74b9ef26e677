import { useQueryClient } from "@tanstack/react-query";
import { useState } from "react";
import { api, unwrap } from "@/api/client";
import { keys } from "@/api/keys";
import { useSubmit } from "@/api/useSubmit";
import { Button } from "@/ui/Button";
import { Choose, Field } from "@/ui/Field";
import { Modal } from "@/ui/Modal";
import { ProblemNote } from "@/ui/ProblemNote";
import type { Instrument, Source } from "./useTools";

/** A thermometer by address; what it is asked is its own language. */
export function InstrumentForm({
  instrument,
  sources,
  onClose,
}: {
  instrument: Instrument | null;
  sources: Source[];
  onClose: () => void;
}) {
  const client = useQueryClient();
  const [sourceId, setSourceId] = useState(instrument?.sourceId ?? sources[0]?.id ?? "");
  const [given, setGiven] = useState({
    name: instrument?.name ?? "",
    host: instrument?.host ?? "",
    port: String(instrument?.port ?? 5025),
    frameQuery: instrument ? (instrument.frameQuery ?? "") : "MEAS:TEMP?",
    glassQuery: instrument?.glassQuery ?? "",
    surfaceQuery: instrument?.surfaceQuery ?? "",
  });
  const done = async () => {
    await client.invalidateQueries({ queryKey: keys.instruments });
    onClose();
  };
  const question = (text: string) => (text.trim() === "" ? null : text.trim());
  const put = useSubmit(async () => {
    const port = Number(given.port);
    unwrap(
      await api.PUT("/api/instruments/{instrumentId}", {
        params: { path: { instrumentId: instrument?.id ?? `thermometer-${Date.now().toString(36)}` } },
        body: {
          name: given.name,
          host: given.host.trim(),
          port: Number.isNaN(port) ? (given.port as unknown as number) : port,
          sourceId,
          frameQuery: question(given.frameQuery),
          glassQuery: question(given.glassQuery),
          surfaceQuery: question(given.surfaceQuery),
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
  return (
    <Modal title={instrument ? instrument.name : "Another thermometer"} open onClose={onClose}>
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
        {field("host", "Address in the shop")}
        {field("port", "Port")}
        <p className="col-span-2 text-quiet">What to ask for each; empty where nothing measures it.</p>
        {field("frameQuery", "Frame of the device")}
        {field("glassQuery", "Glass of the device")}
        {field("surfaceQuery", "Face of the source")}
        <div className="col-span-2 flex flex-wrap gap-3">
          <Button type="submit" look="lamp" disabled={put.busy}>
            Keep
          </Button>
          {instrument && <Button onClick={() => void remove.submit(undefined)}>Take it off the list</Button>}
        </div>
      </form>
      {problem && <ProblemNote problem={problem} />}
    </Modal>
  );
}
