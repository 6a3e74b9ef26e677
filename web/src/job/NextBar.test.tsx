import { render, screen } from "@testing-library/react";
import userEvent from "@testing-library/user-event";
import { MemoryRouter } from "react-router";
import { NextBar } from "./NextBar";
import type { Choice, Job, Step } from "./useJob";

const NOON = "2026-03-02T12:00:00Z";
const clock = vi.hoisted(() => ({ nowS: 0 }));

vi.mock("@/time/clock", async (original) => ({
  ...(await original<typeof import("@/time/clock")>()),
  useServerSeconds: () => clock.nowS,
}));

function choice(label: string, mine = true): Choice {
  return { label, tone: "GO", fact: { type: "Sealed" }, asks: [], mine } as unknown as Choice;
}

function step(choices: Choice[], values: Partial<Step> = {}): Step {
  return {
    id: "heat.lift",
    station: "HEAT",
    title: "Soaking on Plate 1",
    hint: "at {C:80}; lift the edge",
    answer: null,
    problem: false,
    optional: false,
    choices,
    waitsFor: null,
    holds: [],
    ...values,
  } as unknown as Step;
}

const JOB = {
  id: "job-7",
  closed: false,
  atRisk: false,
  undo: null,
  timers: [{ seq: 20, kind: "SOAK", words: "Soaking", startedAt: NOON, seconds: 240 }],
} as unknown as Job;

function show(next: Step | null, job: Partial<Job> = {}, elapsedS = 0, pendingCount = 0) {
  clock.nowS = Date.parse(NOON) / 1000 + elapsedS;
  const taps = { onChoose: vi.fn(), onUndo: vi.fn(), onMishap: vi.fn(), onHelp: vi.fn() };
  render(
    <MemoryRouter>
      <NextBar
        job={{ ...JOB, ...job }}
        next={next}
        pendingCount={pendingCount}
        units={{ temperature: "F", length: "mm" }}
        {...taps}
      />
    </MemoryRouter>,
  );
  return taps;
}

describe("the next action", () => {
  it("is the first choice, in the reader's units", async () => {
    const lay = choice("Plate 1 at {C:80}: lay it on");
    const next = step([lay]);
    const { onChoose } = show(next);
    await userEvent.click(screen.getByRole("button", { name: /176 °F: lay it on/ }));
    expect(onChoose).toHaveBeenCalledWith(next, lay);
  });

  it("waits while its timer runs, and can be ended early", async () => {
    const off = choice("Off the source");
    const next = step([off], { waitsFor: 20 });
    const { onChoose } = show(next, {}, 60);
    expect(screen.getByRole("timer")).toHaveTextContent("3:00");
    await userEvent.click(screen.getByRole("button", { name: /Off the source already/ }));
    expect(onChoose).toHaveBeenCalledWith(next, off);
  });

  it("is offered large again once the time is up", () => {
    show(step([choice("Off the source")], { waitsFor: 20 }), {}, 240);
    expect(screen.queryByRole("timer")).not.toBeInTheDocument();
    expect(screen.getByText(/Soaking on Plate 1: time is up/)).toBeInTheDocument();
  });

  it("has two others beside it at most, and none that is not this role's", () => {
    show(
      step([
        choice("Works"),
        choice("Fails"),
        choice("Sign off", false),
        choice("Can't test"),
        choice("More"),
      ]),
    );
    expect(screen.getByRole("button", { name: /Fails/ })).toBeInTheDocument();
    expect(screen.getByRole("button", { name: /Can't test/ })).toBeInTheDocument();
    expect(screen.queryByRole("button", { name: /Sign off|More/ })).not.toBeInTheDocument();
  });

  it("says so where it is not for this role", () => {
    show(step([choice("Lay it on", false)]));
    expect(screen.getByText(/This is for the bench, not for your role/)).toBeInTheDocument();
    expect(screen.queryByRole("button", { name: /Lay it on/ })).not.toBeInTheDocument();
  });

  it("leads to the record once handed over, and not before that is certain", () => {
    show(null, { closed: true }, 0, 1);
    expect(screen.getByText("Kept until the line is back")).toBeInTheDocument();
    show(null, { closed: true });
    expect(screen.getByRole("link", { name: /Open the record/ })).toHaveAttribute(
      "href",
      "/jobs/job-7/record",
    );
  });
});

describe("beside the next action", () => {
  it("a slip and a new crack are a tap away only where they can happen", async () => {
    show(step([choice("Works")]));
    expect(screen.queryByRole("button", { name: /Slip/ })).not.toBeInTheDocument();
    const { onMishap } = show(step([choice("Free")]), { atRisk: true });
    await userEvent.click(screen.getByRole("button", { name: /New crack/ }));
    expect(onMishap).toHaveBeenCalledWith("NEW_CRACK");
  });

  it("what can be taken back is named, and nothing can where nothing is", () => {
    show(step([choice("Works")]));
    expect(screen.getByRole("button", { name: /Take back/ })).toBeDisabled();
    show(step([choice("Works")]), {
      undo: { seq: 3, words: "Wedge in at {mm:40}" } as unknown as Job["undo"],
    });
    expect(screen.getAllByRole("button", { name: /Take back.*Wedge in at 40/ })[0]).toBeEnabled();
  });
});
