import { Plus, Trash2 } from "lucide-react";
import { Button } from "@/ui/Button";
import { freshId, words } from "./document";
import { Ticks } from "./Ticks";

/** How one field of an entry is typed; {@code options} are values and words, {@code several} ticks many of them. */
export interface Column {
  field: string;
  label: string;
  kind: "text" | "number" | "tick" | "choose" | "several";
  options?: readonly string[];
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
  onChange,
}: {
  title: string;
  entries: readonly Entry[];
  columns: readonly Column[];
  /** A new entry, but for its id. */
  fresh: Entry;
  onChange: (entries: Entry[]) => void;
}) {
  const set = (index: number, field: string, value: unknown) =>
    onChange(entries.map((entry, i) => (i === index ? { ...entry, [field]: value } : entry)));
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
                  value={entry[column.field]}
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
  onValue,
}: {
  id: string;
  column: Column;
  value: unknown;
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
    return (
      <Ticks
        label={column.label}
        options={column.options ?? []}
        chosen={value as string[]}
        onChosen={onValue}
      />
    );
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
          {column.options?.map((option) => (
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
          defaultValue={typeof value === "string" || typeof value === "number" ? value : ""}
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
  const plain = text.trim().replace(",", ".");
  return column.kind === "number" && plain !== "" && Number.isFinite(Number(plain)) ? Number(plain) : text;
}
