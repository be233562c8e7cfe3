import { evaluate, findingsOf } from '../evaluate.js';
import type { Formula, Wait } from '../document/formula.js';
import type { Kitchen } from '../document/kitchen.js';
import type { Pantry } from '../document/pantry.js';
import type { Evaluation } from '../evaluate.js';
import type { Finding } from '../findings/finding.js';

export type NeededRest = {
  /** Step of the run that waits, and where. */ readonly key: string;
  readonly place: string;
  readonly min: number;
  /** What goes wrong without it. */ readonly without: Finding;
};

/**
 * Rests that cannot be left out: those without which something is found that was not.
 *
 * Units    min.
 * Throws   nothing; a formula that cannot be worked out needs none.
 * Findings none of its own: each rest carries the worst that its absence brings.
 * Source   the formula worked out once more without each wait.
 */
export function neededRests(formula: Formula, kitchen: Kitchen, pantry: Pantry, asItIs: Evaluation): NeededRest[] {
  const before = new Set(findingsOf(asItIs).map(({ code }) => code));
  const placeOf = (id: string) => kitchen.places.find((place) => place.id === id)?.name ?? id;
  return candidates(formula).flatMap(({ key, wait, without }) => {
    const worse = findingsOf(evaluate(without, kitchen, pantry))
      .filter(({ code, level }) => level !== 'note' && !before.has(code))
      .sort((a, b) => Number(b.level === 'fix') - Number(a.level === 'fix'))[0];
    return worse ? [{ key, place: placeOf(wait.placeId), min: wait.min, without: worse }] : [];
  });
}

/** Almost none, since a list of waits may not be empty. */
const NO_MIN = 0.1;

function candidates(formula: Formula): { key: string; wait: Wait; without: Formula }[] {
  const { chill, sheet } = formula;
  const short = (waits: readonly Wait[], i: number) => waits.map((wait, n) => (n === i ? { ...wait, min: NO_MIN } : wait));
  return [
    ...chill.waits.map((wait, i) => ({
      key: `cold:${i}`,
      wait,
      without: { ...formula, chill: { ...chill, waits: short(chill.waits, i) } },
    })),
    ...(sheet.laminate?.folds ?? []).flatMap((fold, f) =>
      fold.waits.map((wait, i) => {
        const folds = sheet.laminate!.folds.map((one, n) => (n === f ? { ...one, waits: short(one.waits, i) } : one));
        return { key: `foldRest:${f}:${i}`, wait, without: { ...formula, sheet: { ...sheet, laminate: { ...sheet.laminate!, folds } } } };
      }),
    ),
    ...sheet.waits.map((wait, i) => ({
      key: `firm${i}:0`,
      wait,
      without: { ...formula, sheet: { ...sheet, waits: short(sheet.waits, i) } },
    })),
  ].filter(({ wait }) => wait.min > 1);
}
