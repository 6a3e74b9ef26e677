import { Field } from "@/ui/Field";
import type { Document } from "./document";
import { ListEditor } from "./ListEditor";
import { EXCEPTIONS, FATES, LISTS, VARIANT_FEATURES } from "./lists";

type Entries = Record<string, unknown>[];

interface Props {
  document: Document;
  change: (next: (now: Document) => Document) => void;
}

/** Where border and ledge are not as wide as elsewhere. */
export function WidthLists({ document, change }: Props) {
  return (["border", "ledge"] as const).map((width) => (
    <ListEditor
      key={width}
      title={`The ${width} elsewhere`}
      entries={document[width].except as unknown as Entries}
      {...EXCEPTIONS}
      onChange={(except) => change((now) => ({ ...now, [width]: { ...now[width], except } }))}
    />
  ));
}

/** What becomes of the functions with each repair. */
export function FateLists({ document, change }: Props) {
  return document.repairs.map((repair, index) => (
    <ListEditor
      key={repair.id}
      title={`Functions after: ${repair.words}`}
      entries={repair.fates as unknown as Entries}
      {...FATES}
      onChange={(fates) =>
        change(
          (now) =>
            ({
              ...now,
              repairs: now.repairs.map((r, i) => (i === index ? { ...r, fates } : r)),
            }) as unknown as Document,
        )
      }
    />
  ));
}

const INHERITED = ["functions", "connectors", "carryOvers", "pairedParts"] as const;

/** What each variant adds or replaces; the same id takes the place of the device's own. */
export function VariantLists({ document, change }: Props) {
  return document.variants.map((variant, index) => {
    const set = (values: Record<string, unknown>) =>
      change((now) => ({
        ...now,
        variants: now.variants.map((v, i) => (i === index ? { ...v, ...values } : v)),
      }));
    return (
      <section key={variant.id} className="space-y-4 border-l-4 border-line pl-4">
        <h3 className="text-xl font-semibold">{variant.words}: what differs</h3>
        <Field
          id={`without-${variant.id}`}
          label="Does without these ids"
          defaultValue={variant.without.join(" ")}
          onChange={(e) => set({ without: e.target.value.split(/[\s,]+/).filter((id) => id !== "") })}
        />
        <ListEditor
          {...VARIANT_FEATURES}
          title={`On the edge of ${variant.words}`}
          entries={variant.features}
          onChange={(features) => set({ features })}
        />
        {INHERITED.map((list) => (
          <ListEditor
            key={list}
            title={`${LISTS[list].title} of ${variant.words}`}
            entries={variant[list] as unknown as Entries}
            columns={LISTS[list].columns}
            fresh={LISTS[list].fresh}
            onChange={(entries) => set({ [list]: entries })}
          />
        ))}
      </section>
    );
  });
}
