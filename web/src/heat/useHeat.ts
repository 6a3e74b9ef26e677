import { keepPreviousData, useQuery } from "@tanstack/react-query";
import { api, type Schemas, unwrap } from "@/api/client";
import { keys } from "@/api/keys";

export type Heat = Schemas["HeatView"];

/** The plan or, with a source and setting, what that choice would do. */
export function useHeat(jobId: string, seq: number, choice: { sourceId: string; settingC: number } | null) {
  return useQuery({
    queryKey: keys.station(jobId, "heat", seq, choice),
    queryFn: async () =>
      unwrap(
        await api.GET("/api/jobs/{jobId}/heat", {
          params: { path: { jobId }, query: choice ?? {} },
        }),
      ),
    placeholderData: keepPreviousData,
  });
}
