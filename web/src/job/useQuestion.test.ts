import { act, renderHook } from "@testing-library/react";
import { useQuestion } from "./useQuestion";

/** Presses come with the browser's own time of them, whenever they are heard of. */
function pressAt(ms: number, kind: "keydown" | "pointerdown" | "click" = "keydown") {
  const event = new Event(kind);
  Object.defineProperty(event, "timeStamp", { value: ms });
  window.dispatchEvent(event);
}

function question(asked = "Touch?") {
  const hook = renderHook(({ asked }) => useQuestion(asked), { initialProps: { asked } });
  drawn();
  return hook;
}

const drawn = () => act(() => void vi.advanceTimersToNextFrame());

describe("a question", () => {
  let now = 10_000;
  beforeEach(() => {
    now = 10_000;
    vi.useFakeTimers();
    vi.spyOn(performance, "now").mockImplementation(() => now);
  });
  afterEach(() => {
    vi.useRealTimers();
    vi.restoreAllMocks();
  });

  it("takes no answer before it has stood a quarter of a second, and shows that it did not", () => {
    const { result } = question();
    pressAt(10_200);
    act(() => expect(result.current.counts(true)).toBe(false));
    expect(result.current.tooSoon).toBe(true);
    pressAt(10_250);
    act(() => expect(result.current.counts(true)).toBe(true));
  });

  it("counts from when the hand came down, not from when a busy screen heard of it", () => {
    const { result } = question();
    now = 11_000;
    pressAt(10_100);
    act(() => expect(result.current.counts(true)).toBe(false));
  });

  it("takes two presses within that for one, whatever they are about", () => {
    const { result } = question();
    pressAt(10_300);
    act(() => expect(result.current.counts(false)).toBe(true));
    pressAt(10_370, "pointerdown");
    act(() => expect(result.current.counts(true)).toBe(false));
    pressAt(10_550, "pointerdown");
    act(() => expect(result.current.counts(true)).toBe(true));
  });

  it("lets something be told beside it at once", () => {
    const { result } = question();
    pressAt(10_010);
    act(() => expect(result.current.counts(false)).toBe(true));
  });

  it("stands anew once it asks something else, and not where it only comes again", () => {
    const { result, rerender } = question();
    now = 10_400;
    rerender({ asked: "Touch?" });
    pressAt(10_410);
    act(() => expect(result.current.counts(true)).toBe(true));
    now = 10_700;
    rerender({ asked: "Stylus?" });
    drawn();
    expect(result.current.stands).toBe(false);
    pressAt(10_900);
    act(() => expect(result.current.counts(true)).toBe(false));
    act(() => void vi.advanceTimersByTime(250));
    expect(result.current.stands).toBe(true);
  });

  it("stands anew where it comes back after something else was shown between", () => {
    const { result, rerender } = question();
    act(() => void vi.advanceTimersByTime(250));
    expect(result.current.stands).toBe(true);
    rerender({ asked: "sent" });
    rerender({ asked: "Touch?" });
    expect(result.current.stands).toBe(false);
  });

  it("takes a click by where the finger came down, and one that rested long by its release", () => {
    const { result } = question();
    pressAt(10_200, "pointerdown");
    pressAt(10_280, "click");
    act(() => expect(result.current.counts(true)).toBe(false));
    pressAt(11_900, "click");
    act(() => expect(result.current.counts(true)).toBe(true));
  });
});
