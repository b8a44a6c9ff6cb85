import { restrict, type Grid } from './grid.ts';
import { planeOver, type Plane } from './plane.ts';

/** How level a floor is, which flatness leaves out: the lean of its plane, and its highest against its lowest place. */
export interface Levelness {
  /** Fall of the plane, mm for each m, and the way it falls, degrees anticlockwise from along the first wall. */
  fallMmPerM: number;
  fallsToDeg: number;
  highestMm: number;
  lowestMm: number;
  highestAt: [number, number];
  lowestAt: [number, number];
}

/** Range of the judged floor, and the lean of the plane through it; heights in mm over the datum. Null where nothing is judged. */
export function levelnessOf(grid: Grid, heights: Float64Array, { slopeX, slopeY }: Plane): Levelness | null {
  let [high, low] = [-1, -1];
  for (let cell = 0; cell < heights.length; cell++) {
    if (!grid.inside[cell]) continue;
    if (high < 0 || heights[cell]! > heights[high]!) high = cell;
    if (low < 0 || heights[cell]! < heights[low]!) low = cell;
  }
  if (high < 0) return null;
  const at = (cell: number): [number, number] => [
    grid.x0Mm + (cell % grid.nx) * grid.cellMm,
    grid.y0Mm + Math.floor(cell / grid.nx) * grid.cellMm,
  ];
  return {
    fallMmPerM: Math.hypot(slopeX, slopeY) * 1000,
    fallsToDeg: (Math.atan2(-slopeY, -slopeX) * 180) / Math.PI,
    highestMm: heights[high]!,
    lowestMm: heights[low]!,
    highestAt: at(high),
    lowestAt: at(low),
  };
}

/** Lean of a part of the floor: what stands on it, or steps over it, asks for level. mm over the part's length in that direction. */
export function leanOver(
  grid: Grid,
  heights: Float64Array,
  part: Uint8Array,
): { fallMmPerM: number; rangeMm: number } | null {
  const cells = restrict(grid, part);
  if (!cells.inside.includes(1)) return null;
  const { slopeX, slopeY } = planeOver(cells, heights);
  let [least, most] = [Infinity, -Infinity];
  for (let cell = 0; cell < heights.length; cell++) {
    if (!cells.inside[cell]) continue;
    least = Math.min(least, heights[cell]!);
    most = Math.max(most, heights[cell]!);
  }
  return { fallMmPerM: Math.hypot(slopeX, slopeY) * 1000, rangeMm: most - least };
}

/** Floor-flatness number of one survey line, or of several together. */
export interface FlatnessNumber {
  number: number;
  /** Second differences it stands on, and the lines they come from. */
  differences: number;
  lines: number;
}

/** Stations along a survey line stand a foot apart; differences are taken over two. mm */
const STATION_MM = 304.8;
const INCH_MM = 25.4;
/** Survey lines stand this far apart and off the walls, mm. */
const LINES_APART_MM = 1200;
const OFF_WALLS_MM = 600;
const FEWEST_DIFFERENCES = 8;

/** F = 4.57 / (3 s + |mean|) of second differences of elevation over two feet, in inches; null where it has no meaning. */
export function flatnessNumber(differencesIn: readonly number[]): number | null {
  const n = differencesIn.length;
  if (n < 2) return null;
  const mean = differencesIn.reduce((sum, d) => sum + d, 0) / n;
  const spread = Math.sqrt(differencesIn.reduce((sum, d) => sum + (d - mean) ** 2, 0) / (n - 1));
  const under = 3 * spread + Math.abs(mean);
  return under < 1e-9 ? null : 4.57 / under;
}

/**
 * Floor-flatness number over survey lines both ways across the judged floor, stations a foot apart on the surface. Readings
 * farther apart than that smooth the floor and flatter it: it is a figure of the map, as good as what the map stands on.
 */
export function floorFlatness(grid: Grid, heights: Float64Array): FlatnessNumber | null {
  const { nx, ny, cellMm } = grid;
  const all: number[] = [];
  let lines = 0;
  const survey = (n: number, cellOf: (i: number) => number) => {
    let run: number[] = [];
    const close = () => {
      const before = all.length;
      for (let i = 1; i + 1 < run.length; i++) all.push((run[i + 1]! - 2 * run[i]! + run[i - 1]!) / INCH_MM);
      if (all.length > before) lines++;
      run = [];
    };
    for (let k = 0; ; k++) {
      const at = (OFF_WALLS_MM + k * STATION_MM) / cellMm;
      const low = Math.floor(at);
      if (low + 1 >= n - OFF_WALLS_MM / cellMm) break;
      const [a, b] = [cellOf(low), cellOf(low + 1)];
      if (grid.inside[a] && grid.inside[b]) run.push(heights[a]! + (at - low) * (heights[b]! - heights[a]!));
      else close();
    }
    close();
  };
  const rows = (count: number) => {
    const [from, to] = [OFF_WALLS_MM / cellMm, count - 1 - OFF_WALLS_MM / cellMm];
    if (to < from) return [];
    const steps = Math.max(1, Math.round(((to - from) * cellMm) / LINES_APART_MM));
    return Array.from({ length: steps + 1 }, (_, i) => Math.round(from + ((to - from) * i) / steps));
  };
  for (const iy of rows(ny)) survey(nx, (i) => iy * nx + i);
  for (const ix of rows(nx)) survey(ny, (i) => i * nx + ix);
  const number = all.length < FEWEST_DIFFERENCES ? null : flatnessNumber(all);
  return number === null ? null : { number, differences: all.length, lines };
}
