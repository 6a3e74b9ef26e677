import { QueryClient, QueryObserver } from "@tanstack/react-query";
import type { Schemas } from "@/api/client";
import { keys } from "@/api/keys";
import { news } from "./news";

async function settled() {
  await new Promise((resolve) => setTimeout(resolve, 0));
}

/** Something a screen shows, with how often it was asked for. */
async function shown(client: QueryClient, queryKey: readonly unknown[]) {
  const ask = vi.fn(() => Promise.resolve("as it is"));
  const observer = new QueryObserver(client, { queryKey, queryFn: ask, staleTime: Infinity });
  observer.subscribe(() => undefined);
  await settled();
  ask.mockClear();
  return ask;
}

describe("news of a job", () => {
  it("makes a screen ask once for job and bench, whoever brings it first and however often", async () => {
    const client = new QueryClient();
    const job = await shown(client, keys.job("a"));
    const bench = await shown(client, keys.bench);
    news.changed(client, "a", 7);
    news.changed(client, "a", 7);
    news.changed(client, "a", 6);
    await settled();
    expect(job).toHaveBeenCalledTimes(1);
    expect(bench).toHaveBeenCalledTimes(1);
    news.changed(client, "a", 8);
    await settled();
    expect(job).toHaveBeenCalledTimes(2);
  });

  it("takes the job that an answer brings for what it is, and asks for nothing but what that does not say", async () => {
    const client = new QueryClient();
    const job = await shown(client, keys.job("g"));
    const edge = await shown(client, keys.station("g", "edge", { quarterTurns: 0 }));
    const record = await shown(client, keys.station("g", "record"));
    const owner = await shown(client, keys.station("g", "owner"));
    const at = (seq: number, marks: number[]) => ({ id: "g", seq, marks }) as Schemas["JobView"];
    client.setQueryData(keys.job("g"), at(4, []));
    news.brought(client, at(5, []));
    await settled();
    news.changed(client, "g", 5);
    await settled();
    expect(client.getQueryData(keys.job("g"))).toMatchObject({ seq: 5 });
    expect([job, edge, record].map((ask) => ask.mock.calls.length)).toEqual([0, 0, 1]);
    news.brought(client, at(6, [6]));
    news.brought(client, at(5, []));
    await settled();
    expect(client.getQueryData(keys.job("g"))).toMatchObject({ seq: 6 });
    expect([job, edge, record].map((ask) => ask.mock.calls.length)).toEqual([0, 1, 2]);
    expect(owner).not.toHaveBeenCalled();
    news.changed(client, "g", 7);
    await settled();
    expect([job, owner].map((ask) => ask.mock.calls.length)).toEqual([1, 1]);
  });

  it("keeps what an answer brings though the job was being asked for, whatever comes of that", async () => {
    const client = new QueryClient();
    const at = (seq: number) => ({ id: "h", seq, marks: [] as number[] }) as Schemas["JobView"];
    client.setQueryData(keys.job("h"), at(4));
    let say: (job: Schemas["JobView"]) => void = () => undefined;
    const asking = () => new Promise<Schemas["JobView"]>((resolve) => (say = resolve));
    const observer = new QueryObserver(client, {
      queryKey: keys.job("h"),
      queryFn: asking,
      staleTime: Infinity,
    });
    observer.subscribe(() => undefined);
    void client.invalidateQueries({ queryKey: keys.job("h") });
    await settled();
    news.brought(client, at(6));
    say(at(5));
    await settled();
    expect(observer.getCurrentResult().data).toMatchObject({ seq: 6 });
    expect(client.isFetching()).toBe(0);
  });

  it("leaves alone what a station shows for a number, and other jobs", async () => {
    const client = new QueryClient();
    const panel = await shown(client, keys.station("b", "separate", 3));
    const other = await shown(client, keys.job("c"));
    const record = await shown(client, keys.station("b", "record"));
    news.changed(client, "b", 4);
    await settled();
    expect(panel).not.toHaveBeenCalled();
    expect(other).not.toHaveBeenCalled();
    expect(record).toHaveBeenCalledTimes(1);
  });

  it("looks again at the sources of what is about to be warmed once another device lies on them, at no other tap", async () => {
    const client = new QueryClient();
    const warmed = await shown(client, keys.job("d"));
    const plans = await shown(client, keys.station("d", "heat", 3));
    const closed = await shown(client, keys.job("e"));
    await shown(client, keys.station("e", "record"));
    news.changed(client, "f", 4);
    await settled();
    expect(warmed).not.toHaveBeenCalled();
    news.lookAtSources(client);
    await settled();
    expect(warmed).toHaveBeenCalledTimes(1);
    expect(plans).toHaveBeenCalledTimes(1);
    expect(closed).not.toHaveBeenCalled();
  });
});
