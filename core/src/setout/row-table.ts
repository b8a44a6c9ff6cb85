import { cutPart, type PointMm } from '../room/index.ts';
import type { Division } from './division.ts';
import type { LayingFrame } from './frame.ts';
import type { RowStrip } from './rows.ts';

/** A row as it is read off on the floor: its width at both ends, and what it is laid from. */
export interface RowLine {
  row: number;
  strip: number;
  leftWideMm: number;
  rightWideMm: number;
  startMm: number;
  wholes: number;
  endMm: number;
}

/** Just inside an end, mm. */
const INSIDE_MM = 1;

/** How wide a strip is across the row at a place along it, mm. */
function wideAt({ part }: RowStrip, uMm: number): number {
  return cutPart(part, { a: 1, b: 0, c: uMm }).spans.reduce((sum, [from, to]) => sum + to - from, 0);
}

/** The table of rows, in the order of laying. */
export const rowTable = (strips: readonly RowStrip[], divisions: readonly Division[]): RowLine[] =>
  strips.map((strip, k) => {
    const { startMm, wholes, endMm } = divisions[k]!;
    return {
      row: strip.row,
      strip: k,
      leftWideMm: wideAt(strip, strip.fromMm + INSIDE_MM),
      rightWideMm: wideAt(strip, strip.toMm - INSIDE_MM),
      startMm,
      wholes,
      endMm,
    };
  });

/** A line that is snapped on the floor, between two places of the room. */
export interface ChalkLine {
  from: PointMm;
  to: PointMm;
  /** Rows before it: 0 lies along the start line. */
  afterRow: number;
}

/** The chalk line between two rows, from the one end of the floor to the other; null where no floor lies there. */
export function chalkLine(
  strips: readonly RowStrip[],
  { back }: LayingFrame,
  widthMm: number,
  afterRow: number,
): ChalkLine | null {
  const beside = strips.filter(({ row }) => row === afterRow - 1 || row === afterRow);
  const first = strips.find(({ row }) => row === afterRow) ?? strips.find(({ row }) => row === afterRow - 1);
  if (!first) return null;
  const v = first.row === afterRow ? first.lineMm : first.lineMm + widthMm;
  const [left, right] = [Math.min(...beside.map(({ fromMm }) => fromMm)), Math.max(...beside.map(({ toMm }) => toMm))];
  return { from: back(left, v), to: back(right, v), afterRow };
}
