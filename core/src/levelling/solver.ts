import type { Highs } from 'highs';
import type { EdgeRow } from './rows.ts';

/**
 * A linear programme that is solved, given more rows and solved again: minimise cost x, lower <= x <= upper, rows at most. Rows
 * that have long held nothing may be let go of, but for those that stay.
 */
export interface LinearModel {
  addRows: (rows: readonly EdgeRow[]) => void;
  /** Values at the optimum, its cost, and what a unit less of every row's limit would add to it; null when nothing satisfies the rows. */
  solve: () => { values: Float64Array; cost: number; price: number } | null;
  close: () => void;
}

/** Opens a programme of so many variables. The core carries no solver: the worker and the server bring theirs. */
export type OpenModel = (cost: Float64Array, lower: Float64Array, upper: Float64Array) => LinearModel;

/** A row with more room than this holds nothing, mm. */
const SLACK_MM = 0.3;
/** Rows that held nothing in so many solutions running are let go of: each that is carried along slows every step. */
const SLACK_SOLVES = 2;
/** Fewer are not worth the renumbering. */
const LET_GO_LEAST = 50;

/**
 * Programmes solved by HiGHS: dual simplex without presolve, so that each solve starts from the basis of the one before and
 * pays only for the rows added since. Rows let go of were basic, so that the basis stays one.
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
    let held: { limitMm: number; stays: boolean; slackFor: number }[] = [];
    const letGo = (values: Float64Array, duals: Float64Array) => {
      held.forEach((row, i) => {
        const slack = !row.stays && duals[i] === 0 && row.limitMm - values[i]! > SLACK_MM;
        row.slackFor = slack ? row.slackFor + 1 : 0;
      });
      const gone = [...held.keys()].filter((i) => held[i]!.slackFor >= SLACK_SOLVES);
      if (gone.length < LET_GO_LEAST) return;
      model.deleteRows({ kind: 'set', indices: gone });
      held = held.filter((row) => row.slackFor < SLACK_SOLVES);
    };
    return {
      addRows(rows) {
        held.push(...rows.map(({ limitMm, stays = false }) => ({ limitMm, stays, slackFor: 0 })));
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
        const { colValue, rowValue, rowDual } = model.getSolution();
        const solved = {
          values: colValue,
          cost: model.getObjectiveValue(),
          price: rowDual.reduce((sum, dual) => sum + Math.abs(dual), 0),
        };
        letGo(rowValue, rowDual);
        return solved;
      },
      close: () => model.dispose(),
    };
  };
}
