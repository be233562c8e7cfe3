import { blooming, frothing, soaking, restAndStand } from '../facts/mixing.js';
import { BLEND } from '../document/formula.js';
import { isEgg, isGelatine, isGum, isLeavener, isSalt, isSoaked, yeastStrengthOf } from '../ingredient/roles.js';
import type { Formula, MixAct, MixStep, Row } from '../document/formula.js';
import type { Family, School } from '../facts/families.js';
import type { Ingredient, Pantry } from '../document/pantry.js';

/**
 * The order in which a dough of a family goes together, made from its own rows: every gram in one step, and only once.
 *
 * Units    min.
 * Throws   nothing; rows that fit nowhere go in last but one.
 * Findings none.
 * Source   the family's school of mixing (facts/families): common practice, no source. Other schools are as good a choice.
 */
export function defaultMix(
  formula: Pick<Formula, 'rows'> & Partial<Pick<Formula, 'blend' | 'blendG'>>,
  family: Pick<Family, 'school' | 'rolled'>,
  pantry: Pantry,
  newKey: () => string,
): MixStep[] {
  const rows = formula.rows.filter(({ use }) => use === 'dough');
  const taken = new Set<string>();
  const take = (is: (one: Ingredient, row: Row) => boolean) =>
    rows.filter((row) => {
      const one = pantry.ingredients[row.ingredientId];
      if (!one || taken.has(row.key) || !is(one, row)) return false;
      taken.add(row.key);
      return true;
    });
  // Instant yeast goes in dry; the others have to show that they live.
  const frothed = take((one) => yeastStrengthOf(one) > 0 && yeastStrengthOf(one) <= 1);
  const soaked = take((one, row) => row.soakMin !== undefined || (isGum(one) && one.kind === 'binder_seed'));
  const gelatine = take((one) => isGelatine(one));
  const dry = take(
    (one) =>
      isSalt(one) ||
      isLeavener(one) ||
      isGum(one) ||
      one.kind === 'flour_nut' ||
      (one.kind === 'flavour' && one.composition.waterShare < 0.2),
  );
  const sugar = take((one) => one.kind === 'sugar');
  const fat = take((one) => one.kind === 'fat_solid' || one.kind === 'fat_liquid');
  const egg = take((one) => isEgg(one));
  const wet = take((one) => one.composition.waterShare > 0.3 || one.kind === 'syrup');
  const source = [...wet].sort((a, b) => b.amountG - a.amountG)[0];
  // Yeast with nothing to wake in goes in as it is.
  const rest = [...take(() => true), ...(source ? [] : frothed)];
  const step = (act: MixAct, of: readonly Row[], more: Omit<MixStep, 'key' | 'act' | 'of'> = {}, withBlend = false): MixStep[] =>
    of.length === 0 && !withBlend && act !== 'knead' && act !== 'stand'
      ? []
      : [
          {
            key: newKey(),
            act,
            of: [...(withBlend ? [{ rowKey: BLEND, share: 1 }] : []), ...of.map(({ key }) => ({ rowKey: key, share: 1 }))],
            ...more,
          },
        ];
  // Husk and seeds swell in their own water wherever they stand: dry among the flours they take it from these.
  const inBlend = (formula.blend?.rows ?? []).flatMap(({ key, ingredientId, share }): Swells[] => {
    const one = pantry.ingredients[ingredientId];
    return one && isSoaked(one) && share > 0 ? [{ key, amountG: share * (formula.blendG ?? 0) }] : [];
  });
  const froth = standIn(
    source,
    source ? frothed : [],
    { perG: frothing.values.waterPerYeast, min: frothing.values.minutes, stopAt: 'froth', leaves: 1 },
    newKey,
  );
  // What is cooked swells in the pan.
  const swells = family.school === 'cook' ? soaked : [...soaked, ...(source ? inBlend : [])];
  const gel = standIn(
    source,
    swells,
    { perG: soaking.values.waterPerGum, min: soaking.values.minutes, stopAt: 'gel', leaves: 1 - froth.share },
    newKey,
  );
  const bloom = standIn(
    source,
    gelatine,
    { perG: blooming.values.waterPerGelatine, min: blooming.values.minutes, stopAt: 'swollen', leaves: 1 - froth.share - gel.share },
    newKey,
  );
  const clear: MixStep[] =
    gelatine.length > 0 ? [{ key: newKey(), act: 'warm', of: [], tool: 'pan', stopAt: 'liquid', does: 'the swollen gelatine' }] : [];
  const soak = [...froth.steps, ...gel.steps, ...bloom.steps, ...clear];
  const water = (one: MixStep): MixStep => poursLess(one, source, froth.share + gel.share + bloom.share);
  const whisk = (of: readonly Row[]) => step('whisk', of, { tool: 'whisk', stopAt: 'even' }, true);
  const pour = step('pour', [...egg, ...wet], { tool: 'hand', min: 1, stopAt: 'noDryFlour' }).map(water);
  const fold = step('foldIn', rest, { tool: 'hand' });
  const end = family.rolled ? step('knead', [], { tool: 'hand', stopAt: 'holds' }) : step('stand', [], { min: 5, stopAt: 'thicker' });
  /** What was melted goes in with what else is poured, or alone. */
  const melted = (poured: readonly MixStep[]): readonly MixStep[] =>
    fat.length === 0
      ? poured
      : poured.length > 0
        ? poured.map((one) => ({ ...one, does: 'with the melted fat' }))
        : [{ key: newKey(), act: 'pour', of: [], tool: 'hand', stopAt: 'noDryFlour', does: 'the melted fat' }];
  const bySchool: Readonly<Record<School, () => MixStep[]>> = {
    cutIn: () => [...soak, ...whisk([...dry, ...sugar]), ...step('cutIn', fat, { tool: 'hand', stopAt: 'pea' }), ...pour, ...fold, ...end],
    rub: () => [...soak, ...whisk([...dry, ...sugar]), ...step('rub', fat, { tool: 'hand', stopAt: 'crumbs' }), ...pour, ...fold, ...end],
    cream: () => [
      ...soak,
      ...step('cream', [...fat, ...sugar], { tool: 'mixer', min: 3, stopAt: 'pale' }),
      ...step('beat', [...egg, ...wet], { tool: 'mixer', min: 1, stopAt: 'smooth' }).map(water),
      ...whisk(dry).map((one) => ({ ...one, act: 'beat' as const, tool: 'mixer' as const, stopAt: 'noDryFlour' })),
      ...fold,
      ...end,
    ],
    melt: () => [
      ...soak,
      ...step('melt', fat, { tool: 'pan', stopAt: 'liquid' }),
      ...whisk([...dry, ...sugar]),
      ...melted(pour),
      ...fold,
      ...end,
    ],
    oil: () => [...soak, ...whisk([...dry, ...sugar]), ...step('rub', fat, { tool: 'hand', stopAt: 'sand' }), ...fold, ...pour, ...end],
    cook: () => [
      ...soak,
      ...step('warm', [...fat, ...sugar, ...wet, ...dry.filter(({ ingredientId }) => isSalt(pantry.ingredients[ingredientId]!))], {
        tool: 'pan',
        stopAt: 'boils',
      }).map(water),
      // What leavens waits until the heat is over; the blend goes in at once.
      ...step('beat', [], { tool: 'pan', min: 2, stopAt: 'leavesPan' }, true),
      ...step('stand', [], { min: 10, stopAt: 'noSteam' }),
      ...step('beat', [...dry.filter(({ ingredientId }) => !isSalt(pantry.ingredients[ingredientId]!)), ...egg], {
        tool: 'mixer',
        min: 3,
        stopAt: 'ribbon',
      }),
      ...fold,
    ],
    allInOne: () => [
      ...soak,
      ...step('beat', [...dry, ...sugar, ...fat], { tool: 'mixer', min: 1, stopAt: 'crumbs' }, true),
      ...pour,
      ...fold,
      ...end,
    ],
  };
  return bySchool[family.school]();
}

/** How a solid fat goes in by a school of mixing; oil stays oil. */
export function fatOfSchool(school: School, pieceMm = 6): NonNullable<Row['fat']> {
  if (school === 'cutIn') return { state: 'pieces', pieceMm };
  if (school === 'rub' || school === 'allInOne') return { state: 'rubbed' };
  return { state: school === 'cream' ? 'creamed' : 'melted' };
}

/**
 * A formula mixed by another school: how its fats go in, and the order that goes with it. Grams stay.
 *
 * Units    mm.
 * Throws   nothing.
 * Findings none: a fat too soft or too hard for it is found like any other.
 * Source   schools of mixing: common practice, no source.
 */
export function mixedBySchool(
  formula: Formula,
  { family, school }: { readonly family: Family; readonly school: School },
  pantry: Pantry,
  newKey: () => string,
): Formula {
  const rows = formula.rows.map((row): Row => {
    const kind = pantry.ingredients[row.ingredientId]?.kind;
    if (row.use !== 'dough' || !row.fat || kind !== 'fat_solid') return row;
    // How warm it was set to go in belonged to the other school.
    const { atC: _at, ...rest } = row;
    return { ...rest, fat: fatOfSchool(school, family.fatPieceMm?.[1]), ...(school === 'cream' ? { atC: CREAMED_AT_C } : {}) };
  });
  return { ...formula, rows, mix: defaultMix({ ...formula, rows }, { school, rolled: family.rolled }, pantry, newKey) };
}
/** Butter creams at 17 to 21 C: common practice, no source. */
const CREAMED_AT_C = 19;

type Swells = Pick<Row, 'key' | 'amountG'>;

/** What swells or froths stands in part of the wettest row; what it leaves is poured later. */
function standIn(
  source: Row | undefined,
  of: readonly Swells[],
  { perG, min, stopAt, leaves }: { readonly perG: number; readonly min: number; readonly stopAt: string; readonly leaves: number },
  newKey: () => string,
): { readonly steps: readonly MixStep[]; readonly share: number } {
  if (of.length === 0) return { steps: [], share: 0 };
  const step = { key: newKey(), act: 'soak' as const, min, stopAt };
  const whole = of.map(({ key }) => ({ rowKey: key, share: 1 }));
  if (!source || source.amountG <= 0) return { steps: [{ ...step, of: whole }], share: 0 };
  const wantedG = of.reduce((sum, { amountG }) => sum + amountG, 0) * perG;
  const share = Math.min(Math.floor(12 * leaves) / 20, Math.ceil((wantedG / source.amountG) * 20) / 20);
  return { steps: [{ ...step, of: [...whole, { rowKey: source.key, share }] }], share };
}

const poursLess = (step: MixStep, source: Row | undefined, share: number): MixStep =>
  source && share > 0 && step.of
    ? { ...step, of: step.of.map((one) => (one.rowKey === source.key ? { ...one, share: Number((1 - share).toFixed(2)) } : one)) }
    : step;

/**
 * The order of mixing without soaks of which only the water is left: what soaked in it is gone from the formula, and it is poured with
 * the rest.
 *
 * Units    none.
 * Throws   nothing.
 * Findings none.
 * Source   none.
 */
export function mixAsItStands({ mix, rows, blend }: Pick<Formula, 'mix' | 'rows' | 'blend'>): readonly MixStep[] {
  const there = new Set([BLEND, ...rows.map(({ key }) => key), ...blend.rows.map(({ key }) => key)]);
  const isIdle = ({ act, of = [] }: MixStep) =>
    act === 'soak' && of.some(({ rowKey }) => !there.has(rowKey)) && of.every(({ rowKey, share }) => !there.has(rowKey) || share < 1);
  const back = new Map(mix.filter(isIdle).flatMap(({ of = [] }) => of.map(({ rowKey, share }) => [rowKey, share] as const)));
  if (back.size === 0) return mix;
  return mix
    .filter((step) => !isIdle(step))
    .map((step) => ({
      ...step,
      ...(step.of
        ? {
            of: step.of.map(({ rowKey, share }) => {
              const more = back.get(rowKey) ?? 0;
              back.delete(rowKey);
              return { rowKey, share: Math.min(1, Number((share + more).toFixed(4))) };
            }),
          }
        : {}),
    }));
}

/** Rows of the dough and how much of each the mix puts in; the blend is 'blend'. Own-words steps take nothing. */
export function mixedShares(formula: Pick<Formula, 'rows' | 'mix'>): ReadonlyMap<string, number> {
  const shares = new Map<string, number>([
    [BLEND, 0],
    ...formula.rows.filter(({ use }) => use === 'dough').map(({ key }) => [key, 0] as const),
  ]);
  for (const { of } of formula.mix) {
    for (const { rowKey, share } of of ?? []) shares.set(rowKey, (shares.get(rowKey) ?? 0) + share);
  }
  return shares;
}

/** Whether the mix names what goes in: one in own words only is not judged. */
export const isMixStructured = ({ mix }: Pick<Formula, 'mix'>): boolean => mix.some(({ act }) => act !== undefined);

/** The mix with a row put into the step where its like goes, else the last that takes anything; the blend into the first. */
export function mixWith(formula: Formula, rowKey: string, pantry: Pantry): readonly MixStep[] {
  const of = (key: string) => pantry.ingredients[formula.rows.find((row) => row.key === key)?.ingredientId ?? ''];
  const kind = of(rowKey)?.kind;
  const takes = formula.mix.map(({ of: parts }, i) => ({ i, parts: parts ?? [] })).filter(({ parts }) => parts.length > 0);
  const alike = kind === undefined ? undefined : takes.find(({ parts }) => parts.some((part) => of(part.rowKey)?.kind === kind));
  const like = alike ?? (rowKey === BLEND ? takes[0] : takes[takes.length - 1]);
  if (!like) return formula.mix;
  return formula.mix.map((step, i) => (i === like.i ? { ...step, of: [...like.parts, { rowKey, share: 1 }] } : step));
}

/** Minutes that the wet dough stands before it is cold: stands of the mix and the rest before chilling. */
export const standingMin = ({ mix, restMin }: Pick<Formula, 'mix' | 'restMin'>): number =>
  restMin + mix.reduce((sum, { act, min }) => sum + (act === 'stand' ? (min ?? 0) : 0), 0);

/**
 * Grit that is felt after the dough has stood: fine particles soften, coarse ones do not.
 *
 * Units    grit 0..3; um; min.
 * Throws   nothing.
 * Findings none.
 * Source   facts/mixing standing (judgement).
 */
export function gritAfterStanding(
  blend: readonly { readonly ingredient: Ingredient; readonly amountG: number }[],
  minutes: number,
): number {
  const { fullMin, gritStep, fineUm, coarseUm } = restAndStand.values;
  const totalG = blend.reduce((sum, { amountG }) => sum + amountG, 0);
  if (totalG <= 0) return 0;
  const softened = Math.min(1, minutes / fullMin) * gritStep;
  return blend.reduce((sum, { ingredient, amountG }) => {
    const size = ingredient.particleUm ?? fineUm;
    const softens = Math.min(1, Math.max(0, (coarseUm - size) / (coarseUm - fineUm)));
    return sum + (amountG / totalG) * Math.max(0, (ingredient.grit ?? 0) - softened * softens);
  }, 0);
}
