import { Choose, Field } from "@/ui/Field";
import type { Document } from "./document";
import { Millimetres } from "./fields";
import { things } from "./lists";
import type { Screw } from "./placing";

/** What some screws have in common: one that is not the same in all stands as it is in the last. */
export function ScrewForm({
  document,
  group,
  onSet,
}: {
  document: Document;
  group: readonly Screw[];
  onSet: (values: Partial<Screw>) => void;
}) {
  const last = group.at(-1) as Screw;
  const length = (id: "underHeadMm" | "threadMm", label: string) => (
    <Millimetres
      id={`screws-${id}`}
      label={label}
      value={last[id]}
      onValue={(value) => value !== null && onSet({ [id]: value })}
    />
  );
  return (
    <div className="grid grid-cols-2 gap-2">
      <p className="col-span-2 text-lg font-semibold">
        {group.length === 1 ? "One screw" : `${group.length} screws alike`}
      </p>
      {length("underHeadMm", "Under the head")}
      {length("threadMm", "Thread")}
      <Field
        id="screws-head"
        label="Head"
        value={last.head}
        onChange={(e) => onSet({ head: e.target.value })}
      />
      <Field
        id="screws-driver"
        label="Driver"
        value={last.driver}
        onChange={(e) => onSet({ driver: e.target.value })}
      />
      <Field
        id="screws-layer"
        label="Layer"
        inputMode="numeric"
        defaultValue={String(last.layer)}
        onChange={(e) => {
          const layer = Number(e.target.value);
          if (Number.isInteger(layer) && layer > 0) {
            onSet({ layer });
          }
        }}
      />
      <Choose
        id="screws-holds"
        label="Holds"
        value={last.holds ?? ""}
        onChange={(e) => onSet({ holds: e.target.value === "" ? null : e.target.value })}
      >
        <option value="">not known</option>
        {things(document).map((id) => (
          <option key={id} value={id}>
            {id}
          </option>
        ))}
      </Choose>
    </div>
  );
}
