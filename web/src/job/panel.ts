import type { ReactNode } from "react";
import type { View } from "@/edge/useEdge";
import type { Asked } from "./AskDialog";
import type { Preferred } from "./largeAction";
import type { Choice, Hold, Job, Record, Step } from "./useJob";

/** What every station's own panel is given. */
export interface PanelProps {
  job: Job;
  record: Record;
  /** Taps a choice; asks first for what it still needs. */
  choose: (step: Step, choice: Choice) => void;
  /** The place on the edge a finger last pointed at. */
  pointed: number | null;
  onPoint: (at: number | null) => void;
  view: View;
  onView: (view: View) => void;
  /** What to offer beside a hold that a lead may answer for. */
  signOff: (hold: Hold) => ReactNode;
  /** Asks for what a choice that belongs to no step still needs. */
  ask: (asked: Asked) => void;
  /** What the large action answers a step with, while this is in hand; keep what is passed the same between draws. */
  prefer: (what: Preferred | null) => void;
  /** The large action leads to why its step is not as planned; the panel shows it until it was seen. */
  reasons: boolean;
  onReasonsSeen: () => void;
}
