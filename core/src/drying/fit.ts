import { humidityOn, type Slab, type SlabClimate } from './slab.ts';

/** One valid probe reading of a series. */
interface SeriesReading {
  /** Days since drying began. */
  day: number;
  rhPercent: number;
}

export interface Series {
  thicknessMm: number;
  depthMm: number;
  readings: readonly SeriesReading[];
  climates: readonly SlabClimate[];
}

/** Fitted slab: the two free parameters with their joint spread. */
export interface Fit {
  /** log10 of the diffusivity at saturation, m2/s. */
  logD: number;
  /** Humidity when drying began, 0 to 1. */
  startRh: number;
  /** Covariance of the two, in that order: [var logD, cov, var startRh]. */
  spread: [number, number, number];
  /** Root mean square of what the fit leaves, %RH. */
  leftPercent: number;
}

/** What is believed before any reading: concretes and screeds range over about a factor of six in diffusivity. */
const PRIOR = { logD: -9.55, logDSd: 0.4, startRh: 0.96, startSd: 0.03 };
/** Probe, hole and handling together, %RH. */
const READING_SD_PERCENT = 1;
const ROUNDS = 25;
const START_RANGE: [number, number] = [0.5, 1];
const LOG_D_RANGE: [number, number] = [-11.5, -8];

export function slabOf(series: Pick<Series, 'thicknessMm' | 'climates'>, logD: number, startRh: number): Slab {
  return {
    thicknessMm: series.thicknessMm,
    diffusivityM2S: 10 ** logD,
    startRh,
    climates: series.climates,
    law: 'concrete',
  };
}

/**
 * Fits diffusivity and starting humidity to a probe series by Levenberg-Marquardt, with the priors as two readings more.
 * Deterministic. `check` is called once a round and may throw to stop it.
 */
export function fitSeries(series: Series, check: () => void = () => undefined): Fit {
  const days = series.readings.map((r) => r.day);
  const residuals = (p: readonly [number, number]): number[] => {
    const rh = humidityOn(slabOf(series, p[0], p[1]), series.depthMm, days);
    return [
      ...rh.map((value, i) => (value * 100 - series.readings[i]!.rhPercent) / READING_SD_PERCENT),
      (p[0] - PRIOR.logD) / PRIOR.logDSd,
      (p[1] - PRIOR.startRh) / PRIOR.startSd,
    ];
  };
  const within = (p: [number, number]): [number, number] => [
    Math.min(LOG_D_RANGE[1], Math.max(LOG_D_RANGE[0], p[0])),
    Math.min(START_RANGE[1], Math.max(START_RANGE[0], p[1])),
  ];
  const cost = (r: readonly number[]) => r.reduce((sum, v) => sum + v * v, 0);
  let p: [number, number] = [PRIOR.logD, PRIOR.startRh];
  let r = residuals(p);
  let damping = 1e-2;
  let normal = gramOf(r, p, residuals);
  for (let round = 0; round < ROUNDS; round++) {
    check();
    const { a, b, c, gx, gy } = normal;
    const [ad, cd] = [a * (1 + damping), c * (1 + damping)];
    const det = ad * cd - b * b;
    const step: [number, number] = [-(cd * gx - b * gy) / det, -(ad * gy - b * gx) / det];
    const tried = within([p[0] + step[0], p[1] + step[1]]);
    const next = residuals(tried);
    if (cost(next) < cost(r)) {
      const gained = cost(r) - cost(next);
      p = tried;
      r = next;
      damping = Math.max(1e-7, damping / 8);
      normal = gramOf(r, p, residuals);
      if (gained < 1e-6) break;
    } else {
      damping *= 6;
      if (damping > 1e6) break;
    }
  }
  const { a, b, c } = normal;
  const det = a * c - b * b;
  const readings = r.slice(0, series.readings.length);
  return {
    logD: p[0],
    startRh: p[1],
    spread: [c / det, -b / det, a / det],
    leftPercent: READING_SD_PERCENT * Math.sqrt(cost(readings) / Math.max(1, readings.length)),
  };
}

const STEP: [number, number] = [0.01, 0.002];

/** Gauss-Newton normal matrix [a b; b c] and gradient at a point, by one-sided differences. */
function gramOf(
  r: readonly number[],
  p: readonly [number, number],
  residuals: (p: readonly [number, number]) => number[],
): { a: number; b: number; c: number; gx: number; gy: number } {
  // Towards the inside of the range: at 100 %RH there is nothing beyond.
  const dy = p[1] + STEP[1] > START_RANGE[1] ? -STEP[1] : STEP[1];
  const rx = residuals([p[0] + STEP[0], p[1]]);
  const ry = residuals([p[0], p[1] + dy]);
  let [a, b, c, gx, gy] = [0, 0, 0, 0, 0];
  for (let i = 0; i < r.length; i++) {
    const [jx, jy] = [(rx[i]! - r[i]!) / STEP[0], (ry[i]! - r[i]!) / dy];
    a += jx * jx;
    b += jx * jy;
    c += jy * jy;
    gx += jx * r[i]!;
    gy += jy * r[i]!;
  }
  return { a, b, c, gx, gy };
}
