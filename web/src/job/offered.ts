import { useQueryClient } from "@tanstack/react-query";
import { useEffect } from "react";
import { keys } from "@/api/keys";

/** An instrument that has come to say something else: what the job offers first is asked for anew. */
export function useOffered(jobId: string, says: boolean | string | null | undefined): void {
  const client = useQueryClient();
  useEffect(() => {
    if (says !== undefined) {
      void client.invalidateQueries({ queryKey: keys.job(jobId), exact: true });
    }
  }, [client, jobId, says]);
}
