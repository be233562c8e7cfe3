import {
  allergen,
  byName,
  day,
  either,
  flag,
  group,
  id,
  keysOf,
  list,
  maybe,
  number,
  plainly,
  share,
  text,
  uuid,
  word,
  yesNo,
} from './field.js';
import { leftOvers } from './bake.js';
import { basisWords } from '../facts/fact.js';
import type { DocumentOf, NumberField } from './field.js';

const MG = { times: 100000, unit: 'mg' };
/** Shares of the mass, 0..1; saturated fat is part of fat, sodium part of ash. */
export const compositionFields = {
  waterShare: share('Water', { correctable: true, part: 'whole' }),
  proteinShare: share('Protein', { correctable: true, part: 'whole' }),
  fatShare: share('Fat', { correctable: true, part: 'whole' }),
  saturatedFatShare: share('of it saturated', { correctable: true, part: 'within', within: 'fatShare' }),
  sugarsShare: share('Sugars', { correctable: true, part: 'whole' }),
  starchShare: share('Starch', { correctable: true, part: 'whole' }),
  fibreShare: share('Fibre', { correctable: true, part: 'whole' }),
  ashShare: share('Ash', { correctable: true, part: 'whole' }),
  otherShare: share('Other', { correctable: true, part: 'whole' }),
  sodiumShare: share('Sodium', { correctable: true, part: 'within', shown: MG }),
  /** What of it is called other, where it is known. */
  alcoholShare: maybe(share('of it alcohol', { correctable: true, part: 'within' }), '1.10'),
  organicAcidsShare: maybe(share('of it organic acids', { correctable: true, part: 'within' }), '1.10'),
  polyolsShare: maybe(share('of it polyols', { correctable: true, part: 'within' }), '1.10'),
  otherCarbohydrateShare: maybe(share('of it other carbohydrate', { correctable: true, part: 'within' }), '1.10'),
  /** Of the sugars, those a maker added; syrups and honey count. */
  addedSugarsShare: maybe(share('Added sugars', { correctable: true, part: 'within', within: 'sugarsShare' }), '1.10'),
  transFatShare: maybe(share('Trans fat', { correctable: true, part: 'within', within: 'fatShare' }), '1.10'),
  cholesterolShare: maybe(share('Cholesterol', { correctable: true, part: 'within', shown: MG }), '1.10'),
};
export type Composition = DocumentOf<typeof compositionFields>;

/** Curves of how much of a fat is solid. */
export const solidFatWords = {
  butter: 'butter',
  laminatingButter: 'butter made for folding',
  lard: 'lard',
  palmShortening: 'shortening',
  coconut: 'coconut oil',
  plantBlock: 'a plant block',
  liquidOil: 'nothing: an oil',
} as const;
export type SolidFatName = keyof typeof solidFatWords;
/** What it comes from: vegan, vegetarian and religious limits ask. */
export const originWords = {
  plant: 'plant',
  milk: 'milk',
  egg: 'egg',
  honey: 'honey',
  animal: 'animal',
  mineral: 'mineral',
  microbe: 'microbe',
} as const;
export type Origin = keyof typeof originWords;
export const kindWords = {
  flour_grain: 'grain flour',
  flour_starchy: 'starchy flour',
  flour_pseudo: 'seed flour',
  flour_legume: 'pulse flour',
  flour_nut: 'nut flour',
  flour_tuber: 'tuber flour',
  blend: 'blend',
  starch: 'starch',
  gum: 'gum',
  binder_seed: 'binding seed',
  fibre: 'fibre',
  fat_solid: 'solid fat',
  fat_liquid: 'oil',
  egg: 'egg',
  liquid: 'liquid',
  dairy: 'dairy',
  plant_milk: 'plant drink',
  sugar: 'sugar',
  syrup: 'syrup',
  salt: 'salt',
  leavener: 'leavener',
  acid: 'acid',
  flavour: 'flavour',
  inclusion: 'addition',
  filling: 'filling',
  excluded: 'not for any bake',
} as const;
export type IngredientKind = keyof typeof kindWords;

/** How far heat has made it safe to eat as it is. Pasteurised: in its pack, kept cold. Cooked: by its maker, or by us to a known core. */
export const heatWords = { raw: 'raw', pasteurised: 'pasteurised', heatTreated: 'heat treated', cooked: 'cooked' } as const;
export type Heat = keyof typeof heatWords;

/** One thing an ingredient is made of: grams of it in a gram of the finished ingredient. Their sum passes 1 where water was driven off. */
export const partFields = { ingredientId: id('ingredient'), gPerG: number('g in a gram of it', 'g/g', 0, 100), lotId: maybe(id('lot')) };
export type IngredientPart = DocumentOf<typeof partFields>;

/** How a leavener works; an acid only wakes soda. */
export const leavenWords = { yeast: 'yeast', soda: 'soda', powder: 'baking powder', ammonia: 'ammonia', acid: 'an acid for soda' } as const;
/** What a thing does besides: in the dough, the oven, the freezer, the guest. */
export const doesWords = {
  soaks: 'swells in water, soaked before it meets the flour',
  swellsCold: 'takes up cold water at once',
  sticks: 'a starch that is sticky once wet, and lets a dough bend',
  gelatinised: 'cooked already',
  crumb: 'ground cookies or crackers',
  packs: 'measured pressed into its cup',
  foams: 'whips up',
  setsCold: 'sets as it cools',
  humectant: 'holds water, keeps soft',
  brownsEarly: 'browns early',
  neverBrowns: 'never browns',
  shines: 'shines as a wash',
  leachesJuice: 'gives juice',
  ready: 'cooked or ready to eat: gives no juice in the oven',
  weakInAcid: 'thins in acid',
  freezeStable: 'stands freezing',
  weepsAfterFreezing: 'weeps after freezing',
  greensWithSoda: 'turns green beside soda',
  purplesWithSoda: 'turns purple beside soda',
  stopsYeast: 'stops yeast',
  stopsGelatine: 'raw, keeps gelatine from setting',
  coumarin: 'holds coumarin, as cassia does',
  laxative: 'laxative in quantity',
  notUnderOneYear: 'not for children under a year',
  dustSensitiser: 'its dust can sensitise: pour it low',
  compound: 'made of several things: its maker’s list says which',
} as const;
export type IngredientAct = keyof typeof doesWords;
const waterWords = {
  mixes: 'mixes with the dough',
  ownMoisture: 'its own moisture',
  inFat: 'held in fat',
  boundInPiece: 'bound in the piece',
  juice: 'runs out as juice',
  piece: 'in the piece',
  crystal: 'in its crystals',
} as const;
/** Gums and seeds that families have windows of, by what they are. */
export const gumWords = {
  xanthanGum: 'xanthan',
  guarGum: 'guar',
  psylliumHusk: 'psyllium husk',
  psylliumPowder: 'psyllium powder',
  celluloseEther: 'HPMC',
  flaxMeal: 'ground flax',
  chiaMeal: 'ground chia',
} as const;
export type GumName = keyof typeof gumWords;
/** Strictest first: a mixture is as strict as its strictest part. */
export const glutenWords = {
  contains: 'contains gluten, never for a bake here',
  needsProof: 'grain can be in it: every lot needs a report',
  free: 'no grain in it by nature; that is a belief, not a proof',
} as const;
export type GlutenClass = keyof typeof glutenWords;
/**
 * The strictest of some classes; free where there is none.
 *
 * Units    none.
 * Throws   nothing.
 * Findings none.
 * Source   judgement: what is worst counts.
 *
 * @example
 * strictestGluten(['free', 'contains']); // => 'contains'
 */
export const strictestGluten = (classes: readonly GlutenClass[]): GlutenClass =>
  keysOf(glutenWords).find((one) => classes.includes(one)) ?? 'free';

const { label, measured, judgement } = basisWords;
const correctionWords = { label, measured, judgement };
/** A correction: the value, and where it comes from. */
export const factFields = {
  value: { is: 'number', unit: '', low: -1e9, high: 1e9 } as NumberField,
  unit: text('Unit', 40),
  basis: word('Known from', correctionWords),
  source: text('Source', 200),
};
export type Correction = DocumentOf<typeof factFields>;
const corrections = byName('Corrected here', group('', factFields), 60);
const CUP = { times: 236.588, unit: 'g a cup' };
const CELSIUS = { times: 1, unit: '°C' };
const PERCENT = { times: 100, unit: '%' };

/** Whatever can be weighed. */
export const ingredientFields = {
  id: id(),
  name: text('Name', 120),
  kind: word('What it is', kindWords),
  composition: group('Composition', compositionFields),
  spoonedGPerMl: maybe(number('Spooned cup', 'g/ml', 0.05, 3, { correctable: true, estimate: true, shown: CUP })),
  packedGPerMl: maybe(number('Packed cup', 'g/ml', 0.05, 3, { correctable: true, estimate: true, shown: CUP })),
  teaspoonG: maybe(number('Level teaspoon', 'g', 0.1, 15, { correctable: true, estimate: true })),
  pieceG: maybe(number('One piece', 'g', 0.01, 10000, { correctable: true, estimate: true })),
  waterHoldGPerG: maybe(number('Water hold, cold', 'g/g', 0, 40, { correctable: true, estimate: true, mixes: true })),
  setsAtC: maybe(number('Starch sets from', 'C', 40, 110, { correctable: true, estimate: true, shown: CELSIUS })),
  /** Grams of xanthan that a gram of it stands for in a cold dough. */
  xanthanPerG: maybe(number('Binds like xanthan, cold', 'g/g', 0, 2, { correctable: true, estimate: true, mixes: true })),
  /** The same in the hot piece, of what gives nothing to a cold one. */
  hotXanthanPerG: maybe(number('Binds like xanthan, only hot', 'g/g', 0, 2, { correctable: true, estimate: true }), '1.10'),
  grit: maybe(number('Grit', '0 to 3', 0, 3, { correctable: true, estimate: true, mixes: true })),
  flavour: maybe(number('Flavour', '0 to 3', 0, 3, { correctable: true, estimate: true, mixes: true })),
  particleUm: maybe(number('Grind', 'um', 0.1, 20000, { correctable: true, estimate: true, shown: { times: 1, unit: 'µm' } })),
  solidFat: maybe(word('Firms like', solidFatWords)),
  allergens: list('Allergens', allergen(), 60),
  gluten: word('Gluten', glutenWords),
  origin: word('It comes from', originWords),
  /** Of an ingredient of the kitchen's own: somebody read its label for allergens. Left out: nobody said, and none is not known. */
  labelRead: maybe(yesNo('Its label was read')),
  /** Left out where it does not matter, or is not known. */
  heat: maybe(word('How it was heated', heatWords), '1.8'),
  /** Of a preparation: what its middle came to, C; left out: nobody said. */
  cookedToC: maybe(number('Its middle came to', 'C', 0, 200)),
  /** Its label keeps it at 5 C or colder, whatever its acid. */
  needsCold: maybe(flag('Its label keeps it cold'), '1.8'),
  /** Below pH 4.6. */
  acid: maybe(flag('Sour, below pH 4.6'), '1.8'),
  /** Its water lies in drops in fat, where little grows. */
  waterInFat: maybe(flag('Its water lies in drops in fat'), '1.8'),
  /** Energy of what its composition calls other: alcohol, acids, polyols. Left out: as carbohydrate. */
  otherKcalPerG: maybe(number('Energy of what is called other', 'kcal/g', 0, 10), '1.8'),
  /** Its label says lactose-free; it still is of milk. */
  lactoseFree: maybe(flag('Its label says lactose-free')),
  leavens: maybe(word('Leavens as', leavenWords), '1.10'),
  /** Active dry yeast that a gram of it stands for. */
  yeastStrength: maybe(number('Strength, of active dry yeast', 'g/g', 0.05, 3, { usual: 1 }), '1.10'),
  /** Soda that a gram of it takes up. */
  takesSodaGPerG: maybe(number('Soda it takes up', 'g/g', 0, 2), '1.10'),
  /** Raw white and raw yolk that a gram of it stands for. */
  eggWhiteGPerG: maybe(number('Raw egg white it stands for', 'g/g', 0, 10, { usual: 1 }), '1.10'),
  eggYolkGPerG: maybe(number('Raw egg yolk it stands for', 'g/g', 0, 10, { usual: 1 }), '1.10'),
  gum: maybe(word('Used as', gumWords), '1.10'),
  does: maybe(list('What it does', word('', doesWords), 40), '1.10'),
  /** Carbon dioxide that a gram of it gives. */
  co2GPerG: maybe(number('Gas it gives', 'g/g', 0, 1), '1.10'),
  /** An egg or a protein sets, a cellulose gels. */
  heatSetsFromC: maybe(number('Sets in heat from', 'C', 30, 110, { shown: CELSIUS }), '1.10'),
  meltsFromC: maybe(number('Melts from', 'C', -40, 120, { shown: CELSIUS }), '1.10'),
  meltsToC: maybe(number('Melted at', 'C', -40, 120, { shown: CELSIUS }), '1.10'),
  /** Of table sugar. */
  sweetness: maybe(number('Sweetness, of sugar', 'times', 0, 800), '1.10'),
  /** Glucose and fructose, of its sugars: what browns. */
  reducingShareOfSugars: maybe(number('Reducing sugars, of its sugars', 'share', 0, 1, { shown: PERCENT }), '1.10'),
  /** As it colours a dough. */
  rawLightness: maybe(number('Lightness, raw', 'L*', 0, 100), '1.10'),
  waterKind: maybe(word('Its water', waterWords), '1.10'),
  /** Of its water, what reaches the dough it is folded into. */
  freeWaterShare: maybe(number('Water that reaches the dough', 'share', 0, 1, { shown: PERCENT }), '1.10'),
  finerKind: maybe(text('Finer kind', 40), '1.10'),
  /** As an ingredient list calls it: its class and number, and its name in the EU and in the US; capitals are emphasised. */
  functionClass: maybe(text('Class on a label', 60), '1.10'),
  eNumber: maybe(text('E number', 20), '1.10'),
  nameEu: maybe(text('Name on an EU label', 200), '1.10'),
  nameUs: maybe(text('Name on a US label', 200), '1.10'),
  /** Most of a blend that bakers use. */
  mostOfBlendShare: maybe(number('Most of a blend', 'share', 0, 1, { above: true, shown: { times: 100, unit: '%' } }), '1.10'),
  /** What it is taken for and must not be. */
  takenFor: maybe(id('ingredient'), '1.10'),
  /**
   * Limits of guests it does not suit beside its allergens and its origin; `:possible` depends on the maker, `:ask` on the guest.
   * Of what came in with a label: left out, nobody said; an empty list says none.
   */
  unsuited: maybe(list('Does not suit', text('', 40), 40), '1.10'),
  /** An origin that depends on the maker. */
  mayHold: maybe(word('It may hold something of', originWords), '1.10'),
  /** What it is swapped as, with the grams that stand for a gram of its group's first. */
  swaps: maybe(byName('Stands in for', number('', 'g/g', 0, 100), 12), '1.10'),
  /** What a box of its kind is usually made of; `parts` outrank it. */
  usualParts: maybe(list('Usually made of', group('', partFields), 40), '1.10'),
  note: maybe(text('Note', 500, { empty: true })),
  basis: word('Known from', basisWords),
  source: text('Source', 300),
  /** What this kitchen changed, by field ('composition.proteinShare', 'waterHoldGPerG'). */
  corrected: maybe(corrections),
  /** A crumb, a filling, a ready blend: what it was made from, and of what. */
  madeFrom: maybe(
    either(
      'Made from',
      { formulaId: uuid(), version: number('version', '', 1, 2147483647, { whole: true }) },
      { blendId: uuid(), version: number('version', '', 1, 2147483647, { whole: true }) },
      { preparationId: id() },
    ),
  ),
  parts: maybe(list('Made of', group('', partFields), 120)),
};
export type Ingredient = DocumentOf<typeof ingredientFields>;

const { id: _id, gluten: _gluten, corrected: _corrected, ...ownFields } = ingredientFields;
/** What a kitchen knows better than the table: numbers with where they come from, allergens as its label lists them. */
export const ingredientChangeFields = {
  corrected: corrections,
  allergens: maybe(ownFields.allergens),
  lactoseFree: ownFields.lactoseFree,
};
export type IngredientChange = DocumentOf<typeof ingredientChangeFields>;
const { excluded: _excluded, ...ownKindWords } = kindWords;
/** What a kitchen says of an ingredient of its own; what it leaves out is the server's. */
export const ownIngredientFields = {
  ...ownFields,
  kind: word('What it is', ownKindWords),
  gluten: word('Gluten', { needsProof: glutenWords.needsProof, free: glutenWords.free }),
  basis: maybe(ownFields.basis),
  source: maybe(ownFields.source),
};
export type OwnIngredient = DocumentOf<typeof ownIngredientFields>;

/** `below`: less than `mgPerKg` was found, which then is the limit of detection. */
export const reportFields = {
  mgPerKg: number('Gluten found', 'mg/kg', 0, 100000),
  below: yesNo('Less than this was found'),
  method: text('Method', 80),
  on: day('Day of the report'),
};
export type GlutenReport = DocumentOf<typeof reportFields>;
/** `until` is its last day, 2027-03-31. */
export const certificateFields = { number: text('Number', 60), by: text('Given by', 120), until: day('Valid until') };
export type GlutenCertificate = DocumentOf<typeof certificateFields>;
const madeOfFields = { ingredientId: id('ingredient'), lotId: id('lot'), usedG: number('Taken', 'g', 0, 1e7) };
export const lotFields = {
  id: id(),
  ingredientId: id('ingredient'),
  code: text('Lot', 40),
  /** As its pack carries it: the next pack with it is known by it. */
  barcode: maybe(text('Barcode', 48)),
  supplier: maybe(text('Supplier', 120)),
  /** Left now; left out where nobody counts it. */
  onHandG: maybe(number('On hand', 'g', 0, 1e7)),
  /** Calendar days, 2026-11-25: past it the taste may have gone; smell and taste decide. */
  bestByOn: maybe(day('Best by')),
  /** Past it nobody eats it, whatever it smells of. */
  useByOn: maybe(day('Use by')),
  openedOn: maybe(day('Opened')),
  packG: maybe(number('Pack', 'g', 0, 1e7, { above: true })),
  /** Of one pack, in the smallest coin. */
  packCostMinor: maybe(number('Cost of a pack', 'smallest coin', 0, 1e9, { shown: { times: 0.01, unit: '' } })),
  /** Measured; outranks the ingredient's water share. */
  moistureShare: maybe(number('Moisture, measured', 'share', 0, 0.6, { shown: { times: 100, unit: '%' } })),
  /** No report: not proven. */
  report: maybe(group('Report', reportFields)),
  /** A maker's own certificate, beside or in place of a report. */
  certificate: maybe(group('Certificate', certificateFields)),
  /** Who took the mark on the bag for proof, and why; a home kitchen may. */
  acceptedOnBag: maybe(text('Mark on the bag taken for proof', 300)),
  /** Why it is taken without a report: only where no grain is in it. */
  acceptedWithoutReport: maybe(text('Taken without a report', 300)),
  /** Why it is not used. */
  setAside: maybe(text('Set aside', 300)),
  /** Where it lies, a place of the kitchen. */
  placeId: maybe(id('place')),
  /** The day a batch of a preparation was made. */
  madeOn: maybe(day('Made')),
  /** The lots that it was made of. */
  madeOf: maybe(list('Made of', group('', madeOfFields), 120)),
  /** The bake that left it. */
  from: maybe(group('Left by', { bakeId: uuid(), what: word('What it is', plainly(leftOvers)) })),
};
export type Lot = DocumentOf<typeof lotFields>;

/** What a formula may read of the pantry, corrections merged in. */
export type Pantry = {
  readonly ingredients: Readonly<Record<string, Ingredient>>;
  readonly lots: Readonly<Record<string, Lot>>;
  /** The day it was read, 2026-11-25: old reports and best-by dates are judged by it. */ readonly on?: string;
};
