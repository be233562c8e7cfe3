import { within } from '../errors.js';
import { binomialAtLeast } from '../math/distributions.js';

/** Blind tests: three cups of which one is another; which of two is more; which of two is like the first. */
export const tastingTests = ['triangle', 'paired', 'duoTrio'] as const;
export type TastingTest = (typeof tastingTests)[number];

/** Right by chance. */
export const byChance: Readonly<Record<TastingTest, number>> = { triangle: 1 / 3, paired: 1 / 2, duoTrio: 1 / 2 };

/**
 * Fewest right answers that chance alone gives too rarely; null where even all of them are not rare enough.
 *
 * Units    counts; alpha is the share of errors that is allowed.
 * Throws   InputError at tasters out of 1..2000, at alpha out of 0.0001..0.5.
 * Findings none.
 * Source   exact binomial tail; equals the tables of ISO 4120 (triangle) where those were recalled. A two-sided paired test halves alpha.
 *
 * @example
 * criticalRight('triangle', 12, 0.05); // => 8
 */
export function criticalRight(test: TastingTest, tasters: number, alpha: number, sides: 'one' | 'two' = 'one'): number | null {
  within('tasters', tasters, 1, 2000, 'people');
  within('alpha', alpha, 0.0001, 0.5, '(share)');
  const allowed = sides === 'two' ? alpha / 2 : alpha;
  for (let k = 0; k <= tasters; k++) if (binomialAtLeast(k, tasters, byChance[test]) <= allowed) return k;
  return null;
}

/**
 * Chance of so many right answers or more by guessing; two-sided: of so uneven a count either way.
 *
 * Units    counts in, probability out.
 * Throws   nothing.
 * Findings none.
 * Source   exact binomial tail.
 *
 * @example
 * chanceOf('triangle', 8, 12); // => about 0.0187584
 */
export function chanceOf(test: TastingTest, right: number, tasters: number, sides: 'one' | 'two' = 'one'): number {
  const one = binomialAtLeast(sides === 'two' ? Math.max(right, tasters - right) : right, tasters, byChance[test]);
  return sides === 'two' ? Math.min(1, 2 * one) : one;
}

/**
 * Chance that a test finds a difference when each taster is right with chance `right`.
 *
 * Units    counts; probabilities.
 * Throws   InputError as criticalRight.
 * Findings none.
 * Source   exact binomial tail at criticalRight.
 *
 * @example
 * power('triangle', 24, 0.5, 0.05).critical; // => 13
 */
export function power(
  test: TastingTest,
  tasters: number,
  right: number,
  alpha: number,
): { readonly critical: number | null; readonly power: number } {
  const critical = criticalRight(test, tasters, alpha);
  return { critical, power: critical === null ? 0 : binomialAtLeast(critical, tasters, right) };
}

/**
 * Tasters needed to find a share of people who can tell, with so much power. Power goes up and down as people are added: the least number
 * from which on the next few hold it too.
 *
 * Units    people; shares 0..1.
 * Throws   InputError at tellApart out of 0.01..1.
 * Findings none.
 * Source   right = share + (1 - share) x chance; exact binomial.
 *
 * @example
 * tastersNeeded('triangle', 0.5, 0.05, 0.8); // => 16
 */
export function tastersNeeded(test: TastingTest, tellApart: number, alpha: number, wanted: number): number | null {
  within('tellApart', tellApart, 0.01, 1, '(share)');
  const right = tellApart + (1 - tellApart) * byChance[test];
  const holds = (n: number) => power(test, n, right, alpha).power >= wanted;
  for (let n = 1; n <= 1000; n++) if ([0, 1, 2].every((more) => holds(n + more))) return n;
  return null;
}

/**
 * A blind sheet: for each taster the cups in their order, each under a number of three digits that says nothing.
 *
 * Units    none.
 * Throws   InputError at tasters out of 1..200.
 * Findings none.
 * Source   every order equally often, in shuffled turns; numbers never repeat in one sheet.
 *
 * @example
 * blindSheet('triangle', 2, seeded(1)).length; // => 2
 */
export function blindSheet(
  test: TastingTest,
  tasters: number,
  next: () => number,
): readonly { readonly cups: readonly { readonly code: number; readonly is: 'A' | 'B' }[] }[] {
  within('tasters', tasters, 1, 200, 'people');
  const orders: readonly (readonly ('A' | 'B')[])[] =
    test === 'triangle'
      ? [['A', 'A', 'B'], ['A', 'B', 'A'], ['B', 'A', 'A'], ['B', 'B', 'A'], ['B', 'A', 'B'], ['A', 'B', 'B']] // prettier-ignore
      : test === 'paired'
        ? [['A', 'B'], ['B', 'A']] // prettier-ignore
        : [['A', 'A', 'B'], ['A', 'B', 'A'], ['B', 'B', 'A'], ['B', 'A', 'B']]; // prettier-ignore
  const codes = shuffled(
    Array.from({ length: 900 }, (_, i) => 100 + i),
    next,
  );
  let used = 0;
  let turn: (readonly ('A' | 'B')[])[] = [];
  return Array.from({ length: tasters }, () => {
    if (turn.length === 0) turn = shuffled([...orders], next);
    return { cups: turn.pop()!.map((is) => ({ code: codes[used++ % codes.length]!, is })) };
  });
}

/** Fisher and Yates 1938. */
function shuffled<T>(list: T[], next: () => number): T[] {
  for (let i = list.length - 1; i > 0; i--) {
    const j = Math.floor(next() * (i + 1));
    [list[i], list[j]] = [list[j]!, list[i]!];
  }
  return list;
}
