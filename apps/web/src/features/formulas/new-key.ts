let made = 0;
/** A key for a new row: never used again within a formula, so made of time, and of a count for those made in one moment. */
export const newKey = (): string => `b${Date.now().toString(36)}${(made++).toString(36)}`;
