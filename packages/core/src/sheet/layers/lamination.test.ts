import { families } from '../../facts/families.js';
import { aStarter, kitchen, resultOf, withSet, worked } from '../../worked/a-formula.js';
import { firmnessAt } from './lamination.js';
import { mostFatLayers } from './laminate.js';
import type { Json } from '../../document/edits.js';
import type { Formula } from '../../document/formula.js';
import type { Kitchen } from '../../document/kitchen.js';

const made = (id: string, set: Readonly<Record<string, Json>> = {}): Formula => withSet(aStarter(id), set);
const laminated = (formula: Formula, itsKitchen: Kitchen = kitchen) => {
  const { laminate } = resultOf(worked(formula, itsKitchen), 'sheet');
  if (!laminate) throw new Error('not laminated');
  return laminate;
};
const puff = made('puff');

describe('a laminated dough', () => {
  it('keeps its volume and its grams from lock-in to the last sheet', () => {
    const { dough, fat, steps, sheet } = laminated(puff);
    const volume = (slab: { widthMm: number; lengthMm: number; thicknessMm: number }) => slab.widthMm * slab.lengthMm * slab.thicknessMm;
    const whole = volume(dough) + volume(fat);
    for (const { lies } of steps) expect(volume(lies)).toBeCloseTo(whole, 3);
    expect(volume(sheet)).toBeCloseTo(whole, 3);
    const { doughG, rollIn } = resultOf(worked(puff), 'dough');
    expect(volume(dough) * 1.2e-3).toBeCloseTo(doughG, 6);
    expect(volume(fat) * 0.91e-3).toBeCloseTo(rollIn!.massG, 6);
    const { pieces, pieceDoughG, scrapG, massInG } = resultOf(worked(puff), 'sheet');
    expect(pieces * pieceDoughG + scrapG).toBeCloseTo(massInG, 6);
  });

  it('the sheet that is cut is the sheet that was folded: one volume, whichever way it is weighed', () => {
    const { laminate, layout, densityGPerMl, massInG } = resultOf(worked(puff), 'sheet');
    const { widthMm, lengthMm, thicknessMm } = laminate!.sheet;
    expect(massInG / densityGPerMl).toBeCloseTo((widthMm * lengthMm * thicknessMm) / 1000, 6);
    expect(layout!.sheetWidthMm * layout!.sheetLengthMm).toBeLessThanOrEqual(widthMm * lengthMm * (1 + 1e-9));
    // Weighed as 1.05 g/ml with a third of it fat of 0.91, the dough alone is heavier.
    const light = made('puff', { '/sheet/densityGPerMl': 1.05 });
    const { dough, fat } = laminated(light);
    const volume = dough.widthMm * dough.lengthMm * dough.thicknessMm + fat.widthMm * fat.lengthMm * fat.thicknessMm;
    expect(massInG / 1.05).toBeCloseTo(volume / 1000, 6);
  });

  it('counts 27 layers of fat after three letter folds; a book fold counts four', () => {
    expect(laminated(puff).layers).toMatchObject({ fatLayers: 27, doughLayers: 28 });
    expect(laminated(made('puff', { '/sheet/laminate/folds/0/parts': 4 })).layers.fatLayers).toBe(36);
    expect(laminated(made('puff', { '/sheet/laminate/lockIn': 'twoThirds' })).layers.fatLayers).toBe(54);
  });

  it('layers fill the sheet exactly', () => {
    const { layers, fatUm, doughUm, sheet } = laminated(puff);
    expect(layers.fatLayers * fatUm + layers.doughLayers * doughUm).toBeCloseTo(1000 * sheet.thicknessMm, 6);
  });

  it('the fat it rolls in counts for the family’s fat, and is no part of the bowl', () => {
    const dough = resultOf(worked(puff), 'dough');
    const butter = puff.rows.find(({ use }) => use === 'rollIn')!;
    expect(dough.rollIn!.massG).toBe(butter.amountG);
    expect(dough.percents.fat).toBeGreaterThan(families['puff']!.fatPercent[0]);
    expect(dough.doughG).toBeCloseTo(
      puff.blendG + puff.rows.reduce((sum, { use, amountG }) => sum + (use === 'dough' ? amountG : 0), 0),
      9,
    );
  });

  it('each turn is a quarter: the folded edge becomes the side that is rolled across', () => {
    const turns = laminated(puff).steps.flatMap(({ turn }) => turn ?? []);
    turns.slice(1).forEach((turn, i) => expect(turn.rolled.widthMm).toBeCloseTo(turns[i]!.folded.lengthMm, 9));
    for (const { parts, rolled, folded } of turns) expect(folded.thicknessMm).toBeCloseTo(parts * rolled.thicknessMm, 9);
  });

  it('the work warms it, the rest cools it, and the clock is their sum', () => {
    const { steps, totalMin, handsMin } = laminated(puff);
    steps.forEach((step, i) => {
      expect(step.toC).toBeGreaterThan(step.fromC);
      if (i > 0) expect(step.atMin).toBeCloseTo(steps[i - 1]!.atMin + steps[i - 1]!.handsMin + steps[i - 1]!.restMin, 9);
    });
    expect(totalMin).toBeCloseTo(handsMin + steps.reduce((sum, { restMin }) => sum + restMin, 0), 9);
    const longer = laminated(made('puff', { '/sheet/laminate/folds/0/waits': [{ placeId: 'fridge', min: 90 }] }));
    expect(longer.steps[2]!.fromC).toBeLessThan(steps[2]!.fromC);
  });

  it('the rest it says it needs ends the next fold inside the window', () => {
    const hot: Kitchen = {
      ...kitchen,
      roomC: 28,
      places: kitchen.places.map((place) => (place.kind === 'bench' ? { ...place, atC: 28 } : place)),
    };
    const short = made('puff', { '/sheet/laminate/folds/1/waits': [{ placeId: 'fridge', min: 4 }] });
    const { steps, windowC } = laminated(short, hot);
    const needs = steps[2]!.restNeeds!;
    expect(needs.min).toBeGreaterThan(4);
    const mended = laminated(made('puff', { '/sheet/laminate/folds/1/waits': [{ placeId: 'fridge', min: needs.min }] }), hot);
    expect(mended.steps[3]!.toC).toBeLessThanOrEqual(windowC[1] + 0.5);
    expect(mended.steps[3]!.toC).toBeGreaterThan(windowC[1] - 3);
  });

  it('butter between 6 mm of dough is workable for the minutes of MODEL’s row: it bends from about 12 to 18 C', () => {
    // Fat work band of facts/fats tied to common practice (no source): butter is folded at 12 to 18 C.
    const butter = made('puff', { [`/rows/${puff.rows.findIndex(({ use }) => use === 'rollIn')}/ingredientId`]: 'butter_82' });
    expect(laminated(butter).bendsC).toEqual([13, 18]);
    expect(laminated(butter).proofMostC).toBeGreaterThanOrEqual(24);
    expect(laminated(butter).proofMostC).toBeLessThanOrEqual(27);
  });

  it('one fold too many is warned of, two are to be mended; a kitchen may hold it otherwise', () => {
    const folds = (n: number) => made('puff', { '/sheet/laminate/folds': Array.from({ length: n }, () => ({ parts: 3, rollToMm: 6, waits: [{ placeId: 'fridge', min: 30 }] })) }); // prettier-ignore
    const levelOf = (formula: Formula, itsKitchen: Kitchen = kitchen) => {
      const { sheet } = worked(formula, itsKitchen);
      return sheet.state === 'waiting' ? 'waiting' : (sheet.findings.find(({ code }) => code === 'sheet.layersThin')?.level ?? null);
    };
    expect([3, 4, 5].map((n) => levelOf(folds(n)))).toEqual([null, 'fix', 'fix']);
    const bold: Kitchen = { ...kitchen, judgements: { doughLayerWatch: 25, doughLayerFix: 8 } };
    expect([3, 4, 5].map((n) => levelOf(folds(n), bold))).toEqual([null, null, 'watch']);
    expect(mostFatLayers(3.5, 0.3747657713928794, 150)).toBe(13);
    expect(mostFatLayers(3.5, 0.3747657713928794, 100)).toBe(20);
  });

  it.each<[string, Record<string, Json>, RegExp]>([
    ['no fat to roll in', { [`/rows/${puff.rows.findIndex(({ use }) => use === 'rollIn')}/use`]: 'dough' }, /nothing is rolled in/],
    ['a roll that is thicker than what lies there', { '/sheet/laminate/folds/1/rollToMm': 30 }, /must be thinner than the 18 mm/],
    ['a border without room', { '/sheet/laminate/borderMm': 90 }, /leaves no room for the fat/],
    ['a last sheet thicker than the packet', { '/sheet/parts/0/thicknessMm': 25 }, /thinner than the 18 mm/],
    ['a fold in five', { '/sheet/laminate/folds/0/parts': 5 }, /must be 2, 3 or 4/],
    ['a rest nowhere', { '/sheet/laminate/folds/0/waits': [{ placeId: 'cellar', min: 10 }] }, /not a place of this kitchen/],
  ])('%s is refused with the way to mend it', (_name, set, says) => {
    const { sheet } = worked(made('puff', set));
    expect(sheet.state === 'waiting' && sheet.problem?.message).toMatch(says);
  });

  it('fat is firmer than dough in the cold, softer in the warmth, and they meet in between', () => {
    const at = (c: number) => firmnessAt('butter', families['puff']!, c);
    expect(at(4).fat).toBeGreaterThan(at(4).dough);
    expect(at(24).fat).toBeLessThan(at(24).dough);
    const meets = Array.from({ length: 200 }, (_, i) => 4 + i / 10).find((c) => at(c).fat <= at(c).dough)!;
    expect(meets).toBeGreaterThan(12);
    expect(meets).toBeLessThan(18);
  });
});
