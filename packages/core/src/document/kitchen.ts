import { group, id, instant, list, maybe, number, plainly, text, word, yesNo } from './field.js';
import { suits } from '../facts/suits.js';
import type { JudgementName } from '../facts/judgements.js';
import type { Market } from '../facts/markets.js';
import type { DocumentOf } from './field.js';
import {
  placeKindWords,
  trayMaterialWords,
  ovenKindWords,
  dialUnitWords,
  ovenShelves,
  ovenSides,
  panKindWords,
  cutterKindWords,
} from './kitchen-words.js';

export * from './kitchen-words.js';

const calledSo = { id: id(), name: text('Name', 60) };
const ovenC = (name: string) => number(name, 'C', 30, 350);
const sizeMm = (name: string) => number(name, 'mm', 20, 2000);
const count = (name: string, high: number) => number(name, '', 1, high, { whole: true });

export const ovenFields = {
  ...calledSo,
  kind: word('Heat', ovenKindWords),
  dialUnit: word('Dial in', dialUnitWords),
  /** What the dial said and what the air was: mean of what the thermometer said at one setting. None: the oven was never measured. */
  readings: list('Readings', group('', { dialC: ovenC('Dial'), trueC: ovenC('Air'), at: instant() }), 30),
  /** How much warmer than the middle of its middle shelf a place is, K; at most one of each shelf and side. */
  hotSpots: maybe(
    list(
      'Warmer and colder places',
      group('', {
        shelf: word('Shelf', plainly(ovenShelves)),
        side: word('Side', plainly(ovenSides)),
        aboveC: number('Warmer by', 'K', -60, 60),
      }),
      ovenShelves.length * ovenSides.length,
      ['shelf', 'side'],
    ),
  ),
  /** Minutes from cold to ready at a dial setting. */
  heating: maybe(list('Heating up', group('', { dialC: ovenC('Dial'), min: number('Minutes', 'min', 1, 180) }), 10)),
};
export type Oven = DocumentOf<typeof ovenFields>;
export type OvenReading = Oven['readings'][number];
export type HotSpot = NonNullable<Oven['hotSpots']>[number];
/** Colder than -40 or hotter than 60 is no place that dough is kept in. */
export const placeFields = {
  ...calledSo,
  kind: word('Kind', placeKindWords),
  atC: number('Temperature', 'C', -40, 60),
  fan: maybe(yesNo('A fan moves its air')),
  onTray: maybe(yesNo('On a tray that waits in it, cold')),
  /** How fast it takes or gives heat on either face; left out: as places of its kind do. */
  wPerM2K: maybe(number('Heat it takes on a face', 'W/m² K', 2, 80, { usual: 9, without: 'as its kind' })),
};
export type Place = DocumentOf<typeof placeFields>;
export const trayFields = {
  ...calledSo,
  count: count('How many', 500),
  widthMm: sizeMm('Width'),
  lengthMm: sizeMm('Length'),
  material: word('Made of', trayMaterialWords),
};
export type Tray = DocumentOf<typeof trayFields>;
export const learnedWhats = ['thirstFactor', 'ovenHeatFactor', 'oven', 'crisp', 'tender', 'lift', 'spread', 'pack', 'layerFloor'] as const;
/** What the kitchen's own bakes have taught; worked out anew from the bakes it names. */
export type Learned = {
  readonly what: (typeof learnedWhats)[number];
  /** What the value is about: a blend's name, an oven's id, a family's id, a pack and a family. */ readonly about: string;
  /** Of `oven` its offset in K. */ readonly value: number;
  readonly sd: number;
  readonly bakeIds: readonly string[];
  /** When the first and the last of those bakes were begun. */ readonly firstAt?: string;
  readonly lastAt?: string;
  /** What was weighed or read, where no bake record holds it. */ readonly from?: string;
  /** What was believed before any of it. */ readonly priorValue?: number;
  readonly priorSd?: number;
  /** Of `oven`: how its offset (K), the log of its heat transfer and the log of its browning are believed together. */
  readonly joint?: { readonly mean: readonly number[]; readonly covariance: readonly (readonly number[])[] };
  /** Kept, but not used: the prior is. */ readonly setAside?: boolean;
  /** Bakes before this moment are not counted: it was reset then. */ readonly since?: string;
  /** The release that worked it out; left out: one before 1.11.0. */ readonly coreVersion?: string;
};
/** What a pie, a tart or a cake stands in. A ring or a tart tin has no slope: top and bottom are the same. */
export const panFields = {
  ...calledSo,
  count: count('How many', 500),
  /** Left out: a round plate, or a ring where it has no slope. */
  kind: maybe(word('Form', panKindWords)),
  /** Inside, across the top and the bottom; of a long pan, its width. */
  topMm: sizeMm('Across the top'),
  bottomMm: sizeMm('Across the bottom'),
  /** Of a rectangle or an oval, inside along the top. */
  lengthMm: maybe({ ...sizeMm('Length, where it is long'), atLeast: 'topMm', without: 'as wide' }),
  depthMm: number('Depth', 'mm', 3, 300),
  /** Flat rim that dough lies on. */
  rimMm: maybe(number('Flat rim', 'mm', 0, 60, { usual: 9, without: 'none' })),
  /** Of a tin of several. */
  cups: maybe({ ...count('Cups in one tin', 60), usual: 9, without: 'one' }),
  material: word('Made of', trayMaterialWords),
};
export type Pan = DocumentOf<typeof panFields>;
const acrossMm = (name: string) => number(name, 'mm', 5, 600);
/** What takes a piece out of a sheet at one press. */
export const cutterFields = {
  ...calledSo,
  kind: word('Form', cutterKindWords),
  /** Of a hexagon across its flats; of a rectangle its width. */
  acrossMm: acrossMm('Across'),
  /** Of a rectangle; left out: a square. */
  lengthMm: maybe({ ...acrossMm('Length, where it is long'), usual: 9, without: 'as wide', ofKind: 'rectangle' }),
};
export type Cutter = DocumentOf<typeof cutterFields>;
const suitWords: Readonly<Record<string, string>> = Object.fromEntries(Object.entries(suits.values).map(([id, { name }]) => [id, name]));
/** What a kitchen holds several of, each stored and removed by its id. A formula needs one of all but pans and cutters. */
export const kitchenThings = { ovens: ovenFields, places: placeFields, trays: trayFields, pans: panFields, cutters: cutterFields };
export type KitchenThings = {
  readonly ovens: Oven;
  readonly places: Place;
  readonly trays: Tray;
  readonly pans: Pan;
  readonly cutters: Cutter;
};
export type KitchenList = keyof KitchenThings;
/** What a guest, a customer or a class cannot have. Roles and words, no person's name is needed. */
export const guestFields = {
  id: id(),
  name: text('Name', 120),
  suits: list('Cannot have', word('', suitWords), 30),
  note: maybe(text('Note', 500, { empty: true })),
};
export type Guest = DocumentOf<typeof guestFields>;
/** What prices may be in, by ISO 4217 (from memory): all have a hundredth, which prices are kept in. */
export const currencies = ['EUR', 'GBP', 'USD', 'CAD', 'AUD', 'NZD', 'CHF', 'SEK', 'NOK', 'DKK', 'PLN', 'CZK', 'RON', 'BRL', 'MXN', 'ZAR', 'INR', 'TRY', 'ILS'] as const; // prettier-ignore
export type Currency = (typeof currencies)[number];
export type Kitchen = {
  readonly id: string;
  readonly name: string;
  readonly zone: string;
  readonly currency: string;
  readonly roomC: number;
  readonly humidityShare: number;
  /** Above the sea, m; left out: near it. */ readonly altitudeM?: number;
  readonly glutenLimitMgPerKg: number;
  /** Whose rules its goods are sold under; left out: not said yet, and the strictest of them hold. */ readonly market?: Market;
  /** Nothing is sold: what is baked is eaten at home. */ readonly home?: boolean;
  readonly scaleStepG: number;
  readonly ovens: readonly Oven[];
  readonly places: readonly Place[];
  readonly trays: readonly Tray[];
  readonly pans?: readonly Pan[];
  /** None named: pieces are cut of any size. */ readonly cutters?: readonly Cutter[];
  /** The mat, board or table that dough is rolled on: no sheet is larger. */ readonly mat?: {
    readonly widthMm: number;
    readonly lengthMm: number;
  };
  readonly learned: readonly Learned[];
  readonly guests?: readonly Guest[];
  /** What is meant here by a glass (ml), a pinch (g) and the like; asked once. */ readonly measures?: Readonly<Record<string, number>>;
  /** What a name in a list means here, as it was said once: the plain name to an ingredient. */
  readonly names?: Readonly<Record<string, string>>;
  /** Our judgements that this kitchen holds otherwise, by name. */
  readonly judgements?: Readonly<Partial<Record<JudgementName, number>>>;
};

/** Values that correct the model of the oven: they say nothing of another model. */
const ofOvenModel: readonly Learned['what'][] = ['oven', 'ovenHeatFactor', 'crisp', 'tender', 'lift'];
/** The first release with today's model of the oven. */
const OVEN_MODEL_SINCE = '1.11.0';

/**
 * Whether it was learned with a model of the oven that is not today's: it is kept, not used, and worked out anew from its bakes.
 *
 * Units    none.
 * Throws   nothing.
 * Findings none.
 * Source   none.
 */
export const isOutdated = ({ what, bakeIds, coreVersion }: Learned): boolean =>
  ofOvenModel.includes(what) && (what === 'ovenHeatFactor' || bakeIds.length > 0) && !hasTodaysOven(coreVersion);

/**
 * Whether a release worked bakes out with the model of the oven that this one has.
 *
 * Units    none.
 * Throws   nothing.
 * Findings none.
 * Source   none.
 *
 * @example
 * hasTodaysOven(undefined); // => false
 */
export const hasTodaysOven = (coreVersion: string | undefined): boolean =>
  coreVersion !== undefined && !isBefore(coreVersion, OVEN_MODEL_SINCE);

function isBefore(release: string, other: string): boolean {
  const [a, b] = [release, other].map((one) => one.split('.').map(Number)) as [number[], number[]];
  const i = a.findIndex((part, n) => part !== b[n]);
  return i >= 0 && a[i]! < b[i]!;
}

/**
 * What a kitchen has learned of one thing and uses; undefined for nothing, and for what was set aside or learned with another model.
 *
 * Units    as `Learned` has them.
 * Throws   nothing.
 * Findings none.
 * Source   none.
 */
export const learnedOf = ({ learned }: Pick<Kitchen, 'learned'>, what: Learned['what'], about: string): Learned | undefined =>
  learned.find((one) => one.what === what && one.about === about && one.setAside !== true && !isOutdated(one));
