import type { LevelFact } from '../heights/index.ts';
import { mayLieAt, pointOnWall, type Opening } from '../room/index.ts';
import { layersLeft } from './context.ts';
import type { StripContext } from './facts.ts';

/**
 * Level beyond an opening over what lies in the room today, mm, by what was taped there: over the floor of that day, of which some may
 * be up by now. Null where nothing was taped.
 */
export function beyondOverMm(
  { room, plan, facts }: Pick<StripContext, 'room' | 'plan' | 'facts'>,
  opening: Opening,
): number | null {
  const taped = facts.levels.flatMap(({ of, aboutId, overMm, lyingMm }: LevelFact) =>
    of === 'beyond' && aboutId === opening.id && overMm !== null ? [overMm + (lyingMm ?? 0)] : [],
  );
  if (taped.length === 0) return null;
  const middle = pointOnWall(plan.corners, opening.wall, opening.fromMm + opening.widthMm / 2);
  const lyingMm = layersLeft(facts)
    .filter(({ where }) => mayLieAt([middle], room.lines, where))
    .reduce((sum, { thicknessMm }) => sum + thicknessMm, 0);
  return taped.reduce((sum, mm) => sum + mm, 0) / taped.length - lyingMm;
}
