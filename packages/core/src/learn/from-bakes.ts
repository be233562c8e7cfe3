import { asBaked, lastOf, standingEvents } from '../document/happened.js';
import { bakeCaseFor, evaluate } from '../evaluate.js';
import { learnedOven } from './oven.js';
import { learnedTexture } from './texture.js';
import type { BakeEvent, MeasuredWhat } from '../document/bake.js';
import type { Formula } from '../document/formula.js';
import type { Kitchen, Learned } from '../document/kitchen.js';
import type { Pantry } from '../document/pantry.js';
import type { BakedLoad } from './oven.js';
import type { RatedBake } from './texture.js';

/** A bake as it is on record: the version it was made of, how large, the air of the day, and all that happened. */
export type RecordedBake = {
  readonly bakeId: string;
  /** The version's, unscaled. */ readonly formula: Formula;
  readonly factor: number;
  readonly roomC: number;
  readonly humidityShare: number;
  readonly events: readonly BakeEvent[];
};

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
    bakes.flatMap((bake) => loadOf(bake, untaught, pantry) ?? []),
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
function asMade({ formula, factor, events }: RecordedBake): Formula {
  const made = asBaked(formula, events);
  return {
    ...made.formula,
    rows: made.formula.rows.map((row) => ({ ...row, amountG: (made.weighed[row.key] ?? row.amountG * factor) / factor })),
  };
}

/**
 * What a kitchen's dots have taught of a family's crispness and tenderness.
 *
 * Units    as learnedTexture.
 * Throws   nothing; a bake that cannot be worked out any more is left out.
 * Findings none.
 * Source   learnedTexture; each bake is forecast as it was weighed, rolled and timed, with what the oven has taught.
 *
 * @param bakes of formulas of the family, oldest first
 */
export function textureFromBakes(familyId: string, bakes: readonly RecordedBake[], kitchen: Kitchen, pantry: Pantry): Learned[] {
  const untaught = {
    ...kitchen,
    learned: kitchen.learned.filter(({ what, about }) => !((what === 'crisp' || what === 'tender') && about === familyId)),
  };
  const rated: Record<'crisp' | 'tender', RatedBake[]> = { crisp: [], tender: [] };
  for (const bake of bakes) {
    const dots = lastOf(bake.events, (what) => (what.kind === 'rated' && what.after === 'fresh' ? what : undefined));
    if (!dots || (dots.crisp === undefined && dots.tender === undefined)) continue;
    const { outlook } = evaluate(asTimed(bake), { ...untaught, roomC: bake.roomC, humidityShare: bake.humidityShare }, pantry);
    if (!outlook) continue;
    for (const what of ['crisp', 'tender'] as const)
      if (dots[what] !== undefined) rated[what].push({ bakeId: bake.bakeId, forecast: outlook[what].value, dots: dots[what] });
  }
  return (['crisp', 'tender'] as const).flatMap((what) => learnedTexture(what, familyId, rated[what]) ?? []);
}

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
