import { assessRoom, pictureOf, type RoomRunner, type RoomSet } from '@maquette/core';
import type { LineAnswer } from './messages.ts';

/** What the site book says of a room: its verdict, and the first of the criteria that gave it; with all it was made from. */
export function lineOf(set: RoomSet, atUtc: string, runner: RoomRunner): LineAnswer {
  const judged = assessRoom(set, atUtc, { runner });
  // How sure it is takes longer, and changes nothing for a floor that is to be read first.
  const told = judged.criteria.some((c) => c.id === 'flat' && c.verdict !== 'measure');
  const assessment = told ? assessRoom(set, atUtc, { runner, chance: true }) : judged;
  const picture = pictureOf(assessment, set.room, set.works);
  const first = picture.criteria.find((c) => c.verdict === picture.verdict) ?? picture.criteria[0];
  const line = {
    verdict: picture.verdict,
    margin: first?.margin ?? '',
    next: first?.next ?? '',
    part: first?.part,
    read: picture.levels.length,
    stations: picture.stations.length,
    validUntil: picture.validUntil,
  };
  return { line, picture };
}
