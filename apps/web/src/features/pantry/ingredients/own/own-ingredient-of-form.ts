import {
  compositionFields,
  keysOf,
  numbersOf,
  ownIngredientFields,
  patched,
  suits,
  valueIn,
  wholeParts,
  type Field,
  type Fields,
  type Ingredient,
  type IngredientAct,
  type NumberField,
  type OwnIngredient,
} from '@north-leaf/core';
import { readTyped, textOf } from '../../../../ui/form/typed-number';
import { t } from '../../../../platform/words';

/** What an own ingredient is typed as: texts, words and marks by where they stand in the document. */
export type OwnForm = {
  readonly name: string;
  readonly words: Readonly<Record<string, string>>;
  readonly numbers: Readonly<Record<string, string>>;
  readonly flags: readonly string[];
  readonly allergens: readonly string[];
  readonly labelRead: boolean;
  readonly texts: Readonly<Record<string, string>>;
  readonly does: readonly IngredientAct[];
  readonly unsuited: readonly string[];
  /** Nothing besides: an empty list then says none, not nothing. */ readonly unsuitedSaid: boolean;
};

export const numbers = new Map<string, NumberField>(numbersOf(ownIngredientFields as Fields).map(({ path, field }) => [path, field]));
const isRequired = (path: string) => numbers.get(path)?.optional !== true;
/** What every label says, and what only some say. */
export const parts = keysOf(compositionFields).map((part) => `composition.${part}`);
export const panel = parts.filter(isRequired);
export const furtherParts = parts.filter((path) => !isRequired(path));
const members = Object.entries(ownIngredientFields as Fields);
const offered = (is: Field['is']) => members.filter(([, field]) => field.is === is).map(([key]) => key);
/** Said of every ingredient, at the head of the form. */
export const chief = ['kind', 'origin', 'gluten'] as const;
const ofPreparations = new Set(['cookedToC']);
export const behaviour = [...numbers.keys()].filter((path) => !parts.includes(path) && numbers.get(path)!.correctable);
export const doings = {
  words: offered('word').filter((key) => !(chief as readonly string[]).includes(key) && key !== 'basis'),
  numbers: [...numbers.keys()].filter((path) => !parts.includes(path) && !numbers.get(path)!.correctable && !ofPreparations.has(path)),
  flags: offered('flag'),
  texts: offered('text').filter((key) => !['name', 'note', 'source'].includes(key)),
};
export const limits = keysOf(suits.values);

/** A form as it begins: empty, or holding what is stored, or what another ingredient is known for. */
export function formOf(one: Partial<Ingredient>): OwnForm {
  const word = (key: string) => (valueIn(one, key) as string | undefined) ?? '';
  return {
    name: one.name ?? '',
    words: {
      ...Object.fromEntries(doings.words.map((key) => [key, word(key)])),
      kind: one.kind ?? 'flour_grain',
      origin: one.origin ?? 'plant',
      gluten: one.gluten === 'free' ? 'free' : 'needsProof',
    },
    numbers: Object.fromEntries([...numbers].map(([path, field]) => [path, textOf(field, valueIn(one, path) as number | undefined, 6)])),
    flags: doings.flags.filter((key) => valueIn(one, key) === true),
    allergens: one.allergens ?? [],
    labelRead: one.labelRead ?? false,
    texts: Object.fromEntries(doings.texts.map((key) => [key, word(key)])),
    does: one.does ?? [],
    unsuited: one.unsuited ?? [],
    unsuitedSaid: one.unsuited !== undefined,
  };
}

/** One of our own as it is sent: what the address, the corrections and the server say is left to them. null for what no kitchen may bake. */
export function asOwn({ id: _id, corrected: _corrected, kind, gluten, ...own }: Ingredient): OwnIngredient | null {
  return kind === 'excluded' || gluten === 'contains' ? null : { ...own, kind, gluten };
}

/** A form whose parts are these. */
export const withParts = (form: OwnForm, composition: Partial<OwnIngredient['composition']>): OwnForm => ({
  ...form,
  numbers: {
    ...form.numbers,
    ...Object.fromEntries(
      Object.entries(composition).map(([part, share]) => [`composition.${part}`, textOf(numbers.get(`composition.${part}`)!, share, 8)]),
    ),
  },
});

export type ReadOwn =
  { readonly ok: true; readonly ingredient: OwnIngredient } | { readonly ok: false; readonly problems: Readonly<Record<string, string>> };

/**
 * The ingredient that a form stands for, laid over what was there: what the form does not ask is kept. A number that was not touched
 * stays as exact as it was. What the label leaves open to 100 g counts as starch.
 */
export function ownOfForm(form: OwnForm, base: Partial<OwnIngredient>): ReadOwn {
  const before = formOf(base as Partial<Ingredient>);
  const problems: Record<string, string> = {};
  if (form.name.trim() === '') problems['name'] = t('pantry.giveItAName');
  const changes: Record<string, unknown> = {};
  for (const [path, field] of numbers) {
    const text = form.numbers[path] ?? '';
    const required = panel.includes(path);
    if (text === before.numbers[path] && !(required && text === '')) continue;
    const read = readTyped(field, text);
    if (!read.ok) problems[path] = read.problem;
    else changes[path] = read.value ?? (required ? 0 : undefined);
  }
  for (const [key, word] of Object.entries(form.words)) changes[key] = word === '' ? undefined : word;
  for (const key of doings.flags) changes[key] = form.flags.includes(key) ? true : undefined;
  for (const key of doings.texts) changes[key] = form.texts[key]?.trim() || undefined;
  const said = patched(base, {
    ...changes,
    name: form.name.trim(),
    allergens: [...form.allergens],
    labelRead: form.labelRead,
    does: form.does.length === 0 ? undefined : [...form.does],
    unsuited: form.unsuited.length === 0 && !form.unsuitedSaid ? undefined : [...form.unsuited],
  }) as OwnIngredient;
  const sum = wholeParts.reduce((total, part) => total + (said.composition?.[part] ?? 0), 0);
  if (sum > 1.02) problems['root'] = t('pantry.thePartsSumToSumIn100', { sum: (sum * 100).toFixed(1) });
  if (sum === 0) problems['root'] = t('pantry.giveAtLeastOnePartThePanel');
  if (Object.keys(problems).length > 0) return { ok: false, problems };
  const open = 1 - sum;
  return {
    ok: true,
    ingredient: open > 1e-9 ? patched(said, { 'composition.starchShare': said.composition.starchShare + open }) : said,
  };
}

/** What a new ingredient takes over from the one it is like: all it does, none of its name, its label or its papers. */
export function likeness({
  id: _id,
  name: _name,
  allergens: _allergens,
  labelRead: _read,
  corrected: _corrected,
  basis: _basis,
  source: _source,
  note: _note,
  madeFrom: _made,
  parts: _parts,
  ...does
}: Ingredient): Partial<OwnIngredient> {
  return { ...does, unsuited: does.unsuited ?? [] } as Partial<OwnIngredient>;
}
