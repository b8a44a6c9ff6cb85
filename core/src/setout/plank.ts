/** How the ends of a plank hold: a lock of fixed hand at either end, or nothing at all. */
export type PlankEnds = 'click' | 'plain';

/** A plank as the set-out needs it; all lengths in mm. */
export interface LaidPlank {
  lengthMm: number;
  /** Cover width: what of it shows once the next row is on. */
  widthMm: number;
  /** What a cut takes. */
  kerfMm: number;
  /** Shortest piece beside a joint. */
  leastEndMm: number;
  /** Joints of neighbouring rows stand so far apart at least, and those of every second row. */
  staggerMm: number;
  secondStaggerMm: number;
  /** Narrowest row along a wall. */
  leastRowMm: number;
  ends: PlankEnds;
  /** Cut away at each wall end besides what is measured, so that a wall out of true still lets the piece in. */
  trimMm: number;
}

/** Two steps running that differ by less make a stair, mm (round the plank's length). */
export const STAIR_MM = 40;
