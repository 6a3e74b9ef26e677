import { useState } from "react";
import { useUnits } from "@/session/useSession";
import { length, lengthAtMost } from "@/units/units";
import { Button } from "@/ui/Button";
import { Modal } from "@/ui/Modal";
import { isTrueScale, pixelsPerMm, setPixelsPerMm } from "@/ui/trueScale";

const PICK_MM = { long: 40, wide: 12 };
/** Round on either rule. */
const BAR_MM = { mm: 80, in: 76.2 };
const MARGIN_MM = 4;

/** The pick as large as it is, with the flag of tape that stops it at the glass; a rule is laid on the screen first. */
export function PickMark({
  jobId,
  markMm,
  depthMm,
  tool,
  onClose,
}: {
  jobId: string;
  markMm: number;
  depthMm: number;
  tool: string;
  onClose: () => void;
}) {
  const units = useUnits();
  const [pixels, setPixels] = useState(pixelsPerMm);
  const [checking, setChecking] = useState(!isTrueScale());
  const bar = units.length === "in" ? BAR_MM.in : BAR_MM.mm;
  return (
    <Modal title="Tape flag on the pick" open onClose={onClose}>
      <p className="text-lg leading-snug">
        <b className="digits">{lengthAtMost(markMm, units)}</b> from the tip of the {tool}: it stops at the
        glass before it is {lengthAtMost(depthMm, units)} deep, however flat it is held.
      </p>
      <Pick pixels={pixels} markMm={markMm} />
      {checking ? (
        <>
          <p className="mt-3 leading-snug">Lay a rule on this bar and make it {length(bar, units)} long:</p>
          <div className="my-2 h-5 border-x-2 border-b-2 border-ink" style={{ width: bar * pixels }} />
          <label className="flex items-center gap-3">
            <span>shorter or longer</span>
            <input
              type="range"
              className="min-h-11 grow accent-lamp"
              min={2}
              max={11}
              step={0.01}
              value={pixels}
              onChange={(event) => setPixels(Number(event.target.value))}
            />
          </label>
          <Button
            look="lamp"
            className="mt-2"
            onClick={() => {
              setPixelsPerMm(pixels);
              setChecking(false);
            }}
          >
            It is {length(bar, units)} long
          </Button>
        </>
      ) : (
        <p className="mt-3 flex flex-wrap items-center gap-3 text-quiet">
          As large as it is on this screen.
          <Button onClick={() => setChecking(true)}>Lay a rule on it again</Button>
        </p>
      )}
      <p className="mt-3 flex gap-5 text-lg">
        {["pdf", "svg", "dxf"].map((format) => (
          <a
            key={format}
            className="inline-flex min-h-11 items-center underline"
            href={`/api/jobs/${jobId}/pick-marks?format=${format.toUpperCase()}`}
            target="_blank"
            rel="noreferrer"
          >
            {format === "pdf" ? "All marks on paper, PDF" : format.toUpperCase()}
          </a>
        ))}
      </p>
    </Modal>
  );
}

function Pick({ pixels, markMm }: { pixels: number; markMm: number }) {
  const width = PICK_MM.long + 2 * MARGIN_MM;
  const height = PICK_MM.wide + 2 * MARGIN_MM;
  const half = PICK_MM.wide / 2;
  return (
    <svg
      className="mt-3"
      role="img"
      aria-label="The pick as large as it is"
      width={width * pixels}
      height={height * pixels}
      viewBox={`${-MARGIN_MM} ${-MARGIN_MM} ${width} ${height}`}
    >
      <path
        d={`M ${half} ${PICK_MM.wide} A ${half} ${half} 0 0 1 ${half} 0 H ${PICK_MM.long} V ${PICK_MM.wide} Z`}
        fill="var(--bond)"
        stroke="var(--ink)"
        strokeWidth={0.3}
      />
      <rect x={markMm} y={-2} width={9} height={PICK_MM.wide + 4} fill="var(--lamp)" />
      <line x1={markMm} x2={markMm} y1={-3.5} y2={PICK_MM.wide + 3.5} stroke="var(--ink)" strokeWidth={0.4} />
      <line x1={0} x2={0} y1={-3.5} y2={PICK_MM.wide + 3.5} stroke="var(--ink)" strokeWidth={0.4} />
    </svg>
  );
}
