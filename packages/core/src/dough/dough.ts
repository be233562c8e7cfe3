import { BLEND, isOfDough } from '../document/formula.js';
import { learnedOf } from '../document/kitchen.js';
import { readAmount } from '../entry/read-amount.js';
import { InputError, within } from '../errors.js';
import { handShift, saltPerSodium, waterSpread } from '../facts/dough.js';
import { frothing, restAndStand } from '../facts/mixing.js';
import { leavenedFrom } from '../facts/oven.js';
import { allergensOf } from '../ingredient/safety/allergens.js';
import { costOf } from '../ingredient/cost.js';
import { openedBox } from '../ingredient/boxes.js';
import { isRawEgg, openedUp } from '../ingredient/safety/hygiene.js';
import { compositionOf, makeUpOf, mixedComposition, portionOf, sumG } from '../ingredient/mixture.js';
import { eggOf, isEgg, isGum, isLeavener, isNut, isPsyllium, isSalt, isSoda, yeastStrengthOf } from '../ingredient/roles.js';
import { blendPortions } from '../blend/blend.js';
import { binderRatioOf, gumDoses } from '../blend/gums.js';
import { doughFindings } from './dough-findings.js';
import { bindersOf } from './binders.js';
import { doughColours } from './colours.js';
import { workedFats } from './fat.js';
import { sodaBalance } from './leavening.js';
import { gritAfterStanding, isMixStructured, mixedShares, standingMin } from './mix.js';
import { doughTemperature, storedC } from './temperature.js';
import { handlingOf } from './handling.js';
import { poursOf } from './pours.js';
import { handWordChances, handWordFor, rightHandWords, spreadOfWater, waterGets, waterLadder, waterWants } from './water.js';
import type { BlendResult } from '../blend/blend.js';
import type { Formula, Row } from '../document/formula.js';
import type { Kitchen, Learned } from '../document/kitchen.js';
import type { Pantry, SolidFatName } from '../document/pantry.js';
import type { Finding } from '../findings/finding.js';
import type { Portion } from '../ingredient/mixture.js';
import type { MeasuredBy, WaterGets, WaterWants } from './water.js';
import { checkGoesOn, isInOven } from './piece/goes-on.js';
import { placedTogether } from './piece/components.js';
import { foldedIn, type FoldedIn } from './piece/folded.js';
import { fillingMixes } from './piece/filling-mix.js';
import { partsOnPiece } from './piece/on-piece.js';
import type { Case } from '../document/case.js';
import type { BakersPercents, DoughResult } from './dough-result.js';

export type { BakersPercents, DoughResult } from './dough-result.js';

/**
 * Stage 2: blend, fat, water and the rest become a dough.
 *
 * Units    g; percent of the blend; shares 0..1; C.
 * Throws   InputError at rows[i].amountG out of 0..100000 or above 20 times the blend; at rows[i].ingredientId for one not in the pantry; at holdBackShare out of 0..0.5; at doughAtC out of 0..60; at restMin; at rows[i].goesOn for a wait or step that is not there.
 * Findings gluten.*, suit.*, lot.* of the rows and everything in dough-findings.
 * Source   composition of every ingredient; water rule and windows in facts/dough and facts/families.
 */
export function doughStage(theCase: Case, blend: BlendResult): { result: DoughResult; findings: Finding[] } {
  const { formula, family, kitchen, pantry } = theCase;
  within('holdBackShare', formula.holdBackShare, 0, 0.5, '(share of the water)');
  within('doughAtC', formula.doughAtC, 0, 60, 'C');
  within('restMin', formula.restMin, 0, 1440, 'min');
  const flour = blendPortions(formula, pantry);
  const rows = formula.rows.map((row, i) => ({ row, portion: rowPortion(row, i, formula.blendG, pantry) }));
  const portions = rows.map(({ portion }) => portion);
  const dough = rows.filter(({ row }) => row.use === 'dough').map(({ portion }) => portion);
  checkGoesOn(formula);
  const rollIn = rows.filter(({ row, portion }) => row.use === 'rollIn' && portion.amountG > 0).map(({ portion }) => portion);
  const { placed, components } = placedTogether(formula, rows, pantry);
  const onPiece = placed.filter(({ row }) => !isOfDough(row) && row.use !== 'filling' && isInOven(row));
  const outside = onPiece.map(({ portion }) => portion);
  const everything = [...flour, ...portions];
  // However it was entered: a preparation in the dough is what it was made of.
  const leaves = dough.flatMap((portion) => openedUp(pantry, portion));
  const gums = leaves.filter(({ ingredient }) => isGum(ingredient));
  // It goes in after the mixing and its stands: what follows until the oven is what it has to bleed in.
  const foldedMin = [...formula.chill.waits, ...formula.sheet.waits].reduce((sum, { min }) => sum + min, formula.restMin);
  const folded = foldedIn(placed, foldedMin, pantry);
  const gets = withBled(waterGets(flour, dough), folded);
  const thirst = thirstOf(formula, kitchen);
  const wants = waterWants(flour, gums, family, { thirstFactor: thirst?.value ?? 1, humidityShare: kitchen.humidityShare });
  if (wants.wantsG <= 0) throw new InputError('blend.rows', 'nothing in the blend takes up water: add a flour or a starch');
  const getsOverWants = gets.getsG / wants.wantsG;
  const all = [...flour, ...dough];
  const foldedPortions = placed.filter(({ row }) => row.use === 'foldIn').map(({ portion }) => portion);
  const opened = [...flour, ...leaves];
  const boxed = flour.filter(({ ingredient }) => ingredient.kind === 'blend').flatMap((portion) => openedBox(pantry, portion));
  const spread = spreadOfWater(
    flour,
    rows.filter(({ row }) => row.use === 'dough').map(({ row, portion }) => ({ portion, by: enteredBy(row.entered) })),
    wants,
    {
      thirstSd: thirst?.sd,
      blendByCup:
        formula.blendEntered !== undefined &&
        Math.abs(formula.blendEntered.g - formula.blendG) < 0.01 &&
        formula.blendEntered.text.split('; ').some((line) => enteredBy(line) === 'cup'),
    },
  );
  const wantsSdG = Math.sqrt(spread.reduce((sum, { sdG }) => sum + sdG ** 2, 0));
  const doughRows = rows.filter(({ row }) => row.use === 'dough');
  const standMin = standingMin(formula);
  const pours = poursOf(rows);
  const shift = handShift.values[handlingOf(formula, family)];
  const rawEggG = (of: readonly Portion[]) => sumG(of.flatMap((portion) => openedUp(pantry, portion)).filter(isRawEgg));
  const egg = (which: 'white' | 'yolk') => leaves.reduce((g, { ingredient, amountG }) => g + amountG * eggOf(ingredient)[which], 0);
  const result: DoughResult = {
    ...gets,
    doughG: sumG(all) + (folded?.massG ?? 0),
    foldedIn: folded,
    components,
    rollIn: rollIn.length > 0 ? { massG: sumG(rollIn), makeUp: makeUpOf(rollIn), fat: mainFat(rollIn) } : null,
    toppingG: sumG(onPiece.filter(({ row }) => row.use !== 'dust').map(({ portion }) => portion)),
    dustG: sumG(onPiece.filter(({ row }) => row.use === 'dust').map(({ portion }) => portion)),
    filling: fillingMixes(placed, pantry),
    lateG: sumG(placed.filter(({ row }) => !isInOven(row)).map(({ portion }) => portion)),
    rows: rows.map(({ row, portion }) => ({
      key: row.key,
      name: portion.ingredient.name,
      amountG: portion.amountG,
      percent: (portion.amountG / formula.blendG) * 100,
    })),
    wants,
    wantsG: wants.wantsG,
    getsOverWants,
    handWord: handWordFor(getsOverWants, shift),
    rightHandWords: rightHandWords(formula, family),
    // Two hands differ too: what is felt strays further than what is wanted.
    handWordChances: handWordChances(getsOverWants, Math.hypot(wantsSdG / wants.wantsG, waterSpread.values.feel), shift),
    waterSpread: spread,
    wantsSdG,
    pours,
    ...waterLadder(pours?.amountG ?? 0, formula.holdBackShare),
    percents: percentsOf(theCase, { flour, dough, leaves: [...leaves, ...boxed], rollIn }, gets, wants),
    binderRatio: binderRatioOf(gumDoses(opened, family, formula.blendG)),
    needsBinder: Object.values(family.gumPercent).some(([low]) => low > 0),
    binders: bindersOf(opened, family, formula.blendG),
    fats: workedFats(rows, kitchen),
    temperature: doughTemperature(
      formula,
      kitchen,
      flour,
      doughRows.map(({ row, portion }) => ({ key: row.key, atC: goesInAtC(formula, row, portion, kitchen), portion })),
    ),
    sodaBalance: sodaBalance(leaves),
    syrupShare: syrupShareOf(dough),
    saltInAllPercent: (tastedSodiumG(all.flatMap((portion) => openedBox(pantry, portion))) * saltPerSodium.value * 100) / formula.blendG,
    gritRaw: gritAfterStanding(flour, 0),
    gritFelt: gritAfterStanding(flour, standMin),
    gritRested: gritAfterStanding(flour, Math.max(standMin, restAndStand.values.fullMin)),
    standingMin: standMin,
    mixGaps: mixGapsOf(formula, doughRows),
    composition: mixedComposition([...all, ...foldedPortions]),
    makeUp: makeUpOf([...all, ...foldedPortions]),
    colours: doughColours([...flour.flatMap((portion) => openedUp(pantry, portion)), ...leaves], formula.blendG),
    outsideMakeUp: sumG(outside) > 0 ? makeUpOf(outside) : null,
    leavened: percentOf([...leaves, ...boxed], formula.blendG, ({ ingredient }) => isLeavener(ingredient)) >= leavenedFrom.value,
    solidFat: mainFat(dough),
    fatPieces: fatPiecesOf(formula.rows),
    eggG: rawEggG(placed.filter(({ row }) => isInOven(row)).map(({ portion }) => portion)),
    doughEggG: rawEggG(placed.filter(({ row }) => isOfDough(row)).map(({ portion }) => portion)),
    onPiece: partsOnPiece(placed, pantry, formula.keep.pack !== 'openTray', sumG(all)),
    eggWhitePerBlend: egg('white') / formula.blendG,
    eggYolkPerBlend: egg('yolk') / formula.blendG,
    xanthanPerBlend: percentOf(opened, formula.blendG, ({ ingredient }) => ingredient.gum === 'xanthanGum') / 100,
    psylliumPerBlend: percentOf(opened, formula.blendG, ({ ingredient }) => isPsyllium(ingredient)) / 100,
    doughAtC: formula.doughAtC,
    allergens: allergensOf(everything),
    cost: costOf(everything, pantry),
  };
  return {
    result,
    findings: doughFindings(theCase, portions, blend, result),
  };
}

/** How warm a row goes in: part of it may be lukewarm, for the yeast. Left out: as its place in the kitchen is. */
function goesInAtC({ mix }: Formula, { key, atC }: Row, { ingredient }: Portion, kitchen: Kitchen): number | undefined {
  const lukewarm = mix
    .filter(({ stopAt }) => stopAt === 'froth')
    .reduce((sum, { of }) => sum + (of?.find(({ rowKey }) => rowKey === key)?.share ?? 0), 0);
  if (lukewarm <= 0 || yeastStrengthOf(ingredient) > 0) return atC;
  return lukewarm * frothing.values.atC + (1 - lukewarm) * (atC ?? storedC(ingredient, kitchen));
}

/** Juice of what is folded in wets the dough like anything that brings water. */
function withBled(gets: WaterGets, folded: FoldedIn | null): WaterGets {
  const bledG = folded?.bleedsG ?? 0;
  if (bledG <= 0) return gets;
  const { broughtWaterG, getsG, waterG } = gets;
  return { ...gets, broughtWaterG: broughtWaterG + bledG, getsG: getsG + bledG, waterG: waterG + bledG };
}

function rowPortion(row: Row, i: number, blendG: number, pantry: Pantry): Portion {
  const amountG = within(`rows[${i}].amountG`, row.amountG, 0, 100000, 'g');
  if (amountG > 20 * blendG) {
    throw new InputError(`rows[${i}].amountG`, `must be at most 20 times the blend (${Math.round(20 * blendG)} g), got ${amountG}`);
  }
  return portionOf(pantry, `rows[${i}].ingredientId`, row.ingredientId, amountG, row.lotId, { at: `/rows/${i}`, lotId: row.lotId });
}

const thirstOf = (formula: Formula, kitchen: Kitchen): Learned | undefined => learnedOf(kitchen, 'thirstFactor', formula.blend.name);

/** How a row was measured, from the words it was typed in. */
function enteredBy(entered: string | undefined): MeasuredBy {
  const measure = entered === undefined ? undefined : readAmount(entered)?.measure;
  if (measure === undefined) return 'weight';
  return measure === null ? 'piece' : measure.kind === 'volume' ? 'cup' : 'weight';
}

function syrupShareOf(dough: readonly Portion[]): number {
  const sugars = (of: readonly Portion[]) => of.reduce((sum, portion) => sum + portion.amountG * compositionOf(portion).sugarsShare, 0);
  const all = sugars(dough);
  return all > 0 ? sugars(dough.filter(({ ingredient }) => ingredient.kind === 'syrup')) / all : 0;
}

/** Sodium that tastes of salt: a leavener's does not. */
const tastedSodiumG = (portions: readonly Portion[]) =>
  portions.reduce((sum, portion) => sum + (isLeavener(portion.ingredient) ? 0 : portion.amountG * compositionOf(portion).sodiumShare), 0);

/** What a structured mix forgets or puts in twice. */
function mixGapsOf(formula: Formula, rows: readonly { readonly row: Row; readonly portion: Portion }[]): DoughResult['mixGaps'] {
  if (!isMixStructured(formula)) return [];
  const shares = mixedShares(formula);
  return [
    { rowKey: BLEND, name: 'the blend', share: shares.get(BLEND) ?? 0 },
    ...rows
      .filter(({ row }) => row.amountG > 0)
      .map(({ row, portion }) => ({ rowKey: row.key, name: portion.ingredient.name, share: shares.get(row.key) ?? 0 })),
  ].filter(({ share }) => Math.abs(share - 1) > 0.005);
}

/** Water is compared with its window after the gums' own term is taken off. */
function percentsOf(
  { formula: { blendG }, family }: Case,
  { flour, dough, leaves, rollIn }: Readonly<Record<'flour' | 'dough' | 'leaves' | 'rollIn', readonly Portion[]>>,
  gets: WaterGets,
  wants: WaterWants,
): BakersPercents {
  const all = [...flour, ...dough];
  const part = (name: 'fatShare' | 'sugarsShare', of: readonly Portion[]) =>
    (of.reduce((sum, portion) => sum + portion.amountG * compositionOf(portion)[name], 0) / blendG) * 100;
  return {
    // What is folded in counts: a family's window is for all its fat.
    fat: part('fatShare', [...all, ...rollIn]),
    water: ((gets.getsG - wants.gumG) / blendG) * 100,
    // Nuts and crumb bring sugar of their own, and their families' windows count it.
    sugar: part('sugarsShare', family.base === 'flour' ? dough : all),
    egg: percentOf(leaves, blendG, ({ ingredient }) => isEgg(ingredient)),
    salt: percentOf(leaves, blendG, ({ ingredient }) => isSalt(ingredient)),
    leavener: percentOf(leaves, blendG, ({ ingredient }) => isLeavener(ingredient)),
    soda: percentOf(leaves, blendG, ({ ingredient }) => isSoda(ingredient)),
    yeast: (leaves.reduce((g, { ingredient, amountG }) => g + amountG * yeastStrengthOf(ingredient), 0) / blendG) * 100,
    nuts: percentOf(leaves, blendG, ({ ingredient }) => isNut(ingredient)),
  };
}

/** The fat that sets the dough's firmness: the largest row whose solid-fat curve is known. */
function mainFat(dough: readonly Portion[]): SolidFatName | null {
  const fats = dough.filter(({ ingredient, amountG }) => ingredient.solidFat !== undefined && amountG > 0);
  if (fats.length === 0) return null;
  return fats.reduce((most, next) => (next.amountG > most.amountG ? next : most)).ingredient.solidFat ?? null;
}

function fatPiecesOf(rows: readonly Row[]): 0 | 1 | 2 | 3 {
  // What is folded in lies in layers: the texture model counts it as the middle of its families does.
  if (rows.some(({ use, amountG }) => use === 'rollIn' && amountG > 0)) return 1;
  const states = { melted: 0, creamed: 1, rubbed: 2, pieces: 3 } as const;
  const fats = rows.filter((row) => row.fat !== undefined);
  if (fats.length === 0) return 0;
  return states[fats.reduce((most, row) => (row.amountG > most.amountG ? row : most)).fat!.state];
}

function percentOf(portions: readonly Portion[], blendG: number, isOne: (portion: Portion) => boolean): number {
  return (portions.filter(isOne).reduce((sum, { amountG }) => sum + amountG, 0) / blendG) * 100;
}
