import { createInstance, type i18n } from 'i18next';
import { metric, shownKinds, showQuantity, showValue, spoken, spokenValue, type Show, type ShownKind, type Units } from '@north-leaf/core';
import changes from './en/changes.json' with { type: 'json' };
import findings from './en/findings.json' with { type: 'json' };
import refusals from './en/refusals.json' with { type: 'json' };
import steps from './en/steps.json' with { type: 'json' };
import { pages } from './pages.js';

const english = { ...changes, ...findings, ...pages, ...refusals, ...steps };
type Stem<T> = T extends `${infer stem}_${'zero' | 'one' | 'other'}` ? stem : never;
/** A sentence of the catalogue; one that goes by a number is said by what stands before `_one` and `_other`, with its `count`. */
export type Key = keyof typeof english | Stem<keyof typeof english>;
/** Whether the catalogue has it: for words that are looked up by what a document says. */
export const isKey = (text: string): text is Key => text in english;
export type Values = Readonly<Record<string, unknown>>;
export type Language = 'en' | 'pseudo';

/** Whoever speaks to one baker: sentences from the catalogue, numbers in that baker's units. */
export type Voice = {
  readonly units: Units;
  /** As it is said: fewer digits. */ readonly show: Show;
  /** As a field holds it. */ readonly exact: Show;
  /** The same as `show` without its unit, where that stands behind another number. */ readonly bare: Show;
  /** With its spread, the unit once: `41 ± 3 g`. */ readonly spread: (value: number, sd: number, kind: ShownKind) => string;
  /** From one to another, the unit once: `20 to 40 mm`. */ readonly range: (low: number, high: number, kind: ShownKind) => string;
  /** A sentence by its key. `values` are numbers in the core's units, shown by the kind the sentence names; `context` picks its variant. */
  readonly say: (key: Key, values?: Values) => string;
};

const catalogues: Readonly<Record<Language, Readonly<Record<string, string>>>> = {
  en: english,
  // Every sentence in brackets: whatever stands on a page without them is in no catalogue.
  pseudo: Object.fromEntries(Object.entries(english).map(([key, sentence]) => [key, `⟦${sentence}⟧`])),
};

let made: i18n | null = null;
/** The catalogues as i18next reads them: for a sentence with marks in it. */
export function catalogue(): i18n {
  if (made) return made;
  made = createInstance();
  void made.init({
    lng: 'en',
    resources: Object.fromEntries(Object.entries(catalogues).map(([language, translation]) => [language, { translation }])),
    keySeparator: false,
    nsSeparator: false,
    returnEmptyString: true,
    initAsync: false,
    interpolation: { escapeValue: false },
  });
  for (const kind of shownKinds)
    made.services.formatter?.add(kind, (value: unknown, _language, { units, digits }: { units: Units; digits?: number }) =>
      spoken(units)(Number(value), kind, digits),
    );
  return made;
}

const voices = new Map<string, Voice>();

/**
 * The voice for a baker's units and language.
 *
 * Units    values given to `say` are in the core's units; what comes back is in the baker's.
 * Throws   nothing; a sentence that is not in the catalogue comes back as its key, and a test finds it.
 * Findings none.
 * Source   the catalogue, `en/*.json`.
 *
 * @example
 * voiceOf(imperial).say('finding.dough.tooWet.why', { value: 100, high: 90 }); // => 'It gets 3.53 oz and takes at most 3.17 oz.'
 */
export function voiceOf(units: Units = metric, language: Language = 'en'): Voice {
  const name = `${language} ${units.mass} ${units.length} ${units.heat}`;
  const known = voices.get(name);
  if (known) return known;
  const voice: Voice = {
    units,
    show: spoken(units),
    exact: (value, kind, digits) => showQuantity(value, kind, units, digits),
    bare: spokenValue(units),
    spread: (value, sd, kind) => `${spokenValue(units)(value, kind)} ± ${spoken(units)(sd, kind)}`,
    range: (low, high, kind) =>
      kind === 'oven' && units.heat === 'gas'
        ? `${showQuantity(low, kind, units)} to ${showQuantity(high, kind, units)}`
        : `${showValue(low, kind, units)} to ${showQuantity(high, kind, units)}`,
    // Most of what stands on a page has no number in it: it is only looked up.
    say: (key, values) => (values ? catalogue().t(key, { ...values, units, lng: language }) : catalogues[language][key]!),
  };
  voices.set(name, voice);
  return voice;
}
