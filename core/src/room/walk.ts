import type { PointMm } from './geometry.ts';
import { cosDeg, sinDeg, type Wall } from './outline.ts';

/** Where the walk round the walls stands: corners so far, and where it looks. */
interface WalkState {
  /** Corners as taped, the last one where the walk stands now. */
  corners: PointMm[];
  headingDeg: number;
  /** The walls that would close the room from here in one or two square turns, or null. */
  closing: Wall[] | null;
}

const NEAR_MM = 5;

/**
 * The walk after some walls. Where the first corner lies straight ahead, or round one right angle from here with the way in
 * square to W1, the walls that are left follow from the rest: they are offered, to be checked with the tape.
 */
export function walkOf(walls: readonly Wall[]): WalkState {
  const corners: PointMm[] = [{ xMm: 0, yMm: 0 }];
  let [x, y, headingDeg] = [0, 0, 0];
  for (const wall of walls) {
    x += wall.lengthMm * cosDeg(headingDeg);
    y += wall.lengthMm * sinDeg(headingDeg);
    headingDeg += wall.turnDeg;
    corners.push({ xMm: x, yMm: y });
  }
  const [ux, uy] = [cosDeg(headingDeg), sinDeg(headingDeg)];
  // The way home, along where one looks and to the left of it.
  const ahead = -(x * ux + y * uy);
  const left = -(-x * uy + y * ux);
  const square = (deg: number) => ((((deg + 180) % 360) + 360) % 360) - 180;
  let closing: Wall[] | null = null;
  if (walls.length >= 2 && ahead > NEAR_MM) {
    // Nobody has taped these: they are off the drawing until somebody has.
    if (Math.abs(left) <= NEAR_MM) closing = [{ lengthMm: round(ahead), turnDeg: square(-headingDeg), drawn: true }];
    else {
      const turn = left > 0 ? 90 : -90;
      closing = [
        { lengthMm: round(ahead), turnDeg: turn, drawn: true },
        { lengthMm: round(Math.abs(left)), turnDeg: square(-headingDeg - turn), drawn: true },
      ];
    }
    // A last turn that folds the wall back, or turns the room inside out, is no offer.
    if (closing.some((wall) => Math.abs(wall.turnDeg) > 179 || wall.lengthMm < 20)) closing = null;
    const turned = [...walls, ...(closing ?? [])].reduce((sum, wall) => sum + wall.turnDeg, 0);
    if (closing && Math.abs(turned - 360) > 0.5) closing = null;
  }
  return { corners, headingDeg, closing };
}

function round(mm: number): number {
  return Math.round(mm * 10) / 10;
}
