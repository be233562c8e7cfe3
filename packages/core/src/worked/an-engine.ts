import * as solver from 'highs';
import { costAt } from '../math/linear-model.js';
import type { LinearAnswer, LinearEngine } from '../math/linear-model.js';

/** The sure solver as it comes, presolve and all: what the tests hold answers against. */
export async function anEngine(): Promise<LinearEngine> {
  // Its types are those of its CommonJS half, where the loader is one level deeper.
  const highs = await (solver.default as unknown as typeof solver.default.default)();
  return ({ columns, rows }) => {
    const entries = rows.flatMap(({ terms }, row) => terms.map(([column, factor]) => ({ row, column, factor })));
    const byRow = rows.map((_, row) => entries.filter((entry) => entry.row === row));
    const starts = byRow.reduce<number[]>((so, list) => [...so, so[so.length - 1]! + list.length], [0]);
    const quadratic = columns.some((column) => column.quadratic !== undefined);
    const data = {
      numCols: columns.length,
      numRows: rows.length,
      colCost: columns.map(({ cost }) => cost),
      colLower: columns.map(({ lo }) => lo),
      colUpper: columns.map(({ hi }) => hi),
      rowLower: rows.map(({ lo }) => lo),
      rowUpper: rows.map(({ hi }) => hi),
      matrix: {
        format: 'csr' as const,
        numRows: rows.length,
        numCols: columns.length,
        starts,
        indices: byRow.flat().map(({ column }) => column),
        values: byRow.flat().map(({ factor }) => factor),
      },
      ...(columns.some(({ integer }) => integer) ? { integrality: columns.map(({ integer }): 0 | 1 => (integer ? 1 : 0)) } : {}),
      ...(quadratic
        ? {
            hessian: {
              format: 'triangular' as const,
              dimension: columns.length,
              starts: [...columns.map((_, i) => i), columns.length],
              indices: columns.map((_, i) => i),
              values: columns.map((column) => column.quadratic ?? 0),
            },
          }
        : {}),
    };
    return highs.withModel(data, (one): LinearAnswer => {
      one.options.set({ output_flag: false, mip_rel_gap: 0 });
      try {
        one.run();
      } catch {
        // Its quadratic solver gives up on some degenerate models instead of answering.
        return { status: 'timeLimit' };
      }
      if (one.getModelStatus() !== highs.constants.modelStatus.optimal) return { status: 'infeasible' };
      const values = [...one.getSolution().colValue];
      return { status: 'optimal', cost: costAt({ columns, rows }, values), values };
    });
  };
}
