import { cellCentre, contoursOver, type FlatState, type LevelMap } from '../flat/index.ts';
import type { PointMm } from '../room/index.ts';
import type { NewFloor } from './new-floor.ts';

/** The floor as it will be walked on, all over a room: shapes of equal level over its mean, and where it is highest and lowest. */
export interface FinishedMap {
  /** Mean of the finished floor, mm over the datum. */
  meanMm: number;
  highest: { overMm: number; at: PointMm };
  lowest: { overMm: number; at: PointMm };
  map: LevelMap;
}

/** Finished level at every cell of a read floor, as new; null where none is known. */
export function finishedMap({ grid, judged }: FlatState, floor: NewFloor): FinishedMap | null {
  const levels = new Float64Array(judged.inside.length).fill(NaN);
  let [sum, count] = [0, 0];
  for (let cell = 0; cell < levels.length; cell++) {
    if (!judged.inside[cell]) continue;
    const { xMm, yMm } = cellCentre(judged, cell);
    const level = floor.finishedAt(xMm, yMm);
    if (!level) continue;
    levels[cell] = level.new;
    sum += level.new;
    count++;
  }
  if (count === 0) return null;
  const meanMm = sum / count;
  let [highest, lowest] = [-1, -1];
  const overMm = levels.map((mm, cell) => {
    if (Number.isNaN(mm)) return 0;
    if (highest < 0 || mm > levels[highest]!) highest = cell;
    if (lowest < 0 || mm < levels[lowest]!) lowest = cell;
    return mm - meanMm;
  });
  const place = (cell: number) => ({ overMm: levels[cell]! - meanMm, at: cellCentre(judged, cell) });
  return { meanMm, highest: place(highest), lowest: place(lowest), map: contoursOver(grid, judged, overMm) };
}
