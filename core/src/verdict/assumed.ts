import { midSentence, say } from '../said/index.ts';
import { BASE_WORDS, type Assumption, type RoomFacts } from '../room/index.ts';
import type { OwnCriterion } from './words.ts';

/** What is taken for granted in a room and nobody has confirmed: to be looked at, each with one answer. */
export function assumedCriteria(room: Pick<RoomFacts, 'baseKind'>, open: readonly Assumption[]): OwnCriterion[] {
  const of: Record<Assumption, OwnCriterion> = {
    base: {
      id: 'assumed-base',
      title: say('verdict.assumedBaseTitle'),
      verdict: 'measure',
      margin: say('verdict.assumedBase', { base: midSentence(BASE_WORDS[room.baseKind]) }),
      next: say('verdict.assumedBaseNext'),
    },
    place: {
      id: 'assumed-place',
      title: say('verdict.assumedPlaceTitle'),
      verdict: 'measure',
      margin: say('verdict.assumedPlace'),
      next: say('verdict.assumedPlaceNext'),
    },
    layers: {
      id: 'assumed-layers',
      title: say('verdict.assumedLayersTitle'),
      verdict: 'measure',
      margin: say('verdict.assumedLayers'),
      next: say('verdict.assumedLayersNext'),
    },
  };
  return open.map((one) => of[one]);
}
