import { settingsAtMin } from '../../bake/bake-case.js';
import { topsSoonerMin } from '../../bake/second-part.js';
import { dialFor, ovenOf } from '../../bake/oven.js';
import { doneNearMin, heatUpMin } from '../../facts/run.js';
import { dialWords } from '../../units/dial.js';
import { lookStep } from './look-steps.js';
import { hands, stepOf, waitSteps } from './made.js';
import { putOn } from './put-on.js';
import { dried, pierced, slicedAgain } from './second-bake.js';
import { timeline } from '../times.js';
import type { PlannedLook, RunStep } from '../../document/bake.js';
import type { Made } from './made.js';

/** Load by load: in, settings of the dial and looks, out. */
export function baking(made: Made): RunStep[] {
  const { formula, kitchen, results } = made;
  const oven = ovenOf(kitchen, formula.bake.ovenId);
  const { loads } = results.sheet;
  const { steps: settings } = formula.bake;
  const dialOf = (wantC: number | null) => (wantC === null ? 'off' : dialWords(oven.dialUnit, dialFor(oven, wantC)));
  const looks = looksOf(made);
  const steps: RunStep[] = [...putOn(made, 'bakeStep', { n: 0 }), ...laterCold(made)];
  const [firstDial, lastDial] = [dialOf(settings[0]!.wantC), dialOf(settings.at(-1)!.wantC)];
  for (let load = 1; load <= loads; load++) {
    const base = { stage: 'bake' as const, load, loads };
    // What goes to the plate warm is not weighed on its way.
    if (load === 1 && formula.keep.goes !== 'warm')
      steps.push({ ...base, key: 'load', kind: 'measure', what: 'load', handsMin: hands.weighLoad, measures: [{ what: 'rawG' }] });
    // The last setting of the load before is not the first of this one.
    if (load > 1 && firstDial !== lastDial)
      steps.push({ ...base, key: `back:${load}`, kind: 'do', what: 'dialBack', handsMin: hands.dial, oven: oven.name, dial: firstDial });
    steps.push({
      ...base,
      key: `in:${load}`,
      kind: 'do',
      what: 'putIn',
      handsMin: hands.putIn,
      oven: oven.name,
      dial: dialOf(settings[0]!.wantC),
    });
    steps.push(...inOven(made, base, looks, { oven: oven.name, dialOf }));
    steps.push({
      ...base,
      key: `out:${load}`,
      kind: 'measure',
      what: 'out',
      handsMin: hands.out,
      measures: [
        { what: 'bakeMin', planned: results.bake.totalMin },
        ...(load === 1 && formula.keep.goes !== 'warm' ? [{ what: 'bakedG' as const }] : []),
        { what: 'topTone', planned: results.bake.end.topTone },
        { what: 'baseTone', planned: results.bake.end.baseTone },
        ...(results.bake.coreC === null ? [] : [{ what: 'coreC' as const, planned: results.bake.coreC }]),
      ],
    });
    steps.push(...pierced(made, load));
  }
  return steps;
}

/** Fat that softens while the first tray bakes runs out of the others: what was cold waits in the cold. */
function laterCold({ formula, kitchen, results }: Made): RunStep[] {
  const { loads } = results.sheet;
  const cold = kitchen.places.find(({ kind }) => kind === 'fridge');
  const { solidFat, rollIn } = results.dough;
  const firm = rollIn !== null || (solidFat !== null && solidFat !== 'liquidOil');
  if (loads < 2 || !cold || !firm) return [];
  if (formula.chill.waits.length === 0 && !formula.sheet.laminate) return [];
  return [{ key: 'laterCold', stage: 'bake', kind: 'do', what: 'laterCold', handsMin: hands.move, n: loads - 1, place: cold.name }];
}

/** Settings of the dial and looks, each after its wait, in the order of time: looks are planned from the last setting on. */
function inOven(
  made: Made,
  base: { stage: 'bake'; load: number; loads: number },
  looks: readonly PlannedLook[],
  { oven, dialOf }: { readonly oven: string; readonly dialOf: (wantC: number | null) => string },
): RunStep[] {
  const { settings, load } = { settings: made.formula.bake.steps, load: base.load };
  const since = `in:${load}`;
  const at = settingsAtMin(made.formula);
  const changes = settings.slice(1).map((setting, i): { atMin: number; make: () => RunStep[] } => {
    return {
      atMin: at[i]!,
      make: () => [
        ...putOn(made, 'bakeStep', { n: i + 1, load }),
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
  const early = topsOutMin(made);
  const tops: { atMin: number; make: () => RunStep[] }[] =
    early === null
      ? []
      : [
          {
            atMin: early,
            make: () => [{ ...base, key: `tops:${load}`, kind: 'do', what: 'partOut', handsMin: hands.out, oven, min: early }],
          },
        ];
  const events = [
    ...changes,
    ...tops,
    ...looks
      .filter(({ atMin }) => atMin > last + 0.25)
      .map((look, i) => ({
        atMin: look.atMin,
        make: (): RunStep[] => [lookStep({ ...base, key: `look:${load}:${i}`, since, oven }, look, i + 1, looks.length)],
      })),
  ].sort((a, b) => a.atMin - b.atMin);
  return events.flatMap(({ atMin, make }, i) => [
    { ...base, key: `bake:${load}:${i}`, kind: 'wait' as const, what: 'inOven' as const, handsMin: 0, min: atMin, since, oven },
    ...make(),
  ]);
}

/** Tops of a pair that are done well before the minutes of their bottoms come out then, to the half minute; null: all come out together. */
function topsOutMin({ results: { bake } }: Made): number | null {
  const sooner = topsSoonerMin(bake);
  if (sooner === null || sooner < 0) return null;
  const atMin = Math.max(0.5, Math.round(bake.second!.doneMin! * 2) / 2);
  return bake.totalMin - atMin < doneNearMin.value ? null : atMin;
}

function looksOf({ looks, results: { bake } }: Made): readonly PlannedLook[] {
  if (looks.length > 0) return looks;
  const { curve, done, totalMin, end } = bake;
  const about = Math.max(0.5, Math.round((done?.value ?? totalMin) * 2) / 2);
  const apart = Math.abs(about - totalMin) >= doneNearMin.value;
  return [totalMin, apart ? about : totalMin + doneNearMin.value]
    .sort((a, b) => a - b)
    .map((atMin, i) => {
      const at = curve.min.findIndex((min) => min >= atMin);
      const read = (series: readonly number[], otherwise: number) => series[at] ?? otherwise;
      return {
        atMin,
        ...(atMin === totalMin ? { asSet: true } : {}),
        topTone: read(curve.topTone, end.topTone),
        baseTone: read(curve.baseTone, end.baseTone),
        moistureShare: read(curve.moistureShare, end.moistureShare),
        coldestC: read(curve.coldestC, end.coldestC),
        doneShare: i === 0 ? 0.5 : 0.8,
      };
    });
}

/** A log is sliced warm, a quarter of an hour out of the oven: cold it splinters. Common practice, no source. */
const SLICED_AFTER_MIN = 15;

/** Cooled, finished, packed, served, rated. */
export function after(made: Made): RunStep[] {
  const { formula, results } = made;
  const { sheet, keep } = formula;
  const { pieces } = results.sheet;
  const cutBaked = (when: 'hot' | 'cold') =>
    sheet.cut === when ? [stepOf('cutBaked', hands.cutBaked, { pieces, form: sheet.parts[0]!.shape.kind }, { stage: 'keep' })] : [];
  // A log cools until it can be sliced, then goes back.
  const again = slicedAgain(made);
  const first =
    again.length > 0 ? [stepOf('cool', 0, { kind: 'wait', min: SLICED_AFTER_MIN, form: 'warm' }, { key: 'cool:log', stage: 'keep' })] : [];
  return [
    ...dried(made),
    ...first,
    ...again,
    ...cutBaked('hot'),
    ...putOn(made, 'hot'),
    ...waitSteps(made, { name: 'cool', what: 'cool', stage: 'keep' }, keep.cool).map((step) =>
      keep.goes === 'warm' ? { ...step, form: 'warm' } : step,
    ),
    ...cutBaked('cold'),
    ...putOn(made, 'cooled'),
    ...(keep.goes === 'warm' ? [] : [stepOf('pack', hands.pack, { form: keep.pack, pieces: keep.piecesPerPack }, { stage: 'keep' })]),
    // What waits for the plate is not in the pack.
    ...putOn(made, 'serving'),
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

/** Wrapped, labelled, and put where it is kept: what leaves raw ends here. */
export function wrapped({ formula, kitchen, results: { dough, keep, sheet } }: Made): RunStep {
  const place = kitchen.places.find(({ id }) => id === formula.keep.placeId);
  const asPieces = formula.keep.goes === 'shaped';
  return stepOf(
    'wrap',
    hands.pack,
    {
      amountG: asPieces ? sheet.pieceG * sheet.pieces : dough.doughG + (dough.rollIn?.massG ?? 0),
      ...(asPieces ? { pieces: sheet.pieces } : {}),
      ...(place ? { place: place.name } : {}),
      n: keep.rawDays ?? 0,
    },
    { stage: 'keep' },
  );
}

/** Lights the oven so that it is ready when the first tray goes in: between two steps, or in the middle of a wait. */
export function withOvenOn(steps: readonly RunStep[], { formula, kitchen }: Made): RunStep[] {
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
