import {
  demoCrackerV2,
  demoKitchen,
  demoPuffSticks,
  evaluate,
  findingCodes,
  publishedIngredients,
  runSteps,
  imperial,
  measureKinds,
  metric,
  unitSets,
  type Finding,
  type MeasuredWhat,
  type RunStep,
  type Units,
} from '@north-leaf/core';
import { starterFormula, families, handlingOf, isUnderPin, findingsOf } from '@north-leaf/core';
import changes from './en/changes.json' with { type: 'json' };
import findings from './en/findings.json' with { type: 'json' };
import refusals from './en/refusals.json' with { type: 'json' };
import steps from './en/steps.json' with { type: 'json' };
import { describeEdits, findingWords, measureName, refusalWords, showMeasured, stepWords, voiceOf } from './index.js';

const finding = (code: Finding['code'], over: Partial<Finding['measured']> = {}): Finding => ({
  code,
  level: 'watch',
  stage: 'dough',
  measured: { path: '', value: 41.3, low: 12.5, high: 77.7, of: 'Butter', ...over },
});
const told = (one: Finding, units = metric) => Object.values(findingWords(one, voiceOf(units))).join(' ');
const step = (over: Partial<RunStep> & Pick<RunStep, 'what'>): RunStep => ({ key: 'a', stage: 'dough', kind: 'do', handsMin: 1, ...over });
const stepWhats = [...new Set(Object.keys(steps).flatMap((key) => /^step\.(\w+)\.title/.exec(key)?.[1] ?? []))] as RunStep['what'][];
/** A step that says all it can. */
const full = (what: RunStep['what']): RunStep =>
  step({
    what,
    name: 'Rice flour',
    into: 'Cooked apples',
    act: 'boil',
    amountG: 240,
    heldG: 15,
    shareOfRow: 0.5,
    atC: 8,
    targetC: 12,
    thicknessMm: 3,
    widthMm: 40,
    lengthMm: 60,
    bandsMm: 3,
    dockMm: 20,
    pieces: 12,
    lots: 2,
    names: ['Apple, raw, peeled', 'Sugar, granulated white'],
    depthMm: 30,
    lengthsMm: [230, 230, 180],
    oven: 'Blue oven',
    dial: '180 °C',
    min: 12,
    doneP10Min: 11,
    doneP90Min: 14,
    coldestC: 80,
    n: 1,
    of: 3,
    load: 1,
    loads: 2,
    measures: [{ what: 'doughC', planned: 18 }],
  });

const metricWords = /°C|\d (?:g|mm|µm|K|m)\b/;
const imperialWords = /°F|\d (?:oz|in(?! 100)|ft)\b/;

describe('findings in words', () => {
  it.each(findingCodes)('%s: one system of units in each, no hole, no key', (code) => {
    const of =
      code === 'keep.coolsSlowly' || code === 'sheet.slabUnlike' ? '21' : code === 'gluten.notInMarket' ? 'Oats | the US' : 'Butter';
    for (const [units, other] of [
      [metric, imperialWords],
      [imperial, metricWords],
    ] as const) {
      // prettier-ignore
      const words = findingWords(finding(code, { of }), voiceOf(units));
      for (const text of Object.values(words)) {
        expect(text).not.toMatch(other);
        expect(text).not.toMatch(/undefined|NaN|null|\{\{|finding\./);
        expect(text.length).toBeGreaterThan(3);
      }
    }
  });
  it('grams and degrees are the baker’s own (international ounce; F = 1.8 C + 32, by definition)', () => {
    expect(told(finding('dough.tooWet', { value: 100, high: 90 }), imperial)).toContain('It gets 3.53 oz and takes at most 3.17 oz.');
    expect(told(finding('chill.tooWarm', { value: 15, high: 10 }), imperial)).toContain('at 59 °F, wanted 50 °F');
    expect(told(finding('bake.turnTray', { value: 20 }), imperial)).toContain('36 °F hotter');
    expect(told(finding('bake.turnTray', { value: 20 }))).toContain('20 °C hotter');
    expect(told(finding('sheet.layersThin', { value: 25.4, low: 50.8 }), imperial)).toContain('0.001 in each; under about 0.002 in');
  });
  it('who weighs in grams beside a gas oven reads grams, Celsius and marks', () => {
    const gas = unitSets.find(({ heat }) => heat === 'gas')!;
    expect(told(finding('bake.slicedAfter', { value: 12, low: 150, high: 20 }), gas)).toMatch(
      /12 mm thick .* 35 °C to 55 °C, .* at mark 2 /,
    );
  });
  it('a sentence goes by what is named', () => {
    expect(told(finding('sheet.noCutter', { of: '' }))).toContain('no cutter of the kitchen comes near');
    expect(told(finding('sheet.noCutter', { of: 'Round 60' }))).toContain('the nearest here is Round 60');
    expect(told(finding('blend.oneFlourHigh', { of: 'Potato FLOUR' }))).toContain('Did you mean potato starch?');
    expect(told(finding('gluten.notInMarket', { of: 'Oats | the US' }))).toMatch(/there: Oats .*The rule of the US/);
    expect(told(finding('bake.tooDry', { of: 'soft' }))).toContain('it crumbles');
  });
  it('a name is told as it is written, whatever stands in it', () => {
    const name = '$t(step.mix.title) {{value}} <b>nut</b>';
    expect(told(finding('dough.fatTooSoft', { of: name }))).toContain(`${name} is too soft`);
  });
  it('every finding has its three sentences, and no sentence belongs to no finding', () => {
    const wanted = findingCodes.flatMap((code) => ['what', 'why', 'change'].map((part) => `finding.${code}.${part}`));
    const bare = Object.keys(findings).filter((key) => !/_(?:named|soft|watch|potato|poured|bowl)$/.test(key));
    expect(bare.sort()).toEqual(wanted.sort());
  });
});

describe('steps in words', () => {
  it.each(stepWhats)('%s: one system of units, no hole', (what) => {
    for (const [units, other] of [
      [{ ...metric }, imperialWords],
      [imperial, /\d (?:g|mm|µm)\b/],
    ] as const) {
      // prettier-ignore
      const text = Object.values(stepWords(full(what), voiceOf(units))).join(' ');
      expect(text).not.toMatch(other);
      expect(text).not.toMatch(/undefined|NaN|null|\{\{|step\./);
      expect(stepWords(full(what), voiceOf(units)).title).not.toBe('');
    }
  });
  it.each([demoCrackerV2, demoPuffSticks])('every step of a whole run is told, in each unit ($name)', (formula) => {
    const pantry = { ingredients: publishedIngredients(), lots: {} };
    for (const step of runSteps({ formula, kitchen: demoKitchen, pantry }, evaluate(formula, demoKitchen, pantry)))
      for (const units of unitSets) {
        const { title, how, sign, why } = stepWords(step, voiceOf(units));
        expect(title).toMatch(/\S{2}/);
        expect(`${title} ${how} ${sign} ${why}`).not.toMatch(/undefined|NaN|null|\{\{|step\./);
        if (units.length === 'in') expect(`${title} ${how} ${sign} ${why}`).not.toMatch(/\d mm\b/);
      }
  });
  it('says what there is and leaves out what there is not', () => {
    const voice = voiceOf(metric);
    expect(stepWords(step({ what: 'weigh', name: 'Water', amountG: 87.4, heldG: 10 }), voice)).toEqual({
      title: 'Water',
      how: '87 g, 10.0 g more is held back in spoons',
      sign: '',
      why: 'Flour and air change from day to day: the last spoons go by the hand.',
    });
    expect(stepWords(step({ what: 'cut', form: 'diamond', pieces: 70, widthMm: 40, lengthMm: 40, dockMm: 20, dockStaggered: true }), voice)).toMatchObject({ title: 'Cut 70 diamonds', how: '40 mm × 40 mm, prick every 20 mm, rows staggered' }); // prettier-ignore
    expect(stepWords(step({ what: 'cut', form: 'star' }), voice)).toMatchObject({ title: 'Cut pieces', how: '' });
    expect(stepWords(step({ what: 'pan', pieces: 1 }), voice).how).toMatch(/^1 piece\. /);
    expect(stepWords(step({ what: 'pan', pieces: 6 }), voice).how).toMatch(/^6 pieces\. /);
    expect(stepWords(step({ what: 'putIn', oven: 'Blue', dial: '170 °C', load: 2, loads: 3 }), voice).title).toBe('Into Blue, load 2 of 3');
    expect(stepWords(step({ what: 'nextSetting', oven: 'Blue', dial: 'off' }), voice).title).toBe('Switch Blue off');
    expect(stepWords(step({ what: 'cold' }), voice)).toMatchObject({ title: 'Cold: fridge', how: '' });
    expect(stepWords(step({ what: 'fold', parts: 4, n: 2, of: 4, widthMm: 200, lengthMm: 600 }), voice)).toMatchObject({ title: 'Fold 2 of 4', how: 'Roll to 200 mm × 600 mm, fold in four, closed like a book, a quarter turn.' }); // prettier-ignore
  });
});

it('a change of an oven in gas marks names the mark on both sides', () => {
  const say = (units: Units) =>
    describeEdits([{ path: '/bake/steps/0/wantC', from: 180, to: 190.56 }], demoCrackerV2, { ingredients: {}, lots: {} }, voiceOf(units));
  expect([say(unitSets[3]!), say(metric)]).toEqual(['Hot start want mark 4 → mark 5', 'Hot start want 180 → 190.6 °C']);
});

describe('what is measured', () => {
  it.each(Object.keys(measureKinds) as MeasuredWhat[])('%s has a name and is written in its kind', (what) => {
    expect(measureName(what, voiceOf())).not.toMatch(/measure\./);
    expect(showMeasured(what, 1.5, voiceOf())).not.toMatch(/NaN|undefined/);
  });
  it.each<[MeasuredWhat, number, string, string]>([
    ['topTone', 4.5, 'tone 4.5', 'tone 4.5'],
    ['pieces', 70, '70', '70'],
    ['volumeRatio', 1.5, '× 1.50', '× 1.50'],
    ['humidityShare', 0.61, '61 %', '61 %'],
    ['doughC', 15.4, '15.4 °C', '60 °F'],
    ['rawG', 283.5, '283.5 g', '10 oz'],
  ])('%s', (what, value, inMetric, inImperial) => {
    expect([showMeasured(what, value, voiceOf(metric)), showMeasured(what, value, voiceOf(imperial))]).toEqual([inMetric, inImperial]);
  });
});

it('in the pseudo language every sentence stands in brackets', () => {
  const { what, why } = findingWords(finding('dough.tooWet'), voiceOf(metric, 'pseudo'));
  expect([what, why]).toEqual(['⟦Too wet: it will stick⟧', '⟦It gets 41 g and takes at most 78 g.⟧']);
});

describe('why a value cannot be worked with', () => {
  const refused = (unit: string) => ({
    path: 'x',
    message: `must be from 20 to 400 ${unit}, got 600`,
    limit: { low: 20, high: 400, got: 600, unit },
  });
  it('its limits are in the baker’s units', () => {
    expect(refusalWords(refused('mm'), voiceOf(metric))).toBe('must be from 20 to 400 mm, got 600 mm');
    expect(refusalWords(refused('mm'), voiceOf(imperial))).toBe('must be from 0.787 to 15.748 in, got 23.622 in');
    expect(refusalWords(refused('C'), voiceOf(imperial))).toBe('must be from 68 to 752 °F, got 1112 °F');
  });
  it('what is no measure keeps the core’s words', () => {
    expect(refusalWords(refused('people'), voiceOf(imperial))).toBe('must be from 20 to 400 people, got 600');
    expect(refusalWords({ path: 'x', message: 'must be a number' }, voiceOf())).toBe('must be a number');
  });
});

it('a key stands in one catalogue only', () => {
  const keys = [changes, findings, refusals, steps].flatMap((one) => Object.keys(one));
  expect(new Set(keys).size).toBe(keys.length);
});

describe('a good in the words of how it is shaped', () => {
  const ingredients = publishedIngredients();
  const pantry = { ingredients, lots: {} };
  let keys = 0;
  const unrolled = Object.values(families).flatMap((family) => {
    const first = starterFormula(family, family.name, { kitchen: demoKitchen, pantry }, () => `k${(keys += 1)}`);
    return isUnderPin(handlingOf(first, family)) ? [] : [[family.name, first] as const];
  });
  const voice = voiceOf(metric);
  const pin = /\b(rolls?|rolled|rolling|pin|slab|scraps?)\b/i;

  it.each(unrolled)('%s: no pin, no slab, nothing rolled', (_name, first) => {
    const butter = first.rows.some(({ ingredientId }) => /butter|margarine|shortening|lard/.test(ingredientId));
    // Warmer, thicker, thinner: what is found of it then says no pin either.
    const part = first.sheet.parts[0]!;
    const all = [
      first,
      { ...first, chill: { ...first.chill, waits: [] }, doughAtC: 34 },
      ...[3, 0.3].map((by) => ({
        ...first,
        sheet: { ...first.sheet, parts: [{ ...part, thicknessMm: part.thicknessMm * by }, ...first.sheet.parts.slice(1)] },
      })),
    ];
    const found = all.flatMap((one) =>
      findingsOf(evaluate(one, demoKitchen, pantry)).map((each) => Object.values(findingWords(each, voice)).join(' ')),
    );
    const evaluation = evaluate(first, demoKitchen, pantry);
    const said = runSteps({ formula: first, kitchen: demoKitchen, pantry }, evaluation).map((one) =>
      Object.values(stepWords(one, voice)).join(' '),
    );
    expect([...said, ...found].filter((words) => pin.test(words))).toEqual([]);
    if (!butter) expect(said.filter((words) => /cut(ting)? in .*butter|cut butter/i.test(words))).toEqual([]);
  });

  it('a run planned before these words keeps its own: every kind of step it has is told', () => {
    for (const what of ['shape', 'cold', 'cut', 'portion', 'pan', 'roll', 'feel', 'pack'] as const) {
      const said = stepWords(step({ what, pieces: 6, thicknessMm: 20, form: 'slab' }), voice);
      expect([what, said.title]).toEqual([what, expect.stringMatching(/\w/)]);
      expect(Object.values(said).join(' ')).not.toMatch(/\{\{|undefined|NaN/);
    }
    expect(stepWords(step({ what: 'shape', thicknessMm: 20, form: 'slab' }), voice).title).toBe('Press to a slab');
  });

  it('says what goes on by name, how many strips of which length, and one as one', () => {
    const words = (what: RunStep['what'], more: Partial<RunStep>) => stepWords(step({ what, ...more }), voice);
    const names = ['Apple, raw, peeled', 'Sugar, granulated white', 'Corn starch (UK name: cornflour)'];
    expect(words('fill', { names, amountG: 412.6 }).title).toBe('Fill: apple, sugar, and corn starch');
    expect(words('lattice', { n: 2, of: 3, widthMm: 15, lengthsMm: [230, 230, 186] })).toMatchObject({
      how: '2 strips one way, 3 the other, 15 mm wide.',
      sign: 'Lengths: 2 × 230 mm, 1 × 186 mm.',
    });
    expect(words('line', { pieces: 1, thicknessMm: 12 })).toMatchObject({
      title: 'Line the pan',
      how: expect.stringMatching(/Trim to 12 mm/),
    });
    expect(words('line', { pieces: 4 })).toMatchObject({ title: 'Line 4 pans', how: expect.not.stringMatching(/Trim/) });
    expect(words('pour', { pieces: 1, form: 'tin', amountG: 900, thicknessMm: 22 }).title).toBe('Pour into the pan');
    expect(words('cold', { handling: 'dropped', targetC: 12, place: 'Fridge' }).why).toBe('Firm fat keeps its shape in the oven.');
    expect(words('cold', { targetC: 12, place: 'Fridge' }).why).toBe('Firm fat rolls without smearing.');
  });
});
