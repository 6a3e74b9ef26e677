import { keepPreviousData, useQuery } from "@tanstack/react-query";
import { useCallback, useEffect, useState } from "react";
import { api, unwrap } from "@/api/client";
import type { Document } from "./document";

const MOST_STEPS = 200;
/** The app is asked once the hand rests. */
const REST_MS = 200;

interface History {
  past: Document[];
  now: Document;
  future: Document[];
}

/** A document being drawn: every change can be taken back, and the app says what is wrong with it as it stands. */
export function useDraft(start: Document) {
  const [history, setHistory] = useState<History>({ past: [], now: start, future: [] });
  const [rested, setRested] = useState(start);
  const document = history.now;

  useEffect(() => {
    const timer = setTimeout(() => setRested(document), REST_MS);
    return () => clearTimeout(timer);
  }, [document]);

  /** {@code joined} melts a change into the one before it: a drag is one step. */
  const change = useCallback((next: (now: Document) => Document, joined = false) => {
    setHistory(({ past, now }) => ({
      past: joined ? past : [...past, now].slice(-MOST_STEPS),
      now: next(now),
      future: [],
    }));
  }, []);
  const undo = useCallback(() => {
    setHistory(({ past, now, future }) => {
      const before = past.at(-1);
      return before
        ? { past: past.slice(0, -1), now: before, future: [now, ...future] }
        : { past, now, future };
    });
  }, []);
  const redo = useCallback(() => {
    setHistory(({ past, now, future }) => {
      const [after, ...rest] = future;
      return after ? { past: [...past, now], now: after, future: rest } : { past, now, future };
    });
  }, []);

  const checked = useQuery({
    queryKey: ["book", "check", rested],
    queryFn: async () =>
      unwrap(
        await api.POST("/api/book-check", {
          body: rested as unknown as Record<string, Record<string, never>>,
        }),
      ),
    placeholderData: keepPreviousData,
    gcTime: 10_000,
  });
  return {
    document,
    change,
    undo,
    redo,
    canUndo: history.past.length > 0,
    canRedo: history.future.length > 0,
    flaws: checked.data?.flaws ?? [],
    gaps: checked.data?.gaps ?? [],
    orders: checked.data?.orders ?? [],
    edge: checked.data?.edge ?? null,
    checked: rested === document && !checked.isFetching,
  };
}

export type Draft = ReturnType<typeof useDraft>;
