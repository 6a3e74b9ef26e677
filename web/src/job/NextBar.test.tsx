import { cleanup, render, screen } from "@testing-library/react";
import userEvent from "@testing-library/user-event";
import { MemoryRouter } from "react-router";
import { largeAction } from "./largeAction";
import { NextBar } from "./NextBar";
import type { Choice, Job, Step } from "./useJob";

const NOON = "2026-03-02T12:00:00Z";
const clock = vi.hoisted(() => ({ nowS: 0 }));

vi.mock("@/time/clock", async (original) => ({
  ...(await original<typeof import("@/time/clock")>()),
  useServerSeconds: () => clock.nowS,
}));

/** Past its limit after five minutes, where it runs on. */
vi.mock("@/heat/useHeat", () => ({
  useForecast: (_job: string, _seq: number, wanted: boolean) =>
    wanted ? { moments: [{ kind: "LIMIT", fromSeconds: 300 }] } : undefined,
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
    lead: "RECORD",
    leadWords: null,
    ...values,
  } as unknown as Step;
}

const JOB = {
  id: "job-7",
  closed: false,
  atRisk: false,
  whenItGoesWrong: [choice("Slip"), choice("New crack"), choice("Dropped screw")],
  cellSigns: [choice("A danger"), choice("Swollen")],
  undo: null,
  stations: [
    { id: "HEAT", words: "Heat" },
    { id: "SEAL", words: "Seal" },
  ],
  timers: [{ seq: 20, warmth: "RISING", words: "Soaking", startedAt: NOON, seconds: 240 }],
} as unknown as Job;

function show(
  next: Step | null,
  job: Partial<Job> = {},
  elapsedS = 0,
  unheard = 0,
  shown: Step["station"] = "HEAT",
  asking: string | null = null,
) {
  clock.nowS = Date.parse(NOON) / 1000 + elapsedS;
  const taps = {
    onGo: vi.fn(),
    onChoose: vi.fn(),
    onUndo: vi.fn(),
    onMishap: vi.fn(),
    onCell: vi.fn(),
    onWrong: vi.fn(),
    onHelp: vi.fn(),
  };
  render(
    <MemoryRouter>
      <NextBar
        job={{ ...JOB, ...job }}
        action={largeAction(
          next,
          shown,
          asking,
          unheard > 0 ? { stepId: null, words: "Handed over" } : undefined,
        )}
        unheard={unheard}
        stuck={false}
        question={{ stands: true, tooSoon: false }}
        units={{ temperature: "F", length: "mm" }}
        {...taps}
      />
    </MemoryRouter>,
  );
  return taps;
}

describe("the next action", () => {
  it("is the first choice, in the reader's units", async () => {
    const { onGo } = show(step([choice("Plate 1 at {C:80}: lay it on")]));
    await userEvent.click(screen.getByRole("button", { name: /176 °F: lay it on/ }));
    expect(onGo).toHaveBeenCalledTimes(1);
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

  it("says loudly when what lies there is past its limit, whether its time is up or not", () => {
    const off = step([choice("Off the source")], { waitsFor: 20 });
    show(off, {}, 330);
    expect(screen.getByText(/off now, it is past its limit/)).toBeInTheDocument();
    cleanup();
    show(off, { timers: [{ ...JOB.timers[0], seconds: 400 }] as Job["timers"] }, 330);
    expect(screen.getByRole("timer")).toHaveTextContent("Off now: it is past its limit");
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

  it("says that it is being worked out where nothing can be chosen yet, and blames no role for it", () => {
    show(step([]));
    expect(screen.getByText(/being worked out/)).toBeInTheDocument();
    expect(screen.queryByText(/your role/)).not.toBeInTheDocument();
  });

  it("leads to the record once handed over, and not before that is certain", () => {
    show(null, { closed: true }, 0, 1);
    expect(screen.getByText("Sent; what comes next follows.")).toBeInTheDocument();
    show(null, { closed: true });
    expect(screen.getByRole("link", { name: /Open the record/ })).toHaveAttribute(
      "href",
      "/jobs/job-7/record",
    );
  });
});

describe("after a bad answer", () => {
  const failed = step([choice("Works"), choice("Fails"), choice("Can't test")], {
    title: "Touch everywhere",
    answer: "Fails",
    problem: true,
    lead: "ASK_AGAIN",
    leadWords: "Check again",
  });

  it("the question is put again before anything can be recorded", async () => {
    const { onGo, onChoose } = show(failed);
    expect(screen.queryByRole("button", { name: /Works|Can't test/ })).not.toBeInTheDocument();
    await userEvent.click(screen.getByRole("button", { name: /Touch everywhere: Fails.*Check again/ }));
    expect(onGo).toHaveBeenCalledTimes(1);
    expect(onChoose).not.toHaveBeenCalled();
  });

  it("then no answer is larger than the other", async () => {
    const { onChoose } = show(failed, {}, 0, 0, "HEAT", failed.id);
    expect(screen.getAllByRole("button", { name: /Works|Fails|Can't test/ })).toHaveLength(3);
    await userEvent.click(screen.getByRole("button", { name: /Fails/ }));
    expect(onChoose).toHaveBeenCalledWith(failed, failed.choices[1]);
  });

  it("a swollen battery leads to the stop and offers no other answer", () => {
    show(
      step([choice("Sound"), choice("Swollen")], {
        answer: "swollen: stop",
        lead: "STOP",
        leadWords: "Stop: what to do now",
      }),
    );
    expect(screen.getByRole("button", { name: /Stop: what to do now/ })).toBeInTheDocument();
    expect(screen.queryByRole("button", { name: /Sound/ })).not.toBeInTheDocument();
  });
});

describe("at another station", () => {
  it("the large action leads back to the due one", async () => {
    const { onGo } = show(step([choice("Off the source"), choice("Longer")]), {}, 0, 0, "SEAL");
    expect(screen.queryByRole("button", { name: /Off the source|Longer/ })).not.toBeInTheDocument();
    await userEvent.click(screen.getByRole("button", { name: /Due at Heat: Soaking.*Back to Heat/ }));
    expect(onGo).toHaveBeenCalledTimes(1);
  });
});

describe("beside the next action", () => {
  it("a slip and a new crack are a tap away only where they can happen", async () => {
    show(step([choice("Works")]));
    expect(screen.queryByRole("button", { name: /Slip/ })).not.toBeInTheDocument();
    const { onMishap } = show(step([choice("Free")]), { atRisk: true });
    await userEvent.click(screen.getByRole("button", { name: /New crack/ }));
    expect(onMishap).toHaveBeenCalledWith(expect.objectContaining({ label: "New crack" }));
  });

  it("a battery that is a danger is a tap away at every station, until it is said", async () => {
    const { onCell } = show(step([choice("Works")]));
    await userEvent.click(screen.getByRole("button", { name: /Battery!/ }));
    expect(onCell).toHaveBeenCalledWith(expect.objectContaining({ label: "A danger" }));
  });

  it("a stop is shown whoever may answer it, without asking for it again", () => {
    show(step([choice("A lead lets it go on", false)], { lead: "STOP", leadWords: "Stop: what to do now" }));
    expect(screen.getByRole("button", { name: /Stop: what to do now/ })).toBeEnabled();
    expect(screen.queryByRole("button", { name: /Battery!/ })).not.toBeInTheDocument();
  });

  it("what can be taken back is named, and nothing can where nothing is", () => {
    show(step([choice("Works")]));
    expect(screen.getByRole("button", { name: /Take back/ })).toBeDisabled();
    show(step([choice("Works")]), {
      undo: { words: "Wedge in at {mm:40}", who: "Ansa", choice: choice("Take back") },
    });
    expect(screen.getAllByRole("button", { name: /Take back.*Wedge in at 40/ })[0]).toBeEnabled();
  });

  it("what somebody else recorded is theirs to take back", () => {
    show(step([choice("Works")]), {
      undo: { words: "Isolated", who: "Ansa", choice: choice("Take back", false) },
    });
    expect(screen.getByRole("button", { name: /Take back.*for Ansa or a lead/ })).toBeDisabled();
  });
});
