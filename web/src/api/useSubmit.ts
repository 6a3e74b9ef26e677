import { useRef, useState } from "react";
import { type Problem, ProblemError } from "./client";

const LINE_DOWN: Problem = {
  status: 0,
  title: "The line is down",
  detail: "What you typed is kept; try again in a moment.",
};

/** Sends a form and keeps what came back: the problem stays until the next try, nothing typed is lost. */
export function useSubmit<Given>(send: (given: Given) => Promise<void>) {
  const [problem, setProblem] = useState<Problem | null>(null);
  const [busy, setBusy] = useState(false);
  // Known at once, not with the next drawing of the screen: a second press may come before that.
  const sending = useRef(false);
  const submit = async (given: Given) => {
    if (sending.current) {
      return;
    }
    sending.current = true;
    setBusy(true);
    setProblem(null);
    try {
      await send(given);
    } catch (error) {
      setProblem(error instanceof ProblemError ? error.problem : LINE_DOWN);
    } finally {
      sending.current = false;
      setBusy(false);
    }
  };
  return { problem, busy, submit };
}
