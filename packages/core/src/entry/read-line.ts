import { volumeMeasures } from '../facts/measures.js';
import { findIngredients } from '../ingredient/search.js';
import { massOfAmount } from './mass-of-amount.js';
import { readAmount } from './read-amount.js';
import type { Ingredient } from '../document/pantry.js';
import type { CupFilling } from '../units/volume.js';
import type { MassOfAmount, OwnMeasures } from './mass-of-amount.js';
import type { VolumeName } from './measures.js';
import type { WrittenAmount } from './read-amount.js';

export type ReadLine = {
  /** Exactly as it stood there: nothing typed is ever lost. */ readonly written: string;
  readonly amount: WrittenAmount | null;
  /** What is left of the line as a name. */ readonly name: string;
  readonly ingredientId: string | null;
  /** Others it may mean; the baker is asked where there is more than one, or the name is known to mislead. */ readonly candidates: readonly string[];
  readonly asks: boolean;
  readonly why: string;
  /** null where the amount or the ingredient is not known, or has no weight. */ readonly mass: MassOfAmount | null;
};
export type ReadOptions = { readonly filling?: CupFilling; readonly own?: OwnMeasures };

/** How it is prepared, how cold it is, how good it is: words that do not say what it is. */
const besides =
  /\b(?:cold|ice[- ]cold|iced?|chilled|frozen|very|softened|room[- ]temperature|at room temperature|melted|warm(?:ed)?|lukewarm|hot|boiling|diced|cubed|chopped|finely|coarsely|roughly|freshly|fresh|sifted|packed|firmly|lightly|loosely|spooned|levell?ed|grated|sliced|toasted|beaten|organic|plus more.*|plus extra.*|to taste|as needed|for (?:dusting|rolling|the).*|divided|optional|large|medium|small|extra|about|good[- ]quality|pure|raw|shelled|ground(?= (?:cinnamon|cloves|nutmeg|ginger))|level|heaped|at\s+\d+.*|fredd[oaie]|morbid[oaie]|fus[oaie]|ghiacciat[oaie]|tritat[oaie]|setacciat[oaie]|q\.?b\.?|gelad[oa]s?|derretid[oa]s?|peneirad[oa]s?|picad[oa]s?|grandes?|medi[oae]s?|pequen[oa]s?|froide?|fondue?|mou|kalte?s?|weiche?s?)\b/gi;

/**
 * Reads one line of an ingredient list: how much, of what, how many grams and how sure.
 *
 * Units    g.
 * Throws   nothing, whatever stands there; what cannot be read stays as it was written.
 * Findings none.
 * Source   entry/read-amount, names as ingredient/search knows them, entry/mass-of-amount.
 *
 * @example
 * readLine('1/3 cup ice water', ingredients).mass!.massG; // => 78.9 (shown rounded)
 */
export function readLine(written: string, ingredients: Readonly<Record<string, Ingredient>>, options: ReadOptions = {}): ReadLine {
  const text = written
    .replace(/^[\s•*·–—-]+/, '')
    .replace(/\s+/g, ' ')
    .trim();
  const front = readAmount(text);
  // `Butter, 113 g` and `Farina di riso 200 g`: the amount may stand last, or in a bracket that outranks cups.
  const bracket = /\(\s*(?:about|ca\.?|circa)?\s*(\d[^()]*?(?:g|grams?|grammi|gramas|kg|ml|oz)\b[^()]*)\)/i.exec(text);
  const weighed = bracket ? readAmount(bracket[1]!) : null;
  const back = front ? null : backAmount(text);
  const rest = front ? front.rest : back ? back.before : text;
  const amount = weighed && weighed.measure?.kind === 'mass' ? weighed : (added(front, rest)?.amount ?? front ?? back?.amount ?? null);
  const name = nameOf(added(front, rest)?.rest ?? rest);
  const found = name === '' ? [] : candidatesOf(name, ingredients);
  const [first] = found;
  const ingredient = first ? ingredients[first.id] : undefined;
  const filling = fillingIn(written) ?? options.filling;
  const mass = ingredient && amount ? massOfAmount(amount, ingredient, { ...options, ...(filling ? { filling } : {}) }) : null;
  return {
    written,
    amount,
    name,
    ingredientId: first?.id ?? null,
    candidates: found.map(({ id }) => id),
    asks: first !== undefined && (first.asks || found.length > 1),
    why: first?.why ?? '',
    mass,
  };
}

/** A whole list, a line each; headings and empty lines are left out of what is read, never of what is kept. */
export function readList(text: string, ingredients: Readonly<Record<string, Ingredient>>, options: ReadOptions = {}): ReadLine[] {
  return text
    .split(/\r?\n/)
    .filter(
      (line) =>
        line.trim() !== '' &&
        !/^\s*(?:ingredients?|ingredienti|ingredientes|zutaten|for the .*|per (?:la|il) .*|para .*)\s*:?\s*$/i.test(line),
    )
    .map((line) => readLine(line, ingredients, options));
}

/** `1 cup plus 2 tablespoons flour`: the second amount joins the first where both are volumes, or both masses. */
function added(front: WrittenAmount | null, rest: string): { amount: WrittenAmount; rest: string } | null {
  const plus = /^(?:plus|and|\+|e|mais|più|&)\s+/i.exec(rest);
  if (!front || !plus || front.measure?.kind !== 'volume') return null;
  const second = readAmount(rest.slice(plus[0].length));
  if (second?.measure?.kind !== 'volume') return null;
  const ratio = volumeRatio(second.measure.of, front.measure.of);
  return { amount: { ...front, low: front.low + second.low * ratio, high: front.high + second.high * ratio }, rest: second.rest };
}

function backAmount(text: string): { before: string; amount: WrittenAmount } | null {
  const at = /[\s,:–-]+((?:~|ca\.?\s*)?(?:\d|[½⅓⅔¼¾⅛]).*)$/.exec(text);
  const amount = at ? readAmount(at[1]!) : null;
  return at && amount && amount.rest === '' && amount.measure !== null ? { before: text.slice(0, at.index), amount } : null;
}

function nameOf(text: string): string {
  return text
    .replace(/\([^)]*\)/g, ' ')
    .replace(/,.*$/, (tail) =>
      /^,\s*(?:superfine|fine|whole|white|cultured|unsalted|salted|granulated|blanched|light|dark|all-purpose|dry|low fat|plain)\b/i.test(
        tail,
      )
        ? ` ${tail.slice(1)}`
        : ' ',
    )
    .replace(besides, ' ')
    .replace(/[^\p{L}\p{N}' -]+/gu, ' ')
    .replace(/\s+/g, ' ')
    .trim();
}

/** How a line says its cup was filled. */
function fillingIn(written: string): CupFilling | undefined {
  if (/\b(?:sifted|setacciat|peneirad)/i.test(written)) return 'sifted';
  if (/\b(?:packed|pressed)\b/i.test(written)) return 'packed';
  if (/\bspooned\b/i.test(written)) return 'spooned';
  return /\b(?:dipped|scooped)\b/i.test(written) ? 'dipped' : undefined;
}

/** The best names first; only those as good as the best, or that the best is confused with. */
function candidatesOf(name: string, ingredients: Readonly<Record<string, Ingredient>>) {
  const tries = [
    name,
    singular(name),
    name.replace(/\bflour\b/i, '').trim(),
    lastWords(name, 3),
    lastWords(name, 2),
    lastWords(name, 1),
    firstWords(name, 2),
    firstWords(name, 1),
  ];
  for (const typed of [...new Set(tries)].filter((one) => one.length > 2)) {
    const found = findIngredients(ingredients, typed);
    if (found.length === 0) continue;
    const asking = found.filter(({ asks }) => asks);
    return found[0]!.asks ? asking.slice(0, 4) : [found[0]!];
  }
  return [];
}

const singular = (name: string) => name.replace(/\b(\p{L}{3,})s\b/gu, '$1').replace(/\begg yolk\b/i, 'egg yolk');
const lastWords = (name: string, n: number) => name.split(' ').slice(-n).join(' ');
const firstWords = (name: string, n: number) => name.split(' ').slice(0, n).join(' ');
const volumeRatio = (of: VolumeName, to: VolumeName) => volumeMeasures.values[of] / volumeMeasures.values[to];
