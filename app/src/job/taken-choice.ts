import type { LeastAnswer } from '@maquette/core';
import type { HeightsChoice } from '@maquette/core/heights';
import { answerTo } from '@maquette/core/fields';
import { POUR_LEAST, WAY_CHOSEN } from '@maquette/core/levelling';
import { layersLeft } from '@maquette/core/stripout';
import { bodyOf } from '@maquette/facts';
import { newId } from '../data/ids.ts';
import type { Change } from '../data/write.ts';
import type { RoomOfJob } from './use-job-heights.ts';

/**
 * A choice over the job as facts: the build-up of each room, what becomes of its old floor, and where it is poured how high over its
 * highest place. Written together they are taken back together.
 */
export function takenChoice(
  choice: HeightsChoice,
  { rooms }: LeastAnswer,
  laid: readonly Pick<RoomOfJob, 'set' | 'answers'>[],
): Change[] {
  return choice.rooms.flatMap(({ roomId, systemId, pourMm }): Change[] => {
    const of = rooms.find((room) => room.roomId === roomId);
    const system = of?.systems.find(({ id }) => id === systemId);
    const room = laid.find(({ set }) => set.room.id === roomId);
    if (!of || !system || !room) return [];
    // What was chosen among ways is memory: it is not among what the room is judged by.
    const { set, answers } = room;
    const answer = ({ question }: { question: string }, value: string | number): Change => ({
      kind: 'answers',
      id: answers.findLast((one) => one.question === question)?.id ?? newId(),
      roomId,
      body: { question, answer: value, note: '' },
    });
    // A pour that an earlier choice asked for is not planned any more.
    const pouredBefore = answerTo(answers, WAY_CHOSEN) === 'plane';
    return [
      ...(system.cardId === set.room.cardId
        ? []
        : [{ kind: 'rooms' as const, id: roomId, body: { ...bodyOf(set.room), cardId: system.cardId } }]),
      { kind: 'buildUps', id: set.buildUps.at(-1)?.id ?? newId(), roomId, body: system.buildUp },
      ...(system.keeps === null
        ? []
        : layersLeft(set).map(({ id }): Change => ({
            kind: 'layerChoices',
            id: set.layerChoices.findLast(({ layerId }) => layerId === id)?.id ?? newId(),
            roomId,
            body: { layerId: id, choice: system.keeps ? 'keep' : 'remove', note: '' },
          }))),
      ...(pourMm === null
        ? pouredBefore
          ? [answer(WAY_CHOSEN, 'fill')]
          : []
        : [answer(WAY_CHOSEN, 'plane'), answer(POUR_LEAST, Math.round((pourMm - of.pourAtMm - of.topMm) * 10) / 10)]),
    ];
  });
}
