import { readFileSync } from 'node:fs';
import { join } from 'node:path';
import { families } from '../facts/families.js';
import { blendStage } from '../blend/blend.js';
import { doughStage } from '../dough/dough.js';
import { aFormula, kitchen, pantry } from './a-formula.js';
import type { Formula, Row } from '../document/formula.js';

/** One formula of the trade for each family (common practice, no source), its sums made by another program from the 100 g rows. */
type Worked = {
  family: string;
  blendG: number;
  blend: Record<string, number>;
  rows: Record<string, number>;
  sums: Record<string, number>;
};
const worked = JSON.parse(readFileSync(join(__dirname, 'family-formulas.json'), 'utf8')) as Worked[];

function formulaOfFamily({ family, blendG, blend, rows }: Worked): Formula {
  const of = families[family]!;
  const fat: Record<string, Row['fat']> = { cutIn: { state: 'pieces', pieceMm: 5 }, rub: { state: 'rubbed' }, cream: { state: 'creamed' } };
  return {
    ...aFormula(),
    family,
    blendG,
    blend: { name: family, rows: Object.entries(blend).map(([ingredientId, share], i) => ({ key: `b${i}`, ingredientId, share })) },
    rows: Object.entries(rows).map(([ingredientId, amountG], i) => {
      const kind = pantry.ingredients[ingredientId]!.kind;
      const state =
        kind === 'fat_liquid'
          ? { state: 'melted' as const }
          : kind === 'fat_solid'
            ? (fat[of.school] ?? { state: 'melted' as const })
            : undefined;
      return { key: `r${i}`, ingredientId, amountG, use: 'dough' as const, ...(state ? { fat: state } : {}) };
    }),
    mix: [],
  };
}

function doughOf(one: Worked) {
  const formula = formulaOfFamily(one);
  const shelf = { ...pantry, lots: {} };
  const theCase = { formula, family: families[one.family]!, kitchen, pantry: shelf };
  return doughStage(theCase, blendStage(theCase).result);
}

describe('a formula of each family', () => {
  it('stands for every family', () => expect(worked.map(({ family }) => family).sort()).toEqual(Object.keys(families).sort()));

  it.each(worked.map((one) => [one.family, one] as const))('%s adds up as it does by hand', (_family, one) => {
    const { result: dough } = doughOf(one);
    const { sums } = one;
    expect(dough.doughG).toBeCloseTo(sums['doughG']!, 2);
    expect(dough.composition.fatShare * dough.doughG).toBeCloseTo(sums['fatG']!, 2);
    expect(dough.composition.proteinShare * dough.doughG).toBeCloseTo(sums['proteinG']!, 2);
    expect(dough.percents.sugar).toBeCloseTo(sums['sugarPercent']!, 2);
    expect(dough.percents.egg).toBeCloseTo(sums['eggPercent']!, 2);
    expect(dough.percents.water).toBeCloseTo(sums['waterPercent']!, 2);
    expect(dough.pouredWaterG).toBeCloseTo(sums['pouredWaterG']!, 2);
    expect(dough.broughtWaterG).toBeCloseTo(sums['broughtWaterG']!, 2);
    expect(dough.ownWaterG).toBeCloseTo(sums['ownWaterG']!, 2);
  });

  // A formula bakers use is no fix: windows, water rule and practice have to agree with each other.
  it.each(worked.map((one) => [one.family, one] as const))('%s is never told to mend fat, sugar, egg or salt', (_family, one) => {
    const { findings: found } = doughOf(one);
    const windows = found.filter(({ code }) => /dough\.(fat|sugar|egg|salt)(Low|High)$/.test(code));
    expect(windows.map(({ code }) => code)).toEqual([]);
  });
});
