import type { FlatnessRule } from '../coverings/index.ts';
import { normal, seeded } from '../units/index.ts';
import { thinned } from './contours.ts';
import { noiseMm2, type Covariance } from './covariance.ts';
import { criticOver, type Breaker } from './critic.ts';
import type { EdgeWalk } from './facts.ts';
import { deviation, gapMap } from './gap-map.ts';
import { cellCentre, type Grid } from './grid.ts';
import { heightsOver, krige, unsureAt, type FitMemo, type Surface } from './kriging.ts';
import { sidesOver, type Sites } from './sites.ts';

/** How often the floor fails its rules among floors that fit the readings. */
export interface FailureChance {
  draws: number;
  grid: Grid;
  /** Share of the draws in which each cell is over a rule, 0 to 1. */
  share: Float64Array;
  worstShare: number;
  /** Where that is, plan mm; null where no draw fails. */
  worstAt: [number, number] | null;
  /** Where the readings leave most unknown, and how much, mm (one standard deviation): the largest unmeasured area. */
  nextAt: [number, number] | null;
  nextSdMm: number;
  /** Share of the floors drawn that are over a rule anywhere, 0 to 1. */
  anyShare: number;
  /** Placements of the deciding rule's edge that would best break the verdict, the likeliest first. */
  breakers: Breaker[];
}

/** Floors drawn: with twenty a share is known to about a tenth. */
const DRAWS = 20;
/** A cell over a rule in more than this share of the draws is not settled. */
export const FAILURE_SHARE_MOST = 0.2;
/** Waves summed into one drawn floor: enough that heights are normal to the eye. */
const WAVES = 160;
const SEED = 4171;

/** What floors are drawn from: the surface through the readings, what is judged of it, and the whole floor. */
interface FailureAsk {
  surface: Surface;
  surfaceMm: Float64Array;
  judged: Grid;
  grid: Grid;
  scanned: { seen: Uint8Array } | null;
  /** Edges laid already. */
  walks: readonly EdgeWalk[];
}

/** The next reading is looked for on places this far apart, mm. */
const LATTICE_MM = 250;

/** The place on the floor where the readings leave most unknown; what a scan saw is known. Null where all of it is. */
function leastSure(surface: Surface, memo: FitMemo, { grid, scanned }: FailureAsk) {
  const step = Math.max(1, Math.round(LATTICE_MM / grid.cellMm));
  const places: [number, number][] = [];
  for (let iy = step >> 1; iy < grid.ny; iy += step)
    for (let ix = step >> 1; ix < grid.nx; ix += step) {
      const cell = iy * grid.nx + ix;
      if (!grid.inside[cell] || scanned?.seen[cell]) continue;
      const { xMm, yMm } = cellCentre(grid, cell);
      places.push([xMm, yMm]);
    }
  const unsure = unsureAt(surface, memo, places);
  const most = unsure.reduce((best, sd, i) => (sd > unsure[best]! ? i : best), 0);
  return { nextAt: places[most] ?? null, nextSdMm: unsure[most] ?? 0 };
}

/**
 * Share of floors, drawn so that they agree with the readings, in which each cell breaks a rule (conditional simulation by
 * Matheron's rule: a free draw, plus the surface of what it leaves unexplained at the readings). The free draw is a sum of
 * waves whose numbers follow the spectrum of the covariance. Fixed seed: the same readings give the same shares. Null when
 * stopped.
 */
export function failureChance(
  ask: FailureAsk,
  rules: readonly FlatnessRule[],
  contactsOnly: boolean,
  { draws = DRAWS, shouldStop }: { draws?: number; shouldStop?: () => boolean } = {},
): FailureChance | null {
  const { surface, surfaceMm, judged } = ask;
  const thin = thinned(judged, surfaceMm);
  const grid = thin.grid;
  const { sites, covariance } = surface;
  const chance = seeded(SEED);
  // Kept between draws: the readings stay where they are, so their factor is worked out once.
  const memo: FitMemo = {};
  const sides = sidesOver(sites, grid);
  const pieces = [...new Set([...(sites.side?.of ?? []), ...(sides ?? [])])];
  const pieceOf = (side: number | undefined) => (side === undefined ? 0 : pieces.indexOf(side));
  if (pieces.length === 0) pieces.push(0);
  const fails = new Float64Array(grid.inside.length);
  const deciding = rules[0];
  const critic = deciding ? criticOver(grid, deciding.edgeMm, deciding.gapMm, contactsOnly) : null;
  let anywhere = 0;
  for (let draw = 0; draw < draws; draw++) {
    if (shouldStop?.()) return null;
    // Across a break-line floors have nothing to do with one another: each side is drawn by itself.
    const free = pieces.map(() => freeDraw(covariance, chance));
    // Under an edge the drawn floor is read as it is: the edge's own level and tilt are free, so nothing has to be taken off.
    const z = sites.x.map(
      (x, i) =>
        free[pieceOf(sites.side?.of[i])]!.at(x, sites.y[i]!) +
        Math.sqrt(noiseMm2(sites, i, covariance)) * normal(chance),
    );
    const explained = heightsOver(krige({ ...sites, z }, memo, covariance), grid);
    const wild = free.map((piece) => piece.over(grid));
    const floor = thin.values.map((height, cell) => height + wild[pieceOf(sides?.[cell])]![cell]! - explained[cell]!);
    const over = new Uint8Array(fails.length);
    for (const rule of rules) {
      const dev = deviation(gapMap(grid, floor, { edgeMm: rule.edgeMm }), contactsOnly);
      for (let cell = 0; cell < over.length; cell++) if (dev[cell]! > rule.gapMm) over[cell] = 1;
    }
    critic?.see(floor);
    if (over.includes(1)) anywhere++;
    for (let cell = 0; cell < over.length; cell++) fails[cell] = fails[cell]! + over[cell]!;
  }
  const share = fails.map((count) => count / draws);
  let worst = -1;
  for (let cell = 0; cell < share.length; cell++)
    if (grid.inside[cell] && share[cell]! > (worst < 0 ? 0 : share[worst]!)) worst = cell;
  const at = worst < 0 ? null : cellCentre(grid, worst);
  return {
    draws,
    grid,
    share,
    worstShare: at ? share[worst]! : 0,
    worstAt: at ? [at.xMm, at.yMm] : null,
    ...leastSure(surface, memo, ask),
    anyShare: anywhere / draws,
    breakers: critic?.named(draws, ask.walks) ?? [],
  };
}

/**
 * A floor with the covariance and no readings: waves with random phases, their wave numbers drawn from the spectrum of the
 * Matern covariance of smoothness 3/2, which in the plane is Student's t with three degrees of freedom scaled by sqrt(3)/l.
 */
function freeDraw({ sillMm2, rangeMm }: Covariance, chance: () => number) {
  const kx = new Float64Array(WAVES);
  const ky = new Float64Array(WAVES);
  const phase = new Float64Array(WAVES);
  for (let w = 0; w < WAVES; w++) {
    const chi = normal(chance) ** 2 + normal(chance) ** 2 + normal(chance) ** 2;
    const scale = Math.sqrt(3 / Math.max(chi, 1e-9)) / rangeMm;
    kx[w] = normal(chance) * scale;
    ky[w] = normal(chance) * scale;
    phase[w] = 2 * Math.PI * chance();
  }
  const size = Math.sqrt((2 * sillMm2) / WAVES);
  return {
    at(xMm: number, yMm: number): number {
      let sum = 0;
      for (let w = 0; w < WAVES; w++) sum += Math.cos(kx[w]! * xMm + ky[w]! * yMm + phase[w]!);
      return size * sum;
    },
    /** Along a row each wave turns by the same angle from cell to cell: two products instead of a cosine. */
    over({ nx, ny, x0Mm, y0Mm, cellMm }: Grid): Float64Array {
      const out = new Float64Array(nx * ny);
      for (let w = 0; w < WAVES; w++) {
        const [turnC, turnS] = [Math.cos(kx[w]! * cellMm), Math.sin(kx[w]! * cellMm)];
        for (let iy = 0; iy < ny; iy++) {
          const start = kx[w]! * x0Mm + ky[w]! * (y0Mm + iy * cellMm) + phase[w]!;
          let [c, s] = [size * Math.cos(start), size * Math.sin(start)];
          for (let at = iy * nx, end = at + nx; at < end; at++) {
            out[at] = out[at]! + c;
            [c, s] = [c * turnC - s * turnS, s * turnC + c * turnS];
          }
        }
      }
      return out;
    },
  };
}

/** Readings stand about this far apart: the median distance from each to its nearest. mm; null with fewer than two. */
export function typicalSpacing({ x, y }: Pick<Sites, 'x' | 'y'>): number | null {
  if (x.length < 2) return null;
  const nearest = Array.from(x, (xi, i) => {
    let best = Infinity;
    for (let j = 0; j < x.length; j++) if (j !== i) best = Math.min(best, Math.hypot(xi - x[j]!, y[i]! - y[j]!));
    return best;
  }).sort((a, b) => a - b);
  return nearest[Math.floor(nearest.length / 2)]!;
}

/** A hump or hollow narrower than this may lie between readings unseen: two spacings, one wave's worth. mm */
export function smallestSeen(sites: Pick<Sites, 'x' | 'y'>): number | null {
  const spacing = typicalSpacing(sites);
  return spacing === null ? null : 2 * spacing;
}
