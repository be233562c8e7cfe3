import { isUnderPin, measureKinds, showQuantity, type MeasuredWhat, type RunStep } from '@north-leaf/core';
import { isKey, type Key, type Voice } from './voice.js';

export type StepWords = {
  /** What to do, in a few words. */ readonly title: string;
  /** How much, how far. */ readonly how: string;
  /** How it should look or feel. */ readonly sign: string;
  readonly why: string;
};
type Part = keyof StepWords;

/** What of a step is said by more than its one sentence: the name of the row, a list of what there is of it, or a variant. */
const special: Partial<Record<RunStep['what'], (step: RunStep, tell: Tell) => Partial<StepWords>>> = {
  weigh: (s, tell) => ({
    title: s.name ?? tell('title'),
    how: listed(
      tell.show(s.amountG ?? 0, 'mass'),
      s.shareOfRow !== undefined && tell('part'),
      s.heldG && tell('held'),
      s.into !== undefined && tell('into'),
      s.atC !== undefined && tell('at'),
    ),
    why: s.heldG ? tell('why') : '',
  }),
  mix: (s) => (s.does === undefined ? {} : { title: s.does }),
  secondIn: (s, tell) => ({ how: tell('how', s.dial === 'off' ? 'off' : undefined) }),
  wrap: (s, tell) => ({
    title: tell('title', s.pieces === undefined ? undefined : 'pieces'),
    how: tell('how', s.place === undefined ? undefined : 'place'),
  }),
  prepare: (s, tell) => ({
    title: tell('title', s.act),
    how: listed(s.does !== undefined && tell('until'), s.targetC !== undefined && tell('cooked')),
    sign: s.amountG ? tell('left') : '',
    why: tell('why', s.act),
  }),
  rest: (s, tell) => ({ sign: s.does === undefined ? '' : tell('sign', 'until') }),
  doughTemperature: (s, tell) => ({ why: tell('why', bowlOf(s) ?? s.stage) }),
  feel: (s, tell) => ({ how: tell('how', s.handling), sign: tell('sign', s.handling) }),
  shape: (s, tell) => ({
    title: tell('title', bowlOf(s)),
    how: tell('how', bowlOf(s) ?? (s.form === 'log' || s.form === 'ball' ? 'round' : undefined)),
    sign: bowlOf(s) ? '' : tell('sign'),
    why: tell('why', bowlOf(s)),
  }),
  cold: (s, tell) => ({
    how: s.targetC === undefined || s.handling === 'poured' ? '' : tell('how'),
    why: tell('why', s.handling === 'poured' ? 'poured' : bowlOf(s)),
  }),
  pour: (s, tell) => ({ title: tell('title', s.pieces === 1 ? 'one' : undefined), how: tell('how', s.depthMm ? 'of' : undefined) }),
  pat: (s, tell) => ({ how: tell.across || (s.widthMm ? tell('across') : '') }),
  line: (s, tell) => ({ how: tell('how', s.thicknessMm ? 'trim' : undefined) }),
  lid: (s, tell) => ({ how: tell('how', s.widthMm ? 'trim' : undefined) }),
  prick: (s, tell) => ({ how: tell('how', s.dockStaggered ? 'staggered' : undefined) }),
  cool: (s, tell) => ({ why: tell('why', s.form) }),
  fold: (s, tell) => ({ how: tell('how', String(s.parts ?? 3)) }),
  roll: (s, tell) => ({
    sign: tell('sign', s.names ? 'folded' : undefined),
    how: listed(s.bandsMm !== undefined && tell('bands'), tell.across && tell('about'), (s.lots ?? 1) > 1 && tell('lots')),
  }),
  cut: (s, tell) => ({
    title: tell('title', s.pieces === undefined ? 'uncounted' : undefined),
    how: listed(tell.across || (s.widthMm && tell('across')), s.dockMm && tell('prick', s.dockStaggered ? 'staggered' : undefined)),
  }),
  inOven: (s, tell) => ({ how: s.doneP10Min === undefined || s.doneP90Min === undefined ? '' : tell('how') }),
  nextSetting: (s, tell) => ({
    title: tell('title', s.dial === 'off' ? 'off' : undefined),
    how: listed(s.does, s.weightsOff && tell('weightsOff'), s.turn && tell('turn')),
    why: s.turn ? tell('why', 'turn') : '',
  }),
  look: (s, tell) => ({
    sign: tell('sign', s.coldestC !== undefined && s.coldestC < SET_C ? 'setting' : undefined),
    why: tell('why', s.asSet ? 'set' : undefined),
  }),
};
/** What goes under no pin is not pressed to a slab. */
const bowlOf = ({ handling, form }: RunStep): 'bowl' | undefined =>
  handling === undefined || isUnderPin(handling) || form === 'log' || form === 'ball' ? undefined : 'bowl';
/** Below it a middle is still setting, and says more than the water left. */
const SET_C = 92;
/** 'Sugar, granulated white' is sugar when it is told of. */
const named = (names: readonly string[]) =>
  new Intl.ListFormat('en').format(names.map((name) => name.split(/[,(]/)[0]!.trim().toLowerCase()));
/** How many there are of each. */
const counted = (all: readonly number[]) => [...new Set(all)].map((one) => [one, all.filter((other) => other === one).length] as const);
const listed = (...parts: readonly (string | false | 0 | undefined)[]) => parts.filter(Boolean).join(', ');
const halfMin = (min = 0) => Math.round(min * 2) / 2;

/** Says one part of a step with that step's numbers; a part the catalogue does not have is silence. */
type Tell = ((part: string, context?: string) => string) & { readonly show: Voice['show']; readonly across: string };

/** Where a step happens when it does not say so. */
const usualPlace: Partial<Record<RunStep['what'], 'fridge' | 'table' | 'rest' | 'rack'>> = {
  cold: 'fridge',
  foldRest: 'table',
  firm: 'rest',
  cool: 'rack',
};

function tellerOf(step: RunStep, { say, show }: Voice): Tell {
  const { what, measures, widthMm, lengthMm, load: n = 1, loads = 1, ...rest } = step;
  const across = widthMm !== undefined && lengthMm !== undefined ? `${show(widthMm, 'length')} × ${show(lengthMm, 'length')}` : '';
  const word = (key: string, other = '') => (isKey(key) ? say(key) : other);
  const values = {
    ...rest,
    widthMm,
    across,
    count: step.pieces,
    amountG: step.amountG ?? 0,
    thicknessMm: step.thicknessMm ?? 0,
    moistureShare: step.moistureShare ?? 0,
    topTone: step.topTone ?? 1,
    baseTone: step.baseTone ?? 1,
    min: step.min ?? 0,
    planned: measures?.[0]?.planned ?? 0,
    load: loads > 1 ? say('step.of.load', { n, of: loads }) : '',
    place: step.place ?? word(`place.${usualPlace[what]}`),
    names: named(step.names ?? []),
    lengths: counted(step.lengthsMm ?? [])
      .map(([mm, n]) => `${n} × ${show(mm, 'length')}`)
      .join(', '),
    form: what === 'cut' ? word(`cut.${step.form}`, say('cut.rectangle')) : word(`form.${step.form ?? 'slab'}`, step.form),
    pack: word(`pack.${step.form}`, step.form),
    done: (step.doneShare ?? 0) * 100,
    p10: halfMin(step.doneP10Min),
    p90: halfMin(step.doneP90Min),
  };
  const tell = (part: string, context?: string) => {
    const key = `step.${what}.${part}`;
    const known = isKey(key) || isKey(`${key}_${context}`) || isKey(`${key}_other`);
    return known ? say(key as Key, { ...values, context }) : '';
  };
  return Object.assign(tell, { show, across });
}

/**
 * A step as it is told at the bench.
 *
 * Units    those of the voice; temperatures of dials are in the words of the dial.
 * Throws   nothing.
 * Findings none.
 * Source   the step, and the catalogue `en/steps.json`.
 */
export function stepWords(step: RunStep, voice: Voice): StepWords {
  const tell = tellerOf(step, voice);
  const part = (name: Part) => tell(name);
  return { title: part('title'), how: part('how'), sign: part('sign'), why: part('why'), ...special[step.what]?.(step, tell) };
}

/** What is measured, as it is asked for. */
export const measureName = (what: MeasuredWhat, { say }: Voice): string => say(`measure.${what}`);

/** A measured value with its unit. */
export const showMeasured = (what: MeasuredWhat, value: number, { units }: Voice): string => {
  const kind = measureKinds[what];
  return showQuantity(value, kind, units, kind === 'share' || kind === 'count' ? 0 : undefined);
};

/** What to do, in a few words. */
export const titleOf = (step: RunStep, voice: Voice): string => stepWords(step, voice).title;
