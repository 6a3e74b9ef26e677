import { Field } from "@/ui/Field";
import type { Document } from "./document";
import { Millimetres } from "./fields";
import { ListEditor } from "./ListEditor";
import { EXCEPTIONS, FATES, JOINTS, LISTS, VARIANT_FEATURES } from "./lists";
import { Adhesives, SeatSection } from "./SeatSection";

type Entries = Record<string, unknown>[];

interface Props {
  document: Document;
  change: (next: (now: Document) => Document) => void;
}

/** Where border and ledge are not as wide as elsewhere. */
export function WidthLists({ document, change }: Props) {
  return (["border", "ledge"] as const).map((width) => (
    <WidthList
      key={width}
      title={`The ${width} elsewhere`}
      along={document[width]}
      onAlong={(along) => change((now) => ({ ...now, [width]: along }))}
    />
  ));
}

type Along = Document["border"];

function WidthList({
  title,
  along,
  onAlong,
}: {
  title: string;
  along: Along;
  onAlong: (along: Along) => void;
}) {
  return (
    <ListEditor
      title={title}
      entries={along.except}
      {...EXCEPTIONS}
      onChange={(except) => onAlong({ ...along, except: except as unknown as Along["except"] })}
    />
  );
}

/** The joints of each board that moves. */
export function JointLists({ document, change }: Props) {
  return document.pairedParts.map((part, index) => (
    <ListEditor
      key={part.id}
      title={`Joints of: ${part.words}`}
      entries={part.joints as unknown as Entries}
      {...JOINTS}
      onChange={(joints) =>
        change(
          (now) =>
            ({
              ...now,
              pairedParts: now.pairedParts.map((p, i) => (i === index ? { ...p, joints } : p)),
            }) as unknown as Document,
        )
      }
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
      document={document}
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

const INHERITED = [
  "functions",
  "connectors",
  "screws",
  "inside",
  "carryOvers",
  "pairedParts",
  "covers",
  "repairs",
] as const;
const WHOLE = ["border", "ledge", "seat", "seals", "opticalBonds"] as const;
const WHOLE_WORDS = {
  border: "border",
  ledge: "ledge",
  seat: "seat",
  seals: "ways to hold the front",
  opticalBonds: "ways to join glass and panel",
};

/** What each variant adds or replaces; the same id takes the place of the device's own. */
export function VariantLists({ document, change }: Props) {
  return document.variants.map((variant, index) => {
    const set = (values: Record<string, unknown>) =>
      change((now) => ({
        ...now,
        variants: now.variants.map((v, i) => (i === index ? { ...v, ...values } : v)),
      }));
    // What its entries can name: all that the device has, and what is its own.
    const both = {
      ...document,
      functions: [...document.functions, ...variant.functions],
      inside: [...document.inside, ...variant.inside],
      carryOvers: [...document.carryOvers, ...variant.carryOvers],
    };
    // The lists within its own entries, as if they were a device's.
    const own = { ...both, repairs: variant.repairs, pairedParts: variant.pairedParts };
    const changeOwn: Props["change"] = (next) => {
      const { repairs, pairedParts } = next(own);
      set({ repairs, pairedParts });
    };
    return (
      <section key={variant.id} className="space-y-4 border-l-4 border-line pl-4">
        <h3 className="text-xl font-semibold">{variant.words}: what differs</h3>
        <Field
          id={`without-${variant.id}`}
          label="Does without these ids"
          defaultValue={variant.without.join(" ")}
          onChange={(e) => set({ without: e.target.value.split(/[\s,]+/).filter((id) => id !== "") })}
        />
        <fieldset className="flex flex-wrap gap-x-4 gap-y-1">
          <legend className="text-quiet">Has of its own</legend>
          {WHOLE.map((one) => (
            <label key={one} className="flex min-h-9 items-center gap-1.5">
              <input
                type="checkbox"
                className="size-5"
                checked={variant[one] !== null}
                onChange={(e) => set({ [one]: e.target.checked ? document[one] : null })}
              />
              {WHOLE_WORDS[one]}
            </label>
          ))}
        </fieldset>
        {(["border", "ledge"] as const).map((width) => {
          const along = variant[width];
          return (
            along && (
              <div key={width} className="space-y-2">
                <Millimetres
                  id={`${variant.id}-${width}`}
                  label={`The ${width} of ${variant.words}`}
                  value={along.everywhereMm}
                  onValue={(v) => set({ [width]: { ...along, everywhereMm: v ?? 0 } })}
                />
                <WidthList
                  title={`The ${width} of ${variant.words} elsewhere`}
                  along={along}
                  onAlong={(next) => set({ [width]: next })}
                />
              </div>
            )
          );
        })}
        {variant.seat && (
          <div className="grid grid-cols-4 gap-4 max-lg:grid-cols-2">
            <SeatSection
              id={variant.id}
              seat={variant.seat}
              document={both}
              onSeat={(seat) => set({ seat })}
            />
          </div>
        )}
        {(variant.seals !== null || variant.opticalBonds !== null) && (
          <Adhesives
            value={{
              seals: variant.seals ?? document.seals,
              opticalBonds: variant.opticalBonds ?? document.opticalBonds,
            }}
            onValue={set}
          />
        )}
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
            document={both}
            onChange={(entries) => set({ [list]: entries })}
          />
        ))}
        <JointLists document={own} change={changeOwn} />
        <FateLists document={own} change={changeOwn} />
      </section>
    );
  });
}
