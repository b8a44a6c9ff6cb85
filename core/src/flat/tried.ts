import type { FlatnessRule } from '../coverings/index.ts';
import { thinned } from './contours.ts';
import { edgeFits } from './critic.ts';
import type { EdgeWalk, RodReading } from './facts.ts';
import type { FloorSurface } from './floor-surface.ts';
import { edgeLengthMm, isOwnLength, worstUnder } from './walks.ts';

/** What edges laid to break a verdict showed. */
export interface Tried {
  /** How many count, and how many are wanted before a floor is called flat. */
  laid: number;
  wanted: number;
  /** The worst under them, mm; 0 with none. */
  worstMm: number;
}

/** Placements asked for first, and again where one comes near the rule. */
const FIRST = 3;
const MORE = 2;
/** Under the rule by less than this an edge is no comfort, mm. */
const NEAR_MM = 0.3;
/** Beyond so many the rest is chance: what the wedge cannot tell is not asked for again and again. */
const MOST = 9;
/** Where the readings leave the verdict open, so many edges at the likeliest places settle it. */
export const SETTLED_BY = 6;
/** An edge was asked for by what was read until then: with more than this share read since, other places are likelier. */
const NEWER_SHARE = 0.1;

/**
 * How far a verdict was tried: edges laid where the app asked, in their turn. Three have to hold, and two more each time one of the
 * last comes within 0.3 mm of the rule (flatness definitions, quick pass). A true edge of the rule's own length counts, with a gap or
 * its rocking read under it; a shorter one only where no whole edge fits on the floor.
 */
export function triedOn(
  { walks, judged, surfaceMm }: Pick<FloorSurface, 'walks' | 'judged' | 'surfaceMm'>,
  readings: readonly Pick<RodReading, 'takenAt'>[],
  { gapMm, edgeMm }: FlatnessRule,
): Tried {
  const others = [...readings, ...walks.filter(({ asked }) => !asked)];
  const fits = (walk: EdgeWalk) =>
    isOwnLength(walk, edgeMm) ||
    (edgeLengthMm(walk) < edgeMm ? !edgeFits(thinned(judged, surfaceMm).grid, edgeMm) : true);
  const counting = walks
    .filter(
      ({ asked, tool, gaps, rocksMm }) => asked && tool === 'straightedge' && (gaps.length > 0 || rocksMm !== null),
    )
    .filter(({ takenAt }) => others.filter((other) => other.takenAt > takenAt).length <= others.length * NEWER_SHARE)
    .filter(fits)
    .sort((a, b) => (a.takenAt < b.takenAt ? -1 : a.takenAt > b.takenAt ? 1 : 0))
    .map((walk) => worstUnder(walk).gapMm);
  let [wanted, from] = [FIRST, 0];
  while (wanted < MOST && counting.length >= wanted && counting.slice(from, wanted).some((mm) => mm > gapMm - NEAR_MM))
    [from, wanted] = [wanted, wanted + MORE];
  return { laid: counting.length, wanted, worstMm: Math.max(0, ...counting) };
}
