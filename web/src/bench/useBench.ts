import { useQuery } from "@tanstack/react-query";
import { api, unwrap } from "@/api/client";
import { keys } from "@/api/keys";
import { learnServerTime } from "@/time/clock";

export function useBench() {
  return useQuery({ queryKey: keys.bench, queryFn: async () => unwrap(await api.GET("/api/bench")) });
}

/** The clocks of all jobs, on every screen. */
export function useClocks() {
  return useQuery({
    queryKey: keys.clocks,
    queryFn: async () => {
      const askedAt = Date.now();
      const clocks = unwrap(await api.GET("/api/clocks"));
      learnServerTime(clocks.serverTime, askedAt);
      return clocks;
    },
    // Events bring changes at once; this only notices when the journal itself went away.
    refetchInterval: 6000,
  });
}
