import type { Schemas } from "@/api/client";

/** An exact amount as its currency is written here; the digits come from the app and are only set. */
export function money(amount: Schemas["AmountView"]): string {
  return new Intl.NumberFormat(undefined, { style: "currency", currency: amount.currency }).format(
    amount.amount,
  );
}

export function percent(share: number): string {
  return new Intl.NumberFormat(undefined, { style: "percent", maximumFractionDigits: 0 }).format(share);
}
