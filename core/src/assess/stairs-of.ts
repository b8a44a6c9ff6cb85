import type { FigureOf } from '../figures/index.ts';
import { bestTread, flightAfter, placesAt, TREADS_MM, type StairJudged } from '../heights/index.ts';
import type { Plan } from '../room/index.ts';
import { riseAt, type NewFloor } from './new-floor.ts';
import { oldFloorAt, TODAY } from './old-layers.ts';
import type { StripState } from './strip-state.ts';
import type { RoomSet } from './room-set.ts';

/** Flights of a room whose risers are known, with what the new floors make of them. */
export function stairsOf(
  set: RoomSet,
  { plan, strip, floor }: { plan: Plan; strip: Pick<StripState, 'plan'>; floor: NewFloor | null },
  figure: FigureOf,
  addsMm: number,
): StairJudged[] {
  const code = {
    rangeMm: figure('stair-range-mm'),
    mostRiserMm: figure('stair-most-mm'),
    leastRiserMm: figure('stair-least-mm'),
  };
  const today = oldFloorAt(set, strip.plan, TODAY);
  return set.room.openings.flatMap((opening): StairJudged[] => {
    const flight = set.flights.findLast(({ openingId }) => openingId === opening.id);
    if (!flight || opening.kind !== 'stair') return [];
    const { inside } = placesAt(plan.corners, opening, [opening.widthMm / 2])[0]!;
    // Over the floor one treads on today: what is laid and levelled, less what of the old floor goes.
    const hereMm = riseAt(inside, floor, addsMm) - today.lowerMm(inside);
    const { risersMm, leads, otherMm } = flight;
    const ends = leads === 'down' ? { belowMm: otherMm, aboveMm: hereMm } : { belowMm: hereMm, aboveMm: otherMm };
    const best = bestTread(risersMm, ends, TREADS_MM, code);
    const treadMm = flight.treadMm ?? best.treadMm;
    return [
      {
        openingId: opening.id,
        leads,
        beforeMm: risersMm,
        beforeRangeMm: Math.max(...risersMm) - Math.min(...risersMm),
        hereMm,
        otherMm,
        treadMm,
        isBest: flight.treadMm === null,
        best,
        after: flightAfter(risersMm, { ...ends, treadsMm: risersMm.slice(1).map(() => treadMm) }, code),
      },
    ];
  });
}
