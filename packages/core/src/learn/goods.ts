import { coreVersion } from '../core-version.js';
import { goodsLearning, trueBakes } from '../facts/learning.js';
import { layerFloors } from '../facts/laminating.js';
import { ratingNoise } from '../facts/texture.js';
import { normalBelow } from '../math/normal.js';
import { independent, sdsOf, updatedRobustly } from '../math/belief.js';
import type { Learned } from '../document/kitchen.js';

/** A reading that is `slope` times what a factor is off 1, with one sd of noise. */
export type FactorReading = { readonly bakeId: string; readonly slope: number; readonly off: number; readonly sd: number };

const prior = { lift: goodsLearning.values.liftPrior, spread: goodsLearning.values.spreadPrior } as const;
const LEAST = 0.2;

/**
 * How many times what the model says a family's goods rise, or spread, in this kitchen.
 *
 * Units    factor; 1 is the model.
 * Throws   nothing; nothing read gives null.
 * Findings none.
 * Source   Bayes' rule for one number with a normal prior, noise Student's t (textbook); prior and noise facts/learning goodsLearning (judgement).
 */
export function learnedFactor(what: 'lift' | 'spread', familyId: string, readings: readonly FactorReading[]): Learned | null {
  const used = readings.filter(({ slope }) => Math.abs(slope) > 1e-6);
  if (used.length === 0) return null;
  const after = updatedRobustly(
    independent([0], [prior[what]]),
    used.map(({ slope }) => [slope]),
    used.map(({ off }) => off),
    used.map(({ sd }) => sd),
    trueBakes.values.freedom,
  );
  return {
    what,
    about: familyId,
    coreVersion,
    value: Math.max(LEAST, 1 + after.mean[0]!),
    sd: sdsOf(after)[0]!,
    priorValue: 1,
    priorSd: prior[what],
    bakeIds: idsOf(used),
  };
}

/** Dots after days against dots fresh, and the points that the model takes off when a pack leaks so many times what is thought. */
export type KeptReading = { readonly bakeId: string; readonly seen: number; readonly forecast: (leak: number) => number };

/**
 * How many times what is thought a pack lets vapour in.
 *
 * Units    factor; 1 is the model.
 * Throws   nothing; nothing rated after days gives null.
 * Findings none.
 * Source   Bayes' rule on a grid of the logarithm, noise Student's t; prior facts/learning, noise facts/texture ratingNoise, both ratings, and the width of a dot.
 */
export function learnedPack(about: string, readings: readonly KeptReading[]): Learned | null {
  if (readings.length === 0) return null;
  const { packPriorLog } = goodsLearning.values;
  const noise = Math.sqrt(2 * (ratingNoise.value ** 2 + 2.5 ** 2 / 12));
  const { freedom } = trueBakes.values;
  const { value, sd } = onGrid(
    packPriorLog,
    1,
    (leak) =>
    readings.reduce((log, { seen, forecast }) => log - ((freedom + 1) / 2) * Math.log1p(((seen - forecast(leak)) / noise) ** 2 / freedom), 0), // prettier-ignore
  );
  return { what: 'pack', about, value, sd, priorValue: 1, priorSd: packPriorLog, bakeIds: idsOf(readings) };
}

/** A laminated bake: its dough layers, and whether they came out apart. */
export type LayerReading = { readonly bakeId: string; readonly doughUm: number; readonly apart: boolean };

/**
 * The thinnest dough layer that comes out apart in this kitchen.
 *
 * Units    um.
 * Throws   nothing; no laminated bake gives null.
 * Findings none.
 * Source   Bayes' rule on a grid: a layer thinner than the floor is lost, blurred; now and then a word is a slip. Prior facts/laminating layerFloors.
 */
export function learnedLayerFloor(familyId: string, readings: readonly LayerReading[]): Learned | null {
  if (readings.length === 0) return null;
  const { layerPriorLog, layerBlurLog, lapse } = goodsLearning.values;
  const start = layerFloors.values.watchUm;
  const { value, sd } = onGrid(layerPriorLog, start, (floor) =>
    readings.reduce((log, { doughUm, apart }) => {
      const survives = normalBelow(Math.log(doughUm / floor) / layerBlurLog);
      return log + Math.log(lapse / 2 + (1 - lapse) * (apart ? survives : 1 - survives));
    }, 0),
  );
  return { what: 'layerFloor', about: familyId, value, sd, priorValue: start, priorSd: start * layerPriorLog, bakeIds: idsOf(readings) };
}

const STEPS = 240;
/** Mean and spread of a positive number whose logarithm has a normal prior about a start. */
function onGrid(priorLog: number, start: number, logLikelihood: (value: number) => number): { value: number; sd: number } {
  const at = Array.from({ length: STEPS + 1 }, (_, i) => -4 * priorLog + (8 * priorLog * i) / STEPS);
  const log = at.map((z) => -0.5 * (z / priorLog) ** 2 + logLikelihood(start * Math.exp(z)));
  const most = Math.max(...log);
  const chance = log.map((one) => Math.exp(one - most));
  const total = chance.reduce((sum, one) => sum + one, 0);
  const value = at.reduce((sum, z, i) => sum + start * Math.exp(z) * chance[i]!, 0) / total;
  const variance = at.reduce((sum, z, i) => sum + (start * Math.exp(z) - value) ** 2 * chance[i]!, 0) / total;
  return { value, sd: Math.sqrt(variance) };
}

const idsOf = (readings: readonly { readonly bakeId: string }[]) => [...new Set(readings.map(({ bakeId }) => bakeId))];
