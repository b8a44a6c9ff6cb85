import type { RoomSet } from '@maquette/core';
import { answerTo } from '@maquette/core/fields';
import { PLANE_CHOSEN, WAY_CHOSEN } from '@maquette/core/levelling';

/** What was chosen of the levelling of a room, as one line: heights over it change with it. */
export const chosenOf = (answers: RoomSet['answers']): string =>
  `${answerTo(answers, WAY_CHOSEN) ?? ''}/${answerTo(answers, PLANE_CHOSEN) ?? ''}`;
