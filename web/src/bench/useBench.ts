import { useQuery } from "@tanstack/react-query";
import { api, unwrap } from "@/api/client";
import { keys } from "@/api/keys";
import { learnServerTime } from "@/time/clock";

export function useBench() {
  return useQuery({
    queryKey: keys.bench,
    queryFn: async () => {
      const askedAt = Date.now();
      const bench = unwrap(await api.GET("/api/bench"));
      learnServerTime(bench.serverTime, askedAt);
      return bench;
    },
    // Events bring changes at once; this only notices when the journal itself went away.
    refetchInterval: 6000,
  });
}
