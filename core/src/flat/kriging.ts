import { backSolve, extendFactor, forwardSolve, logDeterminant, type Factor } from './cholesky.ts';
import type { Grid } from './grid.ts';

/** Heights at scattered points, parallel arrays, in the order they were taken. mm. */
export interface Sites {
  x: Float64Array;
  y: Float64Array;
  z: Float64Array;
  /**
   * Readings under an edge: which placement each belongs to (-1: none, a staff reading), and metres along it. Readings of one
   * placement share a level and a tilt that nobody knows.
   */
  edge?: { group: Int32Array; alongM: Float64Array };
  /** Which side of the break-lines each lies on, and how any other place is told; absent: there are none. */
  side?: { of: Int32Array; at: SideOf };
}

/** Number of the piece that break-lines cut a floor into at a place: what lies on another piece says nothing of this one. */
export type SideOf = (xMm: number, yMm: number) => number;

/** Variance given to the unknown level and tilt of an edge, mm2 and mm2 for each m2: larger than any floor needs. */
const EDGE_FREE_MM2 = 400;

/** A wedge or feeler under an edge reads to about 0.2 mm, mm2. */
const WEDGE_MM2 = 0.04;

/** Noise of one reading, mm2. */
export function noiseMm2({ edge }: Sites, i: number, { nuggetMm2 }: Covariance): number {
  return edge && edge.group[i]! >= 0 ? Math.min(WEDGE_MM2, nuggetMm2) : nuggetMm2;
}

/** Covariance that two readings share for having been read under one edge (flatness definitions, section 1). */
function underEdge({ edge }: Sites, i: number, j: number): number {
  if (!edge || edge.group[i]! < 0 || edge.group[i] !== edge.group[j]) return 0;
  return EDGE_FREE_MM2 * (1 + edge.alongM[i]! * edge.alongM[j]!);
}

/** Parameters of the covariance: s^2 (1 + sqrt(3) r/l) exp(-sqrt(3) r/l) + nugget at r = 0 (Matern, smoothness 3/2). */
export interface Covariance {
  sillMm2: number;
  rangeMm: number;
  nuggetMm2: number;
}

export interface Surface {
  covariance: Covariance;
  /** Drift level + b1 (x - cx) + b2 (y - cy); each side of the break-lines has a level of its own. */
  levels: ReadonlyMap<number, number>;
  slopes: [number, number];
  centre: [number, number];
  weights: Float64Array;
  sites: Sites;
}

/** What a fit may reuse from the one before: it changes nothing in the answer, only the time. */
export interface FitMemo {
  fitted?: Pick<Sites, 'x' | 'y' | 'z' | 'side'> & { covariance: Covariance };
  factored?: Omit<Sites, 'z'> & { covariance: Covariance; factor: Factor };
}

const SQRT3 = Math.sqrt(3);
const RANGES_MM = [400, 650, 1000, 1600, 2600, 4200];
const NUGGET_SHARES = [0.003, 0.01, 0.04, 0.15];
/** Reading noise of a staff and laser, mm^2, and the band a fitted nugget may lie in. */
const NUGGET_MM2 = { usual: 0.25, min: 0.01, max: 4 };
const LIKELIHOOD_SITES = 200;
const FEWEST_TO_FIT = 10;
/** Spread of a floor known by edges alone, mm2: a few millimetres. */
const FEW_SILL_MM2 = 9;
const FEWEST_FOR_DRIFT = 6;

/** Correlation at distance r for range l, both mm. */
export function correlation(rMm: number, rangeMm: number): number {
  const q = (SQRT3 * rMm) / rangeMm;
  return (1 + q) * Math.exp(-q);
}

/**
 * How many of the first n sites decide the covariance: all up to 60, then in steps of a quarter. A reading added to a large
 * walk then leaves the covariance, and with it the factor, as they were; the answer stays a function of the sites alone.
 */
export function sitesThatDecide(n: number): number {
  let held = 60;
  if (n <= held) return n;
  while (Math.floor(held * 1.25) <= n) held = Math.floor(held * 1.25);
  return held;
}

/** Sides that sites lie on, in the order they are met; one where there are no break-lines. */
function sidesOf({ side, x }: Sites): number[] {
  return side && x.length > 0 ? [...new Set(side.of)] : [0];
}

const sameSide = ({ side }: Sites, i: number, j: number) => !side || side.of[i] === side.of[j];

function driftColumns(sites: Sites, n: number, centre: [number, number], withSlope: boolean): Float64Array[] {
  const columns = sidesOf(sites).map((one) =>
    sites.side ? Float64Array.from(sites.side.of, (of) => (of === one ? 1 : 0)) : new Float64Array(n).fill(1),
  );
  if (withSlope) {
    columns.push(sites.x.subarray(0, n).map((x) => (x - centre[0]) / 1000));
    columns.push(sites.y.subarray(0, n).map((y) => (y - centre[1]) / 1000));
  }
  return columns;
}

function dot(a: Float64Array, b: Float64Array): number {
  let sum = 0;
  for (let i = 0; i < a.length; i++) sum += a[i]! * b[i]!;
  return sum;
}

/** Generalised least squares of z on the drift, given the factored covariance. Null when the sites do not fix the drift. */
function driftOf(
  factor: Factor,
  z: Float64Array,
  columns: Float64Array[],
): { beta: number[]; whitened: Float64Array } | null {
  const wz = forwardSolve(factor, z);
  const wf = columns.map((column) => forwardSolve(factor, column));
  const normal: Factor = { size: 0, packed: new Float64Array((wf.length * (wf.length + 1)) / 2) };
  const scale = wf.map((w) => Math.sqrt(dot(w, w)) || 1);
  const ok = extendFactor(
    normal,
    wf.length,
    (i, j) => dot(wf[i]!, wf[j]!) / (scale[i]! * scale[j]!) - (i === j ? 1e-9 : 0),
  );
  if (!ok) return null;
  const rhs = wf.map((w, i) => dot(w, wz) / scale[i]!);
  const beta = Array.from(backSolve(normal, forwardSolve(normal, rhs))).map((b, i) => b / scale[i]!);
  const whitened = wz.map((value, i) => value - wf.reduce((sum, w, k) => sum + w[i]! * beta[k]!, 0));
  return { beta, whitened };
}

function spreadOf(z: Float64Array): number {
  const mean = z.reduce((a, b) => a + b, 0) / z.length;
  return Math.max(1, z.reduce((a, b) => a + (b - mean) ** 2, 0) / z.length);
}

/** Covariance by maximum likelihood over a small grid of range and nugget share; the sill is profiled out. */
export function fitCovariance(all: Sites): Covariance {
  const m = all.x.length;
  const step = Math.max(1, m / LIKELIHOOD_SITES);
  const picked = Array.from({ length: Math.min(m, LIKELIHOOD_SITES) }, (_, i) => Math.floor(i * step));
  const sites: Sites = {
    x: Float64Array.from(picked, (i) => all.x[i]!),
    y: Float64Array.from(picked, (i) => all.y[i]!),
    z: Float64Array.from(picked, (i) => all.z[i]!),
    ...(all.side ? { side: { of: Int32Array.from(picked, (i) => all.side!.of[i]!), at: all.side.at } } : {}),
  };
  const n = sites.x.length;
  const fallback: Covariance = {
    sillMm2: n === 0 ? FEW_SILL_MM2 : spreadOf(sites.z),
    rangeMm: 1600,
    nuggetMm2: NUGGET_MM2.usual,
  };
  if (n < FEWEST_TO_FIT) return fallback;
  const centre: [number, number] = [sites.x[0]!, sites.y[0]!];
  const columns = driftColumns(sites, n, centre, true);
  let best = fallback;
  let bestScore = Infinity;
  const correlations = new Float64Array((n * (n + 1)) / 2);
  for (const rangeMm of RANGES_MM) {
    for (let i = 0, at = 0; i < n; i++) {
      for (let j = 0; j <= i; j++)
        correlations[at++] = sameSide(sites, i, j)
          ? correlation(Math.hypot(sites.x[i]! - sites.x[j]!, sites.y[i]! - sites.y[j]!), rangeMm)
          : 0;
    }
    for (const share of NUGGET_SHARES) {
      const factor: Factor = { size: 0, packed: new Float64Array(correlations.length) };
      if (!extendFactor(factor, n, (i, j) => correlations[(i * (i + 1)) / 2 + j]! + (i === j ? share : 0))) continue;
      const fit = driftOf(factor, sites.z, columns);
      if (!fit) continue;
      const sillMm2 = dot(fit.whitened, fit.whitened) / n;
      const nuggetMm2 = share * sillMm2;
      if (nuggetMm2 < NUGGET_MM2.min || nuggetMm2 > NUGGET_MM2.max) continue;
      const score = n * Math.log(sillMm2) + logDeterminant(factor);
      if (score < bestScore) {
        bestScore = score;
        best = { sillMm2, rangeMm, nuggetMm2 };
      }
    }
  }
  return best;
}

function startsWith(long: ArrayLike<number>, short: ArrayLike<number>): boolean {
  if (short.length > long.length) return false;
  for (let i = 0; i < short.length; i++) if (long[i] !== short[i]) return false;
  return true;
}

function sharedPrefix(a: Omit<Sites, 'z'>, b: Omit<Sites, 'z'>): number {
  const group = ({ edge }: Omit<Sites, 'z'>, i: number) => edge?.group[i] ?? -1;
  let i = 0;
  while (
    i < a.x.length &&
    i < b.x.length &&
    a.x[i] === b.x[i] &&
    a.y[i] === b.y[i] &&
    group(a, i) === group(b, i) &&
    a.side?.of[i] === b.side?.of[i] &&
    (group(a, i) < 0 || a.edge!.alongM[i] === b.edge!.alongM[i])
  )
    i++;
  return i;
}

function sameCovariance(a: Covariance, b: Covariance): boolean {
  return a.sillMm2 === b.sillMm2 && a.rangeMm === b.rangeMm && a.nuggetMm2 === b.nuggetMm2;
}

function covarianceFor(sites: Sites, memo: FitMemo): Covariance {
  // Staff readings alone decide how rough the floor is: they come first, and an edge's own level would pass for roughness.
  const staffs = sites.edge ? sites.edge.group.findIndex((group) => group >= 0) : -1;
  const m = sitesThatDecide(staffs < 0 ? sites.x.length : staffs);
  const decide = {
    x: sites.x.slice(0, m),
    y: sites.y.slice(0, m),
    z: sites.z.slice(0, m),
    ...(sites.side ? { side: { of: sites.side.of.slice(0, m), at: sites.side.at } } : {}),
  };
  const held = memo.fitted;
  const same = (of: (s: Pick<Sites, 'x' | 'y' | 'z' | 'side'>) => ArrayLike<number>) =>
    held !== undefined && of(held).length === of(decide).length && startsWith(of(decide), of(held));
  if (held && same((s) => s.x) && same((s) => s.y) && same((s) => s.z) && same((s) => s.side?.of ?? []))
    return held.covariance;
  const covariance = fitCovariance(decide);
  memo.fitted = { ...decide, covariance };
  return covariance;
}

/**
 * Universal kriging surface through the sites (linear drift in x and y from six sites on, a level below that).
 * With a memo, an added reading costs one more row of the factor and two solves. Needs at least one site; throws on none.
 */
export function krige(sites: Sites, memo: FitMemo = {}, given?: Covariance): Surface {
  const n = sites.x.length;
  if (n === 0) throw new RangeError('kriging needs at least one reading');
  const covariance = given ?? covarianceFor(sites, memo);
  const held = memo.factored;
  const factor: Factor =
    held && sameCovariance(held.covariance, covariance)
      ? held.factor
      : { size: 0, packed: new Float64Array((n * (n + 1)) / 2) };
  factor.size = held ? Math.min(factor.size, sharedPrefix(sites, held)) : 0;
  const ok = extendFactor(factor, n, (i, j) => {
    const near = sameSide(sites, i, j)
      ? correlation(Math.hypot(sites.x[i]! - sites.x[j]!, sites.y[i]! - sites.y[j]!), covariance.rangeMm)
      : 0;
    const c = covariance.sillMm2 * near + underEdge(sites, i, j);
    return i === j ? c + noiseMm2(sites, i, covariance) : c;
  });
  if (!ok) throw new RangeError('the readings lie on top of one another');
  memo.factored = {
    x: sites.x.slice(),
    y: sites.y.slice(),
    ...(sites.edge ? { edge: { group: sites.edge.group.slice(), alongM: sites.edge.alongM.slice() } } : {}),
    ...(sites.side ? { side: { of: sites.side.of.slice(), at: sites.side.at } } : {}),
    covariance,
    factor,
  };
  const centre: [number, number] = [sites.x.reduce((a, b) => a + b, 0) / n, sites.y.reduce((a, b) => a + b, 0) / n];
  const sloped = n >= FEWEST_FOR_DRIFT ? driftOf(factor, sites.z, driftColumns(sites, n, centre, true)) : null;
  const fit = sloped ?? driftOf(factor, sites.z, driftColumns(sites, n, centre, false))!;
  const sides = sidesOf(sites);
  return {
    covariance,
    levels: new Map(sides.map((side, i) => [side, fit.beta[i]!])),
    slopes: [(fit.beta[sides.length] ?? 0) / 1000, (fit.beta[sides.length + 1] ?? 0) / 1000],
    centre,
    weights: backSolve(factor, fit.whitened),
    sites,
  };
}

/** Level of the drift on a side; on one without a reading the mean of the others is all there is. */
function levelOn({ levels }: Surface, side: number): number {
  const own = levels.get(side);
  if (own !== undefined) return own;
  return [...levels.values()].reduce((sum, level) => sum + level, 0) / levels.size;
}

/** Height of the surface at one point, mm. */
export function heightAt(surface: Surface, xMm: number, yMm: number): number {
  const { covariance, slopes, centre, weights, sites } = surface;
  const side = sites.side?.at(xMm, yMm) ?? 0;
  let sum = levelOn(surface, side) + slopes[0] * (xMm - centre[0]) + slopes[1] * (yMm - centre[1]);
  for (let i = 0; i < weights.length; i++) {
    if (sites.side && sites.side.of[i] !== side) continue;
    sum +=
      weights[i]! *
      covariance.sillMm2 *
      correlation(Math.hypot(xMm - sites.x[i]!, yMm - sites.y[i]!), covariance.rangeMm);
  }
  return sum;
}

/** Side of the break-lines that each cell of a grid lies on; null where there are none. */
export function sidesOver({ side }: Sites, { nx, ny, cellMm, x0Mm, y0Mm }: Grid): Int32Array | null {
  if (!side) return null;
  return Int32Array.from({ length: nx * ny }, (_, cell) =>
    side.at(x0Mm + (cell % nx) * cellMm, y0Mm + Math.floor(cell / nx) * cellMm),
  );
}

/**
 * Heights over every cell of the grid's rectangle, mm (outside the room too, which keeps contours whole at the walls).
 * The correlation comes from a table at 1 mm with linear interpolation: within 3e-6 of the sill of the exact value.
 */
export function heightsOver(surface: Surface, grid: Grid): Float64Array {
  const { covariance, slopes, centre, weights, sites } = surface;
  const { nx, ny, cellMm, x0Mm, y0Mm } = grid;
  let reach = 0;
  for (let i = 0; i < weights.length; i++) {
    const dx = Math.max(Math.abs(sites.x[i]! - x0Mm), Math.abs(sites.x[i]! - x0Mm - (nx - 1) * cellMm));
    const dy = Math.max(Math.abs(sites.y[i]! - y0Mm), Math.abs(sites.y[i]! - y0Mm - (ny - 1) * cellMm));
    reach = Math.max(reach, Math.hypot(dx, dy));
  }
  const table = new Float64Array(Math.ceil(reach) + 2);
  for (let r = 0; r < table.length; r++) table[r] = covariance.sillMm2 * correlation(r, covariance.rangeMm);
  const sides = sidesOver(sites, grid);
  const out = new Float64Array(nx * ny);
  for (let iy = 0; iy < ny; iy++) {
    const y = y0Mm + iy * cellMm;
    for (let ix = 0; ix < nx; ix++)
      out[iy * nx + ix] =
        levelOn(surface, sides ? sides[iy * nx + ix]! : 0) +
        slopes[0] * (x0Mm + ix * cellMm - centre[0]) +
        slopes[1] * (y - centre[1]);
  }
  for (let i = 0; i < weights.length; i++) {
    const w = weights[i]!;
    const own = sites.side?.of[i];
    for (let iy = 0, at = 0; iy < ny; iy++) {
      const dy = y0Mm + iy * cellMm - sites.y[i]!;
      const dy2 = dy * dy;
      let dx = x0Mm - sites.x[i]!;
      for (let ix = 0; ix < nx; ix++, at++, dx += cellMm) {
        if (sides && sides[at] !== own) continue;
        const r = Math.sqrt(dx * dx + dy2);
        const k = r | 0;
        const a = table[k]!;
        out[at] = out[at]! + w * (a + (r - k) * (table[k + 1]! - a));
      }
    }
  }
  return out;
}

/**
 * Spread of what the readings leave unknown at places, mm (one standard deviation of the kriged height, the drift taken for
 * known): where it is largest the next reading tells most.
 */
export function unsureAt(
  { covariance, sites }: Surface,
  memo: FitMemo,
  places: readonly (readonly [number, number])[],
): number[] {
  const { factor } = memo.factored!;
  const { sillMm2, rangeMm } = covariance;
  return places.map(([xMm, yMm]) => {
    const side = sites.side?.at(xMm, yMm);
    const known = forwardSolve(
      factor,
      sites.x.map((x, i) =>
        sites.side && sites.side.of[i] !== side
          ? 0
          : sillMm2 * correlation(Math.hypot(xMm - x, yMm - sites.y[i]!), rangeMm),
      ),
    );
    return Math.sqrt(Math.max(0, sillMm2 - dot(known, known)));
  });
}
