import { applyEdits } from '../document/edits.js';
import { handlingOf, isUnderPin } from '../dough/handling.js';
import { InputError } from '../errors.js';
import { evaluate, evaluateDough, findingsOf } from '../evaluate.js';
import { piecesFromMass } from '../sheet/plan.js';
import { rolledG } from '../sheet/sheet.js';
import { usualFolds } from '../sheet/layers/laminate.js';
import { panFormOf, panInside } from '../pan/pan.js';
import { latticeStrips, pieRim } from '../facts/sheet.js';
import { factorForPieces, scaled } from './scale.js';
import { bakedWithin } from './usual-bake.js';
import { blendPortions } from '../blend/blend.js';
import { defaultMix, fatOfSchool } from '../dough/mix.js';
import { rightPourG, waterGets, waterWants } from '../dough/water.js';
import { doughDensity, holdBackShare } from '../facts/dough.js';
import { compositionOf, portionOf } from '../ingredient/mixture.js';
import { roundTo } from '../units/rounding.js';
import { familyAt } from '../matter/family-at.js';
import { firstOf, usual } from '../facts/usual.js';
import type { BakeStep, BlendRow, Formula, MixStep, Part, Row, Shape } from '../document/formula.js';
import type { Kitchen, Pan } from '../document/kitchen.js';
import type { Pantry } from '../document/pantry.js';
import type { Family } from '../facts/families.js';
import type { Case } from '../document/case.js';

const BLEND_G = 300;
/** Depth of a tin over the batter in it. */
const ROOM_TO_RISE = 1.5;
/** What is worked warmer than this never goes into the cold before it is shaped. */
const WARM_C = 25;

/**
 * A first formula of a family: what stands in the middle of its windows, in this kitchen. A place to start from, not a recipe of anybody.
 *
 * Units    g, C, min, mm.
 * Throws   InputError at bake where the kitchen has no oven or tray.
 * Findings none; the formula is judged like any other.
 * Source   targets of facts/families; water by the water rule; flours, starches and the size of a piece are our choice.
 */
export function starterFormula(
  usualFamily: Family,
  name: string,
  { kitchen, pantry }: Pick<Case, 'kitchen' | 'pantry'>,
  newKey: () => string,
): Formula {
  const family = familyAt(usualFamily, kitchen.altitudeM);
  const oven = kitchen.ovens[0];
  // What is thick bakes long: on a bright tray its base has time.
  const thick = family.doneCoreC !== undefined || family.thicknessMm[1] >= 10;
  const tray = (thick ? kitchen.trays.find(({ material }) => material === 'aluminium') : undefined) ?? kitchen.trays[0];
  if (!oven || !tray) throw new InputError('bake', 'needs an oven and a tray in this kitchen');
  const blend = { name: `${family.name} blend`, rows: blendOf(family, newKey) };
  const rows = rowsOf(family, { blend, blendG: BLEND_G }, { kitchen, pantry }, newKey);
  const cold = kitchen.places.find(({ kind }) => kind === 'fridge');
  const bench = kitchen.places.find(({ kind }) => kind === 'bench');
  const laminate = family.kind === 'laminated' ? usualFolds(family, kitchen) : null;
  const warm = family.rollC[1] > WARM_C;
  const chilled = !warm && family.chillMin[1] > 0 && cold !== undefined;
  const place = chilled ? cold : (bench ?? cold);
  const crisp = family.zone.crisp >= 6.5;
  const cups = family.first?.stands === 'cups' ? kitchen.pans?.find((one) => one.cups !== undefined) : undefined;
  const deep = kitchen.pans?.filter((one) => one.cups === undefined && one.depthMm >= ROOM_TO_RISE * family.thicknessMm[1]) ?? [];
  // One with corners if there is one: batter flows, so rather a round one than none.
  const tin = family.first?.stands === 'tin' ? (deep.find((one) => panFormOf(one) === 'rectangle') ?? deep[0]) : undefined;
  const pan = family.first?.stands === 'pan' ? kitchen.pans?.[0] : (cups ?? tin);
  const [wantC, bakeMin] = [family.ovenC[1], family.bakeMin[1]];
  const parts = partsOf(family, pan, newKey);
  const handling = handlingOf({ sheet: { parts, laminate: laminate ?? undefined } }, family);
  // Pressed into its pan it firms up there; what goes from the bowl to its tray or tin has no cold of its own.
  const inPan = handling === 'pressedIn' && family.chillMin[0] > 0;
  const fromBowl = handling === 'poured' || inPan || (!isUnderPin(handling) && family.chillMin[0] === 0);
  const first: Formula = {
    schema: 1,
    name,
    family: family.id,
    blend,
    blendG: BLEND_G,
    rows,
    mix: defaultMix({ rows, blend, blendG: BLEND_G }, family, pantry, newKey).map((step) =>
      handling === 'poured' ? stoodFor(step, family.chillMin[1]) : step,
    ),
    doughAtC: Math.round(Math.min(family.doughMaxC - 1, warm ? family.rollC[2] : 22)),
    restMin: family.rolled ? 5 : 0,
    // What is boiled in the pan goes in whole: the egg is what makes it right.
    holdBackShare: family.school === 'cook' ? 0 : holdBackShare.value,
    chill: {
      form: 'slab',
      thicknessMm: 20,
      wrap: 'film',
      targetC: chilled || warm ? family.rollC[1] : Math.max(family.rollC[1], Math.ceil((place?.atC ?? 22) + 1)),
      waits: place && !fromBowl ? [{ placeId: place.id, min: Math.max(5, family.chillMin[1]) }] : [],
    },
    sheet: {
      parts,
      ...(laminate ? { laminate } : {}),
      trimMm: family.rolled ? 6 : 0,
      // Rolled scraps of layers rise crooked; those of a warm dough are kneaded in again, and strips are cut of scraps.
      reroll: family.kind === 'laminated' ? 'no' : family.rolled && !warm && !family.first?.lid ? 'once' : 'tillGone',
      lots: 1,
      // What is pressed into its pan is pricked, what is rolled lies under weights.
      ...(pan && !cups && !tin && !family.rolled ? { dockPitchMm: family.dockPitchMm[1] } : {}),
      // Yeasted pieces prove at the table, then firm up before the wash.
      waits:
        family.yeastPercent && bench && cold
          ? [
              { placeId: bench.id, min: 90 },
              { placeId: cold.id, min: 20 },
            ]
          : inPan && cold
            ? [{ placeId: cold.id, min: family.chillMin[1] }]
            : [],
    },
    bake: {
      ovenId: oven.id,
      trayId: tray.id,
      ...(pan ? { panId: pan.id } : {}),
      traysAtOnce: 1,
      layer: pan ? 'none' : 'paper',
      steps: pan && family.rolled && !family.centre ? blindSteps(wantC, bakeMin) : [{ name: 'Bake', wantC, min: bakeMin }],
      done: {},
    },
    keep: {
      cool: [{ placeId: kitchen.places.find(({ kind }) => kind === 'rack')?.id ?? place?.id ?? '', min: 45 }],
      pack: crisp ? 'tightTin' : 'paperBag',
      // A pie, a tart or a galette is packed alone.
      piecesPerPack: (pan && !cups) || family.first?.shape?.kind === 'freeForm' ? 1 : 12,
      sellWithinDays: crisp ? 7 : 1,
    },
  };
  const whole = (pan !== undefined && !cups) || family.first?.whole === true;
  const made = withCentre(family, whole ? forPans(first, kitchen, pantry) : first, { kitchen, pantry }, newKey);
  return settled(bakedWithin(made, { family, kitchen, pantry }), kitchen, pantry);
}

/** A batter stands in its bowl until the grit is gone. */
const stoodFor = (step: MixStep, min: number): MixStep => (step.act === 'stand' && min > (step.min ?? 0) ? { ...step, min } : step);

/** With as much in the middle as its pieces hold; a pantry that has none of it gets the dough alone. */
function withCentre(
  { centre }: Family,
  first: Formula,
  { kitchen, pantry }: Pick<Case, 'kitchen' | 'pantry'>,
  newKey: () => string,
): Formula {
  const { dough } = evaluateDough(first, kitchen, pantry);
  if (!centre || !pantry.ingredients[centre.ingredientId] || dough.state === 'waiting') return first;
  const amountG = centre.gramsEach * piecesFromMass(first, kitchen, rolledG(dough.result));
  return { ...first, rows: [...first.rows, { key: newKey(), ingredientId: centre.ingredientId, amountG, use: 'filling' }] };
}

/** As much dough as makes whole pies or whole triangles: the most that the first batch gives, and no more. */
function forPans(first: Formula, kitchen: Kitchen, pantry: Pantry): Formula {
  const { dough } = evaluateDough(first, kitchen, pantry);
  if (dough.state === 'waiting') return first;
  const massG = rolledG(dough.result);
  const pieces = Math.max(1, piecesFromMass(first, kitchen, massG));
  // A hundredth more: grams are rounded to what a scale shows.
  const fitted = scaled(first, 1.01 * factorForPieces(first, kitchen, massG, pieces));
  return {
    ...fitted,
    blendG: roundTo(fitted.blendG, 1, 'up'),
    rows: fitted.rows.map((row) => ({ ...row, amountG: roundTo(row.amountG, row.amountG < 20 ? 0.1 : 1) })),
  };
}

/** A lining for its pan, or one shape of the size that the family's piece usually is. */
function partsOf(family: Family, pan: Pan | undefined, newKey: () => string): Part[] {
  const part = (shape: Shape, more: Partial<Part> = {}): Part => ({
    key: newKey(),
    perPiece: 1,
    thicknessMm: family.thicknessMm[1],
    shape,
    ...more,
  });
  if (pan && panFormOf(pan) === 'ring') {
    return [part({ kind: 'base' }), part({ kind: 'side', overlapMm: pieRim.values.stripOverlapMm })];
  }
  if (pan?.cups !== undefined && family.pieceG) return [part({ kind: 'portion', pieceG: family.pieceG[1], form: 'poured' })];
  if (pan && family.first?.stands === 'tin') {
    const pieceG = roundTo((panInside(pan).baseAreaMm2 * family.thicknessMm[1] * doughDensity.value) / 1000, 10);
    return [part({ kind: 'portion', pieceG, form: 'poured' })];
  }
  if (pan) {
    const overhangMm = family.rolled ? pieRim.values.overhangMm : 0;
    const over: Part[] = family.first?.lid ? [part({ kind: 'lattice', ...latticeStrips.values, overhangMm: 0 })] : [];
    return [part({ kind: 'lining', overhangMm }), ...over];
  }
  if (family.first?.shape) return [part(family.first.shape, family.first.body ? { body: family.first.body } : {})];
  if (family.centre)
    return [
      part(family.pieceG ? { kind: 'portion', pieceG: family.pieceG[1], form: 'ball' } : { kind: 'round', acrossMm: 100 }, {
        body: 'wrapped',
      }),
    ];
  if (family.pieceG && !family.rolled) return [part({ kind: 'portion', pieceG: family.pieceG[1], form: 'drop' })];
  return [part(shapeOf(family))];
}

/** Most of a blind bake under weights, the rest without. */
function blindSteps(wantC: number, min: number): BakeStep[] {
  const under = roundTo(0.6 * min, 0.5);
  return [
    { name: 'Under weights', wantC, min: under, weighted: true },
    { name: 'Bare', wantC, min: roundTo(min - under, 0.5) },
  ];
}

/** Rounds of mending: more than this and the findings pull against each other. */
const MOST_ROUNDS = 8;

/**
 * A formula after what its own findings offer is done, stage after stage, until none offers anything or they go in circles.
 *
 * Units    none.
 * Throws   nothing.
 * Findings the ones that no edit mends stay.
 * Source   the findings' own changes.
 */
export function settled(formula: Formula, kitchen: Kitchen, pantry: Pantry): Formula {
  const done = new Set<string>();
  let now = formula;
  for (let round = 0; round < MOST_ROUNDS; round++) {
    const next = findingsOf(evaluate(now, kitchen, pantry)).find(
      ({ change, level }) => change && level !== 'note' && !done.has(JSON.stringify(change.edits)),
    );
    if (!next?.change) return now;
    done.add(JSON.stringify(next.change.edits));
    now = applyEdits(now, next.change.edits);
  }
  return now;
}

/** Two grains and two starches in even parts, the family's gum and husk at half their target each. */
function blendOf(family: Family, newKey: () => string): BlendRow[] {
  const row = (ingredientId: string, share: number): BlendRow => ({ key: newKey(), ingredientId, share });
  if (family.base === 'crumb') return firstOf.values.crumb.map((id) => row(id, 1));
  const { xanthanGum, psylliumHusk } = firstOf.values;
  const [xanthan, husk] = [family.gumPercent.xanthanGum, family.gumPercent.psylliumHusk].map((window) => (window?.[1] ?? 0) / 100) as [
    number,
    number,
  ];
  const both = xanthan > 0 && husk > 0 ? 2 : 1;
  const gums: readonly (readonly [string, number])[] = [
    [xanthanGum, xanthan / both],
    [psylliumHusk, husk / both],
  ];
  const left = 1 - gums.reduce((sum, [, share]) => sum + share, 0);
  const starch = Math.min(left, family.starchPercent[1] / 100);
  const { nuts, grains, starches, onlyStarches } = firstOf.values;
  const flours: readonly string[] = family.first?.flours ?? (family.base === 'nut' ? nuts : grains);
  const pair: readonly string[] = starch > 0.7 ? onlyStarches : starches;
  return [
    ...flours.map((id) => [id, (left - starch) / flours.length] as const),
    ...pair.map((id) => [id, starch / pair.length] as const),
    ...gums,
  ]
    .filter(([, share]) => share > 1e-6)
    .map(([id, share]) => row(id, share));
}

/** Every row at its target; the fat fills what flour, nuts and egg leave of the family's fat, the water what they leave of its water. */
function rowsOf(
  family: Family,
  blend: Pick<Formula, 'blend' | 'blendG'>,
  { kitchen, pantry }: Pick<Case, 'kitchen' | 'pantry'>,
  newKey: () => string,
): Row[] {
  const grams = (percent: number) => roundTo((percent * blend.blendG) / 100, 0.1);
  const row = (ingredientId: string, amountG: number, more: Partial<Row> = {}): Row => ({
    key: newKey(),
    ingredientId,
    amountG,
    use: 'dough',
    ...more,
  });
  const soda = family.sodaPercent?.[1] ?? 0;
  const flours = blendPortions(blend, pantry);
  const fatOf = (portions: readonly { readonly ingredientId: string; readonly amountG: number }[]) =>
    portions.reduce((sum, { ingredientId, amountG }) => sum + amountG * (pantry.ingredients[ingredientId]?.composition.fatShare ?? 0), 0);
  const blendFatG = flours.reduce((sum, portion) => sum + portion.amountG * compositionOf(portion).fatShare, 0);
  const blendSugarG =
    family.base === 'flour' ? 0 : flours.reduce((sum, portion) => sum + portion.amountG * compositionOf(portion).sugarsShare, 0);
  const others: Row[] = [
    ...(family.first?.rows ?? []).map(({ ingredientId, percent }) => row(ingredientId, grams(percent))),
    row(firstOf.values.groundNuts, grams(family.nutPercent?.[1] ?? 0)),
    row(usual.values.egg, grams(family.eggPercent[1])),
    row(usual.values.salt, grams(family.saltPercent[1])),
    row(usual.values.powder, grams(family.leavenerPercent[1] - soda)),
    row(usual.values.soda, grams(soda)),
    row(usual.values.yeast, grams(family.yeastPercent?.[1] ?? 0)),
  ].filter(({ amountG }) => amountG > 0);
  const broughtSugarG = others.reduce(
    (sum, one) => sum + one.amountG * (pantry.ingredients[one.ingredientId]?.composition.sugarsShare ?? 0),
    0,
  );
  const sugar = row(
    usual.values.sugar,
    roundTo(Math.max(0, (family.sugarPercent[1] * blend.blendG) / 100 - broughtSugarG - blendSugarG), 0.1),
  );
  const fatId = family.school === 'oil' ? firstOf.values.oil : family.kind === 'laminated' ? firstOf.values.foldedFat : firstOf.values.fat;
  const leftG = (family.fatPercent[1] * blend.blendG) / 100 - blendFatG - fatOf(others);
  const fat = row(
    fatId,
    roundTo(Math.max(0, leftG / (pantry.ingredients[fatId]?.composition.fatShare ?? 1)), 0.1),
    family.kind === 'laminated' ? { use: 'rollIn' } : { fat: fatOfSchool(family.school, family.fatPieceMm?.[1]) },
  );
  const dry = [...others, sugar, fat].filter(({ amountG }) => amountG > 0);
  const portions = dry
    .filter(({ use }) => use === 'dough')
    .map(({ ingredientId, amountG }, i) => portionOf(pantry, `rows[${i}].ingredientId`, ingredientId, amountG));
  const { wantsG } = waterWants(flours, [], family, { thirstFactor: 1, humidityShare: kitchen.humidityShare });
  const pourG = roundTo(rightPourG(wantsG, waterGets(flours, portions).broughtWaterG), 1);
  return [...(pourG > 0 ? [row(usual.values.water, pourG)] : []), ...dry];
}

/** A square of the family's piece where it is weighed, else of a size that a hand cuts. */
function shapeOf(family: Family): Shape {
  const side = family.pieceG
    ? Math.sqrt((family.pieceG[1] * 1000) / (doughDensity.value * family.thicknessMm[1]))
    : family.kind === 'cracker'
      ? 45
      : family.kind === 'pastry'
        ? 110
        : 60;
  const widthMm = roundTo(Math.min(200, Math.max(20, side)), 1);
  return { kind: 'rectangle', widthMm, lengthMm: widthMm };
}
