import { useSyncExternalStore } from "react";

/** How far the server's clock is ahead of this one, in ms, give or take; timers count by the server's. */
let ahead = { ms: 0, giveOrTake: Number.POSITIVE_INFINITY };

/** Clocks that differ by less were not set; they only tick unevenly. */
const UNEVEN_MS = 250;

/**
 * An answer was stamped somewhere between question and arrival: the quickest says it best, and a slow one counts only where it
 * can't be true otherwise, because a clock was set.
 */
export function learnServerTime(iso: string, askedAt: number, receivedAt: number = Date.now()): void {
  const said = { ms: Date.parse(iso) - (askedAt + receivedAt) / 2, giveOrTake: (receivedAt - askedAt) / 2 };
  const apart = Math.abs(said.ms - ahead.ms) - said.giveOrTake - ahead.giveOrTake;
  if (said.giveOrTake <= ahead.giveOrTake || apart > UNEVEN_MS) {
    ahead = said;
  }
}

export function serverNow(): number {
  return Date.now() + ahead.ms;
}

const watchers = new Set<() => void>();
let ticking: ReturnType<typeof setInterval> | undefined;

function subscribe(watcher: () => void): () => void {
  watchers.add(watcher);
  ticking ??= setInterval(() => watchers.forEach((w) => w()), 250);
  return () => {
    watchers.delete(watcher);
    if (watchers.size === 0) {
      clearInterval(ticking);
      ticking = undefined;
    }
  };
}

/** Server time in whole seconds; renders again when the second changes. */
export function useServerSeconds(): number {
  return useSyncExternalStore(subscribe, () => Math.floor(serverNow() / 1000));
}

/** Whole seconds left of a timer, less than one off; negative once it is over. Both ends are cut to the second. */
export function secondsLeft(startedAt: string, seconds: number, nowS: number): number {
  return Math.floor(Date.parse(startedAt) / 1000) + seconds - nowS;
}

/** 4:07, or +0:12 when over by so much. */
export function clockWords(left: number): string {
  const s = Math.abs(left);
  const hours = Math.floor(s / 3600);
  const minutes = Math.floor((s % 3600) / 60);
  const tail = `${hours > 0 ? String(minutes).padStart(2, "0") : minutes}:${String(s % 60).padStart(2, "0")}`;
  return `${left < 0 ? "+" : ""}${hours > 0 ? `${hours}:` : ""}${tail}`;
}
