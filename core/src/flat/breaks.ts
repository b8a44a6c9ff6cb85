import type { PointMm } from '../room/index.ts';
import type { SideOf } from './sites.ts';

/** A step or joint across which heights have nothing to do with one another. It runs on to the walls. */
export interface BreakLine {
  a: PointMm;
  b: PointMm;
}

/** More of them than this are more pieces than a walk has readings for. */
const BREAKS_MOST = 6;

/** The piece that break-lines cut a floor into at a place, as a number; null where there are none. */
export function sidesFrom(lines: readonly BreakLine[]): SideOf | null {
  const used = lines.slice(0, BREAKS_MOST);
  if (used.length === 0) return null;
  return (xMm, yMm) =>
    used.reduce((side, { a, b }, i) => {
      const cross = (b.xMm - a.xMm) * (yMm - a.yMm) - (b.yMm - a.yMm) * (xMm - a.xMm);
      return side | (cross > 0 ? 1 << i : 0);
    }, 0);
}
