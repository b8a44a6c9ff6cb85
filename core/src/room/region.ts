import polygonClipping, { type MultiPolygon, type Ring } from 'polygon-clipping';
import type { PointMm, Polygon } from './geometry.ts';

/** Ring of [x, y] in mm, not closed: the last point joins the first. Outer rings run anticlockwise, holes clockwise. */
export type RegionRing = readonly (readonly [number, number])[];
/** One connected piece: its outer ring, then its holes. */
export type RegionPart = readonly RegionRing[];
/** A flat region of the plan: parts that do not overlap. */
export type Region = readonly RegionPart[];

function ringOf(polygon: Polygon): RegionRing {
  return polygon.map((p) => [p.xMm, p.yMm] as const);
}

/** Twice the signed area of a ring, mm2. */
export function twiceAreaMm2(ring: RegionRing): number {
  let sum = 0;
  for (let i = 0, j = ring.length - 1; i < ring.length; j = i++)
    sum += ring[j]![0] * ring[i]![1] - ring[i]![0] * ring[j]![1];
  return sum;
}

/** Area of a region, m2, its holes taken off. */
export function regionAreaM2(region: Region): number {
  let sum = 0;
  for (const part of region) part.forEach((ring, i) => (sum += (i === 0 ? 1 : -1) * Math.abs(twiceAreaMm2(ring))));
  return sum / 2e6;
}

/** Crumbs of a boolean operation: less than a square centimetre. */
const CRUMB_MM2 = 100;

function fromClipping(result: MultiPolygon): Region {
  return result
    .map((part) =>
      part
        .map((ring, i) => {
          const open = ring.slice(0, -1) as [number, number][];
          const anticlockwise = twiceAreaMm2(open) > 0;
          return anticlockwise === (i === 0) ? open : open.reverse();
        })
        .filter((ring) => Math.abs(twiceAreaMm2(ring)) / 2 > CRUMB_MM2),
    )
    .filter((part) => part.length > 0);
}

function toClipping(region: Region): MultiPolygon {
  return region.map((part) => part.map((ring) => ring.map(([x, y]) => [snap(x), snap(y)]) as Ring));
}

/** Boolean operations meet fewer near-coincident edges on a 1/64 mm lattice, which is far under any tape. */
function snap(v: number): number {
  return Math.round(v * 64) / 64;
}

export function regionOf(polygon: Polygon): Region {
  return [[ringOf(polygon)]];
}

/** What of `a` is not in any of `others`. */
export function without(a: Region, ...others: Region[]): Region {
  const cut = others.filter((other) => other.length > 0).map(toClipping);
  return a.length === 0 || cut.length === 0 ? a : fromClipping(polygonClipping.difference(toClipping(a), ...cut));
}

/** What of `a` is in `b`. */
export function common(a: Region, b: Region): Region {
  return a.length === 0 || b.length === 0
    ? []
    : fromClipping(polygonClipping.intersection(toClipping(a), toClipping(b)));
}

/** All of several regions as one. */
export function together(regions: readonly Region[]): Region {
  const [first, ...rest] = regions.filter((region) => region.length > 0).map(toClipping);
  return first ? fromClipping(polygonClipping.union(first, ...rest)) : [];
}

/** Whether a point lies in the region (even-odd over all its rings). */
export function inRegion(region: Region, x: number, y: number): boolean {
  let inside = false;
  for (const part of region)
    for (const ring of part)
      for (let i = 0, j = ring.length - 1; i < ring.length; j = i++) {
        const [ax, ay] = ring[i]!;
        const [bx, by] = ring[j]!;
        if (ay > y !== by > y && x < ((bx - ax) * (y - ay)) / (by - ay) + ax) inside = !inside;
      }
  return inside;
}

/** Centre of area of a part's outer ring. */
export function centreOf(part: RegionPart): [number, number] {
  let [x, y, twice] = [0, 0, 0];
  const ring = part[0]!;
  for (let i = 0, j = ring.length - 1; i < ring.length; j = i++) {
    const cross = ring[j]![0] * ring[i]![1] - ring[i]![0] * ring[j]![1];
    x += (ring[j]![0] + ring[i]![0]) * cross;
    y += (ring[j]![1] + ring[i]![1]) * cross;
    twice += cross;
  }
  return Math.abs(twice) < 1 ? [ring[0]![0], ring[0]![1]] : [x / (3 * twice), y / (3 * twice)];
}

/** Outer ring of a part as a polygon. */
export function outerOf(part: RegionPart): Polygon {
  return part[0]!.map(([xMm, yMm]): PointMm => ({ xMm, yMm }));
}
