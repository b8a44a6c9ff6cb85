import { reach, allOf, say, type Said } from '../said/index.ts';
import { tapeFrom, type Plan, type RoomFacts } from '../room/index.ts';

/** `0.84 m from W1, 2.47 m from the door wall`. */
export function placeWords(room: RoomFacts, plan: Plan, at: readonly [number, number]): Said {
  return allOf(
    tapeFrom(room, plan, { xMm: at[0], yMm: at[1] }).map((d) =>
      say('verdict.distanceFrom', { distance: reach(Math.round(d.distanceMm / 10) * 10), wall: d.name }),
    ),
  );
}
