import type { Formula } from '../document/formula.js';
import type { HotSpot, Kitchen } from '../document/kitchen.js';
import { daysAfter } from '../units/days.js';
import type { Lot } from '../document/pantry.js';
import type { Preparation } from '../document/preparation.js';

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
  market: 'eu',
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
      hotSpots: [
        ['backLeft', 3],
        ['back', 1],
        ['backRight', -1],
        ['left', 4],
        ['centre', 0],
        ['right', -2],
        ['doorLeft', 2],
        ['door', 0],
        ['doorRight', -2],
      ].map(([side, aboveC]) => ({ shelf: 'middle', side, aboveC }) as HotSpot),
      heating: [{ dialC: 180, min: 18 }],
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
    { id: 'pie-tin', name: 'Pie tin 230', count: 4, widthMm: 230, lengthMm: 230, material: 'metalPan' },
  ],
  pans: [
    { id: 'pie-230', name: 'Pie tin Ø 230 × 38', count: 4, topMm: 230, bottomMm: 185, depthMm: 38, material: 'metalPan' },
    { id: 'ring-220', name: 'Tart ring Ø 220 × 30', count: 8, topMm: 220, bottomMm: 220, depthMm: 30, material: 'metalPan' },
    { id: 'deep-240', name: 'Deep dish Ø 240 × 50', count: 2, topMm: 240, bottomMm: 190, depthMm: 50, rimMm: 12, material: 'ceramic' },
    {
      id: 'square-200',
      name: 'Square tin 200 × 50',
      count: 2,
      kind: 'rectangle',
      topMm: 200,
      bottomMm: 196,
      lengthMm: 200,
      depthMm: 50,
      material: 'metalPan',
    },
    {
      id: 'long-tin',
      name: 'Long tart tin 110 × 350',
      count: 2,
      kind: 'rectangle',
      topMm: 110,
      bottomMm: 104,
      lengthMm: 350,
      depthMm: 25,
      material: 'metalPan',
    },
    { id: 'muffin-12', name: 'Tin of 12 cups', count: 2, cups: 12, topMm: 70, bottomMm: 50, depthMm: 30, material: 'metalPan' },
  ],
  cutters: [
    { id: 'round-50', name: 'Round cutter 50', kind: 'round', acrossMm: 50 },
    { id: 'round-65', name: 'Round cutter 65', kind: 'round', acrossMm: 65 },
    { id: 'hexagon-48', name: 'Hexagon cutter 48', kind: 'hexagon', acrossMm: 48 },
  ],
  mat: { widthMm: 600, lengthMm: 400 },
  learned: [],
  guests: [
    { id: 'thursday-order', name: 'Thursday order', suits: ['vegan'], note: 'Twelve boxes a week' },
    { id: 'school-fair', name: 'School fair', suits: ['noNuts', 'noPeanut', 'noSesame'] },
  ],
};

/** The day the demo is told as of, where nobody says another. */
export const demoOn = '2026-11-25';

type DemoLot = Omit<Lot, 'report' | 'bestByOn' | 'openedOn' | 'id'> & {
  readonly id: string;
  /** mg/kg and days ago. */ readonly tested?: readonly [mgPerKg: number, daysAgo: number];
  /** Days from now. */ readonly bestIn?: number;
  readonly openedAgo?: number;
};

/**
 * Lots of the made-up bakery. Every at-risk ingredient of the demo cracker is proven by the lot in use; husk lot 3 came without a
 * report, the millet and oat lots are over this kitchen's own limit of 10, butter lot 31 ends today, potato starch lot 17 is open six weeks.
 */
const lots: readonly DemoLot[] = [
  { id: 'lot-sorghum-8', ingredientId: 'sorghum', code: '8', supplier: 'Hill mill', tested: [5, 84], bestIn: 150, openedAgo: 20, onHandG: 6400, packG: 5000, packCostMinor: 1950 },
  { id: 'lot-rice-21', ingredientId: 'rice_brown', code: '21', supplier: 'Hill mill', tested: [5, 97], bestIn: 120, openedAgo: 31, onHandG: 2200, packG: 5000, packCostMinor: 1450 },
  { id: 'lot-tapioca-5', ingredientId: 'tapioca_starch', code: '5', supplier: 'Starch house', tested: [5, 134], bestIn: 400, openedAgo: 60, onHandG: 2200, packG: 2500, packCostMinor: 700 },
  { id: 'lot-potato-17', ingredientId: 'potato_starch', code: '17', supplier: 'Starch house', tested: [5, 45], bestIn: 320, openedAgo: 42, onHandG: 640, packG: 2500, packCostMinor: 550 },
  { id: 'lot-xanthan-2', ingredientId: 'xanthan', code: '2', supplier: 'Starch house', tested: [5, 240], bestIn: 500, openedAgo: 200, onHandG: 220, packG: 500, packCostMinor: 725 },
  { id: 'lot-husk-3', ingredientId: 'psyllium_husk', code: '3', supplier: 'Market', bestIn: 420, onHandG: 410, packG: 500, packCostMinor: 950 },
  { id: 'lot-husk-4', ingredientId: 'psyllium_husk', code: '4', supplier: 'Starch house', tested: [5, 160], bestIn: 360, openedAgo: 90, onHandG: 1000, packG: 1000, packCostMinor: 1900 },
  { id: 'lot-sesame-3', ingredientId: 'sesame', code: '3', tested: [5, 61], bestIn: 200, openedAgo: 14, onHandG: 900, packG: 1000, packCostMinor: 640 },
  { id: 'lot-pumpkin-1', ingredientId: 'pumpkin_seeds', code: '1', tested: [5, 61], bestIn: 180, openedAgo: 14, onHandG: 750, packG: 1000, packCostMinor: 980 },
  { id: 'lot-powder-6', ingredientId: 'baking_powder', code: '6', tested: [5, 204], bestIn: 90, openedAgo: 70, onHandG: 300, packG: 500, packCostMinor: 420 },
  { id: 'lot-millet-2', ingredientId: 'millet', code: '2', supplier: 'Hill mill', tested: [14, 84], bestIn: 60, onHandG: 1500, packG: 2500, packCostMinor: 900 },
  { id: 'lot-oat-2', ingredientId: 'oat_flour', code: '2', supplier: 'Hill mill', tested: [12, 134], bestIn: 80, onHandG: 1800, packG: 2500, packCostMinor: 850 },
  { id: 'lot-rice-white-12', ingredientId: 'rice_white_fine', code: '12', supplier: 'Hill mill', tested: [5, 97], bestIn: 210, openedAgo: 10, onHandG: 6400, packG: 5000, packCostMinor: 950 },
  { id: 'lot-corn-9', ingredientId: 'corn_starch', code: '9', supplier: 'Starch house', tested: [5, 97], bestIn: 380, onHandG: 2500, packG: 2500, packCostMinor: 480 },
  { id: 'lot-buckwheat-8', ingredientId: 'buckwheat', code: '8', supplier: 'Hill mill', tested: [5, 44], bestIn: 130, openedAgo: 8, onHandG: 3100, packG: 5000, packCostMinor: 1550, moistureShare: 0.119 },
  { id: 'lot-butter-31', ingredientId: 'butter_82', code: '31', supplier: 'Dairy', bestIn: 0, onHandG: 530, packG: 2500, packCostMinor: 2350 },
  { id: 'lot-oil-4', ingredientId: 'olive_oil', code: '4', bestIn: 260, openedAgo: 25, onHandG: 3200, packG: 5000, packCostMinor: 4200, acceptedWithoutReport: 'Pressed from olives alone; nothing is added' },
]; // prettier-ignore

/**
 * The demo's lots as they stand on a day.
 *
 * Units    as a lot has them.
 * Throws   nothing.
 * Findings none.
 * Source   made up.
 *
 * @example
 * demoLotsOn('2026-03-01').length > 0; // => true
 */
export function demoLotsOn(on: string): Lot[] {
  return lots.map(({ tested, bestIn, openedAgo, ...lot }) => ({
    ...lot,
    ...(tested ? { report: { mgPerKg: tested[0], below: tested[0] <= 5, method: 'R5 ELISA', on: daysAfter(on, -tested[1]) } } : {}),
    ...(bestIn === undefined ? {} : { bestByOn: daysAfter(on, bestIn) }),
    ...(openedAgo === undefined ? {} : { openedOn: daysAfter(on, -openedAgo) }),
  }));
}

export const demoLots: readonly Lot[] = demoLotsOn(demoOn);

const whole = (rowKey: string) => ({ rowKey, share: 1 });

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
    { key: 'm1', act: 'whisk', of: [whole('blend'), whole('r5'), whole('r6'), whole('r7')], tool: 'whisk', stopAt: 'even' },
    { key: 'm2', act: 'rub', of: [whole('r2')], tool: 'hand', stopAt: 'sand' },
    { key: 'm3', act: 'foldIn', of: [whole('r3'), whole('r4')], tool: 'hand' },
    { key: 'm4', act: 'pour', of: [whole('r1')], tool: 'hand', min: 1, stopAt: 'noDryFlour' },
    { key: 'm5', act: 'knead', of: [], tool: 'hand', min: 1, stopAt: 'holds' },
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

/** A glaze of the demo: honey, so not for every guest. */
export const demoPreparation: Preparation = {
  schema: 1,
  id: 'b7a1d6c0-55f1-4c0e-9b52-2f6f7f0f3e31',
  name: 'Honey and sesame glaze',
  rows: [
    { key: 'p1', ingredientId: 'honey', amountG: 60 },
    { key: 'p2', ingredientId: 'water', amountG: 40 },
    { key: 'p3', ingredientId: 'sesame', amountG: 20 },
  ],
  acts: [
    { key: 'a1', act: 'warm', min: 4, stopAt: 'thin and clear' },
    { key: 'a2', act: 'boil', min: 3, stopAt: 'coats a spoon' },
    { key: 'a3', act: 'stand', min: 10 },
  ],
  boiledOffG: 15,
  drainedG: 0,
  keepDays: 5,
  keepAt: 'fridge',
};
