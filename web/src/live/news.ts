import type { QueryClient } from "@tanstack/react-query";
import type { Schemas } from "@/api/client";
import { keys } from "@/api/keys";

type Job = Schemas["JobView"];

/** What is kept under a job but not under its number: asked again by name. How its owner is reached no tap at the bench changes. */
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
    if ((this.seen.get(jobId) ?? 0) >= seq && !this.isOld(client, jobId, seq)) {
      return;
    }
    this.seen.set(jobId, seq);
    this.lookAgain(client, jobId);
  }

  /** The answer to one's own tap has the job with it: it is not asked for again, nor its outline where nothing new is drawn. */
  brought(client: QueryClient, job: Job): void {
    const known = client.getQueryData<Job>(keys.job(job.id));
    if (known && known.seq >= job.seq) {
      return;
    }
    // What is on its way is older and would take its place; given up it puts back what was there before, and only then is it over.
    void client.cancelQueries({ queryKey: keys.job(job.id), exact: true }).then(() => {
      client.setQueryData<Job>(keys.job(job.id), (now) => (now && now.seq > job.seq ? now : job));
    });
    this.seen.set(job.id, Math.max(job.seq, this.seen.get(job.id) ?? 0));
    const drawnOn = known?.marks.join() !== job.marks.join();
    this.lookBeside(client, job.id, drawnOn ? ["record", "edge"] : ["record"]);
  }

  /** Whether a screen shows less than that, and nobody is asking. */
  private isOld(client: QueryClient, jobId: string, seq: number): boolean {
    const known = client.getQueryData<Job>(keys.job(jobId));
    return (
      known !== undefined &&
      known.seq < seq &&
      client.isFetching({ queryKey: keys.job(jobId), exact: true }) === 0
    );
  }

  /** What is laid on a source, or comes off it, changes what other devices are warmed with. */
  lookAtSources(client: QueryClient): void {
    for (const { queryKey } of client.getQueryCache().findAll({ queryKey: ["job"], type: "active" })) {
      const [, jobId, name] = queryKey as [string, string, string?];
      if (name !== undefined && WARMED.includes(name)) {
        void client.invalidateQueries({ queryKey, exact: true });
        void client.invalidateQueries({ queryKey: keys.job(jobId), exact: true });
      }
    }
  }

  /** Whatever was known of it: after a refusal, say. */
  lookAgain(client: QueryClient, jobId: string): void {
    void client.invalidateQueries({ queryKey: keys.job(jobId), exact: true });
    this.lookBeside(client, jobId, UNNUMBERED);
  }

  private lookBeside(client: QueryClient, jobId: string, names: readonly string[]): void {
    names.forEach((name) => void client.invalidateQueries({ queryKey: keys.station(jobId, name) }));
    void client.invalidateQueries({ queryKey: keys.bench });
  }
}

export const news = new News();
