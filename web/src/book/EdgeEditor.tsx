import { scaleLinear } from "d3-scale";
import { FlipHorizontal2, Plus, Trash2 } from "lucide-react";
import { type KeyboardEvent, type PointerEvent, useRef, useState } from "react";
import { pathAlong, pointAt, positionNear } from "@/edge/geometry";
import { Patterns } from "@/edge/Patterns";
import type { Edge } from "@/edge/useEdge";
import { useUnits } from "@/session/useSession";
import { length } from "@/units/units";
import { Button } from "@/ui/Button";
import { Choose, Field } from "@/ui/Field";
import { useSize } from "@/ui/useSize";
import {
  type Confidence,
  CONFIDENCES,
  type Document,
  FEATURE_KINDS,
  type Feature,
  freshId,
  snapped,
  tenth,
  wrapped,
} from "./document";
import { Millimetres } from "./fields";
import type { Draft } from "./useDraft";

const LANE = 26;
const LANES_TOP = 22;
/** Room for this many from the start: the drawing must not jump while one thing is dragged over another. */
const LEAST_LANES = 3;
const SNAP_PX = 7;
const GRIP_PX = 12;
const SLIPS: [number, string][] = [
  [0.1, "a scratch"],
  [0.3, "a cheap part"],
  [0.5, "a feature works worse"],
  [0.8, "a costly part"],
  [1, "a feature is lost for good"],
];

type Part = "body" | "start" | "end";

/** The edge, folded and unrolled, with what lies on it: dragged, nudged or typed. */
export function EdgeEditor({ draft, edge }: { draft: Draft; edge: Edge }) {
  const { document, change, flaws } = draft;
  const [chosen, setChosen] = useState<string | null>(document.features[0]?.id ?? null);
  const feature = document.features.find((f) => f.id === chosen) ?? null;
  const wrong = new Set(
    flaws
      .map((flaw) => flaw.path.split("/"))
      .flatMap(([list, id]) => (list === "features" && id ? [id] : [])),
  );
  const set = (id: string, values: Partial<Feature>, joined = false) =>
    change(
      (now) => ({ ...now, features: now.features.map((f) => (f.id === id ? { ...f, ...values } : f)) }),
      joined,
    );
  const shared = {
    document,
    edge,
    chosen,
    wrong,
    onChoose: setChosen,
    onSet: set,
    onBegin: () => change((now) => now),
  };
  const add = () => {
    const id = freshId(
      "feature",
      document.features.map((f) => f.id),
    );
    change((now) => ({
      ...now,
      features: [
        ...now.features,
        {
          id,
          kind: "CABLE",
          words: "new cable",
          fromMm: tenth(edge.perimeterMm / 8),
          lengthMm: 12,
          depthMm: null,
          hazard: 0.8,
          consequence: "",
          keepsTapeOff: false,
        },
      ],
    }));
    setChosen(id);
  };
  return (
    <div className="flex min-h-0 flex-1 flex-col gap-3">
      <Patterns />
      <Band {...shared} />
      <div className="grid min-h-0 flex-1 grid-cols-[minmax(0,1fr)_minmax(0,23rem)] gap-5">
        <Sheet {...shared} />
        <div className="min-h-0 space-y-3 overflow-auto pr-1">
          <div className="flex flex-wrap gap-2">
            <Button className="flex items-center gap-1" onClick={add}>
              <Plus aria-hidden size={18} /> Add
            </Button>
            {feature && (
              <>
                <Button
                  className="flex items-center gap-1"
                  onClick={() => set(feature.id, { fromMm: mirrored(feature, edge) })}
                >
                  <FlipHorizontal2 aria-hidden size={18} /> Mirror
                </Button>
                <Button
                  look="alarm"
                  className="flex items-center gap-1"
                  onClick={() => {
                    change((now) => ({ ...now, features: now.features.filter((f) => f.id !== feature.id) }));
                    setChosen(null);
                  }}
                >
                  <Trash2 aria-hidden size={18} /> Remove
                </Button>
              </>
            )}
          </div>
          {feature ? (
            <FeatureForm
              key={feature.id}
              feature={feature}
              confidence={document.confidence[`features/${feature.id}`] ?? document.confidence[""] ?? "GUESS"}
              onSet={(values) => set(feature.id, values)}
              onConfidence={(confidence) =>
                change((now) => ({
                  ...now,
                  confidence: { ...now.confidence, [`features/${feature.id}`]: confidence },
                }))
              }
            />
          ) : (
            <p className="text-quiet">Choose what lies on the edge, or add something.</p>
          )}
        </div>
      </div>
    </div>
  );
}

/** The same place on the other side of the device's upright middle. */
function mirrored(feature: Feature, edge: Edge): number {
  const end = pointAt(edge.outline, wrapped(feature.fromMm + feature.lengthMm, edge.perimeterMm));
  return wrapped(positionNear(edge.outline, edge.widthMm - end.x, end.y), edge.perimeterMm);
}

interface Shared {
  document: Document;
  edge: Edge;
  chosen: string | null;
  wrong: ReadonlySet<string>;
  onChoose: (id: string) => void;
  onSet: (id: string, values: Partial<Feature>, joined?: boolean) => void;
  onBegin: () => void;
}

/** Corners, middles of edges and the ends of everything else: what a drag is pulled to. */
function places(document: Document, edge: Edge, but: string): number[] {
  return [
    ...edge.parts.flatMap((part) => [
      part.fromMm,
      part.fromMm + part.lengthMm / 2,
      part.fromMm + part.lengthMm,
    ]),
    ...document.features.filter((f) => f.id !== but).flatMap((f) => [f.fromMm, f.fromMm + f.lengthMm]),
  ];
}

/** Where a feature comes to lie when a part of it is dragged by so much from where it was. */
function dragged(
  before: Feature,
  part: Part,
  by: number,
  snap: readonly number[],
  perimeter: number,
  reach: number,
) {
  const start = before.fromMm;
  const end = before.fromMm + before.lengthMm;
  if (part === "body") {
    const byStart = snapped(start + by, snap, perimeter, reach);
    const byEnd = snapped(end + by, snap, perimeter, reach);
    const at = byStart !== start + by ? byStart : byEnd !== end + by ? byEnd - before.lengthMm : start + by;
    return { fromMm: wrapped(at, perimeter) };
  }
  if (part === "end") {
    const at = snapped(end + by, snap, perimeter, reach);
    return {
      lengthMm: tenth(Math.min(perimeter, Math.max(1, at < start ? at + perimeter - start : at - start))),
    };
  }
  const at = Math.min(snapped(start + by, snap, perimeter, reach), end - 1);
  return { fromMm: wrapped(at, perimeter), lengthMm: tenth(Math.min(perimeter, end - at)) };
}

/** Arrow keys move by a tenth, with shift by a millimetre; with alt they change the length. */
function nudge(event: KeyboardEvent, feature: Feature, edge: Edge, onSet: Shared["onSet"]) {
  const way = event.key === "ArrowRight" ? 1 : event.key === "ArrowLeft" ? -1 : 0;
  if (way === 0) {
    return;
  }
  event.preventDefault();
  const by = way * (event.shiftKey ? 1 : 0.1);
  onSet(
    feature.id,
    event.altKey
      ? { lengthMm: tenth(Math.max(0.1, feature.lengthMm + by)) }
      : { fromMm: wrapped(feature.fromMm + by, edge.perimeterMm) },
  );
}

/** Features that share some of the edge lie in lanes of their own. */
function lanes(features: readonly Feature[], perimeter: number): Map<string, number> {
  const lane = new Map<string, number>();
  const ends: Feature[][] = [];
  for (const feature of features) {
    const clear = (other: Feature) => {
      const ahead = (((other.fromMm - feature.fromMm) % perimeter) + perimeter) % perimeter;
      return ahead >= feature.lengthMm && ahead + other.lengthMm <= perimeter;
    };
    let n = ends.findIndex((one) => one.every(clear));
    if (n < 0) {
      n = ends.push([]) - 1;
    }
    ends[n]?.push(feature);
    lane.set(feature.id, Math.min(n, 3));
  }
  return lane;
}

function Band({ document, edge, chosen, wrong, onChoose, onSet, onBegin }: Shared) {
  const units = useUnits();
  const [box, { width }] = useSize<HTMLDivElement>({ width: 1200, height: 0 });
  const x = scaleLinear([0, edge.perimeterMm], [0, width]);
  const lane = lanes(document.features, edge.perimeterMm);
  const bottom = LANES_TOP + LANE * Math.max(LEAST_LANES, ...[...lane.values()].map((n) => n + 1));
  const drag = useRef<{ before: Feature; part: Part; at: number } | null>(null);
  const down = (event: PointerEvent<SVGGElement>, feature: Feature) => {
    const left = event.currentTarget.ownerSVGElement?.getBoundingClientRect().left ?? 0;
    const at = x.invert(event.clientX - left);
    const from = x(feature.fromMm);
    const to = x(Math.min(edge.perimeterMm, feature.fromMm + feature.lengthMm));
    const px = event.clientX - left;
    const part =
      to - from < 3 * GRIP_PX ? "body" : px - from < GRIP_PX ? "start" : to - px < GRIP_PX ? "end" : "body";
    event.currentTarget.setPointerCapture(event.pointerId);
    drag.current = { before: feature, part, at };
    onChoose(feature.id);
    onBegin();
  };
  const move = (event: PointerEvent<SVGGElement>) => {
    const now = drag.current;
    if (now) {
      const left = event.currentTarget.ownerSVGElement?.getBoundingClientRect().left ?? 0;
      const by = x.invert(event.clientX - left) - now.at;
      const snap = places(document, edge, now.before.id);
      onSet(
        now.before.id,
        dragged(now.before, now.part, by, snap, edge.perimeterMm, x.invert(SNAP_PX)),
        true,
      );
    }
  };
  return (
    <div ref={box} className="w-full">
      <svg
        width={width}
        height={bottom + 78}
        className="block touch-none select-none"
        role="group"
        aria-label="The edge unrolled, to draw on"
        data-band
      >
        {edge.parts.map((part) =>
          part.landmark.includes("_") ? (
            <rect
              key={part.landmark}
              x={x(part.fromMm)}
              y={16}
              width={x(part.lengthMm)}
              height={bottom + 38}
              fill="var(--line)"
              opacity="0.45"
            />
          ) : (
            x(part.lengthMm) > 7 * part.words.length && (
              <text
                key={part.landmark}
                x={x(part.fromMm + part.lengthMm / 2)}
                y={13}
                fontSize="15"
                fill="var(--quiet)"
                textAnchor="middle"
              >
                {part.words}
              </text>
            )
          ),
        )}
        {document.features.map((feature) => {
          const y = LANES_TOP + LANE * (lane.get(feature.id) ?? 0);
          const w = x(feature.lengthMm);
          return (
            <g
              key={feature.id}
              tabIndex={0}
              role="button"
              aria-pressed={feature.id === chosen}
              aria-label={`${feature.words}, from ${length(feature.fromMm, units)}, ${length(feature.lengthMm, units)} long`}
              data-feature={feature.id}
              className="cursor-grab"
              onPointerDown={(event) => down(event, feature)}
              onPointerMove={move}
              onPointerUp={() => (drag.current = null)}
              onPointerCancel={() => (drag.current = null)}
              onFocus={() => onChoose(feature.id)}
              onKeyDown={(event) => nudge(event, feature, edge, onSet)}
            >
              {[0, feature.fromMm + feature.lengthMm > edge.perimeterMm ? -width : null].map(
                (shift) =>
                  shift !== null && (
                    <rect
                      key={shift}
                      x={x(feature.fromMm) + shift}
                      y={y}
                      width={Math.max(4, w)}
                      height={LANE - 4}
                      fill={
                        wrong.has(feature.id)
                          ? "url(#hazard)"
                          : feature.id === chosen
                            ? "var(--lamp)"
                            : "var(--free)"
                      }
                      stroke={feature.id === chosen ? "var(--ink)" : "none"}
                      strokeWidth={2}
                    />
                  ),
              )}
              {w > 8 * feature.words.length && (
                <text
                  x={x(feature.fromMm) + w / 2}
                  y={y + 16}
                  fontSize="13"
                  textAnchor="middle"
                  fill={feature.id === chosen && !wrong.has(feature.id) ? "var(--on-lamp)" : "var(--ink)"}
                  pointerEvents="none"
                >
                  {feature.words}
                </text>
              )}
            </g>
          );
        })}
        <Widths y={bottom + 4} words="border" widths={edge.borders} x={x} most={edge.borderMm * 1.6} />
        <Widths y={bottom + 30} words="ledge" widths={edge.ledges} x={x} most={edge.borderMm * 1.6} />
        {x
          .ticks(9)
          .filter((tick) => x(tick) < width - 60)
          .map((tick) => (
            <text key={tick} x={x(tick) + 2} y={bottom + 72} fontSize="13" fill="var(--quiet)">
              {length(tick, units)}
            </text>
          ))}
      </svg>
    </div>
  );
}

/** How wide border or ledge is along the edge, as a band whose height says it. */
function Widths({
  y,
  words,
  widths,
  x,
  most,
}: {
  y: number;
  words: string;
  widths: Edge["borders"];
  x: (mm: number) => number;
  most: number;
}) {
  const units = useUnits();
  return (
    <g>
      {widths.map((piece) => {
        const h = Math.max(2, (22 * piece.widthMm) / most);
        return (
          <rect
            key={piece.fromMm}
            x={x(piece.fromMm)}
            y={y}
            width={Math.max(1, x(piece.lengthMm) - 1)}
            height={Math.min(22, h)}
            fill="var(--bond)"
          >
            <title>{`${words} ${length(piece.widthMm, units)}`}</title>
          </rect>
        );
      })}
      <text x={4} y={y + 15} fontSize="13" fill="var(--ink)">
        {words} {length(widths[0]?.widthMm ?? 0, units)}
      </text>
    </g>
  );
}

/** Short things lie over long ones, so that a finger finds both. */
function longestFirst(features: readonly Feature[]): Feature[] {
  return [...features].sort((a, b) => b.lengthMm - a.lengthMm);
}

/** The outline to scale; features can be dragged along it too. */
function Sheet({ document, edge, chosen, wrong, onChoose, onSet, onBegin }: Shared) {
  const [box, size] = useSize<HTMLDivElement>({ width: 500, height: 260 });
  const drag = useRef<{ before: Feature; at: number } | null>(null);
  const px = Math.max(
    edge.widthMm / Math.max(40, size.width - 30),
    edge.heightMm / Math.max(40, size.height - 30),
  );
  const margin = 14 * px;
  const positionAt = (event: PointerEvent<SVGPathElement>): number => {
    const at = new DOMPoint(event.clientX, event.clientY).matrixTransform(
      event.currentTarget.ownerSVGElement?.getScreenCTM()?.inverse(),
    );
    return positionNear(edge.outline, at.x, at.y);
  };
  const whole = `${pathAlong(edge.outline, edge.perimeterMm, 0, edge.perimeterMm)}Z`;
  return (
    <div ref={box} className="min-h-0">
      <svg
        viewBox={`${-margin} ${-margin} ${edge.widthMm + 2 * margin} ${edge.heightMm + 2 * margin}`}
        className="h-full w-full touch-none select-none"
        role="img"
        aria-label="Outline of the device, to scale"
      >
        <path d={whole} fill="var(--sheet)" stroke="var(--ink)" strokeWidth={1.5 * px} />
        {document.screws.map((screw) => (
          <circle
            key={screw.id}
            cx={screw.xMm}
            cy={screw.yMm}
            r={3.5 * px}
            fill="none"
            stroke="var(--quiet)"
            strokeWidth={1.5 * px}
            strokeDasharray={screw.hidden ? `${2 * px}` : undefined}
          >
            <title>{`${screw.driver}, ${screw.lengthMm} mm, layer ${screw.layer}`}</title>
          </circle>
        ))}
        {longestFirst(document.features).map((feature) => (
          <path
            key={feature.id}
            d={pathAlong(
              edge.outline,
              edge.perimeterMm,
              wrapped(feature.fromMm, edge.perimeterMm),
              Math.min(feature.lengthMm, edge.perimeterMm),
            )}
            fill="none"
            stroke={
              wrong.has(feature.id) ? "var(--alarm)" : feature.id === chosen ? "var(--lamp)" : "var(--free)"
            }
            strokeWidth={(feature.lengthMm > edge.perimeterMm / 2 ? 3 : 10) * px}
            className="cursor-grab"
            onPointerDown={(event) => {
              event.currentTarget.setPointerCapture(event.pointerId);
              drag.current = { before: feature, at: positionAt(event) };
              onChoose(feature.id);
              onBegin();
            }}
            onPointerMove={(event) => {
              const now = drag.current;
              if (now) {
                const by = positionAt(event) - now.at;
                const snap = places(document, edge, feature.id);
                onSet(
                  feature.id,
                  dragged(now.before, "body", by, snap, edge.perimeterMm, SNAP_PX * px),
                  true,
                );
              }
            }}
            onPointerUp={() => (drag.current = null)}
            onPointerCancel={() => (drag.current = null)}
          >
            <title>{feature.words}</title>
          </path>
        ))}
      </svg>
    </div>
  );
}

function FeatureForm({
  feature,
  confidence,
  onSet,
  onConfidence,
}: {
  feature: Feature;
  confidence: Confidence;
  onSet: (values: Partial<Feature>) => void;
  onConfidence: (confidence: Confidence) => void;
}) {
  return (
    <div className="grid grid-cols-2 gap-3">
      <Choose
        id="feature-kind"
        label="Kind"
        value={feature.kind}
        onChange={(e) => onSet({ kind: e.target.value as Feature["kind"] })}
      >
        {FEATURE_KINDS.map((kind) => (
          <option key={kind} value={kind}>
            {kind.toLowerCase()}
          </option>
        ))}
      </Choose>
      <Field
        id="feature-words"
        label="Called"
        value={feature.words}
        onChange={(e) => onSet({ words: e.target.value })}
      />
      <Millimetres
        id="feature-from"
        label="From"
        value={feature.fromMm}
        onValue={(fromMm) => onSet({ fromMm: fromMm ?? 0 })}
      />
      <Millimetres
        id="feature-length"
        label="Length"
        value={feature.lengthMm}
        onValue={(lengthMm) => onSet({ lengthMm: lengthMm ?? 0 })}
      />
      <Millimetres
        id="feature-depth"
        label="Tool no deeper than"
        value={feature.depthMm}
        onValue={(depthMm) => onSet({ depthMm })}
      />
      <Choose
        id="feature-hazard"
        label="A slip costs"
        value={nearestSlip(feature.hazard)}
        onChange={(e) => onSet({ hazard: Number(e.target.value) })}
      >
        {SLIPS.map(([hazard, words]) => (
          <option key={hazard} value={hazard}>
            {words}
          </option>
        ))}
      </Choose>
      <div className="col-span-2">
        <Field
          id="feature-consequence"
          label="What then"
          value={feature.consequence}
          onChange={(e) => onSet({ consequence: e.target.value })}
        />
      </div>
      <Choose
        id="feature-confidence"
        label="How sure"
        value={confidence}
        onChange={(e) => onConfidence(e.target.value as Confidence)}
      >
        {CONFIDENCES.map(([one, words]) => (
          <option key={one} value={one}>
            {words}
          </option>
        ))}
      </Choose>
      <label className="flex min-h-12 items-center gap-2 self-end">
        <input
          type="checkbox"
          className="size-6"
          checked={feature.keepsTapeOff}
          onChange={(e) => onSet({ keepsTapeOff: e.target.checked })}
        />
        no tape here
      </label>
    </div>
  );
}

function nearestSlip(hazard: number): number {
  return SLIPS.map(([h]) => h).reduce((a, b) => (Math.abs(b - hazard) < Math.abs(a - hazard) ? b : a));
}
