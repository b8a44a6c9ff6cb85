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

/** Where a mark begins and ends along a direction (degrees from the first wall's way), mm from the sheet's own corner; null while it has no outline. */
export function stretchAlong(mark: Mark, deg: number): readonly [fromMm: number, toMm: number] | null {
  const [ux, uy] = [Math.cos((deg * Math.PI) / 180), Math.sin((deg * Math.PI) / 180)];
  const of = (p: { xMm: number; yMm: number }) => p.xMm * ux + p.yMm * uy;
  if (mark.points.length < 2)
    return mark.sizeMm === null ? null : [of(mark) - mark.sizeMm / 2, of(mark) + mark.sizeMm / 2];
  const along = mark.points.map(of);
  return [Math.min(...along), Math.max(...along)];
}

/** Extent of a mark along a direction (degrees from the first wall's way), mm; null while it has no outline. */
export function extentAlongMm(mark: Mark, deg: number): number | null {
  const stretch = stretchAlong(mark, deg);
  return stretch && stretch[1] - stretch[0];
}
