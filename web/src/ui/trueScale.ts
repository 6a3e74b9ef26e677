const STORE = "ridgefall.pixels-per-mm";

/** What a browser says of a screen it knows nothing of; none is like it. */
const SAID = 96 / 25.4;
const LEAST = 1.5;
const MOST = 12;

/** Pixels of this screen a millimetre, as a rule laid on it found. */
export function pixelsPerMm(): number {
  const stored = Number(localStorage.getItem(STORE));
  return stored >= LEAST && stored <= MOST ? stored : SAID;
}

/** Whether a rule was ever laid on this screen. */
export function isTrueScale(): boolean {
  return localStorage.getItem(STORE) !== null;
}

export function setPixelsPerMm(pixels: number): void {
  localStorage.setItem(STORE, String(Math.min(MOST, Math.max(LEAST, pixels))));
}
