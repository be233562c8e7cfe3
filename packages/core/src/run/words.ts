import type { MeasuredWhat, RunStep } from '../document/bake.js';
import type { QuantityKind } from '../units/convert.js';

/** A number in the baker's units, with its unit. */
export type Show = (value: number, kind: QuantityKind) => string;
export type StepWords = {
  /** What to do, in a few words. */ readonly title: string;
  /** How much, how far. */ readonly how: string;
  /** How it should look or feel. */ readonly sign: string;
  readonly why: string;
};

const shapeNames: Readonly<Record<string, string>> = {
  slab: 'slab',
  disc: 'disc',
  log: 'log',
  ball: 'ball',
  pieces: 'pieces, side by side',
};
const cutNames: Readonly<Record<string, string>> = {
  rectangle: 'pieces',
  diamond: 'diamonds',
  round: 'rounds',
  hexagon: 'hexagons',
  heart: 'hearts',
  triangle: 'triangles',
  outline: 'cut-outs',
  slice: 'slices',
};
const foldNames: Readonly<Record<number, string>> = { 2: 'in half', 3: 'in three', 4: 'in four, closed like a book' };
const packNames: Readonly<Record<string, string>> = {
  openTray: 'on an open tray',
  paperBag: 'in a paper bag',
  looseTin: 'in a loose tin',
  tightTin: 'in a tight tin',
  sealedPouch: 'in a sealed pouch',
};
const of = (step: RunStep, show: Show) =>
  step.widthMm !== undefined && step.lengthMm !== undefined ? `${show(step.widthMm, 'length')} × ${show(step.lengthMm, 'length')}` : '';
const halfMin = (min: number) => String(Math.round(min * 2) / 2);
const load = ({ load: n = 1, loads = 1 }: RunStep) => (loads > 1 ? `, load ${n} of ${loads}` : '');
const words: Readonly<Record<RunStep['what'], (step: RunStep, show: Show) => StepWords>> = {
  weigh: (s, show) => ({
    title: s.name ?? 'Weigh',
    how: [
      show(s.amountG ?? 0, 'mass'),
      s.shareOfRow === undefined ? '' : 'part of it; the rest goes in later',
      s.heldG ? `${show(s.heldG, 'mass')} more is held back in spoons` : '',
      s.atC === undefined ? '' : `at ${show(s.atC, 'temperature')}`,
    ]
      .filter(Boolean)
      .join(', '),
    sign: '',
    why: s.heldG ? 'Flour and air change from day to day: the last spoons go by the hand.' : '',
  }),
  mix: (s) => ({ title: s.does ?? 'Mix', how: '', sign: '', why: '' }),
  feel: () => ({
    title: 'How does the dough feel?',
    how: 'Squeeze a fistful, bend it, look at your palm.',
    sign: 'It should bend without splitting and leave the palm clean.',
    why: 'Your word is answered in grams, and teaches the kitchen this blend’s thirst. Raw dough is not for tasting.',
  }),
  doughTemperature: (s, show) => ({
    title: 'Temperature of the dough',
    how: `Planned ${show(s.measures?.[0]?.planned ?? 0, 'temperature')}. Probe in the middle, wait until it stands still.`,
    sign: '',
    why: s.stage === 'chill' ? 'Too cold splits, too warm sticks.' : 'How long it has to chill hangs on it.',
  }),
  rest: () => ({ title: 'Let it stand', how: 'Covered, on the table.', sign: '', why: 'Flours and gums take up the water; grit softens.' }),
  shape: (s, show) => ({
    title: `Press to a ${shapeNames[s.form ?? 'slab'] ?? s.form}`,
    how: `${show(s.thicknessMm ?? 0, 'length')} ${s.form === 'log' || s.form === 'ball' ? 'across' : 'thick'}, wrapped.`,
    sign: 'Edges without cracks; press them in now.',
    why: 'An even thickness chills evenly and needs less force under the pin.',
  }),
  cold: (s, show) => ({
    title: `Cold: ${s.place ?? 'fridge'}`,
    how: s.targetC === undefined ? '' : `Until its middle is at ${show(s.targetC, 'temperature')}.`,
    sign: '',
    why: 'Firm fat rolls without smearing.',
  }),
  lockIn: (s, show) => ({
    title: 'Lock the fat in',
    how: `Dough ${of(s, show)}, edges sealed.`,
    sign: 'Fat and dough bend alike: neither breaks.',
    why: 'Fat that is harder than the dough breaks in it, softer is pressed out.',
  }),
  fold: (s, show) => ({
    title: `Fold ${s.n} of ${s.of}`,
    how: `Roll to ${of(s, show)}, fold ${foldNames[s.parts ?? 3]}, a quarter turn.`,
    sign: 'Straight edges, no fat showing.',
    why: 'Every fold multiplies the layers.',
  }),
  foldRest: (s) => ({
    title: `Rest: ${s.place ?? 'the table'}`,
    how: 'Wrapped, the far edge marked.',
    sign: '',
    why: 'Fat firms again before the next roll.',
  }),
  lastRoll: (s, show) => ({
    title: 'The last roll',
    how: `${of(s, show)}, ${show(s.thicknessMm ?? 0, 'length')} thick.`,
    sign: 'Layers seen on a cut edge.',
    why: '',
  }),
  roll: (s, show) => ({
    title: `Roll to ${show(s.thicknessMm ?? 0, 'length')}`,
    how: [
      s.bandsMm === undefined ? '' : `with bands of ${show(s.bandsMm, 'length')}`,
      of(s, show) ? `about ${of(s, show)}` : '',
      (s.lots ?? 1) > 1 ? `in ${s.lots} equal lots, the others kept cold` : '',
    ]
      .filter(Boolean)
      .join(', '),
    sign: 'Press cracks at the rim together before they run inward.',
    why: 'A thickness that is even bakes evenly.',
  }),
  cut: (s, show) => ({
    title: `Cut ${s.pieces ?? ''} ${cutNames[s.form ?? ''] ?? 'pieces'}`.replace('  ', ' '),
    how: [
      of(s, show) || (s.widthMm ? `${show(s.widthMm, 'length')} across` : ''),
      s.dockMm ? `prick every ${show(s.dockMm, 'length')}${s.dockStaggered ? ', rows staggered' : ''}` : '',
    ]
      .filter(Boolean)
      .join(', '),
    sign: 'Clean edges. If they drag, put the sheet back in the cold.',
    why: '',
  }),
  portion: (s, show) => ({
    title: `Divide into ${s.pieces}`,
    how: `${show(s.amountG ?? 0, 'mass')} each, by the scale.`,
    sign: '',
    why: 'Equal pieces are done together.',
  }),
  pan: (s) => ({
    title: 'Line and fill',
    how: `${s.pieces} ${s.pieces === 1 ? 'piece' : 'pieces'}. Ease the dough into the corners, do not stretch it.`,
    sign: 'No air under it, no thin corner.',
    why: 'Stretched dough shrinks back in the oven.',
  }),
  firm: (s) => ({ title: `Shaped pieces: ${s.place ?? 'rest'}`, how: '', sign: '', why: 'Cold edges keep their shape in the oven.' }),
  proof: (s) => ({
    title: 'How far has it grown?',
    how: `Planned ${(s.measures?.[0]?.planned ?? 1).toFixed(2)} times its volume. Judge by the volume, not by the clock.`,
    sign: 'A finger leaves a dent that comes back slowly.',
    why: 'Too far, and it falls in the oven.',
  }),
  ovenOn: (s) => ({
    title: `Switch on ${s.oven}`,
    how: `dial ${s.dial}. It takes about ${Math.round(s.min ?? 0)} min.`,
    sign: '',
    why: 'The dial is set for what this oven really does.',
  }),
  load: () => ({
    title: 'Weigh the tray’s load',
    how: 'Pieces alone, before they go in. Leave it out if you are in a hurry.',
    sign: '',
    why: 'With the weight after, it says how this oven dries.',
  }),
  putIn: (s) => ({ title: `Into ${s.oven}${load(s)}`, how: `dial ${s.dial}`, sign: '', why: 'The clock starts when the door is shut.' }),
  inOven: (s) => ({
    title: `In ${s.oven}${load(s)}`,
    how:
      s.doneP10Min === undefined || s.doneP90Min === undefined
        ? ''
        : `Eight in ten that looked like it are done between ${halfMin(s.doneP10Min)} and ${halfMin(s.doneP90Min)} min.`,
    sign: '',
    why: '',
  }),
  nextSetting: (s) => ({
    title: s.dial === 'off' ? `Switch ${s.oven} off` : `${s.oven}: dial ${s.dial}`,
    how: [s.does, s.weightsOff ? 'weights off' : '', s.turn ? 'turn the tray' : ''].filter(Boolean).join(', '),
    sign: '',
    why: s.turn ? 'One side of this oven is hotter.' : '',
  }),
  look: (s, show) => ({
    title: `Look ${s.n} of ${s.of}${load(s)}`,
    how: `Top tone ${Math.round(s.topTone ?? 1)}, base tone ${Math.round(s.baseTone ?? 1)}`,
    sign:
      s.coldestC !== undefined && s.coldestC < 92
        ? `Its middle is about ${show(s.coldestC, 'temperature')}.`
        : `About ${((s.moistureShare ?? 0) * 100).toFixed(0)} % water is left in it.`,
    why: `${s.asSet ? 'These are the minutes that were set. ' : ''}${Math.round((s.doneShare ?? 0) * 100)} in 100 bakes like it are done by now.`,
  }),
  out: (s) => ({
    title: `Out${load(s)}`,
    how: 'Dry gloves: tray and fat are hot. Note what you see before it cools.',
    sign: '',
    why: 'What came out is what the next forecast learns from.',
  }),
  cool: (s) => ({ title: `Cool: ${s.place ?? 'rack'}`, how: '', sign: '', why: 'Steam has to leave before it is packed.' }),
  pack: (s) => ({
    title: 'Pack',
    how: `${s.pieces} to a pack, ${packNames[s.form ?? ''] ?? s.form}.`,
    sign: 'Cold to the touch all through.',
    why: 'Packed warm, it sweats and softens.',
  }),
  rate: () => ({
    title: 'How is it?',
    how: 'Break one, taste one.',
    sign: '',
    why: 'Your dots are what the forecast is measured by.',
  }),
};

/**
 * A step as it is told at the bench.
 *
 * Units    as `show` writes them; temperatures of dials are in the words of the dial.
 * Throws   nothing.
 * Findings none.
 * Source   the step.
 */
export const stepWords = (step: RunStep, show: Show): StepWords => words[step.what](step, show);

/** What is measured, as it is asked for, and how it is written. */
export const measureWords: Readonly<
  Record<MeasuredWhat, { readonly name: string; readonly kind: QuantityKind | 'count' | 'tone' | 'times' }>
> = {
  doughC: { name: 'Dough', kind: 'temperature' },
  coreC: { name: 'Middle', kind: 'temperature' },
  ovenC: { name: 'Oven air', kind: 'temperature' },
  roomC: { name: 'Room', kind: 'temperature' },
  humidityShare: { name: 'Air', kind: 'percent' },
  rawMm: { name: 'Rolled to', kind: 'length' },
  bakedMm: { name: 'Baked thickness', kind: 'length' },
  acrossMm: { name: 'Across', kind: 'length' },
  fatMm: { name: 'Pieces of fat', kind: 'length' },
  rawG: { name: 'Load before', kind: 'mass' },
  bakedG: { name: 'Load after', kind: 'mass' },
  pieceG: { name: 'One piece', kind: 'mass' },
  fillingG: { name: 'Filling', kind: 'mass' },
  volumeRatio: { name: 'Volume', kind: 'times' },
  pieces: { name: 'Pieces', kind: 'count' },
  bakeMin: { name: 'In the oven', kind: 'minutes' },
  topTone: { name: 'Tone of the top', kind: 'tone' },
  baseTone: { name: 'Tone of the base', kind: 'tone' },
};
