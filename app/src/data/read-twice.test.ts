import type { Shown } from './lay.ts';
import { readTwice } from './read-twice.ts';

const reading = (id: string, part: Partial<Shown<'readings'>> & { device?: string }) => {
  const { device = 'a', order = 1, ...rest } = part;
  return {
    ...{ id, roomId: 'r', version: 1, writeId: `w-${id}`, updatedAt: '', deletedAt: null, waiting: false, first: null },
    ...{ setupId: 's', stationKey: 'p1', xMm: 0, yMm: 0, rodMm: 1340, takenAt: '2026-05-04T08:00:00.000Z', note: '' },
    ...{ order, made: { device, by: '', sequence: order, at: null, skewMs: null } },
    ...rest,
  } as Shown<'readings'>;
};
const ids = (readings: Shown<'readings'>[], moved: [string, string][] = []) =>
  readTwice(readings, new Map(moved)).map((there) => there.map(({ id }) => id));

test('two devices, one set-up, one station, two figures: both, the later last, whatever their clocks say', () => {
  const early = reading('one', { order: 4, takenAt: '2026-05-04T09:00:00.000Z' });
  const late = reading('two', { order: 5, device: 'b', rodMm: 1345, takenAt: '2026-05-04T07:00:00.000Z' });
  expect(ids([late, early])).toEqual([['one', 'two']]);
});

test.each([
  ['the same figure', { device: 'b' }],
  ['one device', { rodMm: 1345 }],
  ['another set-up, which ties the two', { device: 'b', rodMm: 1345, setupId: 't' }],
  ['another station', { device: 'b', rodMm: 1345, stationKey: 'p2' }],
])('%s is nothing to choose', (_what, part) => {
  expect(ids([reading('one', {}), reading('two', { order: 2, ...part })])).toEqual([]);
});

test('what levelling has moved is read again: only what was read since can disagree', () => {
  const before = reading('one', {});
  const since = reading('two', { order: 2, device: 'b', rodMm: 1338, takenAt: '2026-05-05T08:00:00.000Z' });
  const third = reading('three', { order: 3, rodMm: 1336, takenAt: '2026-05-05T09:00:00.000Z' });
  const moved: [string, string][] = [['p1', '2026-05-04T12:00:00.000Z']];
  expect(ids([before, since], moved)).toEqual([]);
  expect(ids([before, since, third], moved)).toEqual([['two', 'three']]);
});
