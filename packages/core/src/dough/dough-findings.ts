import { handlingOf, isUnderPin } from './handling.js';
import { asPowder } from './ammonia.js';
import { ammoniaMostMm, coumarinFrom, binderRatioRange, gritLimit, pieceOverSheet, scaleSteps, syrupLimit } from '../facts/dough.js';
import { leavening, soaking, restAndStand } from '../facts/mixing.js';
import { finding } from '../findings/judge.js';
import { glutenFindings } from '../ingredient/safety/gluten.js';
import { openedUp } from '../ingredient/safety/hygiene.js';
import { lotFindings } from '../ingredient/lots.js';
import { suitFindings, suitsAskedFor } from '../ingredient/safety/suits.js';
import { compositionOf } from '../ingredient/mixture.js';
import { does, isBakingPowder, isEgg, isLeavener, isNut, isPouredWater, isSalt, isSoaked, isSoda, isYeast } from '../ingredient/roles.js';
import { roundTo } from '../units/rounding.js';
import { mixWith } from './mix.js';
import { waterLimitsOf } from './water.js';
import { learnedOf } from '../document/kitchen.js';
import { editsBetween } from '../document/edits.js';
import type { BlendResult } from '../blend/blend.js';
import type { Edit } from '../document/edits.js';
import type { Row } from '../document/formula.js';
import type { Window } from '../facts/families.js';
import { componentFindings } from './piece/component-findings.js';
import type { Finding, FindingCode } from '../findings/finding.js';
import type { Ingredient } from '../document/pantry.js';
import type { Portion } from '../ingredient/mixture.js';
import type { BakersPercents, DoughResult } from './dough-result.js';
import type { Case } from '../document/case.js';

/** What a dough is judged from. */
type Judged = Case & {
  readonly dough: DoughResult;
  /** Rows of use dough with their place in the formula. */ readonly rows: readonly DoughRow[];
  /** Fat that is folded in, then those: what a change of fat is made on. */ readonly fatRows: readonly DoughRow[];
  /** All that the piece is made of, preparations opened. */ readonly leaves: readonly Portion[];
};
type DoughRow = { readonly index: number; readonly row: Row; readonly portion: Portion };

/** Everything worth saying about a dough before it is chilled. Grams advised are whole steps of the kitchen's scale. */
export function doughFindings(theCase: Case, portions: readonly Portion[], blend: BlendResult, dough: DoughResult): Finding[] {
  const { formula, kitchen, pantry } = theCase;
  const rowsOf = (use: Row['use']) =>
    formula.rows.flatMap((row, index) => (row.use === use ? [{ index, row, portion: portions[index]! }] : []));
  const rows = rowsOf('dough');
  const leaves = portions.flatMap((portion) => openedUp(pantry, portion));
  const judged: Judged = { ...theCase, dough, rows, fatRows: [...rowsOf('rollIn'), ...rows], leaves };
  return [
    ...glutenFindings(portions, kitchen, pantry, 'dough'),
    ...suitFindings(portions, suitsAskedFor(formula.mustSuit, kitchen), pantry, 'dough'),
    ...lotFindings(portions, pantry, 'dough'),
    ...waterFindings(judged),
    ...windowFindings(judged),
    ...binderFindings(judged, blend),
    ...fatFindings(judged),
    ...leavenerFindings(judged),
    ...sweetAndSalty(judged),
    ...handlingFindings(judged),
    ...mixFindings(judged),
    ...warmthFindings(judged),
    ...componentFindings(formula),
  ];
}

function waterFindings({ formula, family, kitchen, dough, rows }: Judged): Finding[] {
  const { watchLow, fixLow, watchHigh, fixHigh } = waterLimitsOf(family);
  const ratio = dough.getsOverWants;
  const found: Finding[] = [];
  if (ratio < watchLow || ratio > watchHigh) {
    // What no pin touches neither cracks at its edges nor sticks to anything.
    const handling = handlingOf(formula, family);
    const of = handling === 'poured' ? { of: 'poured' } : isUnderPin(handling) ? {} : { of: 'bowl' };
    const measured = { path: 'dough.getsG', value: dough.getsG, low: watchLow * dough.wantsG, high: watchHigh * dough.wantsG, ...of };
    // Inside what the family takes, a rule is no proof against the dough: only a hand that spoke of this blend makes it one.
    const [lowPercent, , highPercent] = family.waterPercent;
    const usual = dough.percents.water >= lowPercent && dough.percents.water <= highPercent;
    const spoken = learnedOf(kitchen, 'thirstFactor', formula.blend.name) !== undefined;
    const level = (ratio < fixLow || ratio > fixHigh) && (!usual || spoken) ? 'fix' : 'watch';
    const edits = rightWaterEdits(dough, rows, watchLow, watchHigh);
    found.push(finding(ratio < watchLow ? 'dough.shortOfWater' : 'dough.tooWet', level, 'dough', measured, edits));
  }
  if ((dough.pours?.amountG ?? 0) > 40 && formula.holdBackShare < 0.05 && family.school !== 'cook') {
    found.push(
      finding('dough.noHoldBack', 'note', 'dough', { path: 'dough.spoons', value: dough.spoons }, [
        { path: '/holdBackShare', from: formula.holdBackShare, to: 0.2 },
      ]),
    );
  }
  return found;
}

/**
 * Sets the poured water right; where none is poured, the wettest other liquid. None where that alone cannot do it: egg or fat bring too much.
 */
function rightWaterEdits(dough: DoughResult, rows: readonly DoughRow[], low: number, high: number): readonly Edit[] | undefined {
  const poured = rows.find(({ portion }) => isPouredWater(portion.ingredient));
  const liquid = poured ?? rows.find(({ portion }) => portion.ingredient.kind === 'dairy' || portion.ingredient.kind === 'plant_milk');
  if (!liquid) return undefined;
  const waterShare = compositionOf(liquid.portion).waterShare;
  const ownG = liquid.row.amountG * waterShare;
  const toG = roundTo(Math.max(0, liquid.row.amountG + (dough.wantsG - dough.getsG) / waterShare), 1);
  const ratio = (dough.getsG - ownG + toG * waterShare) / dough.wantsG;
  return ratio < low || ratio > high ? undefined : setRow(rows, ({ ingredient }) => ingredient === liquid.portion.ingredient, toG);
}

/** Each percent against its window: outside is watch; half the window's width further out is fix. */
function windowFindings(judged: Judged): Finding[] {
  const { family } = judged;
  const fatRow = ({ ingredient }: Portion) => ingredient.composition.fatShare > 0.5 && !isNut(ingredient);
  const sugarRow = ({ ingredient }: Portion) => ingredient.kind === 'sugar';
  const powder = ({ ingredient }: Portion) => isBakingPowder(ingredient);
  const yeast = ({ ingredient }: Portion) => isYeast(ingredient);
  return [
    ...windowFinding(
      { ...judged, rows: judged.fatRows },
      { lowCode: 'dough.fatLow', highCode: 'dough.fatHigh' },
      { name: 'fat', window: family.fatPercent },
      fatRow,
    ),
    ...windowFinding(
      judged,
      { lowCode: 'dough.saltLow', highCode: 'dough.saltHigh' },
      { name: 'salt', window: family.saltPercent },
      byRole(isSalt),
    ),
    ...windowFinding(
      judged,
      { lowCode: 'dough.sugarLow', highCode: 'dough.sugarHigh' },
      { name: 'sugar', window: family.sugarPercent },
      sugarRow,
    ),
    ...windowFinding(
      judged,
      { lowCode: 'dough.eggLow', highCode: 'dough.eggHigh' },
      { name: 'egg', window: family.eggPercent },
      byRole(isEgg),
    ),
    ...windowFinding(
      judged,
      { lowCode: 'dough.leavenerLow', highCode: 'dough.leavenerHigh' },
      { name: 'leavener', window: family.leavenerPercent },
      anyOf(powder, byRole(isLeavener)),
    ),
    ...(family.nutPercent
      ? windowFinding(
          judged,
          { lowCode: 'dough.nutsLow', highCode: 'dough.nutsHigh' },
          { name: 'nuts', window: family.nutPercent },
          byRole(isNut),
        )
      : []),
    ...(family.yeastPercent
      ? windowFinding(
          judged,
          { lowCode: 'dough.yeastLow', highCode: 'dough.yeastHigh' },
          { name: 'yeast', window: family.yeastPercent },
          yeast,
        )
      : []),
  ];
}

function windowFinding(
  judged: Judged,
  { lowCode, highCode }: { readonly lowCode: FindingCode; readonly highCode: FindingCode },
  { name, window }: { readonly name: keyof BakersPercents; readonly window: Window },
  is: (portion: Portion) => boolean,
): Finding[] {
  const { percents } = judged.dough;
  const value = percents[name];
  const [low, , high] = window;
  const far = Math.max(0.1, (high - low) / 2);
  const over = value > high + 1e-9;
  if (!over && value >= low - 1e-9) return [];
  const level = (over ? value > high + far : value < low - far) ? 'fix' : 'watch';
  const measured = { path: `dough.percents.${name}`, value, low, high };
  return [finding(over ? highCode : lowCode, level, 'dough', measured, changeTo(judged, is, name, window))];
}

/** Sets the first row of that role so that the percent lands just inside its window, a little towards the target. */
function changeTo({ formula, rows, dough }: Judged, is: (portion: Portion) => boolean, name: keyof BakersPercents, window: Window) {
  const value = dough.percents[name];
  const [low, target, high] = window;
  const goal = value > high ? high - 0.2 * (high - target) : low + 0.2 * (target - low);
  const found = rows.find((row) => is(row.portion));
  if (!found) return undefined;
  const { composition } = found.portion.ingredient;
  const strength = name === 'fat' ? composition.fatShare : name === 'sugar' ? composition.sugarsShare : 1;
  const amountG = found.portion.amountG + ((goal - value) / 100) * (formula.blendG / strength);
  if (amountG < 0) return undefined;
  return setRow(rows, is, roundTo(amountG, 0.1));
}

function setRow(rows: readonly DoughRow[], is: (portion: Portion) => boolean, amountG: number): readonly Edit[] | undefined {
  const at = rows.find((row) => is(row.portion));
  if (!at || at.row.amountG === amountG) return undefined;
  return [{ path: `/rows/${at.index}/amountG`, from: at.row.amountG, to: amountG }];
}

function binderFindings({ dough, rows }: Judged, blend: BlendResult): Finding[] {
  const found: Finding[] = [];
  const { low, high } = binderRatioRange.values;
  // Sticky starch binds the cold sheet too: a fifth of the blend counts as a whole gum target.
  const ratio = dough.binderRatio + blend.stickyStarchShare / 0.2 / 2;
  if (dough.needsBinder && ratio < low) {
    found.push(finding('dough.binderLow', ratio < low / 2 ? 'fix' : 'watch', 'dough', { path: 'dough.binderRatio', value: ratio, low }));
  } else if (dough.binderRatio > high) {
    found.push(finding('dough.binderHigh', 'watch', 'dough', { path: 'dough.binderRatio', value: dough.binderRatio, high }));
  }
  const dry = rows.find(({ row, portion }) => row.soakMin === undefined && row.amountG > 0 && isSoaked(portion.ingredient));
  if (dry) {
    found.push(
      finding('dough.dryGel', 'note', 'dough', { path: 'dough.binders', value: dry.row.amountG, of: dry.portion.ingredient.name }, [
        { path: `/rows/${dry.index}/soakMin`, to: soaking.values.minutes },
      ]),
    );
  }
  return found;
}

/** Judges each fat by how solid it goes in, and pieces by the sheet they end in. */
function fatFindings({ formula, family, dough, rows }: Judged): Finding[] {
  const found: Finding[] = [];
  const sheetMm = formula.sheet.parts[0]?.thicknessMm ?? 0;
  for (const fat of dough.fats) {
    const at = rows.find(({ row }) => row.key === fat.rowKey)!;
    const { ingredient } = at.portion;
    const path = `/rows/${at.index}`;
    const say = (
      code: FindingCode,
      level: 'note' | 'watch',
      measured: { value: number; low?: number; high?: number },
      edits?: readonly Edit[],
    ) => found.push(finding(code, level, 'dough', { path: 'dough.fats', of: fat.name, ...measured }, edits));
    if (ingredient.solidFat === 'liquidOil' && fat.state !== 'melted') {
      say('dough.oilInPieces', 'watch', { value: 0 }, [{ path: `${path}/fat/state`, from: fat.state, to: 'melted' }]);
    }
    if (fat.solidPercent !== null && fat.band && fat.state !== 'melted') {
      const [low, high] = fat.band;
      // A degree inside, so that the mend is not the edge.
      const setTo = (toC: number) => [{ path: `${path}/atC`, ...(at.row.atC === undefined ? {} : { from: at.row.atC }), to: toC }];
      if (fat.solidPercent < low)
        say('dough.fatTooSoft', 'watch', { value: fat.solidPercent, low }, fat.bandC ? setTo(fat.bandC[1] - 1) : undefined);
      if (fat.solidPercent > high)
        say('dough.fatTooHard', 'watch', { value: fat.solidPercent, high }, fat.bandC ? setTo(fat.bandC[0] + 1) : undefined);
    }
    if (fat.pieceMm !== null) {
      const most = Math.floor(pieceOverSheet.value * sheetMm);
      const least = family.fatPieceMm?.[0] ?? 0;
      const toMm = (to: number) => [{ path: `${path}/fat/pieceMm`, from: fat.pieceMm!, to }];
      if (family.rolled && most >= 1 && fat.pieceMm > most)
        say('dough.fatPiecesThick', 'watch', { value: fat.pieceMm, high: most }, toMm(most));
      else if (fat.pieceMm < Math.min(least, most))
        say('dough.fatPiecesSmall', 'note', { value: fat.pieceMm, low: Math.min(least, most) }, toMm(Math.min(least, most)));
    }
    const { fatShare } = ingredient.composition;
    if (family.rolled && ingredient.kind === 'fat_solid' && fatShare < 0.7) say('dough.spreadFat', 'watch', { value: fatShare });
  }
  return found;
}

function leavenerFindings({ formula, family, dough, rows }: Judged): Finding[] {
  const found: Finding[] = [];
  const freePercent = (dough.sodaBalance.freeG / formula.blendG) * 100;
  // Cookies and crackers are given some soda of their own for colour and spread.
  const limit = Math.max(leavening.values.freeSodaPercent, family.sodaPercent?.[1] ?? 0);
  if (freePercent > limit + 1e-9) {
    const toG = roundTo(dough.sodaBalance.neutralisedG + (0.8 * limit * formula.blendG) / 100, 0.1, 'down');
    const edits = setRow(rows, ({ ingredient }) => isSoda(ingredient), toG);
    found.push(
      finding(
        'dough.freeSoda',
        freePercent > 3 * limit ? 'fix' : 'watch',
        'dough',
        { path: 'dough.sodaBalance.freeG', value: freePercent, high: limit },
        edits,
      ),
    );
  }
  const ammonia = rows.find(({ portion }) => portion.ingredient.leavens === 'ammonia' && portion.amountG > 0);
  const thickMm = formula.sheet.parts[0]?.thicknessMm ?? 0;
  if (ammonia && thickMm > ammoniaMostMm.value) {
    found.push(
      finding('dough.ammonia', 'watch', 'dough', { path: 'sheet.thicknessMm', value: thickMm, high: ammoniaMostMm.value }, [
        { path: `/rows/${ammonia.index}`, from: ammonia.row as never, to: asPowder(ammonia.row) as never },
      ]),
    );
  }
  return found;
}

function sweetAndSalty({ formula, family, dough, rows }: Judged): Finding[] {
  const found: Finding[] = [];
  const meantCrisp = family.zone.crisp >= 6.5;
  if (meantCrisp && dough.percents.sugar > 3 && dough.syrupShare > syrupLimit.value) {
    found.push(finding('dough.syrupHigh', 'watch', 'dough', { path: 'dough.syrupShare', value: dough.syrupShare, high: syrupLimit.value }));
  }
  const high = family.saltPercent[2] * 1.5;
  if (dough.percents.salt <= family.saltPercent[2] && dough.saltInAllPercent > high) {
    const overG = ((dough.saltInAllPercent - 0.98 * high) / 100) * formula.blendG;
    const salt = rows.find(({ portion }) => isSalt(portion.ingredient));
    const toG = salt && roundTo(salt.row.amountG - overG, 0.1, 'down');
    const edits = toG !== undefined && toG >= 0 ? setRow(rows, byRole(isSalt), toG) : undefined;
    found.push(
      finding('dough.saltHidden', 'watch', 'dough', { path: 'dough.saltInAllPercent', value: dough.saltInAllPercent, high }, edits),
    );
  }
  return found;
}

/** Weighing, standing, raw egg. */
function handlingFindings({ formula, kitchen, dough, rows, leaves }: Judged): Finding[] {
  const found: Finding[] = [];
  const twice = rows.find(({ row }, i) => rows.some((other, k) => k < i && other.row.ingredientId === row.ingredientId));
  if (twice) {
    const first = rows.find(({ row }) => row.ingredientId === twice.row.ingredientId)!;
    const togetherG = first.row.amountG + twice.row.amountG;
    found.push(
      finding('dough.rowTwice', 'watch', 'dough', { path: 'dough.rows', value: togetherG, of: twice.portion.ingredient.name }, [
        { path: `/rows/${first.index}/amountG`, from: first.row.amountG, to: Number(togetherG.toFixed(3)) },
        { path: `/rows/${twice.index}`, from: twice.row as never },
      ]),
    );
  }
  const least = scaleSteps.value * kitchen.scaleStepG;
  const tooFine = rows.find(({ row }) => row.amountG > 0 && row.amountG < least - 1e-9);
  if (tooFine) {
    found.push(
      finding('dough.belowScale', 'note', 'dough', {
        path: 'dough.rows',
        value: tooFine.row.amountG,
        low: least,
        of: tooFine.portion.ingredient.name,
      }),
    );
  }
  const { fullMin, warmMostMin } = restAndStand.values;
  if (dough.gritFelt > gritLimit.value && dough.gritFelt - dough.gritRested > 0.2) {
    found.push(
      finding('dough.restForGrit', 'note', 'dough', { path: 'dough.gritFelt', value: dough.gritFelt, high: gritLimit.value }, [
        { path: '/restMin', from: formula.restMin, to: formula.restMin + Math.max(0, fullMin - dough.standingMin) },
      ]),
    );
  }
  if (dough.standingMin > warmMostMin) {
    const to = Math.max(0, warmMostMin - (dough.standingMin - formula.restMin));
    found.push({
      ...finding('dough.stoodLong', 'fix', 'dough', { path: 'dough.standingMin', value: dough.standingMin, high: warmMostMin }, [
        { path: '/restMin', from: formula.restMin, to },
      ]),
      unsafe: true,
    });
  }
  const gramsOf = (is: (one: Ingredient) => boolean) =>
    leaves.reduce((g, { ingredient, amountG }) => g + (is(ingredient) ? amountG : 0), 0);
  const cinnamonG = gramsOf((one) => does(one, 'coumarin'));
  if (cinnamonG > coumarinFrom.value * dough.doughG) {
    const measured = { path: 'dough.rows', value: cinnamonG / dough.doughG, high: coumarinFrom.value };
    found.push(finding('dough.coumarin', 'note', 'dough', measured));
  }
  const honeyG = gramsOf(({ origin }) => origin === 'honey');
  if (honeyG > 0) found.push(finding('dough.honey', 'note', 'dough', { path: 'dough.rows', value: honeyG }));
  const { doughEggG } = dough;
  if (doughEggG > 0) found.push(finding('dough.rawEgg', 'note', 'dough', { path: 'dough.doughEggG', value: doughEggG }));
  return found;
}

/** What the order of mixing forgets, or puts in twice. */
function mixFindings({ formula, pantry, dough }: Judged): Finding[] {
  const found: Finding[] = [];
  const forgotten = dough.mixGaps.find(({ share }) => share < 1);
  if (forgotten) {
    const mix = forgotten.share === 0 ? mixWith(formula, forgotten.rowKey, pantry) : null;
    found.push(
      finding(
        'dough.mixForgets',
        'watch',
        'dough',
        { path: 'dough.mixGaps', value: forgotten.share, of: forgotten.name },
        mix ? editsBetween(formula.mix, mix, '/mix') : undefined,
      ),
    );
  }
  const twice = dough.mixGaps.find(({ share }) => share > 1);
  if (twice) {
    // Keeps what the earlier steps take; the last that names it takes what is left.
    const last = formula.mix.reduce((at, { of }, i) => ((of ?? []).some(({ rowKey }) => rowKey === twice.rowKey) ? i : at), -1);
    const mix = formula.mix.map((step, i) => {
      if (i !== last || !step.of) return step;
      const left = step.of.find(({ rowKey }) => rowKey === twice.rowKey)!.share - (twice.share - 1);
      const of = step.of.flatMap((one) => (one.rowKey !== twice.rowKey ? [one] : left > 0.005 ? [{ ...one, share: left }] : []));
      return { ...step, of };
    });
    found.push(
      finding(
        'dough.mixTwice',
        'watch',
        'dough',
        { path: 'dough.mixGaps', value: twice.share, of: twice.name },
        editsBetween(formula.mix, mix, '/mix'),
      ),
    );
  }
  return found;
}

function warmthFindings({ formula, family, dough }: Judged): Finding[] {
  const found: Finding[] = [];
  if (formula.doughAtC > family.doughMaxC) {
    found.push(
      finding('dough.tooWarm', 'watch', 'dough', { path: 'dough.doughAtC', value: formula.doughAtC, high: family.doughMaxC }, [
        { path: '/doughAtC', from: formula.doughAtC, to: family.doughMaxC - 1 },
      ]),
    );
  }
  const { temperature } = dough;
  if (temperature && !temperature.feasible && temperature.reachedC - temperature.wantedC > 1) {
    const { chillInstead, reachedC, wantedC } = temperature;
    const to = Math.ceil(reachedC);
    // Where the family bears a warmer dough, that is one button; else something has to be chilled.
    const edits = to <= family.doughMaxC ? [{ path: '/doughAtC', from: formula.doughAtC, to }] : undefined;
    const of = chillInstead ? `${chillInstead.name.toLowerCase()} to ${chillInstead.toC} °C` : '';
    found.push(finding('dough.waterNotCold', 'watch', 'dough', { path: 'dough.temperature', value: reachedC, high: wantedC, of }, edits));
  }
  return found;
}

const byRole = (is: (ingredient: Ingredient) => boolean) => (portion: Portion) => is(portion.ingredient);
/** The first that is found, in order of wish. */
const anyOf =
  (...wishes: readonly ((portion: Portion) => boolean)[]) =>
  (portion: Portion) =>
    wishes.some((wish) => wish(portion));
