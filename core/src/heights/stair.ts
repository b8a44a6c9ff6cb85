/** What a code allows of a flight, mm; local code wins. */
export interface StairCode {
  /** Greatest difference between risers of a flight. */
  rangeMm: number;
  mostRiserMm: number;
  leastRiserMm: number;
}
export const USUAL_STAIR: StairCode = { rangeMm: 5, mostRiserMm: 220, leastRiserMm: 150 };

export interface FlightAfter {
  risersMm: number[];
  rangeMm: number;
  /** Numbers of the risers that are past the code's limits, from 1. */
  past: number[];
  holds: boolean;
}

/**
 * Risers of a flight after covering: r'k = rk + ak - a(k-1), with what is added to the floor below, to every tread at the top of
 * its nosing, and to the floor above. A flight of n risers has n - 1 treads between two floors. All in mm.
 * @throws where there are not n - 1 treads
 */
export function flightAfter(
  risersMm: readonly number[],
  { belowMm, treadsMm, aboveMm }: { belowMm: number; treadsMm: readonly number[]; aboveMm: number },
  code: StairCode = USUAL_STAIR,
): FlightAfter {
  if (treadsMm.length !== risersMm.length - 1)
    throw new Error(
      `${risersMm.length} risers have ${risersMm.length - 1} treads between them, not ${treadsMm.length}`,
    );
  const added = [belowMm, ...treadsMm, aboveMm];
  const after = risersMm.map((riser, k) => riser + added[k + 1]! - added[k]!);
  const rangeMm = Math.max(...after) - Math.min(...after);
  const past = after.flatMap((mm, k) => (mm > code.mostRiserMm || mm < code.leastRiserMm ? [k + 1] : []));
  return { risersMm: after, rangeMm, past, holds: rangeMm <= code.rangeMm + 1e-9 && past.length === 0 };
}

/** The covering of the treads, of those stocked and none, that leaves risers most alike; of equals the thinnest. All treads alike, never floating. */
export function bestTread(
  risersMm: readonly number[],
  { belowMm, aboveMm }: { belowMm: number; aboveMm: number },
  stockMm: readonly number[],
  code: StairCode = USUAL_STAIR,
): { treadMm: number; after: FlightAfter } {
  const tried = [...new Set([0, ...stockMm])]
    .sort((a, b) => a - b)
    .map((treadMm) => {
      const treadsMm = Array.from({ length: risersMm.length - 1 }, () => treadMm);
      return { treadMm, after: flightAfter(risersMm, { belowMm, treadsMm, aboveMm }, code) };
    });
  return tried.reduce((best, one) => (one.after.rangeMm < best.after.rangeMm - 1e-9 ? one : best));
}

/** Risers of a flight counted and measured as one height: all alike until they are read one by one. */
export const evenRisers = (heightMm: number, count: number): number[] =>
  Array.from({ length: count }, () => heightMm / count);

/** Thicknesses that coverings and boards for treads are stocked in, mm: glued down, never floating. */
export const TREADS_MM: readonly number[] = [3, 5, 8, 10, 12, 14, 16, 20];

/** A flight of stairs at an opening: its risers today and once the floors are laid. */
export interface StairJudged {
  openingId: string;
  leads: 'down' | 'up';
  beforeMm: number[];
  beforeRangeMm: number;
  /** What this room's floor rises there, and the floor at the other end, mm. */
  hereMm: number;
  otherMm: number;
  /** Covering of the treads it is judged with: what was stated, else the best of those stocked. */
  treadMm: number;
  isBest: boolean;
  best: { treadMm: number; after: FlightAfter };
  after: FlightAfter;
}
