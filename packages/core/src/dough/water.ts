import {
  flourIsotherm,
  flourMoistureBasis,
  handWords,
  rightWater,
  rightWordsOfHandling,
  spoonWaterG,
  thirstSpread,
  waterSpread,
} from '../facts/dough.js';
import { handlingOf } from './handling.js';
import { isDry, isGum, isPouredWater, isProteinType, isStarch } from '../ingredient/roles.js';
import { compositionOf } from '../ingredient/mixture.js';
import { normalBelow } from '../math/normal.js';
import { handWordOrder, type HandWord } from '../document/bake.js';
import type { Formula } from '../document/formula.js';
import type { Ingredient } from '../document/pantry.js';
import type { Family } from '../facts/families.js';
import type { Portion } from '../ingredient/mixture.js';

export type WaterWants = {
  readonly flourG: number;
  readonly starchG: number;
  readonly gumG: number;
  readonly moistureG: number;
  readonly wantsG: number;
};
export type WaterGets = {
  readonly pouredWaterG: number;
  readonly broughtWaterG: number;
  readonly ownWaterG: number;
  readonly getsG: number;
  readonly waterG: number;
};

/**
 * Water a blend wants: family factor x cold water hold of flours and starches, plus what gums take.
 *
 * Moisture away from 12 % (of starches, nuts and milk powder from what they are sold with), measured or reckoned from the room's air, shows as its own plus or minus. Learned thirst scales the whole.
 *
 * Units    g.
 * Throws   nothing.
 * Findings none.
 * Source   wants = k A B + f x dose x water hold (facts/families waterFactor and gumWaterShare); estimates, moved by bakes.
 *
 * @example
 * // 100 g sorghum (0.68 g/g), savoury cracker (0.62): 42.2 g
 */
export function waterWants(
  blend: readonly Portion[],
  gums: readonly Portion[],
  family: Family,
  { thirstFactor, humidityShare }: { readonly thirstFactor: number; readonly humidityShare?: number },
): WaterWants {
  const flours = blend.filter(({ ingredient }) => !isGum(ingredient));
  const hold = (portion: Portion) => family.waterFactor * portion.amountG * (portion.ingredient.waterHoldGPerG ?? 0) * thirstFactor;
  const sum = (portions: readonly Portion[], of: (portion: Portion) => number) =>
    portions.reduce((total, portion) => total + of(portion), 0);
  const starchG = sum(
    flours.filter(({ ingredient }) => isStarch(ingredient)),
    hold,
  );
  const flourG = sum(flours, hold) - starchG;
  const allGums = [...blend.filter(({ ingredient }) => isGum(ingredient)), ...gums];
  const gumG = sum(allGums, ({ amountG, ingredient }) => family.gumWaterShare * amountG * (ingredient.waterHoldGPerG ?? 0));
  const moistureG = sum(flours, (portion) => -portion.amountG * (moistureOf(portion, humidityShare) - moistureAsSold(portion.ingredient)));
  return { flourG, starchG, gumG, moistureG, wantsG: flourG + starchG + gumG + moistureG };
}

/**
 * Moisture a flour comes to in air of a humidity, if it lies open long enough.
 *
 * Units    humidity 0..1; share of the flour's mass.
 * Throws   nothing.
 * Findings none.
 * Source   GAB, facts/dough flourIsotherm (from memory).
 *
 * @example
 * flourMoistureAt(0.5); // => 0.103
 */
export function flourMoistureAt(humidityShare: number): number {
  const { m0, c, k } = flourIsotherm.values;
  const a = Math.min(0.95, Math.max(0.02, humidityShare));
  const dry = (m0 * c * k * a) / ((1 - k * a) * (1 - k * a + c * k * a));
  return dry / (1 + dry);
}

/** A measured lot is what it is; an open bag, or one nobody speaks of, is half way to the room's air; a closed one is as sold. */
function moistureOf({ ingredient, lot }: Portion, humidityShare: number | undefined): number {
  const asSold = moistureAsSold(ingredient);
  if (lot?.moistureShare !== undefined) return lot.moistureShare;
  if (humidityShare === undefined || (lot && lot.openedOn === undefined)) return asSold;
  // What holds less water as sold takes less from the air: fat and sugar hold next to none.
  const inAir = (flourMoistureAt(humidityShare) * asSold) / flourMoistureBasis.value;
  return asSold + flourIsotherm.values.openShare * (inAir - asSold);
}

/** Cereal flours as percents and windows assume them; starches, nuts, milk powder and the rest as the table has them. */
const moistureAsSold = (one: Ingredient): number => (isProteinType(one) ? flourMoistureBasis.value : one.composition.waterShare);

export type SpreadOfWater = { readonly cause: 'thirst' | 'moisture' | 'egg' | 'cup'; readonly sdG: number };

/** How an amount was measured. */
export type MeasuredBy = 'weight' | 'cup' | 'piece';

/**
 * How far the right water may be off, and why: each thing it hangs on, one standard deviation, largest first.
 *
 * Units    g.
 * Throws   nothing.
 * Findings none.
 * Source   facts/dough waterSpread (judgement); a learned thirst brings its own spread. Causes are independent.
 */
export function spreadOfWater(
  blend: readonly Portion[],
  rows: readonly { readonly portion: Portion; readonly by: MeasuredBy }[],
  wants: WaterWants,
  { thirstSd, blendByCup }: { readonly thirstSd: number | undefined; readonly blendByCup: boolean },
): SpreadOfWater[] {
  const sd = waterSpread.values;
  const flours = blend.filter(({ ingredient }) => !isGum(ingredient));
  const moisture = Math.sqrt(
    flours.reduce(
      (sum, { amountG, lot }) => sum + (amountG * (lot?.moistureShare === undefined ? sd.moisture : sd.moistureMeasured)) ** 2,
      0,
    ),
  );
  const waterBy = (by: 'cup' | 'piece') =>
    Math.sqrt(
      rows.filter((row) => row.by === by).reduce((sum, { portion }) => sum + (portion.amountG * compositionOf(portion).waterShare) ** 2, 0),
    );
  const causes: SpreadOfWater[] = [
    { cause: 'thirst', sdG: (thirstSd ?? sd.thirst) * (wants.flourG + wants.starchG) },
    { cause: 'moisture', sdG: moisture },
    { cause: 'egg', sdG: sd.egg * waterBy('piece') },
    { cause: 'cup', sdG: sd.cup * Math.hypot(waterBy('cup'), blendByCup ? wants.flourG + wants.starchG : 0) },
  ];
  return causes.filter(({ sdG }) => sdG > 0.05).sort((a, b) => b.sdG - a.sdG);
}

/**
 * Water a dough gets, in its three parts; wants and windows count poured and brought.
 *
 * Units    g.
 * Throws   nothing.
 * Findings none.
 * Source   composition of every ingredient.
 */
export function waterGets(blend: readonly Portion[], rows: readonly Portion[]): WaterGets {
  let pouredWaterG = 0;
  let broughtWaterG = 0;
  let ownWaterG = 0;
  for (const portion of [...blend, ...rows]) {
    const grams = portion.amountG * compositionOf(portion).waterShare;
    if (isPouredWater(portion.ingredient)) pouredWaterG += grams;
    else if (isDry(portion.ingredient)) ownWaterG += grams;
    else broughtWaterG += grams;
  }
  const getsG = pouredWaterG + broughtWaterG;
  return { pouredWaterG, broughtWaterG, ownWaterG, getsG, waterG: getsG + ownWaterG };
}

/** What a hand should say of this dough: a drop dough that rolls clean is too dry. */
export function rightHandWords(formula: Pick<Formula, 'sheet'>, family: Pick<Family, 'rolled' | 'handled'>): readonly HandWord[] {
  const shape = formula.sheet.parts[0]?.shape;
  const handling = shape?.kind === 'portion' && shape.form === 'pressed' ? 'pressedIn' : handlingOf(formula, family);
  return rightWordsOfHandling.values[handling];
}

const wordOfBand = (band: HandWord, shift: number): HandWord =>
  handWordOrder[Math.min(handWordOrder.length - 1, handWordOrder.indexOf(band) + shift)]!;

/** The hand's word for gets over wants; `shift` words wetter where the dough is not rolled (facts/dough handShift). */
export function handWordFor(getsOverWants: number, shift = 0): HandWord {
  return wordOfBand(bandFor(getsOverWants), shift);
}
function bandFor(getsOverWants: number): HandWord {
  const { sandy, cracks, rollsClean, tacky } = handWords.values;
  if (getsOverWants < sandy) return 'sandy';
  if (getsOverWants < cracks) return 'cracks';
  if (getsOverWants <= rollsClean) return 'rollsClean';
  return getsOverWants <= tacky ? 'tacky' : 'sticks';
}

/**
 * Chance of each hand word, the thirst of this flour being uncertain.
 *
 * Units    shares summing to 1.
 * Throws   nothing.
 * Findings none.
 * Source   normal spread of wanted water (facts/dough thirstSpread, judgement).
 */
export function handWordChances(getsOverWants: number, spreadShare = thirstSpread.value, shift = 0): Record<HandWord, number> {
  const { sandy, cracks, rollsClean, tacky } = handWords.values;
  // The true ratio is getsOverWants / (1 + e): it lies under a limit when e is above getsOverWants / limit - 1.
  const under = (limit: number) => 1 - normalBelow((getsOverWants / limit - 1) / spreadShare);
  const [a, b, c, d] = [under(sandy), under(cracks), under(rollsClean), under(tacky)];
  const bands: Record<HandWord, number> = { sandy: a, cracks: b - a, rollsClean: c - b, tacky: d - c, sticks: 1 - d };
  const words: Record<HandWord, number> = { sandy: 0, cracks: 0, rollsClean: 0, tacky: 0, sticks: 0 };
  for (const band of handWordOrder) words[wordOfBand(band, shift)] += bands[band];
  return words;
}

/** Pour most, hold spoons back. g of the liquid and whole spoons; what does not fill a spoon is poured. */
export function waterLadder(pouredG: number, holdBackShare: number): { pourG: number; spoons: number } {
  const spoons = Math.floor((pouredG * holdBackShare) / spoonWaterG.value);
  return { pourG: pouredG - spoons * spoonWaterG.value, spoons };
}

/** Poured water that brings gets to wants, g. */
export function rightPourG(wantsG: number, broughtWaterG: number): number {
  return Math.max(0, wantsG - broughtWaterG);
}

/**
 * How far gets may be off wants before it is said, and before it is a fix. Where fat and sugar carry the dough, as in cookies and quick
 * goods, the family's own water window says how loose it is: half of it is watched.
 */
export function waterLimitsOf(family: Family): { watchLow: number; fixLow: number; watchHigh: number; fixHigh: number } {
  const limits = rightWater.values;
  if (family.kind !== 'cookie' && family.kind !== 'quick' && family.base !== 'crumb') return limits;
  const [low, target, high] = family.waterPercent;
  const [under, over] = [(target - low) / target, (high - target) / target];
  return {
    watchLow: Math.min(limits.watchLow, 1 - under / 2),
    fixLow: Math.min(limits.fixLow, 1 - under),
    watchHigh: Math.max(limits.watchHigh, 1 + over / 2),
    fixHigh: Math.max(limits.fixHigh, 1 + over),
  };
}
