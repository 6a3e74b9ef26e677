import { useState } from "react";
import { useMay } from "@/session/useMay";
import { useUnits } from "@/session/useSession";
import { say, temperature, type Units } from "@/units/units";
import { Button } from "@/ui/Button";
import { InstrumentForm } from "./InstrumentForm";
import { NetsForm } from "./NetsForm";
import { type Programmer, ProgrammerForm, useProgrammers } from "./Programmers";
import { SourceForm } from "./SourceForm";
import { type Supply, SupplyForm, supplyWords, useSupplies } from "./Supplies";
import { type Instrument, type Instruments, type Source, useInstruments, useSources } from "./useTools";

/** What this bench warms with, what holds fronts, and what measures. */
export function ToolsPage() {
  const units = useUnits();
  const mayChange = useMay("CHANGE_TOOLS");
  const mayNameNets = useMay("CHANGE_THE_SHOP");
  const sources = useSources().data;
  const bench = useInstruments().data;
  const instruments = bench?.instruments ?? [];
  const [source, setSource] = useState<Source | "new" | null>(null);
  const [instrument, setInstrument] = useState<Instrument | "new" | null>(null);
  const [naming, setNaming] = useState(false);
  const programmers = useProgrammers().data ?? [];
  const supplies = useSupplies().data;
  const [supply, setSupply] = useState<Supply | "new" | null>(null);
  const [programmer, setProgrammer] = useState<Programmer | "new" | null>(null);
  if (!sources) {
    return null;
  }
  return (
    <main className="min-h-0 flex-1 overflow-auto px-6 py-5">
      <div className="grid gap-8 lg:grid-cols-2 xl:grid-cols-3">
        <section aria-labelledby="sources">
          <Heading id="sources" words="Heat sources" add={mayChange ? () => setSource("new") : null} />
          <ul>
            {sources.sources.map((s) => (
              <Row key={s.id} name={s.name} onChange={mayChange ? () => setSource(s) : null}>
                <p>
                  {s.kindWords}, {temperature(s.minC, units)} to {temperature(s.maxC, units)}
                  {s.air?.shielded && ", with a shield"}
                </p>
                <Measured source={s} units={units} />
              </Row>
            ))}
          </ul>
        </section>
        <section aria-labelledby="supplies">
          <Heading id="supplies" words="What holds fronts" add={mayChange ? () => setSupply("new") : null} />
          {supplies?.supplies.length === 0 && (
            <p className="text-quiet">
              Nothing counted yet: tape, rings, glue and clamps are then taken to be there.
            </p>
          )}
          <ul aria-labelledby="supplies">
            {supplies?.supplies.map((one) => (
              <Row key={one.id} name={one.line.name} onChange={mayChange ? () => setSupply(one) : null}>
                <p className={one.past ? "font-semibold text-alarm" : undefined}>
                  {supplyWords(one, supplies.kinds)}
                </p>
              </Row>
            ))}
          </ul>
        </section>
        <section aria-labelledby="instruments">
          <Heading id="instruments" words="Instruments" add={mayChange ? () => setInstrument("new") : null} />
          {instruments.length === 0 && (
            <p className="text-quiet">None yet. Any that speaks SCPI over TCP will do, by its address.</p>
          )}
          <ul>
            {instruments.map((i) => (
              <Row key={i.id} name={i.name} onChange={mayChange ? () => setInstrument(i) : null}>
                <p className="text-quiet">
                  {i.host}:{i.port}, {attends(i, bench, sources.sources)}
                </p>
                <p>
                  {i.status.said.map(({ place, words }) => (
                    <span key={`${place} ${words}`} className="mr-4">
                      {WHAT[place] ?? place} <span className="digits font-semibold">{say(words, units)}</span>
                    </span>
                  ))}
                </p>
                {i.status.trouble && <p className="font-semibold text-alarm">{i.status.trouble}</p>}
              </Row>
            ))}
          </ul>
          {bench && (
            <div className="mt-4 flex items-center justify-between gap-3">
              <p>
                {bench.nets.length === 0
                  ? "Called nowhere yet: a lead names the net they are in."
                  : `Called in ${bench.nets.join(", ")} only.`}
              </p>
              {mayNameNets && (
                <Button look="quiet" className="underline" onClick={() => setNaming(true)}>
                  Name nets
                </Button>
              )}
            </div>
          )}
          <p className="mt-4 text-quiet">
            While what it attends to runs, every answer is kept with that run. Losing an instrument stops
            nothing.
          </p>
          <div className="mt-6">
            <Heading
              id="programmers"
              words="Programmers"
              add={mayChange ? () => setProgrammer("new") : null}
            />
          </div>
          {programmers.length === 0 && (
            <p className="text-quiet">
              None yet: what copies paired data from the old front to the new one, by its address.
            </p>
          )}
          <ul aria-labelledby="programmers">
            {programmers.map((p) => (
              <Row key={p.id} name={p.name} onChange={mayChange ? () => setProgrammer(p) : null}>
                <p className="text-quiet">
                  {p.host}:{p.port}
                </p>
              </Row>
            ))}
          </ul>
        </section>
      </div>
      {source && (
        <SourceForm
          source={source === "new" ? null : source}
          kinds={sources.kinds}
          units={units}
          onClose={() => setSource(null)}
        />
      )}
      {programmer && (
        <ProgrammerForm
          programmer={programmer === "new" ? null : programmer}
          onClose={() => setProgrammer(null)}
        />
      )}
      {supply && supplies && (
        <SupplyForm
          supply={supply === "new" ? null : supply}
          kinds={supplies.kinds}
          onClose={() => setSupply(null)}
        />
      )}
      {naming && bench && <NetsForm nets={bench.nets} onClose={() => setNaming(false)} />}
      {instrument && bench && (
        <InstrumentForm
          instrument={instrument === "new" ? null : instrument}
          bench={bench}
          sources={sources.sources}
          onClose={() => setInstrument(null)}
        />
      )}
    </main>
  );
}

/** Beside which source, or for what else it stands there. */
function attends(instrument: Instrument, bench: Instruments | undefined, sources: Source[]): string {
  const beside = sources.find((s) => s.id === instrument.sourceId)?.name;
  return beside
    ? `beside ${beside}`
    : `for: ${bench?.runs.find((run) => run.id === instrument.attends)?.words ?? instrument.attends}`;
}

const WHAT: Record<string, string> = { FRAME: "frame", GLASS: "glass", SOURCE: "source" };

function Heading({ id, words, add }: { id: string; words: string; add: (() => void) | null }) {
  return (
    <div className="mb-2 flex items-center justify-between border-b-2 border-ink pb-2">
      <h1 id={id} className="text-2xl font-bold">
        {words}
      </h1>
      {add && (
        <Button onClick={add} aria-label={`Add to ${words.toLowerCase()}`}>
          Add
        </Button>
      )}
    </div>
  );
}

function Row({
  name,
  onChange,
  children,
}: {
  name: string;
  onChange: (() => void) | null;
  children: React.ReactNode;
}) {
  return (
    <li className="flex items-start justify-between gap-3 border-b border-line py-2 leading-snug">
      <div>
        <p className="text-lg font-semibold">{name}</p>
        {children}
      </div>
      {onChange && (
        <Button look="quiet" className="underline" aria-label={`Change ${name}`} onClick={onChange}>
          Change
        </Button>
      )}
    </li>
  );
}

function Measured({ source, units }: { source: Source; units: Units }) {
  const m = source.measured;
  if (!m) {
    return <p className="text-quiet">not measured on this bench: common practice is assumed</p>;
  }
  const offset = units.temperature === "F" ? m.offsetK * 1.8 : m.offsetK;
  return (
    <p>
      measured on this bench, {new Date(m.at).toLocaleDateString()}: contact{" "}
      <span className="digits font-semibold">{Math.round(m.contactWPerM2K)}</span> W/m²K (
      {Math.round(m.contactLow)} to {Math.round(m.contactHigh)}), truly{" "}
      <span className="digits font-semibold">
        {offset >= 0 ? "+" : "−"}
        {Math.abs(offset).toFixed(1)} {units.temperature === "F" ? "°F" : "K"}
      </span>{" "}
      off its setting
    </p>
  );
}
