import type { Formula } from '../document/formula.js';
import type { Kitchen } from '../document/kitchen.js';
import type { Lot } from '../document/pantry.js';

/**
 * The made-up bakery that a first start shows: a two-person gluten-free kitchen on a Thursday. One fixture feeds the
 * seed, the pictures and the tests.
 */
export const demoKitchen: Kitchen = {
  id: '0b6d1f5e-52c1-4a3e-9a6e-5f0c2d7b1a01',
  name: 'North Leaf demo bakery',
  zone: 'Europe/Lisbon',
  currency: 'EUR',
  roomC: 23.5,
  humidityShare: 0.61,
  glutenLimitMgPerKg: 10,
  scaleStepG: 0.1,
  ovens: [
    {
      id: 'oven-a',
      name: 'Oven A',
      kind: 'deck',
      dialUnit: 'C',
      readings: [
        { dialC: 150, trueC: 155, at: '2026-11-16T05:10:00Z' },
        { dialC: 180, trueC: 186, at: '2026-11-16T05:40:00Z' },
        { dialC: 210, trueC: 217, at: '2026-11-16T06:10:00Z' },
      ],
    },
    {
      id: 'oven-b',
      name: 'Oven B',
      kind: 'fan',
      dialUnit: 'C',
      readings: [
        { dialC: 160, trueC: 152, at: '2026-10-09T09:00:00Z' },
        { dialC: 200, trueC: 190, at: '2026-10-09T09:30:00Z' },
      ],
    },
    { id: 'small-oven', name: 'Small oven', kind: 'static', dialUnit: 'F', readings: [] },
  ],
  places: [
    { id: 'fridge', name: 'Fridge', kind: 'fridge', atC: 4.6 },
    { id: 'freezer', name: 'Freezer', kind: 'freezer', atC: -17.5 },
    { id: 'table', name: 'Table', kind: 'bench', atC: 23.5 },
    { id: 'rack', name: 'Cooling rack', kind: 'rack', atC: 23.5 },
  ],
  trays: [
    { id: 'dark-tray', name: 'Dark tray 400 × 300', count: 4, widthMm: 400, lengthMm: 300, material: 'darkSteel' },
    { id: 'bright-tray', name: 'Bright tray 400 × 300', count: 2, widthMm: 400, lengthMm: 300, material: 'aluminium' },
  ],
  learned: [],
};

const report = (mgPerKg: number, on: string) => ({ mgPerKg, below: true, method: 'R5 ELISA', on });

/** Lots in use. Every at-risk ingredient of the demo cracker is proven; millet's is over this kitchen's own limit of 10. */
export const demoLots: readonly Lot[] = [
  { id: 'lot-sorghum-8', ingredientId: 'sorghum', code: '8', report: report(5, '2026-09-02') },
  { id: 'lot-rice-21', ingredientId: 'rice_brown', code: '21', report: report(5, '2026-08-20') },
  { id: 'lot-tapioca-5', ingredientId: 'tapioca_starch', code: '5', report: report(5, '2026-07-14') },
  { id: 'lot-potato-17', ingredientId: 'potato_starch', code: '17', report: report(5, '2026-10-11') },
  { id: 'lot-xanthan-2', ingredientId: 'xanthan', code: '2', report: report(5, '2026-03-30') },
  { id: 'lot-husk-4', ingredientId: 'psyllium_husk', code: '4', report: report(5, '2026-06-18') },
  { id: 'lot-sesame-3', ingredientId: 'sesame', code: '3', report: report(5, '2026-09-25') },
  { id: 'lot-pumpkin-1', ingredientId: 'pumpkin_seeds', code: '1', report: report(5, '2026-09-25') },
  { id: 'lot-powder-6', ingredientId: 'baking_powder', code: '6', report: report(5, '2026-05-05') },
  { id: 'lot-millet-2', ingredientId: 'millet', code: '2', report: { mgPerKg: 14, below: false, method: 'R5 ELISA', on: '2026-09-02' } },
  { id: 'lot-rice-white-12', ingredientId: 'rice_white_fine', code: '12', report: report(5, '2026-08-20') },
  { id: 'lot-corn-9', ingredientId: 'corn_starch', code: '9', report: report(5, '2026-08-20') },
];

const base: Formula = {
  schema: 1,
  name: 'Seeded sorghum crackers',
  family: 'cracker_savoury',
  blend: {
    name: 'Sorghum crisp',
    rows: [
      { key: 'b1', ingredientId: 'sorghum', share: 0.56 },
      { key: 'b2', ingredientId: 'rice_brown', share: 0.12 },
      { key: 'b3', ingredientId: 'tapioca_starch', share: 0.18 },
      { key: 'b4', ingredientId: 'potato_starch', share: 0.128 },
      { key: 'b5', ingredientId: 'xanthan', share: 0.004 },
      { key: 'b6', ingredientId: 'psyllium_husk', share: 0.008 },
    ],
  },
  blendG: 240,
  rows: [
    { key: 'r1', ingredientId: 'water', amountG: 108, use: 'dough' },
    { key: 'r2', ingredientId: 'olive_oil', amountG: 30, use: 'dough', fat: { state: 'melted' } },
    { key: 'r3', ingredientId: 'sesame', amountG: 16, use: 'dough' },
    { key: 'r4', ingredientId: 'pumpkin_seeds', amountG: 14, use: 'dough' },
    { key: 'r5', ingredientId: 'sugar_white', amountG: 4, use: 'dough' },
    { key: 'r6', ingredientId: 'salt_fine', amountG: 4.3, use: 'dough' },
    { key: 'r7', ingredientId: 'baking_powder', amountG: 3.6, use: 'dough' },
    { key: 'r8', ingredientId: 'rice_white_fine', amountG: 6, use: 'dust' },
  ],
  mix: [
    { key: 'm1', does: 'Whisk blend, salt, sugar and baking powder until even' },
    { key: 'm2', does: 'Rub in the oil until there are no dry streaks' },
    { key: 'm3', does: 'Stir in the seeds' },
    { key: 'm4', does: 'Pour the water, hold the spoons back; mix 1 min, wait 3 min, squeeze' },
    { key: 'm5', does: 'Press to a slab and wrap' },
  ],
  doughAtC: 22,
  restMin: 5,
  holdBackShare: 0.2,
  chill: { form: 'slab', thicknessMm: 12, wrap: 'film', targetC: 17, waits: [{ placeId: 'fridge', min: 22 }] },
  sheet: {
    parts: [{ key: 'p1', perPiece: 1, thicknessMm: 2.8, shape: { kind: 'rectangle', widthMm: 45, lengthMm: 45 } }],
    trimMm: 6,
    reroll: 'once',
    dockPitchMm: 12,
    lots: 1,
    waits: [],
  },
  bake: {
    ovenId: 'oven-a',
    trayId: 'dark-tray',
    traysAtOnce: 1,
    layer: 'paper',
    steps: [
      { name: 'Hot start', wantC: 180, min: 10 },
      { name: 'Dry', wantC: 150, min: 8 },
    ],
    done: { moistureShare: 0.03 },
  },
  keep: { cool: [{ placeId: 'rack', min: 40 }], pack: 'tightTin', piecesPerPack: 40, sellWithinDays: 21 },
};

/** The first version: thick, and too soft after a week. */
export const demoCrackerV1: Formula = base;

/** The second: thinner, with guide bands, a little less water and a shorter drying step. */
export const demoCrackerV2: Formula = {
  ...base,
  rows: base.rows.map((row) => (row.key === 'r1' ? { ...row, amountG: 102 } : row)),
  sheet: { ...base.sheet, bandsMm: 2.4, parts: [{ ...base.sheet.parts[0]!, thicknessMm: 2.4 }] },
  bake: { ...base.bake, steps: [base.bake.steps[0]!, { name: 'Dry', wantC: 150, min: 5 }] },
};
