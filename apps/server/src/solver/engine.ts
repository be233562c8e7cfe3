import { costAt, fits, type LinearAnswer, type LinearEngine, type LinearModel } from '@north-leaf/core';
import type { Highs, ModelData } from 'highs';
import { solve as solveFast } from 'yalps';

/** The engines in one process do not share a clock: the fast one gets this long, the sure one this long. */
const FAST_MS = 300;
const SURE_S = 10;

/**
 * An engine of the sure solver alone: every answer is its own.
 *
 * Presolve and restarts are off: on models this small they cost more than they save.
 */
export function sureEngine(highs: Highs, timeLimitS = SURE_S): LinearEngine {
  return (model) =>
    highs.withModel(dataOf(model), (solver): LinearAnswer => {
      solver.options.set({
        output_flag: false,
        presolve: 'off',
        mip_allow_restart: false,
        time_limit: timeLimitS,
        mip_rel_gap: 0,
        mip_abs_gap: 1e-9,
      });
      try {
        solver.run();
      } catch {
        // Its quadratic solver gives up on some degenerate models instead of answering; what was found before it stands.
        return { status: 'timeLimit' };
      }
      const status = solver.getModelStatus();
      const { optimal, infeasible, unboundedOrInfeasible } = highs.constants.modelStatus;
      if (status === infeasible || status === unboundedOrInfeasible) return { status: 'infeasible' };
      const values = [...solver.getSolution().colValue];
      if (status === optimal) return { status: 'optimal', cost: costAt(model, values), values };
      return Number.isFinite(solver.getObjectiveValue()) && fits(model, values) ? { status: 'timeLimit', values } : { status: 'timeLimit' };
    });
}

/**
 * The fast solver first, for whole-number models; its answer counts only where it says optimal and our own check finds it fits.
 * Its "infeasible" is never believed.
 */
export function fastThenSureEngine(highs: Highs): LinearEngine {
  const sure = sureEngine(highs);
  return (model) => (model.columns.some(({ integer }) => integer) ? (fastAnswer(model) ?? sure(model)) : sure(model));
}

function fastAnswer(model: LinearModel): LinearAnswer | null {
  if (model.columns.some(({ quadratic, lo }) => quadratic !== undefined || lo < 0)) return null;
  const constraints = new Map<string, { min?: number; max?: number }>();
  const variables = model.columns.map(() => new Map<string, number>());
  model.rows.forEach(({ lo, hi, terms }, i) => {
    constraints.set(`r${i}`, { ...(Number.isFinite(lo) ? { min: lo } : {}), ...(Number.isFinite(hi) ? { max: hi } : {}) });
    for (const [column, factor] of terms) variables[column]!.set(`r${i}`, (variables[column]!.get(`r${i}`) ?? 0) + factor);
  });
  model.columns.forEach(({ cost, lo, hi, integer }, i) => {
    variables[i]!.set('cost', cost);
    if (lo <= 0 && (integer || !Number.isFinite(hi))) return;
    variables[i]!.set(`b${i}`, 1);
    constraints.set(`b${i}`, { ...(lo > 0 ? { min: lo } : {}), ...(Number.isFinite(hi) ? { max: hi } : {}) });
  });
  const found = solveFast(
    {
      direction: 'minimize',
      objective: 'cost',
      constraints,
      variables: variables.map((terms, i) => [i, terms] as const),
      binaries: new Set(model.columns.flatMap(({ integer }, i) => (integer ? [i] : []))),
    },
    { timeout: FAST_MS, precision: 1e-9 },
  );
  if (found.status !== 'optimal') return null;
  const values = model.columns.map(() => 0);
  for (const [i, value] of found.variables) values[i] = value;
  return fits(model, values) ? { status: 'optimal', cost: costAt(model, values), values } : null;
}

/** The model by columns, as the sure solver reads it. */
function dataOf({ columns, rows }: LinearModel): ModelData {
  const byColumn: [number, number][][] = columns.map(() => []);
  rows.forEach(({ terms }, row) => {
    for (const [column, factor] of terms) {
      const held = byColumn[column]!.find(([at]) => at === row);
      if (held) held[1] += factor;
      else byColumn[column]!.push([row, factor]);
    }
  });
  const starts = [0];
  for (const entries of byColumn) starts.push(starts[starts.length - 1]! + entries.length);
  const flat = byColumn.flat();
  const quadratic = columns.some(({ quadratic: q }) => q !== undefined);
  return {
    numCols: columns.length,
    numRows: rows.length,
    colCost: columns.map(({ cost }) => cost),
    colLower: columns.map(({ lo }) => lo),
    colUpper: columns.map(({ hi }) => hi),
    rowLower: rows.map(({ lo }) => lo),
    rowUpper: rows.map(({ hi }) => hi),
    matrix: {
      format: 'csc' as const,
      numRows: rows.length,
      numCols: columns.length,
      starts,
      indices: flat.map(([row]) => row),
      values: flat.map(([, factor]) => factor),
    },
    ...(columns.some(({ integer }) => integer) ? { integrality: columns.map(({ integer }): 0 | 1 => (integer ? 1 : 0)) } : {}),
    ...(quadratic
      ? {
          hessian: {
            format: 'triangular' as const,
            dimension: columns.length,
            starts: columns.map((_, i) => i).concat(columns.length),
            indices: columns.map((_, i) => i),
            values: columns.map(({ quadratic: q }) => q ?? 0),
          },
        }
      : {}),
  };
}
