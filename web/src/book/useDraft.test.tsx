import { QueryClient, QueryClientProvider } from "@tanstack/react-query";
import { act, renderHook, waitFor } from "@testing-library/react";
import type { ReactNode } from "react";
import { api } from "@/api/client";
import type { Document } from "./document";
import { useDraft } from "./useDraft";

const start = { name: "Slate" } as Document;

function draft() {
  const client = new QueryClient({ defaultOptions: { queries: { retry: false } } });
  const wrapper = ({ children }: { children: ReactNode }) => (
    <QueryClientProvider client={client}>{children}</QueryClientProvider>
  );
  return renderHook(() => useDraft(start), { wrapper });
}

describe("a draft", () => {
  let asked: unknown[];

  beforeEach(() => {
    asked = [];
    vi.spyOn(api, "POST").mockImplementation(((_path: string, given: { body: unknown }) => {
      asked.push(given.body);
      return Promise.resolve({
        data: { flaws: [{ path: "name", value: "x", allowed: "y" }], edge: null },
        response: new Response(),
      });
    }) as never);
  });
  afterEach(() => vi.restoreAllMocks());

  const rename = (name: string) => (now: Document) => ({ ...now, name });

  it("takes every change back and gives it again", () => {
    const { result } = draft();
    act(() => result.current.change(rename("One")));
    act(() => result.current.change(rename("Two")));
    act(() => result.current.undo());
    expect(result.current.document.name).toBe("One");
    act(() => result.current.undo());
    expect(result.current.document.name).toBe("Slate");
    expect(result.current.canUndo).toBe(false);
    act(() => result.current.redo());
    act(() => result.current.redo());
    expect(result.current.document.name).toBe("Two");
    expect(result.current.canRedo).toBe(false);
  });

  it("counts a drag as one step", () => {
    const { result } = draft();
    act(() => result.current.change((now) => now));
    for (const name of ["a", "b", "c"]) {
      act(() => result.current.change(rename(name), true));
    }
    act(() => result.current.undo());
    expect(result.current.document.name).toBe("Slate");
  });

  it("forgets what was undone once something new is drawn", () => {
    const { result } = draft();
    act(() => result.current.change(rename("One")));
    act(() => result.current.undo());
    act(() => result.current.change(rename("Other")));
    expect(result.current.canRedo).toBe(false);
  });

  it("is checked by the app once the hand rests, not at every step", async () => {
    const { result } = draft();
    await waitFor(() => expect(result.current.flaws).toHaveLength(1));
    expect(asked).toEqual([start]);
    act(() => result.current.change(rename("On the way")));
    act(() => result.current.change(rename("There")));
    expect(result.current.checked).toBe(false);
    await waitFor(() => expect(asked).toHaveLength(2));
    expect((asked[1] as Document).name).toBe("There");
    await waitFor(() => expect(result.current.checked).toBe(true));
  });
});
