import { families, spoonWaterG, type Family, type ShownKind } from '@north-leaf/core';
import list from './en/terms.json' with { type: 'json' };
import { pages } from './pages.js';
import { voiceOf, type Key, type Voice } from './voice.js';

/** Where a number or a state comes from, as it is told to who asks. */
export const origins = ['you', 'worked', 'forecast', 'learned', 'kitchen', 'published', 'practice', 'judgement'] as const;
export type Origin = (typeof origins)[number];

/** A word or number of ours that a newcomer may ask about. Told apart from the catalogue because only who asks loads it. */
export type Term = {
  readonly id: string;
  readonly name: string;
  /** One sentence. */ readonly says: string;
  readonly moves?: string;
  readonly from: readonly Origin[];
  /** The family's window that is its good range. */ readonly window?: WindowName;
  /** What is asked next. */ readonly see?: readonly string[];
  /** Sentences of the catalogue that stand on a page for it. */ readonly said: readonly Key[];
  /** Words that it explains beside its name. */ readonly also?: readonly string[];
};

/** Windows that are asked about, by the kind of their numbers. */
const windowKinds = {
  fatPercent: 'percent',
  waterPercent: 'percent',
  sugarPercent: 'percent',
  eggPercent: 'percent',
  saltPercent: 'percent',
  leavenerPercent: 'percent',
  nutPercent: 'percent',
  proteinTypePercent: 'percent',
  starchPercent: 'percent',
  finalMoisturePercent: 'percent',
  rollC: 'temperature',
  ovenC: 'oven',
  thicknessMm: 'length',
  dockPitchMm: 'length',
  bakeMin: 'minutes',
  finalAw: 'times',
} as const satisfies Partial<Record<keyof Family, ShownKind>>;
type WindowName = keyof typeof windowKinds;

export const terms = list as readonly Term[];

/**
 * The term of every label that stands on a page for one: exact sentences, and those with a number in them by their other words.
 *
 * Units    none.
 * Throws   nothing; an unknown label is null.
 * Findings none.
 * Source   the catalogue, `en/terms.json`.
 *
 * @example
 * termOf(voiceOf())('Water hold')?.id; // => 'waterHold'
 */
export function termOf(voice: Voice): (label: string) => Term | null {
  const exact = new Map<string, Term>();
  const patterns: (readonly [RegExp, Term])[] = [];
  for (const term of terms) {
    exact.set(plain(term.name), term);
    for (const key of term.said) {
      const sentence: string = pages[key as keyof typeof pages];
      if (sentence.includes('{{')) patterns.push([patternOf(sentence), term]);
      else exact.set(plain(voice.say(key)), term);
    }
  }
  return (label) => exact.get(plain(label)) ?? patterns.find(([pattern]) => pattern.test(plain(label)))?.[1] ?? null;
}

const plain = (label: string) => label.trim().replace(/\s+/g, ' ').replace(/[:.]$/, '').toLowerCase();
const patternOf = (sentence: string) =>
  new RegExp(
    `^${plain(sentence.replace(/<\/?b>/g, ''))
      .split(/\{\{\w+(?:, *\w+)?\}\}/i)
      .map((part) => part.replace(/[.*+?^${}()|[\]\\]/g, '\\$&'))
      // A number and its unit, never a sentence.
      .join('[^,→]{1,12}')}$`,
  );

/** What is told of a term. */
export type TermWords = {
  readonly name: string;
  readonly says: string;
  readonly range: string | null;
  readonly from: string;
  readonly moves: string | null;
};

/**
 * What is told of a term: its sentence, its good range (of one family or of all), where it comes from, what moves it.
 *
 * Units    the baker's, through the voice.
 * Throws   nothing; an unknown family is told of all.
 * Findings none.
 * Source   the catalogue and the families' windows.
 *
 * @example
 * termWords(terms.find(({ id }) => id === 'salt')!, voiceOf(), 'pie_flaky').range; // => 'Pie crust, flaky: 0.8 to 1.8 %, best near 1.3 %'
 */
export function termWords({ name, says, window, from, moves }: Term, voice: Voice = voiceOf(), familyId?: string): TermWords {
  return {
    name,
    says: says.replace('{{spoon, mass}}', voice.show(spoonWaterG.value, 'mass')),
    range: window ? rangeWords(window, voice, families[familyId ?? '']) : null,
    from: from.map((origin) => voice.say(`ask.from.${origin}`)).join(' '),
    moves: moves ?? null,
  };
}

function rangeWords(name: WindowName, voice: Voice, family: Family | undefined): string | null {
  const kind = windowKinds[name];
  const [low, best, high] = family?.[name] ?? [];
  if (low !== undefined && best !== undefined && high !== undefined)
    return voice.say('ask.rangeOf', { family: family!.name, range: voice.range(low, high, kind), best: voice.exact(best, kind) });
  if (family) return null;
  const all = Object.values(families).flatMap((one) => one[name] ?? []);
  return voice.say('ask.rangeOfAll', {
    range: voice.range(Math.min(...all), Math.max(...all), kind),
    families: Object.keys(families).length,
  });
}
