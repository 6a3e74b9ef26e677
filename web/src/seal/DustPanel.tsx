import clsx from "clsx";
import { useState } from "react";
import type { Schemas } from "@/api/client";
import { TurnButtons } from "@/edge/TurnButtons";
import { useEdge } from "@/edge/useEdge";
import type { PanelProps } from "@/job/panel";
import { OpenDevice } from "@/strip/OpenDevice";
import { Button } from "@/ui/Button";
import { useSeal } from "./useSeal";
import { Awaited } from "@/ui/Awaited";

type Zone = Schemas["ZoneView"];

/** The last look by a light from the side, patch by patch: where something lies is tapped, and stays until it is off. */
export function DustPanel({ job, record, view, onView }: PanelProps) {
  const edge = useEdge(job.id, view).data;
  const { data: seal } = useSeal(job.id, job.seq, true, view);
  const [tapped, setTapped] = useState<number | null>(null);
  if (!edge || !seal) {
    return <Awaited words="Dividing the front" />;
  }
  const { zones } = seal;
  const clean = zones.filter((zone) => zone.found === "NOTHING").length;
  const there =
    zones.find((zone) => zone.number === tapped) ??
    zones.find((zone) => dirty(zone)) ??
    zones.find((zone) => zone.found === null) ??
    zones[0];
  return (
    <div className="grid min-h-0 flex-1 grid-rows-[minmax(0,1fr)_auto] items-center gap-5 lg:grid-cols-[minmax(0,1fr)_17rem] lg:grid-rows-1">
      <div className="relative h-full min-h-0">
        <OpenDevice
          edge={edge}
          label="Zones of the last look"
          strip={{ plugs: [], holes: [], parts: [] }}
          marks={(px) =>
            zones.map((zone) => (
              <Patch
                key={zone.number}
                zone={zone}
                px={px}
                chosen={zone.number === there?.number}
                onTap={() => setTapped(zone.number)}
              />
            ))
          }
        />
        <TurnButtons view={view} onView={onView} className="absolute right-0 bottom-0 flex gap-1" />
      </div>
      <div>
        {zones.length > 1 && (
          <p className="text-lg text-quiet">
            {clean} of {zones.length} zones clean
          </p>
        )}
        {there && (
          <>
            <p className="text-3xl leading-tight font-bold">
              {zones.length > 1 ? `Zone ${there.number}` : "The front"}
            </p>
            {there.foundWords && (
              <p
                className={clsx(
                  "mt-1 text-xl leading-snug font-semibold first-letter:uppercase",
                  dirty(there) && "text-alarm",
                )}
              >
                {there.foundWords}
              </p>
            )}
            {!job.closed && (
              <div className="mt-4 flex flex-wrap gap-2 lg:grid">
                {there.choices.map((choice) => (
                  <Button
                    key={choice.label}
                    look={choice.tone === "GO" ? "lamp" : "plain"}
                    disabled={!choice.mine}
                    className="min-h-12 text-left lg:text-xl"
                    onClick={() => {
                      setTapped(null);
                      void record(choice.fact, choice.label);
                    }}
                  >
                    {choice.label}
                  </Button>
                ))}
              </div>
            )}
          </>
        )}
        <p className="mt-4 hidden leading-snug text-quiet lg:block">
          Turn the front against the light once more before it goes down; films off last.
        </p>
      </div>
    </div>
  );
}

const dirty = (zone: Zone) => zone.found !== null && zone.found !== "NOTHING";

function Patch({ zone, px, chosen, onTap }: { zone: Zone; px: number; chosen: boolean; onTap: () => void }) {
  const xs = zone.outline.map((point) => point.x);
  const ys = zone.outline.map((point) => point.y);
  const x = (Math.min(...xs) + Math.max(...xs)) / 2;
  const y = (Math.min(...ys) + Math.max(...ys)) / 2;
  const words = dirty(zone) ? (zone.found ?? "").toLowerCase() : zone.found === "NOTHING" ? "clean" : "";
  return (
    <g
      role="button"
      tabIndex={0}
      aria-label={`Zone ${zone.number}${words === "" ? "" : `, ${words}`}`}
      aria-pressed={chosen}
      className="cursor-pointer"
      onClick={onTap}
      onKeyDown={(event) => {
        if (event.key === "Enter") {
          onTap();
        }
      }}
    >
      <polygon
        points={zone.outline.map((point) => `${point.x},${point.y}`).join(" ")}
        fill={dirty(zone) ? "var(--alarm)" : zone.found === "NOTHING" ? "var(--free)" : "transparent"}
        fillOpacity={0.55}
        stroke={chosen ? "var(--lamp)" : "var(--quiet)"}
        strokeWidth={(chosen ? 5 : 1.5) * px}
        strokeDasharray={chosen ? undefined : `${4 * px} ${3 * px}`}
      />
      <text x={x} y={y + 8 * px} textAnchor="middle" fontSize={26 * px} className="digits fill-ink font-bold">
        {zone.number}
      </text>
      <text x={x} y={y + 30 * px} textAnchor="middle" fontSize={17 * px} className="fill-ink font-semibold">
        {words}
      </text>
    </g>
  );
}
