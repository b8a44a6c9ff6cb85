import type { Plan } from './room.ts';
import type { PointMm } from './geometry.ts';

/** The way the first wall runs on the sheet, as a unit vector: what is written along and across a room is written by it. */
function firstWay({ corners }: Plan): readonly [number, number] {
  const [a, b] = [corners[0], corners[1]];
  const length = a && b ? Math.hypot(b.xMm - a.xMm, b.yMm - a.yMm) : 0;
  return length === 0 ? [1, 0] : [(b!.xMm - a!.xMm) / length, (b!.yMm - a!.yMm) / length];
}

/** A point of the sheet as a tape finds it, mm: along the first wall from the first corner, and across it into the room. */
export function alongFirstWall(plan: Plan, point: PointMm): PointMm {
  const [ux, uy] = firstWay(plan);
  const [dx, dy] = [point.xMm - plan.corners[0]!.xMm, point.yMm - plan.corners[0]!.yMm];
  return { xMm: dx * ux + dy * uy, yMm: dy * ux - dx * uy };
}

/** The point of the sheet that lies so far along the first wall from the first corner, and so far across it, mm. */
export function onSheet(plan: Plan, taped: PointMm): PointMm {
  const [ux, uy] = firstWay(plan);
  const at = plan.corners[0]!;
  return { xMm: at.xMm + taped.xMm * ux - taped.yMm * uy, yMm: at.yMm + taped.xMm * uy + taped.yMm * ux };
}
