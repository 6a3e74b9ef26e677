import { useQuery } from "@tanstack/react-query";
import { api, type Schemas, unwrap } from "@/api/client";
import { keys } from "@/api/keys";
import { learnServerTime } from "@/time/clock";
import type { Units } from "@/units/units";

export type Session = Schemas["SessionView"];
export type Me = Schemas["Me"];

export function useSession() {
  return useQuery({
    queryKey: keys.session,
    queryFn: async () => {
      const askedAt = Date.now();
      const session = unwrap(await api.GET("/api/session"));
      learnServerTime(session.serverTime, askedAt);
      return session;
    },
    staleTime: 60_000,
  });
}

const METRIC: Units = { temperature: "C", length: "mm" };

export function useUnits(): Units {
  return useSession().data?.me?.units ?? METRIC;
}
