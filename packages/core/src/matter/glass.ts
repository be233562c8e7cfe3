import { glassComponents, polymers } from '../facts/sorption.js';
import type { Solids } from './sorption.js';

/**
 * Glass transition of a mixture of solids and water.
 *
 * Units    solids and water on one basis; C out. Use it to rank sugar-rich goods, not lean crackers: starch dominates it.
 * Throws   nothing.
 * Findings none.
 * Source   Couchman & Karasz 1978, generalised to n components (facts/sorption).
 */
export function glassTransitionC(by: Solids, water: number): number {
  const values = glassComponents.values;
  let weighted = 0;
  let weight = 0;
  const add = (name: keyof typeof values, amount: number) => {
    weighted += amount * values[name].dCp * (values[name].tgC + 273.15);
    weight += amount * values[name].dCp;
  };
  add('water', water);
  add('sugar', by.sugar);
  for (const name of polymers) add(name, by[name]);
  return weighted / weight - 273.15;
}
