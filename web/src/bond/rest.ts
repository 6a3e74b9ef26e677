/** How long it is left alone afterwards. */
export const restWords = (minutes: number) =>
  minutes >= 120 ? `${Math.round(minutes / 60)} h in clamps` : `${minutes} min left alone`;
