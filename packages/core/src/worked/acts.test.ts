import { runSteps } from '../run/plan/steps.js';
import { evaluate } from '../evaluate.js';
import { families } from '../facts/families.js';
import { handlingOf, isUnderPin } from '../dough/handling.js';
import { referenceFormula, referencePantry as pantry } from '../solve/reference.js';
import { referenceKitchen as kitchen } from '../solve/reference-kitchen.js';
import { runTimes } from '../run/times.js';
import { scaled } from '../solve/scale.js';
import { goods, ofEachLoad, unlisted } from './goods.js';
import { withSet } from './a-formula.js';
import type { Formula } from '../document/formula.js';

const stepsOf = (formula: Formula) => runSteps({ formula, kitchen, pantry }, evaluate(formula, kitchen, pantry));
const actsOf = (formula: Formula) =>
  stepsOf(formula)
    .filter(({ what }) => !unlisted.has(what))
    .map(({ what }) => what);

describe('a run says every act of the good, once and in order, and none that does not belong', () => {
  it.each(goods().map((good) => [good.name, good] as const))('%s', (_name, { formula, acts }) => {
    const loads = stepsOf(formula).find(({ loads: n }) => n !== undefined)?.loads ?? 1;
    // Each load goes in and comes out like the first.
    const once = actsOf(formula).filter((what, i, all) => loads === 1 || !ofEachLoad.has(what) || all.indexOf(what) === i);
    expect(once).toEqual(acts.filter((what, i, all) => loads === 1 || !ofEachLoad.has(what) || all.indexOf(what) === i));
  });

  it('every key of a run is its own', () => {
    for (const { formula } of goods()) {
      const keys = stepsOf(formula).map(({ key }) => key);
      expect(new Set(keys).size).toBe(keys.length);
    }
  });

  it('a drop biscuit of a bought blend, eaten warm, takes at most 22 steps', () => {
    const { formula } = goods().find(({ name }) => /drop biscuits/.test(name))!;
    const boxed = { ...formula, blend: { ...formula.blend, rows: [{ ...formula.blend.rows[0]!, share: 1 }] } };
    expect(stepsOf(boxed).length).toBeLessThanOrEqual(22);
  });

  it('what is filled, strewn and brushed of a piece is what its rows hold', () => {
    for (const { formula } of goods()) {
      const steps = stepsOf(formula);
      for (const { what, amountG, pieces, names } of steps.filter(({ what: one }) => ['fill', 'sandwich', 'strew'].includes(one))) {
        const components = (formula.components ?? []).filter(({ name }) => names!.includes(name));
        const its = formula.rows.filter(({ component, ingredientId }) =>
          component === undefined
            ? names!.includes(pantry.ingredients[ingredientId]!.name)
            : components.some(({ key }) => key === component),
        );
        const lostG = components.reduce((g, one) => g + one.boiledOffG + one.drainedG, 0);
        const rowsG = its
          .filter(({ use }) => (what === 'strew' ? use === 'topping' : use === 'filling'))
          .reduce((g, row) => g + row.amountG, -lostG);
        expect(amountG! * pieces!).toBeCloseTo(rowsG, 6);
      }
    }
  });

  // Geometry worked by hand: a frustum of 70 and 50 mm across and 30 mm deep holds pi 30 (35² + 35 25 + 25²) / 3 = 85.6 ml;
  // strips 15 mm wide, 15 mm apart over 230 mm are as long as the chord under their longer edge, 2 sqrt(115² - x²).
  it('batter stands as high, and strips are as long, as a ruler would find them', () => {
    const of = (name: string) => stepsOf(goods().find((good) => good.name === name)!.formula);
    const pour = of('muffins').find(({ what }) => what === 'pour')!;
    const holdsMl = (Math.PI * 30 * (35 ** 2 + 35 * 25 + 25 ** 2)) / 3 / 1000;
    expect(pour.thicknessMm).toBeCloseTo((30 * (pour.amountG! / 1.2)) / holdsMl, 1);
    const lattice = of('lattice tart').find(({ what }) => what === 'lattice')!;
    const chords = [7.5, 37.5, 67.5, 97.5].map((x) => Math.round(2 * Math.sqrt(115 ** 2 - x ** 2)));
    expect(lattice.lengthsMm).toEqual(chords.flatMap((mm) => [mm, mm, mm, mm]));
    expect([lattice.n, lattice.of, lattice.widthMm]).toEqual([8, 8, 15]);
  });

  it('of several loads each hollow piece is pierced as its load comes out, and all dry together', () => {
    const { formula } = goods().find(({ name }) => /^choux/.test(name))!;
    const many = scaled(formula, 4);
    const steps = stepsOf(many);
    const loads = steps.find(({ what }) => what === 'putIn')!.loads!;
    expect(loads).toBeGreaterThan(1);
    const inOrder = steps.flatMap(({ what }) => (['out', 'pierce', 'secondIn'].includes(what) ? [what] : []));
    expect(inOrder).toEqual([...Array.from({ length: loads }, () => ['out', 'pierce']).flat(), 'secondIn']);
    const { sheet } = evaluate(many, kitchen, pantry);
    const piercedN = steps.reduce((sum, { what, pieces }) => sum + (what === 'pierce' ? pieces! : 0), 0);
    expect(sheet.state !== 'waiting' && sheet.result.pieces).toBe(piercedN);
  });

  it('hands take longer over a larger batch', () => {
    const { formula } = goods().find(({ name }) => name === 'closed tartlet')!;
    const twice = withSet(formula, {
      '/blendG': formula.blendG * 2,
      ...Object.fromEntries(formula.rows.map(({ amountG }, i) => [`/rows/${i}/amountG`, amountG * 2])),
    });
    const hands = (one: Formula) => runTimes(stepsOf(one)).handsMin;
    expect(hands(twice)).toBeGreaterThan(hands(formula) + 5);
  });
});

describe('each family by how it is shaped', () => {
  const each = Object.values(families).map((family) => [family.name, family, referenceFormula(family)] as const);
  it.each(each)('%s: a slab and a pin only where it is rolled', (_name, family, first) => {
    const handling = handlingOf(first, family);
    const whats = new Set(stepsOf(first).map(({ what }) => what));
    expect(whats.has('roll') || whats.has('lastRoll')).toBe(isUnderPin(handling));
    if (['poured', 'pressedIn'].includes(handling)) expect(whats.has('shape')).toBe(false);
    if (handling === 'poured') expect(whats.has('cold')).toBe(false);
  });

  it('a dough that goes from the bowl to its tray has no cold, and its stages are all worked out', () => {
    for (const [, , first] of each.filter(([, family, one]) => ['poured', 'pressedIn'].includes(handlingOf(one, family)))) {
      expect(first.chill.waits).toEqual([]);
      const { chill, keep } = evaluate(first, kitchen, pantry);
      expect([chill.state, keep.state]).not.toContain('waiting');
    }
  });
});
