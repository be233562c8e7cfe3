import { demoCrackerV2, demoPuffSticks } from '@north-leaf/core';
import { addressOf, bakeBodySchema, check, pathOf, draftBodySchema, eventsBodySchema, versionBodySchema } from './index.js';
import type { BakeEvent } from '@north-leaf/core';

const id = '3f3a2a52-8c0c-4b57-9c7e-1f6a5c0e7a11';
const event = (what: unknown): BakeEvent => ({ id, at: '2026-11-24T05:12:00Z', what }) as BakeEvent;
const draft = { basedOn: 2, revision: 0, formula: demoCrackerV2, typed: { '/rows/0/amountG': 'abc' } };
const bake = { formulaId: id, version: 1, factor: 1, roomC: 22, humidityShare: 0.5, events: [] };

const paths = (checked: ReturnType<typeof check>) => (checked.ok ? [] : checked.problems.map(({ path }) => path));

const withPart = (over: object) => ({
  ...demoCrackerV2,
  sheet: { ...demoCrackerV2.sheet, parts: [{ ...demoCrackerV2.sheet.parts[0], ...over }] },
});
const withFolds = (folds: readonly unknown[]) => ({
  ...demoPuffSticks,
  sheet: { ...demoPuffSticks.sheet, laminate: { ...demoPuffSticks.sheet.laminate, folds } },
});

describe('bodies', () => {
  it('takes one good example of each', () => {
    expect(paths(check(draftBodySchema, draft))).toEqual([]);
    expect(paths(check(draftBodySchema, { ...draft, formula: demoPuffSticks }))).toEqual([]);
    expect(paths(check(versionBodySchema, { basedOn: 1, why: '', formula: demoCrackerV2, setAside: [] }))).toEqual([]);
    expect(paths(check(bakeBodySchema, { ...bake, events: [event({ kind: 'noted', text: 'good' })] }))).toEqual([]);
  });

  it('a draft takes any number, however wrong: judging is the core’s', () => {
    const wrong = { ...demoCrackerV2, blendG: -4e9, sheet: { ...demoCrackerV2.sheet, lots: 0.5 } };
    expect(paths(check(draftBodySchema, { ...draft, formula: wrong }))).toEqual([]);
  });

  it.each<[string, unknown, string]>([
    ['letters for a weight', { ...demoCrackerV2, rows: [{ ...demoCrackerV2.rows[0], amountG: 'ten' }] }, 'formula.rows[0].amountG'],
    ['a number as text', { ...demoCrackerV2, blendG: '240' }, 'formula.blendG'],
    ['a missing part', { ...demoCrackerV2, chill: undefined }, 'formula.chill'],
    ['an unknown word', { ...demoCrackerV2, sheet: { ...demoCrackerV2.sheet, reroll: 'often' } }, 'formula.sheet.reroll'],
    ['a key nobody knows', { ...demoCrackerV2, secret: 1 }, 'formula.secret'],
    ['a shape of two kinds', withPart({ shape: { kind: 'round', acrossMm: 40, widthMm: 3 } }), 'formula.sheet.parts[0].shape'],
    ['a point of three numbers', withPart({ shape: { kind: 'outline', pointsMm: [[1, 2, 3]] } }), 'formula.sheet.parts[0].shape'],
    ['a window that is a pie', withPart({ window: { kind: 'lining', overhangMm: 3 } }), 'formula.sheet.parts[0].window'],
    ['a fold in five', withFolds([{ parts: 5, rollToMm: 6, waits: [] }]), 'formula.sheet.laminate.folds[0].parts'],
    ['nine folds', withFolds(Array.from({ length: 9 }, () => demoPuffSticks.sheet.laminate!.folds[0])), 'formula.sheet.laminate.folds'],
    ['an empty name', { ...demoCrackerV2, name: '' }, 'formula.name'],
  ])('refuses %s at its place', (_claim, formula, path) => {
    expect(paths(check(draftBodySchema, { ...draft, formula }))).toContain(path);
  });

  it('says everything that is wrong at once, and refuses a body that is not there', () => {
    expect(paths(check(bakeBodySchema, { ...bake, version: 0, factor: -1, roomC: 'hot' }))).toEqual(['version', 'factor', 'roomC']);
    expect(check(bakeBodySchema, undefined)).toMatchObject({ ok: false });
    expect(check(bakeBodySchema, null)).toMatchObject({ ok: false });
  });

  it.each<[string, unknown, boolean]>([
    ['a weighing', { kind: 'weighed', rowKey: 'r1', addedG: 12.5 }, true],
    ['a weight taken out again', { kind: 'weighed', rowKey: 'r1', addedG: -1 }, true],
    ['a weight that no bowl holds', { kind: 'weighed', rowKey: 'r1', addedG: -1e6 }, false],
    ['the beginning of a run', { kind: 'began' }, true],
    ['a beginning with more than itself', { kind: 'began', why: 'so' }, false],
    ['a step left out without a reason', { kind: 'skipped', reason: ' ' }, false],
    ['a batch scaled to nothing', { kind: 'scaled', factor: 0 }, false],
    ['a swap', { kind: 'swapped', rowKey: 'r2', ingredientId: 'oil_neutral', amountG: 30 }, true],
    ['something put in besides', { kind: 'added', ingredientId: 'cocoa', amountG: 0 }, false],
    ['a look', { kind: 'looked', against: 'asShown', topTone: 4 }, true],
    [
      'looks planned anew',
      {
        kind: 'looksPlanned',
        looks: [{ atMin: 24.5, topTone: 4, baseTone: 4.5, moistureShare: 0.03, coldestC: 101, doneShare: 0.6 }],
        doneP10Min: 22,
        doneP90Min: 29,
      },
      true,
    ],
    ['no look planned anew', { kind: 'looksPlanned', looks: [] }, false],
    ['a look at no tone', { kind: 'looked', against: 'asShown', topTone: 9 }, false],
    ['a symptom that is on the list', { kind: 'noticed', symptom: 15 }, true],
    ['a symptom that is not', { kind: 'noticed', symptom: 99 }, false],
    [
      'what is left without a place',
      { kind: 'leftOver', lotId: id, what: 'dough', amountG: 100, placeId: '', useByOn: '2026-12-01' },
      false,
    ],
    ['a word of the hand', { kind: 'felt', word: 'rollsClean' }, true],
    ['a word nobody says', { kind: 'felt', word: 'squishy' }, false],
    ['a tone', { kind: 'measured', what: 'topTone', value: 4.5 }, true],
    ['a tone of 9', { kind: 'measured', what: 'topTone', value: 9 }, false],
    ['a rating', { kind: 'rated', after: 'fresh', crisp: 4 }, true],
    ['a rating of nothing', { kind: 'rated', after: 'fresh' }, false],
    ['six dots', { kind: 'rated', after: 3, liked: 6 }, false],
    ['a kind nobody knows', { kind: 'danced' }, false],
    ['a confirmation without reason', { kind: 'confirmed', code: 'gluten.notProven', reason: ' ' }, false],
  ])('an event: %s', (_claim, what, fine) => {
    expect(check(eventsBodySchema, [event(what)]).ok).toBe(fine);
  });

  it('writes a path as the formula has it', () => expect(pathOf(['rows', 2, 'amountG'])).toBe('rows[2].amountG'));
});

describe('the address of a route', () => {
  it.each([
    ['GET /bakes/:id', { id: 'a/b c' }, '/bakes/a%2Fb%20c'],
    ['GET /bakes', { limit: 20, before: undefined, lotId: 'lot&1' }, '/bakes?limit=20&lotId=lot%261'],
    ['GET /kitchen', {}, '/kitchen'],
  ] as const)('%s', (route, parts, path) => {
    expect(addressOf(route, parts as never)).toEqual({ method: 'GET', path });
  });
});
