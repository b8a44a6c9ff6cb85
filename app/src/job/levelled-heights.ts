import type { HeightsOfRoom, LevelledBy, RoomSet } from '@maquette/core';
import { answerTo } from '@maquette/core/fields';
import { PLANE_CHOSEN, WAY_CHOSEN, type LevellingPlan, type WayId } from '@maquette/core/levelling';
import { nowUtc } from '../data/ids.ts';
import { changeOf } from '../stages/level/change-of.ts';
import type { Desk } from '../worker/ask.ts';

/** What was chosen of the levelling of a room, as one line: heights over it change with it. */
export const chosenOf = (answers: RoomSet['answers']): string =>
  `${answerTo(answers, WAY_CHOSEN) ?? ''}/${answerTo(answers, PLANE_CHOSEN) ?? ''}`;

/** The way that has to be worked out before the floor is known as the chosen levelling leaves it; null where the plan says all. */
export function wayToWorkOut(plan: LevellingPlan, answers: RoomSet['answers']): WayId | null {
  const way = answerTo(answers, WAY_CHOSEN);
  if (plan.nothingToDo) return null;
  if (way === 'plane' && plan.planes[answerTo(answers, PLANE_CHOSEN) ?? 0]) return null;
  if (way === 'fill') return plan.fill.holds ? null : 'fill';
  return way === 'grind' || way === 'ramp' ? way : 'mixed';
}

/** Heights of a room over the floor as its chosen levelling leaves it: the plan, the way where that takes a programme, then the heights. */
export function askLevelled(
  desk: Desk,
  { set, answers }: { set: RoomSet; answers: RoomSet['answers'] },
  told: (heights: HeightsOfRoom | null, failed: string | null) => void,
): void {
  const about = () => ({ set, atUtc: nowUtc() });
  const heights = (after: LevelledBy | null) => desk.ask({ ...about(), kind: 'heights', after }, told);
  desk.ask({ ...about(), kind: 'plan' }, (plan, failed) => {
    if (failed) return told(null, failed);
    // Nothing is read yet: there is no floor to level.
    if (!plan) return heights(null);
    const [way, plane] = [answerTo(answers, WAY_CHOSEN), answerTo(answers, PLANE_CHOSEN)];
    const needs = wayToWorkOut(plan, answers);
    if (needs === null) return heights(changeOf({ plan, programmes: {} }, way, plane));
    desk.ask({ ...about(), kind: 'programme', way: needs, pace: 'live' }, (programmed, reason) =>
      reason || !programmed
        ? told(null, reason)
        : heights(changeOf({ plan, programmes: { [needs]: programmed } }, way, plane)),
    );
  });
}
