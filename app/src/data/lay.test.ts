import type { Place } from '@maquette/facts';
import { factOf, laidOver } from './lay.ts';
import type { Waiting } from './waiting.ts';

const reading = {
  setupId: 's',
  stationKey: 'k',
  xMm: 0,
  yMm: 0,
  takenAt: 't',
  note: '',
};
const stored = (id: string, rodMm: number, version = 1) => ({
  ...reading,
  id,
  roomId: 'room-1',
  version,
  writeId: `w-${id}-${version}`,
  updatedAt: 't',
  deletedAt: null as string | null,
  order: version,
  made: null,
  first: null as Place | null,
  rodMm,
});
const waiting = (id: string, part: Partial<Waiting>) => ({
  fact: factOf({
    seq: 1,
    writeId: 'w-new',
    kind: 'readings',
    id,
    roomId: 'room-1',
    baseVersion: 0,
    body: { ...reading, rodMm: 7 },
    deleted: false,
    madeAt: 't2',
    trouble: null,
    ...part,
  }) as ReturnType<typeof stored>,
  waiting: true,
});
const answered = (fact: ReturnType<typeof stored>) => ({ fact, waiting: false });
const rods = (list: ReturnType<typeof stored>[]) => list.map((f) => [f.id, f.rodMm]);

test('what waits lies over what is stored, in order, and keeps its place', () => {
  const list = laidOver(
    [stored('a', 1), stored('b', 2), stored('d', 4)],
    [waiting('b', { baseVersion: 1 }), waiting('c', { writeId: 'w2', body: { ...reading, rodMm: 9 } })],
  );
  expect(rods(list)).toEqual([
    ['a', 1],
    ['b', 7],
    ['d', 4],
    ['c', 9],
  ]);
  expect(list[1]!.version).toBe(2);
  // A correction that waits keeps the place of what it corrects; what is new has none before it is counted.
  expect(list.map(({ first, order }) => first?.order ?? order)).toEqual([1, 1, 1, Number.MAX_SAFE_INTEGER]);
});

test('what the user last entered shows although the server has come to hold something newer', () => {
  expect(rods(laidOver([stored('a', 5, 4)], [waiting('a', { baseVersion: 1 })]))).toEqual([['a', 7]]);
});

test('the answer to a write and the write itself are one', () => {
  expect(laidOver([stored('a', 5, 2)], [waiting('a', { writeId: 'w-a-2', baseVersion: 1 })])[0]!.rodMm).toBe(5);
});

test('a waiting removal hides, a later undo shows again', () => {
  const gone = waiting('a', { baseVersion: 1, deleted: true });
  expect(laidOver([stored('a', 1)], [gone])).toEqual([]);
  expect(rods(laidOver([stored('a', 1)], [gone, waiting('a', { writeId: 'w3', baseVersion: 2 })]))).toEqual([['a', 7]]);
});

test('an answer that comes late does not put an older version over a newer one', () => {
  expect(rods(laidOver([stored('a', 5, 3)], [answered(stored('a', 4, 2))]))).toEqual([['a', 5]]);
  expect(rods(laidOver([stored('a', 5, 3)], [answered(stored('a', 6, 4))]))).toEqual([['a', 6]]);
  expect(laidOver([stored('a', 5, 3)], [answered({ ...stored('a', 5, 4), deletedAt: 't' })])).toEqual([]);
});
