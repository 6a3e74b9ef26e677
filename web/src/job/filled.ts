import type { Schemas } from "@/api/client";

export type Fact = Schemas["Fact"];
type Choice = Schemas["ChoiceView"];

/**
 * The fact of a choice with the values it asks for: of the fields named in {@code asks} and of no others. What is left out
 * stays as the choice has it.
 */
export function filled(choice: Choice, values: { readonly [field: string]: unknown }): Fact {
  const asked = choice.asks.map((ask) => ask.field).filter((field) => values[field] !== undefined);
  // The core checks what was typed; here it is only put in its place.
  return { ...choice.fact, ...Object.fromEntries(asked.map((field) => [field, values[field]])) };
}

/** The same choice with some of what it asks for answered already. */
export function answered(choice: Choice, values: { readonly [field: string]: unknown }): Choice {
  return {
    ...choice,
    fact: filled(choice, values),
    asks: choice.asks.filter((ask) => values[ask.field] === undefined),
  };
}
