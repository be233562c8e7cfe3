import { confusedWith, nameBookOf, plain } from './names.js';
import { isFat, isGum, isLeavener, isLeaveningAcid, isNut, isProteinType, isStarch, isStickyStarch, isYeast } from './roles.js';
import type { Ingredient } from '../document/pantry.js';

export type FoundIngredient = {
  readonly id: string;
  /** The name that matched, where it was not its own. */ readonly as?: string;
  /** Language or country of that name. */ readonly locale?: string;
  /** It may mean something else: never taken silently. */ readonly asks: boolean;
  readonly why: string;
  /** All that the name may mean; left out where it is not asked. */ readonly among?: readonly string[];
};

/**
 * What an ingredient does, in words a baker looks for.
 *
 * Units    none.
 * Throws   nothing.
 * Findings none.
 * Source   judgement.
 *
 * @example
 * doesWhat(ingredients.xanthan); // => ['binds', 'rolls without cracking', 'fibre', 'thirsty', 'holds water', 'neutral', 'mild']
 */
export function doesWhat(one: Ingredient): string[] {
  const c = one.composition;
  return [
    ...(isGum(one) ? ['binds', 'rolls without cracking'] : []),
    ...(isStickyStarch(one) ? ['stretches', 'bends', 'sticky'] : []),
    ...(isStarch(one) ? ['tender', 'light', 'crisp', 'thickens'] : []),
    ...(isProteinType(one) ? ['structure', 'flour'] : []),
    ...(isNut(one) ? ['short', 'rich', 'browns'] : []),
    ...(one.kind === 'egg' ? ['sets', 'binds hot', 'browns', 'wash'] : []),
    ...(one.kind === 'dairy' ? ['browns', 'tender'] : []),
    ...(isFat(one) ? ['short', 'tender', 'fat'] : []),
    ...(one.kind === 'sugar' || one.kind === 'syrup' ? ['sweet', 'browns', 'spreads'] : []),
    ...(one.kind === 'syrup' ? ['soft', 'moist'] : []),
    ...(isLeavener(one) || isYeast(one) ? ['lifts', 'raises'] : []),
    ...(isLeaveningAcid(one) ? ['sour', 'wakes soda'] : []),
    ...(one.grit !== undefined && one.grit === 0 && isStarch(one) ? ['dusting', 'fine'] : []),
    ...(c.proteinShare > 0.15 && c.waterShare < 0.2 ? ['protein'] : []),
    ...(c.fibreShare > 0.08 ? ['fibre'] : []),
    ...((one.waterHoldGPerG ?? 0) > 2 ? ['thirsty', 'holds water'] : []),
    ...(one.flavour === 0 ? ['neutral', 'mild'] : []),
  ];
}

/**
 * Ingredients by what was typed: own name, names in other languages, or what they do. Best first; accents and case do not matter.
 *
 * Units    none.
 * Throws   nothing.
 * Findings none.
 * Source   names in facts/name-table; what it does from kind and composition.
 *
 * @example
 * findIngredients(ingredients, 'fecola')[0]; // => { id: 'potato_starch', as: 'fecola', locale: 'it', asks: false, why: '' }
 */
export function findIngredients(ingredients: Readonly<Record<string, Ingredient>>, typed: string): FoundIngredient[] {
  const wanted = plain(typed);
  if (wanted === '') return [];
  const book = nameBookOf(ingredients);
  const best = new Map<string, FoundIngredient & { rank: number }>();
  const offer = (rank: number, found: FoundIngredient) => {
    const held = best.get(found.id);
    if (rank > 0 && (!held || rank > held.rank)) best.set(found.id, { ...found, rank });
  };
  for (const { as, plain: name, words, ids, asks, why, locale } of book.entries) {
    const rank = rankOf(name, words, wanted);
    if (rank === 0) continue;
    const alike = locale === undefined && rank < SAME ? confusedWith(ids[0]!) : undefined;
    const meaning = rank === SAME ? book.exact.get(name) : undefined;
    ids.forEach((id, i) =>
      offer(rank - i * 0.1, {
        id,
        ...(locale === undefined ? {} : { as, locale }),
        asks: alike !== undefined || (meaning?.asks ?? asks),
        why: alike?.ask ?? meaning?.why ?? why,
        among: alike?.ids ?? meaning?.ids ?? ids,
      }),
    );
  }
  const byId = ingredients[wanted.replaceAll(' ', '_')];
  const meant = book.exact.get(wanted);
  if (byId) offer(SAME + 1, { id: byId.id, asks: meant?.asks ?? false, why: meant?.why ?? '', ...(meant ? { among: meant.ids } : {}) });
  if (wanted.length > 2) {
    for (const one of Object.values(ingredients)) {
      const does = doesWhat(one).find((word) => plain(word).startsWith(wanted));
      if (does !== undefined) offer(1, { id: one.id, as: does, asks: false, why: '' });
    }
  }
  return [...best.values()].sort((a, b) => b.rank - a.rank || a.id.localeCompare(b.id)).map(({ rank: _rank, ...found }) => found);
}

const SAME = 4;
/** 4 the same, 3 begins so, 2 a word begins so, 1.5 to 1.9 every word of it is there; 0 not at all. */
function rankOf(name: string, words: readonly string[], wanted: string): number {
  if (name === wanted) return SAME;
  if (name.startsWith(wanted)) return 3;
  if (words.some((word) => word.startsWith(wanted))) return 2;
  const parts = wanted.split(' ');
  // Of two names that hold all the words, the one with fewer others is meant.
  return parts.every((part) => words.some((word) => word.startsWith(part))) ? 1.5 + 0.4 * Math.min(1, parts.length / words.length) : 0;
}
