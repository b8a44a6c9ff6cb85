import type { Region } from '../room/index.ts';
import { areaBound, lengthBound, upTo } from './bounds.ts';
import { cutList, type CutList } from './cut-list.ts';
import { equalEdges, firstRows, type FirstRows } from './first-row.ts';
import type { Division } from './division.ts';
import type { JointZone } from './joints.ts';
import type { LaidPlank } from './plank.ts';
import { rowStrips, type RowStrip } from './rows.ts';
import { isBetter, searchRows, type RowsPlan } from './search.ts';

/** How the first row is chosen among those that may be: by planks, like the last one, or a whole plank from the wall. */
export type FirstRowSchool = 'fewest' | 'equal' | 'from-wall';

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
  /** First rows that are searched, and tries for each of them. */
  firsts: number;
  steps: number;
  /** A bound of given rows that is dearer to find than by length; it is asked where it may end the search. */
  boundOf?: (strips: readonly RowStrip[]) => number;
  /** A bound of the rows that were taken in the end, dearer still: no more than so many planks are asked to be proved. */
  proveOf?: (strips: readonly RowStrip[], planks: number) => number;
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
  /** No layout of these rows takes fewer; and by area none of any rows. */
  bound: { rows: number; area: number };
  /** Of what is bought, the share that is not laid. */
  waste: number;
  rippedM: number;
}

/** A first row that could be, with what is known of it before it is searched. */
interface Candidate {
  firstMm: number;
  lastMm: number;
  strips: RowStrip[];
  held: ReadonlyMap<number, Division>;
  least: number;
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

function candidate(region: Region, plank: LaidPlank, firstMm: number, laid: readonly LaidStrip[]): Candidate {
  const { strips, held } = withLaid(rowStrips(region, plank.widthMm, firstMm), laid, plank);
  const wide = ({ lowMm, highMm }: RowStrip) => highMm - lowMm;
  const lastRow = Math.max(...strips.map(({ row }) => row));
  return {
    firstMm,
    held,
    lastMm: Math.max(...strips.filter(({ row }) => row === lastRow).map(wide)),
    strips,
    least: Math.max(areaBound(strips, plank), lengthBound(strips, plank)),
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
  if (school === 'from-wall') return [Math.max(...firsts.widths.map(([, to]) => to))];
  const tried = firsts.widths.flatMap(([from, to]) => {
    const count = Math.max(1, Math.ceil((to - from) / TRIED_MM));
    return Array.from({ length: count + 1 }, (_, k) => from + ((to - from) * k) / count);
  });
  return alike === null ? tried : [alike, ...tried];
}

/**
 * Rows of a floor, divided with few planks. First rows are ranked by the planks they take at least, then by what is ripped and by how like the last row they are;
 * the best of them are searched, and searched no further once as few planks are found as there can be.
 */
export function planFloor(ask: FloorAsk): FloorPlan | null {
  const { region, plank, zones = [], laid = [], steps, tell, shouldStop } = ask;
  if (region.length === 0) return null;
  const firsts = firstRows(region, plank.widthMm, plank.leastRowMm);
  const ranked = widthsOf(ask, firsts)
    .map((firstMm) => candidate(region, plank, firstMm, laid))
    .filter(({ strips }) => strips.length > 0)
    .sort(
      (a, b) =>
        a.least - b.least ||
        a.rippedM - b.rippedM ||
        Math.abs(a.firstMm - a.lastMm) - Math.abs(b.firstMm - b.lastMm) ||
        a.firstMm - b.firstMm,
    );
  const tried = ranked.slice(0, ask.firsts);
  let best: { of: Candidate; rows: RowsPlan; least: number } | null = null;
  for (const [k, of] of tried.entries()) {
    if (shouldStop?.() && best) break;
    // A first row that cannot take fewer than were found already is not searched.
    if (best && best.rows.breaches.length === 0 && of.least >= best.rows.planks) break;
    const least = Math.max(of.least, ask.boundOf?.(of.strips) ?? 0);
    if (best && best.rows.breaches.length === 0 && least >= best.rows.planks) continue;
    const rows = searchRows({
      strips: of.strips,
      plank,
      zones,
      held: of.held,
      steps,
      seed: k + 1,
      leastPlanks: least,
      tell: (share) => tell?.((k + share) / tried.length),
      shouldStop,
    });
    if (!best || isBetter(rows, best.rows)) best = { of, rows, least };
  }
  if (!best) return null;
  const { of, rows, least } = best;
  const cuts = cutList(of.strips, rows.divisions, plank);
  const keepsAll = rows.breaches.length === 0 && cuts.planks.length > least;
  const proved = keepsAll ? (ask.proveOf?.(of.strips, cuts.planks.length) ?? 0) : 0;
  const laidMm2 = of.strips.reduce((sum, { areaM2 }) => sum + areaM2 * 1e6, 0);
  return {
    firsts,
    firstMm: of.firstMm,
    lastMm: of.lastMm,
    strips: of.strips,
    rows,
    held: new Set(of.held.keys()),
    cuts,
    bound: { rows: Math.max(least, proved), area: areaBound(of.strips, plank) },
    waste: 1 - laidMm2 / (cuts.planks.length * plank.lengthMm * plank.widthMm),
    rippedM: of.rippedM,
  };
}

/** Boxes for so many planks and a share of spare ones, one at least: all rooms of a batch together. */
export const boxesFor = (planks: number, inBox: number, spareShare = 0.03): number =>
  upTo((planks + Math.max(1, upTo(planks * spareShare))) / inBox);
