import type { Piece } from "@/edge/pieces";
import { clockWords } from "@/time/clock";
import { temperature, type Units } from "@/units/units";
import type { Forecast, Plan } from "./useHeat";

/** A bar is full where the bond is workable and empty at this. */
const BAR_FROM_C = 20;

function piece(
  from: number,
  length: number,
  celsius: number,
  workableC: number,
  units: Units,
  title: string,
): Piece {
  return {
    id: `warm-${from}`,
    from,
    length,
    tone: celsius >= workableC ? "warm" : "cold",
    fill: Math.min(1, Math.max(0.1, (celsius - BAR_FROM_C) / (workableC - BAR_FROM_C))),
    label: temperature(celsius, units).replace(/ °.$/, ""),
    title,
  };
}

/** A temperature is written where it changes; the same again and again says nothing. */
function once(pieces: Piece[]): Piece[] {
  return pieces.map((p, i) => (p.label === pieces[i - 1]?.label ? { ...p, label: "" } : p));
}

/** Where the bond would be warm at the planned pull. */
export function plannedWarmth(plan: Plan, units: Units): Piece[] {
  return once(
    plan.stretches.map((s) =>
      piece(
        s.fromMm,
        s.lengthMm,
        s.bondAtPullC,
        plan.workableFromC,
        units,
        `bond ${temperature(s.bondAtPullC, units)} when lifted${s.why ? `: ${s.why}` : ""}`,
      ),
    ),
  );
}

/** What the forecast says of a moment, between the points of its curve; past its end, what it says of that. */
export function atMoment(
  forecast: Forecast,
  seconds: number,
  of: (point: number) => number | null | undefined,
): number | null {
  const { curve } = forecast;
  const next = curve.findIndex((point) => point.seconds >= seconds);
  const [from, to] = [curve[next - 1], curve[next]];
  const [before, after] = [of(next - 1), of(next)];
  if (next < 0) {
    return of(curve.length - 1) ?? null;
  }
  if (!from || !to || typeof before !== "number" || typeof after !== "number") {
    return after ?? null;
  }
  return before + ((seconds - from.seconds) / (to.seconds - from.seconds)) * (after - before);
}

/** Where the bond is warm now, as forecast. */
export function warmthAt(forecast: Forecast, seconds: number, units: Units): Piece[] {
  return once(
    forecast.stretches.map((s) => {
      const celsius = atMoment(forecast, seconds, (point) => s.bondC[point]) ?? BAR_FROM_C;
      return piece(
        s.fromMm,
        s.lengthMm,
        celsius,
        forecast.workableFromC,
        units,
        `bond about ${temperature(celsius, units)}`,
      );
    }),
  );
}

/** Neighbours that go cold within this many seconds of each other are told as one. */
const ALIKE_S = 10;

/** Ends that are nearer than this are one. */
const SEAM_MM = 0.1;

/** How long each stretch stays workable from now on, once off the source. */
export function coolingPieces(forecast: Forecast, seconds: number): Piece[] {
  const runs: { from: number; length: number; left: number }[] = [];
  for (const s of forecast.stretches) {
    const cold = s.coldAtSeconds.p50;
    const never = s.readyAtSeconds.p50 === null;
    const left = never
      ? 0
      : cold === null
        ? Number.POSITIVE_INFINITY
        : Math.max(0, Math.round(cold - seconds));
    const last = runs.at(-1);
    const alike =
      last &&
      Math.abs(last.from + last.length - s.fromMm) < SEAM_MM &&
      (last.left === left || (last.left > 0 && left > 0 && Math.abs(last.left - left) <= ALIKE_S));
    if (last && alike) {
      last.length += s.lengthMm;
      last.left = Math.min(last.left, left);
    } else {
      runs.push({ from: s.fromMm, length: s.lengthMm, left });
    }
  }
  return runs.map(({ from, length, left }) => ({
    id: `cold-${from}`,
    from,
    length,
    tone: left > 0 ? "warm" : "cold",
    fill: left > 0 ? 1 : 0.15,
    label: left <= 0 ? "cold" : left < 600 ? clockWords(left) : "",
    title: left > 0 ? `workable for about ${clockWords(left)}` : "cold again",
  }));
}

/** Whether the bond there is cold by now, as forecast; it counts round the edge. */
export function isColdAt(forecast: Forecast, seconds: number, atMm: number): boolean {
  const there = forecast.stretches.find((s) => atMm >= s.fromMm && atMm < s.fromMm + s.lengthMm);
  const cold = there?.coldAtSeconds.p50 ?? null;
  return cold !== null && cold <= seconds;
}
