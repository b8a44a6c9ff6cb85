import type { Region } from '../room/index.ts';
import { acrossOf } from './rows.ts';

/** Widths a first row may have, mm. */
export type Widths = [number, number];

/** An edge along the rows, by its places across them: lowest and highest, and on which side of it the floor lies. */
export interface RowEdge {
  lowMm: number;
  highMm: number;
  floorIs: 'above' | 'below';
  /** Its ends along the rows. */
  fromMm: number;
  toMm: number;
}

/** An edge that leaves too narrow a row whatever is done: by how much it would have to give way, mm. */
export interface HeldEdge extends RowEdge {
  shortMm: number;
}

export interface FirstRows {
  /** Every width of the first row that leaves no edge a row under the least; empty where there is none. */
  widths: Widths[];
  /** One row, ripped on both sides: the floor is narrower than a plank. */
  isSingle: boolean;
  /** Where there is none: the best there is, and which edges it leaves too narrow. */
  best: { firstMm: number; short: HeldEdge[] } | null;
}

/** Edges within so much of the rows' way count as running along them, degrees. */
const ALONG_DEG = 10;
/** An edge shorter than this is a corner's crumb, mm. */
const EDGE_MM = 3;
const HAIR = 1e-6;

/** Edges of a region in the laying frame that run along the rows. */
export function rowEdges(region: Region): RowEdge[] {
  const most = Math.tan((ALONG_DEG * Math.PI) / 180);
  return region.flatMap((part) =>
    part.flatMap((ring) =>
      ring.flatMap((a, k): RowEdge[] => {
        const b = ring[(k + 1) % ring.length]!;
        const du = b[0] - a[0];
        if (Math.abs(du) < EDGE_MM || Math.abs(b[1] - a[1]) > Math.abs(du) * most) return [];
        return [
          {
            lowMm: Math.min(a[1], b[1]),
            highMm: Math.max(a[1], b[1]),
            // Outer rings run anticlockwise and holes the other way: the floor is at the left.
            floorIs: du > 0 ? 'above' : 'below',
            fromMm: Math.min(a[0], b[0]),
            toMm: Math.max(a[0], b[0]),
          },
        ];
      }),
    ),
  );
}

/**
 * Where a line between rows may lie beyond an edge, so that the row it crosses keeps the least width over its whole length and a tapering
 * edge stays inside one row; mm across the rows, to be taken round the width of a plank. Its second figure lies under its first where there is none.
 */
const linesBeyond = ({ lowMm, highMm, floorIs }: RowEdge, widthMm: number, leastMm: number): Widths =>
  floorIs === 'above' ? [highMm + leastMm, lowMm + widthMm] : [highMm - widthMm, lowMm - leastMm];

/** Intervals of a circle that also lie in others, each given as [from, to] with from in [0, round). */
function meet(held: readonly Widths[], [from, to]: Widths, round: number): Widths[] {
  if (to - from >= round - HAIR) return [...held];
  if (to < from - HAIR) return [];
  const start = from - Math.floor(from / round) * round;
  const end = start + (to - from);
  const pieces: Widths[] =
    end <= round + HAIR
      ? [[start, end]]
      : [
          [start, round],
          [0, end - round],
        ];
  // What ends on the seam of the circle begins there as well.
  if (Math.abs(end - round) < HAIR) pieces.push([0, 0]);
  if (start < HAIR) pieces.push([round, round]);
  return held.flatMap(([a, b]) =>
    pieces.flatMap(([c, d]): Widths[] => {
      const [low, high] = [Math.max(a, c), Math.min(b, d)];
      return high >= low - HAIR ? [[low, Math.max(low, high)]] : [];
    }),
  );
}

/** Intervals put together where they touch, in their order. */
function joined(widths: readonly Widths[]): Widths[] {
  const sorted = [...widths].sort((a, b) => a[0] - b[0] || a[1] - b[1]);
  return sorted.reduce<Widths[]>((all, one) => {
    const last = all.at(-1);
    if (last && one[0] <= last[1] + HAIR) last[1] = Math.max(last[1], one[1]);
    else all.push([...one]);
    return all;
  }, []);
}

/** By how much an edge falls short for lines at `firstMm` beyond the start line, mm; 0 where it keeps its least. */
function shortOf(edge: RowEdge, startMm: number, firstMm: number, widthMm: number, leastMm: number): number {
  const [from, to] = linesBeyond(edge, widthMm, leastMm);
  const line = startMm + firstMm;
  if (to < from) return (from - to) / 2 + Math.abs(roundTo(line - (from + to) / 2, widthMm));
  const above = ((line - from) % widthMm) + (line < from ? widthMm : 0);
  const off = above % widthMm;
  return off <= to - from + HAIR ? 0 : Math.min(off - (to - from), widthMm - off);
}

/** The remainder nearest to nothing. */
const roundTo = (value: number, round: number): number => value - Math.round(value / round) * round;

/** How finely the best width is looked for where none keeps every edge, mm. */
const LOOK_MM = 1;

/**
 * Widths of the first row by which every edge along the rows leaves a whole plank or the least row, over its whole length: intervals
 * within [least, w]. Where there is none, the width that leaves the least missing, and at which edges.
 */
export function firstRows(region: Region, widthMm: number, leastMm: number): FirstRows {
  const [startMm, endMm] = acrossOf(region);
  if (endMm - startMm < widthMm - HAIR)
    return { widths: [[endMm - startMm, endMm - startMm]], isSingle: true, best: null };
  const edges = rowEdges(region);
  const all: Widths[] = [[Math.min(leastMm, widthMm), widthMm]];
  const widths = edges.reduce<Widths[]>((held, edge) => {
    const [from, to] = linesBeyond(edge, widthMm, leastMm);
    return meet(held, [from - startMm, to - startMm], widthMm);
  }, all);
  if (widths.length > 0) return { widths: joined(widths), isSingle: false, best: null };
  const short = (firstMm: number): HeldEdge[] =>
    edges.flatMap((edge) => {
      const shortMm = shortOf(edge, startMm, firstMm, widthMm, leastMm);
      return shortMm > HAIR ? [{ ...edge, shortMm }] : [];
    });
  const worst = (held: readonly HeldEdge[]) => held.reduce((most, { shortMm }) => Math.max(most, shortMm), 0);
  let best = { firstMm: widthMm, short: short(widthMm) };
  for (let firstMm = leastMm; firstMm < widthMm; firstMm += LOOK_MM) {
    const held = short(firstMm);
    if (worst(held) < worst(best.short) - HAIR) best = { firstMm, short: held };
  }
  return { widths: [], isSingle: false, best };
}

/** The width that makes the first row and the last alike, within what may be; null where the floor's edges do not allow it. */
export function equalEdges(region: Region, widthMm: number, { widths, isSingle }: FirstRows): number | null {
  if (isSingle) return null;
  const [low, high] = acrossOf(region);
  const rest = (high - low) % widthMm;
  const alike = rest < HAIR ? widthMm : (widthMm + rest) / 2;
  return isWithin(widths, alike) ? alike : null;
}

const isWithin = (widths: readonly Widths[], mm: number): boolean =>
  widths.some(([from, to]) => mm >= from - HAIR && mm <= to + HAIR);

/** Widths by which the middle of the floor, across the rows, lies on a line between two of them or along the middle of one, as far as its edges allow. */
export function middleRows(region: Region, widthMm: number, { widths, isSingle }: FirstRows): number[] {
  if (isSingle) return [];
  const [low, high] = acrossOf(region);
  const half = (high - low) / 2;
  return [half, half + widthMm / 2]
    .map((mm) => (mm % widthMm < HAIR ? widthMm : mm % widthMm))
    .filter((mm) => isWithin(widths, mm));
}
