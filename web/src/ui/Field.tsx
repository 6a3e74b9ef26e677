import type { InputHTMLAttributes, SelectHTMLAttributes } from "react";

const BOX = "min-h-12 w-full rounded-md border-2 border-line bg-sheet px-3 text-lg text-ink focus:border-ink";

export function Field({
  label,
  id,
  suffix,
  ...rest
}: InputHTMLAttributes<HTMLInputElement> & { label: string; id: string; suffix?: string | undefined }) {
  return (
    <label htmlFor={id} className="block">
      <span className="mb-1 block text-quiet">{label}</span>
      <span className="flex items-center gap-2">
        <input id={id} className={BOX} {...rest} />
        {suffix && <span className="text-lg whitespace-nowrap">{suffix}</span>}
      </span>
    </label>
  );
}

/** One of a few; the platform's own list, which a gloved finger and a keyboard both know. */
export function Choose({
  label,
  id,
  ...rest
}: SelectHTMLAttributes<HTMLSelectElement> & { label: string; id: string }) {
  return (
    <label htmlFor={id} className="block">
      <span className="mb-1 block text-quiet">{label}</span>
      <select id={id} className={BOX} {...rest} />
    </label>
  );
}
