import { useQuery, useQueryClient } from "@tanstack/react-query";
import { useState } from "react";
import { api, type Schemas, unwrap } from "@/api/client";
import { keys } from "@/api/keys";
import { useSubmit } from "@/api/useSubmit";
import { useMay } from "@/session/useMay";
import { Button } from "@/ui/Button";
import { Choose, Field } from "@/ui/Field";
import { ProblemNote } from "@/ui/ProblemNote";
import { ScrollRegion } from "@/ui/ScrollRegion";

type Settings = Schemas["Settings"];

/** Rates and retention: what quotes are reckoned with and how long owners are remembered. */
export function ShopPage() {
  const settings = useQuery({
    queryKey: keys.shop,
    queryFn: async () => unwrap(await api.GET("/api/shop")),
  });
  return (
    <main className="flex min-h-0 flex-1 flex-col">
      <ScrollRegion label="How the shop reckons" className="px-6 py-5">
        <h1 className="mb-4 text-3xl font-bold">How the shop reckons</h1>
        {settings.data && <Reckoning settings={settings.data} />}
      </ScrollRegion>
    </main>
  );
}

const FIELDS: [keyof Settings, string][] = [
  ["currency", "Currency, three letters"],
  ["ratePerHour", "An hour of hands"],
  ["consumables", "Consumables of a job"],
  ["callback", "A comeback, beside part and hands"],
  ["retentionDays", "Days that owners and photos are kept after hand-over"],
];

const PRIMER: [Settings["primer"], string][] = [
  ["WHERE_NEEDED", "on narrow, plastic and painted ledges"],
  ["ALWAYS", "always"],
  ["NEVER", "never"],
];

const LANGUAGES = [
  "en-GB",
  "en-US",
  "cs-CZ",
  "da-DK",
  "de-DE",
  "es-ES",
  "fi-FI",
  "fr-FR",
  "it-IT",
  "nl-NL",
  "pl-PL",
  "pt-PT",
  "sv-SE",
];

/** A day and a number as they are written there: a name alone shows nobody what is printed. */
function written(language: string): string {
  const day = new Intl.DateTimeFormat(language, { dateStyle: "long" }).format(new Date(2026, 1, 3));
  return `${day}, ${new Intl.NumberFormat(language).format(1234.5)}`;
}

/** Of quotes and records; a screen follows whoever reads it. */
const ON_PAPER: [keyof Settings, string, (now: string) => [string, string][]][] = [
  [
    "language",
    "Days and numbers are written as",
    () => LANGUAGES.map((tag) => [tag, `${written(tag)} (${tag})`]),
  ],
  [
    "timeZone",
    "By the clock of",
    (now) => [...new Set([now, "UTC", ...Intl.supportedValuesOf("timeZone")])].map((zone) => [zone, zone]),
  ],
  [
    "temperature",
    "Temperatures in",
    () => [
      ["C", "°C"],
      ["F", "°F"],
    ],
  ],
  [
    "length",
    "Lengths in",
    () => [
      ["mm", "mm"],
      ["in", "in"],
    ],
  ],
];

function Reckoning({ settings }: { settings: Settings }) {
  const client = useQueryClient();
  const mayChange = useMay("CHANGE_THE_SHOP");
  const [given, setGiven] = useState(
    Object.fromEntries(Object.entries(settings).map(([field, value]) => [field, String(value)])) as Record<
      keyof Settings,
      string
    >,
  );
  const [perOne, setPerOne] = useState("");
  const { problem, busy, submit } = useSubmit(async () => {
    const number = (text: string) => (text.trim() === "" || Number.isNaN(Number(text)) ? text : Number(text));
    unwrap(
      await api.PUT("/api/shop", {
        params: {
          query:
            given.currency !== settings.currency && perOne.trim() !== ""
              ? { perOne: number(perOne) as number }
              : {},
        },
        body: {
          currency: given.currency,
          ratePerHour: number(given.ratePerHour) as number,
          consumables: number(given.consumables) as number,
          callback: number(given.callback) as number,
          retentionDays: number(given.retentionDays) as number,
          primer: given.primer as Settings["primer"],
          language: given.language,
          timeZone: given.timeZone,
          temperature: given.temperature,
          length: given.length,
        },
      }),
    );
    await client.invalidateQueries({ queryKey: keys.shop });
  });
  // What becomes of prices, as long as the currency is another.
  const asked = problem?.field === "perOne" && given.currency !== settings.currency;
  return (
    <form
      className="max-w-5xl space-y-5"
      noValidate
      onSubmit={(event) => {
        event.preventDefault();
        void submit(undefined);
      }}
    >
      {problem && asked && (
        <div className="space-y-4">
          <ProblemNote problem={problem} />
          <Field
            id="perOne"
            label={`One ${settings.currency} becomes so many ${given.currency}; 1 keeps the numbers`}
            inputMode="decimal"
            value={perOne}
            onChange={(e) => setPerOne(e.target.value)}
          />
        </div>
      )}
      <div className="grid items-start gap-x-10 gap-y-4 md:grid-cols-2">
        <div className="space-y-4">
          {FIELDS.map(([field, label]) => (
            <Field
              key={field}
              id={field}
              label={label}
              inputMode={field === "currency" ? "text" : "decimal"}
              disabled={!mayChange}
              value={given[field]}
              onChange={(e) => setGiven({ ...given, [field]: e.target.value })}
            />
          ))}
          <Choose
            id="primer"
            label="Primer on the ledge"
            disabled={!mayChange}
            value={given.primer}
            onChange={(e) => setGiven({ ...given, primer: e.target.value })}
          >
            {PRIMER.map(([id, words]) => (
              <option key={id} value={id}>
                {words}
              </option>
            ))}
          </Choose>
        </div>
        <div className="space-y-4">
          <h2 className="text-xl font-semibold">On paper</h2>
          {ON_PAPER.map(([field, label, options]) => (
            <Choose
              key={field}
              id={field}
              label={label}
              disabled={!mayChange}
              value={given[field]}
              onChange={(e) => setGiven({ ...given, [field]: e.target.value })}
            >
              {options(given[field]).map(([id, words]) => (
                <option key={id} value={id}>
                  {words}
                </option>
              ))}
            </Choose>
          ))}
        </div>
      </div>
      {problem && !asked && <ProblemNote problem={problem} />}
      {mayChange ? (
        <Button type="submit" look="lamp" className="px-6" disabled={busy}>
          Keep it
        </Button>
      ) : (
        <p className="text-quiet">A lead changes these.</p>
      )}
    </form>
  );
}
