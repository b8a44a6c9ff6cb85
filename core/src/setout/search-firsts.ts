import type { Division } from './division.ts';
import type { JointZone } from './joints.ts';
import type { LaidPlank } from './plank.ts';
import type { RowStrip } from './rows.ts';
import { isBetter, searchRows, type RowsPlan } from './search.ts';

/** A first row that could be, with what is known of it before it is searched. */
export interface FirstRowTried {
  firstMm: number;
  lastMm: number;
  strips: RowStrip[];
  /** Strips that lie already. */
  held: ReadonlyMap<number, Division>;
  /** No plan of its rows takes fewer planks. */
  least: number;
  rippedM: number;
}

export interface FirstsAsk {
  plank: LaidPlank;
  zones: readonly JointZone[];
  /** First rows that are searched, and tries for each of them, round by round: half of them, the better ones, go into the next. */
  firsts: number;
  rounds: readonly number[];
  /** A dearer bound of a plan's rows. */
  boundOf?: ((strips: readonly RowStrip[], held: ReadonlySet<number>) => number) | undefined;
  tell?: ((share: number) => void) | undefined;
  shouldStop?: (() => boolean) | undefined;
}

interface Searched {
  of: FirstRowTried;
  rows: RowsPlan | null;
}

/** Fewest planks at least first, then what is ripped, then how like the last row the first one is. */
const byRank = (a: FirstRowTried, b: FirstRowTried): number =>
  a.least - b.least ||
  a.rippedM - b.rippedM ||
  Math.abs(a.firstMm - a.lastMm) - Math.abs(b.firstMm - b.lastMm) ||
  a.firstMm - b.firstMm;

/** Each try takes longer on a floor of more strips: there are fewer of them. */
const LARGE = 40;
/** Seeds of first rows lie so far apart that no two rounds draw alike. */
const ROUNDS_APART = 100;
/** So many more first rows than are searched are bounded the dear way. */
const BOUNDED = 2;

/**
 * The first row whose rows were found to take the fewest planks, and how they are divided. All are ranked by what they take at least; the best are searched in rounds, the better half
 * of them longer each time, and none that could only take as many as were found. The same ask is answered the same way.
 */
export function searchFirsts(
  tried: readonly FirstRowTried[],
  ask: FirstsAsk,
): { of: FirstRowTried; rows: RowsPlan } | null {
  const { plank, zones, firsts, rounds, boundOf, tell, shouldStop } = ask;
  const ranked = [...tried].sort(byRank).slice(0, boundOf ? firsts * BOUNDED : firsts);
  const bounded = boundOf
    ? ranked.map((one) => ({ ...one, least: Math.max(one.least, boundOf(one.strips, new Set(one.held.keys()))) }))
    : ranked;
  let pool: Searched[] = bounded
    .sort(byRank)
    .slice(0, firsts)
    .map((of) => ({ of, rows: null }));
  const sizes = rounds.map((_, round) => Math.ceil(firsts / 2 ** round));
  const strips = Math.max(1, ...pool.map(({ of }) => of.strips.length));
  const whole = rounds.reduce((sum, steps, round) => sum + steps * sizes[round]!, 0) * Math.min(1, LARGE / strips);
  let best: { of: FirstRowTried; rows: RowsPlan } | null = null;
  let done = 0;
  const isFutile = ({ least }: FirstRowTried) =>
    best !== null && best.rows.breaches.length === 0 && least >= best.rows.planks;
  // What first rows that need no search any more leave over of the tries goes to the others.
  for (let round = 0; pool.length > 0 && done < whole; round++) {
    const steps = rounds[Math.min(round, rounds.length - 1)]!;
    for (const one of pool) {
      if (best && shouldStop?.()) return best;
      if (isFutile(one.of)) continue;
      const began = done;
      const rows = searchRows({
        strips: one.of.strips,
        plank,
        zones,
        held: one.of.held,
        steps,
        seed: 1 + round + ROUNDS_APART * pool.indexOf(one),
        leastPlanks: one.of.least,
        ...(one.rows ? { from: one.rows.divisions } : {}),
        tell: (share) => tell?.(Math.min(1, (began + share * steps) / whole)),
        shouldStop,
      });
      done += steps;
      if (one.rows === null || isBetter(rows, one.rows)) one.rows = rows;
      if (best === null || isBetter(one.rows, best.rows)) best = { of: one.of, rows: one.rows };
    }
    pool = pool.filter(({ of, rows }) => rows !== null && !isFutile(of));
    // In their order where they are alike: that is their rank.
    pool.sort((a, b) => (isBetter(a.rows!, b.rows!) ? -1 : isBetter(b.rows!, a.rows!) ? 1 : 0));
    pool = pool.slice(0, sizes[round + 1] ?? sizes.at(-1));
  }
  return best;
}
