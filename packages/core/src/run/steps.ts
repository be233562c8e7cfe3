import { dialFor, ovenOf } from '../bake/oven.js';
import { BLEND, isOfDough } from '../document/formula.js';
import { goesOnOf } from '../dough/goes-on.js';
import { isMixStructured } from '../dough/mix.js';
import { mixWords } from '../entry/mix-words.js';
import { InputError } from '../errors.js';
import { spoonWaterG } from '../facts/dough.js';
import { doneNearMin, handsMin, heatUpMin } from '../facts/run.js';
import { isPouredWater } from '../ingredient/roles.js';
import { HOT_TRAY } from '../keep/cooling.js';
import { dialWords } from '../units/dial.js';
import { timeline } from './times.js';
import type { LooksStudy } from '../bake/looks-study.js';
import type { RunStep } from '../document/bake.js';
import type { Formula, GoesOn, Wait } from '../document/formula.js';
import type { Kitchen } from '../document/kitchen.js';
import type { Pantry } from '../document/pantry.js';
import type { Evaluation } from '../evaluate.js';

export type PlannedLook = LooksStudy['looks'][number];

type Made = {
  readonly formula: Formula;
  readonly kitchen: Kitchen;
  readonly pantry: Pantry;
  readonly results: ResultsOf;
  readonly looks: readonly PlannedLook[];
};
type ResultsOf = {
  readonly [K in Exclude<keyof Evaluation, 'outlook'>]: Extract<Evaluation[K], { result: unknown }>['result'];
};

/**
 * The steps of a run: weighing in the order of the mix, the hand's word, cold, roll or folds, oven loads with their looks, cooling, rating.
 *
 * Every gram of the formula is weighed in one step or in parts that sum to it; spoons held back are part of their row.
 *
 * Units    g, min, mm, C.
 * Throws   InputError at the problem of the first stage that could not be worked out.
 * Findings none.
 * Source   the formula and what its stages gave; minutes of hands facts/run (judgement).
 *
 * @param formula as it will be made, already scaled
 * @param looks of the first load; none: one look about when it should be done
 */
export function runSteps(
  formula: Formula,
  kitchen: Kitchen,
  pantry: Pantry,
  evaluation: Evaluation,
  looks: readonly PlannedLook[] = [],
): RunStep[] {
  const made: Made = { formula, kitchen, pantry, results: resultsOf(evaluation), looks };
  const steps = [
    ...mixing(made),
    ...chilling(made),
    ...(formula.sheet.laminate ? laminating(made) : []),
    ...shaping(made),
    ...baking(made),
    ...after(made),
  ];
  return withOvenOn(steps, made);
}

function resultsOf(evaluation: Evaluation): ResultsOf {
  const { outlook: _outlook, ...stages } = evaluation;
  return Object.fromEntries(
    Object.entries(stages).map(([name, stage]) => {
      if (stage.state === 'waiting') throw new InputError(stage.problem?.path ?? name, stage.problem?.message ?? 'could not be worked out');
      return [name, stage.result];
    }),
  ) as ResultsOf;
}

const hands = handsMin.values;

/** What is weighed of a row, all of it or a share. */
function weigh({ formula, pantry }: Made, rowKey: string, share = 1, stage: RunStep['stage'] = 'dough'): RunStep[] {
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

const weighBlend = (made: Made, share = 1): RunStep[] =>
  made.formula.blend.rows.flatMap(({ key }) => weigh(made, key, share).map((step) => ({ ...step, stage: 'blend' as const })));

function mixing(made: Made): RunStep[] {
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
  const steps: RunStep[] = [];
  if (!poured && dough.wantsG > 0) steps.push({ key: 'feel', stage: 'dough', kind: 'feel', what: 'feel', handsMin: hands.feel });
  steps.push({
    key: 'doughC',
    stage: 'dough',
    kind: 'measure',
    what: 'doughTemperature',
    handsMin: hands.measure,
    measures: [{ what: 'doughC', planned: dough.doughAtC }],
  });
  return steps;
}

const placeName = ({ kitchen }: Made, placeId: string) =>
  placeId === HOT_TRAY ? 'the hot tray' : (kitchen.places.find(({ id }) => id === placeId)?.name ?? placeId);

const waitSteps = (made: Made, name: string, what: RunStep['what'], stage: RunStep['stage'], waits: readonly Wait[]): RunStep[] =>
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

function chilling(made: Made): RunStep[] {
  const { formula, results } = made;
  const { chill, restMin } = formula;
  const rest: RunStep[] = restMin > 0 ? [{ key: 'rest', stage: 'dough', kind: 'wait', what: 'rest', handsMin: 0, min: restMin }] : [];
  return [
    ...rest,
    { key: 'shape', stage: 'chill', kind: 'do', what: 'shape', handsMin: hands.shape, thicknessMm: chill.thicknessMm, form: chill.form },
    ...waitSteps(made, 'cold', 'cold', 'chill', chill.waits).map((step) => ({ ...step, targetC: chill.targetC })),
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

function laminating(made: Made): RunStep[] {
  const { formula, results } = made;
  const { folds } = formula.sheet.laminate!;
  const laminate = results.sheet.laminate!;
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
      if (step.what === 'lastRoll') return [{ ...base, key: 'lastRoll', what: 'lastRoll' }];
      const i = fold++;
      return [
        { ...base, key: `fold:${i}`, what: 'fold', parts: step.turn!.parts, n: i + 1, of: folds.length },
        ...waitSteps(made, `foldRest:${i}`, 'foldRest', 'sheet', folds[i]!.waits),
      ];
    }),
  ];
}

/** Rows that go on at a place of the work, other than dough. */
function goingOn(made: Made, at: GoesOn['at'], n?: number): RunStep[] {
  return made.formula.rows
    .filter((row) => {
      const on = goesOnOf(row);
      return !isOfDough(row) && on !== null && on.at === at && (!('n' in on) || on.n === n);
    })
    .flatMap(({ key }) => weigh(made, key, 1, at === 'hot' || at === 'cooled' || at === 'serving' ? 'keep' : 'sheet'));
}

function shaping(made: Made): RunStep[] {
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
        ...(sheet.dockPitchMm === undefined ? {} : { dockMm: sheet.dockPitchMm }),
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
    steps.push(...goingOn(made, 'wait', i), ...waitSteps(made, `firm${i}`, 'firm', 'sheet', [wait]));
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

function baking(made: Made): RunStep[] {
  const { formula, kitchen, results } = made;
  const oven = ovenOf(kitchen, formula.bake.ovenId);
  const { loads } = results.sheet;
  const { steps: settings } = formula.bake;
  const dialOf = (wantC: number | null) => (wantC === null ? 'off' : dialWords(oven.dialUnit, dialFor(oven, wantC)));
  const looks = looksOf(made);
  const steps: RunStep[] = goingOn(made, 'bakeStep', 0);
  for (let load = 1; load <= loads; load++) {
    const base = { stage: 'bake' as const, load, loads };
    if (load === 1)
      steps.push({ ...base, key: 'load', kind: 'measure', what: 'load', handsMin: hands.weighLoad, measures: [{ what: 'rawG' }] });
    steps.push({
      ...base,
      key: `in:${load}`,
      kind: 'do',
      what: 'putIn',
      handsMin: hands.putIn,
      oven: oven.name,
      dial: dialOf(settings[0]!.wantC),
    });
    steps.push(...inOven(made, base, looks, oven.name, dialOf));
    steps.push({
      ...base,
      key: `out:${load}`,
      kind: 'measure',
      what: 'out',
      handsMin: hands.out,
      measures: [
        { what: 'bakeMin', planned: results.bake.totalMin },
        ...(load === 1 ? [{ what: 'bakedG' as const }] : []),
        { what: 'topTone', planned: results.bake.end.topTone },
        { what: 'baseTone', planned: results.bake.end.baseTone },
        ...(results.bake.coreC === null ? [] : [{ what: 'coreC' as const, planned: results.bake.coreC }]),
      ],
    });
  }
  return steps;
}

/** Settings of the dial and looks, each after its wait, in the order of time. Looks before a later setting are left out. */
function inOven(
  made: Made,
  base: { stage: 'bake'; load: number; loads: number },
  looks: readonly PlannedLook[],
  oven: string,
  dialOf: (wantC: number | null) => string,
): RunStep[] {
  const { settings, load } = { settings: made.formula.bake.steps, load: base.load };
  const since = `in:${load}`;
  let at = 0;
  const changes = settings.slice(1).map((setting, i): { atMin: number; make: () => RunStep[] } => {
    at += settings[i]!.min;
    return {
      atMin: at,
      make: () => [
        ...(load === 1 ? goingOn(made, 'bakeStep', i + 1) : []),
        {
          ...base,
          key: `set:${load}:${i + 1}`,
          kind: 'do',
          what: 'nextSetting',
          handsMin: hands.dial,
          oven,
          dial: dialOf(setting.wantC),
          does: setting.name,
          turn: setting.turn === true,
          weightsOff: settings[i]!.weighted === true && setting.weighted !== true,
        },
      ],
    };
  });
  const last = changes.at(-1)?.atMin ?? 0;
  const events = [
    ...changes,
    ...looks
      .filter(({ atMin }) => atMin > last + 0.25)
      .map((look, i) => ({
        atMin: look.atMin,
        make: (): RunStep[] => [
          {
            ...base,
            key: `look:${load}:${i}`,
            kind: 'look',
            what: 'look',
            handsMin: hands.look,
            min: look.atMin,
            since,
            oven,
            topTone: look.topTone,
            baseTone: look.baseTone,
            coldestC: look.coldestC,
            moistureShare: look.moistureShare,
            doneShare: look.doneShare,
            n: i + 1,
            of: looks.length,
          },
        ],
      })),
  ];
  return events.flatMap(({ atMin, make }, i) => [
    { ...base, key: `bake:${load}:${i}`, kind: 'wait' as const, what: 'inOven' as const, handsMin: 0, min: atMin, since, oven },
    ...make(),
  ]);
}

function looksOf({ looks, results: { bake } }: Made): readonly PlannedLook[] {
  if (looks.length > 0) return looks;
  const { curve, done, totalMin, end } = bake;
  const about = done?.value ?? totalMin;
  return [about, about + doneNearMin.value].map((atMin, i) => {
    const at = curve.min.findIndex((min) => min >= atMin);
    const read = (series: readonly number[], otherwise: number) => series[at] ?? otherwise;
    return {
      atMin: Math.max(0.5, Math.round(atMin * 2) / 2),
      topTone: read(curve.topTone, end.topTone),
      baseTone: read(curve.baseTone, end.baseTone),
      moistureShare: read(curve.moistureShare, end.moistureShare),
      coldestC: read(curve.coldestC, end.coldestC),
      doneShare: i === 0 ? 0.5 : 0.8,
    };
  });
}

function after(made: Made): RunStep[] {
  const { formula, results } = made;
  return [
    ...goingOn(made, 'hot'),
    ...waitSteps(made, 'cool', 'cool', 'keep', formula.keep.cool),
    ...goingOn(made, 'cooled'),
    ...goingOn(made, 'serving'),
    {
      key: 'pack',
      stage: 'keep',
      kind: 'do',
      what: 'pack',
      handsMin: hands.pack,
      form: formula.keep.pack,
      pieces: formula.keep.piecesPerPack,
    },
    {
      key: 'rate',
      stage: 'keep',
      kind: 'rate',
      what: 'rate',
      handsMin: hands.rate,
      measures: [
        { what: 'bakedMm', planned: results.bake.end.thicknessMm },
        ...(results.bake.spreadRatio > 1
          ? [{ what: 'acrossMm' as const, planned: results.sheet.body.widthMm * results.bake.spreadRatio }]
          : []),
      ],
    },
  ];
}

/** Lights the oven so that it is ready when the first tray goes in: between two steps, or in the middle of a wait. */
function withOvenOn(steps: readonly RunStep[], { formula, kitchen }: Made): RunStep[] {
  if (formula.bake.fromCold) return [...steps];
  const oven = ovenOf(kitchen, formula.bake.ovenId);
  const min = oven.heating?.[0]?.min ?? heatUpMin.value;
  const times = timeline(steps);
  const at = steps.findIndex(({ key }) => key === 'in:1');
  const wanted = times[at]!.beginMin - min;
  const on: RunStep = {
    key: 'ovenOn',
    stage: 'bake',
    kind: 'do',
    what: 'ovenOn',
    handsMin: hands.dial,
    oven: oven.name,
    dial: dialWords(oven.dialUnit, dialFor(oven, formula.bake.steps[0]!.wantC!)),
    min,
  };
  const i = times.findIndex(({ endMin }) => endMin > wanted);
  const step = steps[i];
  if (wanted <= 0 || !step) return [on, ...steps];
  const into = wanted - times[i]!.beginMin - step.handsMin;
  // A wait is split only where both halves are worth the name.
  if (step.kind !== 'wait' || step.since !== undefined || into < 1 || step.min! - into < 1)
    return [...steps.slice(0, i), on, ...steps.slice(i)];
  const until = Math.max(1, Math.floor(into));
  return [
    ...steps.slice(0, i),
    { ...step, min: until },
    on,
    { ...step, key: `${step.key}+`, handsMin: 0, min: step.min!, since: step.key },
    ...steps.slice(i + 1),
  ];
}
