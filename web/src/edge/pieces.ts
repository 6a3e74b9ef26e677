/** What a piece of the edge says at a station; each tone has its own pattern or outline besides its colour. */
export type Tone = "bond" | "free" | "next" | "hazard" | "crack" | "strip" | "skip" | "warm" | "cold";

/** Something on an interval of the edge, drawn folded and unrolled alike. */
export interface Piece {
  id: string;
  from: number;
  length: number;
  tone: Tone;
  /** How much of the track's height it fills, 0 to 1. */
  fill?: number;
  /** Written on the band where there is room. */
  label?: string;
  /** Which way the tool goes along it, drawn as an arrow on the outline. */
  clockwise?: boolean;
  title: string;
}

export interface Track {
  id: string;
  name: string;
  pieces: Piece[];
  height: number;
}

/** A mark at one place: a wedge, or where a finger last pointed. */
export interface Pin {
  id: string;
  at: number;
  kind: "wedge" | "pointer";
  title: string;
}

export const FILL: Record<Tone, string> = {
  bond: "var(--bond)",
  free: "var(--free)",
  next: "var(--lamp)",
  hazard: "url(#hazard)",
  crack: "url(#crack)",
  strip: "var(--free)",
  skip: "url(#hazard)",
  warm: "var(--warm)",
  cold: "var(--bond)",
};
