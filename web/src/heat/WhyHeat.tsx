import { clockWords } from "@/time/clock";
import { say, temperature, type Units } from "@/units/units";
import { Modal } from "@/ui/Modal";
import type { Plan } from "./useHeat";

const when = (seconds: number | null) => (seconds === null ? "never" : clockWords(Math.round(seconds)));

/** Inputs, formula in words, what would change it most, how sure it is, and the settings not taken. */
export function WhyHeat({
  plan,
  hand,
  units,
  open,
  onClose,
}: {
  plan: Plan;
  /** How hard a hand is reckoned to push. */
  hand: string;
  units: Units;
  open: boolean;
  onClose: () => void;
}) {
  return (
    <Modal
      title={plan.feasible ? "Why this time?" : "Why not, and what else there is"}
      open={open}
      onClose={onClose}
    >
      <div className="space-y-4">
        {!plan.feasible && (
          <section className="border-l-4 border-alarm pl-3">
            <h3 className="text-lg font-semibold">No source here softens this bond within the limits</h3>
            <ul className="list-disc pl-5">
              {plan.because.map((reason) => (
                <li key={reason}>{say(reason, units)}</li>
              ))}
            </ul>
            <p className="mt-2">
              What else there is: another source, or a recipe of your own to be judged (Sources and recipes);
              a soak with a thermometer logged, after which this bench is known better; solvent at the working
              edge once nothing is hot. The list on the right still offers the least bad soak: it keeps the
              limits, but the pick will drag.
            </p>
          </section>
        )}
        <p>
          {plan.howSure === "MEASURED_HERE"
            ? "Measured on this bench: a logged soak said what this source really does."
            : "Computed, not measured on this bench."}{" "}
          Heat flows from the source through glass and bond into the frame all round the edge, and through the
          display into the battery; {plan.weighed} plausible benches are run side by side. The bond is
          workable from {temperature(plan.workableFromC, units)}, where a pick goes through at a finger's
          width in a quarter of a minute or faster. {say(hand, units)} On {Math.round(plan.readyShare * 100)}{" "}
          of 100 benches it is so after {clockWords(Math.round(plan.soakSeconds))}.{" "}
          {plan.then &&
            "From there the whole way round was run, with every source the bench owns to warm it again, and followed on ten benches that are each a little different. "}
          A thermometer on the frame beats all of this.
        </p>
        {plan.feasible && plan.influences.length > 0 && (
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
              {plan.influences.map((influence) => (
                <tr key={influence.unknown} className="border-t border-line">
                  <td className="py-1 pr-3">{influence.unknown}</td>
                  <td className="digits">{when(influence.secondsAtLow)}</td>
                  <td className="digits">{when(influence.secondsAtHigh)}</td>
                </tr>
              ))}
            </tbody>
          </table>
        )}
        <table className="w-full">
          <caption className="text-left font-semibold">Settings of {plan.sourceName} weighed</caption>
          <tbody>
            {plan.candidates.map((c) => (
              <tr key={`${c.sweep}/${c.settingC}`} className={c.chosen ? "font-semibold" : ""}>
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
