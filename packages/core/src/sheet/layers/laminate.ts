import { InputError, within } from '../../errors.js';
import { rollInFatDensity } from '../../facts/laminating.js';
import type { Fold, Laminate } from '../../document/formula.js';
import type { Kitchen } from '../../document/kitchen.js';
import type { Family } from '../../facts/families.js';

export type Layers = {
  readonly fatLayers: number;
  readonly doughLayers: number;
  /** As an older count has it: the start times every fold, layers that met counted twice. */ readonly stacked: number;
  /** Plies of dough before equal faces met. */ readonly doughPlies: number;
};

/**
 * Number of layers a fold plan gives.
 *
 * Folding into k stacks k copies, every other one upside down: equal faces meet and become one layer.
 *
 * Units    none.
 * Throws   InputError at `laminate.folds[i].parts` unless 2, 3 or 4.
 * Findings none; laminateFindings judges.
 * Source   dough outside: fat' = k fat, dough' = k dough - (k - 1); inverse the other way round. Equal to a simulation by strings (tests).
 *
 * @example
 * laminationLayers('envelope', [3, 3, 3]); // => { fatLayers: 27, doughLayers: 28, stacked: 81, doughPlies: 54 }
 */
export function laminationLayers(lockIn: Laminate['lockIn'], folds: readonly number[]): Layers {
  const inverse = lockIn === 'inverse';
  let fatLayers = inverse || lockIn === 'twoThirds' ? 2 : 1;
  let doughLayers = inverse ? 1 : lockIn === 'twoThirds' ? 3 : 2;
  let stacked = fatLayers + doughLayers;
  let doughPlies = doughLayers;
  folds.forEach((parts, i) => {
    if (parts !== 2 && parts !== 3 && parts !== 4)
      throw new InputError(`sheet.laminate.folds[${i}].parts`, `must be 2, 3 or 4, got ${parts}`);
    fatLayers = parts * fatLayers - (inverse ? parts - 1 : 0);
    doughLayers = parts * doughLayers - (inverse ? 0 : parts - 1);
    stacked *= parts;
    doughPlies *= parts;
  });
  return { fatLayers, doughLayers, stacked, doughPlies };
}

/**
 * Mean thickness of the layers in a sheet.
 *
 * Units    mm of sheet, g, g/ml; layers in um, shares 0..1.
 * Throws   nothing.
 * Findings none.
 * Source   volumes: fat density from memory (facts/laminating), dough density of the formula.
 */
export function layerThickness(
  { fatLayers, doughLayers }: Layers,
  sheetMm: number,
  { fatG, doughG, doughGPerMl }: { readonly fatG: number; readonly doughG: number; readonly doughGPerMl: number },
): { readonly fatUm: number; readonly doughUm: number; readonly fatVolumeShare: number } {
  const fatMl = fatG / rollInFatDensity.value;
  const fatVolumeShare = fatMl / (fatMl + doughG / doughGPerMl);
  return {
    fatUm: (1000 * sheetMm * fatVolumeShare) / fatLayers,
    doughUm: (1000 * sheetMm * (1 - fatVolumeShare)) / doughLayers,
    fatVolumeShare,
  };
}

/** A rectangle of dough or fat, mm. */
export type RolledSlab = { readonly widthMm: number; readonly lengthMm: number; readonly thicknessMm: number };

/**
 * The fat slab that a dough sheet takes.
 *
 * Units    mm, g.
 * Throws   InputError at sheet.laminate.borderMm where it leaves no room for the fat.
 * Findings none.
 * Source   plane geometry: envelope a square of side a / sqrt 2 turned by an eighth, half book half the length, two thirds two thirds of
 *          it, less a border on every side; inverse: fat round a dough of the same width, twice its length. t = m / (rho l w).
 */
export function fatSlabOf(
  lockIn: Laminate['lockIn'],
  dough: Pick<RolledSlab, 'widthMm' | 'lengthMm'>,
  borderMm: number,
  fatG: number,
): RolledSlab {
  const { widthMm, lengthMm } = dough;
  const [w, l] =
    lockIn === 'envelope'
      ? [Math.min(widthMm, lengthMm) / Math.SQRT2 - 2 * borderMm, Math.min(widthMm, lengthMm) / Math.SQRT2 - 2 * borderMm]
      : lockIn === 'inverse'
        ? [widthMm + 2 * borderMm, 2 * lengthMm + 2 * borderMm]
        : [widthMm - 2 * borderMm, (lockIn === 'halfBook' ? lengthMm / 2 : (2 * lengthMm) / 3) - 2 * borderMm];
  if (!(w > 10 && l > 10))
    throw new InputError('sheet.laminate.borderMm', 'leaves no room for the fat: make it smaller, or the dough thinner');
  return { widthMm: w, lengthMm: l, thicknessMm: (fatG / (rollInFatDensity.value * w * l)) * 1000 };
}

/** How the dough lies when the fat goes in: a square for the envelope, else half as long again as wide (common practice, no source). */
export function doughSlabOf(lockIn: Laminate['lockIn'], doughG: number, doughGPerMl: number, doughMm: number): RolledSlab {
  const areaMm2 = (doughG / (doughGPerMl * within('sheet.laminate.doughMm', doughMm, 3, 40, 'mm'))) * 1000;
  const widthMm = lockIn === 'envelope' || lockIn === 'inverse' ? Math.sqrt(areaMm2) : Math.sqrt(areaMm2 / 1.5);
  return { widthMm, lengthMm: areaMm2 / widthMm, thicknessMm: doughMm };
}

/** One turn of a run: what is rolled to what, and what lies there folded. */
export type Turn = {
  readonly parts: number;
  readonly rolled: RolledSlab;
  readonly folded: RolledSlab;
};

/**
 * The sizes of a fold plan, roll by roll. Volume stays; each turn is a quarter, so that the folded edges lie at the sides.
 *
 * Units    mm, mm3.
 * Throws   InputError at sheet.laminate.folds[i].rollToMm unless thinner than what is rolled and from 2.
 * Findings none.
 * Source   volume conservation.
 */
export function sheetRun(
  volumeMm3: number,
  widthMm: number,
  folds: readonly { readonly parts: number; readonly rollToMm: number }[],
): Turn[] {
  let across = widthMm;
  let stands = Infinity;
  return folds.map(({ parts, rollToMm }, i) => {
    const path = `sheet.laminate.folds[${i}].rollToMm`;
    within(path, rollToMm, 2, 40, 'mm');
    if (rollToMm >= stands)
      throw new InputError(path, `must be thinner than the ${stands.toFixed(0)} mm that lie there folded, got ${rollToMm} mm`);
    const lengthMm = volumeMm3 / (across * rollToMm);
    const folded = { widthMm: across, lengthMm: lengthMm / parts, thicknessMm: parts * rollToMm };
    const rolled = { widthMm: across, lengthMm, thicknessMm: rollToMm };
    stands = folded.thicknessMm;
    across = folded.lengthMm;
    return { parts, rolled, folded };
  });
}

/** What lies there once the fat is in. mm. */
export function lockedIn(lockIn: Laminate['lockIn'], dough: RolledSlab, fat: RolledSlab): RolledSlab {
  const volume = dough.widthMm * dough.lengthMm * dough.thicknessMm + fat.widthMm * fat.lengthMm * fat.thicknessMm;
  const [widthMm, lengthMm] =
    lockIn === 'envelope'
      ? [dough.widthMm / Math.SQRT2, dough.lengthMm / Math.SQRT2]
      : lockIn === 'halfBook'
        ? [dough.widthMm, dough.lengthMm / 2]
        : lockIn === 'twoThirds'
          ? [dough.widthMm, dough.lengthMm / 3]
          : [fat.widthMm, fat.lengthMm / 2];
  return { widthMm, lengthMm, thicknessMm: volume / (widthMm * lengthMm) };
}

/**
 * Most fat layers that leave dough layers of at least a floor. mm, um.
 *
 * Units    mm, share of volume, um; a count.
 * Throws   nothing.
 * Findings none.
 * Source   arithmetic of equal layers.
 *
 * @example
 * mostFatLayers(4, 0.4, 60); // => 39
 */
export const mostFatLayers = (sheetMm: number, fatVolumeShare: number, floorUm: number): number =>
  Math.max(0, Math.floor((1000 * sheetMm * (1 - fatVolumeShare)) / floorUm + 1e-9) - 1);

/**
 * Folds to begin with: three letter folds, two for what is yeasted, each rested in the cold as long as its family chills.
 *
 * Units    mm, min.
 * Throws   nothing; a kitchen without a fridge gives null.
 * Findings none.
 * Source   common practice, no source: puff is folded three times and more, yeasted dough two or three.
 */
export function usualFolds(family: Pick<Family, 'yeastPercent' | 'chillMin'>, kitchen: Pick<Kitchen, 'places'>): Laminate | null {
  const cold = kitchen.places.find(({ kind }) => kind === 'fridge');
  if (!cold) return null;
  const fold: Fold = { parts: 3, rollToMm: 6, waits: [{ placeId: cold.id, min: Math.max(20, family.chillMin[1]) }] };
  return { lockIn: 'envelope', doughMm: 10, borderMm: 5, folds: family.yeastPercent ? [fold, fold] : [fold, fold, fold], mark: true };
}
