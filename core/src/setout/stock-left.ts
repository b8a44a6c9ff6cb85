/** Planks against rows still to lay. */
export interface StockLeft {
  bought: number;
  damaged: number;
  /** In rows that lie. */
  used: number;
  left: number;
  /** Still asked for, by the cut list. */
  needed: number;
  rowsLeft: number;
  /** Rows that what is left is enough for, in the order of laying. */
  rowsCovered: number;
}

/** Fewer planks say nothing of how many go wrong. */
const SAID_FROM = 20;

/**
 * The spare planks that what was laid so far asks for, percent: planks set aside against those that lie, rounded up to the whole. Null while too few lie to say.
 */
export const spareSeen = ({ used, damaged }: Pick<StockLeft, 'used' | 'damaged'>): number | null =>
  used < SAID_FROM ? null : Math.max(0, Math.ceil((100 * damaged) / used - 1e-9));

/**
 * How far the planks at hand go. `rows` gives the planks of each row still to lay that are opened in it, in the order of laying; those cut from planks opened
 * before ask for none.
 */
export function stockLeft(
  { bought, damaged, used }: Pick<StockLeft, 'bought' | 'damaged' | 'used'>,
  rows: readonly number[],
): StockLeft {
  const left = bought - damaged - used;
  let [taken, rowsCovered] = [0, 0];
  for (const planks of rows) {
    if (taken + planks > left) break;
    taken += planks;
    rowsCovered++;
  }
  return {
    bought,
    damaged,
    used,
    left,
    needed: rows.reduce((sum, planks) => sum + planks, 0),
    rowsLeft: rows.length,
    rowsCovered,
  };
}
