import { readFileSync } from 'node:fs';
import { join } from 'node:path';
import { families } from '../facts/families.js';
import { fromPreparation } from '../ingredient/made.js';
import { keepingOf } from '../ingredient/safety/hygiene.js';
import { mouldFreeDays } from '../keep/keep.js';
import { findingsOf } from '../evaluate.js';
import { aFormula, aStarter, kitchen, pantry, resultOf, worked } from './a-formula.js';
import type { GoesOn, Row, RowUse } from '../document/formula.js';
import type { Pantry } from '../document/pantry.js';
import type { Preparation } from '../document/preparation.js';

/** Verdicts by hand (worked/hygiene-cases.json), written before the code: common practice and food law from memory. */
type Good = {
  good: string;
  goesOn: string;
  rows: [string, number][];
  cookedToC?: number;
  cold: boolean | null;
  rawEgg: boolean;
  why: string;
};
const { goods } = JSON.parse(readFileSync(join(__dirname, 'hygiene-cases.json'), 'utf8')) as { goods: Good[] };
const ways = ['rows', 'preparation', 'preparation in a preparation'] as const;

const placed: Readonly<Record<string, { use: RowUse; goesOn?: GoesOn }>> = {
  baked: { use: 'filling' },
  late: { use: 'filling', goesOn: { at: 'cooled' } },
  topping: { use: 'topping', goesOn: { at: 'cooled' } },
  serving: { use: 'topping', goesOn: { at: 'serving' } },
  bakedTopping: { use: 'topping' },
  wash: { use: 'wash' },
  dough: { use: 'dough' },
};

function withPreparation(base: Pantry, id: string, rows: readonly [string, number][], cookedToC?: number): Pantry {
  const made = fromPreparation(
    {
      schema: 1,
      id,
      name: id,
      rows: rows.map(([ingredientId, amountG], i) => ({ key: `p${i}`, ingredientId, amountG })),
      acts: [],
      boiledOffG: 0,
      drainedG: 0,
      ...(cookedToC === undefined ? {} : { cookedToC }),
      keepDays: 2,
      keepAt: 'fridge',
    },
    base,
  );
  return { ...base, ingredients: { ...base.ingredients, [id]: made } };
}

/** Each is worked out once. */
const heard = new Map<string, string[]>();
function told(good: Good, way: (typeof ways)[number]): string[] {
  const key = `${good.good} ${way}`;
  if (!heard.has(key)) heard.set(key, tell(good, way));
  return heard.get(key)!;
}

/** Codes of food safety that a cracker with this on it is told, entered in one of the ways. */
function tell({ goesOn, rows, cookedToC }: Good, way: (typeof ways)[number]): string[] {
  const massG = rows.reduce((sum, [, g]) => sum + g, 0);
  let shelf: Pantry = { ...pantry, lots: {} };
  let entered = rows;
  if (way !== 'rows') {
    shelf = withPreparation(shelf, 'inner', rows, cookedToC);
    entered = [['inner', massG]];
  }
  if (way === 'preparation in a preparation') {
    shelf = withPreparation(shelf, 'outer', entered);
    entered = [['outer', massG]];
  }
  const more = entered.map(([ingredientId, amountG], i): Row => ({ key: `x${i}`, ingredientId, amountG, ...placed[goesOn]! }));
  const base = aFormula();
  const formula = { ...base, rows: [...base.rows, ...more], keep: { ...base.keep, sellWithinDays: 2, pack: 'tightTin' as const } };
  const found = findingsOf(worked(formula, kitchen, shelf)).map(({ code }) => code);
  return found.filter((code) => ['keep.needsCold', 'keep.rawEgg', 'dough.rawEgg'].includes(code));
}

describe('what needs the cold, and where egg meets no heat', () => {
  it('is asked of fifty-six goods', () => expect(goods.length).toBeGreaterThanOrEqual(40));
  // How far loose rows after the oven were cooked cannot be said: such a good is entered as a preparation.
  const cases = goods.flatMap((good) =>
    ways.filter((way) => way !== 'rows' || good.cookedToC === undefined).map((way) => [good.good, way, good] as const),
  );
  it.each(cases)('%s, as %s', (_name, way, good) => {
    const codes = told(good, way);
    if (good.cold !== null) expect({ why: good.why, cold: codes.includes('keep.needsCold') }).toEqual({ why: good.why, cold: good.cold });
    expect({ why: good.why, rawEgg: codes.includes('keep.rawEgg') }).toEqual({ why: good.why, rawEgg: good.rawEgg });
  });
  it('is the same whichever way it was entered', () => {
    for (const good of goods.filter(({ cookedToC }) => cookedToC === undefined)) {
      const [rows, ...others] = ways.map((way) => told(good, way).join());
      for (const other of others) expect({ good: good.good, other }).toEqual({ good: good.good, other: rows });
    }
  });
  it('no family’s first formula is told any of it, but those that hold egg in the dough', () => {
    for (const id of Object.keys(families)) {
      const codes = findingsOf(worked(aStarter(id))).map(({ code }) => code);
      const wrong = codes.filter((code) =>
        ['keep.needsCold', 'keep.rawEgg', 'keep.coolsSlowly', 'chill.eggTooWarm', 'sheet.warmTooLong', 'blend.oneFlourHigh'].includes(code),
      );
      expect({ id, wrong }).toEqual({ id, wrong: [] });
    }
  });
});

describe('a preparation as it is kept', () => {
  const row = (ingredientId: string, amountG: number) => ({ key: ingredientId, ingredientId, amountG });
  const kept = (rows: readonly ReturnType<typeof row>[], set: Partial<Preparation> = {}) =>
    keepingOf({ schema: 1, id: 'p', name: 'P', rows, acts: [], boiledOffG: 0, drainedG: 0, keepDays: 5, keepAt: 'room', ...set }, pantry);
  const custard = [row('milk_whole', 400), row('egg_yolk', 80), row('sugar_white', 80)];
  it('has no day on the table and three in the fridge where it needs the cold, cooked or not', () => {
    expect(kept(custard).mostDays).toBe(0);
    expect(kept(custard, { keepAt: 'fridge', cookedToC: 85 })).toMatchObject({ mostDays: 3, rawEggG: 0, needsCold: true });
    expect(kept(custard, { keepAt: 'freezer' }).mostDays).toBeNull();
  });
  it('is left alone where it is dry, or so sweet that nothing grows', () => {
    expect(kept([row('sugar_icing', 200), row('cocoa', 50)]).mostDays).toBeNull();
    expect(kept([row('honey', 60), row('sesame', 20)]).mostDays).toBeNull();
    // A honey syrup is sour, about pH 4, and its water activity about 0.87.
    expect(kept([row('honey', 60), row('water', 30)]).mostDays).toBeNull();
    expect(kept([row('honey', 60), row('milk_whole', 60)]).mostDays).toBe(0);
  });
});

describe('what changes nothing is not let through', () => {
  const quiche = (set: Record<string, unknown> = {}) => ({
    ...aFormula(),
    rows: [...aFormula().rows, { key: 'q', ingredientId: 'cream_heavy', amountG: 100, use: 'filling' as const }],
    keep: { ...aFormula().keep, sellWithinDays: 1, ...set },
  });
  const codes = (formula: ReturnType<typeof quiche>) => findingsOf(worked(formula)).map(({ code }) => code);
  const [rack, fridge] = [
    kitchen.places.find(({ kind }) => kind === 'rack')!,
    kitchen.places.find(({ kind, atC }) => kind === 'fridge' && atC <= 5)!,
  ];

  it('a minute in the fridge after four hours on the rack', () => {
    const cool = [
      { placeId: rack.id, min: 239 },
      { placeId: fridge.id, min: 1 },
    ];
    expect(codes(quiche({ cool }))).toContain('keep.needsCold');
  });
  it('a rack all day before the fridge it is kept in', () => {
    expect(codes(quiche({ cool: [{ placeId: rack.id, min: 600 }], placeId: fridge.id }))).toContain('keep.coolsSlowly');
    expect(codes(quiche({ cool: [{ placeId: rack.id, min: 30 }], placeId: fridge.id }))).not.toContain('keep.coolsSlowly');
  });
  it('a wet filling’s mould: never “too dry”, no days where the cold is needed', () => {
    const tart = {
      ...quiche(),
      rows: [
        ...aFormula().rows,
        { key: 'j', ingredientId: 'berries', amountG: 100, use: 'filling' as const, goesOn: { at: 'cooled' as const } },
      ],
    };
    expect(resultOf(worked(tart), 'keep').mouldFreeDays).toBeLessThan(3);
    expect(resultOf(worked(quiche()), 'keep').mouldFreeDays).toBeNull();
  });
  it('a hotter room never keeps longer, however wet (the two published lines cross)', () => {
    for (const activity of [0.7, 0.8, 0.9, 0.92, 0.95, 0.99]) {
      const days = [5, 15, 21, 27, 35].map((atC) => mouldFreeDays(activity, atC)!);
      for (let i = 1; i < days.length; i++) expect(days[i]!).toBeLessThanOrEqual(days[i - 1]! + 1e-9);
    }
  });
  it('egg in rests that are each short, and long together', () => {
    const eggy = { ...aFormula(), rows: [...aFormula().rows, { key: 'e', ingredientId: 'egg_whole', amountG: 30, use: 'dough' as const }] };
    expect(codes({ ...eggy, restMin: 200 } as never)).toContain('chill.eggTooWarm');
    const halves = { ...eggy, restMin: 70, sheet: { ...eggy.sheet, waits: [{ placeId: rack.id, min: 70 }] } };
    expect(codes(halves as never)).toContain('sheet.warmTooLong');
    expect(codes({ ...eggy, restMin: 70 } as never)).not.toContain('chill.eggTooWarm');
  });
});
