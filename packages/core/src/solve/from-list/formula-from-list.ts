import { fatOfSchool, defaultMix, isMixStructured, mixedBySchool, mixWith } from '../../dough/mix.js';
import { families } from '../../facts/families.js';
import { isCrumb, isGum, isNut, isProteinType, isStarch } from '../../ingredient/roles.js';
import type { Formula, Row } from '../../document/formula.js';
import type { Component } from '../../document/preparation.js';
import type { Ingredient, Pantry } from '../../document/pantry.js';
import type { Family } from '../../facts/families.js';
import type { PartOfList } from '../../facts/line-words.js';

export type ListedAmount = {
  readonly ingredientId: string;
  readonly massG: number;
  readonly written: string;
  /** Left out: the dough. */ readonly part?: PartOfList;
  /** The heading it stands under. */ readonly under?: string;
  /** One standard deviation, where it was read from the label of a box. */ readonly sdG?: number;
};

/** In place of the dough there is, beside it, or around its blend: every line a row then. */
export type ListUse = 'instead' | 'besides' | 'aroundBlend';

/** How a list goes into a formula, and where new rows get their keys. */
type ListWork = { readonly newKey: () => string; readonly how: ListUse };
type Known = { readonly family: Family | undefined; readonly pantry: Pantry };

/**
 * A formula with its blend and rows taken from a list: flours, starches and gums of the dough become the blend, everything else a row,
 * each with the use its heading gave it. Nuts stand in the blend where the family is of nuts, else beside it.
 *
 * Lines of one ingredient join within a part; two sugars of two parts stay two rows. `instead` leaves nothing of the old dough, filling
 * or topping behind, builds the mix anew by the family's school, and keeps chill, sheet, oven and the dust the list does not speak of.
 * `besides` adds to what there is, each new row at the step where its like goes in.
 *
 * Units    g.
 * Throws   nothing; a list without flour keeps the blend there is, at the weight it had.
 * Findings none.
 * Source   arithmetic; order of mixing by dough/mix.
 */
export function formulaFromList(formula: Formula, list: readonly ListedAmount[], pantry: Pantry, { newKey, how }: ListWork): Formula {
  const family = families[formula.family];
  const known = list.filter(({ ingredientId, massG }) => pantry.ingredients[ingredientId] && massG > 0);
  const ofDough = known.filter(({ part }) => part === undefined || part.use === 'dough');
  const isFlour = how === 'aroundBlend' ? () => false : floursOf(ofDough, family, pantry);
  const flours = joined(ofDough.filter((one) => isFlour(one)));
  const rows = rowsOf(formula, { known, isFlour }, { family, pantry }, { newKey, how });
  const { rows: together, components } = underHeadings(
    rows.map(({ row }) => row),
    rows.map(({ under }) => under),
    newKey,
  );
  const kept =
    how === 'besides' ? formula.rows : formula.rows.filter(({ use }) => use === 'dust' && !together.some((row) => row.use === 'dust'));
  const { components: before = [], ...rest } = formula;
  const still = [...before.filter(({ key }) => kept.some(({ component }) => component === key)), ...components];
  const made = withBlend({ ...rest, rows: [...kept, ...together], ...(still.length > 0 ? { components: still } : {}) }, flours, pantry, {
    newKey,
    how,
  });
  return mixed(made, together, { family, pantry }, { newKey, how });
}

/** What of a list stands in the blend. Where nuts are the only flour there is, they are it. */
function floursOf(list: readonly ListedAmount[], family: Family | undefined, pantry: Pantry): (one: ListedAmount) => boolean {
  const of = ({ ingredientId }: ListedAmount): Ingredient => pantry.ingredients[ingredientId]!;
  const grain = (one: Ingredient) => isProteinType(one) || isStarch(one) || isCrumb(one);
  const nutsToo = family?.base === 'nut' || !list.some((one) => grain(of(one)));
  const set = new Set(list.filter((one) => grain(of(one)) || isGum(of(one)) || (nutsToo && isNut(of(one)))));
  return (one) => set.has(one);
}

function rowsOf(
  formula: Formula,
  { known, isFlour }: { readonly known: readonly ListedAmount[]; readonly isFlour: (one: ListedAmount) => boolean },
  { family, pantry }: Known,
  { newKey, how }: ListWork,
): { readonly row: Row; readonly under: string | undefined }[] {
  const others = joined(known.filter((one) => !isFlour(one)));
  const folded = how !== 'besides' && formula.sheet.laminate ? largestSolidFat(others, pantry) : null;
  return others.map((one) => {
    const { ingredientId, massG, written, part, under } = one;
    const use = one === folded ? 'rollIn' : (part?.use ?? 'dough');
    const fat = use === 'dough' ? fatOf(pantry.ingredients[ingredientId]!, family) : undefined;
    const row: Row = {
      key: newKey(),
      ingredientId,
      amountG: Number(massG.toFixed(2)),
      use,
      entered: written.slice(0, 60),
      ...(part?.goesOn ? { goesOn: { at: part.goesOn } } : {}),
      ...(fat ? { fat } : {}),
    };
    return { row, under };
  });
}

/** Two rows or more that go on together and stand under one heading are a component by its name. */
function underHeadings(
  rows: readonly Row[],
  under: readonly (string | undefined)[],
  newKey: () => string,
): { readonly rows: Row[]; readonly components: Component[] } {
  const components: Component[] = [];
  const groups = new Map<string, number[]>();
  rows.forEach((row, i) => {
    const heading = under[i];
    if (heading === undefined || row.use === 'dough' || row.use === 'rollIn') return;
    const group = [heading, row.use, JSON.stringify(row.goesOn ?? null)].join(' ');
    groups.set(group, [...(groups.get(group) ?? []), i]);
  });
  const of = new Map<number, string>();
  for (const its of groups.values()) {
    if (its.length < 2) continue;
    const key = newKey();
    components.push({ key, name: componentName(under[its[0]!]!), acts: [], boiledOffG: 0, drainedG: 0 });
    its.forEach((i) => of.set(i, key));
  }
  return { rows: rows.map((row, i) => (of.has(i) ? { ...row, component: of.get(i)! } : row)), components };
}

/** `For the filling` is the filling. */
function componentName(heading: string): string {
  const bare = heading.replace(/^(?:for|to make)\s+(?:the\s+)?/i, '').trim();
  return (bare === '' ? heading : bare[0]!.toUpperCase() + bare.slice(1)).slice(0, 120);
}

/** In a laminated formula the largest solid fat of a dough is what is folded in. */
function largestSolidFat(list: readonly ListedAmount[], pantry: Pantry): ListedAmount | null {
  const solid = list.filter(({ ingredientId, part }) => !part && pantry.ingredients[ingredientId]!.kind === 'fat_solid');
  return solid.reduce<ListedAmount | null>((most, one) => (most && most.massG >= one.massG ? most : one), null);
}

function withBlend(formula: Formula, flours: readonly ListedAmount[], pantry: Pantry, { newKey, how }: ListWork): Formula {
  const held =
    how === 'besides'
      ? formula.blend.rows.map(({ ingredientId, share }, i): ListedAmount => {
          const sdShare = formula.blend.uncertainShare?.[i];
          return {
            ingredientId,
            massG: share * formula.blendG,
            written: '',
            ...(sdShare === undefined ? {} : { sdG: sdShare * formula.blendG }),
          };
        })
      : [];
  const together = joined([...held, ...flours]);
  // Gum alone is no blend: it would be a dough of nothing.
  if (flours.length === 0 || !together.some(({ ingredientId }) => !isGum(pantry.ingredients[ingredientId]!))) return formula;
  const blendG = together.reduce((sum, { massG }) => sum + massG, 0);
  const before = new Map(formula.blend.rows.map((row) => [row.ingredientId, row]));
  const { uncertainShare: _old, from: _from, ...blend } = formula.blend;
  const roundG = Number(blendG.toFixed(2));
  const text = [...new Set(flours.flatMap(({ written }) => written.split('; ')))].join('; ').slice(0, 300);
  const fromLabel = together.some(({ sdG }) => sdG !== undefined);
  return {
    ...formula,
    blendG: roundG,
    ...(how === 'instead' ? { blendEntered: { text, g: roundG } } : {}),
    blend: {
      ...blend,
      rows: together.map(({ ingredientId, massG }) => ({
        ...(before.get(ingredientId) ?? { key: newKey(), ingredientId }),
        share: massG / blendG,
      })),
      ...(fromLabel ? { uncertainShare: together.map(({ sdG = 0 }) => sdG / blendG) } : {}),
    },
  };
}

/** Every row in one step of the mix, and none of it that names a row which is gone. */
function mixed(formula: Formula, rows: readonly Row[], { family, pantry }: Known, { newKey, how }: ListWork): Formula {
  if (!family) return formula;
  if (how !== 'besides') {
    return family.school === 'oil'
      ? { ...formula, mix: defaultMix(formula, family, pantry, newKey) }
      : mixedBySchool(formula, { family, school: family.school }, pantry, newKey);
  }
  if (!isMixStructured(formula)) return formula;
  return rows.filter(({ use }) => use === 'dough').reduce((now, { key }) => ({ ...now, mix: mixWith(now, key, pantry) }), formula);
}

/** How a fat usually goes in when nobody says: oil is poured, solid fat as the family's school has it. */
function fatOf(one: Ingredient, family: Family | undefined): Row['fat'] {
  if (one.kind === 'fat_liquid') return { state: 'melted' };
  if (one.kind !== 'fat_solid') return undefined;
  return family && family.school !== 'oil' ? fatOfSchool(family.school, family.fatPieceMm?.[1]) : { state: 'rubbed' };
}

function joined(list: readonly ListedAmount[]): ListedAmount[] {
  const sums = new Map<string, ListedAmount>();
  for (const one of list) {
    const key = [one.ingredientId, one.part?.use ?? 'dough', one.part?.goesOn ?? '', one.part ? (one.under ?? '') : ''].join(' ');
    const held = sums.get(key);
    sums.set(
      key,
      held
        ? {
            ...held,
            massG: held.massG + one.massG,
            written: [...new Set([held.written, one.written])].filter((text) => text !== '').join('; '),
            ...(held.sdG === undefined && one.sdG === undefined ? {} : { sdG: Math.hypot(held.sdG ?? 0, one.sdG ?? 0) }),
          }
        : one,
    );
  }
  return [...sums.values()];
}
