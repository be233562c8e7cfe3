import {
  applyEdits,
  demoCrackerV2,
  demoKitchen,
  demoLots,
  evaluate,
  planSheet,
  publishedIngredients,
  type CutShape,
  type Edit,
  type Formula,
} from '@north-leaf/core';
import { check, draftBodySchema } from '@north-leaf/contracts';
import { describeEdits, voiceOf } from '@north-leaf/words';
import { cutWords } from './sheet-plan';
import { goods, goodsOf, goodsWords, makeOf, type Goods } from './what-is-cut';

const pantry = { ingredients: publishedIngredients(), lots: Object.fromEntries(demoLots.map((lot) => [lot.id, lot])) };
const from = { ...demoCrackerV2, blendG: 720, rows: demoCrackerV2.rows.map((row) => ({ ...row, amountG: 3 * row.amountG })) };
const made = (what: Goods, formula: Formula = from): Formula => applyEdits(formula, makeOf(what, 35, demoKitchen)(formula) as Edit[]);

describe('what is made of a sheet', () => {
  it.each(goods)('%s: is what it says, may be stored, and is worked out to the end', (what) => {
    const formula = made(what);
    expect(goodsOf(formula)).toBe(what);
    expect(check(draftBodySchema, { basedOn: 2, revision: 0, formula, typed: {} })).toMatchObject({ ok: true });
    const { sheet, bake } = evaluate(formula, demoKitchen, pantry);
    expect({ what, sheet: sheet.state === 'waiting' && sheet.problem, bake: bake.state === 'waiting' && bake.problem }).toEqual({
      what,
      sheet: false,
      bake: false,
    });
    expect(planSheet(formula, demoKitchen, 1200).pieces).toBeGreaterThan(0);
    expect(goodsWords[what]).toMatch(/\w/);
  });

  it('takes a pan where one is needed, the right kind, and gives it back', () => {
    expect(made('rectangle', made('lining')).bake.panId).toBeUndefined();
    expect(made('ring', made('lining')).bake.panId).toBe('ring-220');
    expect(made('lidded', made('lining')).bake.panId).toBe('pie-230');
    expect(made('poured').bake.panId).toBe('muffin-12');
  });

  it('is one step that can be taken back, and is said in words', () => {
    const edits = makeOf('heart', 35, demoKitchen)(from) as Edit[];
    expect(edits).toHaveLength(1);
    expect(describeEdits(edits, from, pantry, voiceOf())).toBe('What is cut');
    expect(describeEdits([{ path: '/sheet/laminate/folds/3', to: {} }], from, pantry, voiceOf())).toBe('Fold 4 added');
    expect(describeEdits([{ path: '/sheet/laminate/folds/1/waits/0/min', from: 30, to: 45 }], from, pantry, voiceOf())).toBe(
      'Rest 30 → 45 min',
    );
  });

  it.each<[CutShape, string]>([
    [{ kind: 'rectangle', widthMm: 45, lengthMm: 45 }, 'Squares 45 mm'],
    [{ kind: 'rectangle', widthMm: 90, lengthMm: 20 }, 'Sticks 20 × 90 mm'],
    [{ kind: 'rectangle', widthMm: 60, lengthMm: 45 }, 'Rectangles 45 × 60 mm'],
    [{ kind: 'heart', acrossMm: 57.5 }, 'Hearts 57.5 mm'],
    [{ kind: 'triangle', baseMm: 80, heightMm: 180 }, 'Triangles 80 × 180 mm'],
  ])('%j is called %s', (shape, words) => expect(cutWords(shape, voiceOf())).toBe(words));
});
