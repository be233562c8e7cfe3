/*
 * One member of a stored document, described once. What a document is (`DocumentOf`), what the API takes (contracts), what may be
 * corrected, what a mixture has of it, what forms ask, what a round trip keeps and what the docs say are all read from this.
 */

/** What is said of any member. `name` is its word on the screen. */
type Said = {
  readonly name?: string;
  /** May be left out. */ readonly optional?: true;
  /** The core that first stored it: in an older document what is known of the same thing today stands for it. */ readonly since?: string;
};
export type NumberField = Said & {
  readonly is: 'number';
  readonly unit: string;
  readonly low: number;
  readonly high: number;
  /** `low` itself is too little. */ readonly above?: true;
  readonly whole?: true;
  /** Not less than this member of the same document. */ readonly atLeast?: string;
  /** How it is typed and read, where that is not its own unit: value times `times`. */ readonly shown?: {
    readonly times: number;
    readonly unit: string;
  };
  /** A kitchen may say it better than the table. */ readonly correctable?: true;
  /** Our estimate, whatever the source of its row says. */ readonly estimate?: true;
  /** Of a composition: a part that sums to the whole with the others, or lies within one of them. */ readonly part?: 'whole' | 'within';
  /** The part that it lies within: never more than that. */ readonly within?: string;
  /** A mixture has the mean by mass of it; what has none has 0 of it. */ readonly mixes?: true;
  /** What a form puts where it is said that there is some, and what is taken where nobody says. */ readonly usual?: number;
  readonly without?: string;
  /** Asked only of things of this kind. */ readonly ofKind?: string;
};
export type WordField<W extends string = string> = Said & {
  readonly is: 'word';
  readonly of: readonly W[];
  /** Each as the screen says it. */ readonly words: Readonly<Record<W, string>>;
};
/** True or left out. */
export type FlagField = Said & { readonly is: 'flag' };
export type YesNoField = Said & { readonly is: 'yesNo' };
export type TextField = Said & { readonly is: 'text'; readonly longest: number; /** Nothing is a text too. */ readonly empty?: true };
type IdOf = 'ingredient' | 'lot' | 'place';
export type IdField = Said & { readonly is: 'id'; /** Of what. */ readonly of?: IdOf; readonly longest?: number };
export type UuidField = Said & { readonly is: 'uuid' };
export type DayField = Said & { readonly is: 'day' };
export type InstantField = Said & { readonly is: 'instant' };
/** An allergen of a market's list, `:possible` where it depends on the maker. */
export type AllergenField = Said & { readonly is: 'allergen' };
/** Always this number. */
export type ExactlyField<N extends number = number> = Said & { readonly is: 'exactly'; readonly value: N };
export type ListField<F = unknown> = Said & {
  readonly is: 'list';
  readonly of: F;
  readonly most: number;
  /** No two items agree in all of these. */ readonly apartBy?: readonly string[];
};
export type GroupField<S = unknown> = Said & { readonly is: 'group'; readonly fields: S };
export type EitherField<S = unknown> = Said & { readonly is: 'either'; readonly of: readonly S[] };
/** A value by name. */
export type ByNameField<F = unknown> = Said & { readonly is: 'byName'; readonly of: F; readonly most: number };

export type Field =
  | NumberField
  | WordField
  | FlagField
  | YesNoField
  | TextField
  | IdField
  | UuidField
  | DayField
  | InstantField
  | AllergenField
  | ExactlyField
  | ListField
  | GroupField
  | EitherField
  | ByNameField;
export type Fields = Readonly<Record<string, Field>>;

/** What a member holds. */
export type ValueOf<F> = F extends { readonly is: 'number' }
  ? number
  : F extends { readonly is: 'exactly'; readonly value: infer N }
    ? N
    : F extends { readonly is: 'word'; readonly of: readonly (infer W)[] }
      ? W
      : F extends { readonly is: 'flag' }
        ? true
        : F extends { readonly is: 'yesNo' }
          ? boolean
          : F extends { readonly is: 'text' | 'id' | 'uuid' | 'day' | 'instant' | 'allergen' }
            ? string
            : F extends { readonly is: 'list'; readonly of: infer G }
              ? readonly ValueOf<G>[]
              : F extends { readonly is: 'group'; readonly fields: infer S }
                ? DocumentOf<S>
                : F extends { readonly is: 'either'; readonly of: readonly (infer S)[] }
                  ? S extends unknown
                    ? DocumentOf<S>
                    : never
                  : F extends { readonly is: 'byName'; readonly of: infer G }
                    ? Readonly<Record<string, ValueOf<G>>>
                    : never;

/** The document that a record of fields describes. */
export type DocumentOf<S> = {
  readonly [K in keyof S as S[K] extends { readonly optional: true } ? never : K]: ValueOf<S[K]>;
} & {
  readonly [K in keyof S as S[K] extends { readonly optional: true } ? K : never]?: ValueOf<S[K]>;
};

type More<F extends Said> = Partial<Omit<F, 'is' | 'name' | 'optional'>>;
export const number = (name: string, unit: string, low: number, high: number, more: More<NumberField> = {}): NumberField => ({
  is: 'number',
  name,
  unit,
  low,
  high,
  ...more,
});
/** A share of the mass, 0..1. */
export const share = (name: string, more: More<NumberField> = {}): NumberField =>
  number(name, 'share', 0, 1, { shown: { times: 100, unit: 'g' }, ...more });
/** One of some words: each with what the screen says, or the words alone where no screen says them. */
export const word = <const W extends string>(name: string, words: Readonly<Record<W, string>>): WordField<W> => ({
  is: 'word',
  name,
  of: keysOf(words),
  words,
});
/**
 * The keys of a table, by their type.
 *
 * Units    none.
 * Throws   nothing.
 * Findings none.
 * Source   none.
 *
 * @example
 * keysOf({ room: 1, fridge: 2 }); // => ['room', 'fridge']
 */
export const keysOf = <const W extends string>(of: Readonly<Record<W, unknown>>): readonly W[] => Object.keys(of) as W[];
/** Words that stand for themselves. */
export const plainly = <const W extends string>(of: readonly W[]): Readonly<Record<W, string>> =>
  Object.fromEntries(of.map((one) => [one, one])) as never;
export const flag = (name: string): FlagField => ({ is: 'flag', name });
export const yesNo = (name: string): YesNoField => ({ is: 'yesNo', name });
export const text = (name: string, longest: number, more: More<TextField> = {}): TextField => ({ is: 'text', name, longest, ...more });
export const id = (of?: IdOf, longest?: number): IdField => ({
  is: 'id',
  ...(of ? { of } : {}),
  ...(longest ? { longest } : {}),
});
export const uuid = (): UuidField => ({ is: 'uuid' });
export const day = (name: string): DayField => ({ is: 'day', name });
export const instant = (): InstantField => ({ is: 'instant' });
export const allergen = (): AllergenField => ({ is: 'allergen' });
export const exactly = <const N extends number>(value: N): ExactlyField<N> => ({ is: 'exactly', value });
export const list = <const F extends Field>(name: string, of: F, most: number, apartBy?: readonly string[]): ListField<F> => ({
  is: 'list',
  name,
  of,
  most,
  ...(apartBy ? { apartBy } : {}),
});
export const group = <const S extends Fields>(name: string, fields: S): GroupField<S> => ({ is: 'group', name, fields });
export const either = <const S extends Fields>(name: string, ...of: readonly S[]): EitherField<S> => ({ is: 'either', name, of });
export const byName = <const F extends Field>(name: string, of: F, most: number): ByNameField<F> => ({ is: 'byName', name, of, most });
export const maybe = <F extends Field>(field: F, since?: string): F & { readonly optional: true } => ({
  ...field,
  optional: true,
  ...(since ? { since } : {}),
});

/** A number in one group or none: where it stands ('composition.waterShare', 'grit') and what it is. */
export type NumberPlace = { readonly path: string; readonly field: NumberField };

/**
 * The numbers of a document and of the groups in it, by where they stand.
 *
 * Units    none.
 * Throws   nothing.
 * Findings none.
 * Source   the registry itself.
 */
export function numbersOf(fields: Fields, under = ''): NumberPlace[] {
  return Object.entries(fields).flatMap(([key, field]): NumberPlace[] => {
    if (field.is === 'number') return [{ path: under + key, field }];
    return field.is === 'group' ? numbersOf(field.fields as Fields, `${under}${key}.`) : [];
  });
}

/**
 * What stands at a place of a document: 'composition.waterShare'.
 *
 * Units    those of the document.
 * Throws   nothing.
 * Findings none.
 * Source   none.
 *
 * @example
 * at({ composition: { waterShare: 0.12 } }, 'composition.waterShare'); // => 0.12
 */
export const at = (document: unknown, path: string): unknown =>
  path
    .split('.')
    .reduce<unknown>((now, key) => (now !== null && typeof now === 'object' ? (now as Record<string, unknown>)[key] : undefined), document);

/**
 * A document with other values at some places; undefined takes a value away. What it holds besides is kept, known to the registry or not.
 *
 * Units    none.
 * Throws   nothing.
 * Findings none.
 * Source   none.
 *
 * @example
 * patched({ a: { b: 1, c: 2 } }, { 'a.b': 3 }); // => { a: { b: 3, c: 2 } }
 */
export function patched<T>(document: T, changes: Readonly<Record<string, unknown>>): T {
  type Held = Record<string, unknown>;
  const root: Held = { ...(document as object) };
  // Copied once each, however many places of it change: the ingredient table is made of five hundred of these.
  const own = new Set<unknown>([root]);
  for (const [path, value] of Object.entries(changes)) {
    const keys = path.split('.');
    const last = keys.pop()!;
    let at = root;
    for (const key of keys) {
      if (!own.has(at[key])) {
        at[key] = { ...(at[key] as object | undefined) };
        own.add(at[key]);
      }
      at = at[key] as Held;
    }
    // In its old place, so that a change of a value is no change of the order.
    if (value === undefined) delete at[last];
    else at[last] = value;
  }
  return root as T;
}
