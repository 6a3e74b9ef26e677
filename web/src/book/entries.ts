/** How fields of an entry are read, written and typed that are more than one word or number. */

type Entry = Record<string, unknown>;

/** What stands in a field, or in a part of one: {@code cable.from}. */
export function valueAt(entry: Entry, field: string): unknown {
  const [own = "", part] = field.split(".");
  return part === undefined ? entry[own] : (entry[own] as Entry | null)?.[part];
}

/** A part that nobody had looked at begins with what is usual; without what it belongs to there is none of it. */
export function withValueAt(entry: Entry, field: string, value: unknown): Entry {
  const [own = "", part] = field.split(".");
  if (part === undefined) {
    return { ...entry, [own]: value };
  }
  if (value === null) {
    return { ...entry, [own]: null };
  }
  const usual = { from: "front", tight: false, route: [] };
  return { ...entry, [own]: { ...(entry[own] ?? usual), [part]: value } };
}

/** Numbers as they are typed: with spaces between, many of them one after the other. */
export function told(value: unknown, names: readonly string[]): string {
  if (typeof value === "string" || typeof value === "number") {
    return String(value);
  }
  const all = Array.isArray(value) ? (value as Entry[]) : value ? [value as Entry] : [];
  return all.map((one) => names.map((name) => String(one[name])).join(" ")).join(", ");
}

/** The numbers of a typed row; a row that is not right stays text, for the check to name it. */
export function numbersOf(text: string, names: readonly string[], many: boolean): unknown {
  const numbers = text
    .split(/[\s;]+|,\s+/)
    .filter((word) => word !== "")
    .map((word) => Number(word.replace(/,$/, "").replace(",", ".")));
  const right = numbers.every(Number.isFinite) && numbers.length % names.length === 0;
  if (!right || (!many && numbers.length !== names.length)) {
    return text;
  }
  const all = Array.from({ length: numbers.length / names.length }, (_, i) =>
    Object.fromEntries(names.map((name, n) => [name, numbers[i * names.length + n]])),
  );
  return many ? all : all[0];
}
