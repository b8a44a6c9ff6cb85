import type { Highs } from 'highs';
import type { SolveMixed } from './least-steps.ts';

/** Two choices whose costs differ by less than this share are as good: money is no finer. */
const GAP_SHARE = 1e-6;

/** Mixed-integer programmes solved by HiGHS, to the proved least unless it runs out of time; then with the bound it had. */
export function highsMixed(highs: Highs, secondsMost = 30): SolveMixed {
  return ({ cost, lower, upper, whole, rows }) => {
    const finite = (value: number) => (Number.isFinite(value) ? value : Math.sign(value) * highs.infinity);
    const starts = [0];
    for (const { columns } of rows) starts.push(starts.at(-1)! + columns.length);
    const { integer, continuous } = highs.constants.variableType;
    const model = highs.createModel({
      numCols: cost.length,
      numRows: rows.length,
      colCost: cost,
      colLower: lower.map(finite),
      colUpper: upper.map(finite),
      rowLower: rows.map((row) => finite(row.lower)),
      rowUpper: rows.map((row) => finite(row.upper)),
      matrix: {
        format: 'csr',
        numRows: rows.length,
        numCols: cost.length,
        starts,
        indices: rows.flatMap(({ columns }) => columns),
        values: rows.flatMap(({ weights }) => weights),
      },
      integrality: whole.map((is) => (is ? integer : continuous)),
    });
    try {
      model.options.set({ output_flag: false, mip_rel_gap: GAP_SHARE, time_limit: secondsMost });
      const { modelStatus } = model.run();
      const { optimal, timeLimit } = highs.constants.modelStatus;
      if (modelStatus !== optimal && modelStatus !== timeLimit) return null;
      const { colValue } = model.getSolution();
      const found = model.getObjectiveValue();
      if (colValue.length !== cost.length || !Number.isFinite(found)) return null;
      const bound = Number(model.raw.getInfoValue('mip_dual_bound').value ?? found);
      return { values: colValue, cost: found, bound: modelStatus === optimal ? found : bound };
    } finally {
      model.dispose();
    }
  };
}
