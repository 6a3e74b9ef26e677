import { useSyncExternalStore } from "react";
import { api, type Problem, ProblemError, type Schemas, unwrap } from "@/api/client";
import { serverNow } from "@/time/clock";

/** A tap on its way to the journal. */
export interface Tap {
  commandId: string;
  jobId: string;
  stepId: string | null;
  words: string;
  expectedSeq: number;
  tappedAt: string;
  fact: Schemas["Fact"];
  /** What comes up with it at once, as the server has said beforehand; null where that has to be waited for. */
  then: Schemas["StepView"] | null;
}

/** What became of a tap: in the journal, waiting for the line, or refused. */
export type Fate =
  | { kind: "recorded"; seq: number }
  | { kind: "waiting" }
  /** The hand came down twice, or on a question that had only just come up. */
  | { kind: "ignored" }
  | { kind: "refused"; problem: Problem };

type Recorded = Pick<Tap, "jobId" | "stepId" | "words" | "then"> & { seq: number };

interface State {
  taps: readonly Tap[];
  /** Steps whose tap is in the journal; until a screen has seen that number they stay answered. */
  recorded: readonly Recorded[];
  /** The line is down and taps wait. */
  stuck: boolean;
  /** The session has ended; taps wait for a sign-in. */
  signedOut: boolean;
  /** The tap that someone else's fact overtook, with what changed. */
  overtaken: { tap: Tap; problem: Problem } | null;
}

/** What the journal says of a tap: its number, and the job as it is then, unless that takes longer than anyone waits. */
export interface Answer {
  seq: number;
  job: Schemas["JobView"] | null;
}

/** @param last whether nothing else waits that changes the job again at once */
type Send = (tap: Tap, last: boolean) => Promise<Answer>;

const STORE = "ridgefall.outbox";
const RETRY_MS = 1500;
const KEPT = 50;

/**
 * Keeps taps until the journal has them. They are sent one after the other, each with an id of its own, so that sending
 * again after a lost answer records nothing twice; they survive a reload.
 */
export class Outbox {
  private state: State;
  private readonly watchers = new Set<() => void>();
  private readonly latestSeq = new Map<string, number>();
  private readonly waiters = new Map<string, (fate: Fate) => void>();
  private sending = false;
  private askedAgain = false;
  private readonly send: Send;
  private readonly storage: Storage;
  /** Told with the answer, or null where nothing was recorded. */
  onRecorded: (jobId: string, answer: Answer | null) => void = () => undefined;

  constructor(send: Send, storage: Storage) {
    this.send = send;
    this.storage = storage;
    this.state = { taps: this.load(), recorded: [], stuck: false, signedOut: false, overtaken: null };
  }

  private load(): Tap[] {
    try {
      return JSON.parse(this.storage.getItem(STORE) ?? "[]") as Tap[];
    } catch {
      return [];
    }
  }

  private set(change: Partial<State>): void {
    this.state = { ...this.state, ...change };
    this.storage.setItem(STORE, JSON.stringify(this.state.taps));
    this.watchers.forEach((watcher) => watcher());
  }

  subscribe = (watcher: () => void): (() => void) => {
    this.watchers.add(watcher);
    return () => this.watchers.delete(watcher);
  };

  read = (): State => this.state;

  /** Whether a tap of this job is on its way right now. */
  sends(jobId: string): boolean {
    return this.sending && this.state.taps[0]?.jobId === jobId;
  }

  /** Takes a tap made while the screen showed the journal up to {@code shownSeq}. */
  tap(
    jobId: string,
    shownSeq: number,
    fact: Schemas["Fact"],
    words: string,
    stepId: string | null,
    then: Tap["then"] = null,
  ) {
    // The line may have shown what a tap did before its own answer comes: it is not counted a second time.
    const afterWaiting = this.state.taps.findLast((tap) => tap.jobId === jobId)?.expectedSeq ?? -1;
    const known = Math.max(shownSeq, this.latestSeq.get(jobId) ?? 0, afterWaiting + 1);
    const tap: Tap = {
      commandId: newId(),
      jobId,
      stepId,
      words,
      expectedSeq: known,
      tappedAt: new Date(serverNow()).toISOString(),
      fact,
      then,
    };
    const fate = new Promise<Fate>((resolve) => this.waiters.set(tap.commandId, resolve));
    this.set({ taps: [...this.state.taps, tap] });
    void this.flush();
    return fate;
  }

  /** Sends what waits; called again by whoever learns that the line is back. */
  async flush(): Promise<void> {
    if (this.sending) {
      this.askedAgain = true;
      return;
    }
    this.sending = true;
    try {
      for (let tap = this.state.taps[0]; tap && !this.state.overtaken; tap = this.state.taps[0]) {
        if (!(await this.deliver(tap))) {
          break;
        }
      }
    } finally {
      this.sending = false;
    }
    if (this.askedAgain) {
      this.askedAgain = false;
      await this.flush();
    }
  }

  /** False when it has to wait. */
  private async deliver(tap: Tap): Promise<boolean> {
    try {
      const answer = await this.send(tap, this.state.taps.length === 1);
      const { seq } = answer;
      this.latestSeq.set(tap.jobId, seq);
      const recorded = [...this.state.recorded, { ...tap, seq }].slice(-KEPT);
      this.remove(tap, { recorded, stuck: false, signedOut: false });
      this.settle(tap, { kind: "recorded", seq });
      this.onRecorded(tap.jobId, answer);
      return true;
    } catch (error) {
      if (!(error instanceof ProblemError) || error.passing) {
        this.set({ stuck: true });
        this.settle(tap, { kind: "waiting" });
        setTimeout(() => void this.flush(), RETRY_MS);
        return false;
      }
      return this.refused(tap, error.problem);
    }
  }

  private refused(tap: Tap, problem: Problem): boolean {
    if (problem.status === 401) {
      this.set({ signedOut: true, stuck: false });
      this.settle(tap, { kind: "waiting" });
      return false;
    }
    if (problem.status === 409) {
      this.set({ overtaken: { tap, problem }, stuck: false });
      this.settle(tap, { kind: "refused", problem });
      this.onRecorded(tap.jobId, null);
      return false;
    }
    this.remove(tap, { stuck: false });
    // What was tapped after it was counted on it.
    this.shift(tap.jobId, -1);
    this.settle(tap, { kind: "refused", problem });
    this.onRecorded(tap.jobId, null);
    return true;
  }

  /** Decides about an overtaken tap: send it all the same on what is shown now, or drop it. */
  resolve(again: boolean, shownSeq: number): void {
    const overtaken = this.state.overtaken;
    if (!overtaken) {
      return;
    }
    const { tap } = overtaken;
    this.latestSeq.delete(tap.jobId);
    const rest = this.state.taps.filter((t) => t.commandId !== tap.commandId);
    const kept = again ? [{ ...tap, commandId: newId() }, ...rest] : rest;
    let next = shownSeq;
    this.set({
      overtaken: null,
      taps: kept.map((t) => (t.jobId === tap.jobId ? { ...t, expectedSeq: next++ } : t)),
    });
    void this.flush();
  }

  private remove(tap: Tap, change: Partial<State>): void {
    this.set({ ...change, taps: this.state.taps.filter((t) => t.commandId !== tap.commandId) });
  }

  private shift(jobId: string, by: number): void {
    this.set({
      taps: this.state.taps.map((t) => (t.jobId === jobId ? { ...t, expectedSeq: t.expectedSeq + by } : t)),
    });
  }

  private settle(tap: Tap, fate: Fate): void {
    this.waiters.get(tap.commandId)?.(fate);
    this.waiters.delete(tap.commandId);
  }
}

/** crypto.randomUUID exists only in a secure context; a bench in the shop's own network has none. */
export function newId(): string {
  const bytes = crypto.getRandomValues(new Uint8Array(16));
  bytes[6] = ((bytes[6] ?? 0) & 0x0f) | 0x40;
  bytes[8] = ((bytes[8] ?? 0) & 0x3f) | 0x80;
  const hex = Array.from(bytes, (b) => b.toString(16).padStart(2, "0")).join("");
  return [hex.slice(0, 8), hex.slice(8, 12), hex.slice(12, 16), hex.slice(16, 20), hex.slice(20)].join("-");
}

async function post(tap: Tap, last: boolean): Promise<Answer> {
  const { commandId, expectedSeq, tappedAt, fact, jobId } = tap;
  return unwrap(
    await api.POST("/api/jobs/{jobId}/facts", {
      params: { path: { jobId }, query: { view: last } },
      body: { commandId, expectedSeq, tappedAt, fact },
    }),
  );
}

export const outbox = new Outbox(post, localStorage);

export function useOutbox(): State {
  return useSyncExternalStore(outbox.subscribe, outbox.read);
}
