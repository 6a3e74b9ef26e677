import { Plus, Trash2 } from "lucide-react";
import { Button } from "@/ui/Button";
import { type Document, freshId, words } from "./document";
import { numbersOf, told, valueAt, withValueAt } from "./entries";
import { Ticks } from "./Ticks";

/**
 * How one field of an entry is typed. {@code several} ticks many of some options, {@code numbers} is an object of numbers
 * (or many of them) typed in a row.
 */
export interface Column {
  /** The name, or of a part of an entry both names with a point between. */
  field: string;
  label: string;
  kind: "text" | "number" | "tick" | "choose" | "several" | "numbers";
  options?: readonly string[] | ((document: Document) => readonly string[]);
  /** What the numbers are called in the document, in the order they are typed. */
  names?: readonly string[];
  many?: boolean;
  /** An empty field means none. */
  mayBeNone?: boolean;
  wide?: boolean;
}

type Entry = Record<string, unknown>;

const BOX = "min-h-10 w-full rounded-md border-2 border-line bg-sheet px-2 text-ink focus:border-ink";

/** Entries of one list of the book, one row each. */
export function ListEditor({
  title,
  entries,
  columns,
  fresh,
  document,
  onChange,
}: {
  title: string;
  entries: readonly Entry[];
  columns: readonly Column[];
  /** A new entry, but for its id. */
  fresh: Entry;
  /** What the options of some columns are taken from. */
  document?: Document;
  onChange: (entries: Entry[]) => void;
}) {
  const set = (index: number, field: string, value: unknown) =>
    onChange(entries.map((entry, i) => (i === index ? withValueAt(entry, field, value) : entry)));
  return (
    <section>
      <div className="mb-1 flex items-center gap-3">
        <h3 className="text-lg font-semibold">{title}</h3>
        <span className="text-quiet">{entries.length}</span>
        <Button
          className="ml-auto flex items-center gap-1"
          aria-label={`Add to ${title}`}
          onClick={() =>
            onChange([
              ...entries,
              columns.some((column) => column.field === "id")
                ? {
                    ...fresh,
                    id: freshId(
                      title,
                      entries.map((entry) => String(entry["id"])),
                    ),
                  }
                : fresh,
            ])
          }
        >
          <Plus aria-hidden size={18} /> Add
        </Button>
      </div>
      <ul className="divide-y divide-line border-y border-line">
        {entries.map((entry, index) => (
          <li key={index} className="flex items-end gap-2 py-2">
            <div className="grid min-w-0 flex-1 grid-cols-[repeat(auto-fill,minmax(8.5rem,1fr))] gap-2">
              {columns.map((column) => (
                <Cell
                  key={column.field}
                  id={`${title}-${index}-${column.field}`}
                  column={column}
                  value={valueAt(entry, column.field)}
                  options={
                    typeof column.options === "function"
                      ? document
                        ? column.options(document).filter((id) => id !== entry["id"])
                        : []
                      : (column.options ?? [])
                  }
                  onValue={(value) => set(index, column.field, value)}
                />
              ))}
            </div>
            <Button
              look="quiet"
              aria-label={`Remove ${String(entry["words"] ?? entry["id"])}`}
              onClick={() => onChange(entries.filter((_, i) => i !== index))}
            >
              <Trash2 aria-hidden size={20} />
            </Button>
          </li>
        ))}
      </ul>
    </section>
  );
}

function Cell({
  id,
  column,
  value,
  options,
  onValue,
}: {
  id: string;
  column: Column;
  value: unknown;
  options: readonly string[];
  onValue: (value: unknown) => void;
}) {
  if (column.kind === "tick") {
    return (
      <label className="flex min-h-10 items-center gap-2 self-end">
        <input
          type="checkbox"
          className="size-5"
          checked={value === true}
          onChange={(e) => onValue(e.target.checked)}
        />
        {column.label}
      </label>
    );
  }
  if (column.kind === "several") {
    return <Ticks label={column.label} options={options} chosen={value as string[]} onChosen={onValue} />;
  }
  return (
    <label htmlFor={id} className={column.wide ? "col-span-2 block" : "block"}>
      <span className="block text-quiet">{column.label}</span>
      {column.kind === "choose" ? (
        <select
          id={id}
          className={BOX}
          value={typeof value === "string" ? value : ""}
          onChange={(e) => onValue(e.target.value === "" ? null : e.target.value)}
        >
          {column.mayBeNone && <option value="">none</option>}
          {options.map((option) => (
            <option key={option} value={option}>
              {words(option)}
            </option>
          ))}
        </select>
      ) : (
        <input
          id={id}
          className={BOX}
          inputMode={column.kind === "number" ? "decimal" : "text"}
          defaultValue={column.names ? told(value, column.names) : told(value, [])}
          onChange={(e) => onValue(read(e.target.value, column))}
        />
      )}
    </label>
  );
}

/** What is typed, in the field's own kind; a text where a number should be goes on, for the check to name it. */
function read(text: string, column: Column): unknown {
  if (text.trim() === "" && column.mayBeNone) {
    return null;
  }
  if (column.names) {
    return numbersOf(text, column.names, column.many ?? false);
  }
  const plain = text.trim().replace(",", ".");
  return column.kind === "number" && plain !== "" && Number.isFinite(Number(plain)) ? Number(plain) : text;
}
