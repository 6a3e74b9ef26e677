import { type QueryClient } from "@tanstack/react-query";
import { useEffect, useSyncExternalStore } from "react";
import { keys } from "@/api/keys";
import { news } from "./news";
import { outbox } from "./outbox";

/** Longer than two beats of the server: the line is taken for dead. */
const SILENCE_MS = 9000;

let up = true;
const watchers = new Set<() => void>();

function setUp(now: boolean): void {
  if (up !== now) {
    up = now;
    watchers.forEach((watcher) => watcher());
  }
}

/** The answer to one's own tap brings the job with it, and a little later than the line tells that it changed. */
const ANSWERED_MS = 1000;

/** Whether the app's events arrive. */
export function useLineUp(): boolean {
  return useSyncExternalStore(
    (watcher) => {
      watchers.add(watcher);
      return () => watchers.delete(watcher);
    },
    () => up,
  );
}

/** Listens to what changes on other screens and looks again at just that. */
export function useLiveEvents(client: QueryClient): void {
  useEffect(() => {
    let source: EventSource | undefined;
    let silence: ReturnType<typeof setTimeout> | undefined;
    let closed = false;

    const heard = () => {
      setUp(true);
      clearTimeout(silence);
      silence = setTimeout(lost, SILENCE_MS);
    };
    const all = () => {
      void client.invalidateQueries();
      // What is asked for the first time right now may be answered as of before this line listened: ask once more.
      for (const query of client.getQueryCache().findAll({ fetchStatus: "fetching" })) {
        if (query.state.data === undefined) {
          void query.promise
            ?.catch(() => undefined)
            .then(() => client.invalidateQueries({ queryKey: query.queryKey, exact: true }));
        }
      }
      void outbox.flush();
    };
    function lost() {
      setUp(false);
      // It may be the session that has ended, and not the line.
      void client.invalidateQueries({ queryKey: keys.session });
      source?.close();
      clearTimeout(silence);
      if (!closed) {
        silence = setTimeout(open, 1000);
      }
    }
    function open() {
      source = new EventSource("/api/live");
      source.addEventListener("hello", () => {
        heard();
        all();
      });
      source.addEventListener("beat", heard);
      source.addEventListener("look-again", () => {
        heard();
        all();
      });
      source.addEventListener("changed", (event: MessageEvent<string>) => {
        heard();
        for (const { jobId, seq } of JSON.parse(event.data) as { jobId: string; seq: number }[]) {
          if (outbox.sends(jobId)) {
            setTimeout(() => news.changed(client, jobId, seq), ANSWERED_MS);
          } else {
            news.changed(client, jobId, seq);
          }
        }
      });
      source.addEventListener("clocks", () => void client.invalidateQueries({ queryKey: keys.clocks }));
      source.addEventListener("sources", () => news.lookAtSources(client));
      source.onerror = lost;
    }
    function close() {
      closed = true;
      source?.close();
      clearTimeout(silence);
    }
    // A page that was left is kept by the browser for a while, and would keep its line: six of them, and no other page of
    // this app gets a connection any more.
    const back = (event: PageTransitionEvent) => {
      if (event.persisted) {
        closed = false;
        open();
      }
    };
    window.addEventListener("pagehide", close);
    window.addEventListener("pageshow", back);
    open();
    return () => {
      close();
      window.removeEventListener("pagehide", close);
      window.removeEventListener("pageshow", back);
    };
  }, [client]);
}
