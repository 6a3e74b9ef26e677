import { expect, test } from "vitest";
import { type Batch, Outgoing, type Sample } from "./outgoing";

const at = (ms: number): Sample => [ms, 1, 2, 1];

test("batches come through in order, one that failed before the next, each with its own number", async () => {
  const sent: Batch[] = [];
  const kept: number[] = [];
  let down = 2;
  const out = new Outgoing(
    (batch) => {
      if (down-- > 0) {
        return Promise.resolve(false);
      }
      sent.push(batch);
      return Promise.resolve(true);
    },
    (n) => kept.push(n),
    () => Promise.resolve(),
  );
  out.put("SWEEP", [at(1)]);
  out.put("SWEEP", [at(2)]);
  out.put("WATCH", [], true);
  await out.through();
  expect(sent.map((b) => [b.task, b.seq, b.samples.length, b.last])).toEqual([
    ["SWEEP", 0, 1, false],
    ["SWEEP", 1, 1, false],
    ["WATCH", 0, 0, true],
  ]);
  expect(kept.slice(0, 2)).toEqual([3, 3]);
  expect(kept.at(-1)).toBe(0);
});

test("a long way is cut, and a task done anew counts from nothing", async () => {
  const sent: Batch[] = [];
  const out = new Outgoing(
    (batch) => {
      sent.push(batch);
      return Promise.resolve(true);
    },
    () => undefined,
  );
  out.put(
    "SWEEP",
    Array.from({ length: 2100 }, (_, i) => at(i)),
    true,
  );
  await out.through();
  out.forget("SWEEP");
  out.put("SWEEP", [at(9)]);
  await out.through();
  expect(sent.map((b) => [b.seq, b.samples.length, b.last])).toEqual([
    [0, 1000, false],
    [1, 1000, false],
    [2, 100, true],
    [0, 1, false],
  ]);
});
