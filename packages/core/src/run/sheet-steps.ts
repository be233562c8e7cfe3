import { goingOn, hands, waitSteps, weigh } from './made.js';
import type { RunStep } from '../document/bake.js';
import type { Made } from './made.js';

/** Fat locked in, fold by fold with its rests, the last roll. */
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

/** Rolled or divided, cut, put into pans, firmed or proved; what goes on in shaping. */
export function shaping(made: Made): RunStep[] {
  const { formula, results } = made;
  const { sheet } = formula;
  const { pieces, lots, parts, pieceDoughG } = results.sheet;
  const dusts = formula.rows.filter(({ use }) => use === 'dust').map(({ key }) => key);
  const shapingRows = goingOn(made, 'shaping');
  const first = sheet.parts[0]!;
  const form = first.shape.kind;
  const weighed = form === 'portion';
  const panParts = sheet.parts.some(({ shape }) => ['lining', 'base', 'side', 'lid', 'lattice', 'freeForm'].includes(shape.kind));
  const steps: RunStep[] = [...shapingRows.filter(({ rowKey }) => dusts.includes(rowKey!))];
  if (weighed) {
    steps.push({
      key: 'portion',
      stage: 'sheet',
      kind: 'do',
      what: 'portion',
      handsMin: hands.portion,
      amountG: pieceDoughG,
      pieces,
      measures: [{ what: 'pieceG', planned: pieceDoughG }],
    });
  } else if (form === 'slice') {
    steps.push({
      key: 'cut',
      stage: 'sheet',
      kind: 'do',
      what: 'cut',
      handsMin: hands.cut,
      thicknessMm: first.thicknessMm,
      pieces,
      form,
      measures: [{ what: 'pieces', planned: pieces }],
    });
  } else {
    if (!sheet.laminate)
      for (const [i, part] of parts.entries()) {
        if (i > 0 && part.thicknessMm === parts[0]!.thicknessMm) continue;
        steps.push({
          key: `roll:${part.key}`,
          stage: 'sheet',
          kind: 'do',
          what: 'roll',
          handsMin: hands.roll * lots,
          thicknessMm: part.thicknessMm,
          lots,
          ...(results.sheet.layout && i === 0
            ? { widthMm: results.sheet.layout.sheetWidthMm, lengthMm: results.sheet.layout.sheetLengthMm }
            : {}),
          form: part.kind,
          ...(sheet.bandsMm === undefined ? {} : { bandsMm: sheet.bandsMm }),
          measures: [{ what: 'rawMm', planned: part.thicknessMm }],
        });
      }
    if (sheet.cut === undefined || sheet.cut === 'raw')
      steps.push({
        key: 'cut',
        stage: 'sheet',
        kind: 'do',
        what: panParts ? 'pan' : 'cut',
        handsMin: (panParts ? hands.pan : hands.cut) * lots,
        pieces,
        form,
        ...(sheet.dockPitchMm === undefined ? {} : { dockMm: sheet.dockPitchMm, dockStaggered: sheet.dockPattern === 'staggered' }),
        ...('widthMm' in first.shape ? { widthMm: first.shape.widthMm } : {}),
        ...('lengthMm' in first.shape ? { lengthMm: first.shape.lengthMm } : {}),
        ...('acrossMm' in first.shape ? { widthMm: first.shape.acrossMm } : {}),
        measures: [
          ...(sheet.laminate ? [{ what: 'rawMm' as const, planned: first.thicknessMm }] : []),
          { what: 'pieces', planned: pieces },
        ],
      });
  }
  steps.push(...shapingRows.filter(({ rowKey }) => !dusts.includes(rowKey!)));
  for (const [i, wait] of sheet.waits.entries())
    steps.push(...goingOn(made, 'wait', i), ...waitSteps(made, { name: `firm${i}`, what: 'firm', stage: 'sheet' }, [wait]));
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
