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

/**
 * The frame of a passage laid from its middle line: along the way halfway between the start wall and the wall over against it, where the two differ by little; else the start
 * wall's own. Its origin stays at the start wall.
 */
export function middleFrame(outline: Polygon, wall: number, hand: Hand = 'left-to-right'): LayingFrame {
  const [a, b] = [outline[wall]!, outline[(wall + 1) % outline.length]!];
  const own = Math.atan2(b.yMm - a.yMm, b.xMm - a.xMm);
  const over = outline.flatMap((c, k) => {
    const d = outline[(k + 1) % outline.length]!;
    // The wall over against it runs the other way round the room.
    const off = Math.atan2(c.yMm - d.yMm, c.xMm - d.xMm) - own;
    const turn = Math.atan2(Math.sin(off), Math.cos(off));
    return k !== wall && Math.abs(turn) <= TAPER_RAD
      ? [{ turn, longMm: Math.hypot(d.xMm - c.xMm, d.yMm - c.yMm) }]
      : [];
  });
  const [longest] = over.sort((one, other) => other.longMm - one.longMm);
  const at = own + (longest?.turn ?? 0) / 2;
  const long = Math.hypot(b.xMm - a.xMm, b.yMm - a.yMm);
  return frameAlong(a, { xMm: a.xMm + long * Math.cos(at), yMm: a.yMm + long * Math.sin(at) }, hand);
}

/** Walls over against one another that differ by more are no passage's. */
const TAPER_RAD = (10 * Math.PI) / 180;

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
