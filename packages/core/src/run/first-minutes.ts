export type FirstMinutes = {
  /** Minutes of hands, to the last step. */ readonly handsMin: number;
  /** From the first weighing until the last of it is out of the oven, waits with it; cooling comes after. */ readonly outMin: number;
  readonly pieces: number;
};

// Made by `npm run middles`; outlook.test holds it against the core.
/**
 * What every family's first formula asks of hands and of the clock in the reference kitchen (see solve/reference).
 *
 * Units    min; pieces. Minutes of hands are judgement (facts/run).
 */
export const firstMinutes: Readonly<Record<string, FirstMinutes>> = {
  pie_flaky: { handsMin: 47, outMin: 167, pieces: 2 },
  short_savoury: { handsMin: 41, outMin: 120, pieces: 1 },
  short_sweet: { handsMin: 48, outMin: 166, pieces: 2 },
  press_in_oil: { handsMin: 25, outMin: 57, pieces: 1 },
  galette: { handsMin: 41, outMin: 134, pieces: 1 },
  puff: { handsMin: 80, outMin: 333, pieces: 45 },
  croissant: { handsMin: 78, outMin: 389, pieces: 12 },
  cookie_scooped: { handsMin: 33, outMin: 129, pieces: 24 },
  cookie_rolled: { handsMin: 44, outMin: 142, pieces: 28 },
  shortbread: { handsMin: 40, outMin: 124, pieces: 21 },
  cookie_filled: { handsMin: 44, outMin: 154, pieces: 12 },
  cookie_sandwich: { handsMin: 41, outMin: 126, pieces: 30 },
  nut_tart: { handsMin: 60, outMin: 188, pieces: 1 },
  cracker_sweet: { handsMin: 50, outMin: 160, pieces: 136 },
  cracker_nut: { handsMin: 43, outMin: 117, pieces: 76 },
  cracker_savoury: { handsMin: 50, outMin: 146, pieces: 134 },
  starch_meltaway: { handsMin: 35, outMin: 61, pieces: 68 },
  biscuit_rubbed: { handsMin: 40, outMin: 100, pieces: 7 },
  biscuit_drop: { handsMin: 27, outMin: 56, pieces: 11 },
  tartlet: { handsMin: 51, outMin: 130, pieces: 17 },
  crumb_crust: { handsMin: 24, outMin: 65, pieces: 1 },
  muffin: { handsMin: 30, outMin: 117, pieces: 13 },
  cookie_nut_butter: { handsMin: 40, outMin: 154, pieces: 29 },
  cookie_soft_fruit: { handsMin: 33, outMin: 124, pieces: 29 },
  sheet_shortcake: { handsMin: 29, outMin: 52, pieces: 11 },
  twice_baked: { handsMin: 35, outMin: 115, pieces: 2 },
  bar_traybake: { handsMin: 28, outMin: 73, pieces: 1 },
  wafer_spread: { handsMin: 99, outMin: 316, pieces: 127 },
  gingerbread: { handsMin: 44, outMin: 98, pieces: 22 },
  oatcake_crispbread: { handsMin: 39, outMin: 148, pieces: 40 },
  hot_water_crust: { handsMin: 47, outMin: 114, pieces: 12 },
  cookie_piped: { handsMin: 35, outMin: 58, pieces: 54 },
  choux: { handsMin: 51, outMin: 142, pieces: 94 },
};
