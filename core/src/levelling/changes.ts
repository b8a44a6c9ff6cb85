import type { Grid, Run } from '../flat/index.ts';

/**
 * When cells last changed, so that a line that nothing has touched since it was looked at need not be looked at again. A sample
 * of a line takes part of the cells about it: a change counts for its eight neighbours too.
 */
export interface Changes {
  clock: number;
  /** Tick of the last change of each cell or of one beside it; 0: never. */
  at: Int32Array;
  nx: number;
}

export function changesOver({ nx, inside }: Grid): Changes {
  return { clock: 0, at: new Int32Array(inside.length), nx };
}

/** Notes that cells changed, at a tick of their own. */
export function noteChanges(changes: Changes, cells: readonly number[]): void {
  if (cells.length === 0) return;
  const { at, nx } = changes;
  const tick = ++changes.clock;
  for (const cell of cells) {
    const ix = cell % nx;
    const [from, to] = [ix > 0 ? -1 : 0, ix < nx - 1 ? 1 : 0];
    for (let row = cell - nx; row <= cell + nx; row += nx) {
      if (row < 0 || row >= at.length) continue;
      for (let d = from; d <= to; d++) at[row + d] = tick;
    }
  }
}

/** Whether nothing under a run changed after a tick. */
export function untouchedSince({ at }: Changes, { cells, length }: Run, tick: number): boolean {
  for (let s = 0; s < length; s++) if (at[cells[s]!]! > tick) return false;
  return true;
}
