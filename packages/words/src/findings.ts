import { saidFacts, type Finding, type FindingCode } from '@north-leaf/core';
import type { Key, Voice } from './voice.js';

/** What the baker reads: what is off, why it matters, what to do. */
export type FindingWords = { readonly what: string; readonly why: string; readonly change: string };

/** Findings whose sentence goes by more than whether something is named. */
const variants: Partial<Record<FindingCode, (finding: Finding) => string | undefined>> = {
  'blend.oneFlourHigh': ({ measured }) => (/^Potato FLOUR/.test(measured?.of ?? '') ? 'potato' : undefined),
  'dough.shortOfWater': ({ measured }) => measured?.of,
  'dough.tooWet': ({ measured }) => measured?.of,
  'bake.tooDry': ({ measured }) => (measured?.of === 'soft' ? 'soft' : undefined),
  'bake.acrylamide': ({ level }) => (level === 'watch' ? 'watch' : undefined),
};
const named = ({ measured }: Finding) => (measured?.of ? 'named' : undefined);

/**
 * A finding in words, its numbers in the baker's units.
 *
 * Units    those of the voice.
 * Throws   nothing; a code without words does not compile.
 * Findings none.
 * Source   the finding; numbers that are not of this bake come from the core's facts.
 */
export function findingWords(finding: Finding, { say }: Voice): FindingWords {
  const { code, measured } = finding;
  // Of a market's refusal both are named: the row, and the market.
  const [of = '', market = say('word.thisMarket')] = (measured?.of ?? '').split(' | ');
  const context = (variants[code] ?? named)(finding);
  const values = { ...saidFacts, value: measured?.value ?? 0, low: measured?.low ?? 0, high: measured?.high ?? 0, of, market, context };
  const part = (name: keyof FindingWords) => say(`finding.${code}.${name}` satisfies Key, values);
  return { what: part('what'), why: part('why'), change: part('change') };
}
