import { bodyOf, overlay, withFact } from './merge.ts';
import type { Waiting } from './outbox.ts';

const stored = (id: string, rodMm: number, version = 1) =>
  ({
    id,
    roomId: 'room-1',
    version,
    writeId: `w-${id}-${version}`,
    updatedAt: 't',
    deletedAt: null,
    setupId: 's',
    stationKey: id,
    xMm: 0,
    yMm: 0,
    rodMm,
    takenAt: 't',
    note: '',
  }) as never;
const waiting = (id: string, part: Partial<Waiting>): Waiting => ({
  seq: 1,
  writeId: 'w-new',
  kind: 'readings',
  id,
  roomId: 'room-1',
  baseVersion: 0,
  body: { rodMm: 7 },
  deleted: false,
  madeAt: 't2',
  trouble: null,
  ...part,
});
const rods = (list: { id: string }[]) => list.map((f) => [f.id, (f as unknown as { rodMm: number }).rodMm]);

test('what waits lies over what is stored, in order', () => {
  const list = overlay(
    'readings',
    [stored('a', 1), stored('b', 2)],
    [waiting('b', { baseVersion: 1 }), waiting('c', { writeId: 'w2', body: { rodMm: 9 } })],
    'room-1',
  );
  expect(rods(list)).toEqual([
    ['a', 1],
    ['b', 7],
    ['c', 9],
  ]);
  expect(list.map((f) => f.waiting)).toEqual([false, true, true]);
  expect(list[1]!.version).toBe(2);
});

test('a waiting removal hides, a later undo shows again', () => {
  const gone = waiting('a', { baseVersion: 1, deleted: true, body: { rodMm: 1 } });
  expect(overlay('readings', [stored('a', 1)], [gone])).toEqual([]);
  expect(
    rods(
      overlay(
        'readings',
        [stored('a', 1)],
        [gone, waiting('a', { writeId: 'w3', baseVersion: 2, body: { rodMm: 1 } })],
      ),
    ),
  ).toEqual([['a', 1]]);
});

test('other rooms and other kinds are left alone', () => {
  expect(overlay('readings', [], [waiting('a', { roomId: 'room-2' })], 'room-1')).toEqual([]);
  expect(overlay('setups', [], [waiting('a', {})], 'room-1')).toEqual([]);
});

test('an answer that comes late does not put an older version over a newer one', () => {
  expect(rods(withFact([stored('a', 5, 3)], stored('a', 4, 2)))).toEqual([['a', 5]]);
  expect(rods(withFact([stored('a', 5, 3)], stored('a', 6, 4)))).toEqual([['a', 6]]);
});

test('a body holds only what the user entered', () => {
  expect(Object.keys(bodyOf(stored('a', 1)))).toEqual([
    'setupId',
    'stationKey',
    'xMm',
    'yMm',
    'rodMm',
    'takenAt',
    'note',
  ]);
});
