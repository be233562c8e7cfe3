import { applyEdits, editsBetween } from '../document/edits.js';
import { lastOf } from '../document/happened.js';
import { evaluate } from '../evaluate.js';
import { ratingNoise, textureWeights } from '../facts/texture.js';
import { asTimed, type RecordedBake } from '../learn/from-bakes.js';
import { updated, type Belief } from '../math/belief.js';
import { outlookFromRating } from '../outlook/rating.js';
import type { Edit, Json } from '../document/edits.js';
import type { Formula } from '../document/formula.js';
import type { Kitchen } from '../document/kitchen.js';
import type { Pantry } from '../document/pantry.js';
import type { Outlook } from '../outlook/outlook.js';

export type Axis = 'crisp' | 'tender';
/** What a change did: forecast, and what is believed since both bakes were rated. Points of the Outlook. */
export type Effect = { readonly forecast: number; readonly forecastSd: number; readonly value: number; readonly sd: number };
export type Change = {
  /** 'row:r1', 'blend', 'thickness', 'bakeTime', 'bakeHeat', 'oven', 'air', 'chill', 'sheet', 'keep', 'mix', 'other'. */ readonly key: string;
  readonly from: Json | undefined;
  readonly to: Json | undefined;
  readonly crisp: Effect;
  readonly tender: Effect;
};
export type Explanation = {
  readonly changes: readonly Change[];
  /** Points by the dots of both; null where one was not rated. */ readonly seen: Readonly<Record<Axis, number | null>>;
  readonly notExplained: Readonly<Record<Axis, { readonly value: number; readonly sd: number } | null>>;
  /** Changes that these bakes cannot tell apart, by number in `changes`. */ readonly mixedUp: readonly (readonly [number, number])[];
  /** The one change to take back alone, so that the next bake tells most; null: nothing to tell apart. */ readonly next: number | null;
};

const DOT = 2.5;
/** A change that the model knows no way for still may do something. */
const LEAST_SD = 0.3;
/** Two effects that go against each other this closely cannot be told apart. */
const MIXED = -0.35;
/** And only where either may be this large. */
const MATTERS = 0.25;

/**
 * What made the second of two bakes different from the first: every change with what it did, and what is left over.
 *
 * Each change is forecast alone; the difference in dots then moves all of them together, the least sure the most (Bayes' rule).
 *
 * Units    points of the Outlook, 0 to 10.
 * Throws   nothing; a bake that cannot be worked out gives no changes.
 * Findings none.
 * Source   the texture model and its spread (judgement); noise facts/texture ratingNoise and the width of a dot, both bakes.
 */
export function explainChange(before: RecordedBake, after: RecordedBake, kitchen: Kitchen, pantry: Pantry): Explanation {
  const [a, b] = [asTimed(before), asTimed(after)];
  const airOf = (bake: RecordedBake): Kitchen => ({ ...kitchen, roomC: bake.roomC, humidityShare: bake.humidityShare });
  const outlookA = evaluate(a, airOf(before), pantry).outlook;
  const groups = groupedEdits(a, b);
  const air = Math.abs(before.humidityShare - after.humidityShare) > 0.01 || Math.abs(before.roomC - after.roomC) > 0.5;
  if (!outlookA) return { changes: [], seen: seenOf(before, after), notExplained: { crisp: null, tender: null }, mixedUp: [], next: null };
  const alone = [...groups].map(([key, edits]) => ({ key, edits, outlook: evaluate(applyEdits(a, edits), airOf(before), pantry).outlook }));
  if (air)
    alone.push({
      key: 'air',
      edits: [{ path: '', from: before.humidityShare, to: after.humidityShare }],
      outlook: evaluate(a, airOf(after), pantry).outlook,
    });
  const seen = seenOf(before, after);
  const forecast = alone.map(({ outlook }) => ({
    crisp: effectOf(outlookA, outlook, 'crisp'),
    tender: effectOf(outlookA, outlook, 'tender'),
  }));
  const beliefs = {
    crisp: believe(
      forecast.map(({ crisp }) => crisp),
      seen.crisp,
    ),
    tender: believe(
      forecast.map(({ tender }) => tender),
      seen.tender,
    ),
  };
  const changes = alone.map(({ key, edits }, i): Change => {
    const single = edits.length === 1 ? edits[0] : undefined;
    return {
      key,
      from: single?.from,
      to: single?.to,
      crisp: told(forecast[i]!.crisp, beliefs.crisp, i),
      tender: told(forecast[i]!.tender, beliefs.tender, i),
    };
  });
  const mixedUp = pairsMixed(beliefs);
  return {
    changes,
    seen,
    notExplained: { crisp: leftOver(seen.crisp, beliefs.crisp), tender: leftOver(seen.tender, beliefs.tender) },
    mixedUp,
    next: mixedUp.length === 0 ? null : mostTelling(beliefs),
  };
}

const told = (forecast: readonly [number, number], { mean, covariance }: Belief, i: number): Effect => ({
  forecast: forecast[0],
  forecastSd: forecast[1],
  value: mean[i]!,
  sd: Math.sqrt(covariance[i]![i]!),
});

/** Edits of one thing together: a row, the blend, a thickness, the oven's time or heat. */
function groupedEdits(a: Formula, b: Formula): Map<string, Edit[]> {
  const groups = new Map<string, Edit[]>();
  for (const edit of editsBetween(a, b)) {
    const key = groupOf(edit.path, a, b);
    if (key !== null) groups.set(key, [...(groups.get(key) ?? []), edit]);
  }
  return groups;
}

function groupOf(path: string, a: Formula, b: Formula): string | null {
  const [, first, second, third, fourth] = path.split('/');
  if (first === 'rows') return `row:${(a.rows[Number(second)] ?? b.rows[Number(second)])?.key ?? second}`;
  if (first === 'blend' || first === 'blendG') return 'blend';
  if (first === 'sheet') return second === 'parts' && fourth === 'thicknessMm' ? 'thickness' : 'sheet';
  if (first === 'bake') {
    if (second !== 'steps') return second === 'done' ? null : 'oven';
    return fourth === 'min' ? 'bakeTime' : third === undefined || fourth === undefined ? 'bakeTime' : 'bakeHeat';
  }
  if (first === 'chill' || first === 'restMin') return 'chill';
  if (first === 'keep' || first === 'mix') return first;
  // Names, aims and guests change nothing in the mouth.
  return first === 'doughAtC' ? 'other' : null;
}

function seenOf(before: RecordedBake, after: RecordedBake): Record<Axis, number | null> {
  const pointsOf = ({ events }: RecordedBake, axis: Axis) => {
    const dots = lastOf(events, (what) => (what.kind === 'rated' && what.after === 'fresh' ? what[axis] : undefined));
    return dots === undefined ? null : outlookFromRating(axis, dots);
  };
  const of = (axis: Axis) => {
    const [a, b] = [pointsOf(before, axis), pointsOf(after, axis)];
    return a === null || b === null ? null : b - a;
  };
  return { crisp: of('crisp'), tender: of('tender') };
}

/** Points that a change alone is forecast to bring, and one sd of that: the weights of what it moved. */
function effectOf(before: Outlook, after: Outlook | null, axis: Axis): readonly [number, number] {
  if (!after) return [0, LEAST_SD];
  const termOf = (outlook: Outlook, name: string) => outlook.terms.find((term) => term.name === name)?.[axis] ?? 0;
  const names = new Set([...before.terms, ...after.terms].map(({ name }) => name));
  let [sum, variance] = [0, LEAST_SD ** 2];
  for (const name of names) {
    const moved = termOf(after, name) - termOf(before, name);
    sum += moved;
    // What is raw or burnt has no weight of its own: half of what it takes away may be more or less.
    const [weight, sd] = name === 'raw' || name === 'burnt' ? [2, 1] : textureWeights.values[name][axis === 'crisp' ? 'crisp' : 'firm'];
    variance += weight === 0 ? 0 : ((moved * sd) / weight) ** 2;
  }
  return [sum, Math.sqrt(variance)];
}

/** Noise of a difference of two ratings: each rated apart, each rounded to a dot. */
const differenceVariance = 2 * (ratingNoise.value ** 2 + DOT ** 2 / 12);

function believe(effects: readonly (readonly [number, number])[], seen: number | null): Belief {
  const prior: Belief = {
    mean: effects.map(([mean]) => mean),
    covariance: effects.map(([, sd], i) => effects.map((_, j) => (i === j ? sd ** 2 : 0))),
  };
  return seen === null || effects.length === 0 ? prior : updated(prior, [effects.map(() => 1)], [seen], [[differenceVariance]]);
}

function leftOver(seen: number | null, { mean, covariance }: Belief): { value: number; sd: number } | null {
  if (seen === null) return null;
  const variance = covariance.flat().reduce((sum, one) => sum + one, 0);
  return { value: seen - mean.reduce((sum, one) => sum + one, 0), sd: Math.sqrt(differenceVariance + variance) };
}

function pairsMixed(beliefs: Record<Axis, Belief>): [number, number][] {
  const pairs: [number, number][] = [];
  const n = beliefs.crisp.mean.length;
  for (let i = 0; i < n; i++)
    for (let j = i + 1; j < n; j++) {
      const apart = (['crisp', 'tender'] as const).some((axis) => {
        const { covariance } = beliefs[axis];
        const [si, sj] = [Math.sqrt(covariance[i]![i]!), Math.sqrt(covariance[j]![j]!)];
        return Math.min(si, sj) > MATTERS && covariance[i]![j]! / (si * sj) < MIXED;
      });
      if (apart) pairs.push([i, j]);
    }
  return pairs;
}

/** Which single change, taken back alone in one more bake, leaves the least unsure. */
function mostTelling(beliefs: Record<Axis, Belief>): number {
  const left = beliefs.crisp.mean.map((_, i) =>
    (['crisp', 'tender'] as const).reduce((sum, axis) => {
      const belief = beliefs[axis];
      const X = [belief.mean.map((__, j) => (j === i ? 1 : 0))];
      const after = updated(belief, X, [belief.mean[i]!], [[differenceVariance]]);
      return sum + after.covariance.reduce((trace, row, j) => trace + row[j]!, 0);
    }, 0),
  );
  return left.indexOf(Math.min(...left));
}
