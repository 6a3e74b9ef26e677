import type { Choice, Station, Step, Unheard } from "./useJob";

/** What the large action, the space bar and the pedal do now. Only the first records something. */
export type LargeAction =
  | { kind: "record"; step: Step; choice: Choice }
  /** The due step is another station's: its picture is not in sight. */
  | { kind: "back"; step: Step }
  /** A bad answer was given: what leads on from it, or the question again, is put beside it. */
  | { kind: "again"; step: Step; words: string }
  /** The question stands there again, every answer as near as the other: no large action. */
  | { kind: "answers"; step: Step }
  /** It goes on by itself; it can be stopped, never by the pedal. */
  | { kind: "runs"; step: Step }
  | { kind: "stop"; step: Step; words: string }
  | { kind: "reasons"; step: Step; words: string }
  /** Something was told, and what comes next the server has yet to say. */
  | { kind: "waits"; step: Step | null; words: string }
  /** Nothing to do, or not for this role. */
  | { kind: "none"; step: Step | null };

/** An answer to a step that a picture has highlighted. */
export interface Preferred {
  stepId: string;
  choice: Choice;
}

/**
 * @param shown the station whose picture is in sight
 * @param asking the step whose question was put again
 * @param told what the server's word does not know of yet
 * @param preferred what the station's picture has in hand for a step: its own answer comes before the step's first
 */
export function largeAction(
  next: Step | null,
  shown: Station,
  asking: string | null,
  told?: Unheard,
  preferred?: Preferred | null,
): LargeAction {
  if (!next) {
    return told ? { kind: "waits", step: null, words: told.words } : { kind: "none", step: null };
  }
  const first = next.choices[0];
  // Where someone can get hurt everybody sees what to do, whoever may answer.
  if (!first?.mine && next.lead !== "STOP") {
    return { kind: "none", step: next };
  }
  if (next.station !== shown) {
    return { kind: "back", step: next };
  }
  const words = next.leadWords ?? first?.label ?? "";
  switch (next.lead) {
    case "STOP":
      return { kind: "stop", step: next, words };
    case "RUNS":
      return { kind: "runs", step: next };
    case "REASONS":
      return { kind: "reasons", step: next, words };
    case "ASK_AGAIN":
    case "HAS_COME":
    case "LEAD_ON":
    case "SETTLE":
      return asking === next.id ? { kind: "answers", step: next } : { kind: "again", step: next, words };
    default:
      if (preferred?.stepId === next.id && preferred.choice.mine) {
        return { kind: "record", step: next, choice: preferred.choice };
      }
      return first ? { kind: "record", step: next, choice: first } : { kind: "none", step: next };
  }
}
