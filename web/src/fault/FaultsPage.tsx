import { useQuery, useQueryClient } from "@tanstack/react-query";
import { useState } from "react";
import { api, type Schemas, unwrap } from "@/api/client";
import { keys } from "@/api/keys";
import { useSubmit } from "@/api/useSubmit";
import { useMay } from "@/session/useMay";
import { Button } from "@/ui/Button";
import { Choose } from "@/ui/Field";
import { ScrollRegion } from "@/ui/ScrollRegion";
import { ProblemNote } from "@/ui/ProblemNote";

type View = Schemas["FaultTableView"];
type Complaint = View["table"]["complaints"][number];

/** What a shop goes by where something fails: how likely which cause is, and what each check says of it. */
export function FaultsPage() {
  const faults = useQuery({
    queryKey: keys.faults,
    queryFn: async () => unwrap(await api.GET("/api/faults")),
  });
  return (
    <main className="min-h-0 flex-1 overflow-auto px-6 py-5">
      <h1 className="mb-4 text-3xl font-bold">What fails, and why</h1>
      {faults.data && <Table key={JSON.stringify(faults.data.table)} view={faults.data} />}
    </main>
  );
}

/** A number as typed until it is kept: what is no number goes to the server as it is, and is refused by name. */
const numbered = (text: string): number =>
  text.trim() === "" || Number.isNaN(Number(text)) ? (text as unknown as number) : Number(text);

function Table({ view }: { view: View }) {
  const client = useQueryClient();
  const mayChange = useMay("CHANGE_THE_SHOP");
  const [table, setTable] = useState(view.table);
  const [shown, setShown] = useState(table.complaints[0]?.id ?? "");
  const again = () => client.invalidateQueries({ queryKey: keys.faults });
  const keep = useSubmit(async () => {
    unwrap(await api.PUT("/api/faults", { body: table }));
    await again();
  });
  const forget = useSubmit(async () => {
    unwrap(await api.DELETE("/api/faults"));
    await again();
  });
  const complaint = table.complaints.find((one) => one.id === shown);
  const change = (how: (before: Complaint) => Complaint) =>
    setTable({
      ...table,
      complaints: table.complaints.map((one) => (one.id === shown ? how(one) : one)),
    });
  const problem = keep.problem ?? forget.problem;
  return (
    <form
      className="space-y-4"
      noValidate
      onSubmit={(event) => {
        event.preventDefault();
        void keep.submit(undefined);
      }}
    >
      <div className="flex max-w-xl items-end gap-4">
        <Choose
          id="complaint"
          label="What fails"
          value={shown}
          onChange={(event) => setShown(event.target.value)}
        >
          {table.complaints.map((one) => (
            <option key={one.id} value={one.id}>
              {one.words}
            </option>
          ))}
        </Choose>
      </div>
      {complaint && (
        <Grid
          complaint={complaint}
          cases={view.cases[complaint.id] ?? {}}
          readOnly={!mayChange}
          onChange={change}
        />
      )}
      <p className="max-w-3xl leading-snug text-quiet">
        A weight counts beside the others of its complaint. A chance, 0.01 to 0.99, is that of a bad outcome
        if that is the cause: it still fails after something that mends, or the bad sign is there.{" "}
        {view.changedBy ? `Changed by ${view.changedBy}.` : "As shipped: common practice, not measured."}
      </p>
      {problem && <ProblemNote problem={problem} />}
      {mayChange && (
        <div className="flex gap-3">
          <Button look="lamp" type="submit" disabled={keep.busy}>
            Keep
          </Button>
          {view.changedBy && (
            <Button disabled={forget.busy} onClick={() => void forget.submit(undefined)}>
              As shipped again
            </Button>
          )}
        </div>
      )}
    </form>
  );
}

const CELL =
  "digits w-16 rounded border-2 border-line bg-sheet px-1.5 py-1 text-right read-only:border-transparent";

function Grid({
  complaint,
  cases,
  readOnly,
  onChange,
}: {
  complaint: Complaint;
  cases: Record<string, number>;
  readOnly: boolean;
  onChange: (how: (before: Complaint) => Complaint) => void;
}) {
  return (
    <ScrollRegion label="Causes and checks" className="overflow-x-auto">
      <table className="border-collapse text-left">
        <thead>
          <tr className="align-bottom">
            <th className="pr-4 pb-2 font-semibold">Cause</th>
            <th className="px-2 pb-2 text-right font-semibold">Weight</th>
            <th className="px-2 pb-2 text-right font-semibold">Closed here</th>
            {complaint.checks.map((check) => (
              <th key={check.id} className="w-28 px-2 pb-2 text-sm leading-tight font-semibold">
                {check.words}
                {check.closed && <span className="block font-normal text-quiet">closed, too</span>}
              </th>
            ))}
          </tr>
          <tr className="border-b-2 border-line">
            <th className="pr-4 pb-2 font-normal text-quiet">minutes</th>
            <td />
            <td />
            {complaint.checks.map((check) => (
              <td key={check.id} className="px-2 pb-2">
                <input
                  className={CELL}
                  aria-label={`Minutes: ${check.words}`}
                  inputMode="decimal"
                  readOnly={readOnly}
                  defaultValue={check.minutes}
                  onChange={(event) =>
                    onChange((before) => ({
                      ...before,
                      checks: before.checks.map((one) =>
                        one.id === check.id ? { ...one, minutes: numbered(event.target.value) } : one,
                      ),
                    }))
                  }
                />
              </td>
            ))}
          </tr>
        </thead>
        <tbody>
          {complaint.causes.map((cause) => (
            <tr key={cause.id} className="border-b border-line">
              <th className="py-1.5 pr-4 font-normal first-letter:uppercase">{cause.words}</th>
              <td className="px-2">
                <input
                  className={CELL}
                  aria-label={`Weight: ${cause.words}`}
                  inputMode="decimal"
                  readOnly={readOnly}
                  defaultValue={cause.weight}
                  onChange={(event) =>
                    onChange((before) => ({
                      ...before,
                      causes: before.causes.map((one) =>
                        one.id === cause.id ? { ...one, weight: numbered(event.target.value) } : one,
                      ),
                    }))
                  }
                />
              </td>
              <td className="digits px-2 text-right">{(cases[cause.id] ?? 0).toFixed(1)}</td>
              {complaint.checks.map((check) => (
                <td key={check.id} className="px-2">
                  <input
                    className={CELL}
                    aria-label={`${check.words} if ${cause.words}`}
                    inputMode="decimal"
                    readOnly={readOnly}
                    defaultValue={check.badIf[cause.id]}
                    onChange={(event) =>
                      onChange((before) => ({
                        ...before,
                        checks: before.checks.map((one) =>
                          one.id === check.id
                            ? { ...one, badIf: { ...one.badIf, [cause.id]: numbered(event.target.value) } }
                            : one,
                        ),
                      }))
                    }
                  />
                </td>
              ))}
            </tr>
          ))}
        </tbody>
      </table>
    </ScrollRegion>
  );
}
