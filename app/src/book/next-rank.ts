const MINUTE_MS = 60_000;
const COUNTED_FROM_MS = Date.UTC(2020, 0, 1);

/**
 * A rank that stands after all of a list: the minutes to now, or one more than the highest where that is more. Counted from the
 * clock because the list may not be here yet, or another device may be adding to it: what is made later stands later all the
 * same. Within one minute the ids decide, which carry the moment they were made at.
 */
export function nextRank(list: readonly { rank: number }[], nowMs: number): number {
  const minutes = Math.floor((nowMs - COUNTED_FROM_MS) / MINUTE_MS);
  return list.reduce((rank, one) => Math.max(rank, one.rank + 1), minutes);
}
