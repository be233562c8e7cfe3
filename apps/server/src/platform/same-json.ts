/** Whether two values are the same as JSON, whatever the order of their keys: the database keeps none. */
export const sameJson = (a: unknown, b: unknown): boolean => canonical(a) === canonical(b);

function canonical(value: unknown): string {
  return JSON.stringify(value, (_key, held: unknown) =>
    held !== null && typeof held === 'object' && !Array.isArray(held)
      ? Object.fromEntries(Object.entries(held).sort(([a], [b]) => (a < b ? -1 : 1)))
      : held,
  );
}
