import { binderRatioRange } from '../facts/dough.js';
import { finding } from '../findings/judge.js';
import { glutenFindings } from '../ingredient/gluten.js';
import { lotFindings } from '../ingredient/lots.js';
import { suitFindings, suitsAskedFor } from '../ingredient/suits.js';
import { isEgg, isLeavener, isPouredWater, isSalt } from '../ingredient/roles.js';
import { roundTo } from '../units/rounding.js';
import { rightPourG, waterLimits } from './water.js';
import type { BlendResult } from '../blend/blend.js';
import type { Edit } from '../document/edits.js';
import type { Formula } from '../document/formula.js';
import type { Kitchen } from '../document/kitchen.js';
import type { Family, Window } from '../facts/families.js';
import type { Finding } from '../findings/finding.js';
import type { Ingredient, Pantry } from '../document/pantry.js';
import type { Portion } from '../ingredient/mixture.js';
import type { BakersPercents, DoughResult } from './dough.js';

/** Everything worth saying about a dough before it is chilled. Grams advised are whole steps of the kitchen's scale. */
export function doughFindings(
  formula: Formula,
  family: Family,
  kitchen: Kitchen,
  pantry: Pantry,
  rows: readonly Portion[],
  blend: BlendResult,
  dough: DoughResult,
): Finding[] {
  const { percents } = dough;
  const fatRow = (portion: Portion) => portion.ingredient.composition.fatShare > 0.5;
  return [
    ...glutenFindings(rows, kitchen.glutenLimitMgPerKg, pantry, 'dough'),
    ...suitFindings(rows, suitsAskedFor(formula.mustSuit, kitchen), pantry, 'dough'),
    ...lotFindings(rows, pantry, 'dough'),
    ...waterFinding(formula, rows, dough),
    ...windowFinding(
      'dough.fatLow',
      'dough.fatHigh',
      'fat',
      family.fatPercent,
      percents,
      changeTo(formula, rows, fatRow, 'fat', family.fatPercent, percents),
    ),
    ...windowFinding(
      'dough.saltLow',
      'dough.saltHigh',
      'salt',
      family.saltPercent,
      percents,
      changeTo(formula, rows, byRole(isSalt), 'salt', family.saltPercent, percents),
    ),
    ...windowFinding(null, 'dough.sugarHigh', 'sugar', family.sugarPercent, percents, undefined),
    ...windowFinding(
      null,
      'dough.leavenerHigh',
      'leavener',
      family.leavenerPercent,
      percents,
      changeTo(formula, rows, byRole(isLeavener), 'leavener', family.leavenerPercent, percents),
    ),
    ...binderFinding(blend, dough),
    ...warmFinding(formula, family),
    ...eggFinding(rows),
  ];
}

function waterFinding(formula: Formula, rows: readonly Portion[], dough: DoughResult): Finding[] {
  const { watchLow, fixLow, watchHigh, fixHigh } = waterLimits;
  const ratio = dough.getsOverWants;
  if (ratio >= watchLow && ratio <= watchHigh) return [];
  const pourG = roundTo(rightPourG(dough.wantsG, dough.broughtWaterG), 1);
  const edits = setRow(formula, rows, byRole(isPouredWater), pourG);
  const measured = { path: 'dough.getsG', value: dough.getsG, low: watchLow * dough.wantsG, high: watchHigh * dough.wantsG };
  const short = ratio < watchLow;
  const level = ratio < fixLow || ratio > fixHigh ? 'fix' : 'watch';
  return [finding(short ? 'dough.shortOfWater' : 'dough.tooWet', level, 'dough', measured, edits)];
}

type WindowCode = 'dough.fatLow' | 'dough.fatHigh' | 'dough.saltLow' | 'dough.saltHigh' | 'dough.sugarHigh' | 'dough.leavenerHigh';

/** Outside its window is watch; half the window's width further out is fix. */
function windowFinding(
  low: WindowCode | null,
  high: WindowCode,
  name: keyof BakersPercents,
  window: Window,
  percents: BakersPercents,
  edits: readonly Edit[] | undefined,
): Finding[] {
  const value = percents[name];
  const [from, , to] = window;
  const measured = { path: `dough.percents.${name}`, value, low: from, high: to };
  const far = (to - from) / 2;
  if (value > to + 1e-9) return [finding(high, value > to + far ? 'fix' : 'watch', 'dough', measured, edits)];
  if (low !== null && value < from - 1e-9) return [finding(low, value < from - far ? 'fix' : 'watch', 'dough', measured, edits)];
  return [];
}

/** Sets the first row of that role so that the percent lands just inside its window, a little towards the target. */
function changeTo(
  formula: Formula,
  rows: readonly Portion[],
  is: (portion: Portion) => boolean,
  name: keyof BakersPercents,
  window: Window,
  percents: BakersPercents,
): readonly Edit[] | undefined {
  const value = percents[name];
  const [low, target, high] = window;
  const goal = value > high ? high - 0.2 * (high - target) : low + 0.2 * (target - low);
  const portion = rowsOf(formula, rows).find((row) => is(row.portion));
  if (!portion) return undefined;
  const strength = name === 'fat' ? portion.portion.ingredient.composition.fatShare : 1;
  const amountG = portion.portion.amountG + ((goal - value) / 100) * (formula.blendG / strength);
  if (amountG <= 0) return undefined;
  return setRow(formula, rows, is, roundTo(amountG, 0.1));
}

function setRow(
  formula: Formula,
  rows: readonly Portion[],
  is: (portion: Portion) => boolean,
  amountG: number,
): readonly Edit[] | undefined {
  const at = rowsOf(formula, rows).find((row) => is(row.portion));
  if (!at) return undefined;
  const { index } = at;
  const from = formula.rows[index]!.amountG;
  return from === amountG ? undefined : [{ path: `/rows/${index}/amountG`, from, to: amountG }];
}

/** Rows of the dough beside their place in the formula; `rows` lists the dough's first, in order, then topping and dust. */
function rowsOf(formula: Formula, rows: readonly Portion[]): { index: number; portion: Portion }[] {
  const indices = formula.rows.flatMap((row, index) => (row.use === 'dough' ? [index] : []));
  return indices.map((index, i) => ({ index, portion: rows[i]! }));
}

function binderFinding(blend: BlendResult, dough: DoughResult): Finding[] {
  const { low, high } = binderRatioRange.values;
  // Sticky starch binds the cold sheet too: a fifth of the blend counts as a whole gum target.
  const ratio = dough.binderRatio + blend.stickyStarchShare / 0.2 / 2;
  if (ratio < low) {
    return [finding('dough.binderLow', ratio < low / 2 ? 'fix' : 'watch', 'dough', { path: 'dough.binderRatio', value: ratio, low })];
  }
  if (dough.binderRatio > high)
    return [finding('dough.binderHigh', 'watch', 'dough', { path: 'dough.binderRatio', value: dough.binderRatio, high })];
  return [];
}

function warmFinding(formula: Formula, family: Family): Finding[] {
  if (formula.doughAtC <= family.doughMaxC) return [];
  return [
    finding('dough.tooWarm', 'watch', 'dough', { path: 'dough.doughAtC', value: formula.doughAtC, high: family.doughMaxC }, [
      { path: '/doughAtC', from: formula.doughAtC, to: family.doughMaxC - 1 },
    ]),
  ];
}

function eggFinding(rows: readonly Portion[]): Finding[] {
  const eggG = rows.filter(({ ingredient }) => isEgg(ingredient)).reduce((sum, { amountG }) => sum + amountG, 0);
  return eggG > 0 ? [finding('dough.rawEgg', 'note', 'dough', { path: 'dough.eggG', value: eggG })] : [];
}

const byRole = (is: (ingredient: Ingredient) => boolean) => (portion: Portion) => is(portion.ingredient);
