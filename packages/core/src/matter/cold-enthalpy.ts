import { latentHeatOfIce } from '../facts/thermal.js';
import { freezing } from './freezing.js';
import { thermalProperties } from './thermal.js';
import type { MakeUp } from './make-up.js';

/** Heat content and conductivity of a dough from -45 to 45 C, ice included; half-kelvin table. */
export type ColdTable = {
  /** kg/m3, held constant. */ readonly density: number;
  /** J/kg above the table's cold end. */ readonly enthalpyAt: (atC: number) => number;
  /** J/kg K, ice's latent heat in it. */ readonly heatCapacityAt: (atC: number) => number;
  /** W/m K */ readonly conductivityAt: (atC: number) => number;
};

const FROM_C = -45;
const STEP_C = 0.5;
const KNOTS = 181;

/**
 * Tabulates heat content of a dough through freezing, so that a cooling step conserves the ice's latent heat.
 *
 * Units    make-up as shares of the dough; SI inside the table.
 * Throws   nothing.
 * Findings none.
 * Source   thermalProperties and freezing.
 */
export function coldTable(of: MakeUp): ColdTable {
  const { iceShareAt } = freezing(of);
  const enthalpy = new Float64Array(KNOTS);
  const conductivity = new Float64Array(KNOTS);
  const at = (knot: number) => {
    const atC = FROM_C + knot * STEP_C;
    const ice = iceShareAt(atC);
    return { atC, ice, ...thermalProperties({ ...of, water: of.water - ice, ice }, atC) };
  };
  let before = at(0);
  conductivity[0] = before.conductivity;
  for (let i = 1; i < KNOTS; i++) {
    const now = at(i);
    const melted = (before.ice - now.ice) * (latentHeatOfIce.value + 2100 * Math.min(0, now.atC));
    enthalpy[i] = enthalpy[i - 1]! + 0.5 * (now.heatCapacity + before.heatCapacity) * STEP_C + melted;
    conductivity[i] = now.conductivity;
    before = now;
  }
  const knot = (atC: number) => Math.max(0, Math.min(KNOTS - 2, Math.floor((atC - FROM_C) / STEP_C)));
  const slope = (i: number) => (enthalpy[i + 1]! - enthalpy[i]!) / STEP_C;
  const past = (atC: number, i: number) => atC - (FROM_C + i * STEP_C);
  return {
    density: thermalProperties(of, 10).density,
    heatCapacityAt: (atC) => slope(knot(atC)),
    enthalpyAt: (atC) => {
      const i = knot(atC);
      return enthalpy[i]! + slope(i) * past(atC, i);
    },
    conductivityAt: (atC) => {
      const i = knot(atC);
      return conductivity[i]! + (conductivity[i + 1]! - conductivity[i]!) * (past(atC, i) / STEP_C);
    },
  };
}

/** A material of constant properties, for checks against analytic series. */
export function constantMaterial(density: number, heatCapacity: number, conductivity: number): ColdTable {
  return {
    density,
    heatCapacityAt: () => heatCapacity,
    enthalpyAt: (atC) => heatCapacity * atC,
    conductivityAt: () => conductivity,
  };
}
