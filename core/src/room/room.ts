import type { UnitSystem } from '../units/index.ts';
import { outlineOf, type Wall } from './outline.ts';
import { pointOnWall } from './outline.ts';
import type { PointMm, Polygon } from './geometry.ts';

/** What the planks will lie over. */
export const BASE_KINDS = [
  'slab-on-ground',
  'suspended-concrete',
  'cement-screed',
  'calcium-sulfate-screed',
  'panels-on-joists',
  'floorboards-on-joists',
  'existing-tile',
  'existing-resilient',
] as const;
export type BaseKind = (typeof BASE_KINDS)[number];

export const BASE_WORDS: Record<BaseKind, string> = {
  'slab-on-ground': 'Concrete slab on ground',
  'suspended-concrete': 'Suspended concrete',
  'cement-screed': 'Cement screed',
  'calcium-sulfate-screed': 'Calcium sulfate screed',
  'panels-on-joists': 'Panels on joists',
  'floorboards-on-joists': 'Floorboards on joists',
  'existing-tile': 'Existing tile',
  'existing-resilient': 'Existing resilient',
};

/** A doorway: `fromMm` is measured along its wall from the wall's first corner. */
export interface Door {
  wall: number;
  fromMm: number;
  widthMm: number;
  hinge: 'start' | 'end';
  swing: 'in' | 'out';
}

/** The facts of a room that its stages share. */
export interface RoomFacts {
  id: string;
  jobId: string;
  name: string;
  /** Place in the job's list: any number, compared only. */
  rank: number;
  walls: Wall[];
  door: Door | null;
  baseKind: BaseKind;
  cardId: string;
  units: UnitSystem;
  /** Station spacing chosen by hand, mm; null takes the default of the covering's rule. */
  spacingMm: number | null;
  /** Judge by contacts only and leave rocking out (a setting of the flatness stage). */
  contactsOnly: boolean;
}

/** Drawn shape of a room: corners, and islands (holes such as columns and hearths). */
export interface Plan {
  corners: Polygon;
  islands: readonly Polygon[];
}

/** Shape of the room from its facts. Islands arrive with the room stage; until then there are none. */
export function planOf(room: Pick<RoomFacts, 'walls'>): Plan {
  return { corners: outlineOf(room.walls).corners, islands: [] };
}

/** Where a walk starts: the middle of the door, or the first corner when no door is entered. */
export function entryPoint(room: Pick<RoomFacts, 'walls' | 'door'>, plan: Plan): PointMm {
  if (!room.door) return plan.corners[0] ?? { xMm: 0, yMm: 0 };
  return pointOnWall(plan.corners, room.door.wall, room.door.fromMm + room.door.widthMm / 2);
}

/** Why a door cannot stand where it was put, or null. */
export function doorProblem(walls: readonly Wall[], door: Door): string | null {
  const wall = walls[door.wall];
  if (!wall) return `Wall ${door.wall + 1} does not exist: the room has ${walls.length}`;
  if (door.fromMm < 0) return `${door.fromMm} mm: a door starts at 0 or more along its wall`;
  if (door.widthMm < 300) return `${door.widthMm} mm wide: 300 or more is taken`;
  if (door.fromMm + door.widthMm > wall.lengthMm + 1) {
    return `The door ends at ${Math.round(door.fromMm + door.widthMm)} mm, past the wall's ${Math.round(wall.lengthMm)}`;
  }
  return null;
}

/** The first thing wrong with a room's shape, with the field it belongs to, or null. */
export function shapeProblem(
  walls: readonly Wall[],
  door: Door | null,
): { field: 'walls' | 'door'; message: string } | null {
  const outline = outlineOf(walls);
  if (outline.problem) return { field: 'walls', message: outline.problem.words };
  const message = door && doorProblem(walls, door);
  return message ? { field: 'door', message } : null;
}
