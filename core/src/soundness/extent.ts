import { areaM2, distanceMm } from '../room/index.ts';
import type { Mark } from './facts.ts';

/** Area a mark covers, m2: its outline, or the square of its size; null while neither is known. */
export function markAreaM2(mark: Mark): number | null {
  if (mark.shape === 'area' && mark.points.length >= 3) return areaM2(mark.points);
  return mark.sizeMm === null || mark.shape === 'line' ? null : (mark.sizeMm / 1000) ** 2;
}

/** Length of a line mark, mm; null for other shapes. */
export function markLengthMm(mark: Mark): number | null {
  if (mark.shape !== 'line' || mark.points.length < 2) return null;
  return mark.points.slice(1).reduce((sum, p, i) => sum + distanceMm(mark.points[i]!, p), 0);
}

/** Extent of a mark along a direction (degrees from the first wall's way), mm; null while it has no outline. */
export function extentAlongMm(mark: Mark, deg: number): number | null {
  const [ux, uy] = [Math.cos((deg * Math.PI) / 180), Math.sin((deg * Math.PI) / 180)];
  if (mark.points.length < 2) return mark.sizeMm;
  const along = mark.points.map((p) => p.xMm * ux + p.yMm * uy);
  return Math.max(...along) - Math.min(...along);
}
