/** How far a dot reaches after so long: between the moments that were reckoned as the straight line goes, then no further. */
export function reachAt(reach: readonly { seconds: number; mm: number }[], seconds: number): number {
  const after = reach.findIndex((moment) => moment.seconds >= seconds);
  const last = reach.at(-1);
  if (after === -1 || !last) {
    return last?.mm ?? 0;
  }
  const to = reach[after] ?? last;
  const from = reach[after - 1] ?? to;
  const span = to.seconds - from.seconds;
  return span === 0 ? to.mm : from.mm + ((seconds - from.seconds) / span) * (to.mm - from.mm);
}
