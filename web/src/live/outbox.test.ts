import { ProblemError } from "@/api/client";
import { type Answer, Outbox, type Tap } from "./outbox";

class Memory implements Storage {
  private readonly map = new Map<string, string>();
  get length() {
    return this.map.size;
  }
  clear = () => this.map.clear();
  getItem = (key: string) => this.map.get(key) ?? null;
  key = () => null;
  removeItem = (key: string) => void this.map.delete(key);
  setItem = (key: string, value: string) => void this.map.set(key, value);
}

/** A journal that records each command once, as the server does. */
class FakeJournal {
  readonly commands: string[] = [];
  /** Of each that was recorded, whether the job was wanted with the answer. */
  readonly wanted: boolean[] = [];
  down = false;
  loseAnswers = 0;
  status = 0;

  send = (tap: Tap, last = true): Promise<Answer> => {
    if (this.down) {
      return Promise.reject(new TypeError("Failed to fetch"));
    }
    if (this.status) {
      const status = this.status;
      this.status = 0;
      return Promise.reject(new ProblemError({ status, title: "no", detail: "no" }));
    }
    if (!this.commands.includes(tap.commandId)) {
      if (tap.expectedSeq !== this.commands.length) {
        return Promise.reject(new ProblemError({ status: 409, title: "late", detail: "late", changes: [] }));
      }
      this.commands.push(tap.commandId);
    }
    const seq = this.commands.indexOf(tap.commandId) + 1;
    this.wanted.push(last);
    return this.loseAnswers-- > 0
      ? Promise.reject(new TypeError("reset"))
      : Promise.resolve({ seq, job: null });
  };
}

const fact = { type: "FrontOpened" } as const;

describe("the outbox", () => {
  beforeEach(() => vi.useFakeTimers());
  afterEach(() => vi.useRealTimers());

  it("sends taps in order, each expecting what the one before leaves", async () => {
    const journal = new FakeJournal();
    const box = new Outbox(journal.send, new Memory());
    const fates = await Promise.all(["a", "b", "c"].map((words) => box.tap("j", 0, fact, words, null)));
    expect(fates).toEqual([1, 2, 3].map((seq) => ({ kind: "recorded", seq })));
    expect(box.read().taps).toHaveLength(0);
  });

  it("wants the job with the answer where no other tap waits that changes it again at once", async () => {
    const journal = new FakeJournal();
    const box = new Outbox(journal.send, new Memory());
    await Promise.all(["a", "b", "c"].map((words) => box.tap("j", 0, fact, words, null)));
    expect(journal.wanted).toEqual([true, false, true]);
  });

  it("expects no more of a tap that the screen shows already, though its own answer is still on the way", async () => {
    const journal = new FakeJournal();
    const box = new Outbox(journal.send, new Memory());
    const first = box.tap("j", 0, fact, "slip", null);
    expect(await Promise.all([first, box.tap("j", 1, fact, "crack", null)])).toEqual([
      { kind: "recorded", seq: 1 },
      { kind: "recorded", seq: 2 },
    ]);
  });

  it("keeps taps while the line is down and delivers each exactly once, even when an answer is lost", async () => {
    const journal = new FakeJournal();
    const box = new Outbox(journal.send, new Memory());
    journal.down = true;
    expect(await box.tap("j", 0, fact, "a", null)).toEqual({ kind: "waiting" });
    void box.tap("j", 0, fact, "b", null);
    expect(box.read().stuck).toBe(true);
    journal.down = false;
    journal.loseAnswers = 1;
    await vi.advanceTimersByTimeAsync(6000);
    expect(journal.commands).toHaveLength(2);
    expect(box.read()).toMatchObject({ taps: [], stuck: false });
  });

  it("remembers waiting taps over a reload", async () => {
    const journal = new FakeJournal();
    const memory = new Memory();
    journal.down = true;
    await new Outbox(journal.send, memory).tap("j", 0, fact, "a", null);
    journal.down = false;
    const reloaded = new Outbox(journal.send, memory);
    expect(reloaded.read().taps).toHaveLength(1);
    await reloaded.flush();
    expect(journal.commands).toHaveLength(1);
  });

  it("stops at an overtaken tap, and sends it again only when told to", async () => {
    const journal = new FakeJournal();
    journal.commands.push("someone else's");
    const box = new Outbox(journal.send, new Memory());
    expect(await box.tap("j", 0, fact, "a", null)).toMatchObject({ kind: "refused" });
    expect(box.read().overtaken?.tap.words).toBe("a");
    expect(journal.commands).toHaveLength(1);
    box.resolve(true, 1);
    await vi.advanceTimersByTimeAsync(0);
    expect(journal.commands).toHaveLength(2);
    expect(box.read()).toMatchObject({ taps: [], overtaken: null });
  });

  it("goes on with the next tap when one is refused for good", async () => {
    const journal = new FakeJournal();
    const box = new Outbox(journal.send, new Memory());
    journal.status = 422;
    const [first, second] = await Promise.all([
      box.tap("j", 0, fact, "held", null),
      box.tap("j", 0, fact, "fine", null),
    ]);
    expect(first.kind).toBe("refused");
    expect(second).toEqual({ kind: "recorded", seq: 1 });
  });

  it("keeps what a tap leads to beside it, until a screen has seen its number", async () => {
    const journal = new FakeJournal();
    const box = new Outbox(journal.send, new Memory());
    const then = { id: "open.stylus" } as Tap["then"];
    await box.tap("j", 0, fact, "Touch: Works", "open.touch", then);
    expect(box.read().recorded).toMatchObject([
      { stepId: "open.touch", words: "Touch: Works", then, seq: 1 },
    ]);
  });

  it("waits for a sign-in when the session has ended", async () => {
    const journal = new FakeJournal();
    const box = new Outbox(journal.send, new Memory());
    journal.status = 401;
    expect(await box.tap("j", 0, fact, "a", null)).toEqual({ kind: "waiting" });
    expect(box.read().signedOut).toBe(true);
    void box.flush();
    await vi.advanceTimersByTimeAsync(0);
    expect(box.read()).toMatchObject({ taps: [], signedOut: false });
  });
});
