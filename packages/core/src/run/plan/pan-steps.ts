import { latticeOf } from '../../pan/pan.js';
import { handsPieceMin } from '../../facts/run.js';
import { hands, stepOf } from './made.js';
import { handlingOf } from '../../dough/handling.js';
import type { RunStep } from '../../document/bake.js';
import type { Part } from '../../document/formula.js';
import type { Made } from './made.js';

const panOf = ({ formula, kitchen }: Made) => kitchen.pans?.find(({ id }) => id === formula.bake.panId);

/** A sheet eased into its pan; what is pressed in is there already. */
export function liningSteps(made: Made): RunStep[] {
  const { formula, family, results } = made;
  if (handlingOf(formula, family) === 'pressedIn') return [];
  const { shape } = formula.sheet.parts[0]!;
  const { pieces, lots } = results.sheet;
  return [
    stepOf('line', hands.line * lots + handsPieceMin.values.line * pieces, {
      pieces,
      ...(shape.kind === 'lining' ? { thicknessMm: shape.overhangMm } : {}),
      measures: [{ what: 'pieces', planned: pieces }],
    }),
  ];
}

/** For the steam, where the part has any. */
export const slits = ({ vents = 0 }: Part): RunStep[] => (vents > 0 ? [stepOf('slits', hands.prick, { n: vents })] : []);

/** Over its filling, closed at the rim, cut for the steam. */
export function lidSteps({ results: { sheet } }: Made, part: Part): RunStep[] {
  const { shape } = part;
  const { pieces } = sheet;
  return [
    stepOf('lid', hands.lid + handsPieceMin.values.lid * pieces, {
      pieces,
      ...(shape.kind === 'lid' ? { widthMm: shape.overhangMm } : {}),
    }),
    stepOf('crimp', hands.crimp + handsPieceMin.values.crimp * pieces, { pieces }),
    ...slits(part),
  ];
}

/** Strip by strip, each as long as where it lies. */
export function latticeStep(made: Made, { shape }: Part): RunStep[] {
  const pan = panOf(made);
  if (!pan || shape.kind !== 'lattice') return [];
  const { along, across } = latticeOf(pan, shape, 'sheet.parts');
  const lengthsMm = [...along, ...across].map(({ lengthMm }) => Math.round(lengthMm)).sort((a, b) => b - a);
  const { pieces } = made.results.sheet;
  return [
    stepOf('lattice', hands.lattice + handsPieceMin.values.strip * lengthsMm.length * pieces, {
      pieces,
      n: along.length,
      of: across.length,
      widthMm: shape.stripMm,
      lengthsMm,
    }),
  ];
}
