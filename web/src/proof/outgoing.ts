/** ms, x, y, contact. */
export type Sample = [number, number, number, number];

export interface Batch {
  task: string;
  seq: number;
  samples: Sample[];
  last: boolean;
}

/** More at once than that is cut in two: the line to the bench may be thin. */
const MOST = 1000;

/**
 * What was touched, on its way to the bench: in order, each batch until it has come through. While the line is down it is kept, and
 * nobody has to touch anything twice.
 */
export class Outgoing {
  private readonly waiting: Batch[] = [];
  private readonly next = new Map<string, number>();
  private sending: Promise<void> | null = null;

  private readonly send: (batch: Batch) => Promise<boolean>;
  private readonly onState: (kept: number) => void;
  private readonly again: () => Promise<void>;

  constructor(
    send: (batch: Batch) => Promise<boolean>,
    onState: (kept: number) => void,
    again: () => Promise<void> = () => new Promise((done) => setTimeout(done, 1000)),
  ) {
    this.send = send;
    this.onState = onState;
    this.again = again;
  }

  /** Nothing touched is told too: that a watch is over. */
  put(task: string, samples: readonly Sample[], over = false): void {
    for (let from = 0; from === 0 || from < samples.length; from += MOST) {
      const seq = this.next.get(task) ?? 0;
      this.next.set(task, seq + 1);
      this.waiting.push({
        task,
        seq,
        samples: samples.slice(from, from + MOST),
        last: over && from + MOST >= samples.length,
      });
    }
    this.sending ??= this.run().finally(() => {
      this.sending = null;
    });
  }

  /** A task that is done anew begins at nothing again. */
  forget(task: string): void {
    this.next.delete(task);
  }

  /** Until all of it has come through. */
  async through(): Promise<void> {
    while (this.sending) {
      await this.sending;
    }
  }

  private async run(): Promise<void> {
    for (let first = this.waiting[0]; first; first = this.waiting[0]) {
      if (await this.send(first)) {
        this.waiting.shift();
        this.onState(0);
      } else {
        this.onState(this.waiting.length);
        await this.again();
      }
    }
  }
}
