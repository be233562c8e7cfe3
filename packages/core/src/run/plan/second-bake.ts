import { dialFor, ovenOf } from '../../bake/oven.js';
import { bakeKinds, hollowDrying } from '../../facts/oven.js';
import { dialWords } from '../../units/dial.js';
import { hands, stepOf } from './made.js';
import type { RunStep } from '../../document/bake.js';
import type { Made } from './made.js';

/** What goes back into the oven: a log in slices, turned half way; hollow pieces pierced, to dry from both sides. */
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

export const pierced = (made: Made): RunStep[] => {
  const { family, results, formula, kitchen } = made;
  if (bakeKinds.values[family.bakesAs].hollow === undefined) return [];
  const oven = ovenOf(kitchen, formula.bake.ovenId);
  return [
    stepOf('pierce', hands.cutBaked, { pieces: results.sheet.pieces }, { stage: 'bake' }),
    stepOf('secondIn', hands.putIn, { oven: oven.name, dial: 'off' }, { stage: 'bake' }),
    drying(0, hollowDrying.values.min),
    stepOf('secondOut', hands.out, {}, { stage: 'bake' }),
  ];
};

const drying = (i: number, min: number): RunStep => stepOf('drying', 0, { kind: 'wait', min }, { key: `drying:${i}`, stage: 'bake' });
