import { useEffect, useRef, useSyncExternalStore } from "react";
import type { Schemas } from "@/api/client";
import { secondsLeft, useServerSeconds } from "@/time/clock";

/** Each kind of timer has its own figure, told apart without looking: pitch in Hz and beats. */
const FIGURES: { readonly [kind: string]: number[] } = {
  SOAK: [523, 784, 523, 784],
  AIR: [659, 880],
  WORKABLE: [784, 659, 523],
  DRYING: [988, 988, 988],
  PRESSING: [392, 392],
  READY: [523, 659, 784, 1047],
  LATEST: [988, 494, 988, 494, 988, 494],
};

const MUTED = "ridgefall.muted";
let muted = localStorage.getItem(MUTED) === "yes";
const watchers = new Set<() => void>();

export function setMuted(now: boolean): void {
  muted = now;
  localStorage.setItem(MUTED, now ? "yes" : "no");
  watchers.forEach((watcher) => watcher());
}

export function useMuted(): boolean {
  return useSyncExternalStore(
    (watcher) => {
      watchers.add(watcher);
      return () => watchers.delete(watcher);
    },
    () => muted,
  );
}

let audio: AudioContext | undefined;
let tones = 0;

/** What a kind without a figure of its own sounds like. */
const ANY = [659, 659];

export function ring(kind: string): void {
  if (muted) {
    return;
  }
  audio ??= new AudioContext();
  void audio.resume();
  const start = audio.currentTime + 0.05;
  (FIGURES[kind] ?? ANY).forEach((pitch, beat) => {
    const tone = audio?.createOscillator();
    const gain = audio?.createGain();
    if (!audio || !tone || !gain) {
      return;
    }
    tone.frequency.value = pitch;
    gain.gain.setValueAtTime(0.0001, start + beat * 0.22);
    gain.gain.exponentialRampToValueAtTime(0.3, start + beat * 0.22 + 0.02);
    gain.gain.exponentialRampToValueAtTime(0.0001, start + beat * 0.22 + 0.2);
    tone.connect(gain).connect(audio.destination);
    tones++;
    tone.onended = () => {
      tones--;
      if (tones === 0) {
        // A device that plays silence is kept awake by it.
        void audio?.suspend();
      }
    };
    tone.start(start + beat * 0.22);
    tone.stop(start + beat * 0.22 + 0.21);
  });
}

/** Rings once for each timer at the moment it ends, not for those long over when the page is opened. */
export function useRinging(timers: readonly Schemas["BenchTimer"][]): void {
  const now = useServerSeconds();
  const rung = useRef(new Set<string>());
  useEffect(() => {
    for (const timer of timers) {
      const id = `${timer.jobId}/${timer.seq}`;
      const left = secondsLeft(timer.startedAt, timer.seconds, now);
      if (left <= 0 && left > -5 && !rung.current.has(id)) {
        rung.current.add(id);
        ring(timer.kind);
      }
    }
  }, [timers, now]);
}
