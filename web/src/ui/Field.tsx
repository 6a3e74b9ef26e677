import type { InputHTMLAttributes } from "react";

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
        <input
          id={id}
          className="min-h-12 w-full rounded-md border-2 border-line bg-sheet px-3 text-lg text-ink focus:border-ink"
          {...rest}
        />
        {suffix && <span className="text-lg">{suffix}</span>}
      </span>
    </label>
  );
}
