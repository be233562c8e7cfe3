import fc from 'fast-check';
import { evaluate } from '../evaluate.js';
import { fromPreparation } from '../ingredient/made.js';
import { runSteps } from '../run/plan/steps.js';
import { scaled } from '../solve/scale.js';
import { aStarter, kitchen, pantry, resultOf, withSet, worked } from './a-formula.js';
import type { Formula, Row } from '../document/formula.js';
import type { Component } from '../document/preparation.js';
import type { Pantry } from '../document/pantry.js';
import type { Evaluation } from '../evaluate.js';

/*
 * A component is what its rows are, less what boils and drains off: masses and water add, and it does not matter how it was entered.
 * Nothing here is measured: these are laws of the bookkeeping.
 */
const FAMILIES = ['pie_flaky', 'galette', 'cookie_filled', 'tartlet'] as const;
const shell = (family: string): Formula => {
  const { components: _none, ...formula } = aStarter(family);
  return { ...formula, rows: formula.rows.filter(({ use }) => use !== 'filling') };
};
const fruits = ['apple', 'blueberries', 'rhubarb', 'cherries_sour'] as const;
const making = fc.record({
  family: fc.constantFrom(...FAMILIES),
  fruit: fc.constantFrom(...fruits),
  fruitG: fc.integer({ min: 40, max: 300 }),
  sugarG: fc.integer({ min: 5, max: 60 }),
  starchG: fc.integer({ min: 1, max: 12 }),
  boiled: fc.integer({ min: 0, max: 40 }),
  drained: fc.integer({ min: 0, max: 40 }),
  cookedToC: fc.option(fc.constantFrom(60, 85, 95), { nil: undefined }),
});
type Making = typeof making extends fc.Arbitrary<infer T> ? T : never;

const rowsOf = ({ fruit, fruitG, sugarG, starchG }: Making): Row[] => [
  { key: 'f1', ingredientId: fruit, amountG: fruitG, use: 'filling' },
  { key: 'f2', ingredientId: 'sugar_white', amountG: sugarG, use: 'filling' },
  { key: 'f3', ingredientId: 'corn_starch', amountG: starchG, use: 'filling' },
];
/** Shares of a hundredth of the fruit: never more than there is. */
const lossesOf = ({ boiled, drained, fruitG, cookedToC }: Making) => ({
  boiledOffG: (boiled / 100) * fruitG,
  drainedG: (drained / 100) * fruitG,
  ...(cookedToC === undefined ? {} : { cookedToC }),
});
const withComponent = (made: Making, losses: Partial<Component>): Formula => {
  const formula = shell(made.family);
  const component: Component = { key: 'c1', name: 'Fruit', acts: [], boiledOffG: 0, drainedG: 0, ...losses };
  return { ...formula, rows: [...formula.rows, ...rowsOf(made).map((row) => ({ ...row, component: 'c1' }))], components: [component] };
};
/** All that is worked out, but for the list of rows and what names of rows a finding's button carries. */
const answers = (evaluation: Evaluation): unknown => {
  const { rows: _rows, components: _components, cost: _cost, allergens: _allergens, onPiece, ...dough } = resultOf(evaluation, 'dough');
  const of = (stage: 'chill' | 'sheet' | 'bake' | 'keep') => resultOf(evaluation, stage);
  const codes = (['dough', 'chill', 'sheet', 'bake', 'keep'] as const).flatMap((stage) => {
    const one = evaluation[stage];
    return one.state === 'waiting' ? [] : one.findings.map(({ code, level }) => `${code} ${level}`);
  });
  return {
    dough,
    onPiece: onPiece.map(({ names: _names, ...part }) => part),
    stages: [of('chill'), of('sheet'), of('bake'), of('keep')],
    codes,
    outlook: evaluation.outlook,
  };
};
/** To so many digits: sums in another order end otherwise. */
const rounded = (value: unknown): unknown =>
  JSON.parse(JSON.stringify(value, (_, one: unknown) => (typeof one === 'number' ? Number(one.toPrecision(7)) : one)));

describe('a component', () => {
  it('weighs what its rows weigh, less what boils and drains off, and its water is theirs less that', () => {
    fc.assert(
      fc.property(making, (made) => {
        const { boiledOffG, drainedG, ...rest } = lossesOf(made);
        const formula = withComponent(made, { boiledOffG, drainedG, ...rest });
        const mix = resultOf(worked(formula), 'dough').filling.baked!;
        const raw = resultOf(worked(withComponent(made, {})), 'dough').filling.baked!;
        expect(mix.massG).toBeCloseTo(made.fruitG + made.sugarG + made.starchG - boiledOffG - drainedG, 6);
        expect(mix.massG * mix.makeUp.water).toBeCloseTo(raw.massG * raw.makeUp.water - boiledOffG - drainedG, 6);
        expect(mix.fruitWaterG).toBeLessThanOrEqual(mix.massG * mix.makeUp.water + 1e-6);
      }),
      { numRuns: 25 },
    );
  });

  it('to which nothing is done is its rows', () => {
    fc.assert(
      fc.property(making, (made) => {
        const { components: _none, ...loose } = withComponent(made, {});
        const rows = loose.rows.map(({ component: _component, ...row }) => row);
        expect(rounded(answers(worked(withComponent(made, {}))))).toEqual(rounded(answers(worked({ ...loose, rows }))));
      }),
      { numRuns: 12 },
    );
  });

  it('is the preparation of the same rows', () => {
    fc.assert(
      fc.property(making, (made) => {
        const losses = lossesOf(made);
        const formula = shell(made.family);
        const fruit = fromPreparation(
          { schema: 1, id: 'c1', name: 'Fruit', rows: rowsOf(made), acts: [], ...losses, keepDays: 1, keepAt: 'fridge' },
          pantry,
        );
        const massG = made.fruitG + made.sugarG + made.starchG - losses.boiledOffG - losses.drainedG;
        const own: Pantry = { ...pantry, ingredients: { ...pantry.ingredients, c1: fruit } };
        const row: Row = { key: 'c1', ingredientId: 'c1', amountG: massG, use: 'filling' };
        const prepared = evaluate({ ...formula, rows: [...formula.rows, row] }, kitchen, own);
        expect(rounded(answers(worked(withComponent(made, losses))))).toEqual(rounded(answers(prepared)));
      }),
      { numRuns: 12 },
    );
  });

  it('of twice the batch is twice as much', () => {
    const made = {
      family: 'pie_flaky',
      fruit: 'apple',
      fruitG: 300,
      sugarG: 40,
      starchG: 10,
      boiled: 20,
      drained: 10,
      cookedToC: 95,
    } as const;
    const formula = withComponent(made, lossesOf(made));
    const [once, twice] = [formula, scaled(formula, 2)].map((one) => resultOf(worked(one), 'dough').components[0]!);
    expect(twice!.madeG).toBeCloseTo(2 * once!.madeG, 6);
    expect(twice!.waterShare).toBeCloseTo(once!.waterShare, 9);
  });

  it.each([
    [{ component: 'gone' }, 'rows[0].component'],
    [{ component: 'c1', use: 'dough' }, 'rows[0].use'],
    [{ component: 'c1', use: 'topping' }, 'rows[0].use'],
    [{ component: 'c1', goesOn: { at: 'cooled' } }, 'rows[0].goesOn'],
  ] as const)('names the row that does not belong: %j', (wrong, path) => {
    const made = {
      family: 'galette',
      fruit: 'apple',
      fruitG: 200,
      sugarG: 20,
      starchG: 5,
      boiled: 0,
      drained: 0,
      cookedToC: undefined,
    } as const;
    const formula = withComponent(made, {});
    const own = formula.rows.filter(({ component }) => component !== undefined);
    const rows = [...own.slice(1), { ...own[0]!, ...(wrong as Partial<Row>) }];
    const at = Number(path.match(/\d+/)![0]) + 2;
    expect(worked({ ...formula, rows }).dough).toMatchObject({ state: 'waiting', problem: { path: path.replace('0', String(at)) } });
  });

  it('that loses more water than it holds says where', () => {
    const made = {
      family: 'galette',
      fruit: 'apple',
      fruitG: 200,
      sugarG: 20,
      starchG: 5,
      boiled: 0,
      drained: 0,
      cookedToC: undefined,
    } as const;
    expect(worked(withComponent(made, { boiledOffG: 900 })).dough).toMatchObject({
      state: 'waiting',
      problem: { path: 'components[0].boiledOffG' },
    });
  });
});

describe('the run of a formula with components', () => {
  const made = {
    family: 'pie_flaky',
    fruit: 'apple',
    fruitG: 700,
    sugarG: 90,
    starchG: 25,
    boiled: 10,
    drained: 10,
    cookedToC: 95,
  } as const;
  const acts: Component['acts'] = [
    { key: 'a1', act: 'stand', min: 30 },
    { key: 'a2', act: 'drain', min: 480, stopAt: 'no drop falls' },
    { key: 'a3', act: 'boil', min: 8, stopAt: 'it is thick' },
    { key: 'a4', act: 'stand', min: 60 },
  ];
  const stepsOf = (formula: Formula) => runSteps({ formula, kitchen, pantry }, worked(formula));

  it('makes what takes time before the dough, every act once and in order, and fills with what is left of it', () => {
    const formula = withComponent(made, { ...lossesOf(made), acts, name: 'Cooked apples' });
    const steps = stepsOf(formula);
    const what = steps.map(({ what: one, act, rowKey }) => act ?? rowKey ?? one);
    const begun = what.slice(0, 7);
    expect(begun).toEqual(['f1', 'f2', 'f3', 'stand', 'drain', 'boil', 'stand']);
    expect(what.filter((one) => one === 'f1')).toHaveLength(1);
    const filling = resultOf(worked(formula), 'dough').components[0]!;
    const fill = steps.find((step) => step.what === 'fill')!;
    expect(fill.names).toEqual(['Cooked apples']);
    expect(fill.amountG! * fill.pieces!).toBeCloseTo(filling.madeG, 6);
    expect(steps.find(({ act }) => act === 'boil')).toMatchObject({ kind: 'do', min: 8, targetC: 95, does: 'it is thick' });
    expect(steps.find(({ act }) => act === 'drain')).toMatchObject({ kind: 'wait', min: 480 });
  });

  it('whips what is only whipped when it goes on, after packing where it is for the plate', () => {
    const formula = aStarter('sheet_shortcake');
    const rows: Row[] = [
      { key: 'w1', ingredientId: 'cream_heavy', amountG: 250, use: 'topping', goesOn: { at: 'serving' }, component: 'c' },
      { key: 'w2', ingredientId: 'sugar_icing', amountG: 20, use: 'topping', goesOn: { at: 'serving' }, component: 'c' },
    ];
    const cream: Component = { key: 'c', name: 'Cream', acts: [{ key: 'a', act: 'whisk', min: 4 }], boiledOffG: 0, drainedG: 0 };
    const { goes: _goes, ...keep } = formula.keep;
    const steps = stepsOf({ ...formula, keep, rows: [...formula.rows, ...rows], components: [cream] });
    const at = (of: (step: (typeof steps)[number]) => boolean) => steps.findIndex(of);
    expect(at(({ what }) => what === 'pack')).toBeGreaterThan(0);
    expect(at(({ rowKey }) => rowKey === 'w1')).toBeGreaterThan(at(({ what }) => what === 'pack'));
    expect(at(({ act }) => act === 'whisk')).toBeGreaterThan(at(({ rowKey }) => rowKey === 'w2'));
    expect(at(({ what }) => what === 'strew')).toBeGreaterThan(at(({ act }) => act === 'whisk'));
  });
});

describe('what is folded in', () => {
  const withBerries = (family: string, ingredientId: string, amountG: number, more: Partial<Row>[] = []): Formula => {
    const formula = aStarter(family);
    const folded = [{ ingredientId, amountG }, ...more].map((row, i): Row => ({
      key: `i${i}`,
      ingredientId,
      amountG,
      use: 'foldIn',
      ...row,
    }));
    return { ...formula, rows: [...formula.rows, ...folded] };
  };

  it('keeps its water but for what bleeds, and all of it is in the dough', () => {
    fc.assert(
      fc.property(fc.constantFrom(...fruits), fc.integer({ min: 10, max: 300 }), (fruit, g) => {
        const [bare, with_] = [aStarter('muffin'), withBerries('muffin', fruit, g)].map((one) => resultOf(worked(one), 'dough'));
        const { foldedIn } = with_!;
        const fruitWaterG = pantry.ingredients[fruit]!.composition.waterShare * g;
        expect(with_!.doughG).toBeCloseTo(bare!.doughG + g, 6);
        expect(with_!.getsG - bare!.getsG).toBeCloseTo(foldedIn!.bleedsG, 6);
        expect(foldedIn!.bleedsG).toBeGreaterThan(0);
        expect(foldedIn!.bleedsG).toBeLessThan(0.1 * fruitWaterG);
        expect(with_!.makeUp.water * with_!.doughG).toBeCloseTo(bare!.makeUp.water * bare!.doughG + fruitWaterG, 6);
        expect(with_!.percents.sugar).toBeCloseTo(bare!.percents.sugar, 9);
      }),
      { numRuns: 20 },
    );
  });

  it('with its sugar gives more of its juice, and never more than it has', () => {
    const bleeds = (more: Partial<Row>[]) =>
      resultOf(worked({ ...withBerries('muffin', 'blueberries', 150, more), restMin: 20 }), 'dough').foldedIn!.bleedsG;
    const alone = bleeds([]);
    const sugared = bleeds([{ ingredientId: 'sugar_white', amountG: 40 }]);
    expect(sugared).toBeGreaterThan(alone);
    expect(bleeds([{ ingredientId: 'sugar_white', amountG: 900 }])).toBeLessThan(150 * 0.85);
  });

  it('bleeds in the time that it is in: a batter that stood before loses nothing by it, one that waits after does', () => {
    const sugar = { ingredientId: 'sugar_white', amountG: 40 };
    const at = (set: Record<string, number>) =>
      resultOf(worked(withSet(withBerries('muffin', 'blueberries', 150, [sugar]), set)), 'dough').foldedIn!.bleedsG;
    const stand = aStarter('muffin').mix.findIndex(({ act }) => act === 'stand');
    expect(at({ [`/mix/${stand}/min`]: 90 })).toBeCloseTo(at({}), 9);
    expect(at({ '/restMin': 30 })).toBeGreaterThan(at({}) + 10);
  });

  it('makes more or larger pieces, and a batter with fruit takes longer to be hot through', () => {
    // Common practice, no source: a muffin with a fifth of berries bakes a few minutes longer.
    const bare = worked(aStarter('muffin'));
    const berries = worked(withBerries('muffin', 'blueberries', resultOf(bare, 'dough').doughG * 0.25));
    expect(resultOf(berries, 'sheet').pieces).toBeGreaterThanOrEqual(resultOf(bare, 'sheet').pieces);
    expect(resultOf(berries, 'bake').done!.value).toBeGreaterThan(resultOf(bare, 'bake').done!.value);
    expect(resultOf(berries, 'bake').done!.value).toBeLessThan(1.35 * resultOf(bare, 'bake').done!.value);
  });

  it('of chips leaves the dough as dry as it was when it is done', () => {
    const formula = aStarter('cookie_scooped');
    const chips = withBerries('cookie_scooped', 'choc_chips', 120);
    const [bare, with_] = [worked(formula), worked(chips)].map((one) => resultOf(one, 'bake'));
    expect(Math.abs(with_!.end.moistureShare - bare!.end.moistureShare)).toBeLessThan(0.03);
  });

  it('is weighed and folded in last, once the hand has judged the dough', () => {
    const formula = withBerries('muffin', 'blueberries', 150);
    const what = runSteps({ formula, kitchen, pantry }, worked(formula)).map(({ what: one, rowKey }) => rowKey ?? one);
    expect(what.indexOf('i0')).toBe(what.indexOf('foldIn') - 1);
    expect(what.indexOf('foldIn')).toBeGreaterThan(what.lastIndexOf('mix'));
    expect(what.indexOf('foldIn')).toBeLessThan(what.indexOf('pour'));
  });
});
