import { BLEND } from '../document/formula.js';
import { isMixStructured } from '../dough/mix.js';
import { mixWords } from '../entry/mix-words.js';
import { spoonWaterG } from '../facts/dough.js';
import { isPouredWater } from '../ingredient/roles.js';
import { hands, waitSteps, weigh, weighBlend } from './made.js';
import type { RunStep } from '../document/bake.js';
import type { Formula } from '../document/formula.js';
import type { Made } from './made.js';

/** Weighing and mixing in the order of the formula, the hand's word, the dough's temperature. */
export function mixing(made: Made): RunStep[] {
  const { formula, pantry, results } = made;
  const isWater = (rowKey: string) => {
    const one = pantry.ingredients[formula.rows.find(({ key }) => key === rowKey)?.ingredientId ?? ''];
    return one !== undefined && isPouredWater(one);
  };
  const doughRows = formula.rows.filter(({ use }) => use === 'dough');
  const mixStep = (step: Formula['mix'][number]): RunStep => ({
    key: `mix:${step.key}`,
    stage: 'dough',
    kind: 'do',
    what: 'mix',
    handsMin: step.act === 'stand' || step.act === 'soak' ? hands.move : (step.min ?? hands.mix),
    does: mixWords(step, formula, pantry),
    ...fatPieces(step, formula),
  });
  /** A soak or a stand leaves the hands free. */
  const left = (step: Formula['mix'][number]): RunStep[] =>
    (step.act === 'stand' || step.act === 'soak') && step.min
      ? [{ key: `stand:${step.key}`, stage: 'dough', kind: 'wait', what: 'rest', handsMin: 0, min: step.min }]
      : [];
  const steps: RunStep[] = [];
  const named = new Set(formula.mix.flatMap(({ of }) => (of ?? []).map(({ rowKey }) => rowKey)));
  if (isMixStructured(formula)) {
    if (!named.has(BLEND)) steps.push(...weighBlend(made));
    for (const step of formula.mix) {
      for (const { rowKey, share } of step.of ?? [])
        steps.push(...(rowKey === BLEND ? weighBlend(made, share) : weigh(made, rowKey, share)));
      steps.push(mixStep(step), ...left(step));
    }
    // What the order of mixing forgets is still part of the formula.
    for (const { key } of doughRows) if (!named.has(key)) steps.push(...weigh(made, key));
  } else {
    const wetLast = [...doughRows].sort((a, b) => Number(isWater(a.key)) - Number(isWater(b.key)));
    steps.push(...weighBlend(made), ...wetLast.flatMap(({ key }) => weigh(made, key)), ...formula.mix.map(mixStep));
  }
  return [...heldBack(unique(steps), isWater, results.dough.spoons * spoonWaterG.value), ...feeling(made)];
}

/** Where fat is cut in, how large its pieces are says whether it comes out in flakes or in sand. */
function fatPieces({ act, of }: Formula['mix'][number], { rows }: Formula): Pick<RunStep, 'measures'> {
  if (act !== 'cutIn' && act !== 'rub') return {};
  const row = rows.find(({ key, fat }) => fat?.pieceMm !== undefined && (of ?? []).some(({ rowKey }) => rowKey === key));
  return row ? { measures: [{ what: 'fatMm', planned: row.fat!.pieceMm! }] } : {};
}

/** The same share of the same row twice is two steps. */
function unique(steps: readonly RunStep[]): RunStep[] {
  const seen = new Map<string, number>();
  return steps.map((step) => {
    const times = (seen.get(step.key) ?? 0) + 1;
    seen.set(step.key, times);
    return times === 1 ? step : { ...step, key: `${step.key}#${times}` };
  });
}

/** Spoons are kept back from the last pours of water. */
function heldBack(steps: readonly RunStep[], isWater: (rowKey: string) => boolean, heldG: number): RunStep[] {
  let left = heldG;
  return [...steps]
    .reverse()
    .map((step) => {
      if (left <= 0 || step.rowKey === undefined || !isWater(step.rowKey) || step.amountG! <= left) return step;
      const held = { ...step, amountG: step.amountG! - left, heldG: left };
      left = 0;
      return held;
    })
    .reverse();
}

function feeling({ formula, results: { dough } }: Made): RunStep[] {
  const [part] = formula.sheet.parts;
  const poured = part?.shape.kind === 'portion' && part.shape.form === 'poured';
  // Warm dough feels wetter than it is: the probe speaks before the hand.
  const steps: RunStep[] = [
    {
      key: 'doughC',
      stage: 'dough',
      kind: 'measure',
      what: 'doughTemperature',
      handsMin: hands.measure,
      measures: [{ what: 'doughC', planned: dough.doughAtC }],
    },
  ];
  if (!poured && dough.wantsG > 0) steps.push({ key: 'feel', stage: 'dough', kind: 'feel', what: 'feel', handsMin: hands.feel });
  return steps;
}

/** Rest, pressed flat, into the cold, and how cold it came out. */
export function chilling(made: Made): RunStep[] {
  const { formula, results } = made;
  const { chill, restMin } = formula;
  const rest: RunStep[] = restMin > 0 ? [{ key: 'rest', stage: 'dough', kind: 'wait', what: 'rest', handsMin: 0, min: restMin }] : [];
  return [
    ...rest,
    { key: 'shape', stage: 'chill', kind: 'do', what: 'shape', handsMin: hands.shape, thicknessMm: chill.thicknessMm, form: chill.form },
    ...waitSteps(made, { name: 'cold', what: 'cold', stage: 'chill' }, chill.waits).map((step) => ({ ...step, targetC: chill.targetC })),
    {
      key: 'chilledC',
      stage: 'chill',
      kind: 'measure',
      what: 'doughTemperature',
      handsMin: hands.measure,
      measures: [{ what: 'doughC', planned: results.chill.endMiddleC }],
    },
  ];
}
