/**
 * How far tones stand out of the silence before, by the one that does least: a loudspeaker that has lost its treble is none.
 *
 * @param quietDb and tonesDb by the same pitches
 */
export function rise(
  quietDb: readonly number[],
  tonesDb: readonly number[],
): { quietDb: number; toneDb: number } {
  const pairs = tonesDb.map((toneDb, i) => ({ quietDb: quietDb[i] ?? 0, toneDb }));
  return pairs.reduce((least, pair) =>
    pair.toneDb - pair.quietDb < least.toneDb - least.quietDb ? pair : least,
  );
}

/** Mean and standard deviation of a picture's points, 0–255, by red, green and blue alike. */
export function spread(rgba: ArrayLike<number>): { mean: number; deviation: number } {
  let sum = 0;
  let squares = 0;
  const points = Math.floor(rgba.length / 4);
  for (let i = 0; i < points * 4; i += 4) {
    const bright = ((rgba[i] ?? 0) + (rgba[i + 1] ?? 0) + (rgba[i + 2] ?? 0)) / 3;
    sum += bright;
    squares += bright * bright;
  }
  const mean = points === 0 ? 0 : sum / points;
  return { mean, deviation: points === 0 ? 0 : Math.sqrt(Math.max(0, squares / points - mean * mean)) };
}

/** Along its width, its height and out of its picture. */
export type Vector = readonly [number, number, number];

/** The widest angle between the first pull of gravity and any later one, degrees; a fall in between, with none, says nothing. */
export function tilt(pulls: readonly Vector[]): number {
  const long = (v: Vector) => Math.hypot(...v);
  const [first, ...later] = pulls.filter((pull) => long(pull) > 1);
  return first === undefined
    ? 0
    : Math.max(
        0,
        ...later.map((pull) => {
          const cosine =
            (first[0] * pull[0] + first[1] * pull[1] + first[2] * pull[2]) / (long(first) * long(pull));
          return (Math.acos(Math.min(1, Math.max(-1, cosine))) * 180) / Math.PI;
        }),
      );
}
