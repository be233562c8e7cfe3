import { applyEdits } from '../document/edits.js';
import { evaluate } from '../evaluate.js';
import { families } from '../facts/families.js';
import { publishedIngredients } from '../ingredient/published.js';
import { isBlendable } from '../ingredient/roles.js';
import { suitability } from '../ingredient/safety/suits.js';
import { suits, type SuitId } from '../facts/suits.js';
import { starterFormula } from '../solve/starter.js';
import { swapChoices } from '../solve/swap-row.js';
import { kitchen } from './a-formula.js';
import type { Formula } from '../document/formula.js';
import type { Ingredient, Pantry } from '../document/pantry.js';

/*
 * What a thing does hangs on what it is said to be, never on its id: every published ingredient, copied under another id, bakes the same.
 */
const OURS = 'ours.';
const ours = (id: string) => OURS + id;
const published = publishedIngredients();
const all = Object.values(published);

const copied = (one: Ingredient): Ingredient => ({
  ...one,
  id: ours(one.id),
  unsuited: one.unsuited ?? [],
  ...(one.takenFor ? { takenFor: ours(one.takenFor) } : {}),
  ...(one.usualParts ? { usualParts: one.usualParts.map((part) => ({ ...part, ingredientId: ours(part.ingredientId) })) } : {}),
});
const shelf: Pantry = { ingredients: published, lots: {}, on: '2026-11-25' };
const copies: Pantry = { ...shelf, ingredients: Object.fromEntries(all.map((one) => [ours(one.id), copied(one)])) };
const withCopies = <T extends { readonly ingredientId: string }>(row: T): T => ({ ...row, ingredientId: ours(row.ingredientId) });
const ofCopies = (formula: Formula): Formula => ({
  ...formula,
  blend: { ...formula.blend, rows: formula.blend.rows.map(withCopies) },
  rows: formula.rows.map(withCopies),
});
/** An answer as if it spoke of the published ones. */
const ofPublished = (answer: unknown): unknown => JSON.parse(JSON.stringify(answer).replaceAll(OURS, ''));

let n = 0;
const key = () => `k${++n}`;
/** A family's first formula with a pinch of some ingredients besides: what may stand in a blend in it, the rest as rows. */
function holding(familyId: string, some: readonly Ingredient[]): Formula {
  const first = starterFormula(families[familyId]!, 'A first one', { kitchen, pantry: shelf }, key);
  const flours = some.filter(isBlendable);
  const share = 0.004;
  const left = 1 - share * flours.length;
  const uses = ['dough', 'dough', 'topping', 'filling'] as const;
  return applyEdits(first, [
    {
      path: '/blend/rows',
      from: first.blend.rows as never,
      to: [
        ...first.blend.rows.map((row) => ({ ...row, share: row.share * left })),
        ...flours.map(({ id }) => ({ key: key(), ingredientId: id, share })),
      ] as never,
    },
    {
      path: '/rows',
      from: first.rows as never,
      to: [
        ...first.rows,
        ...some
          .filter((one) => !flours.includes(one))
          .map(({ id }, i) => ({ key: key(), ingredientId: id, amountG: 2, use: uses[i % uses.length]! })),
      ] as never,
    },
  ]);
}

describe('an ingredient under another id', () => {
  const ids = Object.keys(families);
  it.each(ids.map((id, i) => [id, all.filter((_, k) => k % ids.length === i)] as const))('bakes as it did: %s', (id, some) => {
    const formula = holding(id, some);
    const asPublished = evaluate(formula, kitchen, shelf);
    expect(asPublished.keep.state).not.toBe('waiting');
    expect(ofPublished(evaluate(ofCopies(formula), kitchen, copies))).toEqual(JSON.parse(JSON.stringify(asPublished)));
  });

  it('suits whom it suited, and stands in for what it stood in for', () => {
    for (const one of all) {
      for (const suit of Object.keys(suits.values) as SuitId[]) expect(suitability(copied(one), suit)).toBe(suitability(one, suit));
      expect(swapChoices(ours(one.id), copies).map((id) => id.slice(OURS.length))).toEqual(swapChoices(one.id, shelf));
    }
  });
});
