import { useEffect, useLayoutEffect, useRef } from "react";
import { useNavigate } from "react-router";
import { setMuted, useMuted } from "@/sound/sound";
import { secondsLeft, serverNow } from "@/time/clock";
import type { LargeAction } from "./largeAction";
import type { Choice, Job, Step } from "./useJob";

/** What goes wrong most, in the order the core tells it: slip, new crack. */
export const MISHAP_KEYS = ["s", "c"];

/** A foot on the pedal bounces. What answers a question is asked there: useQuestion. */
const BOUNCE_MS = 250;

/** Whether a step still waits for its timer; then the pedal must not end it by accident. */
function waits(step: Step, timers: Job["timers"], nowS: number): boolean {
  const timer = timers.find((t) => t.seq === step.waitsFor);
  return timer !== undefined && secondsLeft(timer.startedAt, timer.seconds, nowS) > 0;
}

/** What a button in sight says is its key. */
function inSight(key: string, once: (tap: () => void) => void): (() => void) | undefined {
  const button = Array.from(document.querySelectorAll<HTMLButtonElement>("button[aria-keyshortcuts]")).find(
    (one) => one.getAttribute("aria-keyshortcuts") === key && !one.disabled,
  );
  return button && (() => once(() => button.click()));
}

/** The keyboard path through a job: what a pedal, a gloved knuckle or a fast typist uses. */
export function useKeys(on: {
  enabled: boolean;
  action: LargeAction;
  /** Does what the large action says. */
  go: () => void;
  choose: (step: Step, choice: Choice) => void;
  /** Shows that a press came to nothing. */
  refuse: () => void;
  undo: () => void;
  /** What can go wrong, and telling it. */
  mishaps: Choice[];
  mishap: (what: Choice) => void;
  /** Says that the cell is a danger; null where that is said already. */
  cell: (() => void) | null;
  onWrong: () => void;
  /** What was refused has been read. */
  onSeen: () => void;
  onHelp: () => void;
  onStation: (by: number) => void;
  timers: Job["timers"];
}): void {
  const latest = useRef(on);
  const lastTap = useRef(-Infinity);
  // A pedal must work after a finger chose a station: only a focus that the tabulator moved takes space and enter.
  // The browser's own :focus-visible would switch to the tapped button at the first press of a key.
  const tabbed = useRef(false);
  const navigate = useNavigate();
  const muted = useMuted();
  // Before the eye sees the next step: a key pressed at once is meant for it.
  useLayoutEffect(() => {
    latest.current = on;
  });
  useEffect(() => {
    const point = () => (tabbed.current = false);
    const press = (event: KeyboardEvent) => {
      tabbed.current ||= event.key === "Tab";
      const now = latest.current;
      const target = event.target as HTMLElement;
      const typing = target.closest("input, textarea, select, [role=dialog], [role=menu]") !== null;
      if (!now.enabled || typing || event.ctrlKey || event.metaKey || event.altKey || event.repeat) {
        return;
      }
      const onButton = target.closest("button, a") !== null && tabbed.current;
      if ((event.key === " " || event.key === "Enter") && onButton) {
        return;
      }
      const once = (tap: () => void) => {
        // Not by the clock on the wall, which may be set.
        if (performance.now() - lastTap.current > BOUNCE_MS) {
          lastTap.current = performance.now();
          tap();
        }
      };
      // Figures answer only what is in sight as a question.
      const choiceAt = (n: number) => {
        const { kind, step } = now.action;
        const choice = step?.choices[n];
        if ((kind === "record" || kind === "answers" || kind === "runs") && choice?.mine) {
          now.choose(step, choice);
        } else {
          now.refuse();
        }
      };
      const act: { [key: string]: () => void } = {
        " ": () => {
          const { action } = now;
          if (action.kind === "record" && waits(action.step, now.timers, serverNow() / 1000)) {
            now.refuse();
          } else {
            now.go();
          }
        },
        u: now.undo,
        ...Object.fromEntries(
          MISHAP_KEYS.map((key, i) => [key, () => now.mishaps[i] && now.mishap(now.mishaps[i])]),
        ),
        Escape: now.onSeen,
        x: () => now.cell?.(),
        w: now.onWrong,
        m: () => setMuted(!muted),
        b: () => void navigate("/"),
        "?": now.onHelp,
        "[": () => now.onStation(-1),
        "]": () => now.onStation(1),
      };
      const run = /^[1-9]$/.test(event.key)
        ? () => choiceAt(Number(event.key) - 1)
        : (act[event.key] ?? inSight(event.key, once));
      if (run) {
        event.preventDefault();
        run();
      }
    };
    window.addEventListener("keydown", press);
    window.addEventListener("pointerdown", point);
    return () => {
      window.removeEventListener("keydown", press);
      window.removeEventListener("pointerdown", point);
    };
  }, [muted, navigate]);
}
