import { QueryClient } from "@tanstack/react-query";
import { renderHook } from "@testing-library/react";
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
});
