import { hotDay, rawEggDays, rawEggWarmHours, shortBenchMin } from '../facts/cold.js';
import { shortenedTo, warmMin, warmStretches, type WarmStretch } from '../dough/warm-clock.js';
import { handlingOf, isUnderPin } from '../dough/handling.js';
import { finding } from '../findings/judge.js';
import { firstReach } from '../math/interpolate.js';
import { roundTo } from '../units/rounding.js';
import type { DoughResult } from '../dough/dough.js';
import type { Finding } from '../findings/finding.js';
import type { ChillResult, DoughCooling } from './chill-result.js';
import type { Case } from '../document/case.js';
import type { Edit } from '../document/edits.js';
import type { Formula } from '../document/formula.js';
import type { Family } from '../facts/families.js';

const LONGEST_EXTRA_MIN = 240;
/** Colder than this nothing grows: time there does not count. */
const FROZEN_C = -10;

/** What is off when the dough leaves the cold; `longer` cools it with the last wait made longer. */
export function chillFindings(
  theCase: Case,
  dough: DoughResult,
  chill: ChillResult,
  longer: (extraMin: number) => DoughCooling,
): Finding[] {
  return [...tooLongFindings(theCase, dough), ...eggWarmFindings(theCase, dough), ...firmnessFindings(theCase, chill, longer)];
}

/** Raw egg sets a limit of days in the cold; without egg too long only dries and greys. */
function tooLongFindings({ formula, kitchen }: Case, { doughEggG: eggG }: DoughResult): Finding[] {
  const { waits } = formula.chill;
  const last = waits.length - 1;
  const placed = waits.map((wait) => ({ ...wait, place: kitchen.places.find(({ id }) => id === wait.placeId)! }));
  const coldMin = placed.reduce((sum, { place, min }) => sum + (place.atC > FROZEN_C ? min : 0), 0);
  const mostMin = rawEggDays.value * 1440;
  if (coldMin <= mostMin) return [];
  const { min } = waits[last]!;
  const to = min - (coldMin - mostMin);
  const shorter = to > 0 ? [{ path: `/chill/waits/${last}/min`, from: min, to }] : undefined;
  const measured = { path: 'chill.waitMin', value: coldMin / 1440, high: rawEggDays.value };
  return eggG > 0
    ? [{ ...finding('chill.eggTooLong', 'fix', 'chill', measured, shorter), unsafe: true }]
    : [finding('chill.tooLong', 'watch', 'chill', measured, shorter)];
}

/** Raw egg sets a limit of time out of the cold. */
function eggWarmFindings({ formula, kitchen }: Case, { doughEggG: eggG }: DoughResult): Finding[] {
  const warm = warmStretches(formula, kitchen).filter(({ stage }) => stage !== 'sheet');
  const most = eggWarmMostMin(warm);
  if (eggG <= 0 || warmMin(warm) <= most) return [];
  const measured = { path: 'chill.waits', value: warmMin(warm), high: most };
  return [{ ...finding('chill.eggTooWarm', 'fix', 'chill', measured, shortenedTo(warm, most)), unsafe: true }];
}

/** Longest that raw egg stands warm, min: shorter where it is hot. */
export function eggWarmMostMin(stretches: readonly WarmStretch[]): number {
  const { aboveC, eggHours } = hotDay.values;
  return 60 * (stretches.some(({ atC }) => atC > aboveC) ? eggHours : rawEggWarmHours.value);
}

/** With no wait at all: warmer than it can be worked, it wants one. */
function uncooledFindings({ formula, family, kitchen }: Omit<Case, 'pantry'>, { endMiddleC }: ChillResult): Finding[] {
  const [, , high] = family.rollC;
  if (endMiddleC <= high) return [];
  const fridge = kitchen.places.find(({ kind }) => kind === 'fridge');
  const edits: Edit[] | undefined = fridge && [
    { path: '/chill/waits/0', to: { placeId: fridge.id, min: Math.max(10, family.chillMin[1]) } },
  ];
  const measured = { path: 'chill.endMiddleC', value: endMiddleC, high, ...underPin(formula, family) };
  return [finding('chill.tooWarm', 'watch', 'chill', measured, edits)];
}

/** `pin` where it is rolled: there warm dough sticks, elsewhere it slumps. */
const underPin = (formula: Formula, family: Family) => (isUnderPin(handlingOf(formula, family)) ? { of: 'pin' } : {});

function firmnessFindings({ formula, family, kitchen }: Case, chill: ChillResult, longer: (extraMin: number) => DoughCooling): Finding[] {
  const [low, , high] = family.rollC;
  const last = formula.chill.waits.length - 1;
  if (last < 0) return uncooledFindings({ formula, family, kitchen }, chill);
  const wait = formula.chill.waits[last]!;
  const minPath = `/chill/waits/${last}/min`;
  const place = kitchen.places.find(({ id }) => id === wait.placeId)!;
  if (place.atC > formula.chill.targetC) {
    const to = roundTo(place.atC + 1, 0.5, 'up');
    return [
      finding(
        'chill.placeTooWarm',
        'fix',
        'chill',
        { path: 'chill.targetC', value: formula.chill.targetC, low: place.atC, of: place.name },
        [{ path: '/chill/targetC', from: formula.chill.targetC, to }],
      ),
    ];
  }
  if (chill.endMiddleC > Math.min(high, formula.chill.targetC + 0.5)) {
    const cooled = longer(LONGEST_EXTRA_MIN);
    const until = cooled.min.findIndex((at) => at > cooled.outMin);
    const reach = firstReach(cooled.min.slice(0, until), cooled.middleC.slice(0, until), Math.min(high, formula.chill.targetC), 'falling');
    const extra = reach - chill.outMin;
    const to = roundTo(wait.min + extra, 1, 'up');
    const measured = {
      path: 'chill.endMiddleC',
      value: chill.endMiddleC,
      high: Math.min(high, formula.chill.targetC),
      ...underPin(formula, family),
    };
    const edits = Number.isFinite(extra) && to > wait.min ? [{ path: minPath, from: wait.min, to }] : undefined;
    return [finding('chill.tooWarm', chill.endMiddleC > high ? 'fix' : 'watch', 'chill', measured, edits)];
  }
  if (chill.benchFromMin > shortBenchMin.value || chill.endRimC < low - 4) {
    const measured = { path: 'chill.endRimC', value: chill.endRimC, low };
    const enough = chill.toTargetMin === null ? undefined : roundTo(wait.min - (chill.waitMin - chill.toTargetMin), 1, 'up');
    const edits = enough !== undefined && enough > 0 && enough < wait.min ? [{ path: minPath, from: wait.min, to: enough }] : undefined;
    return [finding('chill.tooHard', 'watch', 'chill', measured, edits)];
  }
  if (chill.benchMin < shortBenchMin.value) {
    return [finding('chill.shortBench', 'watch', 'chill', { path: 'chill.benchMin', value: chill.benchMin, low: shortBenchMin.value })];
  }
  return [];
}
