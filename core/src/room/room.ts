import { type Sayable } from '../said/index.ts';
import { adjustToDiagonals, diagonalProblem, type Adjustment, type Diagonal } from './diagonals.ts';
import type { RoomFacts } from './facts.ts';
import { FIXTURES, fixtureOutline, type Fixture } from './fixtures.ts';
import { areaM2, type PointMm, type Polygon } from './geometry.ts';
import { lineProblem } from './lines.ts';
import { outlineOf, pointOnWall, type Start, type Wall } from './outline.ts';
import { entryOf, openingProblem, overlapProblem } from './openings.ts';
import { common, outerOf, regionOf, together, without, type Region } from './region.ts';

/** Drawn shape of a room: corners, and islands (holes such as columns and hearths). */
export interface Plan {
  corners: Polygon;
  islands: readonly Polygon[];
}

/** What decides the drawn shape. Only the walls are always there. */
export interface Shaped {
  walls: readonly Wall[];
  start?: Start;
  diagonals?: readonly Diagonal[];
  fixtures?: readonly Fixture[];
}

function draw(room: Shaped): { plan: Plan; adjustment: Adjustment | null } {
  const { problem, corners: taped } = outlineOf(room.walls, room.start);
  const diagonals = (room.diagonals ?? []).filter((d) => !diagonalProblem(taped, d));
  const adjustment = !problem && diagonals.length > 0 ? adjustToDiagonals(taped, room.walls, diagonals) : null;
  const corners = adjustment?.corners ?? taped;
  return { plan: { corners, islands: problem ? [] : islandsOf(corners, room.fixtures ?? []) }, adjustment };
}

function islandsOf(corners: Polygon, fixtures: readonly Fixture[]): Polygon[] {
  const standing = fixtures.filter((f) => FIXTURES[f.kind].standing === 'island');
  if (standing.length === 0) return [];
  return common(together(standing.map((f) => regionOf(fixtureOutline(f)))), regionOf(corners)).map(outerOf);
}

/** Shape of the room: its outline fitted to the measured diagonals, and what stands in it as islands. */
export function planOf(room: Shaped): Plan {
  return draw(room).plan;
}

/** What the diagonals did to the outline, or null where none was measured. */
export function adjustmentOf(room: Shaped): Adjustment | null {
  return draw(room).adjustment;
}

/** The floor of a plan as a region: the outline less its islands. */
export function floorOf(plan: Plan): Region {
  return without(regionOf(plan.corners), ...plan.islands.map(regionOf));
}

/** Floor area of a plan, m2, islands taken off. */
export const planAreaM2 = ({ corners, islands }: Plan): number => areaM2(corners, islands);

/** Floor area of a room as drawn, m2, islands taken off. */
export const floorAreaM2 = (room: Shaped): number => planAreaM2(planOf(room));

/** Where a walk starts: the middle of the way in, or the first corner when no opening is entered. */
export function entryPoint(room: Pick<RoomFacts, 'openings'>, plan: Plan): PointMm {
  const entry = entryOf(room);
  if (!entry) return plan.corners[0] ?? { xMm: 0, yMm: 0 };
  return pointOnWall(plan.corners, entry.wall, entry.fromMm + entry.widthMm / 2);
}

/** One thing wrong with a room's shape, with the field it belongs to. */
interface ShapeProblem {
  field: 'walls' | 'openings' | 'diagonals' | 'lines';
  message: Sayable;
}

/** The first thing wrong with a room's shape, or null. */
export function shapeProblem(
  room: Pick<RoomFacts, 'walls' | 'openings'> & Partial<Pick<RoomFacts, 'start' | 'diagonals' | 'lines'>>,
): ShapeProblem | null {
  const outline = outlineOf(room.walls, room.start);
  if (outline.problem) return { field: 'walls', message: outline.problem.words };
  for (const opening of room.openings) {
    const message = openingProblem(room.walls, opening);
    if (message) return { field: 'openings', message };
  }
  const overlap = overlapProblem(room);
  if (overlap) return { field: 'openings', message: overlap };
  for (const diagonal of room.diagonals ?? []) {
    const message = diagonalProblem(outline.corners, diagonal);
    if (message) return { field: 'diagonals', message };
  }
  for (const line of room.lines ?? []) {
    const message = lineProblem(line);
    if (message) return { field: 'lines', message };
  }
  return null;
}
