import { matchSorter } from 'match-sorter';

export const findKinds = ['place', 'command', 'formula', 'run', 'bake', 'lot', 'ingredient', 'thing', 'word'] as const;
export type FindKind = (typeof findKinds)[number];

/** Something that can be gone to, or done. */
export type Findable = {
  readonly id: string;
  readonly kind: FindKind;
  readonly name: string;
  /** What tells it from others of its name. */ readonly beside?: string;
  /** Other names it goes by. */ readonly also?: readonly string[];
  readonly to?: string;
  readonly act?: () => void;
};

const MOST = 30;
/** So many of one kind at most, so that two hundred ingredients do not hide the one formula. */
const MOST_OF_KIND = 8;

/**
 * What a text finds, best first, kinds together in the order of their best: names before other names, beginnings of words before their
 * middles. Nothing typed: places and what may be done.
 */
export function found(all: readonly Findable[], typed: string): readonly Findable[] {
  const text = typed.trim();
  if (text === '') return all.filter(({ kind }) => kind === 'place' || kind === 'command');
  const ranked = matchSorter([...all], text, {
    keys: [
      'name',
      { key: ({ also = [] }) => [...also], maxRanking: matchSorter.rankings.WORD_STARTS_WITH },
      { key: 'beside', maxRanking: matchSorter.rankings.CONTAINS },
    ],
    threshold: matchSorter.rankings.CONTAINS,
    // What matches alike stands in the order of the kinds.
    baseSort: (a, b) => findKinds.indexOf(a.item.kind) - findKinds.indexOf(b.item.kind) || a.index - b.index,
  });
  const kinds = [...new Set(ranked.map(({ kind }) => kind))];
  return kinds.flatMap((kind) => ranked.filter((one) => one.kind === kind).slice(0, MOST_OF_KIND)).slice(0, MOST);
}

/** The number of a bake that was typed, `bake 12` or `12`; null where it is none. */
export const bakeNumberIn = (typed: string): number | null => {
  const number = /^\s*(?:[^\d\s]+\s+)?#?(\d{1,6})\s*$/.exec(typed)?.[1];
  return number === undefined ? null : Number(number);
};
