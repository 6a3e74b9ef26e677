import { useQueryClient } from "@tanstack/react-query";
import { useNavigate } from "react-router";
import { api, unwrap } from "@/api/client";
import { asText } from "@/api/files";
import { keys } from "@/api/keys";
import { useSubmit } from "@/api/useSubmit";
import { newId } from "@/live/outbox";
import { useMay } from "@/session/useMay";
import { FilePick } from "@/ui/FilePick";
import { ProblemNote } from "@/ui/ProblemNote";

/** A job that another book had written out as a file, or this one: whole, or not at all. */
export function BringIn() {
  const may = useMay("BRING_JOBS_IN");
  const navigate = useNavigate();
  const client = useQueryClient();
  const { problem, busy, submit } = useSubmit(async (file: File) => {
    const receipt = unwrap(
      await api.POST("/api/jobs-import", {
        params: { query: { commandId: newId() } },
        body: await file.text(),
        ...asText,
      }),
    );
    void client.invalidateQueries({ queryKey: keys.bench });
    await navigate(`/jobs/${receipt.jobId}`);
  });
  return may ? (
    <>
      <FilePick id="job-file" accept=".json" onFile={(file) => !busy && void submit(file)}>
        {busy ? "Reading the file …" : "Bring in a job’s file"}
      </FilePick>
      {problem && (
        <div className="basis-full">
          <ProblemNote problem={problem} />
        </div>
      )}
    </>
  ) : null;
}
