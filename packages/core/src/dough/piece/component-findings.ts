import { finding } from '../../findings/judge.js';
import { isOfDough, type Formula } from '../../document/formula.js';
import { componentCooling } from '../../facts/filling.js';
import { goesOnOf, isInOven } from './goes-on.js';
import type { Finding } from '../../findings/finding.js';
import type { Component } from '../../document/preparation.js';

/** What is wrong with the way that things for a dough are made. */
export const componentFindings = (formula: Formula): Finding[] =>
  (formula.components ?? []).flatMap((component, i) => hotFindings(formula, component, i));

/** What comes from the stove melts the fat of a raw dough, unless it has stood. */
function hotFindings(formula: Formula, { key, name, acts }: Component, i: number): Finding[] {
  const row = formula.rows.find(({ component, amountG }) => component === key && amountG > 0);
  const heated = acts.findLastIndex(({ act }) => act === 'boil' || act === 'warm');
  if (!row || heated < 0 || !meetsRawDough(row, formula)) return [];
  const { cooledFromMin, standMin } = componentCooling.values;
  const stoodMin = acts.slice(heated + 1).reduce((sum, { act, min }) => sum + (act === 'stand' || act === 'drain' ? (min ?? 0) : 0), 0);
  if (stoodMin >= cooledFromMin) return [];
  const at = acts.length;
  return [
    finding('dough.goesInHot', 'watch', 'dough', { path: `components[${i}].acts`, value: stoodMin, low: cooledFromMin, of: name }, [
      { path: `/components/${i}/acts/${at}`, to: { key: `cool${at}`, act: 'stand', min: standMin } },
    ]),
  ];
}

/** Into the dough, or on it before the oven has set it. */
function meetsRawDough(row: Formula['rows'][number], { bake }: Formula): boolean {
  if (isOfDough(row)) return true;
  const goesOn = goesOnOf(row);
  // Poured in at a later step of the bake it meets a shell that is set.
  return isInOven(row) && !(goesOn?.at === 'bakeStep' && goesOn.n > 0 && goesOn.n < bake.steps.length);
}
