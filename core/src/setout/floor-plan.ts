import type { Region } from '../room/index.ts';
import { areaBound, lengthBound, longestBound, upTo } from './bounds.ts';
import { cutList, type CutList } from './cut-list.ts';
import { equalEdges, firstRows, middleRows, type FirstRows } from './first-row.ts';
import type { Division } from './division.ts';
import type { JointZone } from './joints.ts';
import type { LaidPlank } from './plank.ts';
import type { BoundOver } from './price-bound.ts';
import { rowStrips, type RowStrip } from './rows.ts';
import type { RowsPlan } from './search.ts';
import { searchFirsts, type FirstRowTried } from './search-firsts.ts';

/** How the first row is chosen among those that may be: by planks, like the last one, from the middle of the floor, or a whole plank from the wall. */
export type FirstRowSchool = 'fewest' | 'equal' | 'centre' | 'from-wall';

/** A strip that lies already, by its row and its place in the row, both from 0. */
export interface LaidStrip {
  row: number;
  at: number;
  division: Division;
}

export interface FloorAsk {
  /** In the laying frame. */
  region: Region;
  plank: LaidPlank;
  school?: FirstRowSchool;
  /** A width that somebody set. */
  firstMm?: number | null;
  zones?: readonly JointZone[];
  /** What lies already, as long as it was found to be. */
  laid?: readonly LaidStrip[];
  /** First rows that are searched, and tries for each of them, round by round. */
  firsts: number;
  rounds: readonly number[];
  /** Bounds of given rows that are dearer to find than by length, for pieces cut as long as the longest edge of their place, and for all there are. */
  boundOf?: Record<BoundOver, (strips: readonly RowStrip[], held: ReadonlySet<number>) => number>;
  /** A bound of the rows that were taken in the end, dearer still: no more than so many planks are asked to be proved. */
  proveOf?: (strips: readonly RowStrip[], held: ReadonlySet<number>, planks: number) => number;
  tell?: (share: number) => void;
  shouldStop?: () => boolean;
}

/** A floor set out in rows, with the fewest planks that were found and how few there could be. */
export interface FloorPlan {
  firsts: FirstRows;
  firstMm: number;
  lastMm: number;
  strips: RowStrip[];
  rows: RowsPlan;
  /** Strips that lie already. */
  held: ReadonlySet<number>;
  cuts: CutList;
  /**
   * No layout of these rows takes fewer with every piece as long as the longest edge of its place; none takes fewer whatever is made of slants and notches; and by area
   * none of any rows.
   */
  bound: { longest: number; rows: number; area: number };
  /** Of what is bought, the share that is not laid. */
  waste: number;
  rippedM: number;
}

/** How finely first rows are tried within what may be, mm. */
const TRIED_MM = 8;
const HAIR = 1e-6;

/** Strips as long as those that lie were found to be, and which of them lie. */
function withLaid(
  drawn: readonly RowStrip[],
  laid: readonly LaidStrip[],
  { lengthMm }: LaidPlank,
): { strips: RowStrip[]; held: Map<number, Division> } {
  const held = new Map<number, Division>();
  const strips = [...drawn];
  for (const { row, at, division } of laid) {
    const k = drawn.findIndex((strip) => strip.row === row) + at;
    const strip = drawn[k];
    if (strip?.row !== row) continue;
    const { startMm, wholes, endMm } = division;
    held.set(k, division);
    strips[k] = { ...strip, toMm: strip.fromMm + startMm + wholes * lengthMm + endMm };
  }
  return { strips, held };
}

function candidate(region: Region, plank: LaidPlank, firstMm: number, laid: readonly LaidStrip[]): FirstRowTried {
  const { strips, held } = withLaid(rowStrips(region, plank.widthMm, firstMm), laid, plank);
  const wide = ({ lowMm, highMm }: RowStrip) => highMm - lowMm;
  const lastRow = Math.max(...strips.map(({ row }) => row));
  return {
    firstMm,
    held,
    lastMm: Math.max(...strips.filter(({ row }) => row === lastRow).map(wide)),
    strips,
    least: Math.max(areaBound(strips, plank), longestBound(strips, plank)),
    rippedM: strips.reduce(
      (sum, strip) => sum + (wide(strip) < plank.widthMm - HAIR ? (strip.toMm - strip.fromMm) / 1000 : 0),
      0,
    ),
  };
}

/** First rows worth a try: ends and middles of what may be, and what lies between them. */
function widthsOf({ region, plank, school = 'fewest', firstMm }: FloorAsk, firsts: FirstRows): number[] {
  if (firstMm !== undefined && firstMm !== null) return [firstMm];
  if (firsts.widths.length === 0) return [firsts.best?.firstMm ?? plank.widthMm];
  const alike = equalEdges(region, plank.widthMm, firsts);
  if (school === 'equal' && alike !== null) return [alike];
  if (school === 'centre') {
    const middle = middleRows(region, plank.widthMm, firsts);
    if (middle.length > 0) return middle;
  }
  if (school === 'from-wall') return [Math.max(...firsts.widths.map(([, to]) => to))];
  const tried = firsts.widths.flatMap(([from, to]) => {
    const count = Math.max(1, Math.ceil((to - from) / TRIED_MM));
    return Array.from({ length: count + 1 }, (_, k) => from + ((to - from) * k) / count);
  });
  return [...new Set(alike === null ? tried : [alike, ...tried])];
}

/** Rows of a floor, divided with few planks. */
export function planFloor(ask: FloorAsk): FloorPlan | null {
  const { region, plank, zones = [], laid = [], boundOf, proveOf } = ask;
  if (region.length === 0) return null;
  const firsts = firstRows(region, plank.widthMm, plank.leastRowMm);
  const tried = widthsOf(ask, firsts)
    .map((firstMm) => candidate(region, plank, firstMm, laid))
    .filter(({ strips }) => strips.length > 0);
  const best = searchFirsts(tried, { ...ask, zones, boundOf: boundOf?.longest });
  if (!best) return null;
  const { of, rows } = best;
  const held = new Set(of.held.keys());
  const cuts = cutList(of.strips, rows.divisions, plank);
  const isOpen = rows.breaches.length === 0 && cuts.planks.length > of.least;
  const proved = isOpen ? (proveOf?.(of.strips, held, cuts.planks.length) ?? 0) : 0;
  const laidMm2 = of.strips.reduce((sum, { areaM2 }) => sum + areaM2 * 1e6, 0);
  const area = areaBound(of.strips, plank);
  return {
    firsts,
    firstMm: of.firstMm,
    lastMm: of.lastMm,
    strips: of.strips,
    rows,
    held,
    cuts,
    bound: {
      longest: Math.max(of.least, proved),
      rows: Math.max(area, lengthBound(of.strips, plank), boundOf?.all(of.strips, held) ?? 0),
      area,
    },
    waste: 1 - laidMm2 / (cuts.planks.length * plank.lengthMm * plank.widthMm),
    rippedM: of.rippedM,
  };
}

/** Boxes for so many planks and a share of spare ones, one at least: all rooms of a batch together. */
export const boxesFor = (planks: number, inBox: number, spareShare = 0.03): number =>
  upTo((planks + Math.max(1, upTo(planks * spareShare))) / inBox);
