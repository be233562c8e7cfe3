import { suits, type SuitId } from '../../facts/suits.js';
import { allergenCodes } from './allergens.js';
import { leavesOf } from '../parts.js';
import type { Kitchen } from '../../document/kitchen.js';
import type { Ingredient, Pantry } from '../../document/pantry.js';
import type { Finding, StageName } from '../../findings/finding.js';
import type { Portion } from '../mixture.js';

type Rule = {
  readonly name: string;
  readonly codes: readonly string[];
  readonly origins: readonly string[];
  /** Single things it refuses, by no allergen's code. */ readonly ids?: readonly string[];
  /** What leavens so. */ readonly leavens?: string;
  readonly note?: string;
};
const ruleOf = (id: string): Rule | undefined => suits.values[id as SuitId];

export const isSuitId = (id: string): id is SuitId => id in suits.values;
/**
 * The name of a diet or limit; its id where it has none.
 *
 * Units    none.
 * Throws   nothing.
 * Findings none.
 * Source   `facts/suits`.
 *
 * @example
 * suitName('vegan'); // => 'vegan'
 */
export const suitName = (id: string): string => ruleOf(id)?.name ?? id;

/**
 * The single limits that a formula's list asks for: its own, and those of the guests it names.
 *
 * Units    none.
 * Throws   nothing; a guest or limit that is not known any more is left out.
 * Findings none.
 * Source   the kitchen's guests.
 */
export function suitsAskedFor(mustSuit: readonly string[] | undefined, kitchen: Pick<Kitchen, 'guests'>): SuitId[] {
  const asked = (mustSuit ?? []).flatMap((id) =>
    id.startsWith('guest:') ? (kitchen.guests?.find((guest) => `guest:${guest.id}` === id)?.suits ?? []) : [id],
  );
  return [...new Set(asked)].filter(isSuitId);
}

/**
 * Whether an ingredient suits a limit: 'no' holds what is refused, 'may' depends on the maker, 'yes' neither.
 *
 * Lactose-free is never read as milk-free: a lactose-free milk suits the first and not the second.
 *
 * Units    none.
 * Throws   nothing.
 * Findings none.
 * Source   facts/suits and facts/origins; the label in hand and local rules win.
 *
 * @example
 * suitability(ingredients.honey, 'vegan'); // => 'no'
 */
export function suitability(ingredient: Ingredient, suit: SuitId): 'yes' | 'may' | 'no' {
  const rule = ruleOf(suit)!;
  if (suit === 'lactoseFree' && ingredient.lactoseFree) return 'yes';
  const refused = (code: string) => rule.codes.some((refuses) => code === refuses || code.startsWith(`${refuses}:`));
  const codes = allergenCodes(ingredient);
  const sure = codes.filter((code) => !code.endsWith(':possible'));
  const { unsuited = [] } = ingredient;
  const leavensSo = rule.leavens !== undefined && rule.leavens === ingredient.leavens;
  if (unsuited.includes(suit) || leavensSo || rule.origins.includes(ingredient.origin) || sure.some(refused)) return 'no';
  // Lactose goes where milk goes: a maker's possible milk is possible lactose.
  const asked = suit === 'lactoseFree' ? ['us.milk', 'eu.milk'] : rule.codes;
  const maybe = codes.filter((code) => code.endsWith(':possible')).some((code) => asked.some((refuses) => code.startsWith(refuses)));
  // A label that nobody read may hold anything.
  const unread = ingredient.labelRead === false;
  // Of what came in with a label nobody says that there is no maize in it: unknown is not none.
  const unsaid = ingredient.unsuited === undefined && ingredient.basis === 'label' && (rule.ids?.length ?? 0) > 0;
  const listed = unsaid || unsuited.includes(`${suit}:possible`) || unsuited.includes(`${suit}:ask`);
  const origin = ingredient.mayHold;
  return maybe || unread || listed || (origin !== undefined && rule.origins.includes(origin)) ? 'may' : 'yes';
}

/** Why an answer depends on whom one asks. */
const noteOf = (suit: SuitId, code: string, named: number): string => {
  const note = ruleOf(suit)?.note;
  return code === 'suit.mayBreak' && note !== undefined && named > 0 ? `. ${note}` : '';
};

/**
 * What stands in a formula against what it has to suit. Every row counts: wash, grease, dust and "may contain" included.
 *
 * Units    none.
 * Throws   nothing.
 * Findings suit.broken, suit.mayBreak: unsafe, one a limit, naming what breaks it.
 * Source   facts/suits; every part of a preparation counts as itself.
 */
export function suitFindings(portions: readonly Portion[], asked: readonly SuitId[], pantry: Pantry, stage: StageName): Finding[] {
  const used = portions.filter(({ amountG }) => amountG > 0).flatMap((portion) => leavesOf(pantry, portion));
  return asked.flatMap((suit) => {
    const named = (answer: 'no' | 'may') => [
      ...new Set(used.filter(({ ingredient }) => suitability(ingredient, suit) === answer).map(({ ingredient }) => ingredient.name)),
    ];
    const found = (code: 'suit.broken' | 'suit.mayBreak', names: readonly string[]): Finding[] =>
      names.length === 0
        ? []
        : [
            {
              code,
              level: 'fix',
              unsafe: true,
              stage,
              measured: {
                path: `${stage}.suits.${suit}`,
                value: names.length,
                high: 0,
                of: `${suitName(suit)}: ${names.join(', ')}${noteOf(suit, code, names.length)}`,
              },
            },
          ];
    return [...found('suit.broken', named('no')), ...found('suit.mayBreak', named('may'))];
  });
}
