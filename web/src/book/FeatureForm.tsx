import { Choose, Field } from "@/ui/Field";
import { featureKindValues } from "@/api/schema";
import { type Confidence, CONFIDENCES, type Feature } from "./document";
import { Millimetres } from "./fields";

const SLIPS: [number, string][] = [
  [0.1, "a scratch"],
  [0.3, "a cheap part"],
  [0.5, "a feature works worse"],
  [0.8, "a costly part"],
  [1, "a feature is lost for good"],
];

/** What is known of one thing on the edge, typed. */
export function FeatureForm({
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
        {featureKindValues.map((kind) => (
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
