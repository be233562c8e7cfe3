/** A key for a new row: never used again within a formula, so made of time and not of a count. */
export const newKey = (): string =>
  `b${Date.now().toString(36)}${Math.floor(performance.now() * 1000)
    .toString(36)
    .slice(-4)}`;
