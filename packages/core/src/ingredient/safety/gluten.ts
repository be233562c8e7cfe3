import { monthsBetween } from '../../units/days.js';
import { reportMonths } from '../../facts/gluten.js';
import { glutenRules, noneDetectable, strictestMarket } from '../../facts/markets.js';
import { lotsInUse } from '../mixture.js';
import { leavesOf } from '../parts.js';
import type { Edit } from '../../document/edits.js';
import type { Kitchen } from '../../document/kitchen.js';
import type { GlutenReport, Ingredient, Lot, Pantry } from '../../document/pantry.js';
import type { GlutenRule } from '../../facts/markets.js';
import type { Finding, FindingCode, StageName } from '../../findings/finding.js';
import type { Portion } from '../mixture.js';

/**
 * What is known of a lot's gluten: `proven` by a report that passes, `certified` by the maker's certificate in time, `old` proven by a
 * report past its time, `over` the limit, `noReport` where proof is needed and there is none, `onBag` where a home kitchen took the
 * mark on the bag for it, `lookAtBag` where it has not looked yet, `noGrain` where none is in it and nobody asked for one, `accepted` where the kitchen took that on record,
 * `notInMarket` where the market's law refuses it whatever a report says, `contains` by nature.
 */
export type GlutenProof =
  'proven' | 'certified' | 'old' | 'over' | 'noReport' | 'onBag' | 'lookAtBag' | 'noGrain' | 'accepted' | 'notInMarket' | 'contains';
/**
 * What stands in the way of a gluten-free bake.
 *
 * Units    none.
 * Throws   nothing.
 * Findings none.
 * Source   `glutenProof`.
 *
 * @example
 * isUnproven('noReport'); // => true
 */
export const isUnproven = (proof: GlutenProof): boolean => ['over', 'noReport', 'lookAtBag', 'notInMarket', 'contains'].includes(proof);

/** What a kitchen asks of its ingredients: its market's rule and its own limit, the stricter of both. */
export type GlutenLimit = GlutenRule & {
  /** mg/kg a report may show. */ readonly limitMgPerKg: number;
  /** Nobody said where the goods are sold: the strictest rule holds. */ readonly unsaid: boolean;
  readonly home: boolean;
};

/**
 * The gluten rule of a kitchen.
 *
 * Units    mg/kg.
 * Throws   nothing.
 * Findings none.
 * Source   facts/markets; the kitchen's own limit where it is stricter.
 *
 * @example
 * glutenLimitOf({ market: 'us', glutenLimitMgPerKg: 20 }).atLimit; // => false: exactly 20 does not pass
 */
export function glutenLimitOf({
  market,
  home = false,
  glutenLimitMgPerKg,
}: Pick<Kitchen, 'market' | 'home' | 'glutenLimitMgPerKg'>): GlutenLimit {
  const rule = glutenRules.values[market ?? strictestMarket];
  const most = rule.mostMgPerKg === 0 ? noneDetectable.value : rule.mostMgPerKg;
  return { ...rule, limitMgPerKg: Math.min(most, glutenLimitMgPerKg), unsaid: market === undefined, home };
}

/** Whether a report passes: one marked below was never above its limit of detection. */
function passes({ mgPerKg, below }: GlutenReport, limit: GlutenLimit): boolean {
  if (limit.mostMgPerKg === 0) return (below || mgPerKg === 0) && mgPerKg <= limit.limitMgPerKg;
  const atMost = below || limit.atLimit || limit.limitMgPerKg < limit.mostMgPerKg;
  return atMost ? mgPerKg <= limit.limitMgPerKg : mgPerKg < limit.limitMgPerKg;
}

/**
 * Proof of gluten of one lot, or of an ingredient with no lot at all.
 *
 * "No grain in it" is a belief, not a proof: it has a word of its own. A report of tomorrow proves nothing.
 *
 * Units    mg/kg; `on` is the day it is asked, 2026-11-25.
 * Throws   nothing.
 * Findings none.
 * Source   facts/markets (law, from memory); age of a report is judgement (facts/gluten).
 */
export function glutenProof(ingredient: Ingredient, lot: Lot | undefined, limit: GlutenLimit, on: string | undefined): GlutenProof {
  if (ingredient.gluten === 'contains') return 'contains';
  if (isRefused(ingredient, limit)) return 'notInMarket';
  const { report, certificate } = lot ?? {};
  const certified = certificate !== undefined && (on === undefined || certificate.until >= on);
  if (report && !(on !== undefined && report.on > on)) {
    if (!passes(report, limit)) return 'over';
    if (certified || on === undefined || monthsBetween(report.on, on) <= reportMonths.value) return 'proven';
    return 'old';
  }
  if (certified) return 'certified';
  // At home nobody has a report: the mark on the bag is what there is, and it is asked for where the bag is in the hand.
  if (ingredient.gluten === 'needsProof') return !limit.home ? 'noReport' : lot?.acceptedOnBag !== undefined ? 'onBag' : 'lookAtBag';
  return lot?.acceptedWithoutReport === undefined ? 'noGrain' : 'accepted';
}

/** What a market's law refuses whatever a report says. */
function isRefused({ allergens }: Ingredient, { oats, malt, wheatStarch }: GlutenLimit): boolean {
  const holds = (cereal: string) => allergens.includes(`eu.gluten_cereal:${cereal}`);
  return (!oats && holds('oats')) || (!malt && holds('barley')) || (!wheatStarch && holds('wheat'));
}

/**
 * Proof of gluten for every portion, from the lots really chosen; a preparation is judged by what went into it.
 *
 * Where another lot of the same ingredient is proven, the finding offers it; one finding for those and one for the rest, so
 * that taking the offer ends the finding it came with.
 *
 * Units    mg/kg against the stricter of the market's and the kitchen's own limit.
 * Throws   nothing.
 * Findings gluten.contains, gluten.overLimit, gluten.notProven, gluten.notInMarket: all unsafe; gluten.reportOld: watch;
 *          gluten.wheatStarch, gluten.onBag, gluten.lookAtBag: note.
 * Source   glutenProof; at-risk classes from a published survey (ingredient table).
 */
export function glutenFindings(portions: readonly Portion[], kitchen: Kitchen, pantry: Pantry, stage: StageName): Finding[] {
  const limit = glutenLimitOf(kitchen);
  const used = portions.filter(({ amountG }) => amountG > 0).flatMap((portion) => leavesOf(pantry, portion));
  const of = (proof: GlutenProof) => used.filter(({ ingredient, lot }) => glutenProof(ingredient, lot, limit, pantry.on) === proof);
  const over = of('over');
  const most = Math.max(0, ...over.map(({ lot }) => lot!.report!.mgPerKg));
  const offer = (portion: Portion) => editsToProvenLot(portion, limit, pantry);
  const split = (code: GlutenCode, which: readonly Portion[], value: number, high: number) => [
    ...found(
      { code, stage },
      which.filter((portion) => offer(portion).length > 0),
      { value, high },
      { offer },
    ),
    ...found(
      { code, stage },
      which.filter((portion) => offer(portion).length === 0),
      { value, high },
    ),
  ];
  const wheatStarch = used.filter(
    ({ ingredient }) => ingredient.gluten !== 'contains' && ingredient.allergens.includes('eu.gluten_cereal:wheat'),
  );
  return [
    ...found({ code: 'gluten.contains', stage }, of('contains'), { value: 0, high: limit.limitMgPerKg }),
    ...found({ code: 'gluten.notInMarket', stage }, of('notInMarket'), { value: 0, high: limit.limitMgPerKg }, { market: limit.name }),
    ...split('gluten.overLimit', over, most, limit.limitMgPerKg),
    ...split('gluten.notProven', of('noReport'), of('noReport').length, 0),
    ...split('gluten.reportOld', of('old'), reportMonths.value, reportMonths.value),
    ...found({ code: 'gluten.wheatStarch', stage }, wheatStarch, { value: 0, high: 0 }),
    ...found({ code: 'gluten.onBag', stage }, of('onBag'), { value: of('onBag').length, high: 0 }),
    ...found({ code: 'gluten.lookAtBag', stage }, of('lookAtBag'), { value: of('lookAtBag').length, high: 0 }),
  ];
}

type GlutenCode = Extract<FindingCode, `gluten.${string}`>;
const levels: Readonly<Partial<Record<GlutenCode, Finding['level']>>> = {
  'gluten.reportOld': 'watch',
  'gluten.wheatStarch': 'note',
  'gluten.onBag': 'note',
  'gluten.lookAtBag': 'note',
};

/** The edits that take another lot of the same ingredient, one whose report is under the limit and in time; none where there is none. */
function editsToProvenLot(portion: Portion, limit: GlutenLimit, pantry: Pantry): Edit[] {
  // What is inside a preparation is mended where the preparation is.
  if (portion.row === undefined) return [];
  const { at, lotId } = portion.row;
  const better = lotsInUse(pantry, portion.ingredient.id).find(
    (lot) => lot.id !== portion.lot?.id && ['proven', 'certified'].includes(glutenProof(portion.ingredient, lot, limit, pantry.on)),
  );
  if (!better) return [];
  return [{ path: `${at}/lotId`, ...(lotId === undefined ? {} : { from: lotId }), to: better.id }];
}

function found(
  { code, stage }: { readonly code: GlutenCode; readonly stage: StageName },
  which: readonly Portion[],
  { value, high }: { readonly value: number; readonly high: number },
  { offer, market = '' }: { readonly offer?: (portion: Portion) => Edit[]; readonly market?: string } = {},
): Finding[] {
  if (which.length === 0) return [];
  const names = [...new Set(which.map(({ ingredient, lot }) => (lot ? `${ingredient.name}, lot ${lot.code}` : ingredient.name)))];
  const edits = offer ? [...new Map(which.flatMap(offer).map((edit) => [edit.path, edit])).values()] : [];
  return [
    {
      code,
      level: levels[code] ?? 'fix',
      ...(levels[code] === undefined ? { unsafe: true as const } : {}),
      stage,
      measured: { path: `${stage}.gluten`, value, high, of: [names.join('; '), market].filter((word) => word !== '').join(' | ') },
      ...(edits.length > 0 ? { change: { of: 'formula' as const, edits } } : {}),
    },
  ];
}
