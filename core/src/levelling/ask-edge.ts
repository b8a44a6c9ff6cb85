import { crownsAlong, gapsAlong, mayExceed, type EdgeScratch, type Run } from '../flat/index.ts';

/** What an edge is asked for along a run. */
export interface Asked {
  /** Length of the edge in steps. */
  window: number;
  /** Gap and rocking over `overMm` are brought down to `targetMm`. */
  overMm: number;
  targetMm: number;
  /** Runs that cannot be over this are passed over: `overMm` unless told. */
  mayMm?: number;
  /** Raises the free ends of an edge that rocks too far as well. */
  rocking: boolean;
}

/**
 * Whether a run may break its rule by more than `overMm`; if so, its gaps and rocking stand in `scratch` afterwards. What it asks for: `raise` is told each sample that has to come up and by how much, mm, for a gap under the edge to come to
 * its target (flatness definitions, section 3), and with `rocking` for the free ends of an edge to: the lower one first, and to
 * no more than the height of the middle less the target.
 */
export function askEdge(
  run: Run,
  { window, overMm, targetMm, rocking, mayMm = overMm }: Asked,
  scratch: EdgeScratch,
  raise: (s: number, by: number) => void,
): boolean {
  const { heights, length } = run;
  if (!mayExceed(heights, length, window, mayMm)) return false;
  gapsAlong(heights, length, window, scratch);
  for (let s = 0; s < length; s++) if (scratch.gap[s]! > overMm) raise(s, scratch.gap[s]! - targetMm);
  if (!rocking) return true;
  crownsAlong(heights, length, window, scratch.crown);
  for (let s = 1; s < length - 1; s++) {
    if (scratch.crown[s]! <= overMm) continue;
    const a = Math.ceil(Math.min(window / 2, s, length - 1 - s));
    const ends = [s - a, s + a].sort((i, j) => heights[i]! - heights[j]!);
    let need = 2 * (scratch.crown[s]! - targetMm);
    for (const end of ends) {
      const by = Math.min(need, heights[s]! - targetMm - heights[end]!);
      if (by > 0) raise(end, by);
      need -= Math.max(0, by);
    }
  }
  return true;
}
