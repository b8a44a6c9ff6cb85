import type { Placement } from './gap-map.ts';
import { cellAt, type Grid } from './grid.ts';

/** Smallest angle between two directions, 0 to pi/2. */
function between(a: number, b: number): number {
  const d = Math.abs(a - b) % Math.PI;
  return Math.min(d, Math.PI - d);
}

/**
 * The placements worth showing: largest first, each at least a quarter edge and 45 degrees from every one already taken, or
 * half an edge away whatever its direction.
 */
export function worstPlacements(over: readonly Placement[], edgeMm: number, most = 8): Placement[] {
  const sorted = [...over].sort(
    (a, b) => b.valueMm - a.valueMm || a.at[0] - b.at[0] || a.at[1] - b.at[1] || a.angleRad - b.angleRad,
  );
  const taken: Placement[] = [];
  for (const p of sorted) {
    if (taken.length === most) break;
    const clear = taken.every((q) => {
      const apart = Math.hypot(p.at[0] - q.at[0], p.at[1] - q.at[1]);
      return apart >= edgeMm / 2 || (apart >= edgeMm / 4 && between(p.angleRad, q.angleRad) >= Math.PI / 4 - 1e-9);
    });
    if (clear) taken.push(p);
  }
  return taken;
}

/** A cut through the floor along a placement, with the edge resting on it. Distances along the cut, heights, all mm. */
export interface Profile {
  points: { alongMm: number; heightMm: number }[];
  /** Underside of the edge. */
  edge: { fromMm: number; fromHeightMm: number; toMm: number; toHeightMm: number };
  contactsMm: number[];
  /** Where to draw the gap, and how large it is there. Two for a rocking edge. */
  gaps: { alongMm: number; floorMm: number; gapMm: number }[];
  rocks: boolean;
  /** Ends of the edge on the plan. */
  planFrom: [number, number];
  planTo: [number, number];
}

function sampler(grid: Grid, heights: Float64Array): (x: number, y: number) => number | null {
  return (x, y) => {
    const fx = (x - grid.x0Mm) / grid.cellMm;
    const fy = (y - grid.y0Mm) / grid.cellMm;
    const cell = cellAt(grid, x, y);
    if (cell < 0 || !grid.inside[cell]) return null;
    const ix = Math.min(grid.nx - 2, Math.max(0, Math.floor(fx)));
    const iy = Math.min(grid.ny - 2, Math.max(0, Math.floor(fy)));
    if (grid.nx < 2 || grid.ny < 2) return heights[cell]!;
    const [u, v] = [fx - ix, fy - iy];
    const at = iy * grid.nx + ix;
    const [a, b, c, d] = [heights[at]!, heights[at + 1]!, heights[at + grid.nx]!, heights[at + grid.nx + 1]!];
    return a + u * (b - a) + v * (c - a) + u * v * (a - b - c + d);
  };
}

/** Upper hull of the profile between two indices, as indices. */
function upperHull(points: Profile['points'], first: number, last: number): number[] {
  const hull: number[] = [];
  for (let k = first; k <= last; k++) {
    while (hull.length >= 2) {
      const [a, b] = [points[hull[hull.length - 2]!]!, points[hull[hull.length - 1]!]!];
      const p = points[k]!;
      if ((b.heightMm - a.heightMm) * (p.alongMm - a.alongMm) > (p.heightMm - a.heightMm) * (b.alongMm - a.alongMm))
        break;
      hull.pop();
    }
    hull.push(k);
  }
  return hull;
}

/**
 * Profile to draw for a placement: 1 cm samples along its line, a little beyond the edge on both sides where the room goes on.
 * The edge lies on the hull segment under its middle; where the middle is itself a contact it rocks and is drawn with equal
 * end gaps. Where the run is shorter than the edge, the edge is drawn as long as the run.
 */
export function profileOf(grid: Grid, heights: Float64Array, placement: Placement, edgeMm: number): Profile {
  const step = 10;
  const [ux, uy] = [Math.cos(placement.angleRad), Math.sin(placement.angleRad)];
  const sample = sampler(grid, heights);
  const reach = (sign: 1 | -1): number => {
    let k = 0;
    while (
      k * step < edgeMm * 1.25 &&
      sample(placement.at[0] + sign * ux * (k + 1) * step, placement.at[1] + sign * uy * (k + 1) * step) !== null
    )
      k++;
    return k;
  };
  const [back, ahead] = [reach(-1), reach(1)];
  const points: Profile['points'] = [];
  for (let k = -back; k <= ahead; k++) {
    points.push({
      alongMm: k * step,
      heightMm: sample(placement.at[0] + ux * k * step, placement.at[1] + uy * k * step) ?? 0,
    });
  }
  const span = Math.min(Math.round(edgeMm / step), back + ahead);
  const along = (p: [number, number]) => (p[0] - placement.at[0]) * ux + (p[1] - placement.at[1]) * uy;
  const rocks = placement.kind === 'crown';
  let start: number;
  let line: { slope: number; height: number; contacts: number[] };
  if (rocks) {
    const half = Math.min(Math.floor(span / 2), back, ahead);
    start = back - half;
    const [a, c, b] = [points[start]!, points[back]!, points[back + half]!];
    line = {
      slope: half > 0 ? (b.heightMm - a.heightMm) / (b.alongMm - a.alongMm) : 0,
      height: c.heightMm,
      contacts: [0],
    };
    return finish(placement, points, line, a.alongMm, b.alongMm, [a, b], ux, uy);
  }
  // Of the positions that cover both contacts, the one that shows the largest gap with its middle between them.
  const [cFrom, cTo] = [Math.round(along(placement.from) / step) + back, Math.round(along(placement.to) / step) + back];
  let best = {
    start: Math.max(0, Math.min(cFrom, points.length - 1 - span)),
    gap: -Infinity,
    line: { slope: 0, height: 0, contacts: [0] },
  };
  for (let s = Math.max(0, cTo - span); s <= Math.min(cFrom, points.length - 1 - span); s += 2) {
    const candidate = restingLine(points, s, s + span);
    const gap = candidate.height - points[back]!.heightMm;
    if (gap > best.gap) best = { start: s, gap, line: candidate };
  }
  if (best.gap === -Infinity) best.line = restingLine(points, best.start, best.start + span);
  start = best.start;
  return finish(
    placement,
    points,
    best.line,
    points[start]!.alongMm,
    points[start + span]!.alongMm,
    [points[back]!],
    ux,
    uy,
  );
}

/** Line of the hull segment under the middle of [first, last], as height at along = 0 and slope. */
function restingLine(
  points: Profile['points'],
  first: number,
  last: number,
): { slope: number; height: number; contacts: number[] } {
  const hull = upperHull(points, first, last);
  const middle = (first + last) / 2;
  let k = 0;
  while (k < hull.length - 2 && hull[k + 1]! < middle) k++;
  const [a, b] = [points[hull[k]!]!, points[hull[k + 1] ?? hull[k]!]!];
  const slope = b.alongMm === a.alongMm ? 0 : (b.heightMm - a.heightMm) / (b.alongMm - a.alongMm);
  return { slope, height: a.heightMm - slope * a.alongMm, contacts: [a.alongMm, b.alongMm] };
}

function finish(
  placement: Placement,
  points: Profile['points'],
  line: { slope: number; height: number; contacts: number[] },
  fromMm: number,
  toMm: number,
  read: Profile['points'],
  ux: number,
  uy: number,
): Profile {
  const heightAt = (alongMm: number) => line.height + line.slope * alongMm;
  return {
    points,
    edge: { fromMm, fromHeightMm: heightAt(fromMm), toMm, toHeightMm: heightAt(toMm) },
    contactsMm: line.contacts,
    gaps: read.map((p) => ({ alongMm: p.alongMm, floorMm: p.heightMm, gapMm: heightAt(p.alongMm) - p.heightMm })),
    rocks: placement.kind === 'crown',
    planFrom: [placement.at[0] + ux * fromMm, placement.at[1] + uy * fromMm],
    planTo: [placement.at[0] + ux * toMm, placement.at[1] + uy * toMm],
  };
}
