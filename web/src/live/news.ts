import type { QueryClient } from "@tanstack/react-query";
import { keys } from "@/api/keys";

/** What is kept under a job but not under its number: asked again by name. */
const UNNUMBERED = ["record", "owner", "edge"];

/** What a screen shows that is warmed, or is about to be. */
const WARMED = ["heat", "heat-first", "separate"];

/**
 * Looks again at what a change has made old, once: the answer to one's own tap and the word from the line bring the same
 * news, in either order. What a station shows is kept under the job's number and follows by itself.
 */
class News {
  private readonly seen = new Map<string, number>();

  changed(client: QueryClient, jobId: string, seq: number): void {
    if ((this.seen.get(jobId) ?? 0) >= seq) {
      return;
    }
    this.seen.set(jobId, seq);
    this.lookAgain(client, jobId);
    this.lookAtSources(client, jobId);
  }

  /** What is laid on a source, or comes off it, changes what other devices are warmed with. */
  private lookAtSources(client: QueryClient, jobId: string): void {
    for (const { queryKey } of client.getQueryCache().findAll({ queryKey: ["job"], type: "active" })) {
      const [, other, name] = queryKey as [string, string, string?];
      if (other !== jobId && name !== undefined && WARMED.includes(name)) {
        void client.invalidateQueries({ queryKey, exact: true });
        void client.invalidateQueries({ queryKey: keys.job(other), exact: true });
      }
    }
  }

  /** Whatever was known of it: after a refusal, say. */
  lookAgain(client: QueryClient, jobId: string): void {
    void client.invalidateQueries({ queryKey: keys.job(jobId), exact: true });
    UNNUMBERED.forEach((name) => void client.invalidateQueries({ queryKey: keys.station(jobId, name) }));
    void client.invalidateQueries({ queryKey: keys.bench });
  }
}

export const news = new News();
