import { checkWrite } from '@maquette/facts/check';
import { readTable as read, tableOf } from '@maquette/facts/table';
import { takeTable, type HeldIds } from './take-table.ts';

const readTable = (text: string) => read(text, checkWrite);
const reading = (setupId: string) => ({
  ...{ setupId, stationKey: 'p1:1', xMm: 100, yMm: 200, rodMm: 1300 },
  ...{ takenAt: '2026-05-04T08:00:00.000Z', note: '' },
});
const HELD: Record<string, string[]> = { readings: ['reading-1'], setups: ['setup-1'] };
const held: HeldIds = (roomId, kind) => (roomId === 'room-1' ? (HELD[kind] ?? []) : null);
const taken = (rows: { id: string; roomId: string; setupId?: string }[]) =>
  takeTable(
    readTable(
      tableOf(
        'readings',
        rows.map(({ id, roomId, setupId = 'setup-1' }) => ({ id, roomId, body: reading(setupId) })),
      ),
    ),
    held,
    () => 'made-here',
  );

test('a line with an id changes that fact, one without is new', () => {
  const { changes, problems } = taken([
    { id: 'reading-1', roomId: 'room-1' },
    { id: '', roomId: 'room-1' },
  ]);
  expect(problems).toEqual([]);
  expect(changes.map(({ id }) => id)).toEqual(['reading-1', 'made-here']);
});

test.each([
  [{ id: '', roomId: 'room-9' }, 'the room room-9 is not one of this job'],
  [{ id: '', roomId: '' }, 'the room that is not named'],
  [{ id: 'reading-7', roomId: 'room-1' }, 'there is no reading-7 in that room'],
  [{ id: '', roomId: 'room-1', setupId: 'setup-9' }, 'setupId: there is no setup-9 in that room'],
])('%j is not taken, and why is said: nothing of another room or job is touched', (row, why) => {
  const { changes, problems } = taken([row, { id: '', roomId: 'room-1' }]);
  expect(changes).toHaveLength(1);
  expect(problems).toMatchObject([{ line: 2, reason: expect.stringContaining(why) as string }]);
});

test('one fact twice in a table is not taken twice', () => {
  const { changes, problems } = taken([
    { id: 'reading-1', roomId: 'room-1' },
    { id: 'reading-1', roomId: 'room-1' },
  ]);
  expect(changes).toHaveLength(1);
  expect(problems).toMatchObject([{ line: 3 }]);
});

test('rooms and jobs have pages of their own', () => {
  const table = tableOf('jobs', [
    {
      id: 'job-1',
      roomId: null,
      body: { name: 'A', about: '', rank: 0, country: null, currency: '', asbestosFrom: null, leadFrom: null },
    },
  ]);
  expect(takeTable(readTable(table), held, () => 'x').problems).toMatchObject([{ line: 2 }]);
});
