import { useState } from "react";
import { Choose, Field } from "@/ui/Field";
import { words } from "./document";

/** As a person would write it: a number that was computed has no end of digits. */
const plain = (value: number) => String(Number(value.toPrecision(6)));

/** A length that may be empty; what is no number yet stays typed and changes nothing. */
export function Millimetres({
  id,
  label,
  value,
  onValue,
}: {
  id: string;
  label: string;
  value: number | null;
  onValue: (value: number | null) => void;
}) {
  const [typed, setTyped] = useState<string | null>(null);
  return (
    <Field
      id={id}
      label={label}
      suffix="mm"
      inputMode="decimal"
      value={typed ?? (value === null ? "" : plain(value))}
      onBlur={() => setTyped(null)}
      onChange={(e) => {
        setTyped(e.target.value);
        const text = e.target.value.trim().replace(",", ".");
        if (text === "") {
          onValue(null);
        } else if (Number.isFinite(Number(text))) {
          onValue(Number(text));
        }
      }}
    />
  );
}

export function Pick<T extends string>({
  id,
  label,
  value,
  options,
  onValue,
}: {
  id: string;
  label: string;
  value: T;
  options: readonly T[];
  onValue: (value: T) => void;
}) {
  return (
    <Choose id={id} label={label} value={value} onChange={(e) => onValue(e.target.value as T)}>
      {options.map((option) => (
        <option key={option} value={option}>
          {words(option)}
        </option>
      ))}
    </Choose>
  );
}

export function Amount({
  id,
  label,
  suffix,
  value,
  onValue,
}: {
  id: string;
  label: string;
  suffix: string;
  value: number;
  onValue: (value: number) => void;
}) {
  return (
    <Field
      id={id}
      label={label}
      suffix={suffix}
      inputMode="decimal"
      defaultValue={plain(value)}
      onChange={(e) => {
        const typed = Number(e.target.value.trim().replace(",", "."));
        if (e.target.value.trim() !== "" && Number.isFinite(typed)) {
          onValue(typed);
        }
      }}
    />
  );
}
