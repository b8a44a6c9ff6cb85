import type { Highs } from 'highs';
import type { EdgeRow } from './rows.ts';

/** A linear programme that is solved, given more rows and solved again: minimise cost x, lower <= x <= upper, rows at most. */
export interface LinearModel {
  addRows: (rows: readonly EdgeRow[]) => void;
  /** Values at the optimum, its cost, and what a unit less of every row's limit would add to it; null when nothing satisfies the rows. */
  solve: () => { values: Float64Array; cost: number; price: number } | null;
  close: () => void;
}

/** Opens a programme of so many variables. The core carries no solver: the worker and the server bring theirs. */
export type OpenModel = (cost: Float64Array, lower: Float64Array, upper: Float64Array) => LinearModel;

/**
 * Programmes solved by HiGHS: dual simplex without presolve, so that each solve starts from the basis of the one before and
 * pays only for the rows added since.
 */
export function highsModels(highs: Highs): OpenModel {
  return (cost, lower, upper) => {
    const columns = cost.length;
    const model = highs.createModel({
      numCols: columns,
      numRows: 0,
      colCost: cost,
      colLower: lower,
      colUpper: upper.map((value) => (Number.isFinite(value) ? value : highs.infinity)),
      rowLower: [],
      rowUpper: [],
      matrix: { format: 'csr', numRows: 0, numCols: columns, starts: [0], indices: [], values: [] },
    });
    model.options.set({ output_flag: false, presolve: 'off', solver: 'simplex' });
    return {
      addRows(rows) {
        const starts = new Int32Array(rows.length + 1);
        rows.forEach((row, i) => (starts[i + 1] = starts[i]! + row.cells.length));
        const indices = new Int32Array(starts[rows.length]!);
        const values = new Float64Array(indices.length);
        rows.forEach((row, i) => {
          indices.set(row.cells, starts[i]!);
          values.set(row.weights, starts[i]!);
        });
        model.addRows({
          lower: new Float64Array(rows.length).fill(-highs.infinity),
          upper: Float64Array.from(rows, (row) => row.limitMm),
          matrix: { format: 'csr', numRows: rows.length, numCols: columns, starts, indices, values },
        });
      },
      solve() {
        const { modelStatus } = model.run();
        if (modelStatus !== highs.constants.modelStatus.optimal) return null;
        const { colValue, rowDual } = model.getSolution();
        return {
          values: colValue,
          cost: model.getObjectiveValue(),
          price: rowDual.reduce((sum, dual) => sum + Math.abs(dual), 0),
        };
      },
      close: () => model.dispose(),
    };
  };
}
