import { applyEdits } from '../document/edits.js';
import { evaluate } from '../evaluate.js';
import { referencePantry as pantry } from '../solve/reference.js';
import { referenceKitchen } from '../solve/reference-kitchen.js';
import { goods } from '../worked/goods.js';
import { withSet } from '../worked/a-formula.js';
import { filledPan } from './fill-pan.js';
import type { Formula } from '../document/formula.js';
import type { Kitchen } from '../document/kitchen.js';

const muffins = goods().find(({ name }) => name === 'muffins')!.formula;
const sheetOf = (formula: Formula, kitchen: Kitchen = referenceKitchen) => {
  const { sheet } = evaluate(formula, kitchen, pantry);
  if (sheet.state === 'waiting') throw new Error(sheet.problem?.message);
  return sheet.result;
};

describe('filling a pan', () => {
  // A frustum of 70 and 50 mm across and 30 mm deep holds 85.6 ml (geometry); three quarters of it at 1.2 g/ml are 77 g.
  it.each([18, 40, 77, 110])('whatever a cup holds now (%d g), it stands three quarters high after, and no batter is left', (pieceG) => {
    const formula = withSet(muffins, { '/sheet/parts/0/shape/pieceG': pieceG });
    const { edits, pieces, pieceG: each } = filledPan(formula, referenceKitchen, sheetOf(formula))!;
    expect(each).toBe(77);
    const next = applyEdits(formula, edits);
    const result = sheetOf(next);
    expect(result.pieces).toBe(pieces);
    expect(result.body.heightMm / 30).toBeCloseTo(0.75, 2);
    expect(result.scrapG).toBeLessThan(0.02 * each);
    expect(filledPan(next, referenceKitchen, result)).toMatchObject({ pieceG: each, pieces });
  });

  it('a tin takes what stands three quarters high in it: 230 x 330 x 50 mm, at 1.2 g/ml 3.4 kg', () => {
    const tin = { id: 'tin', name: 'Sheet tin', kind: 'rectangle', topMm: 230, bottomMm: 230, lengthMm: 330, depthMm: 50, wallMm: 1, material: 'aluminium' } as const; // prettier-ignore
    const kitchen: Kitchen = { ...referenceKitchen, pans: [{ ...referenceKitchen.pans![0]!, ...tin }] };
    const formula = withSet(muffins, { '/bake/panId': 'tin', '/sheet/parts/0/shape/pieceG': 900 });
    const { pieceG, pieces } = filledPan(formula, kitchen, sheetOf(formula, kitchen))!;
    expect(pieces).toBe(1);
    expect(pieceG / (0.75 * 23 * 33 * 5 * 1.2)).toBeCloseTo(1, 1);
  });

  it('what is not poured has no pan to fill', () => {
    const { formula } = goods().find(({ name }) => name === 'closed tartlet')!;
    expect(filledPan(formula, referenceKitchen, sheetOf(formula))).toBeNull();
  });
});
