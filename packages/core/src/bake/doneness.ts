import { firstReach } from '../math/interpolate.js';
import type { BakeMarch, MarchOptions, Trajectory } from './slab/march.js';
import type { BakeProblem, SettingNumbers } from './slab/problem.js';

/** What a bake has to reach, and what it must not; what is left out is not asked for. */
export type DoneRule = {
  /** kg water per kg dry, mean of the dough. */ readonly dryX?: number;
  /** Coldest place of all, C. */ readonly coreC?: number;
  /** Browning index of the darkest of top, base and rim, 0..1. */ readonly golden: number;
  /** And of the darker face: a dark rim alone spoils nothing. */ readonly dark: number;
  /** Drier than this is over-baked, kg water per kg dry. */ readonly driestX?: number;
};

/** When each thing happens, minutes from the door shut; null when not within the longest bake that is looked at. */
export type BakeTimes = {
  readonly dryMin: number | null;
  /** Hot enough in its coldest place. */ readonly throughMin: number | null;
  readonly goldenMin: number | null;
  readonly darkMin: number | null;
  /** Everything that is asked for: the latest of them. */ readonly doneMin: number | null;
  /** Too dark or too dry: the sooner. */ readonly overMin: number | null;
};

export type UntilOver = Pick<MarchOptions, 'toleranceK' | 'toleranceX'> & { readonly atLeastMin?: number; readonly longestMin?: number };

/** The last setting is carried on this long to see when things would happen. */
export const LONGEST_MIN = 60;

/**
 * One run of a bake with its last setting carried on until everything has happened.
 *
 * Units    min from the door shut.
 * Throws   nothing.
 * Findings none.
 * Source   done: the latest of dry, through and golden; over: too dark or too dry.
 */
export function bakeUntilOver(
  march: BakeMarch,
  problem: BakeProblem,
  rule: DoneRule,
  { atLeastMin = 0, longestMin = LONGEST_MIN, ...tolerances }: UntilOver = {},
): { trajectory: Trajectory; times: BakeTimes } {
  const last = problem.settings.length - 1;
  const settings = problem.settings.map((setting, i): SettingNumbers =>
    i === last ? { ...setting, seconds: setting.seconds + longestMin * 60 } : setting,
  );
  const { trajectory } = march.run({ ...problem, settings }, { ...tolerances, enough: (so) => hasHappened(so, rule, atLeastMin) });
  return { trajectory, times: timesOf(trajectory, rule) };
}

function hasHappened({ min, moistureX, coldestC, browningTop, browningBase }: Trajectory, rule: DoneRule, atLeastMin: number): boolean {
  const i = min.length - 1;
  if (min[i]! < atLeastMin) return false;
  if (Math.max(browningTop[i]!, browningBase[i]!) < rule.dark) return false;
  return (rule.dryX === undefined || moistureX[i]! <= rule.dryX) && (rule.coreC === undefined || coldestC[i]! >= rule.coreC);
}

/** The times at which a course passes what it has to reach. */
export function timesOf({ min, moistureX, coldestC, browningTop, browningBase, browningRim }: Trajectory, rule: DoneRule): BakeTimes {
  const darker = browningTop.map((top, i) => Math.max(top, browningBase[i]!));
  const seen = darker.map((face, i) => Math.max(face, browningRim[i]!));
  const dry = rule.dryX === undefined ? 0 : firstReach(min, moistureX, rule.dryX, 'falling');
  const through = rule.coreC === undefined ? 0 : firstReach(min, coldestC, rule.coreC, 'rising');
  const golden = firstReach(min, seen, rule.golden, 'rising');
  const dark = firstReach(min, darker, rule.dark, 'rising');
  const tooDry = rule.driestX === undefined ? Infinity : firstReach(min, moistureX, rule.driestX, 'falling');
  return {
    dryMin: finite(dry),
    throughMin: finite(through),
    goldenMin: finite(golden),
    darkMin: finite(dark),
    doneMin: finite(Math.max(dry, through, golden)),
    overMin: finite(Math.min(dark, tooDry)),
  };
}

const finite = (value: number): number | null => (Number.isFinite(value) ? value : null);
