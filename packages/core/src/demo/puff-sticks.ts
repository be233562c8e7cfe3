import type { Fold, Formula } from '../document/formula.js';

const fold = (tableMin: number): Fold => ({
  parts: 3,
  rollToMm: 6,
  waits: [
    { placeId: 'fridge', min: 30 },
    { placeId: 'table', min: tableMin },
  ],
});

/** The demo's laminated formula: three letter folds in an envelope, cut into sticks. */
export const demoPuffSticks: Formula = {
  schema: 1,
  name: 'Sorghum puff sticks',
  family: 'puff',
  blend: {
    name: 'Puff blend',
    rows: [
      { key: 'b1', ingredientId: 'rice_brown', share: 0.2462 },
      { key: 'b2', ingredientId: 'sorghum', share: 0.2463 },
      { key: 'b3', ingredientId: 'tapioca_starch', share: 0.24 },
      { key: 'b4', ingredientId: 'potato_starch', share: 0.24 },
      { key: 'b5', ingredientId: 'xanthan', share: 0.0075 },
      { key: 'b6', ingredientId: 'psyllium_husk', share: 0.02 },
    ],
  },
  blendG: 300,
  rows: [
    { key: 'r1', ingredientId: 'water', amountG: 199, use: 'dough' },
    { key: 'r2', ingredientId: 'salt_fine', amountG: 4.8, use: 'dough' },
    { key: 'r3', ingredientId: 'butter_lam', amountG: 251.6, use: 'rollIn' },
  ],
  mix: [
    {
      key: 'm1',
      act: 'whisk',
      of: [
        { rowKey: 'blend', share: 1 },
        { rowKey: 'r2', share: 1 },
      ],
      tool: 'whisk',
    },
    { key: 'm2', act: 'pour', of: [{ rowKey: 'r1', share: 1 }], tool: 'hand', min: 1, stopAt: 'noDryFlour' },
    { key: 'm3', act: 'knead', of: [], tool: 'hand', stopAt: 'holds' },
  ],
  doughAtC: 17,
  restMin: 5,
  holdBackShare: 0.2,
  chill: { form: 'slab', thicknessMm: 20, wrap: 'film', targetC: 14, waits: [{ placeId: 'fridge', min: 30 }] },
  sheet: {
    parts: [{ key: 'p1', perPiece: 1, thicknessMm: 4, shape: { kind: 'rectangle', widthMm: 20, lengthMm: 180 } }],
    laminate: { lockIn: 'envelope', doughMm: 10, borderMm: 5, folds: [fold(11), fold(15), fold(8)], mark: true },
    trimMm: 6,
    reroll: 'no',
    lots: 1,
    waits: [],
  },
  bake: {
    ovenId: 'oven-a',
    trayId: 'dark-tray',
    traysAtOnce: 1,
    layer: 'paper',
    steps: [
      { name: 'Hot', wantC: 210, min: 8 },
      { name: 'Turned', wantC: 210, min: 7.5, turn: true },
    ],
    done: {},
  },
  keep: { cool: [{ placeId: 'rack', min: 45 }], pack: 'tightTin', piecesPerPack: 12, sellWithinDays: 7 },
};
