import { type Job, standing, type Step } from "./useJob";

const step = (id: string, title = id) => ({ id, title, choices: [] }) as unknown as Step;

const JOB = {
  seq: 7,
  nextStepId: "open.touch",
  nextProvenBy: "DEVICE",
  steps: [step("open.picture"), step("open.touch"), step("open.stylus")],
} as unknown as Job;

describe("a job with what was tapped since", () => {
  it("is as the server has it where nothing was", () => {
    expect(standing(JOB, [])).toBe(JOB);
  });

  it("goes where the server said that a straight answer leads", () => {
    const then = step("open.stylus", "Stylus, as it is asked then");
    const shown = standing(JOB, [{ stepId: "open.touch", words: "Touch: Works", then }]);
    expect(shown.nextStepId).toBe("open.stylus");
    expect(shown.steps[2]).toBe(then);
    expect(shown.nextProvenBy).toBeNull();
  });

  it("puts a step that was not there after the one that led to it", () => {
    const then = step("open.fault");
    const shown = standing(JOB, [{ stepId: "open.touch", words: "Touch: Works", then }]);
    expect(shown.steps.map((one) => one.id)).toEqual([
      "open.picture",
      "open.touch",
      "open.fault",
      "open.stylus",
    ]);
  });

  it("offers nothing after any other answer, however much was foreseen before it", () => {
    const straight = { stepId: "open.touch", words: "Touch: Works", then: step("open.stylus") };
    const bad = { stepId: "open.stylus", words: "Stylus: Fails", then: null };
    expect(standing(JOB, [straight, bad]).nextStepId).toBeNull();
    expect(standing(JOB, [{ stepId: null, words: "kept by an older version" }]).nextStepId).toBeNull();
  });

  it("asks the same step for its next go", () => {
    const then = step("open.touch", "five more");
    const shown = standing(JOB, [{ stepId: "open.touch", words: "5 out", then }]);
    expect(shown.nextStepId).toBe("open.touch");
    expect(shown.steps[1]).toBe(then);
  });
});
