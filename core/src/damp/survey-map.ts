import { boundsMm, contains, type Polygon } from '../room/index.ts';
import type { DampResult } from './result.ts';

const CELL_MM = 250;
/** How far one survey reading is carried, mm: a hand's reach and a half; beyond it nothing is known. */
const CARRY_MM = 1500;
/** Keeps a reading in a cell's very middle from outweighing all else, mm. */
const SOFTENED_MM = 100;

interface SurveyCell {
  /** Lower left corner, plan mm. */
  xMm: number;
  yMm: number;
  /** 0 at the lowest reading, 1 at the highest. */
  share: number;
}

/**
 * The survey meter's readings as a map of where to test: readings of a cell averaged, then weighted by the square of their
 * distance (inverse distance weighting, Shepard 1968). Empty with fewer than three readings.
 */
export function surveyMap(results: readonly DampResult[], corners: Polygon): { cellMm: number; cells: SurveyCell[] } {
  const cells: SurveyCell[] = [];
  if (results.length < 3) return { cellMm: CELL_MM, cells };
  const bins = new Map<string, { x: number; y: number; sum: number; n: number }>();
  let [least, most] = [Infinity, -Infinity];
  for (const { test, value } of results) {
    const key = `${Math.floor(test.xMm / CELL_MM)}:${Math.floor(test.yMm / CELL_MM)}`;
    const bin = bins.get(key) ?? { x: 0, y: 0, sum: 0, n: 0 };
    bins.set(key, { x: bin.x + test.xMm, y: bin.y + test.yMm, sum: bin.sum + value, n: bin.n + 1 });
    least = Math.min(least, value);
    most = Math.max(most, value);
  }
  const known = [...bins.values()].map(({ x, y, sum, n }) => ({ x: x / n, y: y / n, value: sum / n, n }));
  const box = boundsMm(corners);
  for (let yMm = box.minY; yMm < box.maxY; yMm += CELL_MM)
    for (let xMm = box.minX; xMm < box.maxX; xMm += CELL_MM) {
      const [cx, cy] = [xMm + CELL_MM / 2, yMm + CELL_MM / 2];
      if (!contains(corners, cx, cy)) continue;
      let [sum, weight] = [0, 0];
      for (const { x, y, value, n } of known) {
        const d = Math.hypot(x - cx, y - cy);
        if (d > CARRY_MM) continue;
        const w = n / (d + SOFTENED_MM) ** 2;
        sum += w * value;
        weight += w;
      }
      if (weight === 0) continue;
      // A mean of equal readings may differ from them in the last digit.
      const share = most > least ? (sum / weight - least) / (most - least) : 0;
      cells.push({ xMm, yMm, share: Math.min(1, Math.max(0, share)) });
    }
  return { cellMm: CELL_MM, cells };
}
