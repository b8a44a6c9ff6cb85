import { normal, seeded } from '../units/index.ts';
import { fitSeries, slabOf, type Fit, type Series } from './fit.ts';
import { dayReached, march, type SlabClimate } from './slab.ts';

/** A what-if from the last reading on. */
export interface DryingPlan {
  roomRhPercent: number;
  roomC: number;
  faces: 1 | 2;
}

export interface Forecast {
  fit: Fit;
  /** Days since drying began by which a tenth, half and nine tenths of the ensemble are at the limit; null: not within the horizon. */
  earlyDay: number | null;
  middleDay: number | null;
  lateDay: number | null;
  /** Share of the ensemble that reaches the limit within the horizon. */
  reachShare: number;
  horizonDay: number;
  /** Expected humidity at the probe's depth and its 80 % band, %RH by day, from the first day to the end of the chart. */
  curve: { day: number; lowPercent: number; middlePercent: number; highPercent: number }[];
}

const ENSEMBLE = 200;
const HORIZON_DAYS = 1095;
/** Room humidity will not be what was planned: its spread, 0 to 1. */
const ROOM_RH_SD = 0.04;
/**
 * Model error, set on invented slabs (bench): how much of the fit's own spread is taken, how far the band leans to slower drying, in
 * spreads, and what a probe may be off by for good, %RH. A fit errs to the early side: near the room's own humidity the last percent
 * takes longest, and a probe that reads low finds it sooner than it is there.
 */
const WIDEN = 0.9;
const LEAN = 0.35;
const PROBE_OFF_PERCENT = 0.75;
/** Activation energy of moisture transport in concrete, J/mol; about 3 % a degree near 20 C. */
const ACTIVATION_J_MOL = 25_000;
const GAS_J_MOL_K = 8.314;
const KELVIN = 273.15;
const SEED = 7_310;

/** How much faster moisture moves at one temperature than at another (Arrhenius). */
export function speedAt(tempC: number, referenceC: number): number {
  return Math.exp((ACTIVATION_J_MOL / GAS_J_MOL_K) * (1 / (referenceC + KELVIN) - 1 / (tempC + KELVIN)));
}

/**
 * Forecasts when a limit is reached at the probe: fits the series, then lets an ensemble around the fit dry on under the plan.
 * `climates` of the series carry the past, at `referenceC`; the plan holds from the last reading on. Deterministic: the ensemble
 * comes from a fixed seed. `check` may throw to stop; `progress` is told the share done.
 */
export function forecastSeries(
  series: Series,
  limitPercent: number,
  plan: DryingPlan,
  referenceC: number,
  check: () => void = () => undefined,
  progress: (share: number) => void = () => undefined,
): Forecast {
  const fit = fitSeries(series, check);
  const lastDay = series.readings[series.readings.length - 1]!.day;
  const horizonDay = lastDay + HORIZON_DAYS;
  const chance = seeded(SEED);
  const random = () => normal(chance);
  const [varD, cov, varRh] = fit.spread;
  const sdD = Math.sqrt(varD);
  const slope = cov / sdD;
  const rest = Math.sqrt(Math.max(0, varRh - slope * slope));
  const speed = speedAt(plan.roomC, referenceC);
  const future = (shift: number): SlabClimate => ({
    fromDay: lastDay,
    roomRh: Math.min(0.99, Math.max(0.05, plan.roomRhPercent / 100 + shift)),
    speed,
    faces: plan.faces,
  });
  const members = Array.from({ length: ENSEMBLE }, () => {
    const [u, v, w, off] = [random() - LEAN, random(), random(), random()];
    const slab = slabOf(
      { thicknessMm: series.thicknessMm, climates: [...series.climates, future(w * ROOM_RH_SD)] },
      fit.logD + WIDEN * sdD * u,
      Math.min(1, Math.max(0.5, fit.startRh + WIDEN * (slope * u + rest * v))),
    );
    return { slab, offPercent: off * PROBE_OFF_PERCENT };
  });
  const reached: number[] = [];
  for (const [index, { slab, offPercent }] of members.entries()) {
    if (index % 10 === 0) {
      check();
      progress(index / ENSEMBLE);
    }
    reached.push(dayReached(slab, series.depthMm, (limitPercent + offPercent) / 100, lastDay, horizonDay) ?? Infinity);
  }
  reached.sort((a, b) => a - b);
  const share = (q: number) => {
    const day = reached[Math.min(ENSEMBLE - 1, Math.floor(q * ENSEMBLE))]!;
    return Number.isFinite(day) ? day : null;
  };
  const lateDay = share(0.9);
  const end = Math.min(horizonDay, Math.max(lastDay + 28, (lateDay ?? share(0.5) ?? lastDay + 180) * 1.1));
  return {
    fit,
    earlyDay: share(0.1),
    middleDay: share(0.5),
    lateDay,
    reachShare: reached.filter(Number.isFinite).length / ENSEMBLE,
    horizonDay,
    curve: curveOf(
      members.slice(0, CURVE_MEMBERS).map(({ slab }) => slab),
      series.depthMm,
      end,
    ),
  };
}

const CURVE_POINTS = 40;
const CURVE_MEMBERS = 60;

function curveOf(members: readonly Parameters<typeof march>[0][], depthMm: number, end: number): Forecast['curve'] {
  const days = Array.from({ length: CURVE_POINTS + 1 }, (_, i) => (end * i) / CURVE_POINTS);
  const values = days.map((): number[] => []);
  for (const slab of members)
    march(slab, depthMm, days, (_, rh, asked) => {
      if (asked !== null) values[asked]!.push(rh * 100);
      return true;
    });
  return days.map((day, i) => {
    const sorted = values[i]!.sort((a, b) => a - b);
    const at = (q: number) => sorted[Math.min(sorted.length - 1, Math.floor(q * sorted.length))]!;
    return { day, lowPercent: at(0.1), middlePercent: at(0.5), highPercent: at(0.9) };
  });
}
