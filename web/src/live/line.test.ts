import { QueryClient, QueryObserver } from "@tanstack/react-query";
import { renderHook } from "@testing-library/react";
import { keys } from "@/api/keys";
import { useLiveEvents } from "./line";

class FakeSource extends EventTarget {
  static open: FakeSource[] = [];
  onerror: (() => void) | null = null;

  constructor() {
    super();
    FakeSource.open.push(this);
  }

  close() {
    FakeSource.open = FakeSource.open.filter((source) => source !== this);
  }
}

function turn(kind: "pagehide" | "pageshow", persisted: boolean) {
  window.dispatchEvent(Object.assign(new Event(kind), { persisted }));
}

/** A line that has been opened, and how often what a screen shows was asked for since. */
async function listening(queryKey: readonly unknown[]) {
  const client = new QueryClient();
  const ask = vi.fn(() => Promise.resolve([]));
  new QueryObserver(client, { queryKey, queryFn: ask, staleTime: Infinity }).subscribe(() => undefined);
  await vi.waitFor(() => expect(client.isFetching()).toBe(0));
  ask.mockClear();
  const { unmount } = renderHook(() => useLiveEvents(client));
  const hear = async (kind: string, data: unknown = {}) => {
    FakeSource.open[0]?.dispatchEvent(new MessageEvent(kind, { data: JSON.stringify(data) }));
    await vi.waitFor(() => expect(client.isFetching()).toBe(0));
  };
  return { ask, hear, unmount };
}

describe("the line of a page", () => {
  beforeEach(() => {
    FakeSource.open = [];
    vi.stubGlobal("EventSource", FakeSource);
  });
  afterEach(() => vi.unstubAllGlobals());

  it("is given back when the page is left, and asked for again when it comes back as it was", () => {
    const { unmount } = renderHook(() => useLiveEvents(new QueryClient()));
    expect(FakeSource.open).toHaveLength(1);
    turn("pagehide", true);
    expect(FakeSource.open).toHaveLength(0);
    turn("pageshow", true);
    expect(FakeSource.open).toHaveLength(1);
    unmount();
    expect(FakeSource.open).toHaveLength(0);
    turn("pageshow", true);
    expect(FakeSource.open).toHaveLength(0);
  });

  it("has the clocks of the bench asked for when one of them changes, not with every tap at another job", async () => {
    const { ask, hear, unmount } = await listening(keys.clocks);
    await hear("changed", [{ jobId: "another", seq: 9 }]);
    expect(ask).not.toHaveBeenCalled();
    await hear("clocks");
    expect(ask).toHaveBeenCalledTimes(1);
    unmount();
  });
});
