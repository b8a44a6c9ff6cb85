import type { RoomPicture } from '@maquette/core';
import type { Action } from '../../room/actions.tsx';

/** What to do after the verdict: level a floor that is over its rule, or go on reading. */
export function nextActions(picture: RoomPicture, onRead: () => void, onPlan: () => void): Action[] {
  // Nobody levels over what is stopped.
  const over = picture.verdict !== 'stop' && (picture.rules[0]?.overMm ?? 0) > 0;
  return [
    ...(over ? [{ label: 'Plan the levelling', act: onPlan, main: true }] : []),
    { label: picture.coveredShare < 0.99 ? 'Read on' : 'Readings', act: onRead, main: !over },
  ];
}
