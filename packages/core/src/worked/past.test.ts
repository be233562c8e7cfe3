import { readFileSync } from 'node:fs';
import { join } from 'node:path';
import { evaluate } from '../evaluate.js';
import { lotFindings } from '../ingredient/lots.js';
import { fromPreparation } from '../ingredient/made.js';
import { openedUp, isRawEgg } from '../ingredient/hygiene.js';
import { suitability } from '../ingredient/suits.js';
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
