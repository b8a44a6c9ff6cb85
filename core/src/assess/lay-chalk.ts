import { wallName, type PointMm } from '../room/index.ts';
import type { Sayable } from '../said/index.ts';
import { chalkLine, rowTable, type FloorPlan } from '../setout/index.ts';
import type { LayGround } from './lay-ground.ts';

/** A line to snap, with how far either end lies from the start wall and from what lies across from it. */
export interface ShownChalk {
  afterRow: number;
  from: PointMm;
  to: PointMm;
  /** At its left end and at its right, as one faces the start wall, mm. */
  fromStartMm: [number, number];
  toFarMm: [number, number];
  startWall: Sayable;
  /** Narrowest and widest of the rows it bounds towards the start wall, mm. */
  rowMm: [number, number];
}

/** Farthest place of the outline across the rows at a place along them, mm in the laying frame. */
function farAcross({ plan: { corners }, frame }: LayGround, u: number): number {
  const at = corners.map(frame.to);
  const crossings = at.flatMap(([u1, v1], k): number[] => {
    const [u2, v2] = at[(k + 1) % at.length]!;
    if (Math.abs(u2 - u1) < 1e-6 || u < Math.min(u1, u2) - 1e-6 || u > Math.max(u1, u2) + 1e-6) return [];
    return [v1 + ((v2 - v1) * (u - u1)) / (u2 - u1)];
  });
  return Math.max(...crossings, ...(crossings.length === 0 ? at.map(([, v]) => v) : []));
}

/** Lines after these rows; where a bay of adhesive ends, or every few rows, and always after the first. */
export function shownChalk(ground: LayGround, plan: FloorPlan, afterRows: readonly number[]): ShownChalk[] {
  const { frame, plank, set, startWall } = ground;
  const table = rowTable(plan.strips, plan.rows.divisions);
  return afterRows.flatMap((afterRow): ShownChalk[] => {
    const line = chalkLine(plan.strips, frame, plank.widthMm, afterRow);
    if (!line) return [];
    const ends = [frame.to(line.from), frame.to(line.to)] as const;
    // At its ends: a doorway is deeper than the row along its wall.
    const rows = table
      .filter(({ row }) => row === afterRow - 1)
      .flatMap(({ leftWideMm, rightWideMm }) => [leftWideMm, rightWideMm]);
    return [
      {
        afterRow,
        from: line.from,
        to: line.to,
        fromStartMm: [ends[0][1], ends[1][1]],
        toFarMm: [farAcross(ground, ends[0][0]) - ends[0][1], farAcross(ground, ends[1][0]) - ends[1][1]],
        startWall: wallName(set.room.walls, startWall),
        rowMm: rows.length === 0 ? [plank.widthMm, plank.widthMm] : [Math.min(...rows), Math.max(...rows)],
      },
    ];
  });
}
