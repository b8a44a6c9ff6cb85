import { newMark } from '@maquette/core/soundness';
import { rectangleWalls } from '@maquette/core/room';
import { checkWrite } from './check.ts';
import { withLatest } from './index.ts';

const write = { baseVersion: 0, writeId: 'write-1', deleted: false };

test('a mark of an app from before is taken, without a finding; one that lacks more is half a mark, and refused', () => {
  const { id: _, finding: __, ...before } = newMark('m', 'rot', { xMm: 1, yMm: 1 }, { severity: 'severe' });
  expect(checkWrite('marks', { ...withLatest('marks', before), ...write })).toEqual([]);
  expect(withLatest('marks', before)).toEqual({ ...before, finding: null });
  const { severity: ___, ...half } = before;
  expect(checkWrite('marks', { ...withLatest('marks', half), ...write }).map(({ field }) => field)).toEqual([
    'severity',
  ]);
});

test('half a room or job is not made whole by what is usual', () => {
  const room = { name: 'Hall', walls: rectangleWalls(3000, 2000) };
  expect(withLatest('rooms', room)).toBe(room);
  expect(withLatest('jobs', { name: 'House' })).toEqual({ name: 'House' });
});
