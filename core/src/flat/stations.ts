import { boundsMm, contains, distanceToWallsMm, distanceMm, type Plan, type PointMm } from '../room/index.ts';
import type { RodReading, StationMark } from './facts.ts';
import { cellAt, type Grid } from './grid.ts';

/** Stations stand this far off the walls: a staff does not go into a corner. mm. */
export const WALL_OFFSET_MM = 100;
export const SPACING_MM = { min: 150, max: 2000 } as const;

/** A place to read, proposed or set by hand. */
export interface Station extends PointMm {
  /** Stable name: proposed stations are named by position, others by their mark or reading. */
  key: string;
  source: 'proposed' | 'moved' | 'added' | 'file';
  /** Place in the walk, from 1. */
  number: number;
}

function proposedKey(x: number, y: number): string {
  return `p${Math.round(x)}:${Math.round(y)}`;
}

/** Even positions from wall offset to wall offset, no further apart than the spacing. */
function evenly(from: number, to: number, spacing: number): number[] {
  const [a, b] = [from + WALL_OFFSET_MM, to - WALL_OFFSET_MM];
  if (b - a < 1) return [(from + to) / 2];
  const steps = Math.max(1, Math.ceil((b - a) / spacing - 1e-9));
  return Array.from({ length: steps + 1 }, (_, i) => a + ((b - a) * i) / steps);
}

/** Grid over the room, with every wall lined 100 mm in so that alcoves and notches are not passed over. */
export function proposeStations(plan: Plan, spacingMm: number): PointMm[] {
  const b = boundsMm(plan.corners);
  const free = (x: number, y: number) =>
    contains(plan.corners, x, y) &&
    distanceToWallsMm(plan.corners, x, y) >= WALL_OFFSET_MM - 5 &&
    plan.islands.every((island) => !contains(island, x, y) && distanceToWallsMm(island, x, y) >= WALL_OFFSET_MM - 5);
  const points: PointMm[] = [];
  for (const yMm of evenly(b.minY, b.maxY, spacingMm)) {
    for (const xMm of evenly(b.minX, b.maxX, spacingMm)) if (free(xMm, yMm)) points.push({ xMm, yMm });
  }
  const n = plan.corners.length;
  for (let w = 0; w < n; w++) {
    const [a, c] = [plan.corners[w]!, plan.corners[(w + 1) % n]!];
    const length = distanceMm(a, c);
    const [ux, uy] = [(c.xMm - a.xMm) / length, (c.yMm - a.yMm) / length];
    for (const t of evenly(0, length, spacingMm)) {
      const p = { xMm: a.xMm + ux * t - uy * WALL_OFFSET_MM, yMm: a.yMm + uy * t + ux * WALL_OFFSET_MM };
      if (free(p.xMm, p.yMm) && points.every((q) => distanceMm(p, q) > spacingMm * 0.45)) points.push(p);
    }
  }
  return points;
}

/**
 * The stations of a room in walking order: proposed ones, less those moved, dropped or already covered by a reading that came
 * from elsewhere within 0.45 of the spacing, plus the added ones and the places of such readings.
 */
export function stationsOf(
  plan: Plan,
  spacingMm: number,
  marks: readonly StationMark[],
  readings: readonly RodReading[],
  door: PointMm,
): Station[] {
  const replaced = new Map(marks.filter((mark) => mark.replacesKey !== null).map((mark) => [mark.replacesKey!, mark]));
  const list: Omit<Station, 'number'>[] = [];
  const proposed = proposeStations(plan, spacingMm).map((p) => ({ ...p, key: proposedKey(p.xMm, p.yMm) }));
  const own = new Set(proposed.map((p) => p.key));
  for (const mark of marks)
    if (mark.replacesKey === null && !mark.dropped)
      list.push({ key: mark.id, xMm: mark.xMm, yMm: mark.yMm, source: 'added' });
  const known = new Set([...own, ...list.map((s) => s.key)]);
  for (const reading of readings) {
    if (known.has(reading.stationKey)) continue;
    known.add(reading.stationKey);
    list.push({ key: reading.stationKey, xMm: reading.xMm, yMm: reading.yMm, source: 'file' });
  }
  // An added station is one more, on something seen; only readings from elsewhere stand in for proposals.
  const strangers = list.filter((s) => s.source === 'file');
  const read = new Set(readings.map((reading) => reading.stationKey));
  for (const p of proposed) {
    const mark = replaced.get(p.key);
    if (mark && !mark.dropped) list.push({ key: p.key, xMm: mark.xMm, yMm: mark.yMm, source: 'moved' });
    else if (read.has(p.key) || (!mark && strangers.every((s) => distanceMm(s, p) > spacingMm * 0.45)))
      list.push({ ...p, source: 'proposed' });
  }
  return walk(list, door, spacingMm).map((station, index) => ({ ...station, number: index + 1 }));
}

/** Staffs on what a scan saw only tell its level, its lean and its drift: they may stand this far apart, mm. */
const ANCHORS_APART_MM = 1500;

/**
 * Stations left to read beside a scan: all of those where it saw nothing, and of the rest enough to anchor it. What was set by
 * hand or read already stays.
 */
export function stationsBesides(
  stations: readonly Station[],
  grid: Grid,
  seen: Uint8Array,
  readings: readonly RodReading[],
): Station[] {
  const read = new Set(readings.map((reading) => reading.stationKey));
  const on = (s: PointMm) => {
    const cell = cellAt(grid, s.xMm, s.yMm);
    return cell >= 0 && seen[cell] === 1;
  };
  const kept: Station[] = [];
  const anchors: PointMm[] = stations.filter((s) => on(s) && read.has(s.key));
  for (const station of stations) {
    const needed = !on(station) || read.has(station.key) || station.source === 'added' || station.source === 'moved';
    const anchor = anchors.every((a) => distanceMm(a, station) >= ANCHORS_APART_MM);
    if (!needed && !anchor) continue;
    if (!needed) anchors.push(station);
    kept.push(station);
  }
  return kept.map((station, i) => ({ ...station, number: i + 1 }));
}

function lengthOf(order: readonly PointMm[], start: PointMm): number {
  let sum = 0;
  let at = start;
  for (const p of order) {
    sum += distanceMm(at, p);
    at = p;
  }
  return sum;
}

/** Back and forth in lanes, the way people walk a floor; `across` swaps the axes, the flips choose the starting corner. */
function lanes<T extends PointMm>(
  points: readonly T[],
  laneMm: number,
  across: boolean,
  flipLane: boolean,
  flipAlong: boolean,
): T[] {
  const lane = (p: T) => Math.round((across ? p.xMm : p.yMm) / laneMm);
  const along = (p: T) => (across ? p.yMm : p.xMm);
  const groups = new Map<number, T[]>();
  for (const p of points) groups.set(lane(p), [...(groups.get(lane(p)) ?? []), p]);
  const order = [...groups.keys()].sort((a, b) => (flipLane ? b - a : a - b));
  return order.flatMap((key, i) => {
    const row = groups.get(key)!.sort((a, b) => along(a) - along(b));
    return (i % 2 === 1) !== flipAlong ? row.reverse() : row;
  });
}

/** Nearest neighbour from the door, then segment reversals (2-opt on an open path) until none shortens it. */
function shortened<T extends PointMm>(points: readonly T[], start: PointMm): T[] {
  const left = [...points];
  const path: T[] = [];
  for (let at = start; left.length > 0; at = path[path.length - 1]!) {
    let nearest = 0;
    for (let i = 1; i < left.length; i++) if (distanceMm(at, left[i]!) < distanceMm(at, left[nearest]!)) nearest = i;
    path.push(...left.splice(nearest, 1));
  }
  for (let pass = 0, better = true; better && pass < 12; pass++) {
    better = false;
    for (let i = 0; i < path.length - 1; i++) {
      const before = i === 0 ? start : path[i - 1]!;
      for (let j = i + 1; j < path.length; j++) {
        const after = path[j + 1];
        const now = distanceMm(before, path[i]!) + (after ? distanceMm(path[j]!, after) : 0);
        const then = distanceMm(before, path[j]!) + (after ? distanceMm(path[i]!, after) : 0);
        if (then < now - 1e-6) {
          path.splice(i, j - i + 1, ...path.slice(i, j + 1).reverse());
          better = true;
        }
      }
    }
  }
  return path;
}

/** Lanes are easier to follow on the floor than the shortest path; they are kept unless that saves more than this share. */
const SAVING_WORTH_A_TANGLE = 0.1;

/** Walking order from the door: the shortest of the eight ways of walking lanes, unless a free path saves over a tenth. */
export function walk<T extends PointMm>(points: readonly T[], start: PointMm, spacingMm: number): T[] {
  if (points.length === 0) return [];
  let best: T[] = [];
  for (let way = 0; way < 8; way++) {
    const candidate = lanes(points, spacingMm * 0.8, (way & 1) > 0, (way & 2) > 0, (way & 4) > 0);
    if (best.length === 0 || lengthOf(candidate, start) < lengthOf(best, start) - 1e-6) best = candidate;
  }
  const free = shortened(points, start);
  return lengthOf(free, start) < lengthOf(best, start) * (1 - SAVING_WORTH_A_TANGLE) ? free : best;
}
