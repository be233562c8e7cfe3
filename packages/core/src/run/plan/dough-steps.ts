import { BLEND } from '../../document/formula.js';
import { isMixStructured, mixAsItStands } from '../../dough/mix.js';
import { mixWords } from '../../entry/mix-words.js';
import { spoonWaterG } from '../../facts/dough.js';
import { frothing, stopSigns } from '../../facts/mixing.js';
import { isPouredWater, yeastStrengthOf } from '../../ingredient/roles.js';
import { handlingOf } from '../../dough/handling.js';
import { takenUp } from './component-steps.js';
import { hands, stepOf, waitSteps, weigh, weighBlend } from './made.js';
import type { GoodOfDough, RunStep } from '../../document/bake.js';
import type { Formula } from '../../document/formula.js';
import type { DoughMade } from './made.js';

/** Weighing and mixing in the order of the formula, the hand's word, the dough's temperature. */
export function mixing(made: DoughMade): RunStep[] {
  const { formula, pantry, results } = made;
  const mix = mixAsItStands(formula);
  const liquid = results.dough.pours?.rowKey;
  const isWater = (rowKey: string) => {
    const one = pantry.ingredients[formula.rows.find(({ key }) => key === rowKey)?.ingredientId ?? ''];
    return rowKey === liquid || (one !== undefined && isPouredWater(one));
  };
  const isWet = (rowKey: string) => {
    const one = pantry.ingredients[formula.rows.find(({ key }) => key === rowKey)?.ingredientId ?? ''];
    return one !== undefined && yeastStrengthOf(one) === 0;
  };
  /** A dough of dead yeast is not begun. */
  const frothed = (step: Formula['mix'][number]): RunStep[] =>
    step.stopAt === 'froth'
      ? [stepOf('froth', hands.measure, { min: frothing.values.longestMin }, { key: `froth:${step.key}`, stage: 'dough' })]
      : [];
  const doughRows = formula.rows.filter(({ use }) => use === 'dough');
  const rests = (step: Formula['mix'][number]) => (step.act === 'stand' || step.act === 'soak') && step.min !== undefined;
  const mixStep = (step: Formula['mix'][number]): RunStep[] =>
    // A bowl that only stands wants no act before its wait.
    rests(step) && step.act === 'stand'
      ? []
      : [
          {
            key: `mix:${step.key}`,
            stage: 'dough',
            kind: 'do',
            what: 'mix',
            handsMin: rests(step) ? hands.move : (step.min ?? hands.mix),
            does: mixWords(step, formula, pantry),
            ...(rests(step) || step.min === undefined ? {} : { min: step.min }),
            ...fatPieces(step, formula),
          },
        ];
  /** A soak or a stand leaves the hands free. */
  const left = (step: Formula['mix'][number]): RunStep[] =>
    rests(step) && step.min! > 0
      ? [
          {
            key: `stand:${step.key}`,
            stage: 'dough',
            kind: 'wait',
            what: 'rest',
            handsMin: 0,
            min: step.min!,
            ...(step.act === 'stand' && step.stopAt ? { does: stopSigns.values[step.stopAt]?.words ?? step.stopAt } : {}),
          },
        ]
      : [];
  const steps: RunStep[] = [];
  const named = new Set(mix.flatMap(({ of }) => (of ?? []).map(({ rowKey }) => rowKey)));
  if (isMixStructured(formula)) {
    if (!named.has(BLEND)) steps.push(...weighBlend(made));
    for (const step of mix) {
      for (const { rowKey, share } of step.of ?? []) {
        const weighed = rowKey === BLEND ? weighBlend(made, share) : weigh(made, rowKey, share);
        // Yeast wakes in what is lukewarm, however cold the dough is to be.
        steps.push(...(step.stopAt === 'froth' && isWet(rowKey) ? weighed.map((one) => ({ ...one, atC: frothing.values.atC })) : weighed));
      }
      steps.push(...mixStep(step), ...left(step), ...frothed(step));
    }
    // What the order of mixing forgets is still part of the formula.
    for (const { key } of doughRows) if (!named.has(key)) steps.push(...weigh(made, key));
  } else {
    const wetLast = [...doughRows].sort((a, b) => Number(isWater(a.key)) - Number(isWater(b.key)));
    steps.push(
      ...weighBlend(made),
      ...wetLast.flatMap(({ key }) => weigh(made, key)),
      ...mix.flatMap((step) => [...mixStep(step), ...left(step)]),
    );
  }
  return [...heldBack(unique(steps), isWater, results.dough.spoons * spoonWaterG.value), ...feeling(made), ...foldingIn(made)];
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

function feeling({ formula, family, results: { dough } }: DoughMade): RunStep[] {
  const handling = handlingOf(formula, family);
  // Warm dough feels wetter than it is: the probe speaks before the hand, where a cold or a proof hangs on what it says.
  const matters = formula.chill.waits.length > 0 || formula.sheet.waits.length > 0 || dough.percents.yeast > 0;
  const steps: RunStep[] = matters
    ? [
        {
          key: 'doughC',
          stage: 'dough',
          kind: 'measure',
          what: 'doughTemperature',
          handsMin: hands.measure,
          measures: [{ what: 'doughC', planned: dough.doughAtC }],
        },
      ]
    : [];
  if (dough.wantsG > 0) steps.push({ key: 'feel', stage: 'dough', kind: 'feel', what: 'feel', handsMin: hands.feel, handling });
  return steps;
}

/** Pieces come last: the hand judges the dough without them, and fruit that is stirred long bleeds. */
function foldingIn(made: DoughMade): RunStep[] {
  const rows = made.formula.rows.filter(({ use, amountG }) => use === 'foldIn' && amountG > 0);
  if (rows.length === 0) return [];
  const { steps, names, amountG } = takenUp(made, rows, 'dough');
  return [...steps, stepOf('foldIn', hands.mix, { names, amountG }, { stage: 'dough' })];
}

/** A share for each good, cut off and put where it waits for its turn. */
export function divided({ formula, kitchen }: DoughMade, goods: readonly GoodOfDough[]): RunStep[] {
  const cold = formula.chill.waits.at(-1)?.placeId;
  const place = kitchen.places.find(({ id }) => id === cold) ?? kitchen.places.find(({ kind }) => kind === 'fridge') ?? kitchen.places[0];
  return goods.map(({ formulaId, version, name, doughG }, i) =>
    stepOf(
      'divide',
      hands.weigh + hands.move,
      {
        name,
        amountG: doughG,
        n: i + 1,
        of: goods.length,
        ...(place ? { place: place.name, forGood: { formulaId, version, placeId: place.id } } : {}),
      },
      { key: `divide:${i}`, stage: 'chill' },
    ),
  );
}

/** Rest, pressed flat, into the cold, and how cold it came out. */
export function chilling(made: DoughMade): RunStep[] {
  const { formula, family, results } = made;
  const { chill, restMin } = formula;
  const rest: RunStep[] = restMin > 0 ? [{ key: 'rest', stage: 'dough', kind: 'wait', what: 'rest', handsMin: 0, min: restMin }] : [];
  const waits = waitSteps(made, { name: 'cold', what: 'cold', stage: 'chill' }, chill.waits);
  // A dough with no wait of its own goes from the bowl to its tray.
  if (waits.length === 0) return rest;
  const handling = handlingOf(formula, family);
  const shape = { key: 'shape', stage: 'chill' as const, kind: 'do' as const, what: 'shape' as const, handsMin: hands.shape };
  return [
    ...rest,
    // A batter waits in its bowl.
    ...(handling === 'poured' ? [] : [{ ...shape, thicknessMm: chill.thicknessMm, form: chill.form, handling }]),
    ...waits.map((step) => ({ ...step, targetC: chill.targetC, handling })),
    {
      key: 'chilledC',
      stage: 'chill',
      kind: 'measure',
      what: 'doughTemperature',
      handsMin: hands.measure,
      measures: [{ what: 'doughC', planned: results.chill.endMiddleC }],
      handling,
    },
  ];
}
