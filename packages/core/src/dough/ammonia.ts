import { usual } from '../facts/usual.js';
import { roundTo } from '../units/rounding.js';
import type { Row } from '../document/formula.js';

/** Baking powder in place of ammonium bicarbonate, of which it takes twice as much: common practice, no source. */
export const asPowder = (ammonia: Row): Row => ({
  ...ammonia,
  ingredientId: usual.values.powder,
  amountG: roundTo(ammonia.amountG * 2, 0.1),
});
