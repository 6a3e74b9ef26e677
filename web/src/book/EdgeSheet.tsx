import { type PointerEvent, useRef } from "react";
import { pathAlong, positionNear } from "@/edge/geometry";
import { useSize } from "@/ui/useSize";
import { type Feature, wrapped } from "./document";
import { dragged, type Drawing, places, SNAP_PX } from "./dragging";

/** Short things lie over long ones, so that a finger finds both. */
function longestFirst(features: readonly Feature[]): Feature[] {
  return [...features].sort((a, b) => b.lengthMm - a.lengthMm);
}

/** The outline to scale; features can be dragged along it too. */
export function EdgeSheet({ document, edge, chosen, wrong, onChoose, onSet, onBegin }: Drawing) {
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
            <title>{`${screw.driver}, ${screw.underHeadMm} mm, layer ${screw.layer}`}</title>
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
