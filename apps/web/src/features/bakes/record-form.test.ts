import { demoCrackerV2, publishedIngredients } from '@north-leaf/core';
import type { Bake } from '@north-leaf/contracts';
import { voiceOf } from '@north-leaf/words';
import { bareNumber } from '../../ui/form/typed-number';
import { bakedPoints, last, measured } from './api';
import { emptyRecord, eventsOfRecord, rowsToWeigh } from './record-form';

let n = 0;
const newId = () => `id-${++n}`;
const now = new Date('2026-11-24T05:12:00Z');
const events = (over: Partial<typeof emptyRecord>, unsafe: string[] = []) =>
  eventsOfRecord({ ...emptyRecord, ...over }, demoCrackerV2, unsafe, {
    newId,
    now,
    voice: voiceOf(),
    pantry: { ingredients: publishedIngredients() },
  });

describe('a recorded bake', () => {
  it('becomes events, only of what was filled in, in the order of the work', () => {
    const made = events({ weighed: { r1: '99,5', r2: '' }, felt: 'rollsClean', bakeMin: '15', crisp: 4, note: ' fine ' });
    expect(made.map(({ what }) => what)).toEqual([
      { kind: 'weighed', rowKey: 'r1', addedG: 99.5 },
      { kind: 'felt', word: 'rollsClean' },
      { kind: 'measured', what: 'bakeMin', value: 15 },
      { kind: 'rated', after: 'fresh', crisp: 4 },
      { kind: 'noted', text: 'fine' },
    ]);
    expect(made[1]!.at).toBe('2026-11-24T05:12:01.000Z');
  });

  it('holds the flours of the blend, and everything that is planned sums to the dough', () => {
    const rows = rowsToWeigh(demoCrackerV2);
    expect(rows.slice(0, demoCrackerV2.blend.rows.length).reduce((sum, { plannedG }) => sum + plannedG, 0)).toBeCloseTo(
      demoCrackerV2.blendG,
      9,
    );
    const [flour] = rows;
    expect(events({ weighed: { [flour!.key]: '71' } }).map(({ what }) => what)).toEqual([
      { kind: 'weighed', rowKey: demoCrackerV2.blend.rows[0]!.key, addedG: 71 },
    ]);
  });

  it('keeps the reason for every unsafe finding', () => {
    expect(events({ reason: 'a test, not sold' }, ['gluten.notProven'])[0]!.what).toEqual({
      kind: 'confirmed',
      code: 'gluten.notProven',
      reason: 'a test, not sold',
    });
  });

  it('is nothing when nothing was filled in', () => expect(events({})).toEqual([]));

  it.each([
    ['12', 12],
    ['12,5', 12.5],
    ['-3', -3],
    ['abc', undefined],
    ['12g', undefined],
    ['', undefined],
  ])('reads %p', (text, value) => expect(bareNumber(text)).toBe(value));

  it('a correction stands for what it corrects', () => {
    const bake = {
      number: 7,
      version: 2,
      events: [
        { id: 'a', at: '', what: { kind: 'measured', what: 'rawMm', value: 24 } },
        { id: 'b', at: '', corrects: 'a', what: { kind: 'measured', what: 'rawMm', value: 2.4 } },
        { id: 'c', at: '', what: { kind: 'rated', after: 'fresh', crisp: 5, tender: 3 } },
      ],
    } as unknown as Bake;
    expect(measured(bake, 'rawMm')).toBe(2.4);
    expect(bakedPoints([bake])).toEqual([{ number: 7, version: 2, crisp: 10, tender: 5 }]);
    expect(last(bake, (what) => (what.kind === 'noted' ? what.text : undefined))).toBeUndefined();
  });
});
