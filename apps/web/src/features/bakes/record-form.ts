import type { BakeEvent, Formula, HandWord, Happened } from '@north-leaf/core';

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

/** Low and high of each measure, the same as the contract's. */
export const fieldLimits = {
  rawMm: [0.2, 60],
  bakeMin: [0.5, 600],
  rawG: [0.1, 100000],
  bakedG: [0.1, 100000],
  topTone: [1, 8],
  roomC: [-10, 60],
} as const;

/** A number with a point or a comma; undefined for anything else. */
export function readNumber(text: string): number | undefined {
  const plain = text.trim().replace(',', '.');
  return /^-?\d+(\.\d+)?$/.test(plain) ? Number(plain) : undefined;
}

/** The events of a filled form, in the order of the work, a second apart. */
export function eventsOf(
  form: RecordForm,
  formula: Formula,
  unsafe: readonly string[],
  { newId, now }: { readonly newId: () => string; readonly now: Date },
): BakeEvent[] {
  const said: (Happened | null)[] = [
    ...unsafe.map((code): Happened => ({ kind: 'confirmed', code, reason: form.reason.trim() })),
    ...formula.rows.map((row): Happened | null => {
      const addedG = readNumber(form.weighed[row.key] ?? '');
      return addedG === undefined ? null : { kind: 'weighed', rowKey: row.key, addedG };
    }),
    form.felt && { kind: 'felt', word: form.felt },
    ...(['rawMm', 'bakeMin', 'rawG', 'bakedG', 'topTone', 'roomC'] as const).map((what): Happened | null => {
      const value = readNumber(form[what]);
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
