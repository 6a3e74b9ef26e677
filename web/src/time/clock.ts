import { useSyncExternalStore } from "react";

/** How far the server's clock is ahead of this one, in ms; timers count by the server's. */
let ahead = 0;

export function learnServerTime(iso: string, receivedAt: number = Date.now()): void {
  ahead = Date.parse(iso) - receivedAt;
}

export function serverNow(): number {
  return Date.now() + ahead;
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

/** Whole seconds left of a timer; negative once it is over. */
export function secondsLeft(startedAt: string, seconds: number, nowS: number): number {
  return Math.ceil(Date.parse(startedAt) / 1000 + seconds - nowS);
}

/** 4:07, or +0:12 when over by so much. */
export function clockWords(left: number): string {
  const s = Math.abs(left);
  const hours = Math.floor(s / 3600);
  const minutes = Math.floor((s % 3600) / 60);
  const tail = `${hours > 0 ? String(minutes).padStart(2, "0") : minutes}:${String(s % 60).padStart(2, "0")}`;
  return `${left < 0 ? "+" : ""}${hours > 0 ? `${hours}:` : ""}${tail}`;
}
