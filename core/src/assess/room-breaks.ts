import type { BreakLine } from '../flat/index.ts';
import type { PointMm, RoomFacts } from '../room/index.ts';
import type { Mark } from '../soundness/index.ts';

/** A step this high or higher is a break in the floor: heights are not carried across it. mm */
const BREAK_STEP_MM = 1;

/** Steps and joints marked as lines, and joints between two bases: the surface breaks there. */
export function breaksOf(room: RoomFacts, marks: readonly Mark[]): BreakLine[] {
  const steps = marks.flatMap(({ kind, shape, points, stepMm, id }) => {
    const [a, b] = [points[0], points.at(-1)];
    const breaks = ['lippage', 'joint', 'crack', 'board-ridge'].includes(kind) && (stepMm ?? 0) >= BREAK_STEP_MM;
    return breaks && shape === 'line' && a && b && Math.hypot(b.xMm - a.xMm, b.yMm - a.yMm) >= 100
      ? [{ id, a, b }]
      : [];
  });
  const between = new Set((room.secondBase?.where ?? []).map(({ lineId }) => lineId));
  const at = (xMm: number, yMm: number): PointMm => ({ xMm, yMm });
  const joints = room.lines
    .filter(({ id }) => between.has(id))
    .map(({ axMm, ayMm, bxMm, byMm }) => ({ a: at(axMm, ayMm), b: at(bxMm, byMm) }));
  steps.sort((a, b) => (a.id < b.id ? -1 : 1));
  return [...joints, ...steps.map(({ a, b }) => ({ a, b }))];
}
