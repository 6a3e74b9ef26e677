import type { Schemas } from "@/api/client";
import { useUnits } from "@/session/useSession";
import { length, say, type Units } from "@/units/units";
import { ScrollRegion } from "@/ui/ScrollRegion";
import { restWords } from "./rest";
import { Section } from "./Section";

type Bond = Schemas["BondView"];
type Way = Bond["ways"][number];

/** Every way to hold this front, side by side: what it carries, how it sits, whether it closes, how long it takes, what is left of it. */
export function HoldPanel({ bond }: { bond: Bond }) {
  const units = useUnits();
  const most = Math.max(bond.dropLoadN, ...bond.ways.map((way) => way.holdsN));
  const offered = bond.ways.filter((way) => way.against.length === 0);
  const refused = bond.ways.filter((way) => way.against.length > 0);
  return (
    <ScrollRegion label="What can hold it" className="min-h-0 flex-1">
      <ul>
        {offered.map((way, i) => (
          <li
            key={way.by}
            className="grid grid-cols-[minmax(0,1fr)_9rem_15rem] items-center gap-x-5 gap-y-1 border-b border-line py-3 max-lg:grid-cols-[9rem_minmax(0,1fr)]"
          >
            <div className="min-w-0 max-lg:col-span-2">
              <p
                className={`leading-tight font-bold first-letter:uppercase ${i === 0 ? "text-2xl" : "text-xl"}`}
              >
                {way.words}
              </p>
              <p className="leading-snug text-quiet">
                {way.supply && `${way.supply}; `}takes {say(way.takes, units)}
              </p>
              {way.asks.map((ask) => (
                <p key={ask} className="leading-snug">
                  needs {say(ask, units)}
                </p>
              ))}
            </div>
            <Sits bond={bond} way={way} units={units} />
            <Carries way={way} most={most} drop={bond.dropLoadN} />
          </li>
        ))}
        {refused.map((way) => (
          <li
            key={way.by}
            className="grid grid-cols-[minmax(0,1fr)_minmax(0,2fr)] gap-x-5 border-b border-line py-2"
          >
            <p className="font-semibold text-quiet first-letter:uppercase">{way.words}</p>
            <p className="leading-snug">
              <span className="font-semibold">not: </span>
              {say(way.against[0] ?? "", units)}
            </p>
          </li>
        ))}
      </ul>
      <p className="mt-2 leading-snug text-quiet">
        {bond.seat === null
          ? "Nobody knows how deep this ledge lies: a caliper says whether the front will stand proud."
          : `Ledge ${length(bond.seat.depthMm, units)} under the rim, front ${length(bond.seat.frontMm, units)} over it, ${
              bond.seat.measured ? "by caliper" : "by the book; a caliper knows better"
            }.`}{" "}
        What it holds is reckoned for a warm hand, with a safety of three; the tick is what a drop pulls,{" "}
        {Math.round(bond.dropLoadN)} N.
      </p>
    </ScrollRegion>
  );
}

function Sits({ bond, way, units }: { bond: Bond; way: Way; units: Units }) {
  if (bond.seat === null || way.proudMm === null) {
    return <p className="w-32 leading-snug text-quiet">not known how it sits</p>;
  }
  const words =
    way.proudMm > 0.005
      ? `${length(way.proudMm, units)} proud`
      : way.proudMm < -0.005
        ? `${length(-way.proudMm, units)} under the rim`
        : "flush";
  return (
    <div>
      <Section seat={bond.seat} proudMm={way.proudMm} title={`In its seat: ${words}`} />
      <p className="text-center leading-tight">{words}</p>
    </div>
  );
}

/** What it holds, against what a drop pulls: the tick. */
function Carries({ way, most, drop }: { way: Way; most: number; drop: number }) {
  return (
    <div className="min-w-0">
      <div className="relative h-4 rounded-sm border border-ink">
        <div className="h-full bg-free" style={{ width: `${(100 * way.holdsN) / most}%` }} />
        <div className="absolute -top-1 -bottom-1 w-0.5 bg-ink" style={{ left: `${(100 * drop) / most}%` }} />
      </div>
      <p className="mt-1 leading-tight">
        holds <b className="digits">{Math.round(way.holdsN)} N</b>
      </p>
      <p className="leading-tight">
        {way.allRound ? "closed all round" : "joints: dust stays out, water not"}
      </p>
      <p className="leading-tight text-quiet">
        {way.minutes} min, then {restWords(way.restsMinutes)}
      </p>
    </div>
  );
}
