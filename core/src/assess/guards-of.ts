import { placesAlong, placesAt, wallAbout } from '../heights/index.ts';
import type { Plan, PointMm, RoomFacts } from '../room/index.ts';
import { placesAlongWall } from './at-wall.ts';
import type { LevelsOf } from './levels-of.ts';
import type { NewFloor } from './new-floor.ts';

/** A guard, rail or low window sill over the new floor along it, mm, against what the code asks. */
export interface GuardJudged {
  /** The opening, or the wall by its number. */
  aboutId: string;
  overMm: number;
  leastMm: number;
}

/** Guards whose top is read: over the highest place of the new floor along the opening or the wall they stand at. */
export function guardsOf(
  { openings, walls }: Pick<RoomFacts, 'openings' | 'walls'>,
  plan: Plan,
  floor: NewFloor | null,
  levelsOf: LevelsOf,
  leastMm: number,
): GuardJudged[] {
  if (!floor) return [];
  const about = (aboutId: string, places: readonly PointMm[]): GuardJudged[] => {
    // The lowest of what was read decides.
    const tops = levelsOf('guard', aboutId).map(({ levelMm }) => levelMm);
    const floors = places.flatMap(({ xMm, yMm }) => floor.finishedAt(xMm, yMm)?.new ?? []);
    return tops.length === 0 || floors.length === 0
      ? []
      : [{ aboutId, overMm: Math.min(...tops) - Math.max(...floors), leastMm }];
  };
  return [
    ...openings.flatMap((opening) =>
      about(
        opening.id,
        placesAt(plan.corners, opening, placesAlong(opening.widthMm)).map(({ inside }) => inside),
      ),
    ),
    ...walls.flatMap(({ lengthMm }, wall) => about(wallAbout(wall), placesAlongWall(plan, wall, lengthMm))),
  ];
}
