/** The slab's surroundings from one day on: what the drying faces see. */
export interface SlabClimate {
  fromDay: number;
  /** Relative humidity at the drying face, 0 to 1. */
  roomRh: number;
  /** Diffusivity against that at the reference temperature: 1 where it is the same. */
  speed: number;
  faces: 1 | 2;
}

/** A slab or screed losing moisture through one face, or through both. */
export interface Slab {
  thicknessMm: number;
  /** Diffusivity at saturation, m2/s. */
  diffusivityM2S: number;
  /** Relative humidity throughout when drying began, 0 to 1. */
  startRh: number;
  /** In order of `fromDay`; the first holds from the start. */
  climates: readonly SlabClimate[];
  /** How diffusivity falls as concrete dries; `constant` for a plain material. */
  law: 'concrete' | 'constant';
}

const CELLS = 20;
const SECONDS_A_DAY = 86_400;
/** Share of the diffusivity that remains in dry concrete, and the humidity at which it falls. */
const DRY_SHARE = 0.05;
const TURN_RH = 0.8;
const PICARD_ROUNDS = 3;
const SETTLED_RH = 1e-6;
const FIRST_STEP_DAYS = 0.1;
const LONGEST_STEP_DAYS = 4;
const STEP_GROWTH = 0.05;

/** Diffusivity relative to that at saturation (the S-shaped law usual for concrete, after Bazant and Najjar 1972). */
function relativeDiffusivity(rh: number): number {
  const dry = (1 - Math.min(rh, 1)) / (1 - TURN_RH);
  const square = dry * dry;
  // The sixth power, multiplied out: it is worked out for every cell of every step.
  return DRY_SHARE + (1 - DRY_SHARE) / (1 + square * square * square);
}

/**
 * Humidity at a depth over time: backward Euler in time, finite volumes in depth, Picard rounds for the diffusivity that depends
 * on humidity. `visit` is told of every step (day, RH 0 to 1 at the depth) and ends the march by returning false. Steps end on
 * each of `days`, which are in order.
 */
export function march(
  slab: Slab,
  depthMm: number,
  days: readonly number[],
  visit: (day: number, rh: number, asked: number | null) => boolean,
): void {
  const dx = slab.thicknessMm / 1000 / CELLS;
  const rh = new Float64Array(CELLS).fill(slab.startRh);
  const before = new Float64Array(CELLS);
  const [lower, middle, upper, right] = [0, 1, 2, 3].map(() => new Float64Array(CELLS)) as [
    Float64Array,
    Float64Array,
    Float64Array,
    Float64Array,
  ];
  const spread = new Float64Array(CELLS);
  const changes = slab.climates.map((c) => c.fromDay).filter((d) => d > 0);
  let day = 0;
  let next = 0;
  while (next < days.length) {
    const until = days[next]!;
    if (until <= day + 1e-9) {
      if (!visit(day, at(rh, depthMm, slab), next)) return;
      next++;
      continue;
    }
    const climate = climateOn(slab, day);
    let step = Math.min(LONGEST_STEP_DAYS, Math.max(FIRST_STEP_DAYS, day * STEP_GROWTH), until - day);
    for (const change of changes) if (change > day + 1e-9) step = Math.min(step, change - day);
    before.set(rh);
    const pace = (slab.diffusivityM2S * climate.speed * step * SECONDS_A_DAY) / dx ** 2;
    for (let round = 0; round < PICARD_ROUNDS; round++) {
      for (let i = 0; i < CELLS; i++) spread[i] = slab.law === 'constant' ? 1 : relativeDiffusivity(rh[i]!);
      for (let i = 0; i < CELLS; i++) {
        const above = i === 0 ? 0 : (pace * 2 * spread[i]! * spread[i - 1]!) / (spread[i]! + spread[i - 1]!);
        const below = i === CELLS - 1 ? 0 : (pace * 2 * spread[i]! * spread[i + 1]!) / (spread[i]! + spread[i + 1]!);
        // Half a cell lies between the outermost middle and the face.
        const face =
          (i === 0 ? 2 * pace * spread[i]! : 0) + (i === CELLS - 1 && climate.faces === 2 ? 2 * pace * spread[i]! : 0);
        lower[i] = -above;
        upper[i] = -below;
        middle[i] = 1 + above + below + face;
        right[i] = before[i]! + face * climate.roomRh;
      }
      if (solve(lower, middle, upper, right, rh) < SETTLED_RH) break;
    }
    day += step;
    const asked = Math.abs(day - until) < 1e-9 ? next : null;
    if (!visit(day, at(rh, depthMm, slab), asked)) return;
    if (asked !== null) next++;
  }
}

function climateOn(slab: Slab, day: number): SlabClimate {
  let found = slab.climates[0]!;
  for (const climate of slab.climates) if (climate.fromDay <= day + 1e-9) found = climate;
  return found;
}

/** Tridiagonal solution into `into`; the greatest change it made. */
function solve(
  lower: Float64Array,
  middle: Float64Array,
  upper: Float64Array,
  right: Float64Array,
  into: Float64Array,
): number {
  const n = middle.length;
  for (let i = 1; i < n; i++) {
    const factor = lower[i]! / middle[i - 1]!;
    middle[i] = middle[i]! - factor * upper[i - 1]!;
    right[i] = right[i]! - factor * right[i - 1]!;
  }
  let change = 0;
  for (let i = n - 1; i >= 0; i--) {
    const value = (right[i]! - (i < n - 1 ? upper[i]! * into[i + 1]! : 0)) / middle[i]!;
    change = Math.max(change, Math.abs(value - into[i]!));
    into[i] = value;
  }
  return change;
}

/** Humidity at a depth, between the middles of cells. */
function at(rh: Float64Array, depthMm: number, slab: Slab): number {
  const place = (depthMm / slab.thicknessMm) * CELLS - 0.5;
  const i = Math.max(0, Math.min(CELLS - 2, Math.floor(place)));
  return rh[i]! + (rh[i + 1]! - rh[i]!) * (place - i);
}

/** Humidity at a depth on given days (in order), 0 to 1. */
export function humidityOn(slab: Slab, depthMm: number, days: readonly number[]): number[] {
  const found: number[] = [];
  march(slab, depthMm, days, (_, rh, asked) => {
    if (asked !== null) found.push(rh);
    return true;
  });
  return found;
}

/** The day on which humidity at a depth first is at or under a limit, not before `fromDay`; null when not by `lastDay`. */
export function dayReached(
  slab: Slab,
  depthMm: number,
  limitRh: number,
  fromDay: number,
  lastDay: number,
): number | null {
  let last: [number, number] | null = null;
  let found: number | null = null;
  march(slab, depthMm, [lastDay], (day, rh) => {
    if (rh <= limitRh && day >= fromDay) {
      found =
        last && last[1] > limitRh
          ? Math.max(fromDay, last[0] + ((day - last[0]) * (last[1] - limitRh)) / (last[1] - rh))
          : Math.max(fromDay, day);
      return false;
    }
    last = [day, rh];
    return true;
  });
  return found;
}
