import { readOut } from '@maquette/words';
import '@maquette/words/report';
import { assessRoom } from '../assess/assess-room.ts';
import { READ_AT } from '../assess/invented-cottage.ts';
import type { RoomSet } from '../assess/room-set.ts';
import { holdPointsOf, missingOf } from './index.ts';
import { lowRoom, REPORT_AT } from './invented-report.ts';

const NONE = { coverUps: [], seals: [] };
const holds = (set: RoomSet, record: Parameters<typeof holdPointsOf>[2] = NONE) =>
  holdPointsOf(set, assessRoom(set, REPORT_AT), record);
const photo = (id: string, about: 'damp' | 'cover' | 'work', aboutId: string) => ({
  ...{ id, about, aboutId, xMm: null, yMm: null, takenAt: READ_AT, note: '', originalSha256: '' },
});
const TEST = {
  ...{ id: 't-1', method: 'probe' as const, name: 'P1', xMm: 1000, yMm: 1000, startedAt: READ_AT, depthMm: 40 },
  ...{ startG: null, areaM2: null, of: 'base' as const, offsetPercent: 0, compensates: false },
  ...{ instrument: 'Demo probe', checkedOn: '2026-04-01', siteClass: null, note: '' },
};
const READ = { id: 'r-1', testId: 't-1', takenAt: READ_AT, value: 70, sampleG: null, tempC: 18, who: '', note: '' };
const tested = (photos: RoomSet['photos']): RoomSet =>
  lowRoom('Parlour', 7, { dampTests: [TEST] as never, dampReadings: [READ] as never, photos });

test('a floor over its rule has a pour before its planks, a flat one has none', () => {
  expect(holds(lowRoom('Parlour', 7)).map(({ cover }) => cover)).toEqual(['pour', 'planks']);
  expect(holds(lowRoom('Hall', 0.2)).map(({ cover }) => cover)).toEqual(['planks']);
});

test('of each test that was read its display and its place are wanted, of the base a picture, of the bag its batch', () => {
  const [pour] = holds(tested([]));
  expect(pour!.photos.map(({ about, wanted, held }) => [about, wanted, held])).toEqual([
    ['damp', 2, 0],
    ['cover', 1, 0],
    ['work', 1, 0],
  ]);
  const [one] = holds(tested([photo('a', 'damp', 't-1'), photo('b', 'cover', 'before/pour')]));
  expect(one!.photos.map(({ held }) => held)).toEqual([1, 1, 0]);
  expect(readOut(missingOf(one!)).slice(0, 2)).toEqual([
    expect.stringMatching(/P1.*a photograph is missing/),
    expect.stringMatching(/A bag with its batch: a photograph is missing/),
  ]);
});

test('where planks are the first to cover the base, they are what its tests are photographed before', () => {
  const flat = lowRoom('Hall', 0.2, { dampTests: [TEST] as never, dampReadings: [READ] as never });
  const wanted = (set: RoomSet) =>
    holds(set).map(({ cover, photos }) => [cover, photos.filter(({ about }) => about === 'damp').length]);
  expect(wanted(flat)).toEqual([['planks', 1]]);
  // Under a pour nobody can photograph them any more.
  expect(wanted(tested([]))).toEqual([
    ['pour', 1],
    ['planks', 0],
  ]);
});

test('what was covered stays told with what was missing by then, each room and cover by itself', () => {
  const covered = {
    ...{
      id: 'c',
      jobId: 'j',
      ofRoomId: 'Parlour',
      cover: 'pour' as const,
      coveredAt: READ_AT,
      by: 'K.',
      missing: ['x'],
    },
    ...{ reason: 'the clock', note: '' },
  };
  const [pour, planks] = holds(lowRoom('Parlour', 7), { coverUps: [covered], seals: [] });
  expect(pour!.done).toMatchObject({ reason: 'the clock' });
  expect(planks!.done).toBeNull();
  const [other] = holds(lowRoom('Hall', 7), { coverUps: [covered], seals: [] });
  expect(other!.done).toBeNull();
});
