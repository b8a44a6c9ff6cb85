import type { FlatState } from '../flat/index.ts';
import { baseAt, cellAt } from '../flat/index.ts';
import {
  buildUpMm,
  buildUpOf,
  combined,
  READ_BY_MM,
  type BuildUp,
  type FinishedAt,
  type FloorAge,
} from '../heights/index.ts';
import type { Change } from '../levelling/index.ts';
import type { PointMm } from '../room/index.ts';
import { oldFloorAt, type OldFloorAt } from './old-layers.ts';
import type { StripState } from './strip-state.ts';
import type { RoomSet } from './room-set.ts';

/** The floor a room will have: its level at every place over the room's datum, mm, and what that comes of. */
export interface NewFloor {
  finishedAt: FinishedAt;
  /** The surface that stays, before anything is filled or ground; null where the map does not reach. */
  surfaceAt: (at: PointMm) => number | null;
  /** The base under every recorded layer. */
  bareAt: (at: PointMm) => number | null;
  /** That base with what the levelling adds to the floor and takes off it. */
  levelledBareAt: (at: PointMm) => number | null;
  buildUp: BuildUp;
  addsMm: Record<FloorAge, number>;
  old: OldFloorAt;
  /** How far off it may be, mm. */
  offMm: number;
}

/** The later of two moments in UTC. */
const later = (a: string, b: string) => (b > a ? b : a);

/** When the surface was last read: what lay there then lies under the map. */
export const readAtUtc = ({ readings, scans }: Pick<RoomSet, 'readings' | 'scans'>): string =>
  [...readings, ...scans].reduce((last, { takenAt }) => later(last, takenAt), '');

/** What a room lays over the surface that stays, mm. */
export const addsOf = (set: Pick<RoomSet, 'buildUps' | 'card'>): Record<FloorAge, number> => {
  const buildUp = buildUpOf(set.buildUps, set.card);
  return { new: buildUpMm(buildUp, 'new'), used: buildUpMm(buildUp, 'used') };
};

/**
 * Finished level at every place (heights definitions, section 2): the surface that stays, what levelling adds to it and takes off
 * it, and the build-up under its load.
 */
export function newFloor(
  set: RoomSet,
  { plan }: Pick<StripState, 'plan'>,
  state: FlatState,
  change: Pick<Change, 'fillMm' | 'grindMm'> | null,
): NewFloor {
  const old = oldFloorAt(set, plan, readAtUtc(set));
  const { judged: grid, surfaceMm } = state;
  const levelledMm = change ? surfaceMm.map((z, cell) => z + change.fillMm[cell]! - change.grindMm[cell]!) : surfaceMm;
  const known = ({ xMm, yMm }: PointMm) => {
    const cell = cellAt(grid, xMm, yMm);
    if (cell >= 0 && grid.inside[cell]) return true;
    // Against a wall the nearest cell on the floor speaks for the strip that has none of its own.
    for (const dx of [-1, 0, 1])
      for (const dy of [-1, 0, 1]) {
        const near = cellAt(grid, xMm + dx * grid.cellMm, yMm + dy * grid.cellMm);
        if (near >= 0 && grid.inside[near]) return true;
      }
    return false;
  };
  const over = (heights: Float64Array) => (at: PointMm) => (known(at) ? baseAt(grid, heights, at.xMm, at.yMm) : null);
  const [readMm, madeMm] = [over(surfaceMm), over(levelledMm)];
  const less = (mm: number | null, lessMm: number) => (mm === null ? null : mm - lessMm);
  const addsMm = addsOf(set);
  return {
    finishedAt: (xMm, yMm) => {
      const at = { xMm, yMm };
      const baseMm = less(madeMm(at), old.lowerMm(at));
      return baseMm === null ? null : { new: baseMm + addsMm.new, used: baseMm + addsMm.used };
    },
    surfaceAt: (at) => less(readMm(at), old.lowerMm(at)),
    bareAt: (at) => less(readMm(at), old.lyingMm(at)),
    levelledBareAt: (at) => less(madeMm(at), old.lyingMm(at)),
    buildUp: buildUpOf(set.buildUps, set.card),
    addsMm,
    old,
    offMm: old.goes ? combined(READ_BY_MM.staff, READ_BY_MM.eye) : READ_BY_MM.staff,
  };
}

/** How far the floor comes up at a place over the surface that stays, mm: what is laid and levelled; what is laid alone where it is not read. */
export function riseAt(at: PointMm, floor: Pick<NewFloor, 'finishedAt' | 'surfaceAt'> | null, addsMm: number): number {
  const finished = floor?.finishedAt(at.xMm, at.yMm)?.new;
  const surface = floor?.surfaceAt(at) ?? null;
  return finished !== undefined && surface !== null ? finished - surface : addsMm;
}
