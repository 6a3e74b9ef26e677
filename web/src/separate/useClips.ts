import { useQuery } from "@tanstack/react-query";
import { api, type Schemas, unwrap } from "@/api/client";
import { keys } from "@/api/keys";

export type Clips = Schemas["ClipsView"];

/** The clips that hold a front, and in which order they come free and go home. */
export function useClips(jobId: string, seq: number, wanted = true): Clips | undefined {
  return useQuery({
    queryKey: keys.station(jobId, "clips", seq),
    queryFn: async () => unwrap(await api.GET("/api/jobs/{jobId}/clips", { params: { path: { jobId } } })),
    enabled: wanted,
    placeholderData: (before: Clips | undefined) => before,
  }).data;
}
