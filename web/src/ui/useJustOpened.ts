import { useCallback, useLayoutEffect, useRef } from "react";

/** Nobody has read it before: a press within it was meant for what opened it. */
const SETTLES_MS = 250;

/** Whether something has only just come up. */
export function useJustOpened(open = true): () => boolean {
  const at = useRef(-Infinity);
  useLayoutEffect(() => {
    at.current = performance.now();
  }, [open]);
  return useCallback(() => performance.now() - at.current < SETTLES_MS, []);
}
