import { Lock } from "lucide-react";
import type { PanelProps } from "@/job/panel";
import { FlushPanel } from "./FlushPanel";
import { BeadPanel } from "./BeadPanel";
import { ClosingBand } from "./ClosingBand";
import { DustPanel } from "./DustPanel";
import { useUnits } from "@/session/useSession";
import { say } from "@/units/units";
import { Button } from "@/ui/Button";
import { ScrollRegion } from "@/ui/ScrollRegion";
import { useSeal } from "./useSeal";

/** The last hold point: the button itself says what still stands in the way. */
export function SealPanel(props: PanelProps) {
  const { job, choose, signOff, pointed, onPoint, view, onView } = props;
  const units = useUnits();
  const step = job.steps.find((s) => s.id === "seal.seal");
  const seal = step?.choices[0];
  const holds = job.holdsBeforeSealing;
  const sealed = step?.answer !== null;
  const laying = job.steps.some((s) => s.id === "seal.bead");
  const bead = useSeal(job.id, job.seq, laying).data?.bead;
  if (bead && (job.nextStepId === "seal.bead" || (!sealed && job.nextStepId === "seal.seal"))) {
    return <BeadPanel {...props} bead={bead} />;
  }
  if (job.nextStepId === "seal.dust") {
    return <DustPanel {...props} />;
  }
  if (sealed && job.bonded) {
    return <FlushPanel {...props} />;
  }
  if (!step || !seal) {
    return null;
  }
  return (
    <div className="flex min-h-0 flex-1 flex-col gap-5">
      {!job.bonded && (
        <ClosingBand job={job} pointed={pointed} onPoint={onPoint} view={view} onView={onView} />
      )}
      <h2 className="text-3xl font-bold">
        {sealed ? "The front is closed" : job.bonded ? "Sealing can't be undone" : "Closed clip by clip"}
      </h2>
      {!sealed && (
        <Button
          look={holds.length === 0 && seal.mine ? "lamp" : "plain"}
          disabled={holds.length > 0 || !seal.mine}
          aria-describedby="seal-holds"
          className="flex min-h-24 items-center gap-4 px-6 text-3xl font-bold"
          onClick={() => choose(step, seal)}
        >
          {holds.length > 0 && <Lock aria-hidden size={34} />}
          {holds.length > 0
            ? `Held by ${holds.length} ${holds.length === 1 ? "thing" : "things"}`
            : step.title}
        </Button>
      )}
      <ScrollRegion id="seal-holds" label="What holds the seal">
        {holds.length > 0 && (
          <ul className="columns-2 gap-8 text-lg">
            {holds.map((hold) => (
              <li key={hold.id} className="mb-2 break-inside-avoid border-l-4 border-alarm pl-3 leading-snug">
                {say(hold.because, units)}
                <span className="block text-base text-quiet">{hold.stationWords}</span>
                {signOff(hold)}
              </li>
            ))}
          </ul>
        )}
        {holds.length === 0 && !sealed && (
          <p className="text-xl">Tested, clean, nothing left inside. {step.hint && say(step.hint, units)}.</p>
        )}
        {sealed && <p className="text-xl">Now prove every function once more.</p>}
      </ScrollRegion>
    </div>
  );
}
