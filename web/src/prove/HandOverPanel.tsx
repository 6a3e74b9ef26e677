import { Link } from "react-router";
import type { PanelProps } from "@/job/panel";
import { useUnits } from "@/session/useSession";
import { Button } from "@/ui/Button";
import { ScrollRegion } from "@/ui/ScrollRegion";
import { Evidence, Functions, Signatures, useRecord } from "./Record";
import { Awaited } from "@/ui/Awaited";

/** What the owner is shown before it goes back: what works, what was kept and lost, what there is to look at, and who signed. */
export function HandOverPanel({ job, ask }: Pick<PanelProps, "job" | "ask">) {
  const units = useUnits();
  const { data: record } = useRecord(job.id, job.seq);
  if (!record) {
    return <Awaited words="Writing the record" />;
  }
  const signing = job.closed ? [] : job.steps.filter((step) => step.id.startsWith("prove.signed-"));
  return (
    <ScrollRegion label="Record" className="flex flex-col gap-5 pb-4">
      <div className="flex items-start gap-4">
        <p className="flex-1 text-3xl leading-tight font-bold">{record.told}</p>
        <Link to={`/jobs/${job.id}/record`} className="flex min-h-11 items-center underline">
          The whole record
        </Link>
      </div>
      {record.functions.length > 0 && <Functions functions={record.functions} />}
      {record.lost.length > 0 && <p className="text-lg font-semibold">Lost: {record.lost.join("; ")}</p>}
      {record.kept.length > 0 && <p className="text-lg">Kept: {record.kept.join(", ")}</p>}
      <Evidence pieces={record.evidence} units={units} shops={false} />
      <Signatures signatures={record.signatures} />
      <div className="flex gap-3">
        {signing.flatMap((step) =>
          step.choices.map((choice) => (
            <Button
              key={step.id}
              disabled={!choice.mine}
              onClick={() => ask({ title: step.title, hint: step.hint, choice, step })}
            >
              {step.answer === null ? step.title : `${step.title}: anew`}
            </Button>
          )),
        )}
      </div>
    </ScrollRegion>
  );
}
