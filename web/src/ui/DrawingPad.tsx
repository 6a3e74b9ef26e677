import { type PointerEvent, useRef, useState } from "react";
import { Button } from "./Button";

const WIDTH = 900;
const HEIGHT = 300;

type Stroke = readonly number[];

/** A field to draw a name on with a finger; what it tells is the lines, or nothing while there are none. */
export function DrawingPad({ label, onDrawn }: { label: string; onDrawn: (drawing: string) => void }) {
  const [strokes, setStrokes] = useState<readonly Stroke[]>([]);
  // What a busy screen has not drawn yet is part of the name too.
  const latest = useRef(strokes);
  const drawing = useRef<number | null>(null);
  const put = (next: readonly Stroke[]) => {
    latest.current = next;
    setStrokes(next);
    const lines = next.filter((stroke) => stroke.length >= 4);
    onDrawn(lines.length === 0 ? "" : JSON.stringify({ strokes: lines }));
  };
  const at = (event: PointerEvent<SVGSVGElement>): [number, number] => {
    const box = event.currentTarget.getBoundingClientRect();
    const within = (share: number, most: number) => Math.round(Math.min(1, Math.max(0, share)) * most);
    return [
      within((event.clientX - box.left) / box.width, WIDTH),
      within((event.clientY - box.top) / box.height, HEIGHT),
    ];
  };
  return (
    <div>
      <span className="mb-1 flex items-end justify-between text-quiet">
        {label}
        {strokes.length > 0 && (
          <Button look="quiet" className="px-0 underline" onClick={() => put([])}>
            Draw it anew
          </Button>
        )}
      </span>
      <svg
        viewBox={`0 0 ${WIDTH} ${HEIGHT}`}
        role="img"
        aria-label={`${label}: ${strokes.length} lines`}
        className="w-full touch-none rounded-md border-2 border-line bg-sheet"
        onPointerDown={(event) => {
          event.currentTarget.setPointerCapture(event.pointerId);
          drawing.current = event.pointerId;
          put([...latest.current, at(event)]);
        }}
        onPointerMove={(event) => {
          const last = latest.current.at(-1);
          if (drawing.current === event.pointerId && last) {
            put([...latest.current.slice(0, -1), [...last, ...at(event)]]);
          }
        }}
        onPointerUp={() => (drawing.current = null)}
        onPointerCancel={() => (drawing.current = null)}
      >
        <path d={`M40 ${HEIGHT - 60}H${WIDTH - 40}`} stroke="var(--line)" strokeWidth={3} />
        {strokes.map((stroke, i) => (
          <polyline
            key={i}
            points={stroke.join(" ")}
            fill="none"
            stroke="var(--ink)"
            strokeWidth={6}
            strokeLinecap="round"
            strokeLinejoin="round"
          />
        ))}
      </svg>
    </div>
  );
}
