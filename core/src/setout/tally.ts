import type { StripPieces } from './pieces.ts';
import type { LaidPlank } from './plank.ts';

/** Pieces as they come and go, kept in order, and the planks they take: the count that `cutPlanks` comes to, many times over. */
export interface Tally {
  add: (pieces: StripPieces) => void;
  take: (pieces: StripPieces) => void;
  planks: () => number;
  /** How far the pieces last counted are from taking fewer: what lone starts miss to the next end, in planks. */
  missing: () => number;
  needs: Needs;
  wholes: () => number;
}

/** Lengths in order, the shortest first. */
export interface Sorted {
  count: number;
  at: Float64Array;
}

const HAIR = 1e-6;

function put(into: Sorted, mm: number): void {
  if (into.count === into.at.length) {
    const more = new Float64Array(2 * into.count + 8);
    more.set(into.at);
    into.at = more;
  }
  let k = into.count++;
  for (; k > 0 && into.at[k - 1]! > mm; k--) into.at[k] = into.at[k - 1]!;
  into.at[k] = mm;
}

function drop(from: Sorted, mm: number): void {
  let [low, high] = [0, from.count - 1];
  while (low < high) {
    const middle = (low + high) >> 1;
    if (from.at[middle]! < mm) low = middle + 1;
    else high = middle;
  }
  from.at.copyWithin(low, low + 1, from.count);
  from.count--;
}

export const sorted = (): Sorted => ({ count: 0, at: new Float64Array(16) });

/** Starts and ends in order, as planks that click are cut: so many planks, and what lone starts miss. */
function countByHand(starts: Sorted, ends: Sorted, roomMm: number): { planks: number; missingMm: number } {
  let [next, fitting, pairs, missingMm] = [0, 0, 0, 0];
  for (let k = starts.count - 1; k >= 0; k--) {
    const room = roomMm - starts.at[k]!;
    while (next < ends.count && ends.at[next]! <= room) {
      fitting++;
      next++;
    }
    if (fitting > 0) {
      fitting--;
      pairs++;
    } else if (next < ends.count) missingMm += ends.at[next]! - room;
  }
  return { planks: starts.count + ends.count - pairs, missingMm };
}

/** One-ended pieces of planks without locks, any two of which may share one. */
function countFreely(starts: Sorted, ends: Sorted, roomMm: number): { planks: number; missingMm: number } {
  const all = new Float64Array(starts.count + ends.count);
  all.set(starts.at.subarray(0, starts.count));
  all.set(ends.at.subarray(0, ends.count), starts.count);
  all.sort();
  let [low, high, pairs, missingMm] = [0, all.length - 1, 0, 0];
  // For the count alone the shortest do as well as the longest that fits.
  while (low < high) {
    if (all[low]! + all[high]! <= roomMm) {
      pairs++;
      low++;
    } else missingMm += all[low]! + all[high]! - roomMm;
    high--;
  }
  return { planks: all.length - pairs, missingMm };
}

/** What planks with a start and an end in them have left over, for pieces that need no end. */
function restsOf({ starts, ends }: Needs, plank: LaidPlank, roomMm: number): number[] {
  const rests: number[] = [];
  const fitting: number[] = [];
  let next = 0;
  if (plank.ends === 'click') {
    for (let k = starts.count - 1; k >= 0; k--) {
      const start = starts.at[k]!;
      while (next < ends.count && ends.at[next]! <= roomMm - start) fitting.push(ends.at[next++]!);
      const end = fitting.pop();
      rests.push(plank.lengthMm - start - (end === undefined ? 0 : end + plank.kerfMm));
    }
    for (const end of [...fitting, ...ends.at.subarray(next, ends.count)]) rests.push(plank.lengthMm - end);
    return rests;
  }
  const left = [...starts.at.subarray(0, starts.count), ...ends.at.subarray(0, ends.count)].sort((a, b) => b - a);
  while (left.length > 0) {
    const first = left.shift()!;
    const k = left.findIndex((mm) => mm <= roomMm - first);
    rests.push(plank.lengthMm - first - (k < 0 ? 0 : left.splice(k, 1)[0]! + plank.kerfMm));
  }
  return rests;
}

/** Pieces by what they need of a plank. */
export type Needs = Record<'starts' | 'ends' | 'free', Sorted>;

/** Planks for pieces that are cut, whole ones left out; and how far they are from taking one fewer, mm. */
export function planksFor(needs: Needs, plank: LaidPlank): { planks: number; missingMm: number } {
  const roomMm = plank.lengthMm - plank.kerfMm + HAIR;
  const { starts, ends, free } = needs;
  const counted = (plank.ends === 'click' ? countByHand : countFreely)(starts, ends, roomMm);
  if (free.count === 0) return counted;
  let { planks } = counted;
  const bins = restsOf(needs, plank, roomMm);
  for (let k = free.count - 1; k >= 0; k--) {
    const piece = free.at[k]!;
    let into = -1;
    for (let i = 0; i < bins.length; i++)
      if (bins[i]! >= piece + plank.kerfMm - HAIR && (into < 0 || bins[i]! < bins[into]!)) into = i;
    if (into >= 0) bins[into]! -= piece + plank.kerfMm;
    else {
      bins.push(plank.lengthMm - piece);
      planks++;
    }
  }
  return { planks, missingMm: counted.missingMm };
}

export function createTally(plank: LaidPlank): Tally {
  const needs: Needs = { starts: sorted(), ends: sorted(), free: sorted() };
  let [wholes, missingMm] = [0, 0];
  const change = (by: (into: Sorted, mm: number) => void, sign: number) => (pieces: StripPieces) => {
    wholes += sign * pieces.wholes;
    if (pieces.startMm !== null) by(needs.starts, pieces.startMm);
    if (pieces.endMm !== null) by(needs.ends, pieces.endMm);
    if (pieces.freeMm !== null) by(needs.free, pieces.freeMm);
  };
  return {
    needs,
    wholes: () => wholes,
    add: change(put, 1),
    take: change(drop, -1),
    missing: () => missingMm / plank.lengthMm,
    planks() {
      const counted = planksFor(needs, plank);
      missingMm = counted.missingMm;
      return wholes + counted.planks;
    },
  };
}
