import { describe, expect, it } from "vitest";
import { about } from "./FaultPanel";

const fault = (stepId: string) => ({ stepId, words: "x", causes: [], because: [], checks: [] });

describe("the case that a step is about", () => {
  const open = [fault("before.charge"), fault("open.touch"), fault("after.sound")];
  it("is that of the test that failed", () => {
    expect(about(open, "open.touch")?.stepId).toBe("open.touch");
  });
  it("is that of the test that a check is for, at every station", () => {
    expect(about(open, "test.fault.touch.reseat")?.stepId).toBe("open.touch");
    expect(about(open, "after.fault.sound.mesh")?.stepId).toBe("after.sound");
    expect(about(open, "before.fault.charge.other")?.stepId).toBe("before.charge");
  });
  it("is none where nothing fails", () => {
    expect(about(open, "open.picture")).toBeUndefined();
    expect(about(undefined, "open.touch")).toBeUndefined();
    expect(about(open, null)).toBeUndefined();
  });
});
