import { isOfDough } from '../document/formula.js';
import { isGum, isNut, isProteinType, isStarch } from '../ingredient/roles.js';
import type { Formula, Row } from '../document/formula.js';
import type { Ingredient, Pantry } from '../document/pantry.js';

export type ListedAmount = { readonly ingredientId: string; readonly massG: number; readonly written: string };

/**
 * A formula with its blend and dough rows taken from a list: flours, starches and gums become the blend, everything else a row.
 *
 * Lines of one ingredient join. What the list does not speak of (dust, topping, chill, sheet, oven) stays as it is.
 *
 * Units    g.
 * Throws   nothing; a list without flour keeps the blend there is, at the weight it had.
 * Findings none.
 * Source   arithmetic.
 */
export function formulaFromList(
  formula: Formula,
  list: readonly ListedAmount[],
  pantry: Pantry,
  newKey: () => string,
  how: 'instead' | 'besides',
): Formula {
  const known = list.filter(({ ingredientId, massG }) => pantry.ingredients[ingredientId] && massG > 0);
  const flours = joined(known.filter(({ ingredientId }) => isFlour(pantry.ingredients[ingredientId]!)));
  const others = joined(known.filter(({ ingredientId }) => !isFlour(pantry.ingredients[ingredientId]!)));
  // In a laminated formula the largest solid fat of a list is what is folded in.
  const solid = others.filter(({ ingredientId }) => pantry.ingredients[ingredientId]!.kind === 'fat_solid');
  const folded =
    how === 'instead' && formula.sheet.laminate
      ? solid.reduce<ListedAmount | null>((most, one) => (most && most.massG >= one.massG ? most : one), null)
      : null;
  const rows = others.map((one): Row => {
    const { ingredientId, massG, written } = one;
    const fat = one === folded ? undefined : fatOf(pantry.ingredients[ingredientId]!);
    return {
      key: newKey(),
      ingredientId,
      amountG: Number(massG.toFixed(2)),
      use: one === folded ? 'rollIn' : 'dough',
      entered: written.slice(0, 60),
      ...(fat ? { fat } : {}),
    };
  });
  const kept = formula.rows.filter((row) => how === 'besides' || !isOfDough(row));
  const held =
    how === 'besides'
      ? formula.blend.rows.map(({ ingredientId, share }) => ({ ingredientId, massG: share * formula.blendG, written: '' }))
      : [];
  const together = joined([...held, ...flours]);
  const blendG = together.reduce((sum, { massG }) => sum + massG, 0);
  // Gum alone is no blend: it would be a dough of nothing.
  if (flours.length === 0 || !together.some(({ ingredientId }) => !isGum(pantry.ingredients[ingredientId]!))) {
    return { ...formula, rows: [...kept, ...rows] };
  }
  const before = new Map(formula.blend.rows.map((row) => [row.ingredientId, row]));
  const { uncertainShare: _old, from: _from, ...blend } = formula.blend;
  const roundG = Number(blendG.toFixed(2));
  return {
    ...formula,
    blendG: roundG,
    ...(how === 'instead'
      ? {
          blendEntered: {
            text: flours
              .map(({ written }) => written)
              .join('; ')
              .slice(0, 300),
            g: roundG,
          },
        }
      : {}),
    blend: {
      ...blend,
      rows: together.map(({ ingredientId, massG }) => ({
        ...(before.get(ingredientId) ?? { key: newKey(), ingredientId }),
        share: massG / blendG,
      })),
    },
    rows: [...kept, ...rows],
  };
}

const isFlour = (one: Ingredient) => isProteinType(one) || isStarch(one) || isGum(one) || isNut(one);

/** How a fat usually goes in when nobody says: oil is poured, solid fat rubbed. */
function fatOf(one: Ingredient): Row['fat'] {
  if (one.kind === 'fat_liquid') return { state: 'melted' };
  return one.kind === 'fat_solid' ? { state: 'rubbed' } : undefined;
}

function joined(list: readonly ListedAmount[]): ListedAmount[] {
  const sums = new Map<string, ListedAmount>();
  for (const one of list) {
    const held = sums.get(one.ingredientId);
    sums.set(
      one.ingredientId,
      held
        ? { ...held, massG: held.massG + one.massG, written: [held.written, one.written].filter((text) => text !== '').join('; ') }
        : one,
    );
  }
  return [...sums.values()];
}
