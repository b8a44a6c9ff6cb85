import { boundsMm } from './geometry.ts';
import type { Plan } from './room.ts';

/** Joists as they are recorded: the way they run, how far apart, and where the first lies, if anybody has looked. */
export interface Joists {
  deg: number;
  spacingMm: number;
  /** The middle of the first joist from the first corner, across the joists, mm; null or absent: not known. */
  firstMm?: number | null | undefined;
}

/**
 * How far a joist lies from the lower left of the sheet's outline, mm, along the way across the joists (their own way turned left).
 * All others lie whole spacings from it. Where the first is not known it is drawn half a spacing in, and told as assumed.
 */
export function joistOffsetMm(plan: Pick<Plan, 'corners'>, { deg, spacingMm, firstMm }: Joists): number {
  if (firstMm === null || firstMm === undefined) return spacingMm / 2;
  const turn = (deg * Math.PI) / 180;
  const across = (x: number, y: number) => -Math.sin(turn) * x + Math.cos(turn) * y;
  const { minX, minY, maxX, maxY } = boundsMm(plan.corners);
  const { xMm, yMm } = plan.corners[0]!;
  // It is measured into the room, whichever way that is.
  const into = Math.sign(across((minX + maxX) / 2 - xMm, (minY + maxY) / 2 - yMm)) || 1;
  return across(xMm - minX, yMm - minY) + into * firstMm;
}

/** Joists on which a stretch across them rests, mm on either end, by an offset as above. */
export function joistsWithin(lowMm: number, highMm: number, offsetMm: number, spacingMm: number): number {
  const first = Math.ceil((lowMm - offsetMm) / spacingMm - 1e-9);
  const last = Math.floor((highMm - offsetMm) / spacingMm + 1e-9);
  return Math.max(0, last - first + 1);
}
