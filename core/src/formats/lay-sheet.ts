import type { PointMm, Polygon } from '../room/index.ts';

/** What a drawing of planks carries: walls, pieces with their numbers, lines to snap; mm of the floor. */
export interface LaySheet {
  title: string;
  corners: Polygon;
  pieces: readonly { number: number; outline: Polygon; isLaid?: boolean }[];
  chalk: readonly (readonly [PointMm, PointMm])[];
  notes: readonly string[];
}

/** Middle of a piece's box. */
export function middleOf(outline: Polygon): PointMm {
  const [xs, ys] = [outline.map(({ xMm }) => xMm), outline.map(({ yMm }) => yMm)];
  return { xMm: (Math.min(...xs) + Math.max(...xs)) / 2, yMm: (Math.min(...ys) + Math.max(...ys)) / 2 };
}
