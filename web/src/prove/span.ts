/** At least a fifth of a kPa high: a tenth that strays must not look like a leak. */
const LEAST_KPA = 0.2;

/** From the lowest to the highest, and a little more. */
export function span(values: readonly number[]): [number, number] {
  const low = Math.min(...values);
  const high = Math.max(...values);
  const more = Math.max(0, LEAST_KPA - (high - low)) / 2 + 0.05 * Math.max(LEAST_KPA, high - low);
  return [low - more, high + more];
}
