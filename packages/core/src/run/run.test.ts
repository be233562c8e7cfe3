import { demoPuffSticks } from '../demo/puff-sticks.js';
import { demoCrackerV2, demoKitchen, demoLots } from '../demo/seeded-crackers.js';
import { InputError } from '../errors.js';
import { bakeCaseFor, evaluate } from '../evaluate.js';
import { planLooks } from '../bake/looks/looks.js';
import { bakeSamples } from '../bake/slab/samples.js';
import { publishedIngredients } from '../ingredient/published.js';
import { seeded } from '../math/seeded.js';
import { scaled } from '../solve/scale.js';
import { starterFormula } from '../solve/starter.js';
import { families } from '../facts/families.js';
import { asBaked, lastOf, standingEvents, weighedOf } from '../document/happened.js';
import { bowlDough } from './bowl.js';
import { feelAnswer } from './feel-answer.js';
import { feelsByWarmth } from './feel-warmth.js';
import { keptEggOf, factorOfKept, keptFor, needsColdOnceBaked, stepsFrom } from './left-over.js';
import { neededRests } from './needed-rests.js';
import { isFarFromPlanned, runState, weighToleranceG } from './state.js';
import { runSteps } from './plan/steps.js';
import { ahead, beginningFor, leftMin, runTimes, timeline } from './times.js';
import { measureKinds } from './measure-kinds.js';
import { measuredWhats } from '../document/bake.js';
import type { BakeEvent, Happened, RunStep } from '../document/bake.js';
import type { Formula } from '../document/formula.js';

const pantry = { ingredients: publishedIngredients(), lots: Object.fromEntries(demoLots.map((lot) => [lot.id, lot])) };
const stepsOf = (formula: Formula, looks?: Parameters<typeof runSteps>[2]) =>
  runSteps({ formula, kitchen: demoKitchen, pantry }, evaluate(formula, demoKitchen, pantry), looks);
const known = new Map<Formula, RunStep[]>();
/** Worked out once: a whole formula is much work. */
function knownSteps(formula: Formula): RunStep[] {
  if (!known.has(formula)) known.set(formula, stepsOf(formula));
  return known.get(formula)!;
}
const crackers = knownSteps(demoCrackerV2);
const puff = knownSteps(demoPuffSticks);
const keys = (steps: readonly RunStep[]) => steps.map(({ key }) => key);

let made = 0;
const event = (minute: number, what: Happened, stepKey?: string, corrects?: string): BakeEvent => ({
  id: `e${String(++made).padStart(4, '0')}`,
  at: new Date(Date.UTC(2026, 10, 26, 5, minute)).toISOString(),
  ...(stepKey ? { stepKey } : {}),
  ...(corrects ? { corrects } : {}),
  what,
});
const ended = (minute: number, key: string) => event(minute, { kind: 'stepEnded' }, key);
const weighed = (minute: number, rowKey: string, addedG: number) => event(minute, { kind: 'weighed', rowKey, addedG }, `weigh:${rowKey}`);
const state = (events: readonly BakeEvent[]) => runState(crackers, events, 0.1);

describe('looks that are planned anew', () => {
  const look = (atMin: number) => ({ atMin, topTone: 4, baseTone: 4, moistureShare: 0.03, coldestC: 101, doneShare: 0.9 });
  const first = crackers.find(({ what }) => what === 'look')!;
  const anew = (minute: number, atMin: readonly number[], stepKey = first.key) =>
    event(minute, { kind: 'looksPlanned', looks: atMin.map(look), doneP10Min: 13, doneP90Min: 16.2 }, stepKey);
  const stepsNow = (events: readonly BakeEvent[]) => state(events).steps.map(({ step }) => step);
  const looksNow = (events: readonly BakeEvent[], load = 1) =>
    stepsNow(events).flatMap((step) => (step.what === 'look' && step.load === load ? [step.min] : []));

  it('stand in the place of those that were left, each after its wait; other loads and what follows stay', () => {
    const events = [anew(1, [15, 17.5])];
    expect(looksNow(events)).toEqual([first.min, 15, 17.5]);
    expect(looksNow(events, 2)).toEqual(looksNow([], 2));
    const steps = stepsNow(events);
    const at = steps.findIndex(({ key }) => key === first.key);
    expect(steps.slice(at + 1, at + 6).map(({ what, min }) => [what, min])).toEqual([['inOven', 15], ['look', 15], ['inOven', 17.5], ['look', 17.5], ['out', undefined]]); // prettier-ignore
    expect([steps[at + 1]!.doneP10Min, steps[at + 1]!.doneP90Min].map((min) => Math.round(min!))).toEqual([13, 16]);
    expect(steps[at + 1]!.since).toBe(first.since);
    expect(new Set(keys(steps)).size).toBe(steps.length);
    // What was said at the next wait before the plan came stays with it.
    const next = crackers[crackers.indexOf(first) + 1]!;
    expect(steps[at + 1]!.key).toBe(next.key);
  });
  it('and anew after each of these, at the last one too; twice told is once', () => {
    const last = 'look:1:2';
    expect(looksNow([anew(1, [15, 17.5]), anew(2, [19], last)])).toEqual([first.min, 15, 17.5, 19]);
    expect(looksNow([anew(1, [15, 17.5]), anew(1, [15, 17.5])])).toEqual([first.min, 15, 17.5]);
  });
  it('a plan at what is no look changes nothing', () => {
    expect(looksNow([anew(1, [15], 'feel'), anew(2, [15], 'look:9:9')])).toEqual(looksNow([]));
  });
});

describe('a word that the temperature explains', () => {
  const plannedC = crackers.find(({ key }) => key === 'doughC')!.measures![0]!.planned!;
  it('warm dough that sticks is cooled, cold dough that cracks stands; the probe is asked before the hand', () => {
    expect(feelsByWarmth('sticks', crackers, plannedC + 4)).toEqual({ is: 'warm', measuredC: plannedC + 4, plannedC });
    expect(feelsByWarmth('cracks', crackers, plannedC - 6)).toMatchObject({ is: 'cold' });
    expect(keys(crackers).indexOf('doughC')).toBeLessThan(keys(crackers).indexOf('feel'));
  });
  it('not one that is as planned, not measured, or felt the other way', () => {
    for (const [word, measuredC] of [
      ['sticks', plannedC + 1],
      ['sticks', undefined],
      ['sticks', plannedC - 9],
      ['cracks', plannedC + 9],
      ['rollsClean', plannedC + 9],
    ] as const)
      // prettier-ignore
      expect(feelsByWarmth(word, crackers, measuredC)).toBeNull();
  });
});

describe('the last roll of a laminated sheet', () => {
  it('is told as large as it is cut', () => {
    const { sheet } = evaluate(demoPuffSticks, demoKitchen, pantry);
    if (sheet.state === 'waiting') throw new Error('the demo is worked out');
    const { sheetWidthMm: widthMm, sheetLengthMm: lengthMm } = sheet.result.layout!;
    expect(puff.find(({ key }) => key === 'lastRoll')).toMatchObject({ widthMm, lengthMm });
  });
});

describe('steps of a run', () => {
  const starters = Object.values(families).map((family) => {
    let n = 0;
    return [family.id, starterFormula(family, family.name, { kitchen: demoKitchen, pantry }, () => `k${++n}`)] as const;
  });

  it.each([['demo crackers', demoCrackerV2], ['demo puff', demoPuffSticks], ...starters] as const)(
    'weigh every gram of the formula once: %s',
    (_name, formula) => {
      const steps = knownSteps(formula);
      const wanted = [
        ...formula.blend.rows.map(({ key, share }) => [key, share * formula.blendG] as const),
        ...formula.rows.map(({ key, amountG }) => [key, amountG] as const),
      ].filter(([, g]) => g > 0);
      for (const [key, g] of wanted) {
        const own = steps.filter(({ rowKey }) => rowKey === key);
        expect([key, own.reduce((sum, { amountG = 0, heldG = 0 }) => sum + amountG + heldG, 0)]).toEqual([key, expect.closeTo(g, 6)]);
      }
      expect(new Set(keys(steps)).size).toBe(steps.length);
    },
  );

  it('follow the order of mixing, and water comes last with its spoons held back', () => {
    const at = (key: string) => keys(crackers).indexOf(key);
    expect(at('weigh:b1')).toBeLessThan(at('mix:m1'));
    expect(at('weigh:r2')).toBe(at('mix:m1') + 1);
    expect(at('weigh:r1')).toBe(at('mix:m4') - 1);
    expect([at('doughC'), at('feel')]).toEqual([at('mix:m5') + 1, at('mix:m5') + 2]);
    expect(crackers[at('weigh:r1')]).toMatchObject({ amountG: 87, heldG: 15 });
  });

  it('come in the order of the Line, weighing for later apart', () => {
    const order = ['dough', 'chill', 'sheet', 'bake', 'keep'];
    const seen = crackers.filter(({ key, stage }) => key !== 'ovenOn' && stage !== 'blend').map(({ stage }) => order.indexOf(stage));
    expect(seen).toEqual([...seen].sort((a, b) => a - b));
  });

  it('light the oven so that it is hot when the first tray goes in, in the middle of a wait if need be', () => {
    const times = timeline(crackers);
    const on = keys(crackers).indexOf('ovenOn');
    const lead = times[keys(crackers).indexOf('in:1')]!.beginMin - times[on]!.beginMin;
    expect(lead).toBeGreaterThanOrEqual(17.9);
    expect(lead).toBeLessThan(20);
    expect(crackers[on + 1]).toMatchObject({ key: 'cold:0+', since: 'cold:0', min: 22 });
    // Splitting a wait makes nothing longer but by the turn of the dial.
    const whole = crackers
      .filter(({ key }) => key !== 'ovenOn' && key !== 'cold:0')
      .map((step) => (step.key === 'cold:0+' ? { ...step, handsMin: 0.5, since: undefined } : step)) as RunStep[];
    expect(runTimes(crackers).totalMin - runTimes(whole).totalMin).toBeLessThan(0.31);
  });

  it('say the dial of this oven, never the wanted air: Oven A runs 6 K hot at 180', () => {
    expect(crackers.find(({ key }) => key === 'in:1')?.dial).toBe('174 °C');
    for (const step of crackers) expect(step.dial ?? '').not.toMatch(/180/);
  });

  it('repeat the oven for every load, and fold as planned', () => {
    expect(crackers.filter(({ what }) => what === 'putIn')).toHaveLength(2);
    expect(puff.filter(({ what }) => what === 'fold').map(({ n, of, parts }) => [n, of, parts])).toEqual([[1, 3, 3], [2, 3, 3], [3, 3, 3]]); // prettier-ignore
    expect(keys(puff)).not.toContain('roll:p1');
  });

  it('lead through the very looks that were planned, the minutes that were set among them: every first formula, and one of two settings', () => {
    const twoSettings = { ...demoCrackerV2, bake: { ...demoCrackerV2.bake, steps: [{ name: 'Hot', wantC: 230, min: 6 }, { name: 'Dry', wantC: 150, min: 9.5, turn: true }] } }; // prettier-ignore
    for (const formula of [demoCrackerV2, twoSettings, ...starters.map(([, starter]) => starter)]) {
      const theCase = bakeCaseFor(formula, demoKitchen, pantry)!;
      const planned = planLooks([...bakeSamples(theCase.problem, theCase.rule, theCase.unknowns, 12)], {
        fromMin: theCase.lastSettingMin,
        setMin: theCase.totalMin,
      });
      const looks = planned.atMin.map((atMin) => ({ atMin, topTone: 3, baseTone: 3, moistureShare: 0.03, coldestC: 100, doneShare: 0.5, ...(atMin === theCase.totalMin ? { asSet: true } : {}) })); // prettier-ignore
      const led = stepsOf(formula, looks).filter(({ what, load }) => what === 'look' && load === 1);
      expect([formula.family, led.map(({ min }) => min)]).toEqual([formula.family, planned.atMin]);
      expect(led.filter(({ asSet }) => asSet).map(({ min }) => min)).toEqual([theCase.totalMin]);
    }
  });

  it('a formula that cannot be worked out says where', () => {
    const broken = { ...demoCrackerV2, chill: { ...demoCrackerV2.chill, thicknessMm: 900 } };
    expect(() => stepsOf(broken)).toThrow(InputError);
  });

  it('have a kind for every measure', () => {
    expect(Object.keys(measureKinds).sort()).toEqual([...measuredWhats].sort());
  });
});

describe('time', () => {
  it('is hands and waiting, and never less for a longer wait', () => {
    const { handsMin, waitMin, totalMin } = runTimes(crackers);
    expect(handsMin + waitMin).toBeCloseTo(totalMin, 9);
    expect(runTimes(puff).waitMin).toBeGreaterThan(120);
    const longer = crackers.map((step) => (step.key === 'rest' ? { ...step, min: step.min! + 7 } : step));
    expect(runTimes(longer).totalMin).toBeCloseTo(totalMin + 7, 9);
  });
  it('says when to begin, and where a run would stand when the baker leaves', () => {
    const { totalMin } = runTimes(crackers);
    expect(beginningFor(crackers, 30)).toMatchObject({ beginBeforeMin: totalMin, under: { step: { key: 'cold:0' } } });
    expect(beginningFor(crackers, totalMin + 1).under).toBeNull();
  });
});

describe('what is left of a run', () => {
  const at = (minute: number) => Date.UTC(2026, 10, 26, 5, minute);
  it('is the whole of it at first, nothing at the end, and a wait that runs ends when it ends', () => {
    const { totalMin } = runTimes(crackers);
    expect(leftMin(state([]), at(0))).toBeCloseTo(totalMin, 6);
    expect(leftMin(state([event(1, { kind: 'ended' })]), at(2))).toBe(0);
    const cold = crackers.findIndex(({ key }) => key === 'cold:0');
    const done = crackers.slice(0, cold).map(({ key }) => ended(0, key));
    const begun = state([...done, event(0, { kind: 'stepBegan' }, 'cold:0')]);
    expect(leftMin(begun, at(0)) - leftMin(begun, at(10))).toBeCloseTo(10, 6);
    expect(ahead(begun, at(10))[0]).toMatchObject({ step: { key: 'cold:0' }, beginMin: 0, endMin: 7 });
    expect(ahead(begun, at(10))[1]).toMatchObject({ step: { key: 'ovenOn' }, beginMin: 7 });
    // Late: the wait is over, and the rest takes what it takes.
    expect(leftMin(begun, at(60))).toBeCloseTo(leftMin(begun, at(90)), 6);
  });
});

describe('the state of a run', () => {
  it('is its plan before anything happened', () => {
    expect(state([])).toMatchObject({ state: 'running', factor: 1, nowIndex: 0, bowlG: 0, waits: [], allDone: false });
  });

  it('goes on with each step, and skipped ones keep their reason', () => {
    const now = state([
      weighed(0, 'b1', 134.4),
      ended(1, 'weigh:b1'),
      event(2, { kind: 'skipped', reason: 'none in the house' }, 'weigh:b2'),
    ]);
    expect(now.nowIndex).toBe(2);
    expect(now.bowlG).toBeCloseTo(134.4);
    expect(now.steps[1]).toMatchObject({ state: 'skipped', reason: 'none in the house' });
  });

  it('reads the same from events in any order, sent twice or from two devices', () => {
    const events = [
      event(0, { kind: 'began' }),
      weighed(1, 'b1', 100),
      weighed(2, 'b1', 34.4),
      ended(3, 'weigh:b1'),
      weighed(4, 'b2', 29),
      ended(5, 'weigh:b2'),
      ended(5, 'weigh:b2'),
      event(6, { kind: 'felt', word: 'cracks' }, 'feel'),
      event(7, { kind: 'scaled', factor: 1.1 }),
      event(8, { kind: 'paused' }),
      event(9, { kind: 'resumed' }),
    ];
    const once = state(events);
    const next = seeded(7);
    for (let round = 0; round < 20; round++) {
      const shuffled = events.map((one) => [next(), one] as const).sort(([a], [b]) => a - b).map(([, one]) => one); // prettier-ignore
      expect(state(shuffled)).toEqual(once);
    }
  });

  it('a correction takes the place of what it corrects', () => {
    const slip = weighed(1, 'b1', 314.4);
    const events = [slip, event(2, { kind: 'weighed', rowKey: 'b1', addedG: 134.4 }, 'weigh:b1', slip.id)];
    expect(weighedOf(events)).toEqual({ b1: 134.4 });
    expect(standingEvents(events)).toHaveLength(1);
    expect(lastOf(events, (what) => (what.kind === 'weighed' ? what.addedG : undefined))).toBe(134.4);
  });

  it('a batch made larger opens what was weighed for what is missing; one made smaller does not', () => {
    const base = [weighed(1, 'b1', 134.4), ended(2, 'weigh:b1')];
    const larger = state([...base, event(3, { kind: 'scaled', factor: 1.1 })]);
    expect(larger.steps[0]).toMatchObject({ state: 'todo', weighedG: 134.4 });
    expect(larger.steps[0]!.step.amountG).toBeCloseTo(147.84);
    const topped = state([...base, event(3, { kind: 'scaled', factor: 1.1 }), weighed(4, 'b1', 13.4), ended(5, 'weigh:b1')]);
    expect(topped.steps[0]!.state).toBe('done');
    expect(state([...base, event(3, { kind: 'scaled', factor: 0.9 })]).steps[0]!.state).toBe('done');
    // A baker who goes on with less meant it.
    expect(state([weighed(1, 'b1', 90), ended(2, 'weigh:b1')]).steps[0]!.state).toBe('done');
  });

  it('a swap names the newcomer and its grams, spoons held back stay', () => {
    const swap = event(1, { kind: 'swapped', rowKey: 'r1', ingredientId: 'milk_whole', amountG: 114 });
    const step = state([swap]).steps.find(({ step: { key } }) => key === 'weigh:r1')!.step;
    expect(step).toMatchObject({ ingredientId: 'milk_whole', amountG: 99, heldG: 15 });
  });

  it('what is over-poured and taken out again sums to what is in', () => {
    expect(weighedOf([weighed(1, 'r6', 6), weighed(2, 'r6', -1.7)])).toEqual({ r6: expect.closeTo(4.3) });
    expect(weighToleranceG(527, 0.1)).toBeCloseTo(5.27);
    expect(weighToleranceG(4.3, 0.1)).toBeCloseTo(0.2);
  });
  it('is asked about where it may have been forgotten or typed wrong, and not where it is only a little off', () => {
    for (const [weighed, planned] of [[0, 300], [60, 125], [1250, 125], [3000, 300]] as const) expect(isFarFromPlanned(weighed, planned, 0.1)).toBe(true); // prettier-ignore
    for (const [weighed, planned] of [[300, 300], [110, 125], [140, 125], [0.1, 0.4], [0, 0]] as const) expect(isFarFromPlanned(weighed, planned, 0.1)).toBe(false); // prettier-ignore
  });
  it('from two bags stands under each; what is taken out again leaves the one last poured from', () => {
    const weighed = (addedG: number, lotId?: string) => ({ kind: 'weighed' as const, rowKey: 'b1', addedG, ...(lotId ? { lotId } : {}) });
    const events = [weighed(60, 'a'), weighed(80, 'b'), weighed(-6)].map((what, i) => ({ id: `e${i}`, at: `2026-11-26T05:0${i}:00.000Z`, what })); // prettier-ignore
    const made = asBaked(demoCrackerV2, events);
    expect(made.bags).toEqual({ b1: { a: 60, b: 74 } });
    expect(made.weighed['b1']).toBe(134);
  });

  it('waits run from their own beginning, soonest first; a split one from where it began', () => {
    const begun = [event(0, { kind: 'stepBegan' }, 'cold:0'), event(1, { kind: 'stepBegan' }, 'rest')];
    const { waits } = state(begun);
    expect(waits.map(({ step }) => step.key)).toEqual(['rest', 'cold:0']);
    expect(waits[0]!.endsAt - waits[0]!.beganAt).toBe(5 * 60000);
    const split = state([...begun, ended(17, 'cold:0'), event(18, { kind: 'stepBegan' }, 'cold:0+')]).waits;
    expect(split.find(({ step }) => step.key === 'cold:0+')).toMatchObject({ beganAt: begun[0]!.at ? Date.parse(begun[0]!.at) : 0 });
    expect(state([...begun, event(20, { kind: 'ended' })])).toMatchObject({ state: 'ended', waits: [] });
  });

  it('pauses, resumes and ends', () => {
    expect(state([event(1, { kind: 'paused' })]).state).toBe('paused');
    expect(state([event(1, { kind: 'paused' }), event(2, { kind: 'resumed' })]).state).toBe('running');
    expect(state(crackers.map(({ key }, i) => ended(i, key)))).toMatchObject({ allDone: true, nowIndex: crackers.length - 1 });
  });
});

describe('a hand’s word in grams', () => {
  const { dough } = evaluate(demoCrackerV2, demoKitchen, pantry);
  if (dough.state === 'waiting') throw new Error('the demo is worked out');
  const answer = (word: Parameters<typeof feelAnswer>[0], getsG: number, dosesGiven = 0) =>
    feelAnswer(word, dough.result, { getsG, heldG: 15, dosesGiven }, { formula: demoCrackerV2, kitchen: demoKitchen, pantry });

  it('dry words give water, wet ones blend with the salt and gum it thins; clean gives nothing', () => {
    expect(answer('cracks', 87)).toMatchObject({ adds: 'water', dose: 1 });
    expect(answer('rollsClean', 87)).toBeNull();
    const wet = answer('sticks', 130)!;
    expect(wet.adds).toBe('blend');
    // Salt stays in step with the blend: 4.3 g to 240 g.
    expect(wet.withIt[0]).toEqual({ name: 'Salt, fine', amountG: expect.closeTo((4.3 / 240) * wet.doseG, 6) });
    expect(wet.orStarch.map(({ name }) => name)).toContain('Psyllium husk, whole');
  });

  it('a drier word asks for more, a wetter one for more blend', () => {
    expect(answer('sandy', 80)!.totalG).toBeGreaterThan(answer('cracks', 80)!.totalG);
    expect(answer('sticks', 125)!.totalG).toBeGreaterThan(answer('tacky', 125)!.totalG);
  });

  it('comes in two doses in half spoons, and then stops', () => {
    const first = answer('cracks', 80)!;
    const second = answer('cracks', 80 + first.doseG, 1)!;
    expect([first.dose, second.dose]).toEqual([1, 2]);
    expect(first.spoons! * 2).toBe(Math.round(first.spoons! * 2));
    expect(first.doseG).toBe(first.spoons! * 15);
    expect(answer('cracks', 95, 2)).toBeNull();
  });

  it('says what the blend would drink if the dose makes it right: the dose over the aim', () => {
    const { doseG, impliedThirst } = answer('cracks', 87)!;
    expect(impliedThirst).toBeCloseTo((87 + doseG) / 1.01 / dough.result.wantsG, 6);
  });

  it('a batch twice as large gets twice the grams', () => {
    const twice = scaled(demoCrackerV2, 2);
    const big = evaluate(twice, demoKitchen, pantry).dough;
    if (big.state === 'waiting') throw new Error('the demo is worked out');
    const said = feelAnswer(
      'sticks',
      big.result,
      { getsG: 250, heldG: 30, dosesGiven: 0 },
      { formula: twice, kitchen: demoKitchen, pantry },
    )!;
    expect(said.totalG / answer('sticks', 125)!.totalG).toBeCloseTo(2, 6);
  });
});

describe('the dough in the bowl', () => {
  const planned = evaluate(demoCrackerV2, demoKitchen, pantry).dough;
  if (planned.state === 'waiting') throw new Error('the demo is worked out');
  const bowl = (events: readonly BakeEvent[]) => bowlDough({ formula: demoCrackerV2, kitchen: demoKitchen, pantry }, crackers, events)!;

  it('is the formula without its spoons before anything was weighed', () => {
    const { dough, heldG } = bowl([]);
    expect(heldG).toBe(15);
    expect(dough.getsG).toBeCloseTo(planned.result.getsG - 15, 6);
    expect(dough.wantsG).toBeCloseTo(planned.result.wantsG, 6);
  });
  it('has what was weighed, and a spoon at the feel is in', () => {
    const spoon = event(5, { kind: 'weighed', rowKey: 'r1', addedG: 15 }, 'feel');
    const { dough, heldG } = bowl([weighed(1, 'r1', 90), ended(2, 'weigh:r1'), spoon]);
    expect(dough.pouredWaterG).toBeCloseTo(105, 6);
    expect(heldG).toBe(0);
  });
  it('wants more with more blend, and has none of what was skipped', () => {
    expect(bowl([event(1, { kind: 'weighed', rowKey: 'b1', addedG: 20 }, 'feel')]).dough.wantsG).toBeGreaterThan(planned.result.wantsG + 5);
    expect(bowl([event(1, { kind: 'skipped', reason: 'none' }, 'weigh:r1')]).dough.pouredWaterG).toBe(0);
  });
});

describe('rests that cannot be left out', () => {
  it('are those without which something new is found', () => {
    const rests = neededRests(demoPuffSticks, demoKitchen, pantry, evaluate(demoPuffSticks, demoKitchen, pantry));
    expect(rests.map(({ key }) => key)).toEqual(expect.arrayContaining(['cold:0', 'foldRest:0:0', 'foldRest:2:0']));
    for (const { without } of rests) expect(without.level).not.toBe('note');
  });
  it('names a rest of a cracker only where its dough needs it', () => {
    const rests = neededRests(demoCrackerV2, demoKitchen, pantry, evaluate(demoCrackerV2, demoKitchen, pantry));
    for (const { key, min } of rests) expect([key, min]).toEqual(['cold:0', 22]);
  });
});

describe('a formula as it was made', () => {
  it('has its swaps, lots and what was put in besides', () => {
    const { formula, weighed: grams } = asBaked(demoCrackerV2, [
      event(1, { kind: 'swapped', rowKey: 'r2', ingredientId: 'oil_neutral', amountG: 30 }, 'weigh:r2'),
      event(2, { kind: 'weighed', rowKey: 'b1', addedG: 134, lotId: 'lot-sorghum-8' }, 'weigh:b1'),
      event(3, { kind: 'added', ingredientId: 'sugar_white', amountG: 5 }),
    ]);
    expect(formula.rows.find(({ key }) => key === 'r2')!.ingredientId).toBe('oil_neutral');
    expect(formula.blend.rows[0]!.lotId).toBe('lot-sorghum-8');
    const more = formula.rows.at(-1)!;
    expect(more).toMatchObject({ ingredientId: 'sugar_white', amountG: 5 });
    expect(grams).toMatchObject({ b1: 134, [more.key]: 5 });
  });
});

describe('what a run leaves', () => {
  const evaluation = evaluate(demoCrackerV2, demoKitchen, pantry);
  const kept = (what: 'dough' | 'shaped' | 'baked', g: number, placeId: string) =>
    keptFor({ what, amountG: g, placeId, on: '2026-11-25' }, { formula: demoCrackerV2, kitchen: demoKitchen, pantry }, evaluation);

  it('keeps longer the colder it lies, and is enough for whole pieces', () => {
    expect([kept('dough', 100, 'table'), kept('dough', 100, 'fridge'), kept('dough', 100, 'freezer')].map(({ useByOn }) => useByOn)).toEqual(['2026-11-26', '2026-11-30', '2027-01-24']); // prettier-ignore
    expect(kept('baked', 100, 'table').useByOn).toBe('2026-12-16');
    const { pieces } = kept('dough', 100, 'fridge');
    if (evaluation.sheet.state === 'waiting') throw new Error('the demo is worked out');
    expect(pieces! * evaluation.sheet.result.pieceDoughG).toBeLessThanOrEqual(100);
    expect((pieces! + 1) * evaluation.sheet.result.pieceDoughG).toBeGreaterThan(100);
  });

  it('baked goods that need the cold: three days in it, none out of it, whatever days they are sold for', () => {
    const topping = { key: 'r9', ingredientId: 'cream_cheese', amountG: 60, use: 'topping' as const, goesOn: { at: 'cooled' as const } };
    const creamy = { ...demoCrackerV2, rows: [...demoCrackerV2.rows, topping] };
    const worked = evaluate(creamy, demoKitchen, pantry);
    const days = ['fridge', 'table', 'freezer'].map(
      (place) =>
        keptFor({ what: 'baked', amountG: 60, placeId: place, on: '2026-11-25' }, { formula: creamy, kitchen: demoKitchen, pantry }, worked)
          .useByOn,
    );
    expect(days).toEqual(['2026-11-28', '2026-11-25', '2027-01-24']);
    expect([needsColdOnceBaked(creamy, demoKitchen, pantry), needsColdOnceBaked(demoCrackerV2, demoKitchen, pantry)]).toEqual([
      true,
      false,
    ]);
  });

  it('raw egg keeps shorter in the fridge', () => {
    const eggy = {
      ...demoCrackerV2,
      rows: [...demoCrackerV2.rows, { key: 'r9', ingredientId: 'egg_whole', amountG: 25, use: 'dough' as const }],
    };
    const { useByOn } = keptFor(
      { what: 'dough', amountG: 100, placeId: 'fridge', on: '2026-11-25' },
      { formula: eggy, kitchen: demoKitchen, pantry },
      evaluate(eggy, demoKitchen, pantry),
    );
    expect(useByOn).toBe('2026-11-28');
  });

  it('crumb keeps as the goods do, an opened egg two days in the fridge and no night out of it; neither is pieces', () => {
    const of = (what: 'crumb' | 'egg', placeId: string) =>
      keptFor({ what, amountG: 25, placeId, on: '2026-11-25' }, { formula: demoCrackerV2, kitchen: demoKitchen, pantry }, evaluation);
    expect(of('crumb', 'table')).toEqual({ useByOn: '2026-12-16', pieces: null });
    expect(['fridge', 'table', 'freezer'].map((place) => of('egg', place).useByOn)).toEqual(['2026-11-27', '2026-11-25', '2027-01-24']);
    expect(of('egg', 'fridge').pieces).toBeNull();
  });

  it('an egg is left only by what takes one raw', () => {
    const withRow = (ingredientId: string) => ({
      ...demoCrackerV2,
      rows: [...demoCrackerV2.rows, { key: 'r9', ingredientId, amountG: 10, use: 'dough' as const }],
    });
    expect(keptEggOf(demoCrackerV2, pantry)).toBeNull();
    expect(keptEggOf(withRow('egg_white_dry'), pantry)).toBeNull();
    expect(keptEggOf(withRow('egg_yolk'), pantry)).toBe('egg_yolk');
  });

  it('half the dough is half the formula, and the steps before it are gone', () => {
    if (evaluation.dough.state === 'waiting') throw new Error('the demo is worked out');
    expect(factorOfKept('dough', evaluation.dough.result.doughG / 2, evaluation)).toBeCloseTo(0.5, 9);
    const dough = stepsFrom(crackers, 'dough');
    expect(dough[0]!.key).toBe('ovenOn');
    expect(dough.map(({ stage }) => stage)).not.toContain('blend');
    expect(keys(dough)).toEqual(expect.arrayContaining(['chilledC', 'roll:p1', 'in:1', 'rate']));
    const shaped = stepsFrom(crackers, 'shaped');
    expect(keys(shaped)).not.toContain('cut');
    expect(shaped.length).toBeLessThan(dough.length);
    // A wait counts from what is still there.
    for (const { since } of [...dough, ...shaped]) if (since) expect(keys(dough)).toContain(since);
  });
});
