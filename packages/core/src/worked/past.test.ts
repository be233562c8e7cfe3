import { readFileSync } from 'node:fs';
import { join } from 'node:path';
import { handWordFor } from '../dough/water.js';
import { evaluate, findingsOf } from '../evaluate.js';
import { lotFindings } from '../ingredient/lots.js';
import { fromPreparation } from '../ingredient/made.js';
import { openedUp, isRawEgg } from '../ingredient/safety/hygiene.js';
import { suitability } from '../ingredient/safety/suits.js';
import { liftBlend, liftEvent, liftFormula, liftIngredient, liftKitchen, liftLot, liftPantry, liftPreparation } from '../lift.js';
import { pantry as today } from './a-formula.js';
import type { BakeEvent } from '../document/bake.js';
import type { Blend, Formula } from '../document/formula.js';
import type { Kitchen } from '../document/kitchen.js';
import type { Ingredient, Lot, Pantry } from '../document/pantry.js';
import type { Preparation } from '../document/preparation.js';

type Past = {
  formula: Formula;
  kitchen: Kitchen;
  pantry: Pantry;
  blend: Blend;
  own: Ingredient;
  crumb: Ingredient;
  preparation: Preparation;
  leftOver: Lot;
  event: BakeEvent;
};
const text = readFileSync(join(__dirname, 'past-cases.json'), 'utf8');
const past = JSON.parse(text) as Past;
const leafOf = (one: Ingredient) =>
  openedUp({ ingredients: { ...today.ingredients, [one.id]: one }, lots: {} }, { ingredient: one, amountG: 100, lot: undefined });

describe('documents of core 1.7.0, as they were stored', () => {
  const lifted = {
    formula: liftFormula(past.formula),
    kitchen: liftKitchen(past.kitchen),
    pantry: liftPantry(past.pantry),
    blend: liftBlend(past.blend),
    own: liftIngredient(past.own),
    crumb: liftIngredient(past.crumb),
    preparation: liftPreparation(past.preparation),
    leftOver: liftLot(past.leftOver),
    event: liftEvent(past.event),
  };
  it('are lifted, not changed, and lifting twice is lifting once', () => {
    const { note: _note, coreVersion: _by, ...stored } = JSON.parse(text) as Record<string, unknown>;
    expect(past).toMatchObject(stored);
    expect(liftPantry(lifted.pantry)).toEqual(lifted.pantry);
    expect([liftIngredient(lifted.own), liftIngredient(lifted.crumb), liftLot(lifted.leftOver)]).toEqual([
      lifted.own,
      lifted.crumb,
      lifted.leftOver,
    ]);
  });
  it('can still be worked out, under the strictest market until one is said', () => {
    const worked = evaluate(lifted.formula, lifted.kitchen, lifted.pantry);
    expect(worked.keep.state).not.toBe('waiting');
    expect(lifted.kitchen.market).toBeUndefined();
  });
  it('an own ingredient without allergens is one whose label nobody read', () => {
    expect(lifted.own.labelRead).toBe(false);
    expect(suitability(lifted.own, 'noSesame')).toBe('may');
    expect(suitability(lifted.own, 'noMilk')).toBe('no');
  });
  it('a preparation nobody said a core of is raw; a crumb was baked', () => {
    const custard = fromPreparation(lifted.preparation, { ingredients: lifted.pantry.ingredients, lots: {} });
    expect(leafOf(custard).some(isRawEgg)).toBe(true);
    expect(leafOf(lifted.crumb).some(isRawEgg)).toBe(false);
  });
  it('what a bake left has a use-by day, and past it nobody is told to taste it', () => {
    expect(lifted.leftOver).toMatchObject({ useByOn: '2026-11-20' });
    expect(lifted.leftOver.bestByOn).toBeUndefined();
    const dough = { ...lifted.crumb, id: 'dough-f-2' };
    const found = lotFindings(
      [{ ingredient: dough, amountG: 10, lot: lifted.leftOver }],
      { ingredients: {}, lots: {}, on: '2026-11-30' },
      'dough',
    );
    expect(found).toMatchObject([{ code: 'lot.pastUseBy', unsafe: true }]);
  });
  it('today’s table is joined to what was stored: nothing that is a hazard now was none then', () => {
    expect(lifted.pantry.ingredients['egg_yolk']!.heat).toBe('raw');
    for (const [id, one] of Object.entries(lifted.pantry.ingredients)) {
      const now = today.ingredients[id];
      for (const code of now?.allergens ?? [])
        expect(one.allergens.some((held) => held === code || held === code.replace(':possible', ''))).toBe(true);
    }
  });
});

/** The model of the oven is another since core 1.11: what it says of a bake, and all that follows from it, is told anew. */
const isBeforeTheOven = (code: string) => !/^(bake|keep)\./.test(code);

/** What a baker reads of an evaluation up to the oven: as the fixture of core 1.9.0 was made. */
const readOf = (worked: ReturnType<typeof evaluate>) => {
  const { dough, chill, sheet, bake, keep } = worked;
  if (dough.state === 'waiting' || chill.state === 'waiting' || sheet.state === 'waiting' || bake.state === 'waiting') return null;
  if (keep.state === 'waiting') return null;
  const d = dough.result;
  return {
    getsG: d.getsG,
    wantsG: d.wantsG,
    binderRatio: d.binderRatio,
    // How dry or wet it is; what a hand calls that goes by how it is shaped since core 1.13.
    handWord: handWordFor(d.getsOverWants),
    percents: d.percents,
    freeG: d.sodaBalance.freeG,
    eggG: d.eggG,
    leavened: d.leavened,
    grit: d.gritFelt,
    endMiddleC: chill.result.endMiddleC,
    pieces: sheet.result.pieces,
    pieceG: sheet.result.pieceG,
    allergens: d.allergens.map(({ code }) => code).sort(),
    findings: findingsOf(worked)
      .map(({ code }) => code)
      .filter(isBeforeTheOven)
      .sort(),
  };
};
type Told = NonNullable<ReturnType<typeof readOf>> & Record<'doneMin' | 'endMoisture' | 'endTone' | 'outlook', unknown>;
const before = JSON.parse(readFileSync(join(__dirname, 'past-1.9-cases.json'), 'utf8')) as {
  kitchen: Kitchen;
  documents: { name: string; formula?: Formula; pantry?: Pantry; read: Told & { crispDays: number } }[];
};
/** Numbers alike to nine digits; all else the same. */
const alike = (is: unknown, was: unknown): unknown =>
  typeof is === 'number' && typeof was === 'number' && Math.abs(is - was) <= 1e-8 * Math.max(1, Math.abs(was))
    ? was
    : is !== null && typeof is === 'object' && was !== null && typeof was === 'object'
      ? Array.isArray(is)
        ? is.map((one, i) => alike(one, (was as unknown[])[i]))
        : Object.fromEntries(Object.entries(is).map(([key, one]) => [key, alike(one, (was as Record<string, unknown>)[key])]))
      : is;

describe('what core 1.9.0 stored, before a thing said what it does', () => {
  it.each(before.documents.map((one) => [one.name, one] as const))('reads as it did: %s', (_name, { formula, pantry: stored, read }) => {
    const is = readOf(evaluate(liftFormula(formula ?? past.formula), liftKitchen(before.kitchen), liftPantry(stored ?? past.pantry)));
    const { crispDays: _days, doneMin: _min, endMoisture: _moisture, endTone: _tone, outlook: _outlook, ...held } = read;
    const was = { ...held, findings: held.findings.filter(isBeforeTheOven) };
    expect(alike(is, was)).toEqual(was);
  });
  it('the fixture knows of no trait: what a yeast, a husk or an egg does is joined to it from today’s table', () => {
    const stored = before.documents.flatMap(({ pantry: one }) => Object.values(one?.ingredients ?? {}));
    expect(stored.some((one) => 'leavens' in one || 'does' in one || 'gum' in one)).toBe(false);
    const byId = new Map(stored.map((one) => [one.id, liftIngredient(one)]));
    expect(byId.get('yeast_dry')).toMatchObject({ leavens: 'yeast', yeastStrength: 1 });
    expect(byId.get('psyllium_husk')).toMatchObject({ gum: 'psylliumHusk' });
    expect(byId.get('egg_white')).toMatchObject({ eggWhiteGPerG: 1 });
  });
});
