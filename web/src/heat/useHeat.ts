import { keepPreviousData, useQuery } from "@tanstack/react-query";
import { api, type Schemas, unwrap } from "@/api/client";
import { keys } from "@/api/keys";

export type Plan = Schemas["HeatPlanView"];
export type Forecast = Schemas["ForecastView"];
export type Heat = Schemas["HeatView"];
export type Guarded = Schemas["Guarded"];

/** How a source is set and led; without seconds the time is asked for. */
export interface Recipe {
  sourceId: string;
  settingC: number;
  dial: number | null;
  distanceMm: number | null;
  sweep: Plan["sweep"];
  seconds: number | null;
}

const HANDS_MS = 10_000;

/**
 * The best plan of each source: a rough one at once, and only then the full ones, which would keep it waiting. Where they are
 * at hand already they are what comes first.
 */
export function useHeat(jobId: string, seq: number, wanted: boolean) {
  const ask = (first: boolean) => async () =>
    unwrap(await api.GET("/api/jobs/{jobId}/heat", { params: { path: { jobId }, query: { first } } }));
  const first = useQuery({
    queryKey: keys.station(jobId, "heat-first", seq),
    queryFn: ask(true),
    enabled: wanted,
    placeholderData: keepPreviousData,
  });
  const full = useQuery({
    queryKey: keys.station(jobId, "heat", seq),
    queryFn: ask(false),
    enabled: wanted && first.data?.rough === true && !first.isPlaceholderData,
  });
  return full.data ?? first.data;
}

/** What a source in a setting would do to this device. */
export function useJudged(jobId: string, seq: number, recipe: Recipe | null) {
  return useQuery({
    queryKey: keys.station(jobId, "judged", seq, recipe),
    enabled: recipe !== null,
    queryFn: async () => {
      const { sourceId, settingC, sweep, dial, distanceMm, seconds } = recipe as Recipe;
      return unwrap(
        await api.GET("/api/jobs/{jobId}/heat/judged", {
          params: {
            path: { jobId },
            query: {
              sourceId,
              settingC,
              sweep,
              ...(dial === null ? {} : { dial }),
              ...(distanceMm === null ? {} : { distanceMm }),
              ...(seconds === null ? {} : { seconds }),
            },
          },
        }),
      );
    },
    retry: false,
  });
}

/** The forecast of the last soak; instruments move it while it runs. */
export function useForecast(jobId: string, seq: number, wanted: boolean) {
  return useQuery({
    queryKey: keys.station(jobId, "forecast", seq),
    queryFn: async () =>
      unwrap(await api.GET("/api/jobs/{jobId}/heat/forecast", { params: { path: { jobId } } })),
    enabled: wanted,
    placeholderData: keepPreviousData,
    refetchInterval: (query) => (query.state.data?.running ? HANDS_MS : false),
  }).data;
}
