import { isInherited } from './fields.js';

/** One thing wrong with a request: where (as in the formula: 'rows[2].amountG'), a code, and a sentence. */
export type Problem = { readonly path: string; readonly code: string; readonly message: string };

/** No formula, bake or kitchen comes near these; a body that does is not read any further. */
const DEEPEST = 16;
const MOST_VALUES = 25_000;
/** Smaller is nothing that a scale, a thermometer or a clock could say. */
const SMALLEST = 1e-12;

/**
 * What no body may hold, whatever its route: looked for in one walk, before any schema is asked, so that the cost is bounded.
 * null: nothing.
 */
export function unsound(body: unknown): Problem | null {
  const left: { value: unknown; path: readonly (string | number)[] }[] = [{ value: body, path: [] }];
  let seen = 0;
  for (let at = left.pop(); at; at = left.pop()) {
    const { value, path } = at;
    const problem = (message: string): Problem => ({
      path: pathOf(path),
      code: 'unsound',
      message: `${pathOf(path) || 'the body'} ${message}`,
    });
    if (++seen > MOST_VALUES) return problem(`is one value too many: a request holds at most ${MOST_VALUES}`);
    if (path.length > DEEPEST) return problem(`lies deeper than ${DEEPEST} levels`);
    if (typeof value === 'string' && !isText(value)) return problem('holds a character that is none (NUL, or half of one)');
    if (typeof value === 'number' && value !== 0 && Math.abs(value) < SMALLEST)
      return problem(`is nearer to zero than ${SMALLEST}: write 0`);
    if (Array.isArray(value)) {
      if (value.length + seen > MOST_VALUES) return problem(`has ${value.length} entries: a request holds at most ${MOST_VALUES} values`);
      for (let i = value.length - 1; i >= 0; i--) left.push({ value: value[i], path: [...path, i] });
    } else if (value !== null && typeof value === 'object') {
      for (const key of Object.keys(value)) {
        if (isInherited(key) || !isText(key))
          return problem(`has an entry with a name that cannot be: ${JSON.stringify(key).slice(0, 40)}`);
        left.push({ value: (value as Record<string, unknown>)[key], path: [...path, key] });
      }
    }
  }
  return null;
}

/** Text that the database can hold and every device can show. */
export const isText = (text: string): boolean => !text.includes('\u0000') && (text as string & { isWellFormed(): boolean }).isWellFormed();

/** ['rows', 2, 'amountG'] as 'rows[2].amountG'. */
export function pathOf(path: readonly (string | number)[]): string {
  return path.reduce<string>((so, key) => (typeof key === 'number' ? `${so}[${key}]` : so === '' ? key : `${so}.${key}`), '');
}
