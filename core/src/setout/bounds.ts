import { cutPart } from '../room/index.ts';
import { rippedTogether } from './pieces.ts';
import type { LaidPlank } from './plank.ts';
import type { RowStrip } from './rows.ts';

const HAIR = 1e-6;
export const upTo = (planks: number): number => Math.ceil(planks - HAIR);

/** By area: whatever the pattern, nothing is laid that no plank was bought for. */
export const areaBound = (strips: readonly RowStrip[], { lengthMm, widthMm }: LaidPlank): number =>
  upTo(strips.reduce((sum, { areaM2 }) => sum + areaM2 * 1e6, 0) / (lengthMm * widthMm));

/** Just inside an edge of a plank, mm. */
const INSIDE_MM = 0.5;

/**
 * Lines along a plank on which lengths may be added up over all rows: near its start-side edge, in its middle, near its other edge. Planks without locks
 * may be turned round, and then only the middle is one line.
 */
export const plankLines = ({ widthMm, ends }: LaidPlank): number[] =>
  ends === 'click' ? [INSIDE_MM, widthMm / 2, widthMm - INSIDE_MM] : [widthMm / 2];

/** A strip on one line of its planks. */
export interface OnLine {
  lengthMm: number;
  /** As long there as anywhere: its ends are square, and as long as they must be. */
  isSquare: boolean;
  /** Nothing stands in it there. */
  isWhole: boolean;
}

/** How long each strip is on one line of its planks; nothing where it is ripped off there. */
export function stripsOnLine(strips: readonly RowStrip[], lineMm: number): OnLine[] {
  return strips.map(({ part, lineMm: rowMm, fromMm, toMm }) => {
    const { spans } = cutPart(part, { a: 0, b: 1, c: rowMm + lineMm });
    const lengthMm = spans.reduce((sum, [from, to]) => sum + to - from, 0);
    return { lengthMm, isSquare: lengthMm > toMm - fromMm - HAIR, isWhole: spans.length === 1 };
  });
}

/** By length, for these rows: what lies on one line of the planks, over a plank's length. */
export const lengthBound = (strips: readonly RowStrip[], plank: LaidPlank): number =>
  Math.max(
    0,
    ...plankLines(plank).map((line) =>
      upTo(stripsOnLine(strips, line).reduce((sum, { lengthMm }) => sum + lengthMm, 0) / plank.lengthMm),
    ),
  );

/** A row that no plank need be bought for: the last one, where it may come from what is ripped off the first. */
export const rowForNothing = (strips: readonly RowStrip[], plank: LaidPlank): number | null =>
  rippedTogether(strips, plank)?.last ?? null;

/** By length, for these rows with every piece as long as the longest edge of its place. */
export function longestBound(strips: readonly RowStrip[], plank: LaidPlank): number {
  const free = rowForNothing(strips, plank);
  const bought = strips.filter(({ row }) => row !== free);
  return upTo(bought.reduce((sum, { fromMm, toMm }) => sum + toMm - fromMm, 0) / plank.lengthMm);
}
