import { handsMin } from '../../facts/run.js';
import { HOT_TRAY } from '../../keep/cooling.js';
import type { PlannedLook, RunStep } from '../../document/bake.js';
import type { Formula, Wait } from '../../document/formula.js';
import type { Kitchen } from '../../document/kitchen.js';
import type { Pantry } from '../../document/pantry.js';
import type { Evaluation } from '../../evaluate.js';
import type { Family } from '../../facts/family.js';

/** What the steps up to the chilled dough are made from: they hang on nothing that is shaped or baked. */
export type DoughMade = {
  readonly formula: Formula;
  readonly family: Family;
  readonly kitchen: Kitchen;
  readonly pantry: Pantry;
  readonly results: Pick<ResultsOf, 'dough' | 'chill'>;
};
/** What the steps are made from. */
export type Made = DoughMade & { readonly results: ResultsOf; readonly looks: readonly PlannedLook[] };
export type ResultsOf = {
  readonly [K in Exclude<keyof Evaluation, 'outlook'>]: Extract<Evaluation[K], { result: unknown }>['result'];
};

/** Minutes of hands, by what they do. */
export const hands = handsMin.values;

/** What is weighed of a row, all of it or a share. */
export function weigh({ formula, pantry }: DoughMade, rowKey: string, share = 1, stage: RunStep['stage'] = 'dough'): RunStep[] {
  const ofBlend = formula.blend.rows.find(({ key }) => key === rowKey);
  const row = formula.rows.find(({ key }) => key === rowKey);
  const ingredientId = ofBlend?.ingredientId ?? row?.ingredientId;
  const amountG = (ofBlend ? ofBlend.share * formula.blendG : (row?.amountG ?? 0)) * share;
  if (ingredientId === undefined || amountG <= 0) return [];
  return [
    {
      key: `weigh:${rowKey}${share < 0.999 ? `:${Math.round(share * 1000)}` : ''}`,
      stage,
      kind: 'weigh',
      what: 'weigh',
      handsMin: hands.weigh,
      rowKey,
      ingredientId,
      name: pantry.ingredients[ingredientId]?.name ?? ingredientId,
      amountG,
      ...(share < 0.999 ? { shareOfRow: share } : {}),
      ...(row?.atC === undefined ? {} : { atC: row.atC }),
    },
  ];
}

const isNamedApart = ({ mix }: Formula, rowKey: string) => mix.some(({ of }) => (of ?? []).some((one) => one.rowKey === rowKey));
/** What of the blend is named by itself is weighed where it is named. */
export const weighBlend = (made: DoughMade, share = 1): RunStep[] =>
  made.formula.blend.rows
    .filter(({ key }) => !isNamedApart(made.formula, key))
    .flatMap(({ key }) => weigh(made, key, share).map((step) => ({ ...step, stage: 'blend' as const })));

const placeName = ({ kitchen }: DoughMade, placeId: string) =>
  placeId === HOT_TRAY ? 'the hot tray' : (kitchen.places.find(({ id }) => id === placeId)?.name ?? placeId);

export const waitSteps = (
  made: DoughMade,
  { name, what, stage }: { readonly name: string; readonly what: RunStep['what']; readonly stage: RunStep['stage'] },
  waits: readonly Wait[],
): RunStep[] =>
  waits
    .filter(({ min }) => min > 0)
    .map(({ placeId, min }, i) => ({
      key: `${name}:${i}`,
      stage,
      kind: 'wait' as const,
      what,
      handsMin: hands.move,
      min,
      place: placeName(made, placeId),
    }));

/** Something done on the table. */
export const stepOf = (
  what: RunStep['what'],
  handsMin: number,
  more: Partial<RunStep> = {},
  at: { readonly key?: string; readonly stage?: RunStep['stage'] } = {},
): RunStep => ({ key: what, stage: 'sheet', kind: 'do', what, handsMin: Math.round(handsMin * 10) / 10, ...more, ...at });
