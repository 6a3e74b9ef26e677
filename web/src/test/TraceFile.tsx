import { useQueryClient } from "@tanstack/react-query";
import { useState } from "react";
import { api, type Schemas, unwrap } from "@/api/client";
import { asText } from "@/api/files";
import { keys } from "@/api/keys";
import { useSubmit } from "@/api/useSubmit";
import { Button } from "@/ui/Button";
import { Choose, Field } from "@/ui/Field";
import { FilePick } from "@/ui/FilePick";
import { Modal } from "@/ui/Modal";
import { ProblemNote } from "@/ui/ProblemNote";

type Task = Schemas["TouchTaskView"];

/** A task of the proof from a file: a rig's, or one of a device without a browser. */
export function TraceFile({ jobId, tasks }: { jobId: string; tasks: Task[] }) {
  const client = useQueryClient();
  const [open, setOpen] = useState(false);
  const [task, setTask] = useState(tasks[0]?.task ?? "SWEEP");
  const [width, setWidth] = useState("");
  const [height, setHeight] = useState("");
  const take = useSubmit(async (file: File) => {
    unwrap(
      await api.PUT("/api/jobs/{jobId}/touch/{task}", {
        params: { path: { jobId, task }, query: { widthPx: Number(width), heightPx: Number(height) } },
        body: await file.text(),
        ...asText,
      }),
    );
    await client.invalidateQueries({ queryKey: keys.station(jobId, "touch") });
    setOpen(false);
  });
  return (
    <>
      <Button onClick={() => setOpen(true)}>From a file</Button>
      <Modal title="A trace from a file" open={open} onClose={() => setOpen(false)}>
        <div className="grid gap-3">
          <Choose
            id="trace-task"
            label="What was done"
            value={task}
            onChange={(event) => setTask(event.target.value as Task["task"])}
          >
            {tasks.map((one) => (
              <option key={one.task} value={one.task}>
                {one.words}
              </option>
            ))}
          </Choose>
          <div className="grid grid-cols-2 gap-3">
            <Field
              id="widthPx"
              label="Screen, px across"
              inputMode="numeric"
              value={width}
              onChange={(event) => setWidth(event.target.value)}
            />
            <Field
              id="heightPx"
              label="Screen, px down"
              inputMode="numeric"
              value={height}
              onChange={(event) => setHeight(event.target.value)}
            />
          </div>
          <div>
            <FilePick id="trace-file" accept=".csv,text/csv" onFile={(file) => void take.submit(file)}>
              CSV: t_ms, x, y, contact_id
            </FilePick>
          </div>
          {take.problem && <ProblemNote problem={take.problem} />}
        </div>
      </Modal>
    </>
  );
}
