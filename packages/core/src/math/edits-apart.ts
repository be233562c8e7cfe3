/**
 * Letters to add, drop, change or swap with their neighbour to make one text of another, given up past a limit.
 *
 * Units    letters.
 * Throws   nothing; `limit` + 1 or more means further apart than was asked.
 * Findings none.
 * Source   optimal string alignment (Damerau 1964, Commun. ACM 7(3):171; Levenshtein 1966).
 *
 * @example
 * editsApart('xanthan', 'xantham', 2); // => 1
 */
export function editsApart(a: string, b: string, limit: number): number {
  if (Math.abs(a.length - b.length) > limit) return limit + 1;
  let before: number[] = [];
  let row = Array.from({ length: b.length + 1 }, (_, j) => j);
  for (let i = 1; i <= a.length; i++) {
    const next = [i];
    let least = i;
    for (let j = 1; j <= b.length; j++) {
      const same = a.charCodeAt(i - 1) === b.charCodeAt(j - 1) ? 0 : 1;
      let here = Math.min(row[j]! + 1, next[j - 1]! + 1, row[j - 1]! + same);
      const swapped = i > 1 && j > 1 && a.charCodeAt(i - 1) === b.charCodeAt(j - 2) && a.charCodeAt(i - 2) === b.charCodeAt(j - 1);
      if (swapped) here = Math.min(here, before[j - 2]! + 1);
      next.push(here);
      least = Math.min(least, here);
    }
    if (least > limit) return limit + 1;
    [before, row] = [row, next];
  }
  return row[b.length]!;
}
