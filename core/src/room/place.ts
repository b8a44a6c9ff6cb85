import { say, type Sayable } from '../said/index.ts';
import { distanceToSegmentMm, type PointMm } from './geometry.ts';
import { entryOf, type WithOpenings } from './openings.ts';
import { wallName } from './outline.ts';
import type { Plan } from './room.ts';

/** Distance to a wall, with the wall's name as people say it. */
export interface WallDistance {
  wall: number;
  name: Sayable;
  distanceMm: number;
}

/** `the door wall`, the name it was given, or `W3`. */
function spokenWall(room: WithOpenings, wall: number): Sayable {
  const own = room.walls[wall]?.name?.trim();
  if (own) return say('room.wall', { own });
  if (entryOf(room)?.wall === wall) return say('room.doorWall');
  return wallName(room.walls, wall);
}

/**
 * Two tape distances that fix a point: to the nearest wall, and to the nearest wall standing across it
 * (45 degrees or more apart, so that the two tapes cross cleanly).
 */
export function tapeFrom(room: WithOpenings, plan: Plan, at: PointMm): WallDistance[] {
  const n = plan.corners.length;
  const all = plan.corners.map((a, wall) => {
    const b = plan.corners[(wall + 1) % n]!;
    return {
      wall,
      name: spokenWall(room, wall),
      distanceMm: distanceToSegmentMm(at.xMm, at.yMm, a, b),
      headingRad: Math.atan2(b.yMm - a.yMm, b.xMm - a.xMm),
    };
  });
  all.sort((p, q) => p.distanceMm - q.distanceMm || p.wall - q.wall);
  const nearest = all[0];
  if (!nearest) return [];
  const across = all.find((w) => Math.abs(Math.sin(w.headingRad - nearest.headingRad)) >= Math.SQRT1_2 - 1e-9);
  return [nearest, ...(across ? [across] : [])].map(({ wall, name, distanceMm }) => ({ wall, name, distanceMm }));
}
