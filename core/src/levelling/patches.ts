import simplify from 'simplify-js';
import { cellCentre, components, ringsAbove, type Grid, type Rings } from '../flat/index.ts';

/** Part of a place that is worked to a like depth. */
interface DepthClass {
  /** From this depth up to the next, mm. */
  fromMm: number;
  toMm: number;
  areaM2: number;
  volumeL: number;
  /** Around everything at least so deep, plan mm; empty for the shallowest, which the place's own outline bounds. */
  outlines: Rings;
}

/** Depths a hand tells apart: a scrape, a skim, a fill, a deep fill, mm. */
export const DEPTH_BOUNDS_MM = [0, 1, 3, 6, 10] as const;

/** One place to fill, as a person works it. */
export interface Patch {
  /** A, B, C ... by volume. */
  label: string;
  areaM2: number;
  volumeL: number;
  meanMm: number;
  deepestMm: number;
  deepestAt: [number, number];
  /** Outer outlines, plan mm, simplified to 3 cm. Several where crumbs lie within reach of the main part. */
  outlines: [number, number][][];
  /** How much of it is how deep, the shallowest first; classes that do not occur are left out. */
  classes: DepthClass[];
}

/** Thinner than this is a trowel's scrape, not a patch edge, mm. */
const EDGE_MM = 0.05;
const CRUMB_M2 = 0.05;
const CRUMB_REACH_MM = 150;
const SIMPLIFY_MM = 30;

/** `A` ... `Z`, `AA` ... */
function patchLabel(index: number): string {
  return index < 26 ? String.fromCharCode(65 + index) : patchLabel(Math.floor(index / 26) - 1) + patchLabel(index % 26);
}

/** Whether a place is no more than a spot: less than a trowel covers, with nothing near it to be worked with. */
export function isSpot({ areaM2 }: Patch): boolean {
  return areaM2 < CRUMB_M2;
}

/** Area of a ring, mm2, without sign. */
function ringArea(ring: readonly [number, number][]): number {
  return (
    Math.abs(
      ring.reduce(
        (sum, [x, y], i) => sum + x * ring[(i + 1) % ring.length]![1] - ring[(i + 1) % ring.length]![0] * y,
        0,
      ),
    ) / 2
  );
}

/** Whether two places lie within reach of each other for one trowel: crumbs that near are worked with their neighbour. */
function withinReach(grid: Grid, a: readonly number[], b: readonly number[]): boolean {
  const reach = CRUMB_REACH_MM / grid.cellMm;
  return a.some((p) =>
    b.some((q) => {
      const dx = (p % grid.nx) - (q % grid.nx);
      const dy = Math.floor(p / grid.nx) - Math.floor(q / grid.nx);
      return dx * dx + dy * dy <= reach * reach;
    }),
  );
}

/**
 * Patches of a fill map: connected places, crumbs under 0.05 m2 joined to what lies within 15 cm of them, other crumbs too.
 * Volumes are sums over cells (litres = m2 x mm), so they add up to the fill; outlines are for chalk and simplified to 3 cm.
 */
export function patchesOf(grid: Grid, fillMm: Float64Array): Patch[] {
  const wet = fillMm.map((f) => (f > EDGE_MM ? 1 : 0));
  const isCrumb = (cells: readonly number[]) => cells.length * grid.cellAreaM2 < CRUMB_M2;
  const parts = components(grid, wet);
  const joined = parts.filter((cells) => !isCrumb(cells)).map((cells) => [...cells]);
  for (const crumb of parts.filter(isCrumb)) {
    // A crumb may bring two others within reach of each other only through itself: they then become one with it, bodies do not.
    const near = joined.filter((cells) => withinReach(grid, crumb, cells));
    const into = near.find((cells) => !isCrumb(cells)) ?? near[0];
    if (!into) joined.push([...crumb]);
    else {
      into.push(...crumb);
      for (const other of near.filter((cells) => cells !== into && isCrumb(cells))) {
        into.push(...other);
        joined.splice(joined.indexOf(other), 1);
      }
    }
  }
  return joined
    .map((cells) => patchFrom(grid, fillMm, cells))
    .sort((a, b) => b.volumeL - a.volumeL || a.deepestAt[0] - b.deepestAt[0])
    .map((patch, index) => ({ ...patch, label: patchLabel(index) }));
}

/** Share of the nine cells about each that are worked, once more averaged: an edge a hand can follow with chalk. */
function softened(grid: Grid, depthMm: Float64Array): Float64Array {
  const { nx, ny } = grid;
  const about = (values: Float64Array) =>
    values.map((_, cell) => {
      const [ix, iy] = [cell % nx, Math.floor(cell / nx)];
      let [sum, count] = [0, 0];
      for (let y = Math.max(0, iy - 1); y <= Math.min(ny - 1, iy + 1); y++)
        for (let x = Math.max(0, ix - 1); x <= Math.min(nx - 1, ix + 1); x++) {
          // Cells off the floor say nothing: the edge then runs up to the wall.
          if (!grid.inside[y * nx + x]) continue;
          sum += values[y * nx + x]!;
          count++;
        }
      return count === 0 ? 0 : sum / count;
    });
  const soft = about(about(depthMm.map((depth) => (depth > EDGE_MM ? 1 : 0))));
  return soft.map((share, cell) => (grid.inside[cell] ? share : 0));
}

function patchFrom(grid: Grid, fillMm: Float64Array, cells: readonly number[]): Patch {
  const own = new Float64Array(fillMm.length);
  let [sum, deepest] = [0, cells[0]!];
  for (const cell of cells) {
    own[cell] = fillMm[cell]!;
    sum += fillMm[cell]!;
    if (fillMm[cell]! > fillMm[deepest]!) deepest = cell;
  }
  const at = cellCentre(grid, deepest);
  const areaM2 = cells.length * grid.cellAreaM2;
  const rings = ringsAbove(grid, softened(grid, own), 0.5);
  const largest = Math.max(0, ...rings.map(ringArea));
  return {
    label: '',
    areaM2,
    volumeL: sum * grid.cellAreaM2,
    meanMm: sum / cells.length,
    deepestMm: fillMm[deepest]!,
    deepestAt: [at.xMm, at.yMm],
    classes: classesOf(grid, own, cells),
    outlines: rings
      .filter((ring) => ringArea(ring) === largest || ringArea(ring) > CRUMB_M2 * 1e6)
      .map((ring) =>
        simplify(
          ring.map(([x, y]) => ({ x, y })),
          SIMPLIFY_MM,
          true,
        ).map(({ x, y }): [number, number] => [x, y]),
      ),
  };
}

function classesOf(grid: Grid, own: Float64Array, cells: readonly number[]): DepthClass[] {
  return DEPTH_BOUNDS_MM.flatMap((fromMm, i): DepthClass[] => {
    const toMm = DEPTH_BOUNDS_MM[i + 1] ?? Infinity;
    const within = cells.filter((cell) => own[cell]! >= fromMm && own[cell]! < toMm);
    if (within.length === 0) return [];
    const deepest = within.reduce((most, cell) => Math.max(most, own[cell]!), 0);
    return [
      {
        fromMm,
        toMm: Number.isFinite(toMm) ? toMm : deepest,
        areaM2: within.length * grid.cellAreaM2,
        volumeL: within.reduce((sum, cell) => sum + own[cell]!, 0) * grid.cellAreaM2,
        outlines: fromMm === 0 ? [] : ringsAbove(grid, own, fromMm),
      },
    ];
  });
}
