import type { ThermalComponent } from '../facts/thermal.js';

/**
 * What a dough is made of, as shares of its mass (sum 1, or of its dry matter where a name says so).
 * The heat and moisture models know nothing finer: all sugars behave as sucrose, all solids left over as starch.
 */
export type MakeUp = {
  readonly water: number;
  readonly fat: number;
  readonly starch: number;
  readonly protein: number;
  readonly sugar: number;
  readonly fibre: number;
  readonly gum: number;
  readonly salt: number;
  readonly ash: number;
  readonly ice?: number;
};

/** Shares by the components that thermal properties are tabulated for. */
export function byThermalComponent(of: MakeUp): Record<ThermalComponent, number> {
  return {
    water: of.water,
    protein: of.protein,
    fat: of.fat,
    carbohydrate: of.starch + of.sugar,
    fibre: of.fibre + of.gum,
    ash: of.ash + of.salt,
    ice: of.ice ?? 0,
  };
}

/** The same make-up per kg of dry matter (fat is dry matter); `water` becomes kg water per kg dry. */
export function perDry(of: MakeUp): MakeUp {
  const dry = 1 - of.water;
  return {
    water: of.water / dry,
    fat: of.fat / dry,
    starch: of.starch / dry,
    protein: of.protein / dry,
    sugar: of.sugar / dry,
    fibre: of.fibre / dry,
    gum: of.gum / dry,
    salt: of.salt / dry,
    ash: of.ash / dry,
  };
}
