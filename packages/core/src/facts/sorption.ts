import { fact, table } from './fact.js';

export type Gab = { readonly m0: number; readonly c: number; readonly k: number };
export const polymers = ['starch', 'protein', 'fibre', 'gum'] as const;
export type Polymer = (typeof polymers)[number];

export const gabIsotherm = table<Record<Polymer, Gab>>(
  {
    starch: { m0: 0.088, c: 20, k: 0.73 },
    protein: { m0: 0.068, c: 12, k: 0.8 },
    fibre: { m0: 0.085, c: 10, k: 0.87 },
    gum: { m0: 0.11, c: 9, k: 0.93 },
  },
  'kg water per kg dry',
  'fromMemory',
  'GAB at 25 C, typical of published fits: maize and rice starch, food proteins; fibre and gum are judgement between bran and hydrocolloids. Summed at one water activity (Salwin & Slawson 1959)',
);

export const norrishSucrose = table(
  { k: -6.47, kgPerMol: 0.3423 },
  'Norrish constant, kg/mol',
  'fromMemory',
  'Norrish 1966; constant as collected by Chirife & Favetto 1992',
);
export const sucroseGlass = table(
  { m0: 0.045, c: 3, k: 1.08, belowAw: 0.84 },
  'kg water per kg dry; water activity',
  'fromMemory',
  'amorphous sucrose at 25 C: about 1.5, 3, 4.5 and 8 g in 100 g at 0.11, 0.23, 0.33 and 0.53; order of Makower & Dye 1956; meets Norrish at 0.84',
);
export const saltIons = table(
  { ions: 2, kgPerMol: 0.05844, osmotic: 1 },
  'ions, kg/mol, -',
  'judgement',
  'osmotic coefficient set to 1 (0.92 to 1.2 up to saturation)',
);
export const sucroseSolubility = fact(2, 'kg per kg water', 'fromMemory', 'sucrose near 20 C');
export const sorptionHeat = table(
  { jPerMol: 11000, decayPerNonFat: 0.085 },
  'J/mol, kg water per kg non-fat solids',
  'fromMemory',
  'net isosteric heat of starch, magnitude of published data, decaying with water',
);
export const bakedPolymerShare = fact(
  0.75,
  'share of the polymers water',
  'judgement',
  'polymers take up less after gelatinising and drying; brings 3 to 7 % moist crackers to the water activities published for saltine types',
);

export type Glass = { readonly tgC: number; readonly dCp: number };
export const glassComponents = table<Record<'water' | 'sugar' | Polymer, Glass>>(
  {
    water: { tgC: -135, dCp: 1.94 },
    sugar: { tgC: 65, dCp: 0.6 },
    starch: { tgC: 243, dCp: 0.43 },
    protein: { tgC: 160, dCp: 0.4 },
    fibre: { tgC: 220, dCp: 0.35 },
    gum: { tgC: 200, dCp: 0.4 },
  },
  'C, kJ/kg K',
  'fromMemory',
  'Couchman & Karasz 1978 rule; sucrose Roos & Karel 1991, starch Jouppila & Roos 1997, water Sugisaki 1968 as cited by Orford 1989; protein, fibre and gum typical of dry data',
);
/** Pure fat has no isotherm to speak of: a breath of steam would take it from dry to wet and back, and stop the oven's clock. */
export const leastHeld = fact(
  0.02,
  'kg per kg dry at water activity 1',
  'judgement',
  'water that oil dissolves and holds in droplets; less than any flour, nut or sugar holds',
);
