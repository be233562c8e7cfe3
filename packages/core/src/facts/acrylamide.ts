import { fact, table } from './fact.js';
import type { IngredientKind } from '../document/pantry.js';

/**
 * EU benchmark levels: no limits, but what a maker who takes the measures of the trade stays under, and has to look into when over it.
 * The rules of Commission Regulation (EU) 2017/2158, Annex IV, as we remember them in November 2026; they are revised from time to time.
 */
export const acrylamideBenchmarks = table(
  { biscuit: 350, cracker: 400, crispbread: 350, gingerbread: 800, alike: 300 },
  'ug/kg',
  'fromMemory',
  'Commission Regulation (EU) 2017/2158, Annex IV: biscuits and wafers, crackers, crisp bread, gingerbread, products like these',
);
export type AcrylamideClass = keyof typeof acrylamideBenchmarks.values;
export const acrylamideWords: Readonly<Record<AcrylamideClass, string>> = {
  biscuit: 'biscuits and wafers',
  cracker: 'crackers',
  crispbread: 'crispbread',
  gingerbread: 'gingerbread',
  alike: 'goods like biscuits',
};

/** What acrylamide is made of, with a reducing sugar, in the last dry and hot minutes. */
export const asparagineOfKind = table<Partial<Record<IngredientKind, number>>>(
  {
    starch: 5, flour_starchy: 40, flour_grain: 150, flour_pseudo: 450, flour_legume: 800, flour_nut: 800, flour_tuber: 2500, blend: 90,
    fibre: 200, binder_seed: 300, inclusion: 500, filling: 100, syrup: 30, flavour: 400, dairy: 10, egg: 5,
  },
  'mg free asparagine per kg',
  'fromMemory',
  'orders of magnitude: rice and maize 50 to 150, buckwheat and other seeds 400, almonds and pulses about 1000, potato flakes thousands',
); // prettier-ignore

export const acrylamideLaw = table(
  {
    ugPerKg: 220,
    asparagineMgPerKg: 150,
    asparaginePower: 0.6,
    browning: 0.2,
    browningPower: 1.5,
    halfAtMoisture: 0.05,
    moisturePower: 1.5,
    perReducing: 8,
    perAmmonia: 2.5,
    enzymeShare: 0.35,
    sdLog: 0.7,
  },
  'ug/kg at the point that follows it; mg/kg; power; browning index; power; share of moisture; power; per share of dry matter; per percent of blend; share; log',
  'judgement',
  'set so that sucrose biscuits of golden colour and 3 % water come to 100 to 300 ug/kg, as surveys find (from memory); nuts are rich in asparagine and poor in sugar that reduces, so it grows slower than asparagine; it rises with colour and falls with water (published, from memory); ammonium bicarbonate at 1 % of flour multiplies it three to five times (published, from memory); asparaginase takes half to nine tenths (published, from memory). Good to a factor of two or three',
);
/** One standard deviation of the index lies a factor of two off; the range shown holds eight in ten. */
export const acrylamideRange = fact(1.28, 'standard deviations', 'judgement', 'P10 to P90 of a log-normal spread');

/** What a maker can do against it, to be kept with a version. */
export const acrylamideMeasures = {
  noAmmonia: 'No ammonium bicarbonate: soda or powder in its place',
  sucrose: 'Sugar in place of honey or syrup',
  poorFlour: 'Flours and starches poor in asparagine',
  cooler: 'Baked cooler and longer',
  pale: 'Taken out at the palest gold that is done',
  enzyme: 'Asparaginase in the dough',
  tested: 'Measured by a laboratory',
} as const;
export type AcrylamideMeasure = keyof typeof acrylamideMeasures;
export const acrylamideMeasureIds = Object.keys(acrylamideMeasures) as readonly AcrylamideMeasure[];
