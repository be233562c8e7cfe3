import { fact, table } from './fact.js';

/** Names of the components that thermal properties are summed over. Starch and sugars together are `carbohydrate`; gum counts as fibre, salt as ash. */
export const thermalComponents = ['water', 'protein', 'fat', 'carbohydrate', 'fibre', 'ash', 'ice'] as const;
export type ThermalComponent = (typeof thermalComponents)[number];
/** a + b T + c T^2, T in C. */
export type Quadratic = readonly [number, number, number];

const choiOkos =
  'Choi & Okos 1986, as tabulated in the ASHRAE Handbook Refrigeration, thermal properties of foods; from memory; valid -40..150 C';

export const componentDensity = table<Record<ThermalComponent, Quadratic>>(
  {
    water: [997.18, 0.0031439, -0.0037574],
    protein: [1329.9, -0.5184, 0],
    fat: [925.59, -0.41757, 0],
    carbohydrate: [1599.1, -0.31046, 0],
    fibre: [1311.5, -0.36589, 0],
    ash: [2423.8, -0.28063, 0],
    ice: [916.89, -0.13071, 0],
  },
  'kg/m3',
  'fromMemory',
  choiOkos,
);

export const componentConductivity = table<Record<ThermalComponent, Quadratic>>(
  {
    water: [0.57109, 0.0017625, -6.7036e-6],
    protein: [0.17881, 0.0011958, -2.7178e-6],
    fat: [0.18071, -0.00027604, -1.7749e-7],
    carbohydrate: [0.20141, 0.0013874, -4.3312e-6],
    fibre: [0.18331, 0.0012497, -3.1683e-6],
    ash: [0.32962, 0.0014011, -2.9069e-6],
    ice: [2.2196, -0.0062489, 0.00010154],
  },
  'W/m K',
  'fromMemory',
  choiOkos,
);

export const componentHeatCapacity = table<Record<ThermalComponent, Quadratic>>(
  {
    water: [4176.2, -0.090864, 0.0054731],
    protein: [2008.2, 1.2089, -0.0013129],
    fat: [1984.2, 1.4733, -0.0048008],
    carbohydrate: [1548.8, 1.9625, -0.0059399],
    fibre: [1845.9, 1.8306, -0.0046509],
    ash: [1092.6, 1.8896, -0.0036817],
    ice: [2062.3, 6.0769, 0],
  },
  'J/kg K',
  'fromMemory',
  `${choiOkos}; water uses 4176.2: the 4128.9 printed in some tables is about 1 % low at 20 C`,
);

export const latentHeatOfIce = fact(333600, 'J/kg', 'fromMemory', 'steam tables');
export const latentHeatOfSteam = fact(2501000, 'J/kg at 0 C', 'fromMemory', 'linear fit to steam tables, 0..150 C');
export const latentHeatOfSteamSlope = fact(-2361, 'J/kg K', 'fromMemory', 'linear fit to steam tables, 0..150 C');
export const waterVapourPressure = table(
  { a: 23.1964, b: 3816.44, c: -46.13 },
  'ln Pa, K',
  'fromMemory',
  'Antoine constants of water: within 0.3 % at 100 C, within 1.2 % from 10 to 170 C',
);
export const sorbedWaterHeatCapacity = fact(4200, 'J/kg K', 'judgement', 'liquid water, held constant in the bake model');
export const vapourConductivity = fact(0.03, 'W/m K', 'fromMemory', 'moist air near 100 C');
export const airConductivity = fact(0.025, 'W/m K', 'fromMemory', 'air near 20 C');
