import {
  boundsMm,
  isTimber,
  joistOffsetMm,
  type Joists,
  type Plan,
  type PointMm,
  type RoomFacts,
} from '../room/index.ts';
import { floorRuns } from './walks.ts';
import type { EdgeWalk } from './facts.ts';

/** Joists of a room, or null where it has none or nobody has recorded them. */
export function joistsOf({ baseKind, base }: Pick<RoomFacts, 'baseKind' | 'base'>): Joists | null {
  if (!isTimber(baseKind) || base.joistDeg === null || base.joistSpacingMm === null) return null;
  return { deg: base.joistDeg, spacingMm: base.joistSpacingMm, firstMm: base.joistFirstMm };
}

/** How far from the middle of a joist a place lies, as a share of the spacing: 0 on it, 0.5 midway between two. */
function phaseAt(joists: Joists, plan: Plan, { xMm, yMm }: PointMm): number {
  const { deg, spacingMm } = joists;
  const { minX, minY } = boundsMm(plan.corners);
  const turn = (deg * Math.PI) / 180;
  const across = -Math.sin(turn) * (xMm - minX) + Math.cos(turn) * (yMm - minY);
  const share = (across - joistOffsetMm(plan, joists)) / spacingMm;
  return Math.abs(share - Math.round(share));
}

/** On a joist, and between two: within a sixth of the spacing. */
const NEAR_SHARE = 1 / 6;
/** So many of each show whether a floor crowns over its joists. */
const READINGS_EACH = 5;
/** Edges laid across the joists show the same by themselves. */
const WALKS_ENOUGH = 2;

interface JoistEvidence {
  on: number;
  between: number;
  /** Placements of an edge that lie across the joists. */
  across: number;
  enough: boolean;
}

/**
 * Whether readings stand both on joists and between them, or edges lie across. Stations whose spacing happens to step with the
 * joists read a crowned floor as a flat one.
 */
export function joistEvidence(
  joists: Joists,
  plan: Plan,
  staffs: readonly PointMm[],
  walks: readonly EdgeWalk[],
): JoistEvidence {
  const phases = staffs.map((at) => phaseAt(joists, plan, at));
  const on = phases.filter((p) => p <= NEAR_SHARE).length;
  const between = phases.filter((p) => p >= 0.5 - NEAR_SHARE).length;
  const across = walks.filter((walk) => {
    const deg = (Math.atan2(walk.toYMm - walk.fromYMm, walk.toXMm - walk.fromXMm) * 180) / Math.PI;
    return Math.abs(Math.sin(((deg - joists.deg) * Math.PI) / 180)) > Math.SQRT1_2;
  }).length;
  return {
    on,
    between,
    across,
    enough: across >= WALKS_ENOUGH || (on >= READINGS_EACH && between >= READINGS_EACH),
  };
}

const WALL_MM = 100;

/** A line of places across the joists through the middle of the room, on each joist and midway between: what is asked for. */
export function acrossJoists(joists: Joists, plan: Plan): PointMm[] {
  const { minX, minY, maxX, maxY } = boundsMm(plan.corners);
  // Lines are set out along a wall: joists that run nearer to along the first wall are crossed by a line across it.
  const horizontal = Math.abs(Math.sin((joists.deg * Math.PI) / 180)) > Math.SQRT1_2;
  const at = horizontal ? (minY + maxY) / 2 : (minX + maxX) / 2;
  const places: PointMm[] = [];
  for (const [from, to] of floorRuns(plan, horizontal, at)) {
    // Across joists that run up the sheet an offset counts to the left.
    const offset = joistOffsetMm(plan, joists);
    const start = horizontal ? minX - Math.sign(Math.sin((joists.deg * Math.PI) / 180)) * offset : minY + offset;
    const half = joists.spacingMm / 2;
    for (let k = Math.ceil((from + WALL_MM - start) / half); start + k * half <= to - WALL_MM; k++) {
      const along = start + k * half;
      places.push(
        horizontal ? { xMm: Math.round(along), yMm: Math.round(at) } : { xMm: Math.round(at), yMm: Math.round(along) },
      );
    }
  }
  return places;
}
