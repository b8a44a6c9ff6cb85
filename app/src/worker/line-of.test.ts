/** @jest-environment node */
import { roomRunner, roomSet } from '@maquette/core';
import { findCard } from '@maquette/core/coverings';
import { newMark, type Mark } from '@maquette/core/soundness';
import { INVENTED_ROOM, inventedDip } from '../data/invented-room.ts';
import { lineOf } from './line-of.ts';

const AT = '2026-05-05T08:00:00.000Z';
const rot = newMark('m1', 'rot', { xMm: 800, yMm: 700 }, { severity: 'severe' });

/** A room with a dip of so many mm, and what was marked in it. */
const room = (depthMm: number, marks: Mark[] = []) =>
  roomSet({ ...INVENTED_ROOM, baseKind: 'panels-on-joists' }, findCard([], INVENTED_ROOM.cardId)!, {
    ...inventedDip(depthMm),
    marks,
  });

test.each([
  [0.4, []],
  [2.8, []],
  [3.2, []],
  [9, []],
  [0.4, [rot]],
  [3.2, [rot]],
  [9, [rot]],
])('a dip of %s mm: a line says at once what it says when all is worked out', (depthMm, marks: Mark[]) => {
  const at = (prove: boolean) => lineOf(room(depthMm, marks), AT, roomRunner(), prove);
  const [quick, proved] = [at(false), at(true)];
  expect({ ...quick.line, proved: true }).toEqual(proved.line);
  expect(proved.picture).not.toBeNull();
  // The picture a room opens with is whole, or none.
  expect(quick.picture).toEqual(quick.line.proved ? proved.picture : null);
});

test('where something worse than flatness decides, it is not waited for', () => {
  expect(lineOf(room(9, [rot]), AT, roomRunner(), false).line).toMatchObject({ verdict: 'stop', proved: false });
  expect(lineOf(room(9), AT, roomRunner(), false).line.proved).toBe(true);
});
