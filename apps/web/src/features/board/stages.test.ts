import {
  demoCrackerV2,
  demoKitchen,
  demoLots,
  demoPuffSticks,
  evaluate,
  publishedIngredients,
  stageNames,
  unitSets,
  type Formula,
} from '@north-leaf/core';
import { voiceOf } from '@north-leaf/words';
import { rulingOf, stageLabelOf } from './stages';

const pantry = { ingredients: publishedIngredients(), lots: Object.fromEntries(demoLots.map((lot) => [lot.id, lot])) };
const worked = (formula: Formula) => evaluate(formula, demoKitchen, pantry);
const crackers = worked(demoCrackerV2);
const puff = worked(demoPuffSticks);

describe('the number that rules a stage', () => {
  it.each(stageNames)('%s has one, with what it is, in any units', (stage) => {
    for (const units of unitSets)
      for (const evaluation of [crackers, puff]) {
        const { number, unit } = rulingOf(stage, evaluation, voiceOf(units));
        expect(number).toMatch(/\d/);
        expect(unit).toMatch(/\w/);
        expect(`${number} ${unit}`).not.toMatch(/NaN|undefined|\{\{/);
        if (units.length === 'in') expect(unit).not.toMatch(/\bmm\b/);
        if (units.heat !== 'C') expect(number).not.toMatch(/°C/);
      }
  });

  it('is the evaluation’s own', () => {
    const voice = voiceOf();
    const { sheet, keep } = crackers;
    if (sheet.state === 'waiting' || keep.state === 'waiting') throw new Error('the demo waits');
    expect(rulingOf('sheet', crackers, voice)).toEqual({ number: '2.4', unit: `mm · ${sheet.result.pieces} pieces` });
    expect(rulingOf('keep', crackers, voice).number).toMatch(new RegExp(`^${Math.floor(keep.result.crispDays.value)}`));
  });

  it('counts layers where the dough is laminated, and calls the stage so', () => {
    expect(rulingOf('sheet', puff, voiceOf())).toMatchObject({ number: '27', unit: expect.stringMatching(/^layers · \d+ pieces$/) });
    expect(stageLabelOf('sheet', demoPuffSticks)).toBe('Laminate');
    expect(stageLabelOf('sheet', demoCrackerV2)).toBe('Sheet');
  });

  it('is a dash while a stage waits', () => {
    const waiting = worked({ ...demoCrackerV2, sheet: { ...demoCrackerV2.sheet, parts: [] } });
    expect(waiting.bake.state).toBe('waiting');
    expect(rulingOf('bake', waiting, voiceOf())).toEqual({ number: '–', unit: '' });
  });
});
