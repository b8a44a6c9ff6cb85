import type { PointMm, Polygon } from '../room/index.ts';

/** The way planks are laid along the start wall, as one sees it standing in the room and facing that wall. */
export type Hand = 'left-to-right' | 'right-to-left';

/** The floor seen from its start wall: u along the rows in the order of laying, v away from the wall. */
export interface LayingFrame {
  to: (at: PointMm) => [number, number];
  back: (u: number, v: number) => PointMm;
}

/**
 * The frame of a start wall of an outline that runs anticlockwise: who stands on the floor and faces the wall has the wall's end at
 * the left hand. Another start wall turns the frame, and never mirrors it.
 */
export function layingFrame(outline: Polygon, wall: number, hand: Hand = 'left-to-right'): LayingFrame {
  const [a, b] = [outline[wall]!, outline[(wall + 1) % outline.length]!];
  return frameAlong(a, b, hand);
}

/** The frame of any start line, the floor to be laid at the left of the way from a to b. */
export function frameAlong(a: PointMm, b: PointMm, hand: Hand = 'left-to-right'): LayingFrame {
  const length = Math.hypot(b.xMm - a.xMm, b.yMm - a.yMm) || 1;
  const [ex, ey] = [(b.xMm - a.xMm) / length, (b.yMm - a.yMm) / length];
  // Facing the wall its end b is at the left hand: left to right runs from b to a.
  const [from, sign] = hand === 'left-to-right' ? [b, -1] : [a, 1];
  const [ux, uy] = [sign * ex, sign * ey];
  const [vx, vy] = [-ey, ex];
  return {
    to: ({ xMm, yMm }) => {
      const [dx, dy] = [xMm - from.xMm, yMm - from.yMm];
      return [dx * ux + dy * uy, dx * vx + dy * vy];
    },
    back: (u, v) => ({ xMm: from.xMm + u * ux + v * vx, yMm: from.yMm + u * uy + v * vy }),
  };
}
