import { InputError, within } from '../errors.js';
import { gritLimit, singleStarchLimit, stickyStarchFull } from '../facts/dough.js';
import { finding } from '../findings/judge.js';
import { isClosedBox, openedBox } from '../ingredient/boxes.js';
import { allergensOf } from '../ingredient/safety/allergens.js';
import { costOf } from '../ingredient/cost.js';
import { glutenFindings } from '../ingredient/safety/gluten.js';
import { lotFindings } from '../ingredient/lots.js';
import { makeUpOf, mixedComposition, portionOf } from '../ingredient/mixture.js';
import { isGum, isNut, isProteinType, isStarch, isStickyStarch } from '../ingredient/roles.js';
import { suitFindings, suitsAskedFor } from '../ingredient/safety/suits.js';
import { binderRatioOf, coldStrength, gumDoses } from './gums.js';
import type { Blend, Formula } from '../document/formula.js';
import type { Composition, Pantry } from '../document/pantry.js';
import type { Family } from '../facts/families.js';
import type { Finding } from '../findings/finding.js';
import type { Allergen } from '../ingredient/safety/allergens.js';
import type { GumDose } from './gums.js';
import type { Ingredient } from '../document/pantry.js';
import type { Portion } from '../ingredient/mixture.js';
import type { MakeUp } from '../matter/make-up.js';
import type { Case } from '../document/case.js';

export type BlendResult = {
  readonly blendG: number;
  readonly composition: Composition;
  readonly makeUp: MakeUp;
  /** Cold water a gram of the flours and starches takes, gums left out (A of the water rule). */ readonly waterHoldGPerG: number;
  readonly proteinTypeShare: number;
  readonly starchShare: number;
  readonly stickyStarchShare: number;
  readonly nutShare: number;
  readonly gumShare: number;
  /** Each gum against the family's need of it. */ readonly gums: readonly GumDose[];
  /** All of them together; 1 is the need. */ readonly binderRatio: number;
  /** Of what has a price, per kg of it; null where nothing has. */ readonly costMinorPerKg: number | null;
  readonly pricedShare: number;
  /** Gums and sticky starch together as roll-out strength; an index, not a length. */ readonly bendIndex: number;
  readonly gritIndex: number;
  readonly flavourIndex: number;
  /** Range over which its starches set in the oven, C. */ readonly setsFromC: number | null;
  readonly setsToC: number | null;
  readonly allergens: readonly Allergen[];
  readonly rows: readonly { readonly key: string; readonly name: string; readonly amountG: number; readonly role: BlendRole }[];
};
export type BlendRole = 'grain' | 'starch' | 'sticky' | 'nut' | 'gum' | 'other';

/**
 * Stage 1: flours, starches and gums become one flour.
 *
 * Composition, water hold, grit and flavour add by mass share: right for composition, an approximation for hold and grit.
 *
 * Units    shares 0..1; water hold g/g; grit and flavour 0..3; bend index sum of xanthan equivalents over the family's gum target plus sticky starch over 20 %.
 * Throws   InputError at blend.rows[i] for a share out of 0..1, an unknown ingredient, or shares that do not sum to 1; at blend.rows for an empty blend; at blendG out of 1..100000.
 * Findings gluten.*, suit.*, lot.*, blend.gritty, blend.starchLow, blend.starchHigh, blend.oneStarchHigh, blend.oneFlourHigh.
 * Source   roles and limits: facts/families, facts/dough.
 */
export function blendStage(theCase: Case): { result: BlendResult; findings: Finding[] } {
  const { formula, kitchen, pantry } = theCase;
  const portions = blendPortions(formula, pantry);
  const result = behaviourOf(formula, portions, theCase);
  return {
    result,
    findings: [
      ...glutenFindings(portions, kitchen, pantry, 'blend'),
      ...suitFindings(portions, suitsAskedFor(formula.mustSuit, kitchen), pantry, 'blend'),
      ...lotFindings(portions, pantry, 'blend'),
      ...blendFindings(theCase, portions, result),
    ],
  };
}

/**
 * How a blend of no formula would behave in a family, for comparing; or why it cannot be worked out.
 *
 * Units, Source as blendStage; for 100 g of it.
 * Throws   nothing.
 * Findings none.
 */
export function blendBehaviour(blend: Blend, family: Family, pantry: Pantry): BlendResult | { readonly problem: string } {
  try {
    const portions = blendPortions({ blend, blendG: 100 }, pantry);
    return behaviourOf({ blend, blendG: 100 }, portions, { family, pantry });
  } catch (error) {
    if (error instanceof InputError) return { problem: `${error.path}: ${error.message}` };
    throw error;
  }
}

function behaviourOf(
  { blend: { rows }, blendG }: Pick<Formula, 'blend' | 'blendG'>,
  portions: readonly Portion[],
  { family, pantry }: Pick<Case, 'family' | 'pantry'>,
): BlendResult {
  const wet = portions.filter(({ ingredient }) => !isGum(ingredient));
  // A box is what is in it: a blend of boxes is not a blend without starch.
  const open = portions.flatMap((portion) => openedBox(pantry, portion));
  const gums = gumDoses(portions, family, blendG);
  const { costMinor, pricedShare } = costOf(portions, pantry);
  return {
    blendG,
    composition: mixedComposition(portions),
    makeUp: makeUpOf(portions),
    waterHoldGPerG: weighted(wet, ({ ingredient }) => ingredient.waterHoldGPerG ?? 0, blendG),
    proteinTypeShare: shareOf(open, ({ ingredient }) => isProteinType(ingredient)),
    starchShare: shareOf(open, ({ ingredient }) => isStarch(ingredient)),
    stickyStarchShare: shareOf(open, ({ ingredient }) => isStickyStarch(ingredient)),
    nutShare: shareOf(open, ({ ingredient }) => isNut(ingredient)),
    gumShare: shareOf(open, ({ ingredient }) => isGum(ingredient)),
    gums,
    binderRatio: binderRatioOf(gums),
    costMinorPerKg: pricedShare > 0 ? (costMinor / (blendG * pricedShare)) * 1000 : null,
    pricedShare,
    bendIndex: weighted(portions, ({ ingredient }) => bendOf(ingredient, family), blendG),
    gritIndex: weighted(portions, ({ ingredient }) => ingredient.grit ?? 0, blendG),
    flavourIndex: weighted(portions, ({ ingredient }) => ingredient.flavour ?? 0, blendG),
    ...settingRange(portions),
    allergens: allergensOf(portions),
    rows: portions.map(({ ingredient, amountG }, i) => ({
      key: rows[i]!.key,
      name: ingredient.name,
      amountG,
      role: roleOf(ingredient),
    })),
  };
}

/** The rows of the blend as portions, checked. */
export function blendPortions(formula: Pick<Formula, 'blend' | 'blendG'>, pantry: Pantry): Portion[] {
  const { rows } = formula.blend;
  const blendG = within('blendG', formula.blendG, 1, 100000, 'g');
  if (rows.length === 0) throw new InputError('blend.rows', 'the blend is empty: add a flour');
  const portions = rows.map((row, i) => {
    const share = within(`blend.rows[${i}].share`, row.share, 0, 1, '(share of the blend)');
    const at = { at: `/blend/rows/${i}`, lotId: row.lotId };
    return portionOf(pantry, `blend.rows[${i}].ingredientId`, row.ingredientId, share * blendG, row.lotId, at);
  });
  const total = rows.reduce((sum, { share }) => sum + share, 0);
  if (Math.abs(total - 1) > 0.0005) {
    throw new InputError('blend.rows', `shares must sum to 100 %, they sum to ${(total * 100).toFixed(1)} %`);
  }
  if (!portions.some(({ ingredient, amountG }) => amountG > 0 && !isGum(ingredient))) {
    throw new InputError('blend.rows', 'the blend holds gum only: add a flour');
  }
  return portions;
}

function blendFindings({ formula, family, pantry }: Case, portions: readonly Portion[], result: BlendResult): Finding[] {
  const closedShare = shareOf(portions, (one) => isClosedBox(pantry, one));
  const found: Finding[] = [];
  // Crumb is baked already: no grain of it is felt as grit.
  if (family.base !== 'crumb' && result.gritIndex > gritLimit.value) {
    found.push(finding('blend.gritty', 'watch', 'blend', { path: 'blend.gritIndex', value: result.gritIndex, high: gritLimit.value }));
  }
  const [low, , high] = family.starchPercent;
  const starchPercent = result.starchShare * 100;
  const measured = { path: 'blend.starchShare', value: result.starchShare, low: low / 100, high: high / 100 };
  // What nobody knows of a box may be starch.
  if (starchPercent + 100 * closedShare < low) found.push(finding('blend.starchLow', 'watch', 'blend', measured));
  if (starchPercent > high) found.push(finding('blend.starchHigh', 'watch', 'blend', measured));
  // A family of starch alone is meant to be so.
  for (const { ingredient, amountG } of low > 60 ? [] : portions) {
    const share = amountG / formula.blendG;
    if (isStarch(ingredient) && share > singleStarchLimit.value + 1e-9) {
      found.push(
        finding('blend.oneStarchHigh', 'watch', 'blend', {
          path: `blend.rows.${ingredient.id}`,
          value: share,
          high: singleStarchLimit.value,
          of: ingredient.name,
        }),
      );
    }
  }
  return [...found, ...oneFlourFindings(formula, portions)];
}

/** More of one flour than its taste, colour or bite allows. Cooked potato flour is a slip for the starch more often than a choice. */
function oneFlourFindings({ blendG }: Formula, portions: readonly Portion[]): Finding[] {
  return portions.flatMap(({ ingredient, amountG, row }) => {
    const { mostOfBlendShare: high, takenFor } = ingredient;
    // A starch has a limit of its own.
    if (high === undefined || isStarch(ingredient) || amountG <= (high + 1e-9) * blendG) return [];
    const slip = takenFor !== undefined && row !== undefined;
    return [
      finding(
        'blend.oneFlourHigh',
        slip ? 'fix' : 'watch',
        'blend',
        { path: `blend.rows.${ingredient.id}`, value: amountG / blendG, high, of: ingredient.name },
        slip ? [{ path: `${row.at}/ingredientId`, from: ingredient.id, to: takenFor }] : undefined,
      ),
    ];
  });
}

/**
 * What a gram of an ingredient adds to the roll-out index of a gram of blend: binder strength in cold dough over the family's gum
 * target, plus sticky starch over 20 %.
 */
export function bendOf(ingredient: Ingredient, family: Family): number {
  const xanthanTarget = family.gumPercent.xanthanGum?.[1] ?? 1;
  return (coldStrength(ingredient) * 100) / xanthanTarget + (isStickyStarch(ingredient) ? 1 / stickyStarchFull.value : 0);
}

function settingRange(portions: readonly Portion[]): { setsFromC: number | null; setsToC: number | null } {
  const setting = portions
    .filter(({ ingredient, amountG }) => ingredient.setsAtC !== undefined && amountG > 0)
    .map(({ ingredient }) => ingredient.setsAtC!);
  return setting.length === 0 ? { setsFromC: null, setsToC: null } : { setsFromC: Math.min(...setting), setsToC: Math.max(...setting) };
}

export function roleOf(ingredient: Portion['ingredient']): BlendRole {
  if (isGum(ingredient)) return 'gum';
  if (isStickyStarch(ingredient)) return 'sticky';
  if (isStarch(ingredient)) return 'starch';
  if (isNut(ingredient)) return 'nut';
  return isProteinType(ingredient) ? 'grain' : 'other';
}

const weighted = (portions: readonly Portion[], of: (portion: Portion) => number, totalG: number) =>
  portions.reduce((sum, portion) => sum + of(portion) * portion.amountG, 0) / totalG;
const shareOf = (portions: readonly Portion[], isOne: (portion: Portion) => boolean) => {
  const totalG = portions.reduce((sum, { amountG }) => sum + amountG, 0);
  return portions.filter(isOne).reduce((sum, { amountG }) => sum + amountG, 0) / totalG;
};
