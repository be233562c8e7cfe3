import { handsPieceMin } from '../../facts/run.js';
import { handlingOf } from '../../dough/handling.js';
import { hands, stepOf, waitSteps, weigh } from './made.js';
import { putOn } from './put-on.js';
import { goesOnOf } from '../../dough/piece/goes-on.js';
import { latticeStep, lidSteps, liningSteps, slits } from './pan-steps.js';
import type { RunStep } from '../../document/bake.js';
import type { Shape } from '../../document/formula.js';
import type { PartPlan } from '../../sheet/plan.js';
import type { Made } from './made.js';

/** Fat beaten flat and locked in, fold by fold with its rests, the last roll. */
export function laminating(made: Made): RunStep[] {
  const { formula, results } = made;
  const { folds } = formula.sheet.laminate!;
  const laminate = results.sheet.laminate!;
  // To the sheet that gives most pieces, the one that is cut.
  const { layout } = results.sheet;
  const lastSheet = layout ? { widthMm: layout.sheetWidthMm, lengthMm: layout.sheetLengthMm } : {};
  let fold = 0;
  return [
    ...formula.rows.filter(({ use }) => use === 'rollIn').flatMap(({ key }) => weigh(made, key, 1, 'sheet')),
    stepOf('flattenFat', hands.flattenFat, { ...laminate.fat }),
    ...laminate.steps.flatMap((step): RunStep[] => {
      const size = step.turn?.rolled ?? step.lies;
      const base = {
        stage: 'sheet' as const,
        kind: 'do' as const,
        handsMin: step.handsMin,
        widthMm: size.widthMm,
        lengthMm: size.lengthMm,
        thicknessMm: size.thicknessMm,
      };
      if (step.what === 'lockIn') return [{ ...base, key: 'lockIn', what: 'lockIn' }];
      if (step.what === 'lastRoll') return [{ ...base, ...lastSheet, key: 'lastRoll', what: 'lastRoll' }];
      const i = fold++;
      return [
        { ...base, key: `fold:${i}`, what: 'fold', parts: step.turn!.parts, n: i + 1, of: folds.length },
        ...waitSteps(made, { name: `foldRest:${i}`, what: 'foldRest', stage: 'sheet' }, folds[i]!.waits),
      ];
    }),
  ];
}

/** What a dough becomes in the hands, what goes on and in, and how it firms or proves. */
export function shaping(made: Made): RunStep[] {
  const { formula, results } = made;
  const steps: RunStep[] = [...putOn(made, 'shaping', { only: 'dust' }), ...shaped(made)];
  for (const [i, wait] of formula.sheet.waits.entries())
    steps.push(...putOn(made, 'wait', { n: i }), ...waitSteps(made, { name: `firm${i}`, what: 'firm', stage: 'sheet' }, [wait]));
  const { proved } = results.sheet.body;
  if (proved > 1)
    steps.push({
      key: 'proof',
      stage: 'sheet',
      kind: 'measure',
      what: 'proof',
      handsMin: hands.measure,
      measures: [{ what: 'volumeRatio', planned: proved }],
    });
  return steps;
}

function shaped(made: Made): RunStep[] {
  const { formula, family, results } = made;
  const [first] = formula.sheet.parts;
  const { pieces, pieceDoughG } = results.sheet;
  const handling = handlingOf(formula, family);
  const weighed = { amountG: pieceDoughG, pieces, measures: [{ what: 'pieceG' as const, planned: pieceDoughG }] };
  const each = (what: 'portion' | 'drop' | 'pipe' | 'pour' | 'spreadThin') => hands[what] + handsPieceMin.values[what] * pieces;
  switch (handling) {
    case 'poured':
      return [...poured(made, weighed, each('pour')), ...putOn(made, 'shaping', { but: 'dust' })];
    case 'dropped':
      return [stepOf('drop', each('drop'), weighed), ...putOn(made, 'shaping', { but: 'dust' })];
    case 'piped':
      return [stepOf('pipe', each('pipe'), weighed), ...putOn(made, 'shaping', { but: 'dust' })];
    case 'byHand':
      return [
        stepOf('portion', each('portion'), { ...weighed, form: 'ball' }),
        ...filledOrClosed(made, first!.body === 'wrapped'),
        ...pressedFlat(made),
      ];
    case 'sliced':
      return [
        stepOf('cut', hands.cut + handsPieceMin.values.cut * pieces, {
          thicknessMm: first!.thicknessMm,
          pieces,
          form: 'slice',
          measures: [{ what: 'pieces', planned: pieces }],
        }),
        ...filledOrClosed(made, false),
      ];
    case 'spread':
      return [
        stepOf('spreadThin', each('spreadThin'), {
          ...sizeOf(first!.shape),
          pieces,
          thicknessMm: first!.thicknessMm,
          measures: [{ what: 'rawMm', planned: first!.thicknessMm }],
        }),
        ...filledOrClosed(made, false),
      ];
    default:
      return outOfASheet(made);
  }
}

/** A weighed piece that is pressed flat before it bakes. */
function pressedFlat({ formula, results }: Made): RunStep[] {
  const { shape, thicknessMm } = formula.sheet.parts[0]!;
  if (shape.kind !== 'portion' || shape.form !== 'pressed') return [];
  const { pieces } = results.sheet;
  return [stepOf('pat', handsPieceMin.values.pat * pieces, { thicknessMm, pieces, measures: [{ what: 'rawMm', planned: thicknessMm }] })];
}

/** Batter to its level, in lined cups or a lined tin. */
function poured({ formula, kitchen, results }: Made, weighed: Partial<RunStep>, handsMin: number): RunStep[] {
  const pan = kitchen.pans?.find(({ id }) => id === formula.bake.panId);
  return [
    stepOf('pour', handsMin, {
      ...weighed,
      thicknessMm: results.sheet.body.heightMm,
      ...(pan ? { depthMm: pan.depthMm, form: pan.cups === undefined ? 'tin' : 'cups' } : {}),
    }),
  ];
}

/** What goes in on the table: laid in, or closed in. */
function filledOrClosed(made: Made, closed: boolean): RunStep[] {
  const { pieces } = made.results.sheet;
  return [
    ...putOn(made, 'shaping', { but: 'dust' }),
    ...(closed
      ? [stepOf('close', hands.close + handsPieceMin.values.close * pieces, { pieces }), ...slits(made.formula.sheet.parts[0]!)]
      : []),
  ];
}

/** Rolled, pressed or patted, part by part in the order they are laid: cut or lined, filled, covered. */
function outOfASheet(made: Made): RunStep[] {
  const { formula, results } = made;
  const { sheet } = formula;
  const { pieces } = results.sheet;
  const shapes = new Map(sheet.parts.map((part) => [part.key, part]));
  const over = (kind: Shape['kind']) => kind === 'lid' || kind === 'lattice';
  const under = results.sheet.parts.filter(({ kind }) => !over(kind));
  const lids = results.sheet.parts.filter(({ kind }) => over(kind));
  const lined = under.some(({ kind }) => kind === 'lining' || kind === 'base' || kind === 'side');
  const cut = sheet.cut === undefined || sheet.cut === 'raw';
  const steps: RunStep[] = rolledOut(made, under);
  if (lined) steps.push(...liningSteps(made));
  else if (cut) steps.push(...cutSteps(made, under));
  if (lined && sheet.dockPitchMm !== undefined) steps.push(prick(made));
  const { body } = sheet.parts[0]!;
  steps.push(...filledOrClosed(made, body === 'wrapped'), ...topped(made, cut && !lined ? under : []));
  if (under.some(({ kind }) => kind === 'freeForm'))
    steps.push(stepOf('foldOver', hands.foldOver, { ...foldOf(sheet.parts[0]!.shape), pieces }));
  if (body === 'rolledUp') steps.push(stepOf('rollUp', hands.rollUp + handsPieceMin.values.rollUp * pieces, { pieces }));
  for (const plan of lids) {
    const part = shapes.get(plan.key)!;
    steps.push(...rolledOut(made, [plan], under.length > 0), ...(plan.kind === 'lid' ? lidSteps(made, part) : latticeStep(made, part)));
  }
  if (formula.bake.steps[0]!.weighted) steps.push(stepOf('weightsIn', hands.weightsIn, { pieces }));
  return steps;
}

/** A second round over what is filled on the table: pressed shut at its edge, and slit. */
function topped(made: Made, under: readonly PartPlan[]): RunStep[] {
  const { parts } = made.formula.sheet;
  const filled = made.formula.rows.some((row) => row.use === 'filling' && goesOnOf(row)?.at === 'shaping');
  const top = parts[parts.length - 1]!;
  return under.length > 1 && filled ? lidSteps(made, top) : [];
}

const prick = ({ formula: { sheet } }: Made): RunStep =>
  stepOf('prick', hands.prick, { dockMm: sheet.dockPitchMm!, dockStaggered: sheet.dockPattern === 'staggered' });

const foldOf = (shape: Shape): Partial<RunStep> =>
  shape.kind === 'freeForm' ? { widthMm: shape.filledMm, thicknessMm: shape.foldMm } : {};

function sizeOf(shape: Shape): Partial<RunStep> {
  return {
    ...('widthMm' in shape ? { widthMm: shape.widthMm } : {}),
    ...('lengthMm' in shape ? { lengthMm: shape.lengthMm } : {}),
    ...('acrossMm' in shape ? { widthMm: shape.acrossMm } : {}),
    ...(shape.kind === 'freeForm' ? { widthMm: shape.filledMm + 2 * shape.foldMm } : {}),
  };
}

/** Chips and fruit in the dough: no sheet is thinner than they are. */
function foldedNames({ formula, pantry }: Made): Pick<RunStep, 'names'> {
  const folded = formula.rows.filter(({ use, amountG }) => use === 'foldIn' && amountG > 0);
  return folded.length === 0 ? {} : { names: folded.map(({ ingredientId }) => pantry.ingredients[ingredientId]?.name ?? ingredientId) };
}

/** To its thickness under the pin, or pressed in or patted flat; parts of one thickness out of one sheet. */
function rolledOut(made: Made, plans: readonly PartPlan[], again = false): RunStep[] {
  const { formula, family, results } = made;
  const { sheet } = formula;
  const { layout, lots, pieces } = results.sheet;
  const handling = handlingOf(formula, family);
  // The last roll of a laminated dough is its own step.
  if (handling === 'laminated') return [];
  return plans.flatMap((plan, i): RunStep[] => {
    if (i > 0 && plan.thicknessMm === plans[0]!.thicknessMm) return [];
    const base = {
      key: `roll:${plan.key}`,
      thicknessMm: plan.thicknessMm,
      form: plan.kind,
      measures: [{ what: 'rawMm' as const, planned: plan.thicknessMm }],
      ...foldedNames(made),
    };
    if (handling === 'pressedIn')
      return [
        stepOf('pressIn', hands.pressIn + handsPieceMin.values.pressIn * pieces, { ...base, pieces, amountG: results.sheet.pieceDoughG }),
      ];
    if (handling === 'patted') return [stepOf('pat', hands.pat * lots, { ...base, ...sizeOf(sheet.parts[0]!.shape), pieces })];
    return [
      stepOf('roll', hands.roll * lots, {
        ...base,
        lots,
        ...(layout && i === 0 && !again ? { widthMm: layout.sheetWidthMm, lengthMm: layout.sheetLengthMm } : {}),
        ...(sheet.bandsMm === undefined ? {} : { bandsMm: sheet.bandsMm }),
      }),
    ];
  });
}

/** Cut out of the sheet, counted; tops with windows beside their bottoms. */
function cutSteps(made: Made, plans: readonly PartPlan[]): RunStep[] {
  const { formula, results } = made;
  const { sheet } = formula;
  const { pieces, lots } = results.sheet;
  const first = sheet.parts[0]!;
  const cuts = pieces * plans.reduce((sum, { perPiece }) => sum + perPiece, 0);
  const windowed = sheet.parts.filter(({ window }) => window !== undefined);
  const windows = pieces * windowed.reduce((sum, { perPiece }) => sum + perPiece, 0);
  return [
    stepOf('cut', hands.cut * lots + handsPieceMin.values.cut * cuts, {
      pieces: cuts,
      form: first.shape.kind,
      ...(sheet.dockPitchMm === undefined ? {} : { dockMm: sheet.dockPitchMm, dockStaggered: sheet.dockPattern === 'staggered' }),
      ...sizeOf(first.shape),
      measures: [...(sheet.laminate ? [{ what: 'rawMm' as const, planned: first.thicknessMm }] : []), { what: 'pieces', planned: pieces }],
    }),
    ...(windows > 0
      ? [stepOf('windows', handsPieceMin.values.windows * windows, { pieces: windows, ...sizeOf(windowed[0]!.window!) })]
      : []),
  ];
}
