import { defaultSpacingMm, type FlatnessRule } from '../coverings/index.ts';
import type { Plan, PointMm } from '../room/index.ts';
import type { Scan } from '../scan/index.ts';
import { sidesFrom, type BreakLine } from './breaks.ts';
import type { Covariance } from './covariance.ts';
import { evidenceOf, type EdgePlaces, type Evidence } from './evidence.ts';
import type { EdgeWalk, FlatFacts } from './facts.ts';
import { gridOver, restrict, type Grid } from './grid.ts';
import { heightsOf, type Heights } from './heights.ts';
import { heightsOver, krige, type FitMemo, type Surface } from './kriging.ts';
import { planeOver, type Plane } from './plane.ts';
import { baseAt, scannedOver, type Scanned } from './scanned.ts';
import type { Sites } from './sites.ts';
import { alongEdge, edgeLengthMm, edgeProblem, edgeReadings } from './walks.ts';

/** The floor as its readings show it, before any rule is asked. */
export interface FloorSurface {
  heights: Heights;
  /** Placements of an edge that count. */
  walks: EdgeWalk[];
  /** Scans that count, laid on the grid; null without one. */
  scanned: Scanned | null;
  /** Lines across which nothing is carried. */
  breaks: readonly BreakLine[];
  spacingMm: number;
  /** Grid of the whole floor. */
  grid: Grid;
  /** Grid of the part judged so far. */
  judged: Grid;
  /** Surface over the whole rectangle, datum heights, mm. */
  surfaceMm: Float64Array;
  covariance: Covariance;
  surface: Surface;
  /** Plane through the judged part: the tilt that flatness leaves out of account. */
  plane: Plane;
  evidence: Evidence;
}

/** How a floor is read from its facts. */
export interface SurfaceOptions {
  spacingMm?: number | null;
  breaks?: readonly BreakLine[];
  memo?: FlatMemo;
}

/** Work that may be kept between two judgements of the same room. Changes the time, never the answer. */
export interface FlatMemo {
  fit: FitMemo;
  grid?: { plan: Plan; grid: Grid };
}

export function flatMemo(): FlatMemo {
  return { fit: {} };
}

/** With fewer readings than this the slope is left out of the drawn plane: one row of readings does not show it. */
export const READINGS_FOR_TILT = 12;

function gridFor(plan: Plan, memo: FlatMemo | undefined): Grid {
  if (memo?.grid?.plan === plan) return memo.grid.grid;
  const grid = gridOver(plan);
  if (memo) memo.grid = { plan, grid };
  return grid;
}

/** The surface through all that was measured of a floor, or null when there is no reading to go by. */
export function floorSurface(
  plan: Plan,
  facts: FlatFacts,
  rules: readonly FlatnessRule[],
  options: SurfaceOptions = {},
): FloorSurface | null {
  const heights = heightsOf(facts);
  const walks = walksThatStand(facts);
  const scans = scansThatStand(facts);
  if (heights.heights.length === 0 && walks.length === 0 && scans.length === 0) return null;
  const spacingMm = options.spacingMm ?? defaultSpacingMm(rules);
  const grid = gridFor(plan, options.memo);
  const scanned = scannedOver(grid, scans, heights.heights);
  if (heights.heights.length === 0 && walks.length === 0 && !scanned) return null;
  const breaks = options.breaks ?? [];
  const sites = apart(overBase(withEdges(separated(heights), walks), grid, scanned), breaks);
  const surface = krige(sites, options.memo?.fit);
  const surfaceMm = heightsOver(surface, grid);
  if (scanned)
    for (let cell = 0; cell < surfaceMm.length; cell++) surfaceMm[cell] = surfaceMm[cell]! + scanned.baseMm[cell]!;
  const evidence = evidenceOf(
    grid,
    heights.heights,
    // However far apart stations are set, a floor is not known by fewer than this.
    Math.min(spacingMm, defaultSpacingMm(rules)),
    scanned?.seen ?? null,
    edgePlaces(walks),
  );
  const judged = restrict(grid, evidence.judged);
  const plane = planeOver(judged, surfaceMm, heights.heights.length >= READINGS_FOR_TILT || scanned !== null);
  return {
    heights,
    walks,
    scanned,
    breaks,
    spacingMm,
    grid,
    judged,
    surfaceMm,
    covariance: surface.covariance,
    surface,
    plane,
    evidence,
  };
}

/** Readings at the very same place (a second set-up over a station moved onto another) are averaged: kriging needs distinct sites. */
function separated(heights: Heights): Sites {
  const at = new Map<string, { x: number; y: number; sum: number; n: number }>();
  for (const h of heights.heights) {
    const key = `${Math.round(h.xMm)}:${Math.round(h.yMm)}`;
    const held = at.get(key);
    if (held) {
      held.sum += h.heightMm;
      held.n++;
    } else at.set(key, { x: h.xMm, y: h.yMm, sum: h.heightMm, n: 1 });
  }
  const list = [...at.values()];
  return {
    x: Float64Array.from(list, (s) => s.x),
    y: Float64Array.from(list, (s) => s.y),
    z: Float64Array.from(list, (s) => s.sum / s.n),
  };
}

/** When the floor was last levelled: what was laid or scanned before says nothing of what lies there now. */
const lastLevelled = ({ works = [] }: FlatFacts) =>
  works.reduce((last, work) => (work.doneAt > last ? work.doneAt : last), '');

function scansThatStand(facts: FlatFacts): Scan[] {
  const since = lastLevelled(facts);
  return (facts.scans ?? []).filter((scan) => scan.takenAt >= since);
}

/** Where a scan saw the floor, readings say how far it differs from the scan. With no reading at all its own level is taken. */
function overBase(sites: Sites, grid: Grid, scanned: Scanned | null): Sites {
  if (!scanned) return sites;
  if (sites.x.length === 0) {
    const cell = scanned.seen.indexOf(1);
    return {
      x: Float64Array.of(grid.x0Mm + (cell % grid.nx) * grid.cellMm),
      y: Float64Array.of(grid.y0Mm + Math.floor(cell / grid.nx) * grid.cellMm),
      z: Float64Array.of(0),
    };
  }
  return { ...sites, z: sites.z.map((z, i) => z - baseAt(grid, scanned.baseMm, sites.x[i]!, sites.y[i]!)) };
}

/** Sites told apart by the break-lines between them. */
function apart(sites: Sites, breaks: readonly BreakLine[]): Sites {
  const at = sidesFrom(breaks);
  return at ? { ...sites, side: { of: Int32Array.from(sites.x, (x, i) => at(x, sites.y[i]!)), at } } : sites;
}

/** Placements laid since then. */
function walksThatStand(facts: FlatFacts): EdgeWalk[] {
  const since = lastLevelled(facts);
  return (facts.edgeWalks ?? [])
    .filter((walk) => walk.takenAt >= since && edgeProblem(walk) === null)
    .sort((a, b) => (a.takenAt < b.takenAt ? -1 : a.takenAt > b.takenAt ? 1 : a.id < b.id ? -1 : 1));
}

/** Staff sites first, then the readings under each edge. */
function withEdges(staffs: Sites, walks: readonly EdgeWalk[]): Sites {
  if (walks.length === 0) return staffs;
  const readings = walks.flatMap((walk, group) => edgeReadings(walk).map((reading) => ({ ...reading, group })));
  const joined = (own: Float64Array, more: (r: (typeof readings)[number]) => number) =>
    Float64Array.from([...own, ...readings.map(more)]);
  return {
    x: joined(staffs.x, (r) => r.xMm),
    y: joined(staffs.y, (r) => r.yMm),
    z: joined(staffs.z, (r) => r.offMm),
    edge: {
      group: Int32Array.from([...staffs.x.map(() => -1), ...readings.map((r) => r.group)]),
      alongM: joined(new Float64Array(staffs.x.length), (r) => r.alongM),
    },
  };
}

/** An edge shows all of the floor it lies over, not only where its gap was read. */
const COVERED_EVERY_MM = 200;

function edgePlaces(walks: readonly EdgeWalk[]): EdgePlaces {
  const isAlong = (walk: EdgeWalk) => Math.abs(walk.toXMm - walk.fromXMm) >= Math.abs(walk.toYMm - walk.fromYMm);
  return {
    along: walks.filter(isAlong).flatMap(coveredBy),
    across: walks.filter((walk) => !isAlong(walk)).flatMap(coveredBy),
  };
}

function coveredBy(walk: EdgeWalk): PointMm[] {
  const length = edgeLengthMm(walk);
  const steps = Math.max(1, Math.ceil(length / COVERED_EVERY_MM));
  return Array.from({ length: steps + 1 }, (_, i) => alongEdge(walk, (length * i) / steps));
}
