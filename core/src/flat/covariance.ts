import { backSolve, extendFactor, forwardSolve, logDeterminant, type Factor } from './cholesky.ts';
import { sameSide, sidesOf, type Sites } from './sites.ts';

/** Parameters of the covariance: s^2 (1 + sqrt(3) r/l) exp(-sqrt(3) r/l) + nugget at r = 0 (Matern, smoothness 3/2). */
export interface Covariance {
  sillMm2: number;
  rangeMm: number;
  nuggetMm2: number;
}

/** A wedge or feeler under an edge reads to about 0.2 mm, mm2. */
const WEDGE_MM2 = 0.04;

/** Noise of one reading, mm2. */
export function noiseMm2({ edge }: Sites, i: number, { nuggetMm2 }: Covariance): number {
  return edge && edge.group[i]! >= 0 ? Math.min(WEDGE_MM2, nuggetMm2) : nuggetMm2;
}

const SQRT3 = Math.sqrt(3);
const RANGES_MM = [400, 650, 1000, 1600, 2600, 4200];
const NUGGET_SHARES = [0.003, 0.01, 0.04, 0.15];
/** Reading noise of a staff and laser, mm^2, and the band a fitted nugget may lie in. */
const NUGGET_MM2 = { usual: 0.25, min: 0.01, max: 4 };
const LIKELIHOOD_SITES = 200;
const FEWEST_TO_FIT = 6;
/** Spread of a floor known by edges alone, mm2: a few millimetres. */
const FEW_SILL_MM2 = 9;
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

/** Columns of the drift: a level for each side, and with a slope metres along x and y from the centre. */
export function driftColumns(sites: Sites, n: number, centre: [number, number], withSlope: boolean): Float64Array[] {
  const columns = sidesOf(sites).map((one) =>
    sites.side ? Float64Array.from(sites.side.of, (of) => (of === one ? 1 : 0)) : new Float64Array(n).fill(1),
  );
  if (withSlope) {
    columns.push(sites.x.subarray(0, n).map((x) => (x - centre[0]) / 1000));
    columns.push(sites.y.subarray(0, n).map((y) => (y - centre[1]) / 1000));
  }
  return columns;
}

export function dot(a: Float64Array, b: Float64Array): number {
  let sum = 0;
  for (let i = 0; i < a.length; i++) sum += a[i]! * b[i]!;
  return sum;
}

/** Generalised least squares of z on the drift, given the factored covariance. Null when the sites do not fix the drift. */
export function driftOf(
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

/** What is believed of a floor's spread counts as so many readings: with few of them it is not taken from those alone. */
const BELIEVED_READINGS = 3;

/** Sill from the squares that `n` readings leave, mm2, with what is believed beforehand. */
function sillFrom(squaresMm2: number, n: number): number {
  return (squaresMm2 + BELIEVED_READINGS * FEW_SILL_MM2) / (n + BELIEVED_READINGS);
}

/** Squares about their mean, mm2. */
function squaresOf(z: Float64Array): number {
  const mean = z.reduce((a, b) => a + b, 0) / (z.length || 1);
  return z.reduce((a, b) => a + (b - mean) ** 2, 0);
}

/** What is believed of a floor before it is read: mean and spread of the logarithms of its range and of the nugget, mm and mm2. */
const BELIEVED = {
  range: { mean: Math.log(1300), spread: 0.4 },
  nugget: { mean: Math.log(0.12), spread: 1 },
} as const;

const credit = (value: number, { mean, spread }: { mean: number; spread: number }) =>
  ((Math.log(value) - mean) / spread) ** 2;

/**
 * Covariance averaged over its likelihood on a small grid of range and nugget share, with a prior on both; the sill is profiled
 * out. An average moves little with one reading more where the best of a grid would jump from one range to the next.
 */
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
    sillMm2: sillFrom(squaresOf(sites.z), n),
    rangeMm: 1600,
    nuggetMm2: NUGGET_MM2.usual,
  };
  if (n < FEWEST_TO_FIT) return fallback;
  const centre: [number, number] = [sites.x[0]!, sites.y[0]!];
  const columns = driftColumns(sites, n, centre, true);
  const tried: { score: number; sillMm2: number; rangeMm: number; nuggetMm2: number }[] = [];
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
      const sillMm2 = sillFrom(dot(fit.whitened, fit.whitened), n);
      const nuggetMm2 = share * sillMm2;
      const score =
        (n + BELIEVED_READINGS) * Math.log(sillMm2) +
        logDeterminant(factor) +
        credit(rangeMm, BELIEVED.range) +
        credit(nuggetMm2, BELIEVED.nugget);
      tried.push({ score, sillMm2, rangeMm, nuggetMm2 });
    }
  }
  if (tried.length === 0) return fallback;
  const best = Math.min(...tried.map(({ score }) => score));
  let [weights, sill, range, nugget] = [0, 0, 0, 0];
  for (const { score, sillMm2, rangeMm, nuggetMm2 } of tried) {
    // The score is minus twice the logarithm of the likelihood.
    const weight = Math.exp((best - score) / 2);
    weights += weight;
    sill += weight * Math.log(sillMm2);
    range += weight * Math.log(rangeMm);
    nugget += weight * Math.log(nuggetMm2);
  }
  return {
    sillMm2: Math.exp(sill / weights),
    rangeMm: Math.exp(range / weights),
    nuggetMm2: Math.min(NUGGET_MM2.max, Math.max(NUGGET_MM2.min, Math.exp(nugget / weights))),
  };
}
