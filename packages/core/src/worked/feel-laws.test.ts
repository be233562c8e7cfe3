import { handWordOrder } from '../document/bake.js';
import { handlingOf } from '../dough/handling.js';
import { evaluate } from '../evaluate.js';
import { families } from '../facts/families.js';
import { feelAnswer } from '../run/feel-answer.js';
import { runSteps } from '../run/plan/steps.js';
import { referenceFormula, referencePantry as pantry } from '../solve/reference.js';
import { referenceKitchen as kitchen } from '../solve/reference-kitchen.js';
import { resultOf, withSet } from './a-formula.js';
import type { HandWord } from '../document/bake.js';
import type { Formula } from '../document/formula.js';

const doughOf = (formula: Formula) => resultOf(evaluate(formula, kitchen, pantry), 'dough');
const answer = (word: HandWord, formula: Formula) => {
  const dough = doughOf(formula);
  return feelAnswer(word, dough, { getsG: dough.getsG, heldG: 0, dosesGiven: 0 }, { formula, kitchen, pantry });
};
const each = Object.values(families).map((family) => [family.name, family, referenceFormula(family)] as const);

// Directions: common practice, no source.
describe('the hand’s word, in the words of how a dough is shaped', () => {
  it.each(each)('%s: with just its water it feels right', (_name, _family, first) => {
    const { getsOverWants, handWord, rightHandWords, handWordChances } = doughOf(first);
    expect(Math.abs(getsOverWants - 1)).toBeLessThan(0.08);
    expect(rightHandWords).toContain(handWord);
    expect(rightHandWords.reduce((sum, word) => sum + handWordChances[word], 0)).toBeGreaterThan(0.5);
  });

  it.each(each)('%s: a word drier than right is answered with water, a wetter one with blend', (_name, _family, first) => {
    const { rightHandWords } = doughOf(first);
    const at = rightHandWords.map((word) => handWordOrder.indexOf(word));
    handWordOrder.forEach((word, i) => {
      const said = answer(word, first)?.adds ?? 'nothing';
      expect([word, said]).toEqual([word, i < Math.min(...at) ? 'water' : i > Math.max(...at) ? 'blend' : 'nothing']);
    });
  });

  it('a drop dough that leaves the palm clean is too dry, a rolled one is right', () => {
    const of = (id: string) => answer('rollsClean', each.find(([, family]) => family.id === id)![2]);
    expect(of('biscuit_drop')).toMatchObject({ adds: 'water' });
    expect(of('pie_flaky')).toBeNull();
  });
});

describe('a dough wetted by something else than water', () => {
  const drop = each.find(([, family]) => family.id === 'biscuit_drop')![2];
  const at = drop.rows.findIndex(({ ingredientId }) => ingredientId === 'water');
  /** The same water in buttermilk. */
  const milk = withSet(drop, {
    [`/rows/${at}/ingredientId`]: 'buttermilk',
    [`/rows/${at}/amountG`]: drop.rows[at]!.amountG / pantry.ingredients['buttermilk']!.composition.waterShare,
  });
  const key = drop.rows[at]!.key;

  it('holds its last spoons back, and every gram of it is still weighed', () => {
    const { spoons, pours, pourG } = doughOf(milk);
    expect(pours).toMatchObject({ rowKey: key, name: pantry.ingredients['buttermilk']!.name });
    expect(spoons).toBeGreaterThan(0);
    expect(pourG + 15 * spoons).toBeCloseTo(milk.rows[at]!.amountG, 6);
    const weighed = runSteps({ formula: milk, kitchen, pantry }, evaluate(milk, kitchen, pantry)).filter(({ rowKey }) => rowKey === key);
    expect(weighed.reduce((sum, { amountG, heldG }) => sum + amountG! + (heldG ?? 0), 0)).toBeCloseTo(milk.rows[at]!.amountG, 6);
    expect(weighed.some(({ heldG }) => heldG === 15 * spoons)).toBe(true);
  });

  it('is cured with what wets it: as much more as brings the same water', () => {
    const [water, buttermilk] = [answer('cracks', drop)!, answer('cracks', milk)!];
    expect(buttermilk.adds).toBe('water');
    const share = pantry.ingredients['buttermilk']!.composition.waterShare;
    expect(buttermilk.totalG * share).toBeCloseTo(water.totalG, 0);
  });

  it('water comes before milk; egg and fat alone hold nothing back', () => {
    const both = withSet(milk, { [`/rows/${milk.rows.length}`]: { key: 'w', ingredientId: 'water', amountG: 20, use: 'dough' } });
    expect(doughOf(both).pours).toMatchObject({ rowKey: 'w', amountG: 20 });
    const shell = each.find(([, family]) => family.id === 'crumb_crust')![2];
    expect(doughOf(shell)).toMatchObject({ pours: null, spoons: 0, pourG: 0 });
    expect(handlingOf(shell, families['crumb_crust']!)).toBe('pressedIn');
  });
});
