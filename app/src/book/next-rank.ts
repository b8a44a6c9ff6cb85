const MINUTE_MS = 60_000;
const COUNTED_FROM_MS = Date.UTC(2020, 0, 1);
/** A rank after another by less than the time in which two are made. */
const STEP = 1e-4;

/**
 * A rank that stands after all of a list: the minutes to now, parts of a minute with them, or a little more than the highest where
 * that is more. Counted from the clock because the list may not be here yet, or another device may be adding to it: what is made
 * later stands later all the same.
 */
export function nextRank(list: readonly { rank: number }[], nowMs: number): number {
  return list.reduce((rank, one) => Math.max(rank, one.rank + STEP), (nowMs - COUNTED_FROM_MS) / MINUTE_MS);
}
