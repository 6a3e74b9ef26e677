import { Fragment, useState } from "react";
import { ProblemError, type Schemas } from "@/api/client";
import type { Job } from "@/job/useJob";
import { clockWords, secondsLeft, useServerSeconds } from "@/time/clock";
import { useSources } from "@/tools/useTools";
import { length, say, temperature, typed, type Units, unitLabel } from "@/units/units";
import { Button } from "@/ui/Button";
import { Choose, Field } from "@/ui/Field";
import { Modal } from "@/ui/Modal";
import { ProblemNote } from "@/ui/ProblemNote";
import { openIn } from "./openIn";
import { type Plan, type Recipe, useJudged } from "./useHeat";

const LED: Record<Plan["sweep"], string> = {
  FACE: "face down on it",
  ROUND: "led round the border",
  STRETCH_BY_STRETCH: "to and fro, stretch by stretch",
};

/** All sources of the bench side by side, and what any other recipe would do to this device. */
export function Sources({
  job,
  plans,
  schools,
  units,
  onChoose,
  onClose,
}: {
  job: Job;
  plans: Plan[];
  schools: Schemas["SchoolView"][];
  units: Units;
  onChoose: (plan: Plan) => void;
  onClose: () => void;
}) {
  return (
    <Modal title="With what, and how" wide open onClose={onClose}>
      <table className="w-full">
        <thead>
          <tr className="text-left text-quiet">
            <th className="font-normal">source</th>
            <th className="font-normal">setting</th>
            <th className="pr-3 font-normal">all free in</th>
            <th className="font-normal">why, or why not</th>
            <th>
              <span className="sr-only">choose</span>
            </th>
          </tr>
        </thead>
        <tbody>
          {plans.map((plan, i) => (
            <tr key={plan.sourceId} className="border-t border-line align-top">
              <td className="py-2 pr-3 font-semibold">{plan.sourceName}</td>
              <td className="digits py-2 pr-3 whitespace-nowrap">{temperature(plan.settingC, units)}</td>
              <td className="digits py-2 pr-3 whitespace-nowrap">
                {plan.feasible && plan.then ? openIn(plan.then) : "–"}
              </td>
              <td className="py-2 pr-3 leading-snug">
                {plan.because.map((reason) => say(reason, units)).join("; ")}
                {plan.taken && <Taken taken={plan.taken} />}
                <span className="block text-quiet">
                  {plan.byStretch ? "" : `${clockWords(plan.seconds)} ${LED[plan.sweep]}, `}
                  {plan.then && say(plan.then.words, units)}
                </span>
                {plan.preheatSeconds > 20 && (
                  <span className="block text-quiet">
                    switch it on {clockWords(Math.round(plan.preheatSeconds))} before
                  </span>
                )}
              </td>
              <td className="py-1">
                <Button
                  look={i === 0 ? "lamp" : "plain"}
                  aria-label={`Take ${plan.sourceName}`}
                  disabled={plan.taken !== null}
                  onClick={() => onChoose(plan)}
                >
                  Take
                </Button>
              </td>
            </tr>
          ))}
        </tbody>
      </table>
      {schools.length > 0 && (
        <section className="mt-4 border-t-2 border-ink pt-3">
          <h3 className="text-xl font-semibold">Other schools, beside the plan</h3>
          <dl className="mt-1 grid grid-cols-[minmax(12rem,1fr)_2.4fr] gap-x-4 gap-y-1.5 leading-snug">
            {schools.map((school) => (
              <Fragment key={school.words}>
                <dt className="font-semibold">{school.words}</dt>
                <dd>{say(school.price, units)}</dd>
              </Fragment>
            ))}
          </dl>
        </section>
      )}
      <ARecipe job={job} units={units} onChoose={onChoose} />
    </Modal>
  );
}

/** Another device lies on it. */
function Taken({ taken }: { taken: NonNullable<Plan["taken"]> }) {
  const left = secondsLeft(taken.freeAt, 0, useServerSeconds());
  return (
    <span className="block font-semibold text-alarm">
      {taken.whose} is on it; {left > 0 ? `free in ${clockWords(left)}` : "due off now"}
    </span>
  );
}

/** "170 °C, dial 3, a thumb's width away, a minute and a half": what would it do to this device? */
function ARecipe({ job, units, onChoose }: { job: Job; units: Units; onChoose: (plan: Plan) => void }) {
  const { data } = useSources();
  const sources = data?.sources ?? [];
  const [sourceId, setSourceId] = useState("");
  const [given, setGiven] = useState({ settingC: "", dial: "", distanceMm: "", seconds: "" });
  const [sweep, setSweep] = useState<Plan["sweep"]>("ROUND");
  const [recipe, setRecipe] = useState<Recipe | null>(null);
  const source = sources.find((s) => s.id === sourceId) ?? sources[0];
  const judged = useJudged(job.id, job.seq, recipe);
  if (!source) {
    return null;
  }
  const field = (id: keyof typeof given, label: string) => (
    <Field
      id={id}
      label={label}
      inputMode="decimal"
      value={given[id]}
      onChange={(e) => setGiven({ ...given, [id]: e.target.value })}
    />
  );
  const number = (text: string, unit: string | null) =>
    text.trim() === "" ? null : (typed(text, unit, units) as number);
  return (
    <section className="mt-5 border-t-2 border-ink pt-3">
      <h3 className="text-xl font-semibold">A recipe from elsewhere</h3>
      <form
        className="mt-2 grid grid-cols-2 items-end gap-3 sm:grid-cols-3"
        noValidate
        onSubmit={(event) => {
          event.preventDefault();
          setRecipe({
            sourceId: source.id,
            settingC: typed(given.settingC, "C", units) as number,
            dial: number(given.dial, null),
            distanceMm: number(given.distanceMm, "mm"),
            sweep: source.air ? sweep : "FACE",
            seconds: number(given.seconds, null),
          });
        }}
      >
        <Choose id="sourceId" label="Source" value={source.id} onChange={(e) => setSourceId(e.target.value)}>
          {sources.map((s) => (
            <option key={s.id} value={s.id}>
              {s.name}
            </option>
          ))}
        </Choose>
        {field("settingC", `Setting, ${unitLabel("C", units)}`)}
        {field("seconds", "Seconds; empty: what suits")}
        {source.air && field("dial", `Dial, ${source.air.dialFrom} to ${source.air.dialTo}`)}
        {source.air &&
          field(
            "distanceMm",
            `Distance, ${unitLabel("mm", units)}; usual ${length(source.air.usualDistanceMm, units)}`,
          )}
        {source.air && (
          <Choose
            id="sweep"
            label="Led"
            value={sweep}
            onChange={(e) => setSweep(e.target.value as Plan["sweep"])}
          >
            <option value="ROUND">{LED.ROUND}</option>
            <option value="STRETCH_BY_STRETCH">{LED.STRETCH_BY_STRETCH}</option>
          </Choose>
        )}
        <Button type="submit">Judge it</Button>
      </form>
      {judged.error instanceof ProblemError && <ProblemNote problem={judged.error.problem} />}
      {judged.isFetching && <p className="mt-3">Taking it through all plausible benches …</p>}
      {judged.data && !judged.isFetching && (
        <div className="mt-3 rounded-md border-2 border-line p-3" role="status">
          <p className="text-lg font-semibold">
            {judged.data.sourceName}, {temperature(judged.data.settingC, units)},{" "}
            {clockWords(Math.round(judged.data.soakSeconds))}
            {judged.data.dwells > 1 && ` a stretch, ${judged.data.dwells} stretches`}
          </p>
          <ul className="list-disc pl-5 leading-snug">
            {judged.data.because.map((reason) => (
              <li key={reason}>{say(reason, units)}</li>
            ))}
          </ul>
          <Button className="mt-2" onClick={() => onChoose(judged.data)}>
            Look at it
          </Button>
        </div>
      )}
    </section>
  );
}
