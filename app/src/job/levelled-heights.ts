import type { LevelledBy, RoomSet } from '@maquette/core';
import { answerTo } from '@maquette/core/fields';
import { PLANE_CHOSEN, WAY_CHOSEN, type LevellingPlan, type WayId } from '@maquette/core/levelling';
import { nowUtc } from '../data/ids.ts';
import { changeOf } from '../stages/level/change-of.ts';
import type { Desk } from '../worker/ask.ts';

/** The way that has to be worked out before the floor is known as the chosen levelling leaves it; null where the plan says all. */
export function wayToWorkOut(plan: LevellingPlan, answers: RoomSet['answers']): WayId | null {
  const way = answerTo(answers, WAY_CHOSEN);
  if (plan.nothingToDo) return null;
  if (way === 'plane' && plan.planes[answerTo(answers, PLANE_CHOSEN) ?? 0]) return null;
  if (way === 'fill') return plan.fill.holds ? null : 'fill';
  return way === 'grind' || way === 'ramp' ? way : 'mixed';
}

/** What the chosen levelling does to the floor of a room: by its plan, or by the way that takes a programme. Null: nothing is done. */
export function askChange(
  desk: Desk,
  { set, answers }: { set: RoomSet; answers: RoomSet['answers'] },
  told: (change: LevelledBy | null, failed: string | null) => void,
): void {
  const about = () => ({ set, atUtc: nowUtc() });
  desk.ask({ ...about(), kind: 'plan' }, (plan, failed) => {
    // Where nothing is read there is no floor to level.
    if (failed || !plan) return told(null, failed);
    const [way, plane] = [answerTo(answers, WAY_CHOSEN), answerTo(answers, PLANE_CHOSEN)];
    const needs = wayToWorkOut(plan, answers);
    if (needs === null) return told(changeOf({ plan, programmes: {} }, way, plane), null);
    desk.ask({ ...about(), kind: 'programme', way: needs, pace: 'live' }, (programmed, reason) =>
      told(programmed && changeOf({ plan, programmes: { [needs]: programmed } }, way, plane), reason),
    );
  });
}
