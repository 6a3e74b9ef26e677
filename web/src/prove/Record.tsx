import { keepPreviousData, useQuery } from "@tanstack/react-query";
import { api, type Schemas, unwrap } from "@/api/client";
import { keys } from "@/api/keys";
import { say, type Units } from "@/units/units";

export type JobRecord = Schemas["RecordView"];
type Piece = Schemas["EvidenceView"];

const short = new Intl.DateTimeFormat(undefined, { dateStyle: "medium", timeStyle: "short" });
const day = new Intl.DateTimeFormat(undefined, { day: "numeric", month: "short" });

/** @param seq of the job's latest fact, where the screen follows it */
export function useRecord(jobId: string, seq?: number) {
  return useQuery({
    queryKey: keys.station(jobId, "record", seq),
    queryFn: async () => unwrap(await api.GET("/api/jobs/{jobId}/record", { params: { path: { jobId } } })),
    placeholderData: keepPreviousData,
  });
}

/** What works, before, with the front up and closed again, each with its day. */
export function Functions({ functions }: { functions: JobRecord["functions"] }) {
  const columns = [
    ["before", functions.map((f) => f.before)],
    ["front up", functions.map((f) => f.open)],
    ["closed", functions.map((f) => f.after)],
  ] as const;
  return (
    <table className="w-full">
      <thead>
        <tr className="text-left text-quiet">
          <th className="w-1/4 font-normal" />
          {columns.map(([title, tried]) => (
            <th key={title} className="w-1/4 font-normal">
              {title}
              {days(tried).length === 1 && `, ${days(tried)[0]}`}
            </th>
          ))}
        </tr>
      </thead>
      <tbody>
        {functions.map((f, i) => (
          <tr key={f.function} className="border-t border-line align-top">
            <th scope="row" className="py-1 pr-2 text-left font-semibold">
              {f.function}
            </th>
            {columns.map(([title, tried]) => (
              <td key={title} className="py-1 pr-2">
                {tried[i]?.words}
                {days(tried).length > 1 && tried[i]?.at && (
                  <span className="ml-2 text-sm text-quiet">{day.format(new Date(tried[i].at))}</span>
                )}
              </td>
            ))}
          </tr>
        ))}
      </tbody>
    </table>
  );
}

/** On which days they were tried: mostly on one, which is said once. */
function days(tried: readonly Schemas["TryView"][]): string[] {
  return [...new Set(tried.flatMap((one) => (one.at ? [day.format(new Date(one.at))] : [])))];
}

const PHASES = [
  ["BEFORE", "Before"],
  ["OPEN", "Front up"],
  ["AFTER", "Closed"],
] as const;

/** What can be looked at, in the three states of the device. */
export function Evidence({ pieces, units, shops }: { pieces: Piece[]; units: Units; shops: boolean }) {
  if (pieces.length === 0) {
    return null;
  }
  return (
    <section>
      <H>Evidence</H>
      <div className="grid grid-cols-3 gap-6">
        {PHASES.map(([phase, title]) => {
          const here = pieces.filter((piece) => piece.phase === phase);
          return (
            <div key={phase}>
              <h3 className="text-quiet">{title}</h3>
              <div className="flex flex-wrap gap-2">
                {here
                  .filter((piece) => piece.photo)
                  .map((piece) => (
                    <a key={piece.path} href={piece.path} target="_blank" rel="noreferrer" className="block">
                      <img
                        src={`${piece.path}?thumb=true`}
                        alt={piece.words}
                        title={`${piece.words}, ${short.format(new Date(piece.at))}`}
                        className="h-20 rounded border-2 border-line"
                      />
                    </a>
                  ))}
              </div>
              <ul>
                {here.map((piece) => (
                  <li key={piece.path} className="border-b border-line py-1 leading-snug">
                    <a href={piece.path} className="underline" target="_blank" rel="noreferrer">
                      {say(piece.words, units)}
                    </a>
                    <span className="block text-sm text-quiet">
                      {short.format(new Date(piece.at))}
                      {shops && `, ${piece.who}`}
                    </span>
                    {shops && piece.sha256 && (
                      <span className="block font-mono text-xs break-all text-quiet">{piece.sha256}</span>
                    )}
                  </li>
                ))}
                {here.length === 0 && <li className="text-quiet">–</li>}
              </ul>
            </div>
          );
        })}
      </div>
    </section>
  );
}

const SIGNERS = { OWNER: "for the owner", SHOP: "for the shop" } as const;

export function Signatures({ signatures }: { signatures: Schemas["SignatureView"][] }) {
  return (
    <section>
      <H>Signed</H>
      {signatures.length === 0 && <p className="hidden pt-14 print:block">Name, date</p>}
      {signatures.length === 0 && <p className="no-print">by nobody yet</p>}
      <ul className="grid grid-cols-2 gap-4">
        {signatures.map((signature) => (
          <li key={signature.signer}>
            {signature.path ? (
              <svg
                viewBox="0 0 900 300"
                className="h-16 w-full border-b border-ink"
                preserveAspectRatio="xMinYMid meet"
                role="img"
                aria-label={`Signature of ${signature.name}`}
              >
                <path
                  d={signature.path}
                  fill="none"
                  stroke="var(--ink)"
                  strokeWidth={7}
                  strokeLinecap="round"
                />
              </svg>
            ) : (
              <span className="flex h-16 items-end border-b border-ink text-xl italic">{signature.name}</span>
            )}
            {signature.name}, {SIGNERS[signature.signer]}
            <span className="block text-sm text-quiet">{short.format(new Date(signature.at))}</span>
          </li>
        ))}
      </ul>
    </section>
  );
}

export function H({ children }: { children: React.ReactNode }) {
  return <h2 className="mb-1 border-b-2 border-ink text-lg font-semibold">{children}</h2>;
}
