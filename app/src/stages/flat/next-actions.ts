import type { RoomPicture } from '@maquette/core';
import type { Action } from '../../room/actions.tsx';

/** What to do after the verdict: level a floor that is over its rule, try to break one that is not, or go on reading. */
export function nextActions(
  picture: RoomPicture,
  onRead: () => void,
  onPlan: () => void,
  onBreak: () => void,
): Action[] {
  // Nobody levels over what is stopped.
  const over = picture.verdict !== 'stop' && (picture.rules[0]?.overMm ?? 0) > 0;
  const open = picture.criteria.find(({ id }) => id === 'flat')?.verdict === 'measure';
  const tries = open && (picture.failure?.breakers.length ?? 0) > 0;
  return [
    ...(tries ? [{ label: 'Try to break it', act: onBreak, main: true }] : []),
    ...(over ? [{ label: 'Plan the levelling', act: onPlan, main: !tries }] : []),
    { label: picture.coveredShare < 0.99 ? 'Read on' : 'Readings', act: onRead, main: !over && !tries },
  ];
}
