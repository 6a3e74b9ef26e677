import clsx from "clsx";
import { type PointerEvent, useRef, useState } from "react";
import { pathAlong } from "@/edge/geometry";
import type { Edge } from "@/edge/useEdge";
import { Button } from "@/ui/Button";
import { useSize } from "@/ui/useSize";
import { type Document, freshId } from "./document";
import { LISTS } from "./lists";
import {
  area,
  type At,
  covered,
  half,
  inARow,
  inFourCorners,
  numbered,
  type Screw,
  withScrew,
} from "./placing";
import { ScrewForm } from "./ScrewForm";
import type { Draft } from "./useDraft";

/** What a tap on the drawing does. */
const MODES = {
  MOVE: ["Move", "Tap what you mean; drag it where it lies."],
  SCREW: ["Screws", "Tap each hole. What is said beside goes for all that you tapped."],
  ROW: ["Row", "Tap where the last of the row is."],
  NUMBER: ["Number", "Tap the screws in their order."],
  PLUG: ["Plugs", "Tap each plug; what it is for is said below."],
  PART: ["Plates", "Draw over each plate, shield, panel or battery."],
  COVER: ["Lies over", "Tap the plate first, then all that lies under it."],
} as const;

type Mode = keyof typeof MODES;

type List = "screws" | "connectors" | "inside";

const FINGER_PX = 9;

/** Screws, plugs and plates where they are: tapped in, dragged, copied, numbered, laid over each other. */
export function InsideMap({ draft, edge }: { draft: Draft; edge: Edge }) {
  const { document, change } = draft;
  const [mode, setMode] = useState<Mode>("MOVE");
  const [chosen, setChosen] = useState<string[]>([]);
  const [cover, setCover] = useState<string | null>(null);
  const [count, setCount] = useState(4);
  const [rectangle, setRectangle] = useState<{ from: At; to: At } | null>(null);
  const drag = useRef<{ list: List; id: string; from: At } | null>(null);
  const [box, size] = useSize<HTMLDivElement>({ width: 640, height: 360 });
  const px = Math.max(
    edge.widthMm / Math.max(40, size.width - 24),
    edge.heightMm / Math.max(40, size.height - 24),
  );
  const margin = 12 * px;
  const screws = document.screws;
  const group = screws.filter((screw) => chosen.includes(screw.id));

  const setScrews = (next: (screws: Screw[]) => Screw[], joined = false) =>
    change((now) => ({ ...now, screws: next(now.screws) }), joined);
  const turn = (to: Mode) => {
    setMode(to);
    setCover(null);
    setChosen([]);
  };

  const at = (event: PointerEvent<SVGElement>): At => {
    const svg = event.currentTarget.ownerSVGElement ?? (event.currentTarget as SVGSVGElement);
    return new DOMPoint(event.clientX, event.clientY).matrixTransform(svg.getScreenCTM()?.inverse());
  };
  const onGround = (event: PointerEvent<SVGSVGElement>) => {
    const place = at(event);
    switch (mode) {
      case "SCREW": {
        const id = freshId(
          "screw",
          screws.map((screw) => screw.id),
        );
        const like = group.at(-1) ?? screws.at(-1) ?? (LISTS.screws.fresh as unknown as Screw);
        setScrews((now) => withScrew(now, like, place));
        setChosen([...chosen, id]);
        break;
      }
      case "ROW": {
        const first = group.at(-1);
        if (first) {
          const row = inARow(screws, first, place, count);
          setScrews(() => row);
          setChosen([first.id, ...row.slice(screws.length).map((screw) => screw.id)]);
          setMode("SCREW");
        }
        break;
      }
      case "PLUG":
        change((now) => ({
          ...now,
          connectors: [
            ...now.connectors,
            {
              ...LISTS.connectors.fresh,
              id: freshId(
                "plug",
                now.connectors.map((plug) => plug.id),
              ),
              words: `plug ${now.connectors.length + 1}`,
              place: { xMm: half(place.x), yMm: half(place.y) },
            } as Document["connectors"][number],
          ],
        }));
        break;
      case "PART":
        event.currentTarget.setPointerCapture(event.pointerId);
        setRectangle({ from: place, to: place });
        break;
      case "MOVE":
        setChosen([]);
        break;
      default:
    }
  };
  const onThing = (event: PointerEvent<SVGElement>, list: List, id: string) => {
    if (
      mode === "PLUG" ||
      mode === "ROW" ||
      (mode === "PART" && list === "inside") ||
      (mode === "SCREW" && list !== "screws")
    ) {
      return;
    }
    event.stopPropagation();
    if (mode === "MOVE") {
      event.currentTarget.setPointerCapture(event.pointerId);
      drag.current = { list, id, from: at(event) };
      change((now) => now);
      setChosen([id]);
    } else if (mode === "SCREW") {
      setChosen(chosen.includes(id) ? chosen.filter((one) => one !== id) : [...chosen, id]);
    } else if (mode === "NUMBER" && list === "screws") {
      const tapped = [...chosen.filter((one) => one !== id), id];
      setScrews((now) => numbered(now, tapped));
      setChosen(tapped.map((_, i) => `screw-${i + 1}`));
    } else if (mode === "COVER") {
      if (cover === null) {
        setCover(list === "inside" ? id : null);
      } else {
        change((now) => ({
          ...now,
          [list]: (now[list] as { id: string; coveredBy: string[] }[]).map((one) =>
            one.id === id ? covered(one, cover) : one,
          ),
        }));
      }
    }
  };
  const onMove = (event: PointerEvent<SVGSVGElement>) => {
    const to = at(event);
    const now = drag.current;
    if (rectangle) {
      setRectangle({ ...rectangle, to });
    } else if (now) {
      const by = { x: half(to.x - now.from.x), y: half(to.y - now.from.y) };
      if (by.x !== 0 || by.y !== 0) {
        drag.current = { ...now, from: { x: now.from.x + by.x, y: now.from.y + by.y } };
        change((doc) => moved(doc, now.list, now.id, by), true);
      }
    }
  };
  const onUp = () => {
    drag.current = null;
    if (rectangle) {
      const drawn = area(rectangle.from, rectangle.to);
      setRectangle(null);
      change((now) => ({
        ...now,
        inside: [
          ...now.inside,
          {
            ...LISTS.inside.fresh,
            id: freshId(
              "plate",
              now.inside.map((part) => part.id),
            ),
            words: `plate ${now.inside.length + 1}`,
            kind: "PLATE",
            area: drawn,
          } as Document["inside"][number],
        ],
      }));
    }
  };
  const lit = (id: string, coveredBy: readonly string[]) =>
    cover === null ? chosen.includes(id) : id === cover || coveredBy.includes(cover);

  return (
    <section className="grid grid-cols-[minmax(0,1fr)_minmax(0,20rem)] gap-5" aria-label="Drawn inside">
      <div className="space-y-2">
        <div className="flex flex-wrap items-center gap-2">
          {(Object.keys(MODES) as Mode[])
            .filter((one) => one !== "ROW")
            .map((one) => (
              <button
                key={one}
                type="button"
                aria-pressed={mode === one}
                className={clsx(
                  "min-h-11 rounded-md border-2 px-3",
                  mode === one ? "border-ink bg-ink text-sheet" : "border-line bg-sheet",
                )}
                onClick={() => turn(one)}
              >
                {MODES[one][0]}
              </button>
            ))}
        </div>
        <p className="text-quiet">{MODES[mode][1]}</p>
        <div ref={box} className="h-96">
          <svg
            viewBox={`${-margin} ${-margin} ${edge.widthMm + 2 * margin} ${edge.heightMm + 2 * margin}`}
            className="h-full w-full touch-none select-none"
            role="group"
            aria-label="Inside of the device, to scale"
            data-inside-map
            onPointerDown={onGround}
            onPointerMove={onMove}
            onPointerUp={onUp}
            onPointerCancel={() => {
              drag.current = null;
              setRectangle(null);
            }}
          >
            <path
              d={`${pathAlong(edge.outline, edge.perimeterMm, 0, edge.perimeterMm)}Z`}
              fill="var(--sheet)"
              stroke="var(--ink)"
              strokeWidth={1.5 * px}
            />
            {[...document.inside]
              .sort((a, b) => reach(b.area) - reach(a.area))
              .map(
                (part) =>
                  part.area && (
                    <rect
                      key={part.id}
                      x={part.area.xMm}
                      y={part.area.yMm}
                      width={part.area.widthMm}
                      height={part.area.heightMm}
                      fill={lit(part.id, part.coveredBy) ? "var(--lamp)" : "var(--bond)"}
                      fillOpacity={lit(part.id, part.coveredBy) ? 0.9 : 0.35}
                      stroke="var(--ink)"
                      strokeWidth={(part.id === cover ? 4 : 1) * px}
                      onPointerDown={(event) => onThing(event, "inside", part.id)}
                    >
                      <title>{part.words}</title>
                    </rect>
                  ),
              )}
            {document.connectors.map(
              (plug) =>
                plug.place && (
                  <rect
                    key={plug.id}
                    x={plug.place.xMm - 9 * px}
                    y={plug.place.yMm - 6 * px}
                    width={18 * px}
                    height={12 * px}
                    rx={2 * px}
                    fill={lit(plug.id, plug.coveredBy) ? "var(--lamp)" : "var(--free)"}
                    stroke="var(--ink)"
                    strokeWidth={1.5 * px}
                    onPointerDown={(event) => onThing(event, "connectors", plug.id)}
                  >
                    <title>{plug.words}</title>
                  </rect>
                ),
            )}
            {screws.map((screw, i) => (
              <g
                key={screw.id}
                transform={`translate(${screw.xMm} ${screw.yMm}) scale(${px})`}
                onPointerDown={(event) => onThing(event, "screws", screw.id)}
              >
                <circle r={16} fill="transparent" />
                <circle
                  r={FINGER_PX}
                  fill={lit(screw.id, screw.coveredBy) ? "var(--lamp)" : "var(--sheet)"}
                  stroke="var(--ink)"
                  strokeWidth={1.5}
                  strokeDasharray={screw.hidden ? "3 2" : undefined}
                />
                <text
                  y={4}
                  textAnchor="middle"
                  fontSize={11}
                  fontWeight={600}
                  fill={lit(screw.id, screw.coveredBy) ? "var(--on-lamp)" : "var(--ink)"}
                >
                  {i + 1}
                </text>
                <title>{`${screw.id}: ${screw.underHeadMm} mm, layer ${screw.layer}`}</title>
              </g>
            ))}
            {rectangle && (
              <path
                d={outlineOf(rectangle)}
                fill="var(--lamp)"
                fillOpacity={0.5}
                stroke="var(--ink)"
                strokeWidth={px}
              />
            )}
          </svg>
        </div>
      </div>
      {group.length > 0 ? (
        <div className="space-y-3">
          <ScrewForm
            key={group.map((screw) => screw.id).join(" ")}
            document={document}
            group={group}
            onSet={(values) =>
              setScrews((now) => now.map((one) => (chosen.includes(one.id) ? { ...one, ...values } : one)))
            }
          />
          <div className="flex flex-wrap items-center gap-2">
            <Button
              onClick={() => {
                const four = inFourCorners(screws, chosen, edge);
                setScrews(() => four);
                setChosen([...chosen, ...four.slice(screws.length).map((screw) => screw.id)]);
              }}
            >
              To four corners
            </Button>
            <Button aria-pressed={mode === "ROW"} onClick={() => setMode("ROW")}>
              Row of
            </Button>
            <input
              id="screws-row"
              aria-label="How many in the row"
              inputMode="numeric"
              className="min-h-11 w-14 rounded-md border-2 border-line bg-sheet px-2"
              value={count}
              onChange={(e) => setCount(Math.min(30, Math.max(2, Number(e.target.value) || 2)))}
            />
            <Button
              look="alarm"
              onClick={() => {
                setScrews((now) => now.filter((one) => !chosen.includes(one.id)));
                setChosen([]);
              }}
            >
              Remove
            </Button>
          </div>
        </div>
      ) : (
        <p className="text-quiet">
          {cover === null
            ? "Choose screws to say what they are, all at once."
            : `Lies under ${document.inside.find((part) => part.id === cover)?.words}: what is lit.`}
        </p>
      )}
    </section>
  );
}

/** The large ones lie beneath the small ones, for a finger to find both. */
const reach = (area: { widthMm: number; heightMm: number } | null) =>
  area ? area.widthMm * area.heightMm : 0;

function outlineOf({ from, to }: { from: At; to: At }): string {
  return `M${from.x} ${from.y}H${to.x}V${to.y}H${from.x}Z`;
}

/** Whatever was dragged, by so much. */
function moved(document: Document, list: List, id: string, by: At): Document {
  switch (list) {
    case "screws":
      return {
        ...document,
        screws: document.screws.map((one) =>
          one.id === id ? { ...one, xMm: half(one.xMm + by.x), yMm: half(one.yMm + by.y) } : one,
        ),
      };
    case "connectors":
      return {
        ...document,
        connectors: document.connectors.map((one) =>
          one.id === id && one.place
            ? { ...one, place: { xMm: half(one.place.xMm + by.x), yMm: half(one.place.yMm + by.y) } }
            : one,
        ),
      };
    case "inside":
      return {
        ...document,
        inside: document.inside.map((one) =>
          one.id === id && one.area
            ? {
                ...one,
                area: { ...one.area, xMm: half(one.area.xMm + by.x), yMm: half(one.area.yMm + by.y) },
              }
            : one,
        ),
      };
  }
}
