import { useState } from "react";
import { filled } from "@/job/filled";
import type { Record as RecordFact } from "@/job/useJob";
import { temperature, typed, type Units, unitLabel } from "@/units/units";
import { Button } from "@/ui/Button";
import { Field } from "@/ui/Field";
import { Modal } from "@/ui/Modal";
import type { Forecast } from "./useHeat";
import { momentOf } from "./useMoment";

/** What can happen while it lies there, a tap each; every one moves the forecast. */
export function During({
  forecast,
  elapsed,
  record,
  units,
}: {
  forecast: Forecast;
  elapsed: number;
  record: RecordFact;
  units: Units;
}) {
  const { during } = forecast;
  const [asking, setAsking] = useState(false);
  return (
    <>
      {(
        [
          [during.pickGoesIn, "i"],
          [during.notYet, "n"],
          [during.lying, "f"],
        ] as const
      ).map(([choice, key]) => (
        <Button key={choice.label} shortcut={key} onClick={() => void record(choice.fact, choice.label)}>
          {choice.label}
        </Button>
      ))}
      <Button shortcut="k" onClick={() => setAsking(true)}>
        {during.setting.label}
      </Button>
      {!forecast.flat && <span className="font-semibold text-alarm">lies on an edge only</span>}
      {momentOf(forecast, elapsed) === "LIMIT" && (
        <span className="font-semibold text-alarm">off now: it is past its limit</span>
      )}
      {asking && (
        <NewSetting
          forecast={forecast}
          units={units}
          onClose={() => setAsking(false)}
          onSet={(settingC) => void record(filled(during.setting, { settingC }), "Setting changed")}
        />
      )}
    </>
  );
}

function NewSetting({
  forecast,
  units,
  onSet,
  onClose,
}: {
  forecast: Forecast;
  units: Units;
  onSet: (settingC: number | string) => void;
  onClose: () => void;
}) {
  const [given, setGiven] = useState("");
  return (
    <Modal title={`${forecast.sourceName} is now set to`} open onClose={onClose}>
      <form
        className="space-y-4"
        noValidate
        onSubmit={(event) => {
          event.preventDefault();
          onSet(typed(given, "C", units));
          onClose();
        }}
      >
        <Field
          id="settingC"
          label={`Setting, ${unitLabel("C", units)}; it was ${temperature(forecast.settingC, units)}`}
          inputMode="decimal"
          value={given}
          onChange={(e) => setGiven(e.target.value)}
        />
        <Button type="submit" look="lamp">
          Set
        </Button>
      </form>
    </Modal>
  );
}
