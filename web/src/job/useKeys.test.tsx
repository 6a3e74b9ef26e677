import { fireEvent, renderHook } from "@testing-library/react";
import { MemoryRouter } from "react-router";
import { learnServerTime } from "@/time/clock";
import { largeAction } from "./largeAction";
import type { Choice, Step } from "./useJob";
import { useKeys } from "./useKeys";

const step = {
  id: "intake.front",
  station: "INTAKE",
  lead: "RECORD",
  choices: [
    { label: "Cracked", mine: true },
    { label: "Whole", mine: true },
    { label: "Lead only", mine: false },
  ],
  waitsFor: null,
} as unknown as Step;

const MISHAPS = [{ label: "Slip" }, { label: "New crack" }] as Choice[];

function keys(over: Partial<Parameters<typeof useKeys>[0]> = {}) {
  const on = {
    enabled: true,
    action: largeAction(step, "INTAKE", null),
    go: vi.fn(),
    choose: vi.fn(),
    refuse: vi.fn(),
    undo: vi.fn(),
    mishaps: MISHAPS,
    mishap: vi.fn(),
    cell: vi.fn(),
    onWrong: vi.fn(),
    onSeen: vi.fn(),
    onHelp: vi.fn(),
    onStation: vi.fn(),
    timers: [],
    ...over,
  };
  renderHook(() => useKeys(on), { wrapper: MemoryRouter });
  return on;
}

const press = (key: string, on: Element = document.body) => fireEvent.keyDown(on, { key });

describe("keys of the workspace", () => {
  beforeEach(() => vi.useFakeTimers({ now: Date.parse("2026-03-02T08:00:00Z") }));
  afterEach(() => vi.useRealTimers());

  it("space is the next action, figures are its answers", () => {
    const on = keys();
    press(" ");
    expect(on.go).toHaveBeenCalledTimes(1);
    vi.advanceTimersByTime(300);
    press("2");
    expect(on.choose).toHaveBeenLastCalledWith(step, step.choices[1]);
  });

  it("a letter taps the button in sight that bears it, unless that can't be tapped", () => {
    keys();
    const tapped = vi.fn();
    for (const [shortcut, disabled] of [
      ["i", false],
      ["n", true],
    ] as const) {
      const button = document.createElement("button");
      button.setAttribute("aria-keyshortcuts", shortcut);
      button.disabled = disabled;
      button.addEventListener("click", () => {
        tapped(shortcut);
      });
      document.body.append(button);
    }
    press("n");
    press("i");
    press("j");
    expect(tapped.mock.calls).toEqual([["i"]]);
    document.body.replaceChildren();
  });

  it("leads back from another station, where no figure answers what is not in sight", () => {
    const on = keys({ action: largeAction(step, "SEAL", null) });
    press("2");
    expect(on.choose).not.toHaveBeenCalled();
    expect(on.refuse).toHaveBeenCalledTimes(1);
    press(" ");
    expect(on.go).toHaveBeenCalledTimes(1);
  });

  it("gives figures no answer after a bad one until the question is put again", () => {
    const failed = { ...step, lead: "ASK_AGAIN", leadWords: "Check again" } as Step;
    const on = keys({ action: largeAction(failed, "INTAKE", null) });
    press("1");
    expect(on.choose).not.toHaveBeenCalled();
    const again = keys({ action: largeAction(failed, "INTAKE", failed.id) });
    press("1");
    expect(again.choose).toHaveBeenCalledWith(failed, failed.choices[0]);
  });

  it("does not tap what is not the reader's", () => {
    const on = keys();
    press("3");
    expect(on.choose).not.toHaveBeenCalled();
  });

  it("leaves a running timer to the key that means it", () => {
    learnServerTime("2026-03-02T08:00:00Z", Date.now());
    const waiting = { ...step, waitsFor: 4 };
    const timer = { seq: 4, warmth: "RISING", words: "", startedAt: "2026-03-02T07:59:00Z", seconds: 120 };
    const on = keys({ action: largeAction(waiting, "INTAKE", null), timers: [timer] as never });
    press(" ");
    expect(on.go).not.toHaveBeenCalled();
    expect(on.refuse).toHaveBeenCalledTimes(1);
    press("1");
    expect(on.choose).toHaveBeenCalledTimes(1);
  });

  it("works after a finger chose a button, but leaves a button that the tabulator reached its own keys", () => {
    const on = keys();
    const button = document.body.appendChild(document.createElement("button"));
    fireEvent.pointerDown(button);
    press(" ", button);
    expect(on.go).toHaveBeenCalledTimes(1);
    vi.advanceTimersByTime(300);
    press("Tab", button);
    press(" ", button);
    expect(on.go).toHaveBeenCalledTimes(1);
    button.remove();
  });

  it("is silent while something is typed", () => {
    const on = keys();
    const input = document.body.appendChild(document.createElement("input"));
    press("u", input);
    press(" ", input);
    expect(on.undo).not.toHaveBeenCalled();
    expect(on.choose).not.toHaveBeenCalled();
    input.remove();
  });

  it("says that the battery is a danger, and not where that is said already", () => {
    const on = keys();
    press("x");
    expect(on.cell).toHaveBeenCalledTimes(1);
    keys({ cell: null });
    expect(() => press("x")).not.toThrow();
  });

  it("takes back, tells mishaps, turns stations and helps", () => {
    const on = keys();
    for (const key of ["u", "s", "c", "w", "[", "]", "?"]) {
      press(key);
    }
    expect(on.undo).toHaveBeenCalledTimes(1);
    expect(vi.mocked(on.mishap).mock.calls).toEqual([[MISHAPS[0]], [MISHAPS[1]]]);
    expect(vi.mocked(on.onStation).mock.calls).toEqual([[-1], [1]]);
    expect(on.onWrong).toHaveBeenCalledTimes(1);
    expect(on.onHelp).toHaveBeenCalledTimes(1);
  });
});
