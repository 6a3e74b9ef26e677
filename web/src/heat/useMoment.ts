import { useEffect, useRef } from "react";
import { ring } from "@/sound/sound";
import { useForecast } from "./useHeat";

export type Moment = "soaking" | "ready" | "limit";

/** Where a soak stands. */
export function momentOf(
  forecast: { readyAtSeconds: { p50: number | null }; latestSeconds: number } | undefined,
  elapsed: number,
): Moment {
  const ready = forecast?.readyAtSeconds.p50 ?? Number.POSITIVE_INFINITY;
  return !forecast
    ? "soaking"
    : elapsed >= forecast.latestSeconds
      ? "limit"
      : elapsed >= ready
        ? "ready"
        : "soaking";
}

/**
 * Where a running soak stands; rings once when the bond is likely ready and once when a limit is near, not for what was so
 * when the page was opened.
 */
export function useMoment(jobId: string, seq: number, elapsed: number): Moment {
  const forecast = useForecast(jobId, seq, true);
  const known = forecast !== undefined;
  const moment = momentOf(forecast, elapsed);
  const before = useRef<Moment | null>(null);
  useEffect(() => {
    if (known) {
      if (before.current !== null && before.current !== moment && moment !== "soaking") {
        ring(moment === "limit" ? "LATEST" : "READY");
      }
      before.current = moment;
    }
  }, [known, moment]);
  return moment;
}
