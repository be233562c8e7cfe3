import fc from 'fast-check';
import { applyEdits } from '../document/edits.js';
import { BLEND } from '../document/formula.js';
import { families, schools } from '../facts/families.js';
import { learnedThirst } from '../learn/thirst.js';
import { mixWords } from '../entry/mix-words.js';
import { portionOf } from '../ingredient/mixture.js';
import { starterFormula } from '../solve/starter.js';
import { aFormula, kitchen, pantry, resultOf, worked } from '../worked/a-formula.js';
import { blendStage } from '../blend/blend.js';
import { bindersOf } from './binders.js';
import { doughStage } from './dough.js';
import { bandTemperatures } from './fat.js';
import { sodaBalance } from './leavening.js';
import { defaultMix, gritAfterStanding, isMixStructured, mixedBySchool, mixedShares, mixWith } from './mix.js';
import { liquidTemperature } from './temperature.js';
import { flourMoistureAt, waterWants } from './water.js';
import type { Formula, Row } from '../document/formula.js';

const portion = (id: string, grams: number) => portionOf(pantry, '', id, grams);
const dough = (formula: Formula, itsKitchen = kitchen, itsPantry = pantry) => resultOf(worked(formula, itsKitchen, itsPantry), 'dough');
const keys = () => {
  let n = 0;
  return () => `k${n++}`;
};

describe('flour in the room’s air', () => {
  // Cereal flour near 25 C, rounded values of the GAB fit (from memory).
  it.each<[number, number]>([
    [0.3, 7.7],
    [0.5, 10.3],
    [0.6, 11.9],
    [0.7, 13.8],
    [0.8, 16.3],
  ])('at humidity %p comes to %p %% moisture', (humidity, percent) => expect(flourMoistureAt(humidity) * 100).toBeCloseTo(percent, 0));

  it('takes a damp room’s water off the pour, and gives a dry room’s back', () => {
    const open = { ...pantry, lots: {} };
    const at = (humidityShare: number) => dough(aFormula(), { ...kitchen, humidityShare }, open).wantsG;
    expect(at(0.3)).toBeGreaterThan(at(0.6) + 3);
    expect(at(0.8)).toBeLessThan(at(0.6) - 3);
  });

  // 500 g of flour at 8 % takes 20 g more, at 14 % 10 g less, its mass kept (arithmetic on 12 % basis).
  it('a measured lot outranks the air', () => {
    const wet = (moistureShare: number) => ({
      ...portion('sorghum', 500),
      lot: { id: 'x', ingredientId: 'sorghum', code: '1', moistureShare },
    });
    const wants = (share: number) =>
      waterWants([wet(share)], [], families['pie_flaky']!, { thirstFactor: 1, humidityShare: 0.9 }).moistureG;
    expect(wants(0.08)).toBeCloseTo(20, 6);
    expect(wants(0.14)).toBeCloseTo(-10, 6);
  });
});

describe('spread of the water', () => {
  it('names its causes, and a felt blend is surer', () => {
    const plain = dough(aFormula());
    expect(plain.waterSpread[0]!.cause).toBe('thirst');
    const taught = { ...kitchen, learned: [{ what: 'thirstFactor' as const, about: 'Sorghum crisp', value: 1, sd: 0.02, bakeIds: [] }] };
    expect(dough(aFormula(), taught).wantsSdG).toBeLessThan(plain.wantsSdG * 0.7);
  });

  it('a cup of flour and an egg by the piece are less sure than grams', () => {
    const cups = { ...aFormula(), blendEntered: { text: '2 cups sorghum flour', g: aFormula().blendG } };
    expect(dough(cups).waterSpread.map(({ cause }) => cause)).toContain('cup');
    expect(dough({ ...cups, blendG: 200 }).waterSpread.map(({ cause }) => cause)).not.toContain('cup');
    const egg: Row = { key: 'e', ingredientId: 'egg_whole', amountG: 50, use: 'dough', entered: '1 egg' };
    expect(dough({ ...aFormula(), rows: [...aFormula().rows, egg] }).waterSpread.map(({ cause }) => cause)).toContain('egg');
  });
});

describe('thirst that is felt', () => {
  it('is the rule before anybody felt it', () =>
    expect(learnedThirst([])).toEqual({ value: expect.closeTo(1, 3), sd: expect.closeTo(0.06, 3) }));

  it('moves up where doughs crack, down where they stick, and narrows with every word', () => {
    const cracks = { getsOverWants: 1, word: 'cracks' as const };
    const once = learnedThirst([cracks]);
    const thrice = learnedThirst([cracks, cracks, cracks]);
    expect(once.value).toBeGreaterThan(1.02);
    expect(thrice.value).toBeGreaterThan(once.value);
    expect(thrice.sd).toBeLessThan(once.sd);
    expect(learnedThirst([{ getsOverWants: 1, word: 'sticks' }]).value).toBeLessThan(0.95);
  });

  it('finds a blend’s true thirst again (made-up hands)', () => {
    const truth = 1.12;
    const word = (ratio: number) =>
      ratio < 0.82 ? 'sandy' : ratio < 0.94 ? 'cracks' : ratio <= 1.08 ? 'rollsClean' : ratio <= 1.22 ? 'tacky' : 'sticks';
    const felt = [0.9, 1, 1.05, 1.1, 1.15, 1.2, 1.25, 1.3].map(
      (getsOverWants) => ({ getsOverWants, word: word(getsOverWants / truth) }) as const,
    );
    const { value, sd } = learnedThirst(felt);
    expect(Math.abs(value - truth)).toBeLessThan(2 * sd);
  });
});

describe('fat as it goes in', () => {
  it('butter is cut in from the fridge, creamed at 17 to 23 C (trade practice 17 to 21, no source)', () => {
    expect(bandTemperatures('butter', [14, 30])).toEqual([17, 23]);
    expect(bandTemperatures('butter', [30, 75])![1]).toBeLessThanOrEqual(17);
  });
  it('coconut bends in a narrow window only', () => {
    const [low, high] = bandTemperatures('coconut', [26, 43])!;
    expect(high - low).toBeLessThanOrEqual(4);
  });
});

describe('water temperature', () => {
  it('goes down as the room goes up, and turns to ice when it has to', () => {
    const at = (atC: number) => liquidTemperature([{ massKg: 0.5, heat: 1750, atC }], 0.15, 16, 1);
    expect(at(18).atC).toBeGreaterThan(at(22).atC);
    expect(at(22).iceShare).toBe(0);
    expect(at(34)).toMatchObject({ atC: 1, feasible: true });
    expect(at(34).iceShare).toBeGreaterThan(0);
    expect(at(95).feasible).toBe(false);
  });

  it('the heat balance closes: what the parts lose is what ice and water take', () => {
    const { iceShare } = liquidTemperature([{ massKg: 1, heat: 1800, atC: 30 }], 0.2, 12, 3);
    const given = 1 * 1800 * (30 - 12) + (1 * 1800 + 0.2 * 4180) * 3;
    const taken = 0.2 * iceShare * (333600 + 4180 * 12) + 0.2 * (1 - iceShare) * 4180 * (12 - 1);
    expect(taken).toBeCloseTo(given, 3);
  });

  it('a warm kitchen names what to chill', () => {
    const hot = dough(
      { ...aFormula({ '/doughAtC': 4 }), rows: aFormula().rows.map((row) => (row.key === 'r1' ? { ...row, amountG: 30 } : row)) },
      { ...kitchen, roomC: 34 },
    );
    expect(hot.temperature).toMatchObject({ feasible: false });
    expect(hot.temperature!.chillInstead!.name).toBe('The blend');
  });
});

describe('binders', () => {
  it('husk of 4 g stands for 1 g xanthan, an egg binds baked only (handbooks, from memory)', () => {
    const found = bindersOf([portion('psyllium_husk', 4), portion('egg_whole', 50)], families['pie_flaky']!, 400);
    expect(found[0]).toMatchObject({ asXanthanG: 1, ofNeed: expect.closeTo(1 / 3.2, 6) });
    // 10 g/g, f 0.3: 12 g of water.
    expect(found[0]!.gelWaterG).toBeCloseTo(12, 6);
    expect(found[1]).toMatchObject({ asXanthanG: 0, bakedAsXanthanG: expect.closeTo(1, 6) });
  });
});

describe('soda', () => {
  it('120 g buttermilk take up 1 g, 2.2 g cream of tartar another (handbooks, from memory)', () => {
    expect(sodaBalance([portion('baking_soda', 3), portion('buttermilk', 120), portion('cream_of_tartar', 2.2)])).toEqual({
      sodaG: 3,
      neutralisedG: expect.closeTo(2, 6),
      freeG: expect.closeTo(1, 6),
    });
  });
});

describe('order of mixing', () => {
  it.each(Object.values(families).map((family) => [family.id, family] as const))(
    '%s has a first order that takes every gram once',
    (_id, family) => {
      const formula = starterFormula(family, 'Trial', { kitchen, pantry: { ...pantry, lots: {} } }, keys());
      for (const [key, share] of mixedShares(formula)) expect({ key, share: Number(share.toFixed(6)) }).toEqual({ key, share: 1 });
      for (const step of formula.mix) expect(mixWords(step, formula, pantry)).not.toMatch(/undefined|NaN/);
    },
  );

  it('soaks husk in part of the water, and pours the rest', () => {
    const rows: Row[] = [
      { key: 'w', ingredientId: 'water', amountG: 100, use: 'dough' },
      { key: 'h', ingredientId: 'psyllium_husk', amountG: 6, use: 'dough', soakMin: 10 },
    ];
    const mix = defaultMix({ rows }, { school: 'rub', rolled: true }, pantry, keys());
    expect(mix[0]).toMatchObject({
      act: 'soak',
      min: 10,
      of: [
        { rowKey: 'h', share: 1 },
        { rowKey: 'w', share: 0.5 },
      ],
    });
    expect(mix.find(({ act }) => act === 'pour')!.of).toEqual([{ rowKey: 'w', share: 0.5 }]);
    expect(mixWords(mix[0]!, { rows }, pantry)).toBe(
      'Soak psyllium husk and half of the water, 10 min, until a gel that stands on the spoon',
    );
  });

  // Common practice, no source: five times its mass of cold water, 5 to 10 min, then melted.
  it('gelatine swells in cold water of its own and is melted clear; agar, which has to boil, does not', () => {
    const rowsOf = (ingredientId: string): Row[] => [
      { key: 'w', ingredientId: 'water', amountG: 100, use: 'dough' },
      { key: 'g', ingredientId, amountG: 6, use: 'dough' },
    ];
    const mix = defaultMix({ rows: rowsOf('gelatin') }, { school: 'rub', rolled: true }, pantry, keys());
    expect(mix[0]).toMatchObject({ act: 'soak', min: 8, of: [{ rowKey: 'g', share: 1 }, { rowKey: 'w', share: 0.3 }] }); // prettier-ignore
    expect(mixWords(mix[1]!, { rows: rowsOf('gelatin') }, pantry)).toMatch(/^Warm.*swollen gelatine/);
    expect(mix.find(({ act }) => act === 'pour')!.of).toEqual([{ rowKey: 'w', share: 0.7 }]);
    const boiled = defaultMix({ rows: rowsOf('agar') }, { school: 'rub', rolled: true }, pantry, keys());
    expect(boiled.some(({ act }) => act === 'soak')).toBe(false);
  });

  it('another school moves how fat goes in and the order, never a gram', () => {
    const before = starterFormula(families['galette']!, 'Trial', { kitchen, pantry: { ...pantry, lots: {} } }, keys());
    for (const school of schools) {
      const after = mixedBySchool(before, { family: families['galette']!, school }, pantry, keys());
      expect(after.rows.map(({ amountG }) => amountG)).toEqual(before.rows.map(({ amountG }) => amountG));
      for (const [, share] of mixedShares(after)) expect(share).toBeCloseTo(1, 9);
    }
    const creamed = mixedBySchool(before, { family: families['galette']!, school: 'cream' }, pantry, keys());
    expect(creamed.rows.find(({ fat }) => fat)).toMatchObject({ fat: { state: 'creamed' }, atC: 19 });
    // Husk of the blend swells first, whatever the school.
    expect(creamed.mix.map(({ act }) => act).filter((act) => act !== 'soak')[0]).toBe('cream');
  });

  it('a step in own words stays as it is and is not judged', () => {
    expect(isMixStructured(aFormula({ '/mix': [{ key: 'm', does: 'As grandmother did' }] }))).toBe(false);
    expect(mixWords({ key: 'm', does: 'As grandmother did' }, aFormula(), pantry)).toBe('As grandmother did');
  });

  it('puts a forgotten row where its like goes', () => {
    const formula = { ...aFormula(), mix: defaultMix(aFormula(), families['cracker_savoury']!, pantry, keys()) };
    const more = { ...formula, rows: [...formula.rows, { key: 'poppy', ingredientId: 'poppy', amountG: 5, use: 'dough' as const }] };
    const step = mixWith(more, 'poppy', pantry).find(({ of }) => (of ?? []).some(({ rowKey }) => rowKey === 'poppy'));
    expect(step!.of!.map(({ rowKey }) => rowKey)).toContain('r3');
    expect(mixWith({ ...more, mix: [] }, BLEND, pantry)).toEqual([]);
  });

  it('a stand takes fine grit away, and leaves coarse grit', () => {
    expect(gritAfterStanding([portion('rice_brown', 100)], 45)).toBeCloseTo(1, 6);
    expect(gritAfterStanding([portion('cornmeal_coarse', 100)], 45)).toBeCloseTo(3, 6);
  });
});

describe('laws', () => {
  it('more water never reads drier (property)', () => {
    const order = ['sandy', 'cracks', 'rollsClean', 'tacky', 'sticks'];
    fc.assert(
      fc.property(fc.double({ min: 0, max: 400, noNaN: true }), fc.double({ min: 0, max: 100, noNaN: true }), (grams, more) => {
        const at = (amountG: number) => {
          const { pourG, getsOverWants, handWord } = doughOnly(amountG);
          return { pourG, getsOverWants, word: order.indexOf(handWord) };
        };
        const [less, wetter] = [at(grams), at(grams + more)];
        expect(wetter.getsOverWants).toBeGreaterThanOrEqual(less.getsOverWants - 1e-12);
        expect(wetter.word).toBeGreaterThanOrEqual(less.word);
      }),
      { numRuns: 40 },
    );
  });
});

/** The demo cracker's dough with another pour, without the stages after it. */
function doughOnly(amountG: number) {
  const formula = applyEdits(aFormula(), [{ path: '/rows/0/amountG', from: 102, to: amountG }]);
  const family = families[formula.family]!;
  const theCase = { formula, family, kitchen, pantry };
  return doughStage(theCase, blendStage(theCase).result).result;
}
