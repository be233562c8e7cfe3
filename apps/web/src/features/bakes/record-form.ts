import { type BakeEvent, type Formula, type HandWord, type Happened, type MeasuredWhat, type Pantry } from '@north-leaf/core';
import { type Voice } from '@north-leaf/words';
import { readMeasure } from './read-measure';
import { readMass } from '../../ui/form/typed-mass';

/** What the form holds, all of it text until it is stored. */
export type RecordForm = {
  weighed: Record<string, string | undefined>;
  felt: HandWord | null;
  rawMm: string;
  bakeMin: string;
  rawG: string;
  bakedG: string;
  topTone: string;
  roomC: string;
  crisp: number | null;
  tender: number | null;
  liked: number | null;
  note: string;
  reason: string;
};

export const emptyRecord: RecordForm = {
  weighed: {},
  felt: null,
  rawMm: '',
  bakeMin: '',
  rawG: '',
  bakedG: '',
  topTone: '',
  roomC: '',
  crisp: null,
  tender: null,
  liked: null,
  note: '',
  reason: '',
};

/** What is weighed for a bake: the blend's flours, then everything else, each with what was planned. */
export const rowsToWeigh = ({
  blend,
  blendG,
  rows,
}: Formula): readonly { readonly key: string; readonly ingredientId: string; readonly plannedG: number }[] => [
  ...blend.rows.map(({ key, ingredientId, share }) => ({ key, ingredientId, plannedG: blendG * share })),
  ...rows.map(({ key, ingredientId, amountG }) => ({ key, ingredientId, plannedG: amountG })),
];

/** What of the form is measured. */
export const measuredFields = ['rawMm', 'bakeMin', 'rawG', 'bakedG', 'topTone', 'roomC'] as const satisfies readonly MeasuredWhat[];

/** The events of a filled form, in the order of the work, a second apart. */
export function eventsOfRecord(
  form: RecordForm,
  formula: Formula,
  unsafe: readonly string[],
  {
    newId,
    now,
    voice,
    pantry,
  }: { readonly newId: () => string; readonly now: Date; readonly voice: Voice; readonly pantry: Pick<Pantry, 'ingredients'> },
): BakeEvent[] {
  const said: (Happened | null)[] = [
    ...unsafe.map((code): Happened => ({ kind: 'confirmed', code, reason: form.reason.trim() })),
    ...rowsToWeigh(formula).map((row): Happened | null => {
      const of = { ingredient: pantry.ingredients[row.ingredientId] };
      const addedG = readMass(form.weighed[row.key] ?? '', voice, { of }).g;
      return addedG === undefined ? null : { kind: 'weighed', rowKey: row.key, addedG };
    }),
    form.felt && { kind: 'felt', word: form.felt },
    ...measuredFields.map((what): Happened | null => {
      const { value } = readMeasure(what, form[what], voice);
      return value === undefined ? null : { kind: 'measured', what, value };
    }),
    ratingOf(form),
    form.note.trim() === '' ? null : { kind: 'noted', text: form.note.trim() },
  ];
  return said
    .filter((what): what is Happened => what !== null)
    .map((what, i) => ({ id: newId(), at: new Date(now.getTime() + i * 1000).toISOString(), what }));
}

function ratingOf({ crisp, tender, liked }: RecordForm): Happened | null {
  if (crisp === null && tender === null && liked === null) return null;
  return {
    kind: 'rated',
    after: 'fresh',
    ...(crisp === null ? {} : { crisp }),
    ...(tender === null ? {} : { tender }),
    ...(liked === null ? {} : { liked }),
  };
}
