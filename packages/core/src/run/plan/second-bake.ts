import { dialFor, ovenOf } from '../../bake/oven.js';
import { bakeKinds, hollowDrying } from '../../facts/oven.js';
import { dialWords } from '../../units/dial.js';
import { hands, stepOf } from './made.js';
import type { RunStep } from '../../document/bake.js';
import type { Made } from './made.js';

/** What goes back into the oven: a log in slices, turned half way. */
export const slicedAgain = (made: Made): RunStep[] => {
  const { family, results, formula, kitchen } = made;
  const again = family.slicedAfter;
  if (!again) return [];
  const oven = ovenOf(kitchen, formula.bake.ovenId);
  const [, min] = again.min;
  const half = Math.round(min / 2);
  return [
    stepOf('slice', hands.cutBaked, { thicknessMm: again.sliceMm, pieces: results.sheet.pieces }, { stage: 'bake' }),
    stepOf('secondIn', hands.putIn, { oven: oven.name, dial: dialWords(oven.dialUnit, dialFor(oven, again.ovenC)) }, { stage: 'bake' }),
    drying(0, half),
    stepOf('turnSlices', hands.putIn, {}, { stage: 'bake' }),
    drying(1, min - half),
    stepOf('secondOut', hands.out, {}, { stage: 'bake' }),
  ];
};

const isHollow = ({ family }: Made): boolean => bakeKinds.values[family.bakesAs].hollow !== undefined;

/** Steam is let out of a hollow piece as its load comes out, or it falls in while the next one bakes. */
export const pierced = (made: Made, load: number): RunStep[] => {
  const { pieces, loads } = made.results.sheet;
  if (!isHollow(made)) return [];
  const each = Math.ceil(pieces / loads);
  return [
    stepOf(
      'pierce',
      hands.cutBaked,
      { pieces: Math.min(each, pieces - each * (load - 1)), load, loads },
      { key: load === 1 ? 'pierce' : `pierce:${load}`, stage: 'bake' },
    ),
  ];
};

/** All of them together in the oven that is off: nothing more is to be baked in it. */
export const dried = (made: Made): RunStep[] => {
  if (!isHollow(made)) return [];
  const oven = ovenOf(made.kitchen, made.formula.bake.ovenId);
  return [
    stepOf('secondIn', hands.putIn, { oven: oven.name, dial: 'off' }, { stage: 'bake' }),
    drying(0, hollowDrying.values.min),
    stepOf('secondOut', hands.out, {}, { stage: 'bake' }),
  ];
};

const drying = (i: number, min: number): RunStep => stepOf('drying', 0, { kind: 'wait', min }, { key: `drying:${i}`, stage: 'bake' });
