import type { Division } from './division.ts';
import type { LaidPlank } from './plank.ts';
import type { RowStrip } from './rows.ts';

/** What a divided strip takes: whole planks, and pieces with the trim that a wall asks. */
export interface StripPieces {
  wholes: number;
  startMm: number | null;
  endMm: number | null;
  /** One piece from wall to wall. */
  freeMm: number | null;
}

const HAIR = 1e-6;

/** Pieces of a strip as they are cut: a start or an end of a whole plank is a whole plank. */
export function piecesOf({ startMm, wholes, endMm }: Division, { lengthMm, trimMm }: LaidPlank): StripPieces {
  const cut = (mm: number, walls: number) => Math.min(lengthMm, mm + walls * trimMm);
  const isWhole = (mm: number) => mm >= lengthMm - HAIR;
  if (endMm === 0) {
    const one = cut(startMm, 2);
    return isWhole(one)
      ? { wholes: 1, startMm: null, endMm: null, freeMm: null }
      : { wholes: 0, startMm: null, endMm: null, freeMm: one };
  }
  const [start, end] = [cut(startMm, 1), cut(endMm, 1)];
  return {
    wholes: wholes + (isWhole(start) ? 1 : 0) + (isWhole(end) ? 1 : 0),
    startMm: isWhole(start) ? null : start,
    endMm: isWhole(end) ? null : end,
    freeMm: null,
  };
}

/**
 * Whether the last row can be cut from what is ripped off the first one: the first keeps the far edge of its planks, the last the near one. Gives the
 * rows; null where a plank is too narrow for both.
 */
export function rippedTogether(
  strips: readonly RowStrip[],
  { widthMm, kerfMm }: LaidPlank,
): { first: number; last: number } | null {
  if (strips.length === 0) return null;
  const rows = strips.map(({ row }) => row);
  const [first, last] = [Math.min(...rows), Math.max(...rows)];
  if (first === last) return null;
  const wide = (row: number) =>
    Math.max(...strips.filter((strip) => strip.row === row).map(({ lowMm, highMm }) => highMm - lowMm));
  return wide(first) + wide(last) + kerfMm <= widthMm + HAIR ? { first, last } : null;
}
