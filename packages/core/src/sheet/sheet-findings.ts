import { handlingOf, isUnderPin } from '../dough/handling.js';
import { eggWarmMostMin } from '../chill/chill-findings.js';
import { learnedOf } from '../document/kitchen.js';
import { shortenedTo, warmMin, warmStretches } from '../dough/warm-clock.js';
import { scrapLimit, thicknessFix } from '../facts/dough.js';
import { judged } from '../facts/judgements.js';
import { restAndStand } from '../facts/mixing.js';
import { layerFloors, slabUnlike } from '../facts/laminating.js';
import { batterFill, shelvesEvenK } from '../facts/sheet.js';
import { finding } from '../findings/judge.js';
import { cutterOf, fittingCutter, needsCutter } from './cut/cutters.js';
import { filledPan } from './fill-pan.js';
import { usualFolds } from './layers/laminate.js';
import { isCutShape } from './plan.js';
import { roundTo } from '../units/rounding.js';
import { trayOf } from '../pan/pan.js';
import type { Edit } from '../document/edits.js';
import { isOfDough, type Formula } from '../document/formula.js';
import type { Kitchen, Oven } from '../document/kitchen.js';
import type { DoughResult } from '../dough/dough.js';
import type { Family } from '../facts/families.js';
import type { Finding } from '../findings/finding.js';
import type { LaminateResult } from './layers/lamination.js';
import type { SheetResult } from './sheet-result.js';
import type { Case } from '../document/case.js';

/** Everything worth saying of a sheet, its pieces, its trays and its layers. */
export function sheetFindings({ formula, family, kitchen }: Case, dough: DoughResult, result: SheetResult): Finding[] {
  return [
    ...thicknessFindings(formula, family, result),
    ...cutFindings({ formula, family, kitchen }, result),
    ...fillFindings(formula, kitchen, result),
    ...trayFindings(formula, kitchen, result),
    ...warmFindings(formula, kitchen, dough),
    ...(result.laminate ? layerFindings(formula, kitchen, dough, result.laminate) : unfolded(family, kitchen, dough)),
  ];
}

function unfolded(family: Family, kitchen: Kitchen, { rollIn }: DoughResult): Finding[] {
  if (!rollIn) return [];
  const folds = usualFolds(family, kitchen);
  const edits = folds ? [{ path: '/sheet/laminate', to: folds as never }] : undefined;
  return [finding('sheet.notFolded', 'fix', 'sheet', { path: 'dough.rollIn.massG', value: rollIn.massG }, edits)];
}

function thicknessFindings(formula: Formula, family: Family, { thicknessMm }: SheetResult): Finding[] {
  const [low, , high] = family.thicknessMm;
  // Under the pin it is rolled thinner, elsewhere made so.
  const of = isUnderPin(handlingOf(formula, family)) ? { of: 'pin' } : {};
  const measured = { path: 'sheet.thicknessMm', value: thicknessMm, low, high, ...of };
  // A weighed ball stands as high as it is.
  const { shape } = formula.sheet.parts[0]!;
  if (shape.kind === 'portion' && (shape.form === 'ball' || shape.form === 'poured')) return [];
  const edits = (to: number): Edit[] => [
    { path: '/sheet/parts/0/thicknessMm', from: thicknessMm, to },
    ...(formula.sheet.bandsMm === undefined ? [] : [{ path: '/sheet/bandsMm', from: formula.sheet.bandsMm, to }]),
  ];
  if (thicknessMm > high) {
    return [finding('sheet.tooThick', thicknessMm > thicknessFix.values.high * high ? 'fix' : 'watch', 'sheet', measured, edits(high))];
  }
  return thicknessMm < low
    ? [finding('sheet.tooThin', thicknessMm < thicknessFix.values.low * low ? 'fix' : 'watch', 'sheet', measured, edits(low))]
    : [];
}

/** Every gram of the dough so many times, a hair more so that rounding leaves it enough. */
function largerBatch({ blendG, rows }: Formula, factor: number): Edit[] {
  const more = (g: number) => roundTo(g * factor, 0.1, 'up');
  return [
    { path: '/blendG', from: blendG, to: more(blendG) },
    ...rows.flatMap(({ use, amountG }, i): Edit[] =>
      (isOfDough({ use }) || use === 'dust') && amountG > 0 ? [{ path: `/rows/${i}/amountG`, from: amountG, to: more(amountG) }] : [],
    ),
  ];
}

function cutFindings({ formula, family, kitchen }: Omit<Case, 'pantry'>, result: SheetResult): Finding[] {
  const found: Finding[] = [];
  const { sheet } = formula;
  if (result.shortFactor !== null) {
    const measured = { path: 'sheet.pieces', value: 1 / result.shortFactor, high: 1 };
    found.push(finding('sheet.shortBatch', 'fix', 'sheet', measured, largerBatch(formula, result.shortFactor)));
    return found;
  }
  if (result.pieces === 0) {
    const [first] = result.parts;
    const of = first ? `${Math.round(first.widthMm)} x ${Math.round(first.lengthMm)} mm` : '';
    found.push(finding('sheet.noPiece', 'fix', 'sheet', { path: 'sheet.pieces', value: 0, of }));
    return found;
  }
  found.push(...cutterFindings(formula, kitchen));
  const whole = sheet.cut === 'hot' || sheet.cut === 'cold';
  // Half triangles are eaten too.
  const lost = result.scrapShare * (1 - Math.min(1, (result.halves * result.pieceDoughG) / 2 / result.scrapG));
  if (lost > scrapLimit.value) {
    const again = sheet.reroll === 'no' && !sheet.laminate && !whole ? [{ path: '/sheet/reroll', from: 'no', to: 'tillGone' }] : undefined;
    found.push(
      finding(
        'sheet.scrapHigh',
        'watch',
        'sheet',
        { path: 'sheet.scrapShare', value: lost, high: scrapLimit.value, of: sheet.reroll === 'no' && !sheet.laminate ? 'once more' : '' },
        again,
      ),
    );
  }
  if (sheet.laminate && sheet.reroll !== 'no') {
    found.push(
      finding('sheet.layersLost', 'watch', 'sheet', { path: 'sheet.scrapG', value: result.scrapG }, [
        { path: '/sheet/reroll', from: sheet.reroll, to: 'no' },
      ]),
    );
  }
  const { mat } = kitchen;
  // Only what is rolled lies on the mat.
  if (mat && result.layout && isUnderPin(handlingOf(formula, family))) {
    const lots = lotsForMat(result, mat);
    if (lots > sheet.lots) {
      found.push(
        finding(
          'sheet.overMat',
          'watch',
          'sheet',
          { path: 'sheet.lots', value: sheet.lots, low: lots, of: `${mat.widthMm} x ${mat.lengthMm} mm` },
          [{ path: '/sheet/lots', from: sheet.lots, to: lots }],
        ),
      );
    }
  }
  return found;
}

/** Batter that has no room to rise in its cup or tin, or hardly covers the floor of its cup. */
function fillFindings(formula: Formula, kitchen: Kitchen, result: SheetResult): Finding[] {
  const { body, pieces } = result;
  const { parts } = formula.sheet;
  const { bake } = formula;
  const pan = kitchen.pans?.find(({ id }) => id === bake.panId);
  const { shape } = parts[0]!;
  if (body.form !== 'poured' || !pan || shape.kind !== 'portion' || pieces === 0) return [];
  const { aim, watch, over, under } = batterFill.values;
  const share = body.heightMm / pan.depthMm;
  // A cup is made for one height; a tin is as often filled low on purpose.
  if (share < under && pan.cups !== undefined) {
    const measured = { path: 'sheet.body.heightMm', value: body.heightMm, high: pan.depthMm, low: aim * pan.depthMm };
    return [finding('sheet.underfull', 'watch', 'sheet', measured, filledPan(formula, kitchen, result)?.edits)];
  }
  if (share <= watch) return [];
  const to = roundTo((shape.pieceG * aim) / share, 1, 'down');
  const measured = { path: 'sheet.body.heightMm', value: body.heightMm, high: pan.depthMm, low: aim * pan.depthMm };
  const edits = to > 0 ? [{ path: '/sheet/parts/0/shape/pieceG', from: shape.pieceG, to }] : undefined;
  return [finding('sheet.overfull', share >= over ? 'fix' : 'watch', 'sheet', measured, edits)];
}

/** A round, hexagon or heart of a size that no cutter here has: the nearest of its kind, where there is one near enough. */
function cutterFindings({ sheet: { parts } }: Formula, { cutters = [] }: Kitchen): Finding[] {
  const { shape } = parts[0]!;
  if (!isCutShape(shape) || !needsCutter(shape) || !('acrossMm' in shape) || cutters.length === 0 || cutterOf(shape, cutters)) return [];
  const to = fittingCutter(shape, cutters);
  // Bottoms and tops of a pair are cut with one cutter.
  const edits = parts.flatMap(({ shape: one }, i): Edit[] =>
    to && one.kind === shape.kind && one.acrossMm === shape.acrossMm
      ? [{ path: `/sheet/parts/${i}/shape/acrossMm`, from: one.acrossMm, to: to.acrossMm }]
      : [],
  );
  return [finding('sheet.noCutter', 'note', 'sheet', { path: 'sheet.parts', value: shape.acrossMm, of: to?.name ?? '' }, edits)];
}

/** Equal lots that the dough has to be rolled in for each sheet to lie on the mat. */
export function lotsForMat({ layout, lots }: Pick<SheetResult, 'layout' | 'lots'>, mat: NonNullable<Kitchen['mat']>): number {
  if (!layout) return lots;
  const [short, long] = [layout.sheetWidthMm, layout.sheetLengthMm].sort((a, b) => a - b) as [number, number];
  const [matShort, matLong] = [mat.widthMm, mat.lengthMm].sort((a, b) => a - b) as [number, number];
  if (short <= matShort && long <= matLong) return lots;
  return Math.ceil((lots * layout.sheetWidthMm * layout.sheetLengthMm) / (mat.widthMm * mat.lengthMm));
}

function trayFindings(formula: Formula, kitchen: Kitchen, result: SheetResult): Finding[] {
  const tray = trayOf(kitchen, formula.bake.trayId);
  const found: Finding[] = [];
  const pan = kitchen.pans?.find(({ id }) => id === formula.bake.panId);
  if (!pan && result.pieces > 0 && result.piecesPerTray === 0) {
    found.push(finding('sheet.offTray', 'fix', 'sheet', { path: 'sheet.piecesPerTray', value: 0, of: tray.name }));
  } else if (!pan && result.traysNeeded > tray.count) {
    found.push(finding('sheet.traysShort', 'note', 'sheet', { path: 'sheet.traysNeeded', value: result.traysNeeded, high: tray.count }));
  }
  if (!pan && formula.sheet.trayGapMm !== undefined && result.gapMm < result.spreadsMm) {
    const { trayGapMm } = formula.sheet;
    found.push(
      finding('sheet.runTogether', 'watch', 'sheet', { path: 'sheet.trayGapMm', value: trayGapMm, low: result.spreadsMm }, [
        { path: '/sheet/trayGapMm', from: trayGapMm },
      ]),
    );
  }
  if (pan && result.pieces > pan.count * (pan.cups ?? 1)) {
    found.push(
      finding('sheet.pansShort', 'note', 'sheet', {
        path: 'sheet.pieces',
        value: result.pieces,
        high: pan.count * (pan.cups ?? 1),
        of: pan.name,
      }),
    );
  }
  const oven = kitchen.ovens.find(({ id }) => id === formula.bake.ovenId);
  const apart = oven ? shelvesApartK(oven) : null;
  if (formula.bake.traysAtOnce === 2 && result.traysNeeded > 1 && apart !== null && apart > shelvesEvenK.value) {
    found.push(
      finding(
        'sheet.shelvesUneven',
        'watch',
        'sheet',
        { path: 'bake.traysAtOnce', value: apart, high: shelvesEvenK.value, of: oven!.name },
        [{ path: '/bake/traysAtOnce', from: 2, to: 1 }],
      ),
    );
  }
  return found;
}

/**
 * How far the means of an oven's shelves lie apart, K; null where fewer than two were measured.
 *
 * Units    K.
 * Throws   nothing.
 * Findings none.
 * Source   none.
 *
 * @example
 * shelvesApartK({ hotSpots: [{ shelf: 'top', side: 'back', aboveC: 6 }, { shelf: 'middle', side: 'back', aboveC: 1 }] }); // => 5
 */
export function shelvesApartK({ hotSpots = [] }: Pick<Oven, 'hotSpots'>): number | null {
  const means = [...new Set(hotSpots.map(({ shelf }) => shelf))].map((shelf) => {
    const on = hotSpots.filter((spot) => spot.shelf === shelf);
    return on.reduce((sum, { aboveC }) => sum + aboveC, 0) / on.length;
  });
  return means.length < 2 ? null : Math.max(...means) - Math.min(...means);
}

function layerFindings(formula: Formula, kitchen: Kitchen, dough: DoughResult, result: LaminateResult): Finding[] {
  const found: Finding[] = [];
  const plan = formula.sheet.laminate!;
  const folds = plan.folds;
  // A baker's own word goes before what bakes taught; the floor that tears keeps its share of the one that is worth a look.
  const floor = kitchen.judgements?.doughLayerWatch === undefined ? learnedOf(kitchen, 'layerFloor', formula.family)?.value : undefined;
  const watch = floor ?? judged(kitchen.judgements, 'doughLayerWatch');
  const fix =
    floor === undefined ? judged(kitchen.judgements, 'doughLayerFix') : (floor * layerFloors.values.fixUm) / layerFloors.values.watchUm;
  if (result.doughUm < watch) {
    const last = folds.length - 1;
    const edits = last >= 0 ? [{ path: `/sheet/laminate/folds/${last}`, from: folds[last] as never }] : undefined;
    found.push(
      finding(
        'sheet.layersThin',
        result.doughUm < fix ? 'fix' : 'watch',
        'sheet',
        { path: 'sheet.laminate.doughUm', value: result.doughUm, low: watch },
        edits,
      ),
    );
  }
  const ratio = result.fat.thicknessMm / (result.dough.thicknessMm * (plan.lockIn === 'inverse' ? 0.5 : 1));
  if (ratio > slabUnlike.value || ratio < 1 / slabUnlike.value) {
    found.push(
      finding('sheet.slabUnlike', 'watch', 'sheet', {
        path: 'sheet.laminate.fat.thicknessMm',
        value: result.fat.thicknessMm,
        of: `${plan.doughMm}`,
      }),
    );
  }
  const [low, high] = result.windowC;
  result.steps.forEach((step, i) => {
    if (step.what === 'lockIn') return;
    const rest = result.steps[i - 1]!;
    const fold = i - 2;
    const waits = folds[fold]?.waits;
    const name = step.what === 'fold' ? `Fold ${i}` : 'The last roll';
    const measured = { path: 'sheet.laminate.steps', low, high, of: name };
    if (waits && waits.length === 0) {
      const fridge = kitchen.places.find(({ kind }) => kind === 'fridge');
      const edits = fridge ? [{ path: `/sheet/laminate/folds/${fold}/waits/0`, to: { placeId: fridge.id, min: 30 } }] : undefined;
      found.push(finding('sheet.noRest', 'watch', 'sheet', { ...measured, value: 0 }, edits));
    }
    if (step.toC > high + 0.5) {
      const needs = rest.restNeeds;
      const now = needs && waits?.[needs.wait];
      const path = `/sheet/laminate/folds/${fold}/waits/${needs?.wait}/min`;
      const edits = now && needs.min > now.min ? [{ path, from: now.min, to: needs.min }] : undefined;
      found.push(finding('sheet.foldWarm', step.toC > high + 4 ? 'fix' : 'watch', 'sheet', { ...measured, value: step.toC }, edits));
    } else if ((step.fromC + step.toC) / 2 < low) {
      // Stiff is judged by the middle of the work: it softens under the pin.
      const table = kitchen.places.find(({ kind }) => kind === 'bench');
      const to = table && step.standMin !== null ? { placeId: table.id, min: step.standMin } : null;
      const last = waits?.[waits.length - 1];
      const path = `/sheet/laminate/folds/${fold}/waits`;
      const edits =
        !waits || !to
          ? undefined
          : last?.placeId === to.placeId
            ? [{ path: `${path}/${waits.length - 1}/min`, from: last.min, to: last.min + to.min }]
            : [{ path: `${path}/${waits.length}`, to }];
      found.push(finding('sheet.foldHard', 'watch', 'sheet', { ...measured, value: step.fromC }, edits));
    }
  });
  return [...found, ...proofFindings(formula, kitchen, dough, result)];
}

/** From first wetting to the oven, everything together: egg two hours, wet starch four. */
function warmFindings(formula: Formula, kitchen: Kitchen, { doughEggG, standingMin: standMin }: DoughResult): Finding[] {
  const all = warmStretches(formula, kitchen);
  const before = all.filter(({ stage }) => stage !== 'sheet');
  const { warmMostMin } = restAndStand.values;
  const eggMost = eggWarmMostMin(all);
  // What is too long before the sheet already is said there.
  const egg = doughEggG > 0 && warmMin(all) > eggMost && warmMin(before) <= eggMost;
  if (!egg && (warmMin(all) <= warmMostMin || standMin > warmMostMin || (doughEggG > 0 && warmMin(before) > eggMost))) return [];
  const [high, of] = egg ? [eggMost, 'raw egg'] : [warmMostMin, 'wet starch'];
  const measured = { path: 'sheet.waits', value: warmMin(all), high, of };
  return [{ ...finding('sheet.warmTooLong', 'fix', 'sheet', measured, shortenedTo(all, high)), unsafe: true }];
}

function proofFindings(formula: Formula, kitchen: Kitchen, dough: DoughResult, { proofMostC }: LaminateResult): Finding[] {
  if (dough.percents.yeast <= 0 || proofMostC === null) return [];
  return formula.sheet.waits.flatMap(({ placeId }) => {
    const place = kitchen.places.find(({ id }) => id === placeId);
    return place && place.atC > proofMostC
      ? [
          finding('sheet.proofWarm', 'fix', 'sheet', {
            path: 'sheet.laminate.proofMostC',
            value: place.atC,
            high: proofMostC,
            of: place.name,
          }),
        ]
      : [];
  });
}
