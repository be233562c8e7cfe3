import { flaxEgg, fruitYields, volumeMeasures } from '../facts/measures.js';
import { asideBegins, bareHeading, headingBegins, listHeading, momentWords, ofWhich, partWords } from '../facts/line-words.js';
import { harmless } from '../facts/name-words.js';
import { plain } from '../ingredient/names.js';
import { massOfAmount } from './mass-of-amount.js';
import { readAmount } from './read-amount.js';
import { readName } from './read-name.js';
import { usualJuiceOf, usual } from '../facts/usual.js';
import { metricVolumes } from './measures.js';
import type { Ingredient, Pantry } from '../document/pantry.js';
import type { PartOfList } from '../facts/line-words.js';
import type { CupFilling } from '../units/volume.js';
import type { EggSize, MassOfAmount, OwnMeasures } from './mass-of-amount.js';
import type { VolumeName } from './measures.js';
import type { NameAnswer } from './read-name.js';
import type { WrittenAmount } from './read-amount.js';

export type ReadLine = {
  /** Exactly as it stood there: nothing typed is ever lost. */ readonly written: string;
  readonly amount: WrittenAmount | null;
  /** What is left of the line as a name. */ readonly name: string;
  readonly ingredientId: string | null;
  /** What it may mean, best first; the baker chooses among them where it asks, or says that it is something else. */
  readonly candidates: readonly string[];
  readonly asks: boolean;
  readonly why: string;
  /** null where the amount or the ingredient is not known, or has no weight. */ readonly mass: MassOfAmount | null;
  /** Left out: the dough. */ readonly part?: PartOfList;
  /** The heading it stood under, as written. */ readonly under?: string;
  /** The name answered as a whole, by the table, the pantry or what the kitchen said before. */ readonly exact: boolean;
};
/** What this kitchen means by a name, as it said once: plain name (`plain`) to ingredient. */
export type SaidNames = Readonly<Record<string, string>>;
export type ReadOptions = { readonly filling?: CupFilling; readonly own?: OwnMeasures; readonly said?: SaidNames };

/**
 * Reads one line of an ingredient list: how much, of what, how many grams and how sure.
 *
 * Units    g.
 * Throws   nothing, whatever stands there; what cannot be read stays as it was written.
 * Findings none.
 * Source   entry/read-amount, entry/read-name, entry/mass-of-amount.
 *
 * @example
 * readLine('1/3 cup ice water', ingredients).mass!.massG; // => 78.9 (shown rounded)
 */
export function readLine(written: string, ingredients: Readonly<Record<string, Ingredient>>, options: ReadOptions = {}): ReadLine {
  const whole = written
    .replace(/^[\s•*·–—-]+/, '')
    .replace(/\s+/g, ' ')
    .trim();
  const shared = ofWhich.exec(whole);
  const text = shared ? whole.slice(0, shared.index) : whole;
  const { amount, rest, piece } = partsOf(text);
  const { answer, name } = named(rest, ingredients, options.said ?? {}, piece?.id);
  const two = secondThing(rest);
  const asks = answer.asks || shared !== null || two !== null || piece?.why !== undefined;
  const [first] = answer.ids;
  const ingredient = first === undefined ? undefined : ingredients[first];
  const filling = fillingIn(written) ?? options.filling;
  const size = sizeIn(written);
  const mass =
    ingredient && amount
      ? (piece?.massOf(amount) ??
        massOfAmount(amount, ingredient, { ...options, ...(filling ? { filling } : {}), ...(size ? { size } : {}) }))
      : null;
  const part = partIn(text);
  return {
    written,
    amount,
    name,
    ingredientId: first ?? null,
    candidates: answer.ids,
    asks,
    why: shared
      ? 'Part of it is for something else: write the two amounts on two lines.'
      : two
        ? 'Two things on one line: write each on a line of its own.'
        : (piece?.why ?? answer.why),
    mass,
    exact: answer.exact,
    ...(part ? { part } : {}),
  };
}

/**
 * A whole list, a line each. Headings give the lines under them their place; two things on one line become two lines.
 *
 * Units    g.
 * Throws   nothing.
 * Findings none.
 * Source   readLine; words of headings in facts/line-words.
 *
 * @example
 * readList('120 g white rice flour', ingredients)[0].ingredientId; // => 'rice_white'
 */
export function readList(text: string, ingredients: Readonly<Record<string, Ingredient>>, options: ReadOptions = {}): ReadLine[] {
  let under: string | undefined;
  let place: PartOfList | undefined;
  const lines: ReadLine[] = [];
  for (const line of text.split(/\r?\n/)) {
    if (line.trim() === '' || listHeading.test(line)) continue;
    const heading = headingOf(line, ingredients);
    if (heading) {
      under = line
        .trim()
        .replace(/:\s*$/, '')
        .replace(/\s*\([^)]*\)$/, '');
      place = heading.part;
      continue;
    }
    for (const one of splitLine(line)) {
      const read = readLine(one, ingredients, options);
      // A line's own words win: an egg for the wash under `For the dough`.
      const part = read.part ?? (place && place.use !== 'dough' ? place : undefined);
      const { part: _own, ...bare } = read;
      lines.push({ ...bare, ...(part && part.use !== 'dough' ? { part } : {}), ...(under === undefined ? {} : { under }) });
    }
  }
  return lines;
}

/** Amount, the words behind or before it, and what a piece of it weighs where the line is about a part of a fruit. */
function partsOf(text: string): { amount: WrittenAmount | null; rest: string; piece?: Piece } {
  const fruit = fruitPart(text);
  if (fruit) return fruit;
  const front = readAmount(text);
  const measured = front && front.measure === null ? packOfMass(front) : front;
  // `Butter, 113 g` and `Farina di riso 200 g`: the amount may stand last, or in a bracket that outranks cups.
  const bracket = /\(\s*(?:about|ca\.?|circa)?\s*(\d[^()]*?(?:g|grams?|grammi|gramas|kg|ml|cl|dl|oz)\b[^()]*)\)/i.exec(text);
  const weighed = bracket ? readAmount(bracket[1]!) : null;
  const back = measured ? null : backAmount(text);
  const rest = measured ? measured.rest : back ? back.before : text;
  const second = added(measured, rest);
  const outranks =
    weighed && (weighed.measure?.kind === 'mass' || (weighed.measure?.kind === 'volume' && metricVolumes.has(weighed.measure.of)));
  const amount = outranks ? weighed : (second?.amount ?? measured ?? back?.amount ?? null);
  const egg = measured && measured.measure === null ? flaxEggs(rest) : null;
  return { amount, rest: second?.rest ?? rest, ...(egg ? { piece: egg } : {}) };
}

/** `1 x 7 g sachet dried yeast`, `2 x 400 g tins`: so many of that weight. */
function packOfMass(front: WrittenAmount): WrittenAmount {
  const times = /^[x×]\s*/i.exec(front.rest);
  const each = times ? readAmount(front.rest.slice(times[0].length)) : null;
  if (!each || each.measure?.kind !== 'mass') return front;
  const rest = each.rest.replace(/^(?:sachets?|packets?|packs?|tins?|cans?|jars?|blocks?|bags?|pots?|tubs?)\s+(?:of\s+)?/i, '');
  return { ...each, low: each.low * front.low, high: each.high * front.high, rest };
}

type Piece = { readonly id: string; readonly why?: string; readonly massOf: (amount: WrittenAmount) => MassOfAmount | null };
const fruits: readonly (readonly [RegExp, keyof typeof fruitYields.values])[] = [
  [/\b(?:limes?|limas?|limette[n]?)\b/i, 'lime'],
  [/\b(?:lemons?|lim(?:on[ei]?|ao|oes|ones)|citrons?|zitronen?)\b/i, 'lemon'],
  [/\b(?:oranges?|aranc[ei]a?|laranjas?|naranjas?|orangen?)\b/i, 'orange'],
];
const juiceWords = /\b(?:juice|succo|suco|sumo|zumo|jugo|jus|saft)\b/i;
const zestWords = /\b(?:zest|rind|scorza|buccia|raspas?|casca|ralladura|piel|zestes?|ecorce|schale|abrieb)\b/i;

/** `juice of 1 lemon`, `la scorza di un limone`: a part of a whole fruit. */
function fruitPart(text: string): { amount: WrittenAmount; rest: string; piece: Piece } | null {
  const words = plainKeepingNumbers(text);
  const [juice, zest] = [juiceWords.exec(words), zestWords.exec(words)];
  const fruit = fruits.find(([pattern]) => pattern.test(words))?.[1];
  if ((!juice && !zest) || !fruit) return null;
  const part = juice ?? zest!;
  const behind = words.slice(part.index + part[0].length).replace(/^.*?\b(?:of|di|de|d|del|du|von|vom|einer)\b\s*/i, '');
  const counted = readAmount(behind) ?? readAmount(words);
  // `2 tbsp lemon juice` is an amount of juice, not of lemons.
  if (counted?.measure || (!counted && !/\b(?:of|di|de|d|del|du|von|einer)\b/i.test(words))) return null;
  const count = counted ?? { low: 1, high: 1, measure: null, rest: '', rounding: 'exact' as const };
  const ofJuice = juice !== null && (!zest || juice.index < zest.index);
  const both = juice !== null && zest !== null;
  const piece = pieceOfFruit(fruit, ofJuice ? 'juiceG' : 'zestG');
  return {
    amount: count,
    rest: '',
    piece: { ...piece, ...(both ? { why: 'Juice and zest on one line: write each on a line of its own.' } : {}) },
  };
}

function pieceOfFruit(fruit: keyof typeof fruitYields.values, part: 'juiceG' | 'zestG'): Piece {
  const eachG = fruitYields.values[fruit][part];
  return {
    id: part === 'zestG' ? usual.values.zest : usualJuiceOf.values[fruit],
    massOf: ({ low, high }) => ({
      massG: (eachG * (low + high)) / 2,
      sdG: (0.25 * eachG * (low + high)) / 2,
      assumption: `${eachG} g from ${fruit === 'orange' ? 'an' : 'a'} ${fruit}`,
    }),
  };
}

/** `2 flax eggs`: ground flax in water, which is not one ingredient. */
function flaxEggs(rest: string): Piece | null {
  if (!/^(?:flax|linseed|flaxseed|chia)\s+eggs?\b/i.test(rest)) return null;
  const { flaxG, waterG } = flaxEgg.values;
  return {
    id: /^chia/i.test(rest) ? usual.values.chiaMeal : usual.values.flaxMeal,
    why: `A seed egg is ${flaxG} g of ground seed in ${waterG} g of water. Is that meant? The water has a line of its own.`,
    massOf: ({ low, high }) => ({ massG: (flaxG * (low + high)) / 2, sdG: 0.1 * flaxG, assumption: `${flaxG} g of seed an egg` }),
  };
}

/** `1 cup plus 2 tablespoons flour`: the second amount joins the first where both are volumes. */
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

/** What the words are the name of. What stands in a bracket or behind a comma may name the thing too, or turn it into another. */
function named(rest: string, ingredients: Pantry['ingredients'], said: SaidNames, given?: string): { answer: NameAnswer; name: string } {
  const unbracketed = rest.replace(/\([^)]*\)?/g, ' ');
  const brackets = [...rest.matchAll(/\(([^)]*)\)/g)].map(([, inside]) => inside!.trim()).filter(namesSomething);
  if (given !== undefined) return { answer: { ids: ingredients[given] ? [given] : [], asks: false, why: '', exact: false }, name: rest };
  const [head = '', ...tails] = unbracketed.split(/,|;| - | – /);
  const name = tidy(head);
  const known = Object.hasOwn(said, plain(name)) ? said[plain(name)] : undefined;
  if (known !== undefined && ingredients[known])
    return { answer: { ids: [known], asks: false, why: 'as you said before', exact: true }, name };
  const alone = readName(name, ingredients);
  const besides = [...tails.map((tail) => tail.trim()), ...brackets].filter(namesSomething);
  if (besides.length === 0) return { answer: alone, name };
  const together = tidy(`${besides.join(' ')} ${name}`);
  const both = readName(together, ingredients);
  if (!both.asks && both.ids.length > 0) return { answer: both, name: together };
  // What stands behind the comma leaves the choice as it was: "butter, soft" asks what "butter" asks.
  if (alone.ids.length > 0 && both.ids.join() === alone.ids.join()) return { answer: alone, name };
  // `corn starch (maizena)`: the bracket says the same again.
  const again = besides.every((one) => {
    return alone.ids.length > 0 && readName(one, ingredients).ids.includes(alone.ids[0]!);
  });
  if (again) return { answer: alone, name };
  const ids = [...new Set([...alone.ids, ...both.ids])];
  return {
    answer: { ids, asks: ids.length > 0, why: `“${besides.join(', ')}” may make it something else.`, exact: false },
    name: together,
  };
}

/** Not how cold, how large or what for. */
function namesSomething(text: string): boolean {
  if (text === '' || asideBegins.test(text) || /^[\d½⅓⅔¼¾⅛~]/.test(text)) return false;
  return plain(text)
    .split(' ')
    .some((word) => word.length > 1 && !harmless.has(word) && !/\d/.test(word));
}

const tidy = (text: string): string =>
  text
    .replace(
      /\b(?:q\.?\s?b\.?|to taste|as needed|at room temperature|plus (?:more|extra).*|for (?:dusting|rolling|sprinkling|the).*|to (?:glaze|serve|taste|sprinkle|finish).*)\b/gi,
      ' ',
    )
    .replace(/\d+(?:[.,]\d+)?\s*%/g, ' ')
    .replace(/[^\p{L}\p{N}' -]+/gu, ' ')
    .replace(/\s+/g, ' ')
    .trim();
const plainKeepingNumbers = (text: string) => text.normalize('NFD').replace(/\p{M}/gu, '');

const joiner =
  /\s+(?:plus|and|mixed with|\+|&|e|y|et|und|mais|più|con|mit|avec|com)\s+(?=(?:\d|[½⅓⅔¼¾⅛]|an?\s|one\s|un[ao]?\s|ein[e]?\s)\S*)/i;

/** Where a line holds two amounts of two things: where the second begins. */
function secondThing(rest: string): number | null {
  const at = joiner.exec(rest);
  if (!at || at.index === 0) return null;
  const second = readAmount(rest.slice(at.index + at[0].length));
  return second && namesSomething(second.rest) ? at.index : null;
}

/** One line that holds two things as two, and a seed egg with its water. */
function splitLine(line: string): string[] {
  const front = readAmount(line.replace(/^[\s•*·–—-]+/, '').trim());
  if (!front) return [line];
  const seeds = front.measure === null ? flaxEggs(front.rest) : null;
  if (seeds) return [line, `${flaxEgg.values.waterG * ((front.low + front.high) / 2)} g water`];
  const at = secondThing(front.rest);
  if (at === null) return [line];
  const cut = line.length - front.rest.length + at;
  const tail = line.slice(cut).replace(joiner, '');
  return [line.slice(0, cut), ...splitLine(tail)];
}

/** How a line says its cup was filled. */
function fillingIn(written: string): CupFilling | undefined {
  if (/\b(?:sifted|setacciat|peneirad)/i.test(written)) return 'sifted';
  if (/\b(?:packed|pressed)\b/i.test(written)) return 'packed';
  if (/\bspooned\b/i.test(written)) return 'spooned';
  return /\b(?:dipped|scooped)\b/i.test(written) ? 'dipped' : undefined;
}

function sizeIn(written: string): EggSize | undefined {
  if (/\b(?:extra[- ]large|jumbo)\b/i.test(written)) return 'extraLarge';
  if (/\b(?:medium|medi[aeo]s?|moyens?|mittelgroße?)\b/i.test(written)) return 'medium';
  return /\b(?:small|piccol[aeo]|pequen[ao]s?|pequeñ[ao]s?|petits?|kleine?s?)\b/i.test(written) ? 'small' : undefined;
}

/** What a part of a list is for, and when it goes on where it says so: `the cream, at serving`. */
function partOf(words: string): PartOfList | undefined {
  const part = partWords.find(([pattern]) => pattern.test(words))?.[1];
  const moment = momentWords.find(([pattern]) => pattern.test(words))?.[1];
  const goesOn = part !== undefined && part.use !== 'dough' && part.use !== 'foldIn' ? moment : undefined;
  return part && goesOn !== undefined ? { ...part, goesOn } : part;
}

/** `1 egg, for the wash`: what the end of a line says it is for. `plus more for dusting` says nothing of the line itself. */
function partIn(text: string): PartOfList | undefined {
  const tail = /(?:[,(]|\s)\s*((?:for|to|per|para|pour|zum|zur|für)\b[^()]*|(?:as a wash|on top|folded in)\b[^()]*)/i.exec(text);
  if (!tail || /\b(?:plus|extra|more|più|mais|más|plus de|etwas)\s*$/i.test(text.slice(0, tail.index).trim())) return undefined;
  return partOf(plain(tail[1]!));
}

/** `For the filling:`, `Ripieno`, `Topping`: a line without an amount that names a part of the list and nothing to weigh. */
function headingOf(line: string, ingredients: Pantry['ingredients']): { part: PartOfList | undefined } | null {
  const text = line.trim();
  const words = plain(text);
  // `Cream (on top, at serving):` is called cream, whatever a cream usually is for.
  const said = partOf(plain(/\(([^)]*)\)\s*:$/.exec(text)?.[1] ?? ''));
  if (said) return { part: said };
  if (readAmount(text) !== null || /\d/.test(text) || words.split(' ').length > 6) return null;
  const part = partOf(words);
  if (/:\s*$/.test(text)) return { part };
  // `Rice flour, for dusting` is a thing and what it is for.
  // `Filling, once cooled` is a heading all the same.
  const namesAThing = text.includes(',') && readName(text.split(',')[0]!, ingredients).ids.length > 0;
  if (!part || namesAThing || (!headingBegins.test(text) && partIn(text) && !bareHeading.test(plain(text.split(',')[0]!)))) return null;
  // `Custard` alone may be a thing to weigh; `Filling` is not.
  return headingBegins.test(text) || bareHeading.test(words) || !readName(text, ingredients).exact ? { part } : null;
}

const volumeRatio = (of: VolumeName, to: VolumeName) => volumeMeasures.values[of] / volumeMeasures.values[to];
