import { isFlour, isGum, isLeavener, isSalt, isStarch } from '../ingredient/roles.js';
import type { Ingredient, Pantry } from '../document/pantry.js';
import type { Family } from '../facts/families.js';
import type { ReadLine } from './read-line.js';

/** Something about a list that looks like a slip of the hand: asked about, never mended silently. */
export type Slip = {
  readonly line: number;
  readonly kind: 'noAmount' | 'unknown' | 'doubled' | 'saltForSugar' | 'spoonForSpoon' | 'tooMuchGum' | 'noWeight' | 'gluten';
  /** What it would be more likely, where that is a number. */ readonly likelyG?: number;
};
/** Two sugars of two parts are no slip. */
const placeOf = ({ part, under }: ReadLine) => [part?.use ?? 'dough', part?.goesOn ?? '', under ?? ''].join(' ');
/** Over this many times the most that the family takes, a hand has slipped rather than a taste. Judgement. */
const FAR = 2.5;

/**
 * What looks like a slip in a list: salt for sugar, a tablespoon for a teaspoon, ten times too much gum, a line that stands twice.
 *
 * Units    g; amounts are judged against the list's own flours and the family's windows.
 * Throws   nothing.
 * Findings none: these are questions about what was written, not judgements of the dough.
 * Source   slips that bakers tell of: common practice, no source; windows in facts/families.
 *
 * @example
 * slipsIn([], families.cracker_thin, ingredients); // => []
 */
export function slipsIn(lines: readonly ReadLine[], family: Family, ingredients: Pantry['ingredients']): Slip[] {
  const massOf = ({ mass }: ReadLine) => mass?.massG ?? 0;
  const flourG = lines.reduce((sum, line) => {
    const one = line.ingredientId ? ingredients[line.ingredientId] : undefined;
    return one && (isFlour(one) || isStarch(one) || one.kind === 'blend') ? sum + massOf(line) : sum;
  }, 0);
  const percent = (line: ReadLine) => (flourG > 0 ? (massOf(line) / flourG) * 100 : 0);
  return lines.flatMap((line, i): Slip[] => {
    const one = line.ingredientId ? ingredients[line.ingredientId] : undefined;
    if (!one) return [{ line: i, kind: 'unknown' }];
    if (one.gluten === 'contains') return [{ line: i, kind: 'gluten' }];
    if (!line.amount) return [{ line: i, kind: 'noAmount' }];
    if (!line.mass) return [{ line: i, kind: 'noWeight' }];
    const again = lines.some((other, k) => k < i && other.ingredientId === one.id && placeOf(other) === placeOf(line));
    const far = tooMuch(one, line, percent(line), family).map((slip): Slip => ({ line: i, ...slip }));
    return again ? [{ line: i, kind: 'doubled' }, ...far] : far;
  });
}

/** What there is far more of than any such dough has, and how much was likely meant. */
function tooMuch(one: Ingredient, { amount, mass }: ReadLine, percent: number, family: Family): Omit<Slip, 'line'>[] {
  const slips: Omit<Slip, 'line'>[] = [];
  const massG = mass?.massG ?? 0;
  if (isSalt(one) && percent > FAR * family.saltPercent[2]) slips.push({ kind: 'saltForSugar' });
  const spoon = amount?.measure?.kind === 'volume' && /^tablespoon/.test(amount.measure.of);
  if (isLeavener(one) && percent > FAR * family.leavenerPercent[2]) {
    slips.push({ kind: 'spoonForSpoon', ...(spoon ? { likelyG: massG / 3 } : {}) });
  }
  const most = one.gum && family.gumPercent[one.gum]?.[2];
  if (isGum(one) && most !== undefined && percent > FAR * most) slips.push({ kind: 'tooMuchGum', likelyG: massG / (spoon ? 3 : 10) });
  return slips;
}
