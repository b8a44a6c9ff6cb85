import { type Said, type Sayable } from '../said/index.ts';
import type { FigureOf } from '../figures/index.ts';
import type { Grid } from '../flat/index.ts';
import {
  boundsMm,
  common,
  FIXTURES,
  floorOf,
  openingName,
  perimeterMm,
  regionAreaM2,
  regionOf,
  type Plan,
  type Region,
  type RoomFacts,
} from '../room/index.ts';
import { needOf, type CompoundCard } from './compound.ts';

/** One bay of a pour: what one crew keeps a wet edge along. */
export interface Bay {
  number: number;
  region: Region;
  areaM2: number;
  volumeL: number;
  /** Mean depth of this bay, mm, and the widest it may be with that, mm. */
  meanMm: number;
  widestMm: number;
  massKg: number;
  bags: number;
  waterL: number;
  /** Mixing and placing with the crew at hand. */
  minutes: number;
  /** A stop-end towards the next bay, mm; 0 after the last. */
  stopEndMm: number;
}

export interface PourPlan {
  bays: Bay[];
  /** Of the deepest bay: the widest whose wet edge can be joined in time, mm, and the rate that comes from. */
  widestMm: number;
  rateM2PerMin: number;
  /** Foam strip along the walls and what stands in the room, m. */
  foamM: number;
  /** Openings to dam, with their widths. */
  dams: { name: Said; widthMm: number }[];
  /** Registers, flanges and pipes to plug or sleeve. */
  plugs: Sayable[];
  /** A batch is poured out before it stiffens. */
  potLifeMin: number;
}

/**
 * A pour laid out in bays. Rate = mixers x bag / (minutes a bag x kg/m2); a ribbon across the bay has to be met by the next
 * before its edge sets, so width <= rate x wet-edge minutes / ribbon, with the mass that the bay's own depth takes. Bays run
 * along the room's longer side, and are as alike in the time they leave as their depths let them.
 */
export function pourPlan(
  room: RoomFacts,
  plan: Plan,
  grid: Grid,
  depthMm: Float64Array,
  compound: CompoundCard,
  figure: FigureOf,
): PourPlan {
  const floor = floorOf(plan);
  const bounds = boundsMm(plan.corners);
  const along = bounds.maxX - bounds.minX >= bounds.maxY - bounds.minY;
  const waste = figure('waste-pct') / 100;
  const rateAt = (meanMm: number) =>
    (figure('mixers') * compound.bagKg) / (figure('bag-min') * compound.kgPerM2Mm * Math.max(1e-9, meanMm));
  const widestAt = (meanMm: number) =>
    ((rateAt(meanMm) * figure('wet-edge-min')) / (figure('ribbon-mm') / 1000)) * 1000;
  const rows = rowsAcross(grid, depthMm, along);
  const [low, high] = along ? [bounds.minY, bounds.maxY] : [bounds.minX, bounds.maxX];
  const edges = rows.map(({ fromMm }, i) => (i === 0 ? low : fromMm)).concat(high);
  const ends = divided(rows, edges, widestAt);
  const bays = ends.map((end, i): Bay => {
    const begin = i === 0 ? 0 : ends[i - 1]!;
    const [from, to] = [edges[begin]!, edges[end]!];
    const strip = along ? box(bounds.minX, from, bounds.maxX, to) : box(from, bounds.minY, to, bounds.maxY);
    const region = common(floor, regionOf(strip));
    const { litres, meanMm } = sumOf(rows, begin, end);
    const need = needOf(compound, litres, meanMm, meanMm, waste);
    return {
      number: i + 1,
      region,
      areaM2: regionAreaM2(region),
      volumeL: litres,
      meanMm,
      widestMm: widestAt(meanMm),
      massKg: need.massKg,
      bags: need.bags,
      waterL: need.waterL,
      minutes: (need.massKg / compound.bagKg) * (figure('bag-min') / figure('mixers')),
      stopEndMm: i === ends.length - 1 ? 0 : crossingMm(floor, bounds, along, to),
    };
  });
  const deepest = bays.reduce((most, bay) => (bay.meanMm > most.meanMm ? bay : most));
  return {
    bays,
    widestMm: deepest.widestMm,
    rateM2PerMin: rateAt(deepest.meanMm),
    foamM: [plan.corners, ...plan.islands].reduce((sum, ring) => sum + perimeterMm(ring), 0) / 1000,
    dams: room.openings.map((opening) => ({ name: openingName(room, opening), widthMm: opening.widthMm })),
    plugs: room.fixtures
      .filter((f) => FIXTURES[f.kind].standing === 'hole')
      .map((f) => f.name || FIXTURES[f.kind].words),
    potLifeMin: compound.potLifeMin,
  };
}

/** One row of cells across the way bays run: where it begins, mm, what it holds, and its floor. */
interface Row {
  fromMm: number;
  litres: number;
  areaM2: number;
}

function rowsAcross(grid: Grid, depthMm: Float64Array, along: boolean): Row[] {
  const count = along ? grid.ny : grid.nx;
  const first = (along ? grid.y0Mm : grid.x0Mm) - grid.cellMm / 2;
  const rows = Array.from({ length: count }, (_, i): Row => ({
    fromMm: first + i * grid.cellMm,
    litres: 0,
    areaM2: 0,
  }));
  for (let cell = 0; cell < depthMm.length; cell++) {
    if (!grid.inside[cell]) continue;
    const row = rows[along ? Math.floor(cell / grid.nx) : cell % grid.nx]!;
    row.litres += depthMm[cell]! * grid.cellAreaM2;
    row.areaM2 += grid.cellAreaM2;
  }
  return rows;
}

function sumOf(rows: readonly Row[], begin: number, end: number): { litres: number; meanMm: number } {
  let [litres, areaM2] = [0, 0];
  for (let i = begin; i < end; i++) [litres, areaM2] = [litres + rows[i]!.litres, areaM2 + rows[i]!.areaM2];
  return { litres, meanMm: litres / Math.max(1e-9, areaM2) };
}

/**
 * Rows at which bays end: the fewest bays none of which is wider than its own depth allows, and with that many the widest share
 * of what is allowed as small as can be. A row that is too deep by itself is a bay by itself.
 */
function divided(rows: readonly Row[], edges: readonly number[], widestAt: (meanMm: number) => number): number[] {
  const within = (share: number): number[] => {
    const ends: number[] = [];
    for (let begin = 0; begin < rows.length;) {
      let end = begin + 1;
      while (
        end < rows.length &&
        edges[end + 1]! - edges[begin]! <= share * widestAt(sumOf(rows, begin, end + 1).meanMm) * (1 + 1e-9)
      )
        end++;
      ends.push(end);
      begin = end;
    }
    return ends;
  };
  const fewest = within(1);
  let [tight, loose] = [0, 1];
  for (let step = 0; step < 12; step++) {
    const share = (tight + loose) / 2;
    if (within(share).length > fewest.length) tight = share;
    else loose = share;
  }
  return within(loose);
}

const box = (x0: number, y0: number, x1: number, y1: number) => [
  { xMm: x0, yMm: y0 },
  { xMm: x1, yMm: y0 },
  { xMm: x1, yMm: y1 },
  { xMm: x0, yMm: y1 },
];

/** Length of floor along a line across the room, mm: area of a sliver over its width. */
function crossingMm(floor: Region, bounds: ReturnType<typeof boundsMm>, along: boolean, at: number): number {
  const half = 1;
  const sliver = along
    ? box(bounds.minX, at - half, bounds.maxX, at + half)
    : box(at - half, bounds.minY, at + half, bounds.maxY);
  return (regionAreaM2(common(floor, regionOf(sliver))) * 1e6) / (2 * half);
}
