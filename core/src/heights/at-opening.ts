import { pointOnWall, type Opening, type PointMm, type Polygon } from '../room/index.ts';
import type { LeafSwing } from './leaf.ts';

/** How far inside the room the level at an opening is asked, mm. */
export const INSIDE_MM = 50;
/** A leaf opens so far unless it is told otherwise, degrees. */
export const OPENS_DEG = 90;

/** A place at an opening: how far along it, at the wall, and as far inside the room as its level is asked. */
export interface PlaceAtOpening {
  alongMm: number;
  onWall: PointMm;
  inside: PointMm;
}

type OnWall = Pick<Opening, 'wall' | 'fromMm' | 'widthMm'>;

/** Places along an opening at which the step over it is asked. Corners run anticlockwise: the room lies to the left of its walls. */
export function placesAt(
  corners: Polygon,
  { wall, fromMm, widthMm }: OnWall,
  along: readonly number[],
): PlaceAtOpening[] {
  const [a, b] = [pointOnWall(corners, wall, fromMm), pointOnWall(corners, wall, fromMm + widthMm)];
  const [ux, uy] = [(b.xMm - a.xMm) / widthMm, (b.yMm - a.yMm) / widthMm];
  return along.map((alongMm) => {
    const onWall = { xMm: a.xMm + ux * alongMm, yMm: a.yMm + uy * alongMm };
    return { alongMm, onWall, inside: { xMm: onWall.xMm - uy * INSIDE_MM, yMm: onWall.yMm + ux * INSIDE_MM } };
  });
}

/** The leaf of a door as it swings, hung at the heights given, mm over the datum. */
export function leafOf(
  corners: Polygon,
  { wall, fromMm, widthMm, hinge, swing }: OnWall & Pick<Opening, 'hinge' | 'swing'>,
  { hingeMm, latchMm, openDeg = OPENS_DEG }: { hingeMm: number; latchMm: number; openDeg?: number },
): LeafSwing {
  const [a, b] = [pointOnWall(corners, wall, fromMm), pointOnWall(corners, wall, fromMm + widthMm)];
  const [at, latch] = hinge === 'start' ? [a, b] : [b, a];
  // Hung at its start a leaf turns anticlockwise into the room, hung at its end clockwise.
  const turn = (hinge === 'start') === (swing === 'in') ? 1 : -1;
  return {
    hinge: at,
    closedDeg: (Math.atan2(latch.yMm - at.yMm, latch.xMm - at.xMm) * 180) / Math.PI,
    openDeg: turn * openDeg,
    widthMm,
    hingeMm,
    latchMm,
  };
}
