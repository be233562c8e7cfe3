import { demoCrackerV2, demoPuffSticks, type Formula, type HandWord, type Happened } from '@north-leaf/core';
import {
  add,
  all,
  blendNamed,
  docked,
  doughOf,
  foldRest,
  fromLot,
  grams,
  heat,
  instead,
  longer,
  more,
  oven,
  rest,
  shape,
  share,
  sold,
  thickness,
} from './changes.js';
import type { Change } from './changes.js';

export type Told = {
  readonly daysAgo: number;
  readonly version: number;
  readonly roomC: number;
  readonly damp: number;
  readonly what: readonly Happened[];
};
export type Good = {
  readonly id: string;
  readonly name: string;
  readonly family: string;
  /** Versions that the small demo has already. */ readonly from?: { readonly version: number; readonly formula: Formula };
  readonly versions: readonly { readonly daysAgo: number; readonly why: string; readonly change: Change }[];
  readonly bakes: readonly Told[];
};

/** A bake of so many days ago, of a version, in an air; then hand, thickness, minutes, tone on top; crisp, tender, liked; what was seen or noted. */
function bake(
  [daysAgo, version, roomC, damp]: readonly [number, number, number, number],
  [word, rawMm, bakeMin, topTone]: readonly [HandWord, number, number, number],
  [crisp, tender, liked]: readonly [number, number, number],
  ...also: readonly (string | number)[]
): Told {
  return {
    daysAgo,
    version,
    roomC,
    damp,
    what: [
      { kind: 'felt', word },
      { kind: 'measured', what: 'rawMm', value: rawMm },
      { kind: 'measured', what: 'bakeMin', value: bakeMin },
      { kind: 'measured', what: 'topTone', value: topTone },
      { kind: 'rated', after: 'fresh', crisp, tender, liked },
      ...also.map((one): Happened => (typeof one === 'number' ? { kind: 'noticed', symptom: one } : { kind: 'noted', text: one })),
    ],
  };
}

export const CRACKERS = '3f3a2a52-8c0c-4b57-9c7e-1f6a5c0e7a11';
export const STICKS = '8c1e6f2a-4d3b-4a58-9e21-0b7d5c6f4a33';
const GALETTE = '1d2f0b7e-6c51-4f0e-8b3a-5a9d3c1e0c01';

const crackers: Good = {
  id: CRACKERS,
  name: 'Seeded sorghum crackers',
  family: 'cracker_savoury',
  from: { version: 2, formula: demoCrackerV2 },
  versions: [
    { daysAgo: 33, why: 'Pricked closer, fewer blisters', change: docked(10) },
    { daysAgo: 30, why: 'Oil 30 to 34 g, for a shorter bite', change: grams('olive_oil', 34) },
    { daysAgo: 27, why: 'Water 102 to 98 g: the last one was tacky', change: grams('water', 98) },
    { daysAgo: 24, why: 'More seeds', change: all(grams('sesame', 20), grams('pumpkin_seeds', 18)) },
    { daysAgo: 21, why: 'Rolled to 2.2 mm', change: thickness(2.2, 2.2) },
    { daysAgo: 18, why: 'Hot start at 185 °C: paler than we like', change: heat(0, 185, 10) },
    { daysAgo: 15, why: 'Dries 7 min instead of 5', change: heat(1, 150, 7) },
    {
      daysAgo: 12,
      why: 'Potato starch up, tapioca down: less hard on day 14',
      change: all(share('tapioca_starch', 0.14), share('potato_starch', 0.168)),
    },
    { daysAgo: 8, why: 'Water back to 100 g with the new starch', change: grams('water', 100) },
    { daysAgo: 4, why: 'Thinner, 2.0 mm, and the drying back to 5 min', change: all(thickness(2, 2), heat(1, 150, 5)) },
  ],
  bakes: [
    bake([32, 3, 23, 0.6], ['rollsClean', 2.4, 15.5, 4], [4, 3, 4]),
    bake([29, 4, 22.5, 0.58], ['rollsClean', 2.4, 15, 4], [3, 4, 4], 'Shorter bite, a little greasy on paper.', 7),
    bake([26, 5, 23, 0.62], ['rollsClean', 2.3, 15, 4], [4, 4, 4]),
    bake([23, 6, 22, 0.55], ['cracks', 2.4, 15, 4], [4, 3, 4], 'The seeds tear the sheet at the rim.', 2),
    bake([20, 7, 23, 0.6], ['rollsClean', 2.2, 14.5, 4], [5, 4, 4]),
    bake([17, 8, 23.5, 0.61], ['rollsClean', 2.2, 14.5, 4.5], [5, 4, 5], 'Colour is right.'),
    bake([14, 9, 23, 0.59], ['rollsClean', 2.2, 17, 5], [5, 3, 4], 'Two minutes too long: harder, darker.', 13),
    bake([11, 10, 24, 0.64], ['tacky', 2.2, 16.5, 4.5], [5, 4, 4]),
    bake([7, 11, 23.5, 0.6], ['rollsClean', 2.2, 16, 4.5], [5, 4, 5]),
    bake([3, 12, 23.5, 0.61], ['rollsClean', 2, 15, 4.5], [5, 4, 5], 'Thinner and drier got it crisp; the last two minutes decide.'),
  ],
};

const sticks: Good = {
  id: STICKS,
  name: 'Sorghum puff sticks',
  family: 'puff',
  from: { version: 1, formula: demoPuffSticks },
  versions: [
    { daysAgo: 26, why: 'A tenth of teff, for the taste', change: share('teff', 0.1) },
    { daysAgo: 19, why: 'Fold 2 was too warm and the butter leaked: 45 min in the cold', change: foldRest(1, 45) },
    { daysAgo: 13, why: 'All three folds 45 min', change: all(foldRest(0, 45), foldRest(2, 45)) },
    { daysAgo: 6, why: 'Water 199 to 204 g: teff drinks', change: grams('water', 204) },
  ],
  bakes: [
    bake([25, 2, 25.5, 0.66], ['cracks', 4, 15.5, 4.5], [3, 3, 2], 'Butter ran out of the ends. Fold 2 at 17 °C.', 31),
    bake([18, 3, 24, 0.62], ['rollsClean', 4, 15.5, 4.5], [4, 3, 3], 33),
    bake([12, 4, 23, 0.6], ['cracks', 4, 16, 5], [4, 4, 4], 2),
    bake([5, 5, 23, 0.58], ['rollsClean', 4, 16, 5], [5, 4, 5], 'Stands tall, no leak.'),
  ],
};

const galette: Good = {
  id: GALETTE,
  name: 'Buckwheat and pear galette',
  family: 'galette',
  versions: [
    {
      daysAgo: 40,
      why: 'A first try with a third of buckwheat',
      change: all(blendNamed('Buckwheat crust'), share('buckwheat', 0.3), instead('butter_unsalted', 'butter_82'), grams('sugar_white', 4)),
    },
    { daysAgo: 36, why: 'Cracked at the fold: water up', change: more('water', 6) },
    { daysAgo: 31, why: 'Egg out, for the taste of butter', change: all(grams('egg_whole', 0.1), more('water', 18)) },
    { daysAgo: 28, why: 'Egg back: it broke on the plate', change: all(grams('egg_whole', 32), more('water', -16)) },
    { daysAgo: 22, why: 'Rests 90 min in the cold', change: rest(90) },
    { daysAgo: 16, why: 'Thinner, 3.5 mm, and 17 min', change: all(thickness(3.5), heat(0, 175, 17)) },
    { daysAgo: 9, why: 'Butter 117 to 104 g: it ran in the oven', change: grams('butter_82', 104) },
    { daysAgo: 5, why: 'Water down with it, as the book says', change: more('water', -8) },
  ],
  bakes: [
    bake([39, 1, 22, 0.55], ['cracks', 4, 22, 4], [3, 3, 2], 2),
    bake([35, 2, 22.5, 0.56], ['rollsClean', 4, 22, 4], [3, 4, 3]),
    bake([27, 4, 23, 0.58], ['rollsClean', 4, 22.5, 4], [3, 4, 4]),
    bake([21, 5, 23, 0.6], ['rollsClean', 4, 22, 4.5], [4, 4, 4]),
    bake([15, 6, 24.5, 0.64], ['tacky', 3.5, 17, 4.5], [4, 4, 4], 'Butter on the paper.', 31),
    bake([8, 7, 23, 0.6], ['rollsClean', 3.5, 17, 4.5], [4, 4, 5]),
    bake([4, 8, 22, 0.54], ['cracks', 3.6, 17, 4.5], [4, 3, 3], 'Cracks where it is folded over the pears.', 1),
  ],
};

const tarts: Good = {
  id: '1d2f0b7e-6c51-4f0e-8b3a-5a9d3c1e0c02',
  name: 'Herb lattice tarts',
  family: 'short_savoury',
  versions: [
    { daysAgo: 20, why: 'Green herbs in the crust', change: all(add('herbs_fresh', 8), oven('oven-b', 'bright-tray')) },
    { daysAgo: 14, why: 'Into Oven A: the base stayed pale', change: oven('oven-a', 'dark-tray') },
    { daysAgo: 4, why: 'The galette dough does for both: mixed once', change: doughOf(GALETTE, 8) },
  ],
  bakes: [
    bake([19, 1, 23, 0.6], ['rollsClean', 3.5, 22.5, 3], [3, 3, 3], 'Base pale.', 24),
    bake([13, 2, 23, 0.6], ['rollsClean', 3.5, 22.5, 4.5], [4, 4, 4]),
  ],
};

const rounds: Good = {
  id: '1d2f0b7e-6c51-4f0e-8b3a-5a9d3c1e0c03',
  name: 'Millet brown-butter rounds',
  family: 'cookie_rolled',
  versions: [
    {
      daysAgo: 60,
      why: 'From the plain rolled cookie',
      change: all(
        blendNamed('Millet round'),
        share('millet', 0.25),
        shape({ kind: 'round', acrossMm: 65 }),
        thickness(4),
        heat(0, 175, 11),
      ),
    },
    { daysAgo: 55, why: 'Less sugar, it spread', change: more('sugar_white', -8) },
    { daysAgo: 50, why: 'Rests an hour', change: rest(60) },
    { daysAgo: 46, why: 'Thicker, 5 mm, for a soft middle', change: thickness(5) },
    { daysAgo: 41, why: 'Eleven minutes were pale', change: heat(0, 175, 13) },
    { daysAgo: 34, why: 'A little more salt', change: more('salt_fine', 0.5) },
    { daysAgo: 25, why: 'Millet 25 to 20 %: gritty', change: share('millet', 0.2) },
    { daysAgo: 17, why: 'Oven B, beside the sticks', change: oven('oven-b', 'bright-tray') },
    {
      daysAgo: 10,
      why: 'Sold by the dozen within ten days; millet of the proven lot',
      change: all(sold(10, 12), fromLot('millet', 'lot-millet-3')),
    },
  ],
  bakes: [
    bake([59, 1, 21, 0.5], ['rollsClean', 4, 11, 3], [3, 4, 3], 16),
    bake([54, 2, 21.5, 0.52], ['rollsClean', 4, 11, 3], [3, 4, 3]),
    bake([49, 3, 22, 0.54], ['rollsClean', 4, 11, 3], [4, 4, 4]),
    bake([45, 4, 22, 0.55], ['rollsClean', 5, 11, 3], [3, 5, 4], 19),
    bake([40, 5, 22, 0.55], ['rollsClean', 5, 13, 4], [4, 4, 4]),
    bake([33, 6, 22.5, 0.56], ['rollsClean', 5, 13, 4], [4, 4, 4], 15),
    bake([24, 7, 23, 0.6], ['rollsClean', 5, 13, 4], [4, 5, 5]),
    bake([16, 8, 23.5, 0.61], ['rollsClean', 5, 13, 4], [4, 5, 5]),
    bake([9, 9, 23, 0.6], ['rollsClean', 5, 13, 4], [4, 5, 5]),
    bake([2, 9, 23.5, 0.62], ['rollsClean', 5, 13.5, 4], [4, 4, 5]),
  ],
};

const thins: Good = {
  id: '1d2f0b7e-6c51-4f0e-8b3a-5a9d3c1e0c04',
  name: 'Chickpea and caraway thins',
  family: 'cracker_savoury',
  versions: [
    {
      daysAgo: 6,
      why: 'An idea: half chickpea',
      change: all(blendNamed('Chickpea thin'), share('chickpea', 0.5), add('caraway', 6), thickness(2)),
    },
    { daysAgo: 1, why: 'Thinner; not baked yet', change: all(thickness(1.6), more('water', -22)) },
  ],
  bakes: [bake([5, 1, 23, 0.6], ['sticks', 2.1, 12, 4.5], [3, 2, 2], 'Hard to roll, tastes raw in the middle.', 4)],
};

const scones: Good = {
  id: '1d2f0b7e-6c51-4f0e-8b3a-5a9d3c1e0c05',
  name: 'Quark and oat scones',
  family: 'biscuit_rubbed',
  versions: [
    { daysAgo: 44, why: 'The plain scone', change: blendNamed('Oat scone') },
    { daysAgo: 38, why: 'A fifth of oat flour', change: share('oat_flour', 0.2) },
    { daysAgo: 32, why: 'Quark for a part of the milk', change: add('quark_low', 60) },
    { daysAgo: 23, why: 'Less water with the quark', change: more('water', -30) },
    {
      daysAgo: 11,
      why: 'Baked three minutes longer: the middle was damp',
      change: longer(3),
    },
    { daysAgo: 7, why: 'Oat back to a seventh: the mill says 12 mg/kg', change: share('oat_flour', 0.14) },
  ],
  bakes: [
    bake([43, 1, 22, 0.55], ['tacky', 19, 13.5, 4], [3, 4, 3]),
    bake([37, 2, 22, 0.55], ['tacky', 19, 13.5, 4], [3, 4, 4]),
    bake([31, 3, 22.5, 0.58], ['sticks', 19, 13.5, 4], [2, 4, 3], 4, 14),
    bake([22, 4, 23, 0.6], ['tacky', 19, 13.5, 4], [3, 4, 4], 14),
    bake([10, 5, 23, 0.6], ['tacky', 19, 16.5, 4.5], [3, 5, 4]),
  ],
};

/** Told in this order: who takes a dough comes after whom it is taken from. */
export const goods: readonly Good[] = [crackers, sticks, galette, tarts, rounds, thins, scones];
