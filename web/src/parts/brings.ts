/** Names of what a part may bring, for lists of parts. */
export function bringsWords(brings: readonly string[]): string {
  return brings.map((one) => one.toLowerCase().replaceAll("_", " ")).join(", ");
}
