import { backSolve, extendFactor, forwardSolve, type Factor } from './cholesky.ts';
import {
  correlation,
  dot,
  driftColumns,
  driftOf,
  fitCovariance,
  noiseMm2,
  sitesThatDecide,
  type Covariance,
} from './covariance.ts';
import type { Grid } from './grid.ts';
import { sameSide, sidesOf, sidesOver, underEdge, type Sites } from './sites.ts';

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

const FEWEST_FOR_DRIFT = 6;

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
