import { useQueryClient } from "@tanstack/react-query";
import { useState } from "react";
import { api, type Schemas, unwrap } from "@/api/client";
import { asText } from "@/api/files";
import { keys } from "@/api/keys";
import { useSubmit } from "@/api/useSubmit";
import { kelvin, say, type Units } from "@/units/units";
import { Button } from "@/ui/Button";
import { FilePick } from "@/ui/FilePick";
import { Modal } from "@/ui/Modal";
import { ProblemNote } from "@/ui/ProblemNote";

/** The log of the last soak: out, in, and into what the bench knows of its source. */
export function SoakLog({ jobId, units, onClose }: { jobId: string; units: Units; onClose: () => void }) {
  const client = useQueryClient();
  const [fit, setFit] = useState<Schemas["FitView"] | null>(null);
  const [kept, setKept] = useState<number | null>(null);
  const params = { path: { jobId } };
  const learn = useSubmit(async () => {
    setFit(unwrap(await api.POST("/api/jobs/{jobId}/heat/calibration", { params })));
    await client.invalidateQueries({ queryKey: keys.heatSources });
    await client.invalidateQueries({ queryKey: keys.job(jobId) });
  });
  const take = useSubmit(async (file: File) => {
    const { readings } = unwrap(
      await api.POST("/api/jobs/{jobId}/heat/log", { params, body: await file.text(), ...asText }),
    );
    setKept(readings);
  });
  const problem = learn.problem ?? take.problem;
  return (
    <Modal title="The last soak, measured" open onClose={onClose}>
      <div className="space-y-4">
        <p className="leading-snug">
          What thermometers said during the soak shows how well this source really touches and how true its
          setting is. A sound log makes every plan for it narrower.
        </p>
        <div className="flex flex-wrap gap-3">
          <Button look="lamp" disabled={learn.busy} onClick={() => void learn.submit(undefined)}>
            Learn from it
          </Button>
          <FilePick id="log" accept=".csv,text/csv" onFile={(file) => void take.submit(file)}>
            Bring in a log (CSV)
          </FilePick>
          <a
            className="flex min-h-12 items-center rounded-md border-2 border-ink bg-sheet px-4"
            href={`/api/jobs/${jobId}/heat/log`}
            download
          >
            Take the log away (CSV)
          </a>
        </div>
        {learn.busy && !fit && <p role="status">Fitting …</p>}
        {kept !== null && <p role="status">{kept} readings brought in.</p>}
        {fit && <Fit fit={fit} units={units} />}
        {problem && <ProblemNote problem={problem} />}
      </div>
    </Modal>
  );
}

function Fit({ fit, units }: { fit: Schemas["FitView"]; units: Units }) {
  if (!fit.taken) {
    return (
      <div role="status">
        <p className="font-semibold text-alarm">Not taken:</p>
        <ul className="list-disc pl-5">
          {fit.because.map((reason) => (
            <li key={reason}>{say(reason, units)}</li>
          ))}
        </ul>
      </div>
    );
  }
  const whole = (value: number | null | undefined) => Math.round(value ?? 0);
  return (
    <div role="status" className="leading-snug">
      <p className="text-lg font-semibold">{fit.sourceName} is measured on this bench now.</p>
      <p>
        Contact {whole(fit.contactWPerM2K?.p50)} W/m²K ({whole(fit.contactWPerM2K?.p10)} to{" "}
        {whole(fit.contactWPerM2K?.p90)}); {kelvin(fit.offsetK?.p50 ?? 0, units)} off its setting. Log and
        model differ by {kelvin(fit.rmsK ?? 0, units)}, over {fit.readings ?? 0} readings.
      </p>
    </div>
  );
}
