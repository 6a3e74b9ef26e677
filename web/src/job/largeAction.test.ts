import { largeAction } from "./largeAction";
import type { Step } from "./useJob";

function step(values: Partial<Step> = {}): Step {
  return {
    id: "open.touch",
    station: "TEST",
    lead: "RECORD",
    leadWords: null,
    choices: [
      { label: "Works", mine: true },
      { label: "Fails", mine: true },
    ],
    ...values,
  } as unknown as Step;
}

describe("the large action", () => {
  it("takes the first choice of the due step where its picture is in sight", () => {
    const due = step();
    expect(largeAction(due, "TEST", null)).toEqual({ kind: "record", step: due, choice: due.choices[0] });
  });

  it("goes back to the due station first, whatever the step is like", () => {
    for (const lead of [
      "RECORD",
      "PROPOSE",
      "ASK_AGAIN",
      "LEAD_ON",
      "SETTLE",
      "HAS_COME",
      "STOP",
      "REASONS",
    ] as const) {
      expect(largeAction(step({ lead }), "SEAL", "open.touch").kind).toBe("back");
    }
  });

  it.each(["ASK_AGAIN", "LEAD_ON", "SETTLE"] as const)("favours no way on after a bad answer: %s", (lead) => {
    const failed = step({ lead, leadWords: "Check again" });
    expect(largeAction(failed, "TEST", null)).toEqual({ kind: "again", step: failed, words: "Check again" });
    expect(largeAction(failed, "TEST", "open.touch").kind).toBe("answers");
    expect(largeAction(failed, "TEST", "another step").kind).toBe("again");
  });

  it("leads to the stop and to the reasons, also when asked twice", () => {
    expect(largeAction(step({ lead: "STOP", leadWords: "Stop" }), "TEST", "open.touch").kind).toBe("stop");
    expect(largeAction(step({ lead: "REASONS", leadWords: "Why" }), "TEST", "open.touch").kind).toBe(
      "reasons",
    );
  });

  it("leaves what goes on by itself alone", () => {
    const reading = step({ lead: "RUNS" });
    expect(largeAction(reading, "TEST", "open.touch")).toEqual({ kind: "runs", step: reading });
  });

  it("waits for the server's word after what it had not foreseen", () => {
    const told = { stepId: "open.touch", words: "Touch: Fails" };
    expect(largeAction(null, "TEST", null, told)).toEqual({
      kind: "waits",
      step: null,
      words: "Touch: Fails",
    });
    expect(largeAction(step(), "TEST", null, told).kind).toBe("record");
  });

  it("leads to what to do about a danger before any answer to it is known", () => {
    expect(largeAction(step({ lead: "STOP", choices: [] }), "TEST", null).kind).toBe("stop");
  });

  it("is nothing where the step is not this role's, or none is left", () => {
    expect(
      largeAction(step({ choices: [{ label: "Works", mine: false }] as Step["choices"] }), "TEST", null).kind,
    ).toBe("none");
    expect(largeAction(null, "PROVE", null)).toEqual({ kind: "none", step: null });
  });
});
