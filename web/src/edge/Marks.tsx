import type { Edge } from "./useEdge";

/** Damage as it was drawn: cracks as lines, dents as rings, bends as a corner's arrow. */
export function Marks({ marks, px }: { marks: Edge["marks"]; px: number }) {
  return marks.map((mark) => {
    const first = mark.dots[0];
    if (!first) {
      return null;
    }
    if (mark.kind === "CRACK") {
      return (
        <polyline
          key={mark.seq}
          points={mark.dots.map((d) => `${d.x.toFixed(2)},${d.y.toFixed(2)}`).join(" ")}
          fill="none"
          stroke="var(--alarm)"
          strokeWidth={2.5 * px}
          strokeLinejoin="round"
        >
          <title>{mark.words}</title>
        </polyline>
      );
    }
    return (
      <g key={mark.seq} fill="none" stroke="var(--alarm)" strokeWidth={2.5 * px}>
        <title>{mark.words}</title>
        <circle
          cx={first.x}
          cy={first.y}
          r={9 * px}
          strokeDasharray={mark.kind === "BEND" ? `${4 * px} ${3 * px}` : undefined}
        />
        {mark.kind === "DENT" && (
          <circle cx={first.x} cy={first.y} r={2 * px} fill="var(--alarm)" stroke="none" />
        )}
      </g>
    );
  });
}
