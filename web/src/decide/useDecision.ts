import { keepPreviousData, useQuery } from "@tanstack/react-query";
import { api, type Schemas, unwrap } from "@/api/client";
import { keys } from "@/api/keys";

export type Decision = Schemas["DecideView"];

export function useDecision(jobId: string, seq: number): Decision | undefined {
  return useQuery({
    queryKey: keys.station(jobId, "decide", seq),
    queryFn: async () => unwrap(await api.GET("/api/jobs/{jobId}/decide", { params: { path: { jobId } } })),
    placeholderData: keepPreviousData,
  }).data;
}
