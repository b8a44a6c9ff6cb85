import { TREADS_MM, type StairCode } from './stair.ts';

/** How far a floor may come up at its end of a flight, mm over what one treads on today. */
export interface RiseLimits {
  leastMm: number;
  mostMm: number;
}

/**
 * Rises of the floor at one end of a flight at which the code holds: with one of the coverings of its treads, each of which leaves a
 * range of rises, as only the riser next to that floor moves with it. Where they do not all meet, the widest stretch of them.
 * Null where no rise holds, so that nothing is to be won by the floor. All in mm.
 */
export function riseHeld(
  risersMm: readonly number[],
  { leads, otherMm, treadMm }: { leads: 'down' | 'up'; otherMm: number; treadMm: number | null },
  { rangeMm, mostRiserMm, leastRiserMm }: StairCode,
): RiseLimits | null {
  const held = (treadMm === null ? [0, ...TREADS_MM] : [treadMm]).flatMap((tread): RiseLimits[] => {
    // The riser at the floor that is sought for stands last of a flight that leads down from it, first of one that leads up.
    const nextTo = leads === 'down' ? risersMm.length - 1 : 0;
    const others = risersMm.flatMap((riser, k) => {
      if (k === nextTo) return [];
      if (leads === 'down') return [k === 0 ? riser + tread - otherMm : riser];
      return [k === risersMm.length - 1 ? riser + otherMm - tread : riser];
    });
    const [low, high] = [Math.min(...others), Math.max(...others)];
    if (high - low > rangeMm || high > mostRiserMm || low < leastRiserMm) return [];
    const least = Math.max(high - rangeMm, leastRiserMm);
    const most = Math.min(low + rangeMm, mostRiserMm);
    const riser = risersMm[nextTo]!;
    return leads === 'down'
      ? [{ leastMm: least - riser + tread, mostMm: most - riser + tread }]
      : [{ leastMm: riser + tread - most, mostMm: riser + tread - least }];
  });
  const stretches: RiseLimits[] = [];
  for (const one of held.sort((a, b) => a.leastMm - b.leastMm)) {
    const last = stretches.at(-1);
    if (last && one.leastMm <= last.mostMm) last.mostMm = Math.max(last.mostMm, one.mostMm);
    else stretches.push({ ...one });
  }
  const width = ({ leastMm, mostMm }: RiseLimits) => mostMm - leastMm;
  return stretches.reduce<RiseLimits | null>(
    (widest, one) => (!widest || width(one) > width(widest) ? one : widest),
    null,
  );
}
