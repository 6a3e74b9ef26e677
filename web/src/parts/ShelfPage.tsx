import { keepPreviousData, useQuery, useQueryClient } from "@tanstack/react-query";
import { useState } from "react";
import { Link } from "react-router";
import { api, type Schemas, unwrap } from "@/api/client";
import { asText } from "@/api/files";
import { keys } from "@/api/keys";
import { useSubmit } from "@/api/useSubmit";
import { useMay } from "@/session/useMay";
import { money } from "@/units/money";
import { Button } from "@/ui/Button";
import { Field } from "@/ui/Field";
import { FilePick } from "@/ui/FilePick";
import { Modal } from "@/ui/Modal";
import { ProblemNote } from "@/ui/ProblemNote";
import { bringsWords } from "./brings";

type Changes = Schemas["Changes"];

/** All parts of the shop, and price lists that bring new ones. */
export function ShelfPage() {
  const client = useQueryClient();
  const mayChange = useMay("CHANGE_THE_SHELF");
  const [query, setQuery] = useState("");
  const [list, setList] = useState<{ csv: string; changes: Changes } | null>(null);
  const rows = useQuery({
    queryKey: ["stock", query],
    queryFn: async () => unwrap(await api.GET("/api/stock", { params: { query: { query } } })),
    placeholderData: keepPreviousData,
  });
  const look = useSubmit(async (file: File) => {
    const csv = await file.text();
    setList({ csv, changes: unwrap(await api.POST("/api/stock/preview", { body: csv, ...asText })) });
  });
  const take = useSubmit(async (csv: string) => {
    unwrap(await api.POST("/api/stock/import", { body: csv, ...asText }));
    setList(null);
    await client.invalidateQueries({ queryKey: ["stock"] });
  });
  const tested = async (row: Schemas["Row"]) => {
    unwrap(
      await api.PUT("/api/stock/{stockId}/tested", {
        params: { path: { stockId: row.id } },
        body: { tested: !row.tested },
      }),
    );
    await client.invalidateQueries({ queryKey: ["stock"] });
  };
  return (
    <main className="min-h-0 flex-1 overflow-auto px-6 py-5">
      <div className="mb-4 flex items-end gap-4">
        <h1 className="text-3xl font-bold">The shelf</h1>
        <div className="flex-1">
          <Field
            id="stock-search"
            label="Find by number, supplier, device or kind"
            autoComplete="off"
            value={query}
            onChange={(e) => setQuery(e.target.value)}
          />
        </div>
        {mayChange && (
          <FilePick id="price-list" accept=".csv,text/csv" onFile={(file) => void look.submit(file)}>
            Price list as CSV
          </FilePick>
        )}
      </div>
      {look.problem && <ProblemNote problem={look.problem} />}
      <table className="mt-2 w-full">
        <caption className="sr-only">Parts</caption>
        <thead>
          <tr className="text-left text-quiet">
            <th className="py-1 font-normal">number, supplier</th>
            <th className="font-normal">fits</th>
            <th className="font-normal">what it is</th>
            <th className="text-right font-normal">price</th>
            <th className="text-right font-normal">free</th>
            <th className="pl-4 font-normal">on arrival</th>
          </tr>
        </thead>
        <tbody>
          {rows.data?.map((row) => (
            <tr key={row.id} className="border-t border-line align-top">
              <th scope="row" className="py-2 pr-3 text-left leading-snug font-semibold">
                {row.partNumber}
                <span className="block font-normal text-quiet">
                  {row.supplier}
                  {row.lot && `, lot ${row.lot}`}
                </span>
              </th>
              <td className="py-2 pr-3">
                {row.device}
                {row.variantId && `, ${row.variantId}`}
              </td>
              <td className="py-2 pr-3 leading-snug">
                {row.kind.toLowerCase().replaceAll("_", " ")}, {row.grade.toLowerCase().replaceAll("_", " ")}
                {row.brings.length > 0 && (
                  <span className="block text-quiet">brings {bringsWords(row.brings)}</span>
                )}
              </td>
              <td className="digits py-2 text-right">
                {money({ amount: row.price, currency: row.currency })}
              </td>
              <td className="digits py-2 text-right whitespace-nowrap">
                {row.free} / {row.pieces}
              </td>
              <td className="py-1 pl-4">
                <Button disabled={!mayChange} aria-pressed={row.tested} onClick={() => void tested(row)}>
                  {row.tested ? "✓ tested" : "not tested"}
                </Button>
              </td>
            </tr>
          ))}
        </tbody>
      </table>
      {rows.data?.length === 0 && (
        <p className="mt-4 text-xl">Nothing like that lies here or on a price list.</p>
      )}
      <Modal title="What this price list changes" open={list !== null} onClose={() => setList(null)}>
        {list && (
          <div className="space-y-4">
            <p className="text-lg">
              {list.changes.added} new, {list.changes.changed} changed, {list.changes.same} as before
              {list.changes.mistakes.length > 0 && `, ${list.changes.mistakes.length} wrong`}.
            </p>
            {list.changes.mistakes.length > 0 && (
              <ProblemNote
                problem={{
                  status: 400,
                  title: "Nothing is taken until these are right",
                  detail: "",
                  mistakes: list.changes.mistakes,
                }}
              />
            )}
            <ul className="max-h-72 divide-y divide-line overflow-auto">
              {list.changes.lines.map((line) => (
                <li key={line.line} className="py-1 leading-snug">
                  <b>{line.partNumber}</b> of {line.supplier}: {line.words}
                  <span className="block text-quiet">{line.before ? `now ${line.before}` : "new"}</span>
                </li>
              ))}
            </ul>
            {take.problem && <ProblemNote problem={take.problem} />}
            <div className="flex justify-end gap-3">
              <Button look="quiet" onClick={() => setList(null)}>
                Not now
              </Button>
              <Button
                look="lamp"
                className="px-6"
                disabled={take.busy || list.changes.mistakes.length > 0}
                onClick={() => void take.submit(list.csv)}
              >
                Take it
              </Button>
            </div>
          </div>
        )}
      </Modal>
      <Returns />
    </main>
  );
}

const moment = new Intl.DateTimeFormat(undefined, { dateStyle: "medium" });

/** Parts that were no good: what the supplier is told, and by which job it was found. */
function Returns() {
  const { data } = useQuery({
    queryKey: keys.returns,
    queryFn: async () => unwrap(await api.GET("/api/returns")),
  });
  if (!data || data.length === 0) {
    return null;
  }
  return (
    <section className="mt-8" aria-label="Returns">
      <h2 className="mb-2 text-lg font-semibold text-quiet">To go back to the supplier</h2>
      <ul className="divide-y-2 divide-line border-y-2 border-line">
        {data.map((one) => (
          <li key={`${one.jobId}/${one.at}`} className="flex gap-4 px-2 py-2">
            <b className="min-w-0 flex-1">{one.part}</b>
            <span className="min-w-0 flex-1 text-alarm">
              {one.why}
              {one.words && <span className="text-quiet"> ({one.words})</span>}
            </span>
            <Link to={`/jobs/${one.jobId}`} className="underline">
              job {one.number}, {one.device}
            </Link>
            <span className="text-quiet">
              {moment.format(new Date(one.at))}, {one.who}
            </span>
          </li>
        ))}
      </ul>
    </section>
  );
}
