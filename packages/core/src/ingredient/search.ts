import { aliasRows } from '../facts/aliases.js';
import { isGum, isLeavener, isNut, isProteinType, isStarch, isStickyStarch } from './roles.js';
import type { Ingredient } from '../document/pantry.js';

export type FoundIngredient = {
  readonly id: string;
  /** The name that matched, where it was not its own. */ readonly as?: string;
  /** Language or country of that name. */ readonly locale?: string;
  /** It may mean something else: never taken silently. */ readonly asks: boolean;
  readonly why: string;
};

/** Goods that are taken for each other and must not be. */
export const confusions: readonly { readonly ids: readonly string[]; readonly ask: string }[] = [
  {
    ids: ['potato_flour', 'potato_starch'],
    ask: 'Potato flour is cooked and drinks 2.5 g/g; potato starch is raw and takes 0.45. They never swap.',
  },
  {
    ids: ['corn_starch', 'corn_flour_whole'],
    ask: 'UK, Irish and Australian cornflour is starch; US corn flour is ground maize. Australian "wheaten cornflour" is wheat.',
  },
  { ids: ['cassava_flour', 'tapioca_starch'], ask: 'Cassava flour is the whole root and drinks twice as much as tapioca starch.' },
  { ids: ['blend_sr', 'blend_ap'], ask: 'Self-raising blends hold baking powder and salt already: take both off the formula.' },
  { ids: ['butter_salted', 'butter_unsalted', 'butter_82'], ask: 'Salted butter brings 1.6 g of salt in 100 g.' },
  { ids: ['psyllium_husk', 'psyllium_powder'], ask: 'Same grams, half the volume for powder: weigh it.' },
  { ids: ['oat_flour', 'oats_rolled', 'oats_ordinary'], ask: 'Only oats grown and tested as gluten-free; some guests cannot have any.' },
  { ids: ['wheat_starch_gf', 'wheat_ap'], ask: 'Wheat starch of gluten-free grade is still wheat for allergens.' },
];

/** What an ingredient does, in words a baker looks for. */
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
    ...(one.kind.startsWith('fat_') ? ['short', 'tender', 'fat'] : []),
    ...(one.kind === 'sugar' || one.kind === 'syrup' ? ['sweet', 'browns', 'spreads'] : []),
    ...(one.kind === 'syrup' ? ['soft', 'moist'] : []),
    ...(isLeavener(one) || one.id === 'yeast_dry' ? ['lifts', 'raises'] : []),
    ...(one.kind === 'acid' || one.id === 'cream_of_tartar' ? ['sour', 'wakes soda'] : []),
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
 * Source   names in facts/aliases; what it does from kind and composition.
 *
 * @example
 * findIngredients(ingredients, 'fecola')[0]; // => { id: 'potato_starch', as: 'fecola', locale: 'it', asks: false, why: '' }
 */
export function findIngredients(ingredients: Readonly<Record<string, Ingredient>>, typed: string): FoundIngredient[] {
  const wanted = plain(typed);
  if (wanted === '') return [];
  const best = new Map<string, FoundIngredient & { rank: number }>();
  const offer = (rank: number, found: FoundIngredient) => {
    const held = best.get(found.id);
    if (ingredients[found.id] && rank > 0 && (!held || rank > held.rank)) best.set(found.id, { ...found, rank });
  };
  for (const one of Object.values(ingredients)) {
    const alike = confusions.find(({ ids }) => ids.includes(one.id));
    offer(rankOf(plain(one.name), wanted) + (plain(one.id.replaceAll('_', ' ')) === wanted ? 1 : 0), {
      id: one.id,
      asks: alike !== undefined,
      why: alike?.ask ?? '',
    });
    for (const does of doesWhat(one))
      if (plain(does).startsWith(wanted) && wanted.length > 2) offer(1, { id: one.id, as: does, asks: false, why: '' });
  }
  for (const [name, locale, ids, asks, why] of aliasRows) {
    const rank = rankOf(plain(name), wanted);
    ids.forEach((id, i) => offer(rank > 0 ? rank - i * 0.1 : 0, { id, as: name, locale, asks, why }));
  }
  return [...best.values()].sort((a, b) => b.rank - a.rank || a.id.localeCompare(b.id)).map(({ rank: _rank, ...found }) => found);
}

/** 4 the same, 3 begins so, 2 a word begins so, 1.5 to 1.9 every word of it is there; 0 not at all. */
function rankOf(name: string, wanted: string): number {
  if (name === wanted) return 4;
  if (name.startsWith(wanted)) return 3;
  const words = name.split(' ');
  if (words.some((word) => word.startsWith(wanted))) return 2;
  const parts = wanted.split(' ');
  // Of two names that hold all the words, the one with fewer others is meant.
  return parts.every((part) => words.some((word) => word.startsWith(part))) ? 1.5 + 0.4 * Math.min(1, parts.length / words.length) : 0;
}

const plain = (text: string) =>
  text
    .normalize('NFD')
    .replace(/\p{M}/gu, '')
    .replaceAll('œ', 'oe')
    .toLowerCase()
    .replace(/[^\p{L}\p{N}]+/gu, ' ')
    .trim();
