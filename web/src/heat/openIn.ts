import type { Plan } from "./useHeat";

/** In whole minutes: nobody cuts by the second. */
export function openIn({ seconds, lateSeconds }: NonNullable<Plan["then"]>): string {
  const soon = Math.ceil(seconds / 60);
  const late = Math.ceil(lateSeconds / 60);
  return late > soon ? `${soon} – ${late} min` : `${soon} min`;
}
