import { goesOnOf, isInOven } from '../dough/piece/goes-on.js';
import { holds, weepShare } from '../facts/filling.js';
import { lightness } from '../facts/colour.js';
import { acrylamideWords } from '../facts/acrylamide.js';
import { bakeKinds, doneTolerance, eggCoreC, ovenSideLimit, softFrom } from '../facts/oven.js';
import { asPowder } from '../dough/ammonia.js';
import { finding } from '../findings/judge.js';
import { roundTo } from '../units/rounding.js';
import { usual } from '../facts/usual.js';
import { isStarch } from '../ingredient/roles.js';
import { topsSoonerMin } from './second-part.js';
import { isUntried } from './bake-case.js';
import { ovenOf } from './oven.js';
import { toneIndex } from './tone.js';
import type { Edit } from '../document/edits.js';
import type { Formula } from '../document/formula.js';
import type { Oven } from '../document/kitchen.js';
import type { Family } from '../facts/families.js';
import type { Finding } from '../findings/finding.js';
import type { DoughResult } from '../dough/dough.js';
import type { SheetResult } from '../sheet/sheet.js';
import type { BakedFilling, BakeResult } from './bake-result.js';
import type { BakeTimes } from './doneness.js';
import type { Case } from '../document/case.js';

const MOST_MIN = 240;
const HALF_MINUTE = 0.5;
const slack = doneTolerance.values;

/** What is off at the end of the written steps; `at` gives the times with the first step wanted so much hotter. */
export function bakeFindings(
  theCase: Case,
  dough: DoughResult,
  { sheet, bake, at }: { readonly sheet: SheetResult; readonly bake: BakeResult; readonly at: (byC: number) => BakeTimes },
): Finding[] {
  const { formula, family, kitchen } = theCase;
  const oven = ovenOf(kitchen, formula.bake.ovenId);
  const found: Finding[] = [];
  if (!bake.ovenMeasured) {
    found.push(finding('bake.ovenNotMeasured', 'note', 'bake', { path: 'bake.ovenMeasured', value: 0 }));
  }
  found.push(...turnFindings(formula, family, oven), ...dockFindings(formula, family, bake));
  if (family.slicedAfter) {
    const { sliceMm: value, ovenC: low, min } = family.slicedAfter;
    found.push(finding('bake.slicedAfter', 'note', 'bake', { path: 'bake.steps', value, low, high: min[1] }));
  }
  if (isUntried(family, kitchen)) found.push(finding('bake.fewTried', 'note', 'bake', { path: 'bake.done', value: 0 }));
  found.push(...pairFindings(bake));
  const last = formula.bake.steps.length - 1;
  if (formula.bake.steps[last]!.weighted) {
    const measured = { path: 'bake.end.moistureShare', value: bake.end.moistureShare };
    found.push(finding('bake.weightsLeftOn', 'watch', 'bake', measured, weightsOff(formula)));
  }
  found.push(...underWeightsFindings(formula));
  if (bake.filling) found.push(...weepFindings(theCase, sheet, bake.filling), ...overfullFindings(theCase, bake.filling));
  if (dough.eggG > 0 && bake.end.coldestC < eggCoreC.value) {
    const measured = { path: 'bake.end.coldestC', value: bake.end.coldestC, low: eggCoreC.value };
    found.push({ ...finding('bake.eggNotSafe', 'fix', 'bake', measured, lastStepUntil(formula, bake, bake.throughMin)), unsafe: true });
  }
  // Where what is asked for and what is too dark are less than half a minute apart, only a cooler oven has both.
  const longer = (untilMin: number | null) =>
    isNarrow(bake)
      ? cooler(formula, bake, at)
      : untilMin !== null && untilMin <= bake.totalMin
        ? undefined
        : longerOrHotter(formula, family, bake, untilMin);
  const darkFirst = bake.darkMin !== null && bake.doneMin !== null && bake.darkMin <= bake.doneMin;
  if (darkFirst) {
    found.push(
      finding(
        'bake.darkBeforeDry',
        'fix',
        'bake',
        { path: 'bake.darkMin', value: bake.darkMin!, low: bake.doneMin! },
        cooler(formula, bake, at),
      ),
    );
    return found;
  }
  if (bake.coreC !== null && bake.end.coldestC < bake.coreC - slack.coreC) {
    const measured = { path: 'bake.end.coldestC', value: bake.end.coldestC, low: bake.coreC };
    const level = bake.end.coldestC < bake.coreC - slack.rawFixC ? 'fix' : 'watch';
    found.push(finding('bake.notThrough', level, 'bake', measured, longer(bake.throughMin)));
  } else if (bake.mustDry && bake.end.moistureShare > bake.dryBelowShare * slack.moistureShare + slack.moisturePoints) {
    const measured = { path: 'bake.end.moistureShare', value: bake.end.moistureShare, high: bake.dryBelowShare };
    const level = bake.end.moistureShare > bake.dryBelowShare * slack.wetFix ? 'fix' : 'watch';
    found.push(finding('bake.notDry', level, 'bake', measured, longer(bake.doneMin ?? bake.dryMin)));
  } else if (Math.max(bake.end.rimTone, bake.end.baseTone) < bake.goldenFromTone - slack.paleTones) {
    const measured = { path: 'bake.end.topTone', value: bake.end.topTone, low: bake.goldenFromTone };
    found.push(finding('bake.pale', 'watch', 'bake', measured, longer(bake.goldenMin)));
  }
  found.push(...dryFindings(formula, bake));
  found.push(...acrylamideFindings(theCase, bake));
  const darkest = Math.max(bake.end.topTone, bake.end.baseTone);
  // By what has happened, not by the tone: of a dough that starts dark the eye cannot tell.
  const over = bake.end.faceBrowning - bake.darkFromBrowning;
  if (over > 0) {
    const measured = { path: 'bake.end.topTone', value: darkest, high: bake.darkFromTone };
    found.push(
      finding(
        'bake.tooDark',
        over > slack.darkFixTones * toneIndex(lightness.values.raw) ? 'fix' : 'watch',
        'bake',
        measured,
        isNarrow(bake) ? cooler(formula, bake, at) : lastStepUntil(formula, bake, betweenMin(bake)),
      ),
    );
  }
  return found;
}

/** Left in after it was done, and drier than its kind for it. One that is dry before it is gold is not told so: nothing mends it. */
function dryFindings(formula: Formula, bake: BakeResult): Finding[] {
  const { end, endMoisture, tooDryShare, totalMin } = bake;
  const sooner = betweenMin(bake) ?? bake.doneMin;
  if (end.moistureShare + endMoisture.sd >= tooDryShare || sooner === null || sooner >= totalMin) return [];
  const of = tooDryShare > softFrom.value ? 'soft' : 'hard';
  const measured = { path: 'bake.end.moistureShare', value: end.moistureShare, low: tooDryShare, of };
  const level = end.moistureShare < tooDryShare * slack.dryFix ? 'fix' : 'watch';
  return [finding('bake.tooDry', level, 'bake', measured, lastStepUntil(formula, bake, sooner))];
}

/** Over the benchmark nearly for sure, or rather than not: no ammonia, else sooner. */
function acrylamideFindings({ formula, pantry }: Case, bake: BakeResult): Finding[] {
  const { value, low, benchmark, kind } = bake.acrylamide;
  if (value <= benchmark) return [];
  const measured = { path: 'bake.acrylamide.value', value, high: benchmark, of: acrylamideWords[kind] };
  const ammonia = formula.rows.findIndex(({ ingredientId }) => pantry.ingredients[ingredientId]?.leavens === 'ammonia');
  const from = formula.rows[ammonia];
  const sooner = betweenMin(bake);
  const edits: Edit[] | undefined = from
    ? [{ path: `/rows/${ammonia}`, from: from as never, to: asPowder(from) as never }]
    : sooner !== null && sooner < bake.totalMin
      ? lastStepUntil(formula, bake, sooner)
      : undefined;
  return [finding('bake.acrylamide', low > benchmark ? 'watch' : 'note', 'bake', measured, edits)];
}

/** A bare base in a pan rises in blisters unless it is pricked or weighed; a pricked one leaks. */
function dockFindings({ sheet, bake: { panId, steps } }: Formula, family: Family, bake: BakeResult): Finding[] {
  if (panId === undefined || family.bakesAs !== 'pieShell') return [];
  const pitch = sheet.dockPitchMm;
  if (bake.filling) {
    if (pitch === undefined) return [];
    return [
      finding('bake.dockedFilled', 'watch', 'bake', { path: 'sheet.dockPitchMm', value: pitch }, [
        { path: '/sheet/dockPitchMm', from: pitch },
      ]),
    ];
  }
  if (pitch !== undefined || steps.some(({ weighted }) => weighted)) return [];
  const to = family.dockPitchMm[1];
  return [
    finding('bake.baseBlisters', 'watch', 'bake', { path: 'sheet.dockPitchMm', value: 0, high: to }, [{ path: '/sheet/dockPitchMm', to }]),
  ];
}

/** In an oven with a hot side a tray is turned at half time, but for what steam holds up: it falls when the door opens. */
function turnFindings({ bake: { steps } }: Formula, family: Family, { hotSpots = [] }: Oven): Finding[] {
  if (bakeKinds.values[family.bakesAs].hollow !== undefined) return [];
  const middle = hotSpots.filter(({ shelf }) => shelf === 'middle').map(({ aboveC }) => aboveC);
  const unevenC = middle.length > 1 ? Math.max(...middle) - Math.min(...middle) : 0;
  if (unevenC < ovenSideLimit.value || steps.some(({ turn }) => turn)) return [];
  const halfMin = steps.reduce((sum, { min }) => sum + min, 0) / 2;
  let before = 0;
  const at = steps.findIndex(({ min }) => (before += min) >= halfMin);
  const step = steps[at]!;
  const first = Math.max(HALF_MINUTE, roundTo(step.min - (before - halfMin), HALF_MINUTE));
  const rest = step.min - first;
  const edits: Edit[] =
    rest >= HALF_MINUTE
      ? [
          { path: `/bake/steps/${at}/min`, from: step.min, to: first },
          { path: `/bake/steps/${at + 1}`, to: { ...step, name: `${step.name}, turned`, min: rest, turn: true } },
        ]
      : at + 1 < steps.length
        ? [{ path: `/bake/steps/${at + 1}/turn`, to: true }]
        : [];
  return [finding('bake.turnTray', 'note', 'bake', { path: 'bake.steps', value: unevenC, high: ovenSideLimit.value }, edits)];
}

const fillingRows = ({ rows }: Formula) => rows.flatMap((row, i) => (row.use === 'filling' ? [{ row, i }] : []));

/** Weights lie in an empty shell: what they would lie on goes in once they are off. */
function underWeightsFindings({ rows, bake: { steps } }: Formula): Finding[] {
  const lastWeighted = steps.findLastIndex(({ weighted }) => weighted);
  if (lastWeighted < 0) return [];
  const under = rows.flatMap((row, i) => {
    if ((row.use !== 'filling' && row.use !== 'topping') || row.amountG <= 0 || !isInOven(row)) return [];
    const goesOn = goesOnOf(row)!;
    return goesOn.at === 'bakeStep' && goesOn.n > lastWeighted ? [] : [{ row, i }];
  });
  if (under.length === 0) return [];
  const n = lastWeighted + 1;
  const edits = steps[n]
    ? under.map(({ row, i }): Edit => ({
        path: `/rows/${i}/goesOn`,
        ...(row.goesOn ? { from: row.goesOn } : {}),
        to: { at: 'bakeStep', n },
      }))
    : [];
  return [finding('bake.weightsOnFilling', 'fix', 'bake', { path: 'bake.steps', value: under.length }, edits)];
}

/** A filling that weeps wants starch. */
function weepFindings({ formula, pantry }: Case, { pieces }: SheetResult, { weepsG, massG }: BakedFilling): Finding[] {
  const share = weepsG / massG;
  if (share <= weepShare.values.watch) return [];
  const moreG = roundTo((weepsG * pieces) / holds.values.starch, 0.5, 'up');
  const starch = fillingRows(formula).find(({ row }) => isStarch(pantry.ingredients[row.ingredientId]!));
  // It thickens what gives the juice.
  const beside = fillingRows(formula).find(({ row }) => isInOven(row))?.row;
  const edit: Edit = starch
    ? { path: `/rows/${starch.i}/amountG`, from: starch.row.amountG, to: roundTo(starch.row.amountG + moreG, 0.5, 'up') }
    : {
        path: `/rows/${formula.rows.length}`,
        to: {
          key: 'filling-starch',
          ingredientId: usual.values.thickener,
          amountG: moreG,
          use: 'filling',
          ...(beside?.goesOn ? { goesOn: beside.goesOn } : {}),
          ...(beside?.component ? { component: beside.component } : {}),
        },
      };
  const measured = { path: 'bake.filling.weepsG', value: weepsG, high: weepShare.values.watch * massG };
  return [finding('bake.fillingWeeps', share > weepShare.values.fix ? 'fix' : 'watch', 'bake', measured, [edit])];
}

/** A filling that is too much wants less of everything that bakes with it. */
/** Tops that are done well before or after their bottoms: they come out by themselves. */
function pairFindings(bake: BakeResult): Finding[] {
  const { second, doneMin, darkFromTone } = bake;
  if (topsSoonerMin(bake) === null || !second) return [];
  const measured = { path: 'bake.second.doneMin', value: second.doneMin!, low: doneMin! };
  return [finding('bake.pairApart', second.end.topTone >= darkFromTone ? 'watch' : 'note', 'bake', measured)];
}

function overfullFindings({ formula }: Case, { overG, massG }: BakedFilling): Finding[] {
  if (overG <= 0.5) return [];
  const keep = 1 - overG / massG;
  const edits = fillingRows(formula)
    .filter(({ row }) => isInOven(row))
    .map(({ row, i }): Edit => ({ path: `/rows/${i}/amountG`, from: row.amountG, to: roundTo(row.amountG * keep, 0.5, 'down') }));
  const lost = (formula.components ?? []).flatMap((component, i) =>
    fillingRows(formula).some(({ row }) => row.component === component.key && isInOven(row))
      ? (['boiledOffG', 'drainedG'] as const).flatMap((loss): Edit[] =>
          component[loss] > 0 ? [{ path: `/components/${i}/${loss}`, from: component[loss], to: component[loss] * keep }] : [],
        )
      : [],
  );
  return [
    finding('bake.fillingOver', 'fix', 'bake', { path: 'bake.filling.overG', value: overG, high: massG - overG }, [...edits, ...lost]),
  ];
}

/** Longer, where that gets there; else as hot as the family is baked, when it is not yet. */
function longerOrHotter(formula: Formula, { ovenC }: Family, bake: BakeResult, untilMin: number | null): Edit[] | undefined {
  if (untilMin !== null) return lastStepUntil(formula, bake, untilMin);
  const from = formula.bake.steps[0]!.wantC!;
  return from < ovenC[1] ? [{ path: '/bake/steps/0/wantC', from, to: ovenC[1] }] : undefined;
}

/** A last step without weights: half of its minutes, so that the base dries. */
function weightsOff({ bake: { steps } }: Formula): Edit[] {
  const last = steps.length - 1;
  const { weighted: _, ...step } = steps[last]!;
  const half = Math.max(HALF_MINUTE, roundTo(step.min / 2, HALF_MINUTE));
  return [
    { path: `/bake/steps/${last}/min`, from: step.min, to: half },
    { path: `/bake/steps/${steps.length}`, to: { ...step, name: 'Without weights', min: half } },
  ];
}

/** Sets the last step's minutes so that the whole bake ends at `untilMin`; half minutes, never less than one. */
function lastStepUntil(formula: Formula, bake: BakeResult, untilMin: number | null): Edit[] | undefined {
  if (untilMin === null) return undefined;
  const last = formula.bake.steps.length - 1;
  const from = formula.bake.steps[last]!.min;
  const to = roundTo(from + untilMin - bake.totalMin, HALF_MINUTE, untilMin > bake.totalMin ? 'up' : 'down');
  if (to < HALF_MINUTE || to > MOST_MIN || to === from) return undefined;
  return [{ path: `/bake/steps/${last}/min`, from, to }];
}

/** No half minute lies between done and too dark. */
const isNarrow = ({ doneMin, darkMin }: BakeTimes): boolean =>
  doneMin !== null && darkMin !== null && roundTo(doneMin, HALF_MINUTE, 'up') >= darkMin;

/** Half way between done and too dark, or as near as a half minute comes to it. */
const betweenMin = ({ doneMin, darkMin }: BakeTimes): number | null => {
  if (doneMin === null || darkMin === null) return null;
  const first = roundTo(doneMin, HALF_MINUTE, 'up');
  return Math.max(first, roundTo(0.5 * (doneMin + darkMin), HALF_MINUTE, 'down'));
};

/** The highest first setting, in steps of 5 C, that dries before it darkens, and the time it then takes. */
function cooler(formula: Formula, { totalMin }: BakeResult, at: (byC: number) => BakeTimes): Edit[] | undefined {
  const wantC = formula.bake.steps[0]!.wantC;
  if (wantC === null) return undefined;
  const last = formula.bake.steps.length - 1;
  for (let to = wantC - 5; to >= Math.max(100, wantC - 80); to -= 5) {
    const times = at(to - wantC);
    const { doneMin, darkMin } = times;
    // A margin of one step: the next evaluation marches from another end.
    if (doneMin === null || isNarrow(times) || (darkMin !== null && darkMin <= doneMin + HALF_MINUTE)) continue;
    const from = formula.bake.steps[last]!.min;
    const min = roundTo(from + (betweenMin(times) ?? doneMin) - totalMin, HALF_MINUTE, 'up');
    const edits: Edit[] = [{ path: '/bake/steps/0/wantC', from: wantC, to }];
    return min >= HALF_MINUTE && min <= MOST_MIN && min !== from ? [...edits, { path: `/bake/steps/${last}/min`, from, to: min }] : edits;
  }
  return undefined;
}
