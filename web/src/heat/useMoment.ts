import { useEffect, useRef } from "react";
import { ring } from "@/sound/sound";
import { type Forecast, useForecast } from "./useHeat";

export type Moment = Forecast["moments"][number]["kind"] | "SOAKING";

/** Where a soak stands: the last of its moments that has come. */
export function momentOf(forecast: Pick<Forecast, "moments"> | undefined, elapsed: number): Moment {
  return forecast?.moments.filter((moment) => moment.fromSeconds <= elapsed).at(-1)?.kind ?? "SOAKING";
}

/** What is past its limit is told again and again, until it is off. */
const AGAIN_S = 10;

/** Where a running soak stands; rings at each moment, not for what was so when the page was opened. */
export function useMoment(jobId: string, seq: number, elapsed: number): Moment {
  const forecast = useForecast(jobId, seq, true);
  const known = forecast !== undefined;
  const moment = momentOf(forecast, elapsed);
  const before = useRef<Moment | null>(null);
  const since = forecast?.moments.find((one) => one.kind === "LIMIT")?.fromSeconds ?? 0;
  const again = moment === "LIMIT" ? Math.floor((elapsed - since) / AGAIN_S) : 0;
  useEffect(() => {
    if (known) {
      if (before.current !== null && before.current !== moment && moment !== "SOAKING") {
        ring(moment === "LIMIT" ? "LATEST" : "READY");
      }
      before.current = moment;
    }
  }, [known, moment]);
  useEffect(() => {
    if (again > 0) {
      ring("LATEST");
    }
  }, [again]);
  return moment;
}
