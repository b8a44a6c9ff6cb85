import { assessRoom, pictureOf, type RoomAssessment, type RoomRunner, type RoomSet } from '@maquette/core';
import type { LineAnswer } from './messages.ts';

/**
 * What the site book says of a room: its verdict, and the first of the criteria that gave it. How sure a floor's flatness is takes
 * longer than all else together: it is worked out where it could change the verdict, and otherwise only when `prove` asks for it.
 * The picture is given once there is no more to find out.
 */
export function lineOf(set: RoomSet, atUtc: string, runner: RoomRunner, prove: boolean): LineAnswer {
  const judged = assessRoom(set, atUtc, { runner });
  // It changes nothing for a floor that is to be read first.
  const unproved = judged.criteria.some((c) => c.id === 'flat' && c.verdict !== 'measure');
  const proved = !unproved || prove || !decidedWithoutFlat(judged);
  const assessment = unproved && proved ? assessRoom(set, atUtc, { runner, chance: true }) : judged;
  const picture = pictureOf(assessment, set.room, set.works);
  const first = deciding(picture);
  const line = {
    verdict: picture.verdict,
    margin: first?.margin ?? '',
    next: first?.next ?? '',
    part: first?.part,
    read: picture.levels.length,
    stations: picture.stations.length,
    validUntil: picture.validUntil,
    proved,
  };
  return { line, picture: proved ? picture : null };
}

const deciding = <C extends { verdict: string }>({ verdict, criteria }: { verdict: string; criteria: readonly C[] }) =>
  criteria.find((c) => c.verdict === verdict) ?? criteria[0];

/** Whether something else decides, and no worse a verdict on flatness than it has could take its place. */
const decidedWithoutFlat = (judged: RoomAssessment) =>
  (judged.verdict === 'stop' || judged.verdict === 'work') && deciding(judged)?.part !== 'flat';
