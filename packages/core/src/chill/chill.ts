import { within } from '../errors.js';
import { benchHorizonMin } from '../facts/cold.js';
import { firstReach } from '../math/interpolate.js';
import { coldTable } from '../matter/cold-enthalpy.js';
import { chillFindings } from './chill-findings.js';
import { conduct } from './conduction.js';
import { exposureAt, exposuresOf, tableOf } from './exposure.js';
import type { Formula } from '../document/formula.js';
import type { Kitchen } from '../document/kitchen.js';
import type { DoughResult } from '../dough/dough.js';
import type { Family } from '../facts/families.js';
import type { Finding } from '../findings/finding.js';
import type { ConductionForm, Cooling } from './conduction.js';
import type { Case } from '../document/case.js';
import type { ChillResult, DoughCooling } from './chill-result.js';

export type { ChillResult, DoughCooling } from './chill-result.js';

/**
 * Stage 3: dough and cold become temperature and workable minutes.
 *
 * The dough rests at the table for `restMin`, goes through its waits, and comes out on the table again.
 *
 * Units    min, C, mm; solid fat in percent of the fat.
 * Throws   InputError at chill.thicknessMm out of 2..120, chill.targetC out of -25..50, chill.waits[i].
 * Findings chill.tooWarm, chill.tooHard, chill.placeTooWarm, chill.shortBench, chill.tooLong, chill.eggTooLong and chill.eggTooWarm (unsafe).
 * Source   conduct; ready is the family's roll window (facts/families).
 */
export function chillStage(theCase: Case, dough: DoughResult): { result: ChillResult; findings: Finding[] } {
  const { formula, family, kitchen } = theCase;
  const { chill } = formula;
  within('chill.thicknessMm', chill.thicknessMm, 2, 120, 'mm');
  within('chill.targetC', chill.targetC, -25, 50, 'C');
  const cooling = coolDough(formula, kitchen, dough, 0);
  const result = readOff(cooling, formula, family);
  return {
    result,
    findings: chillFindings(theCase, dough, result, (extraMin) => coolDough(formula, kitchen, dough, extraMin)),
  };
}

/** How the shape that lies in the cold conducts: a disc or a tray of pieces as the slab it is through its thickness. */
export const conductionForm = (form: Formula['chill']['form']): ConductionForm =>
  form === 'ball' ? 'sphere' : form === 'log' ? 'cylinder' : 'slab';

/** The whole course, with the last wait made longer by `extraMin`. */
export function coolDough(formula: Formula, kitchen: Kitchen, dough: DoughResult, extraMin: number): DoughCooling {
  const { chill, restMin } = formula;
  const table = tableOf(kitchen);
  const waits = chill.waits.map((wait, i) => (i === chill.waits.length - 1 ? { ...wait, min: wait.min + extraMin } : wait));
  const cold = exposuresOf('chill.waits', waits, chill.wrap, kitchen);
  const waitMin = waits.reduce((sum, { min }) => sum + min, 0);
  const cooling = conduct({
    form: conductionForm(chill.form),
    sizeMm: chill.thicknessMm,
    material: coldTable(dough.makeUp),
    startC: dough.doughAtC,
    exposures: [exposureAt(table, restMin, chill.wrap), ...cold, exposureAt(table, benchHorizonMin.value, 'none')],
    ...(dough.solidFat === null ? {} : { fat: { name: dough.solidFat, shareOfDough: dough.makeUp.fat, melted: dough.fatPieces === 0 } }),
  });
  return { ...cooling, startMin: restMin, outMin: restMin + waitMin };
}

function readOff(cooling: DoughCooling, formula: Formula, family: Family): ChillResult {
  const { min, middleC, rimC, startMin, outMin } = cooling;
  const [rollLowC, , rollHighC] = family.rollC;
  const out = min.findIndex((at) => at >= outMin - 1e-6);
  const start = Math.max(
    0,
    min.findIndex((at) => at >= startMin - 1e-6),
  );
  const reach = firstReach(min.slice(start, out + 1), middleC.slice(start, out + 1), formula.chill.targetC, 'falling');
  const bench = benchWindow(cooling, out, rollLowC, rollHighC);
  return {
    waitMin: outMin - startMin,
    toTargetMin: Number.isFinite(reach) ? reach - startMin : null,
    endMiddleC: middleC[out]!,
    endRimC: rimC[out]!,
    endSolidFatPercent: cooling.solidFatPercent[out]!,
    ...bench,
    rollLowC,
    rollHighC,
    curve: thinned(cooling, 240),
    outMin,
  };
}

/** Time on the table with middle and rim both inside the roll window, from the curves' own crossings. */
export function benchWindow({ min, middleC, rimC, outMin }: DoughCooling, out: number, low: number, high: number) {
  const at = min.slice(out);
  const coldest = at.map((_, i) => Math.min(middleC[out + i]!, rimC[out + i]!));
  const warmest = at.map((_, i) => Math.max(middleC[out + i]!, rimC[out + i]!));
  const from = firstReach(at, coldest, low, 'rising');
  const until = firstReach(at, warmest, high, 'rising');
  const openEnded = !Number.isFinite(until);
  const end = openEnded ? outMin + benchHorizonMin.value : until;
  return {
    benchMin: Number.isFinite(from) ? Math.max(0, end - from) : 0,
    benchFromMin: Number.isFinite(from) ? from - outMin : benchHorizonMin.value,
    benchOpenEnded: openEnded,
  };
}

/** At most `most` points, evenly picked: a picture needs no more. */
function thinned({ min, middleC, rimC }: Cooling, most: number): ChillResult['curve'] {
  const every = Math.max(1, Math.ceil(min.length / most));
  const keep = (_: number, i: number) => i % every === 0 || i === min.length - 1;
  return { min: min.filter(keep), middleC: middleC.filter(keep), rimC: rimC.filter(keep) };
}
