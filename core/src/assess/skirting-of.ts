import { gapBeneath, gapsAtWall, judgeSkirting, SKIRTING_MM, type SkirtingVerdict } from '../heights/index.ts';
import { pointOnWall, type Plan, type PointMm } from '../room/index.ts';
import { riseAt, type NewFloor } from './new-floor.ts';
import { oldFloorAt, TODAY } from './old-layers.ts';
import type { StripState } from './strip-state.ts';
import type { RoomSet } from './room-set.ts';

/** Skirting along one wall, once the floor lies. */
export interface SkirtingJudged {
  wall: number;
  boardMm: number;
  /** Nobody has measured the board: what is usual is reckoned with. */
  assumed: boolean;
  verdict: SkirtingVerdict;
  /** The largest gap under the board, mm; null where the floor is not read. */
  beneathMm: number | null;
  /** More than that is scribed, or covered by a bead. */
  beneathMostMm: number;
  /** Board wanted: the wall less its openings, mm. */
  lengthMm: number;
  /** How far the floor comes up along it over what one treads on today, mm; below 0 the board comes down, and old wall shows over it. */
  riseMm: number;
}

/** Board that is reckoned with until somebody measures it, mm; quadrants and beads as they are stocked. */
const USUAL_BOARD_MM = 15;
const BEADS_MM: readonly number[] = [10, 14, 18, 22];
/** Boards are nailed up in lengths of so much at most, and the floor is looked at this often along them, mm. */
const BOARD_LENGTH_MM = 2400;
const EVERY_MM = 100;
const INTO_ROOM_MM = 30;

/** Every wall with the gap its skirting has to cover, and what is left beneath it. */
export function skirtingOf(
  set: RoomSet,
  { plan, strip, floor }: { plan: Plan; strip: Pick<StripState, 'plan'>; floor: NewFloor | null },
  addsMm: number,
): SkirtingJudged[] {
  const today = oldFloorAt(set, strip.plan, TODAY);
  return set.room.walls.map(({ lengthMm }, wall) => {
    const stated = set.skirtings.findLast((one) => one.wall === wall);
    const boardMm = stated?.boardMm ?? USUAL_BOARD_MM;
    const waver = stated && stated.waver.length > 0 ? stated.waver : [{ alongMm: 0, intoRoomMm: 0 }];
    // Half of the gap the covering asks for: more would have it stand on the board.
    const drift = Math.min(SKIRTING_MM.drift, set.card.perimeterGapMm);
    const middle = insideWall(plan, wall, lengthMm / 2, lengthMm);
    const heights = floor ? alongWall(plan, wall, lengthMm, floor) : [];
    return {
      wall,
      boardMm,
      assumed: !stated,
      verdict: judgeSkirting(gapsAtWall(waver, set.card.perimeterGapMm), boardMm, BEADS_MM, {
        drift,
        cover: SKIRTING_MM.cover,
      }),
      beneathMm: heights.length > 1 ? gapBeneath(heights, EVERY_MM, BOARD_LENGTH_MM) : null,
      beneathMostMm: SKIRTING_MM.beneath,
      lengthMm: set.room.openings
        .filter((opening) => opening.wall === wall)
        .reduce((left, { widthMm }) => left - widthMm, lengthMm),
      riseMm: riseAt(middle, floor, addsMm) - today.lowerMm(middle),
    };
  });
}

/** A place so far along a wall, just inside the room. */
function insideWall(plan: Plan, wall: number, alongMm: number, lengthMm: number): PointMm {
  const [start, end] = [pointOnWall(plan.corners, wall, 0), pointOnWall(plan.corners, wall, lengthMm)];
  const [ux, uy] = [(end.xMm - start.xMm) / lengthMm, (end.yMm - start.yMm) / lengthMm];
  return {
    xMm: start.xMm + ux * alongMm - uy * INTO_ROOM_MM,
    yMm: start.yMm + uy * alongMm + ux * INTO_ROOM_MM,
  };
}

function alongWall(plan: Plan, wall: number, lengthMm: number, floor: NewFloor): number[] {
  const count = Math.floor(lengthMm / EVERY_MM);
  return Array.from({ length: count + 1 }, (_, k) => insideWall(plan, wall, k * EVERY_MM, lengthMm)).flatMap(
    ({ xMm, yMm }) => floor.finishedAt(xMm, yMm)?.new ?? [],
  );
}
