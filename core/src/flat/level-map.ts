import { ringsAbove, thinned, type Rings } from './contours.ts';
import type { FloorSurface } from './floor-surface.ts';
import { cellCentre, type Grid } from './grid.ts';
import { planeAt } from './plane.ts';

/** Shapes of the level map, ready to draw: plan mm, heights in mm over the plane through the floor. */
export interface LevelMap {
  stepMm: number;
  /** Rings around everything at or above each level, from the lowest level up. */
  highs: { levelMm: number; rings: Rings }[];
  /** Rings around everything at or below each level (negative), from the highest level down. */
  lows: { levelMm: number; rings: Rings }[];
  zero: Rings;
  /** Rings around the part that is judged; what lies outside is not measured yet. */
  judged: Rings;
}

/** Most levels drawn on each side before the step between contours is doubled. */
const MOST_LEVELS = 7;
/** A floor that departs from its plane by less than a staff shows has no line between high and low, mm. */
const SHOWS_MM = 0.25;

/** Contours of the floor over the plane that carries its tilt. */
export function levelMap({ grid, surfaceMm, plane, judged }: FloorSurface): LevelMap {
  return contoursOver(
    grid,
    judged,
    surfaceMm.map((mm, cell) => {
      const { xMm, yMm } = cellCentre(grid, cell);
      return mm - planeAt(plane, xMm, yMm);
    }),
  );
}

/** Contours each millimetre (or 2, 5, 10 where the floor is rougher) of heights over some level, mm, drawn over the part that is judged. */
export function contoursOver(grid: Grid, judged: Grid, overMm: Float64Array): LevelMap {
  let most = 0;
  for (let cell = 0; cell < overMm.length; cell++)
    if (judged.inside[cell]) most = Math.max(most, Math.abs(overMm[cell]!));
  const stepMm = [1, 2, 5, 10, 20, 50].find((step) => most / step <= MOST_LEVELS) ?? 100;
  const thin = thinned(grid, overMm);
  const below = thin.values.map((value) => -value);
  const levels = Array.from({ length: Math.floor(most / stepMm) }, (_, i) => (i + 1) * stepMm);
  const keep = thinned(grid, judged.inside);
  return {
    stepMm,
    highs: levels
      .map((levelMm) => ({ levelMm, rings: ringsAbove(thin.grid, thin.values, levelMm) }))
      .filter((l) => l.rings.length > 0),
    lows: levels
      .map((levelMm) => ({ levelMm: -levelMm, rings: ringsAbove(thin.grid, below, levelMm) }))
      .filter((l) => l.rings.length > 0),
    zero: most < SHOWS_MM ? [] : ringsAbove(thin.grid, thin.values, 0),
    judged: ringsAbove(keep.grid, keep.values, 0.5),
  };
}
