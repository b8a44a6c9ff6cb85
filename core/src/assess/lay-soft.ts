import { levelMap } from '../flat/index.ts';
import type { PointMm } from '../room/index.ts';
import type { RoomAssessment } from './assess-room.ts';
import { layPlanks } from './level-room.ts';
import type { RoomSet } from './room-set.ts';

/** A place of the floor as it was read over which no joint should lie. */
export interface SoftSpot extends PointMm {
  from: 'soft' | 'low';
  radiusMm: number;
}

/** Air under the planks that makes a joint work, as a share of the gap the rule of the card allows. */
const AIR_SHARE = 0.5;
const SOFT_MM = 150;
const SPOTS_MOST = 6;
const LOWS_MOST = 4;
const LOW_MOST_MM = 400;

/** Where planks would be soft on the floor as it lies, by the model of planks, and the lows of the level map deeper than the rule of the card. */
export function softSpots(assessment: RoomAssessment, set: RoomSet): SoftSpot[] {
  const { flat } = assessment;
  if (!flat || flat.rules.length === 0) return [];
  const ruleMm = Math.min(...set.card.rules.map(({ gapMm }) => gapMm));
  const soft = (layPlanks(assessment, set, null)?.report.soft ?? [])
    .filter(({ gapMm }) => gapMm >= AIR_SHARE * ruleMm)
    .slice(0, SPOTS_MOST)
    .map(({ at: [xMm, yMm] }): SoftSpot => ({ from: 'soft', xMm, yMm, radiusMm: SOFT_MM }));
  const rings = levelMap(flat)
    .lows.filter(({ levelMm }) => levelMm <= -ruleMm)
    .flatMap((low) => low.rings.map((ring) => ({ levelMm: low.levelMm, ring })))
    .sort((a, b) => a.levelMm - b.levelMm);
  const lows: SoftSpot[] = [];
  for (const { ring } of rings) {
    const [xs, ys] = [ring.map(([x]) => x), ring.map(([, y]) => y)];
    const [left, right, low, high] = [Math.min(...xs), Math.max(...xs), Math.min(...ys), Math.max(...ys)];
    const at = { xMm: (left + right) / 2, yMm: (low + high) / 2 };
    // Of rings about one low the deepest stands for it.
    if (lows.some((one) => Math.hypot(one.xMm - at.xMm, one.yMm - at.yMm) < LOW_MOST_MM)) continue;
    lows.push({ from: 'low', ...at, radiusMm: Math.min(LOW_MOST_MM, Math.max(right - left, high - low) / 2) });
    if (lows.length === LOWS_MOST) break;
  }
  return [...soft, ...lows];
}
