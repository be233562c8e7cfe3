import {
  airConductivity,
  componentConductivity,
  componentDensity,
  componentHeatCapacity,
  thermalComponents,
  waterVapourPressure,
} from '../facts/thermal.js';
import { byThermalComponent } from './make-up.js';
import type { Quadratic } from '../facts/thermal.js';
import type { MakeUp } from './make-up.js';

export type ThermalProperties = {
  /** kg/m3 */ readonly density: number;
  /** W/m K */ readonly conductivity: number;
  /** J/kg K */ readonly heatCapacity: number;
};

/**
 * Density, conductivity and heat capacity of a dough from its make-up.
 *
 * Volumes and heat capacities add by mass, conductivities in parallel by volume; pores lower both (Maxwell, gas dispersed).
 *
 * Units    atC in C; `pores` share of the volume 0..1; SI out.
 * Throws   nothing: shares need not sum to 1, they are normalised.
 * Findings none.
 * Source   Choi & Okos 1986 (facts/thermal); Maxwell for pores.
 *
 * @example
 * thermalProperties({ ...nothing, water: 1 }, 20).heatCapacity; // => 4176.6
 */
export function thermalProperties(of: MakeUp, atC: number, pores = 0): ThermalProperties {
  const shares = byThermalComponent(of);
  let volume = 0;
  let heatCapacity = 0;
  let total = 0;
  let conductance = 0;
  for (const name of thermalComponents) {
    const share = shares[name];
    if (share <= 0) continue;
    const ownVolume = share / at(componentDensity.values[name], atC);
    volume += ownVolume;
    conductance += ownVolume * at(componentConductivity.values[name], atC);
    heatCapacity += share * at(componentHeatCapacity.values[name], atC);
    total += share;
  }
  const solid = { density: total / volume, conductivity: conductance / volume, heatCapacity: heatCapacity / total };
  if (pores <= 0) return solid;
  return {
    ...solid,
    density: solid.density * (1 - pores),
    conductivity: withPores(solid.conductivity, airConductivity.value, pores),
  };
}

/** Conductivity of a solid with dispersed gas, Maxwell. W/m K in and out. */
export function withPores(solid: number, gas: number, pores: number): number {
  const difference = solid - gas;
  return (solid * (2 * solid + gas - 2 * pores * difference)) / (2 * solid + gas + pores * difference);
}

/**
 * Pressure of water vapour over pure water.
 *
 * Units    C in, Pa out.
 * Throws   nothing.
 * Findings none.
 * Source   Antoine constants in facts/thermal, from memory.
 *
 * @example
 * vapourPressurePa(100); // => about 101300
 */
export function vapourPressurePa(atC: number): number {
  const { a, b, c } = waterVapourPressure.values;
  return Math.exp(a - b / (atC + 273.15 + c));
}

const at = ([a, b, c]: Quadratic, t: number) => a + b * t + c * t * t;
