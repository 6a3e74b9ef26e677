import { keepPreviousData, useQuery } from "@tanstack/react-query";
import { api, type Schemas, unwrap } from "@/api/client";
import { keys } from "@/api/keys";

export type Edge = Schemas["EdgeView"];

/** How the device lies on the bench. */
export interface View {
  quarterTurns: number;
  faceDown: boolean;
}

export function useEdge(jobId: string, view: View) {
  return useQuery({
    queryKey: keys.station(jobId, "edge", view),
    queryFn: async () =>
      unwrap(await api.GET("/api/jobs/{jobId}/edge", { params: { path: { jobId }, query: view } })),
    staleTime: Infinity,
    placeholderData: keepPreviousData,
  });
}
