import { clockWords } from "@/time/clock";
import { say, temperature, type Units } from "@/units/units";
import { Modal } from "@/ui/Modal";
import type { Heat } from "./useHeat";

const when = (seconds: number | null) => (seconds === null ? "never" : clockWords(Math.round(seconds)));

/** Inputs, formula in words, what would change it most, how sure it is, and the settings not taken. */
export function WhyHeat({
  heat,
  units,
  open,
  onClose,
}: {
  heat: Heat;
  units: Units;
  open: boolean;
  onClose: () => void;
}) {
  return (
    <Modal title="Why this time?" open={open} onClose={onClose}>
      <div className="space-y-4">
        <p>
          Computed, not measured on this bench. Heat flows from the source through glass and bond into the
          frame, and through the display into the battery; 64 plausible benches are run side by side. The bond
          is workable from {temperature(heat.workableFromC, units)}, where peeling takes little enough force.
          On {Math.round(heat.readyShare * 100)} of 100 benches it is so after{" "}
          {clockWords(Math.round(heat.soakSeconds))}. A thermometer on the frame beats all of this.
        </p>
        <table className="w-full">
          <caption className="text-left font-semibold">What would change it most: bond ready at</caption>
          <thead>
            <tr className="text-left text-quiet">
              <th className="font-normal">if this is</th>
              <th className="font-normal">low</th>
              <th className="font-normal">high</th>
            </tr>
          </thead>
          <tbody>
            {heat.influences.map((influence) => (
              <tr key={influence.unknown} className="border-t border-line">
                <td className="py-1 pr-3">{influence.unknown}</td>
                <td className="digits">{when(influence.secondsAtLow)}</td>
                <td className="digits">{when(influence.secondsAtHigh)}</td>
              </tr>
            ))}
          </tbody>
        </table>
        <table className="w-full">
          <caption className="text-left font-semibold">Settings weighed</caption>
          <tbody>
            {heat.candidates.map((c) => (
              <tr key={`${c.sourceName}/${c.settingC}`} className={c.chosen ? "font-semibold" : ""}>
                <td className="pr-3">{c.sourceName}</td>
                <td className="digits pr-3">{temperature(c.settingC, units)}</td>
                <td className="digits pr-3">{clockWords(Math.round(c.soakSeconds))}</td>
                <td>{say(c.because, units)}</td>
              </tr>
            ))}
          </tbody>
        </table>
      </div>
    </Modal>
  );
}
