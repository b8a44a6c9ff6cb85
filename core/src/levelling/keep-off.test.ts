import { assessRoom, levellingOf, roomSet } from '../index.ts';
import { findCard } from '../coverings/index.ts';
import { stationsOf } from '../flat/index.ts';
import { factsAt } from '../flat/invented.ts';
import { planOf } from '../room/index.ts';
import { newMark } from '../soundness/index.ts';
import { inventedRoom } from './invented-job.ts';
import { mapAt } from './index.ts';

const room = inventedRoom(3000, 2400, { cardId: 'shipped-click-vinyl' });
const stations = stationsOf(planOf(room), 600, [], [], { xMm: 0, yMm: 0 });
const corner = (xMm: number, yMm: number) => ({ xMm, yMm });

test('places marked to keep off hold the plan back, and are no damage', () => {
  const marks = [
    newMark('m1', 'no-grind', corner(700, 700), {
      shape: 'area',
      points: [corner(400, 400), corner(1000, 400), corner(1000, 1000), corner(400, 1000)],
    }),
    newMark('m2', 'no-fill', corner(2000, 300), { shape: 'line', points: [corner(1600, 300), corner(2600, 300)] }),
  ];
  const card = findCard([], room.cardId)!;
  const facts = roomSet(room, card, { ...factsAt(stations, () => 0), marks });
  const { job } = levellingOf(facts, '2026-05-04T12:00:00Z')!;
  const limit = (map: 'fillMm' | 'grindMm', x: number, y: number) => mapAt(job.grid, job.limits[map], corner(x, y));
  expect(limit('grindMm', 700, 700)).toBe(0);
  expect(limit('fillMm', 2000, 350)).toBe(0);
  expect(limit('fillMm', 2000, 700)).toBe(40);
  expect(job.boundBy.fill[job.grid.nx * 6 + 40]).toBe('keep-off');
  const { criteria } = assessRoom(facts, '2026-05-04T12:00:00Z');
  expect(criteria.some((c) => c.id === 'sound-marks')).toBe(false);
});
