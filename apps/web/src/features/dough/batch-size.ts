import type { Evaluation, Kitchen, Pantry, Units } from '@north-leaf/core';
import {
  factorForPan,
  factorForPieces,
  factorForShelf,
  factorsToPan,
  InputError,
  readQuantity,
  rolledG,
  scaled,
  type ScaleCaution,
  unitOf,
} from '@north-leaf/core';
import { type Voice } from '@north-leaf/words';
import { t } from '../../platform/words';
import type { Formula } from '@north-leaf/core';

export type Way = 'times' | 'pieces' | 'mass' | 'pan' | 'ownPan' | 'loads' | 'shelf';

export const labels: Record<Exclude<Way, 'shelf' | 'pan' | 'ownPan'>, string> = {
  times: t('dough.times'),
  pieces: t('dough.pieces'),
  mass: t('common.dough'),
  loads: t('dough.ovenLoads'),
};

type Factors = { readonly factor: number; /** Where it is not the same: a pan holds by volume. */ readonly filling?: number };

export const panLabels = { from: t('common.from'), to: t('dough.to'), wall: t('dough.wall') } as const;

/** Nothing is said while both pans are not typed yet. */
function panFactor(pan: Readonly<Record<keyof typeof panLabels, string>>, unit: string): Factors | { problem: string } {
  if (pan.from.trim() === '' || pan.to.trim() === '') return { problem: '' };
  const [from, to, wall] = [pan.from, pan.to, pan.wall.trim() === '' ? '0' : pan.wall].map((text) => readQuantity(text, 'length', unit));
  if (!from!.ok) return { problem: t('dough.fromReason', { reason: from!.reason }) };
  if (!to!.ok) return { problem: t('dough.toReason', { reason: to!.reason }) };
  if (!wall!.ok) return { problem: t('dough.wallReason', { reason: wall!.reason }) };
  try {
    // At the same depth a pan holds by the area of its base.
    return { factor: factorForPan(from!.value, to!.value, wall!.value), filling: (to!.value / from!.value) ** 2 };
  } catch (error) {
    if (error instanceof InputError) return { problem: t('dough.aPanMessage', { message: error.message }) };
    throw error;
  }
}

/** What is asked: a way to say the size, and what was typed for it. */
export type AskedSize = {
  readonly way: Way;
  readonly text: string;
  readonly pan: Readonly<Record<keyof typeof panLabels, string>>;
  readonly toPan: string;
};

type Around = {
  readonly formula: Formula;
  readonly evaluation: Evaluation;
  readonly kitchen: Kitchen;
  readonly pantry: Pantry;
  readonly units: Units;
};

/** How many times the batch is asked for, or why that cannot be said. An empty problem: not all is typed yet. */
export function factorsOf(
  { way, text, pan, toPan }: AskedSize,
  { formula, evaluation, kitchen, pantry, units }: Around,
): Factors | { problem: string } {
  const dough = evaluation.dough.state === 'waiting' ? null : evaluation.dough.result;
  const sheet = evaluation.sheet.state === 'waiting' ? null : evaluation.sheet.result;
  const massG = dough ? rolledG(dough) : 0;
  const shelf = way === 'shelf' ? factorForShelf(formula, pantry) : null;
  if (way === 'ownPan') {
    if (formula.bake.panId === undefined) return { problem: t('dough.itStandsInNoPanYetChoose') };
    if (toPan === '') return { problem: '' };
    try {
      const { crust, filling } = factorsToPan(formula, kitchen, massG, toPan);
      return { factor: crust, filling };
    } catch (error) {
      if (error instanceof InputError) return { problem: t('dough.thisPanMessage', { message: error.message }) };
      throw error;
    }
  }
  if (way === 'shelf') return shelf ? { factor: shelf.factor } : { problem: t('dough.nothingThatGoesInIsCountedOn') };
  if (way === 'pan') return panFactor(pan, unitOf('length', units));
  const read = readQuantity(text, way === 'mass' ? 'mass' : 'percent', way === 'mass' ? unitOf('mass', units) : '%');
  if (!read.ok) return { problem: `${labels[way]} ${read.reason}` };
  try {
    if (way === 'times') return { factor: checked(read.value) };
    if (way === 'mass')
      return dough && dough.doughG > 0
        ? { factor: checked(read.value / dough.doughG) }
        : { problem: t('dough.theDoughCannotBeWorkedOutYet') };
    if (!sheet) return { problem: t('dough.theSheetCannotBeWorkedOutYet') };
    const perLoad = sheet.piecesPerTray * formula.bake.traysAtOnce;
    return { factor: factorForPieces(formula, kitchen, massG, way === 'loads' ? Math.round(read.value * perLoad) : read.value) };
  } catch (error) {
    if (error instanceof InputError) return { problem: `${labels[way]} ${error.message}` };
    throw error;
  }
  function checked(factor: number): number {
    scaled(formula, factor);
    return factor;
  }
}

export const cautionWords = (caution: ScaleCaution, voice: Voice): string => {
  const grams = voice.show(caution.amountG, 'mass', caution.amountG < 1 ? 2 : undefined);
  if (caution.kind === 'tooFine') return t('dough.nameGramsLessThanYourScaleTells', { name: caution.name, grams });
  if (caution.kind === 'egg') return t('dough.namePiecesOfAPieceBeatIt', { name: caution.name, pieces: caution.pieces.toFixed(2), grams });
  return t('dough.nameInABatchThisLargeA', { name: caution.name });
};
