import type { LaidPlank } from './plank.ts';
import { rippedTogether, type StripPieces } from './pieces.ts';
import type { RowStrip } from './rows.ts';
import { createTally, planksFor, sorted, type Needs, type Sorted } from './tally.ts';

/** Planks of all strips together, as one after another is divided another way. */
export interface RowsCount {
  /** A strip is divided so; what it was before is taken back. */
  set: (strip: number, pieces: StripPieces) => void;
  planks: () => number;
  /** How far the strips last counted are from taking fewer, in planks. */
  missing: () => number;
}

const HAIR = 1e-6;

/** Lengths that find none at least as long among others, each used once. */
function uncovered(wanted: Sorted, by: Sorted): Sorted {
  const left = sorted();
  let k = by.count - 1;
  const found: number[] = [];
  for (let i = wanted.count - 1; i >= 0; i--) {
    // Nothing longer is left: this one is cut anew.
    if (k >= 0 && by.at[k]! >= wanted.at[i]! - HAIR) k--;
    else found.push(wanted.at[i]!);
  }
  left.at = Float64Array.from(found.reverse());
  left.count = found.length;
  return left;
}

/**
 * Counts planks of all strips. Where the last row fits beside the first in one width, what is ripped off the first row's pieces serves the last row's:
 * whole ones, starts and ends by their hand, and pieces from wall to wall.
 */
export function rowsCount(strips: readonly RowStrip[], plank: LaidPlank): RowsCount {
  const ripped = rippedTogether(strips, plank);
  const held: (StripPieces | undefined)[] = [];
  const rest = createTally(plank);
  const [first, last] = [createTally(plank), createTally(plank)];
  const ofRow = (row: number) =>
    ripped && row === ripped.last ? [last] : ripped && row === ripped.first ? [rest, first] : [rest];
  const tallies = strips.map(({ row }) => ofRow(row));
  return {
    set(strip, pieces) {
      const before = held[strip];
      for (const tally of tallies[strip]!) {
        if (before) tally.take(before);
        tally.add(pieces);
      }
      held[strip] = pieces;
    },
    planks() {
      const planks = rest.planks();
      if (!ripped) return planks;
      const left: Needs = {
        starts: uncovered(last.needs.starts, first.needs.starts),
        ends: uncovered(last.needs.ends, first.needs.ends),
        free: uncovered(last.needs.free, first.needs.free),
      };
      return planks + Math.max(0, last.wholes() - first.wholes() + planksFor(left, plank).planks);
    },
    missing: rest.missing,
  };
}
