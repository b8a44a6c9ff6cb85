import {
  gapBeneath,
  gapsAtWall,
  judgeSkirting,
  mayStay,
  SKIRTING_MM,
  wallAbout,
  type BoardLeft,
  type SkirtingFit,
  type SkirtingVerdict,
} from '../heights/index.ts';
import type { Opening, Plan } from '../room/index.ts';
import { EVERY_MM, insideWall, placesAlongWall } from './at-wall.ts';
import { riseAt, type NewFloor } from './new-floor.ts';
import { oldFloorAt, TODAY } from './old-layers.ts';
import type { StripState } from './strip-state.ts';
import type { LevelsOf } from './levels-of.ts';
import type { RoomSet } from './room-set.ts';

/** Skirting along one wall, once the floor lies. */
export interface SkirtingJudged {
  wall: number;
  boardMm: number;
  /** What is to become of it. */
  fit: SkirtingFit;
  /** Whether the planks pass under it as it hangs; null before its bottom is read. */
  left: BoardLeft | null;
  /** Nobody has measured the board: what is usual is reckoned with. */
  assumed: boolean;
  verdict: SkirtingVerdict;
  /** The largest gap under the board, mm; null where the floor is not read. */
  beneathMm: number | null;
  /** More than that is scribed, or covered by a bead. */
  beneathMostMm: number;
  /** Boards wanted from opening to opening, less the architraves of doors, mm; and all of them together. */
  piecesMm: number[];
  lengthMm: number;
  /** How far the floor comes up along it over what one treads on today, mm; below 0 the board comes down, and old wall shows over it. */
  riseMm: number;
}

/** Board that is reckoned with until somebody measures it, mm; quadrants and beads as they are stocked. */
const USUAL_BOARD_MM = 15;
const BEADS_MM: readonly number[] = [10, 14, 18, 22];
/** Boards are nailed up in lengths of so much at most, mm. */
const BOARD_LENGTH_MM = 2400;

/** Every wall with the gap its skirting has to cover, and what is left beneath it. */
export function skirtingOf(
  set: RoomSet,
  { plan, strip, floor }: { plan: Plan; strip: Pick<StripState, 'plan'>; floor: NewFloor | null },
  { addsMm, architraveMm }: { addsMm: number; architraveMm: number },
  levelsOf: LevelsOf,
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
    const verdict = judgeSkirting(gapsAtWall(waver, set.card.perimeterGapMm), boardMm, BEADS_MM, {
      drift,
      cover: SKIRTING_MM.cover,
    });
    const bottom = levelsOf('skirting', wallAbout(wall)).at(-1);
    const piecesMm = boardsBetween(
      lengthMm,
      set.room.openings.filter((opening) => opening.wall === wall),
      architraveMm,
    );
    return {
      wall,
      boardMm,
      assumed: !stated,
      fit: stated?.fit ?? 'refit',
      left: bottom && heights.length > 0 ? mayStay(bottom.levelMm, heights, verdict) : null,
      verdict,
      beneathMm: heights.length > 1 ? gapBeneath(heights, EVERY_MM, BOARD_LENGTH_MM) : null,
      beneathMostMm: SKIRTING_MM.beneath,
      piecesMm,
      lengthMm: piecesMm.reduce((sum, mm) => sum + mm, 0),
      riseMm: riseAt(middle, floor, addsMm) - today.lowerMm(middle),
    };
  });
}

/** Boards along a wall from opening to opening, mm: doors and archways are framed by architraves on either side. */
function boardsBetween(lengthMm: number, openings: readonly Opening[], architraveMm: number): number[] {
  const gaps = openings
    .map(({ kind, fromMm, widthMm }) => {
      const frameMm = kind === 'stair' ? 0 : architraveMm;
      return [fromMm - frameMm, fromMm + widthMm + frameMm] as const;
    })
    .sort(([a], [b]) => a - b);
  const starts = [0, ...gaps.map(([, end]) => end)];
  const ends = [...gaps.map(([start]) => start), lengthMm];
  return starts.map((start, k) => ends[k]! - start).filter((mm) => mm > 0);
}

/** The finished floor along a wall, mm over the datum; places the map does not reach are left out. */
const alongWall = (plan: Plan, wall: number, lengthMm: number, floor: NewFloor): number[] =>
  placesAlongWall(plan, wall, lengthMm).flatMap(({ xMm, yMm }) => floor.finishedAt(xMm, yMm)?.new ?? []);
