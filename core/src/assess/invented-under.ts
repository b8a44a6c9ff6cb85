import { findCard } from '../coverings/index.ts';
import {
  BLANK_SHAPE,
  newFixture,
  newOpening,
  rectangleWalls,
  UNKNOWN_BASE,
  type BaseDetails,
  type BaseKind,
  type RoomFacts,
} from '../room/index.ts';
import type { UnderChoice } from '../under/index.ts';
import { roomSet, type RoomSet } from './room-set.ts';

/** A room of a size over some base, with a door in its first wall. */
export function roomOver(
  id: string,
  baseKind: BaseKind,
  base: Partial<BaseDetails> = {},
  [widthMm, depthMm]: [number, number] = [5200, 3800],
): RoomFacts {
  return {
    ...BLANK_SHAPE,
    id,
    jobId: 'job',
    name: id,
    rank: 0,
    walls: rectangleWalls(widthMm, depthMm),
    openings: [{ ...newOpening(`${id}-door`, 0, 300, 800), kind: 'door', hinge: 'start', swing: 'in' }],
    baseKind,
    base: { ...UNKNOWN_BASE, heating: 'none', ...base },
    secondBase: null,
    cardId: 'shipped-laminate',
    units: 'metric',
    spacingMm: null,
    contactsOnly: false,
  };
}

const NOTHING = { underlayId: null, filmId: null, membraneId: null, panelId: null, isLayerChosen: false, note: '' };

/** That room with its covering, what was chosen beneath and what was answered. */
export function underSet(
  room: RoomFacts,
  choice: Partial<UnderChoice> | null,
  answers: readonly [{ question: string }, RoomSet['answers'][number]['answer']][] = [],
  cardId = 'shipped-laminate',
): RoomSet {
  return roomSet({ ...room, cardId }, findCard([], cardId)!, {
    underChoices: choice
      ? [
          {
            id: `${room.id}-choice`,
            ...NOTHING,
            isLayerChosen: 'underlayId' in choice || 'filmId' in choice,
            ...choice,
          },
        ]
      : [],
    answers: answers.map(([{ question }, answer], k) => ({ id: `a${k}`, question, answer, note: '' })),
  });
}

/** A toilet's flange, which panels are cut round. */
export const flangeAt = (xMm: number, yMm: number) => newFixture('flange', 'toilet', { xMm, yMm }, 0);
