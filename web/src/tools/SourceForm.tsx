import { useQueryClient } from "@tanstack/react-query";
import { useState } from "react";
import { api, type Schemas, unwrap } from "@/api/client";
import { keys } from "@/api/keys";
import { useSubmit } from "@/api/useSubmit";
import { typed, type Units, unitLabel } from "@/units/units";
import { Button } from "@/ui/Button";
import { Choose, Field } from "@/ui/Field";
import { Modal } from "@/ui/Modal";
import { ProblemNote } from "@/ui/ProblemNote";
import type { Source } from "./useTools";

type Kind = Schemas["KindView"];

/** An id that says what it is, told apart by when it came. */
const newId = (name: string) =>
  `${
    name
      .toLowerCase()
      .replace(/[^a-z0-9]+/g, "-")
      .slice(0, 24) || "source"
  }-${Date.now().toString(36)}`;

export function SourceForm({
  source,
  kinds,
  units,
  onClose,
}: {
  source: Source | null;
  kinds: Kind[];
  units: Units;
  onClose: () => void;
}) {
  const client = useQueryClient();
  const shown = (celsius: number) =>
    String(units.temperature === "F" ? Math.round((celsius * 9) / 5 + 32) : celsius);
  const [kind, setKind] = useState(source?.kind ?? "PLATE");
  const [given, setGiven] = useState({
    name: source?.name ?? "",
    minC: source ? shown(source.minC) : "",
    maxC: source ? shown(source.maxC) : "",
    settleS: String(source?.settleS ?? 0),
    outletMm: String(source?.air?.outletMm ?? ""),
    dialFrom: String(source?.air?.dialFrom ?? ""),
    dialTo: String(source?.air?.dialTo ?? ""),
    usualDistanceMm: String(source?.air?.usualDistanceMm ?? ""),
  });
  const [shielded, setShielded] = useState(source?.air?.shielded ?? false);
  const air = kinds.find((k) => k.kind === kind)?.air ?? false;
  const renew = () => client.invalidateQueries({ queryKey: keys.heatSources });
  const done = async () => {
    await renew();
    onClose();
  };
  const number = (text: string, unit: string | null = null) => typed(text, unit, units) as number;
  const whole = (text: string) => {
    const celsius = number(text, "C");
    return typeof celsius === "number" ? Math.round(celsius) : celsius;
  };
  const put = useSubmit(async () => {
    unwrap(
      await api.PUT("/api/heat-sources/{sourceId}", {
        params: { path: { sourceId: source?.id ?? newId(given.name) } },
        body: {
          name: given.name,
          kind,
          minC: whole(given.minC),
          maxC: whole(given.maxC),
          settleS: number(given.settleS),
          air: air
            ? {
                outletMm: number(given.outletMm),
                dialFrom: number(given.dialFrom),
                dialTo: number(given.dialTo),
                usualDistanceMm: number(given.usualDistanceMm),
                shielded,
              }
            : null,
        },
      }),
    );
    await done();
  });
  const away = useSubmit(async () => {
    unwrap(
      await api.DELETE("/api/heat-sources/{sourceId}", { params: { path: { sourceId: source?.id ?? "" } } }),
    );
    await done();
  });
  const forget = useSubmit(async () => {
    unwrap(
      await api.DELETE("/api/heat-sources/{sourceId}/calibration", {
        params: { path: { sourceId: source?.id ?? "" } },
      }),
    );
    await done();
  });
  const problem = put.problem ?? away.problem ?? forget.problem;
  const field = (id: keyof typeof given, label: string, text = false) => (
    <Field
      id={id}
      label={label}
      inputMode={text ? "text" : "decimal"}
      value={given[id]}
      onChange={(e) => setGiven({ ...given, [id]: e.target.value })}
    />
  );
  return (
    <Modal title={source ? source.name : "Another heat source"} open onClose={onClose}>
      <form
        className="grid grid-cols-2 gap-3"
        noValidate
        onSubmit={(event) => {
          event.preventDefault();
          void put.submit(undefined);
        }}
      >
        {field("name", "What it is called", true)}
        <Choose
          id="kind"
          label="What it is"
          value={kind}
          onChange={(e) => setKind(e.target.value as Kind["kind"])}
        >
          {kinds.map((k) => (
            <option key={k.kind} value={k.kind}>
              {k.words}
            </option>
          ))}
        </Choose>
        {field("minC", `Least setting, ${unitLabel("C", units)}`)}
        {field("maxC", `Greatest setting, ${unitLabel("C", units)}`)}
        {field(
          "settleS",
          kind === "REUSABLE_PAD" ? "Cools by two thirds in, s" : "Warms by two thirds in, s",
        )}
        {air && field("outletMm", "Outlet, mm across")}
        {air && field("dialFrom", "Airflow dial from")}
        {air && field("dialTo", "to")}
        {air && field("usualDistanceMm", "Usually held so far off, mm")}
        {air && (
          <label className="col-span-2 flex items-start gap-3 text-lg leading-snug">
            <input
              type="checkbox"
              className="mt-0.5 size-6 shrink-0 accent-ink"
              checked={shielded}
              onChange={(e) => setShielded(e.target.checked)}
            />
            <span>
              Used with a shield: foil-faced card on the glass from 8 mm in, air aimed at the frame&apos;s
              side
            </span>
          </label>
        )}
        <div className="col-span-2 flex flex-wrap gap-3">
          <Button type="submit" look="lamp" disabled={put.busy}>
            Keep
          </Button>
          {source && <Button onClick={() => void away.submit(undefined)}>Put away</Button>}
          {source?.measured && (
            <Button onClick={() => void forget.submit(undefined)}>Forget what was measured</Button>
          )}
        </div>
      </form>
      {problem && <ProblemNote problem={problem} />}
    </Modal>
  );
}
