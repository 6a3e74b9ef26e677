import { useQuery, useQueryClient } from "@tanstack/react-query";
import { useState } from "react";
import { api, type Schemas, unwrap } from "@/api/client";
import { keys } from "@/api/keys";
import { useSubmit } from "@/api/useSubmit";
import { Button } from "@/ui/Button";
import { Choose, Field } from "@/ui/Field";
import { Modal } from "@/ui/Modal";
import { ProblemNote } from "@/ui/ProblemNote";

export type Supply = Schemas["SupplyView"];
type Line = Supply["line"];
type Kind = Schemas["SupplyKindView"];

/** What the bench holds fronts with. */
export const useSupplies = () =>
  useQuery({
    queryKey: keys.supplies,
    queryFn: async () => unwrap(await api.GET("/api/supplies")),
  });

/** In a line: how much there is, and what of it matters at the bench. */
export function supplyWords({ line, past }: Pick<Supply, "line" | "past">, kinds: readonly Kind[]): string {
  const kind = kinds.find((one) => one.kind === line.kind);
  const unit = kind?.unit ?? "";
  const left = unit === "ml" ? line.left.toFixed(1) : Math.round(line.left).toLocaleString("en");
  return [
    `${left} ${unit === "pieces" && line.left === 1 ? "piece" : unit} left`,
    ...(kind?.measures ?? []).map(
      ({ field, words, unit }) => `${words.toLowerCase()} ${line.numbers[field] ?? "?"} ${unit}`,
    ),
    ...(line.expires === null ? [] : [`${past ? "past its day" : "use by"} ${line.expires}`]),
  ].join(", ");
}

/** One thing on the shelf, counted anew whenever it is kept. */
export function SupplyForm({
  supply,
  kinds,
  onClose,
}: {
  supply: Supply | null;
  kinds: readonly Kind[];
  onClose: () => void;
}) {
  const client = useQueryClient();
  const line = supply?.line;
  const [kind, setKind] = useState<Kind["kind"]>(line?.kind ?? "ROLL");
  const [given, setGiven] = useState<Record<string, string>>(
    line
      ? {
          name: line.name,
          left: String(line.left),
          profileId: line.profileId ?? "",
          expires: line.expires ?? "",
          ...Object.fromEntries(Object.entries(line.numbers).map(([field, value]) => [field, String(value)])),
        }
      : {},
  );
  const own = kinds.find((one) => one.kind === kind);
  const [fresh] = useState(() => `supply-${Date.now().toString(36)}`);
  const devices = useQuery({
    queryKey: keys.book(""),
    queryFn: async () => unwrap(await api.GET("/api/book", { params: { query: { query: "" } } })),
  });
  const path = { supplyId: supply?.id ?? fresh };
  const done = async () => {
    await client.invalidateQueries({ queryKey: keys.supplies });
    onClose();
  };
  const number = (field: string) => {
    const typed = (given[field] ?? "").trim();
    return typed === "" ? null : Number.isNaN(Number(typed)) ? (typed as unknown as number) : Number(typed);
  };
  const put = useSubmit(async () => {
    const body: Line = {
      kind,
      name: given["name"] ?? "",
      left: number("left") ?? ("" as unknown as number),
      numbers: Object.fromEntries(
        (own?.measures ?? []).flatMap(({ field }) => {
          const value = number(field);
          return value === null ? [] : [[field, value]];
        }),
      ),
      profileId: own?.cutForOne ? (given["profileId"] ?? "") : null,
      expires: own?.goesOff ? given["expires"] || null : null,
    };
    unwrap(await api.PUT("/api/supplies/{supplyId}", { params: { path }, body }));
    await done();
  });
  const remove = useSubmit(async () => {
    unwrap(await api.DELETE("/api/supplies/{supplyId}", { params: { path } }));
    await done();
  });
  const problem = put.problem ?? remove.problem;
  const field = (id: string, label: string, suffix?: string, type?: string) => (
    <Field
      key={id}
      id={`supply-${id}`}
      label={label}
      suffix={suffix}
      type={type}
      inputMode={type === undefined && suffix !== undefined ? "decimal" : undefined}
      value={given[id] ?? ""}
      onChange={(e) => setGiven({ ...given, [id]: e.target.value })}
    />
  );
  return (
    <Modal title={line?.name ?? "Something else that holds fronts"} open onClose={onClose}>
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
          id="supply-kind"
          label="What it is"
          value={kind}
          disabled={supply !== null}
          onChange={(e) => setKind(e.target.value as Kind["kind"])}
        >
          {kinds.map((one) => (
            <option key={one.kind} value={one.kind}>
              {one.words}
            </option>
          ))}
        </Choose>
        {field("left", "Left, counted now", own?.unit)}
        {own?.cutForOne && (
          <Choose
            id="supply-profileId"
            label="Cut for"
            value={given["profileId"] ?? ""}
            onChange={(e) => setGiven({ ...given, profileId: e.target.value })}
          >
            <option value="">which device?</option>
            {devices.data?.map((device) => (
              <option key={device.id} value={device.id}>
                {device.name}
              </option>
            ))}
          </Choose>
        )}
        {own?.measures.map(({ field: id, words, unit }) => field(id, words, unit))}
        {own?.goesOff && field("expires", "Use by", undefined, "date")}
        <div className="col-span-2 flex flex-wrap gap-3">
          <Button type="submit" look="lamp" disabled={put.busy}>
            Keep
          </Button>
          {supply && <Button onClick={() => void remove.submit(undefined)}>Take it off the list</Button>}
        </div>
      </form>
      {problem && <ProblemNote problem={problem} />}
    </Modal>
  );
}
