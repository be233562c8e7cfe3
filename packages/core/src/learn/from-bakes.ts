import { asBaked, lastOf, rowsLeftOut, standingEvents } from '../document/happened.js';
import { bakeCaseFor, evaluate } from '../evaluate.js';
import { learnedOven } from './oven.js';
import { learningDoubts } from './true-bakes.js';
import { goodsLearning } from '../facts/learning.js';
import { textureWeights } from '../facts/texture.js';
import { packOf } from '../keep/keep.js';
import { biteAt } from '../outlook/outlook.js';
import { onCurve } from '../math/interpolate.js';
import { learnedFactor, learnedLayerFloor, learnedPack } from './goods.js';
import { learnedTexture } from './texture.js';
import type { BakeEvent, MeasuredWhat, RunStep } from '../document/bake.js';
import type { Formula, Pack } from '../document/formula.js';
import type { Kitchen, Learned } from '../document/kitchen.js';
import type { Pantry } from '../document/pantry.js';
import type { BakedLoad } from './oven.js';
import type { FactorReading, KeptReading, LayerReading } from './goods.js';
import type { RatedBake } from './texture.js';

/** A bake as it is on record: the version it was made of, how large, the air of the day, and all that happened. */
export type RecordedBake = {
  readonly bakeId: string;
  /** The version's, unscaled. */ readonly formula: Formula;
  readonly factor: number;
  readonly roomC: number;
  readonly humidityShare: number;
  readonly events: readonly BakeEvent[];
  /** Of its run; left out for one written down afterwards. */ readonly steps?: readonly RunStep[] | null;
};

/** Whether it was baked as it is on record: of a bake that was tapped through, nothing is learned. */
const isTrue = ({ formula, events, steps }: RecordedBake): boolean => learningDoubts(formula, events, steps ?? []).length === 0;

/** Of the first load, or of the bake as a whole: later loads meet another oven. */
const ofFirstLoad = ({ stepKey }: BakeEvent): boolean =>
  stepKey === undefined || !/^[a-z]+:[2-9]/.test(stepKey) || stepKey.startsWith('weigh');

const measuredIn = (events: readonly BakeEvent[], what: MeasuredWhat): number | undefined =>
  lastOf(events.filter(ofFirstLoad), (one) => (one.kind === 'measured' && one.what === what ? one.value : undefined));

/**
 * What bakes of an oven have taught of it.
 *
 * Units    as learnedOven.
 * Throws   nothing; a bake that cannot be worked out any more is left out.
 * Findings none.
 * Source   learnedOven.
 *
 * @param bakes of formulas baked in this oven since it was last measured, oldest first
 */
export function ovenFromBakes(ovenId: string, bakes: readonly RecordedBake[], kitchen: Kitchen, pantry: Pantry): Learned | null {
  const untaught = { ...kitchen, learned: kitchen.learned.filter(({ what, about }) => what !== 'oven' || about !== ovenId) };
  return learnedOven(
    ovenId,
    bakes.filter(isTrue).flatMap((bake) => loadOf(bake, untaught, pantry) ?? []),
  );
}

function loadOf(bake: RecordedBake, kitchen: Kitchen, pantry: Pantry): BakedLoad | null {
  const { events, bakeId } = bake;
  const min = measuredIn(events, 'bakeMin');
  if (min === undefined) return null;
  const [rawG, bakedG] = [measuredIn(events, 'rawG'), measuredIn(events, 'bakedG')];
  const topTone = measuredIn(events, 'topTone');
  const rawMm = measuredIn(events, 'rawMm');
  const made = asMade(bake);
  const theCase = bakeCaseFor(made, { ...kitchen, roomC: bake.roomC, humidityShare: bake.humidityShare }, pantry);
  if (!theCase) return null;
  const written = made.sheet.parts[0]!.thicknessMm;
  return {
    bakeId,
    theCase,
    min,
    byEye: isByEye(events),
    ...(rawMm === undefined ? {} : { thicknessRatio: rawMm / written }),
    ...(rawG !== undefined && bakedG !== undefined && bakedG < rawG ? { lostShare: 1 - bakedG / rawG } : {}),
    ...(topTone === undefined ? {} : { topTone }),
  };
}

/** Its last look found it as it should be, or it was taken out between looks because it was done. */
function isByEye(events: readonly BakeEvent[]): boolean {
  const looks = standingEvents(events).filter(
    (event) =>
      ofFirstLoad(event) &&
      (event.what.kind === 'looked' || (event.what.kind === 'skipped' && event.stepKey?.startsWith('look:') === true)),
  );
  const last = looks.at(-1)?.what;
  return last !== undefined && !(last.kind === 'looked' && last.against === 'paler');
}

/** The formula as it was weighed, grams of the version's size. */
function asMade({ formula, factor, events, steps }: RecordedBake): Formula {
  const made = asBaked(formula, events);
  const leftOut = rowsLeftOut(events, steps ?? []);
  return {
    ...made.formula,
    rows: made.formula.rows.map((row) => ({
      ...row,
      amountG: (made.weighed[row.key] ?? (leftOut.has(row.key) ? 0 : row.amountG * factor)) / factor,
    })),
  };
}

/** What is learned of the goods themselves, not of the oven or the blend. */
export const goodsWhats = ['crisp', 'tender', 'lift', 'spread', 'pack', 'layerFloor'] as const;
const isOfGoods = (what: Learned['what']): boolean => (goodsWhats as readonly string[]).includes(what);

/**
 * What a kitchen's bakes of a family have taught of the goods: crispness and tenderness by dots, lift and spread by ruler, the pack by
 * dots after days, the thinnest layer that lasts by what was noticed.
 *
 * Units    as learnedTexture, learnedFactor, learnedPack, learnedLayerFloor.
 * Throws   nothing; a bake that cannot be worked out any more is left out.
 * Findings none.
 * Source   those four; each bake is forecast as it was weighed, rolled and timed, with what the oven has taught.
 *
 * @param bakes of formulas of the family, oldest first
 */
export function goodsFromBakes(familyId: string, bakes: readonly RecordedBake[], kitchen: Kitchen, pantry: Pantry): Learned[] {
  const untaught = { ...kitchen, learned: kitchen.learned.filter(({ what }) => !isOfGoods(what)) };
  const rated: Record<'crisp' | 'tender', RatedBake[]> = { crisp: [], tender: [] };
  const ruled: Record<'lift' | 'spread', FactorReading[]> = { lift: [], spread: [] };
  const kept = new Map<Pack, KeptReading[]>();
  const layers: LayerReading[] = [];
  for (const bake of bakes) {
    if (!saysOfGoods(bake) || !isTrue(bake)) continue;
    const evaluation = evaluate(asTimed(bake), { ...untaught, roomC: bake.roomC, humidityShare: bake.humidityShare }, pantry);
    if (
      evaluation.keep.state === 'waiting' ||
      evaluation.bake.state === 'waiting' ||
      evaluation.sheet.state === 'waiting' ||
      !evaluation.outlook
    )
      continue;
    const { bakeId, events } = bake;
    const dots = lastOf(events, (what) => (what.kind === 'rated' && what.after === 'fresh' ? what : undefined));
    for (const what of ['crisp', 'tender'] as const)
      if (dots?.[what] !== undefined) rated[what].push({ bakeId, forecast: evaluation.outlook[what].value, dots: dots[what] });
    const { bakedThicknessShare, acrossShare } = goodsLearning.values;
    const { end, spreadRatio } = evaluation.bake.result;
    const bakedMm = measuredIn(events, 'bakedMm');
    if (bakedMm !== undefined)
      ruled.lift.push({
        bakeId,
        slope: end.doughMm * end.poresShare,
        off: bakedMm - end.thicknessMm,
        sd: bakedThicknessShare * end.thicknessMm,
      });
    const acrossMm = measuredIn(events, 'acrossMm');
    const rawMm = evaluation.sheet.result.body.widthMm;
    if (acrossMm !== undefined && spreadRatio > 1)
      ruled.spread.push({ bakeId, slope: spreadRatio - 1, off: acrossMm / rawMm - spreadRatio, sd: acrossShare * spreadRatio });
    const later = lastOf(events, (what) =>
      what.kind === 'rated' && what.after !== 'fresh' && what.crisp !== undefined ? what : undefined,
    );
    const { pack } = bake.formula.keep;
    if (later?.crisp !== undefined && dots?.crisp !== undefined && later.after !== 'fresh' && pack !== 'openTray') {
      const days = later.after;
      const { curve } = evaluation.keep.result;
      const { crisp, step } = textureWeights.values.crispness;
      const pointsAt = (day: number) => (crisp[0] * biteAt(onCurve(curve.days, curve.activity, day))) / step;
      const reading = { bakeId, seen: (later.crisp - dots.crisp) * 2.5, forecast: (leak: number) => pointsAt(days * leak) - pointsAt(0) };
      kept.set(pack, [...(kept.get(pack) ?? []), reading]);
    }
    const laminated = evaluation.sheet.result.laminate;
    const lost = lastOf(events, (what) => (what.kind === 'noticed' && LOST_LAYERS.includes(what.symptom) ? true : undefined)) ?? false;
    if (laminated && (lost || (dots?.liked ?? 0) >= 4)) layers.push({ bakeId, doughUm: laminated.doughUm, apart: !lost });
  }
  return [
    learnedTexture('crisp', familyId, rated.crisp),
    learnedTexture('tender', familyId, rated.tender),
    learnedFactor('lift', familyId, ruled.lift),
    learnedFactor('spread', familyId, ruled.spread),
    ...[...kept].map(([pack, readings]) => learnedPack(packOf(pack, familyId), readings)),
    learnedLayerFloor(familyId, layers),
  ].filter((one) => one !== null);
}

/** Numbers of facts/symptoms: butter merges into the dough, puff does not lift. */
const LOST_LAYERS: readonly number[] = [33, 36];

const saysOfGoods = ({ events }: RecordedBake): boolean =>
  standingEvents(events).some(
    ({ what }) =>
      what.kind === 'rated' ||
      what.kind === 'noticed' ||
      (what.kind === 'measured' && (what.what === 'bakedMm' || what.what === 'acrossMm')),
  );

/** As made, rolled as measured, its last setting as long as it really took. */
export function asTimed(bake: RecordedBake): Formula {
  const made = asMade(bake);
  const [rawMm, bakeMin] = [measuredIn(bake.events, 'rawMm'), measuredIn(bake.events, 'bakeMin')];
  const { steps } = made.bake;
  const before = steps.slice(0, -1).reduce((sum, { min }) => sum + min, 0);
  return {
    ...made,
    sheet: {
      ...made.sheet,
      parts: made.sheet.parts.map((part, i) => (i === 0 && rawMm !== undefined ? { ...part, thicknessMm: rawMm } : part)),
    },
    bake: {
      ...made.bake,
      steps: steps.map((step, i) =>
        i === steps.length - 1 && bakeMin !== undefined && bakeMin - before >= 0.5 ? { ...step, min: bakeMin - before } : step,
      ),
    },
  };
}
