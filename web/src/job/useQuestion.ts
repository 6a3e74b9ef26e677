import { useCallback, useEffect, useLayoutEffect, useRef, useState } from "react";

/** A hand that answers sooner has not read what it answers: it meant what stood there before. Two presses within it are one. */
const STANDS_MS = 250;

/** What a knuckle rested on for longer is told by its release. */
const LONG_PRESS_MS = 1000;

/** When the hand last came down, by the browser's own clock: a screen that was busy hears of it late. */
function usePressedAt(): () => number {
  const at = useRef(-Infinity);
  useEffect(() => {
    const pressed = (event: Event) => (at.current = event.timeStamp);
    const clicked = (event: Event) => {
      if (event.timeStamp - at.current > LONG_PRESS_MS) {
        at.current = event.timeStamp;
      }
    };
    const down = ["keydown", "pointerdown"] as const;
    down.forEach((name) => {
      window.addEventListener(name, pressed, true);
    });
    window.addEventListener("click", clicked, true);
    return () => {
      down.forEach((name) => {
        window.removeEventListener(name, pressed, true);
      });
      window.removeEventListener("click", clicked, true);
    };
  }, []);
  return useCallback(() => at.current, []);
}

/**
 * The question in sight, and which presses are an answer to it.
 *
 * @param asked all that it says, so that what merely comes anew is still the same question
 */
export function useQuestion(asked: string) {
  const pressedAt = usePressedAt();
  const since = useRef(-Infinity);
  const latest = useRef(-Infinity);
  const [stands, setStands] = useState<string | null>(null);
  const [tooSoon, setTooSoon] = useState(0);
  useLayoutEffect(() => {
    since.current = Infinity;
    let timer: ReturnType<typeof setTimeout> | undefined;
    // From when it is drawn: what is worked out for a whole station takes some frames.
    const frame = requestAnimationFrame(() => {
      since.current = performance.now();
      timer = setTimeout(() => setStands(asked), STANDS_MS);
    });
    return () => {
      cancelAnimationFrame(frame);
      clearTimeout(timer);
      setStands(null);
    };
  }, [asked]);
  useEffect(() => {
    const timer = tooSoon ? setTimeout(() => setTooSoon(0), 2 * STANDS_MS) : undefined;
    return () => clearTimeout(timer);
  }, [tooSoon]);
  /** What a press came to nothing for is seen at once. */
  const refuse = useCallback(() => setTooSoon((n) => n + 1), []);
  /** Whether this press counts; {@code toIt}: as an answer to the question, not as something told beside it. */
  const counts = useCallback(
    (toIt: boolean): boolean => {
      const at = pressedAt();
      if (at - latest.current < STANDS_MS || (toIt && at - since.current < STANDS_MS)) {
        refuse();
        return false;
      }
      latest.current = at;
      return true;
    },
    [pressedAt, refuse],
  );
  return { counts, refuse, stands: stands === asked, tooSoon: tooSoon > 0 };
}
