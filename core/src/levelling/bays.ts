import { type Said, type Sayable } from '../said/index.ts';
import type { FigureOf } from '../figures/index.ts';
import { cellCentre, type Grid } from '../flat/index.ts';
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
  /** The widest bay whose wet edge can be joined in time, mm, and the rate it comes from. */
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
 * before its edge sets, so width <= rate x wet-edge minutes / ribbon. Bays run along the room's longer side.
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
  const [low, high] = along ? [bounds.minY, bounds.maxY] : [bounds.minX, bounds.maxX];
  const waste = figure('waste-pct') / 100;
  const volumeL = litres(grid, depthMm, () => true);
  const meanMm = volumeL / Math.max(1e-9, regionAreaM2(floor));
  const rateM2PerMin = (figure('mixers') * compound.bagKg) / (figure('bag-min') * compound.kgPerM2Mm * meanMm);
  const widestMm = ((rateM2PerMin * figure('wet-edge-min')) / (figure('ribbon-mm') / 1000)) * 1000;
  const count = Math.max(1, Math.ceil((high - low) / widestMm - 1e-9));
  const widthMm = (high - low) / count;
  const bays = Array.from({ length: count }, (_, i): Bay => {
    const [from, to] = [low + i * widthMm, low + (i + 1) * widthMm];
    const strip = along ? box(bounds.minX, from, bounds.maxX, to) : box(from, bounds.minY, to, bounds.maxY);
    const region = common(floor, regionOf(strip));
    const own = litres(grid, depthMm, (x, y) => {
      const at = along ? y : x;
      return at >= from && (at < to || i === count - 1);
    });
    const need = needOf(compound, own, meanMm, meanMm, waste);
    return {
      number: i + 1,
      region,
      areaM2: regionAreaM2(region),
      volumeL: own,
      massKg: need.massKg,
      bags: need.bags,
      waterL: need.waterL,
      minutes: (need.massKg / compound.bagKg) * (figure('bag-min') / figure('mixers')),
      stopEndMm: i === count - 1 ? 0 : crossingMm(floor, bounds, along, to),
    };
  });
  return {
    bays,
    widestMm,
    rateM2PerMin,
    foamM: [plan.corners, ...plan.islands].reduce((sum, ring) => sum + perimeterMm(ring), 0) / 1000,
    dams: room.openings.map((opening) => ({ name: openingName(room, opening), widthMm: opening.widthMm })),
    plugs: room.fixtures
      .filter((f) => FIXTURES[f.kind].standing === 'hole')
      .map((f) => f.name || FIXTURES[f.kind].words),
    potLifeMin: compound.potLifeMin,
  };
}

function litres(grid: Grid, depthMm: Float64Array, within: (xMm: number, yMm: number) => boolean): number {
  let sum = 0;
  for (let cell = 0; cell < depthMm.length; cell++) {
    if (!grid.inside[cell] || depthMm[cell] === 0) continue;
    const { xMm, yMm } = cellCentre(grid, cell);
    if (within(xMm, yMm)) sum += depthMm[cell]!;
  }
  return sum * grid.cellAreaM2;
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
