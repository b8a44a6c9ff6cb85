import { newLayer } from '../layers/index.ts';
import { heightsAfter } from './heights-room.ts';
import { readRoom, staffLevel, withLevels } from './invented-cottage.ts';
import type { RoomSet } from './room-set.ts';

const AT = '2026-05-05T08:00:00.000Z';
const level = () => 0;
const opening = (set: RoomSet) => heightsAfter(set, AT, null).judged.openings[0]!;
const meanStep = (set: RoomSet) => opening(set).step!.profiles.new.meanMm;

describe('two rooms that share a door', () => {
  const share = { sharedId: 's', beyond: 'planks' } as const;
  const kitchen = readRoom('k', () => 3, { opening: share, cardId: 'shipped-laminate' });
  const hall = withLevels(readRoom('h', level, { opening: share }), -4, -6);

  test('what the other room lays counts on top of the surface that was read there', () => {
    const alone = meanStep(hall);
    const adds = heightsAfter(kitchen, AT, null).addsMm.new;
    expect(alone - meanStep({ ...hall, neighbours: [kitchen] })).toBeCloseTo(adds, 9);
  });

  test('read from one side it stands on both: the step of one is the step of the other, turned round', () => {
    const here = opening({ ...hall, neighbours: [kitchen] }).step!.profiles;
    const there = opening({ ...kitchen, neighbours: [hall] });
    for (const age of ['new', 'used'] as const) {
      const ends = here[age].at;
      expect(there.step!.profiles[age].at[0]!.stepMm).toBeCloseTo(-ends.at(-1)!.stepMm, 6);
      expect(there.step!.profiles[age].at.at(-1)!.stepMm).toBeCloseTo(-ends[0]!.stepMm, 6);
    }
    expect(there.toRead.some(({ of }) => of === 'beyond')).toBe(false);
    expect(heightsAfter({ ...kitchen, neighbours: [hall] }, AT, null).joined).toEqual([
      { openingId: 'k-door', roomId: 'h', farId: 'h-door', readBeyond: true },
    ]);
  });

  test('levelling a room moves its own floor, and nothing of what was read of it from the other side', () => {
    const poured = (levelMm: number) =>
      heightsAfter({ ...kitchen, neighbours: [hall] }, AT, { levelMm }).judged.openings[0]!.step!.profiles.new.meanMm;
    expect(poured(30) - poured(22)).toBeCloseTo(8, 6);
  });

  test('levelling the room beyond moves the step by as much, from whichever side it was read', () => {
    const step = (from: RoomSet, other: RoomSet, levelMm: number | null) =>
      heightsAfter({ ...from, neighbours: [other] }, AT, null, {
        others: new Map(levelMm === null ? [] : [[other.room.id, { levelMm }]]),
      }).judged.openings[0]!.step!.profiles.new.meanMm;
    expect(step(kitchen, hall, 20) - step(kitchen, hall, 26)).toBeCloseTo(6, 6);
    expect(step(hall, kitchen, 20) - step(hall, kitchen, 26)).toBeCloseTo(6, 6);
    // Both sides levelled: the step of one is the step of the other, turned round.
    const both = new Map([
      ['h', { levelMm: 24 }],
      ['k', { levelMm: 31 }],
    ]);
    const of = (from: RoomSet, other: RoomSet) =>
      heightsAfter({ ...from, neighbours: [other] }, AT, both.get(from.room.id)!, { others: both }).judged.openings[0]!
        .step!.profiles.new.meanMm;
    expect(of(hall, kitchen)).toBeCloseTo(-of(kitchen, hall), 6);
  });

  test('each reading beyond stands on what lay there at its time: over the next room’s carpet, or once it was up', () => {
    const carpet = newLayer('carpet', 'carpet', { thicknessMm: 9, year: 2015, yearOf: 'layer' });
    const up = { id: 't', key: 'layer/carpet', doneAt: '2026-05-04T12:00:00.000Z', note: '' };
    const next = {
      ...kitchen,
      layers: [carpet],
      ticks: [up],
      layerChoices: [{ id: 'c', layerId: 'carpet', choice: 'remove' as const, note: '' }],
    };
    const plain = readRoom('h', level, { opening: share });
    const door = (first: number, second: number) =>
      opening({
        ...plain,
        levels: [
          staffLevel(plain, 'beyond', 'h-door', 0, first, '2026-05-04T11:00:00.000Z'),
          staffLevel(plain, 'beyond', 'h-door', 800, second, '2026-05-04T13:00:00.000Z'),
        ],
        neighbours: [next],
      }).step!.profiles.new;
    // Both ends lie on one level base: 9 mm of carpet were on it at the first reading.
    expect(door(5, -4).twistMm).toBeCloseTo(0, 1);
    expect(Math.abs(door(5, 5).twistMm)).toBeGreaterThan(8);
  });

  test('the same covering runs through where nothing parts it, and not where somebody asks for a break', () => {
    const same = readRoom('k', () => 3, { opening: share });
    // Both floors come to one level: the hall's door reads the kitchen's surface level with its own.
    const flush = { ...withLevels(readRoom('h', level, { opening: share }), 0), neighbours: [same] };
    expect(opening(flush).bar.kind).toBe('run-through');
    const partings = [{ id: 'p', openingId: 'h-door', asked: 'break' as const, note: '' }];
    expect(opening({ ...flush, partings }).bar.kind).toBe('flat');
    // Two runs of 4 m and more than the card allows along the two rooms together.
    const short = { ...flush, card: { ...flush.card, longestRunM: 5 } };
    expect(heightsAfter(short, AT, null).run.openingIds).toEqual(['s']);
  });
});

test('a shared door read from one side asks for nothing more beyond, even before the floor on this side is read', () => {
  const share = { sharedId: 's', beyond: 'planks' } as const;
  const hall = withLevels(readRoom('h', level, { opening: share }), -4);
  const bare = { ...readRoom('k', level, { opening: share }), readings: [], neighbours: [hall] };
  const heights = heightsAfter(bare, AT, null);
  expect(heights.joined).toMatchObject([{ openingId: 'k-door', readBeyond: true }]);
  expect(heights.judged.openings[0]!.bar.kind).toBe('measure');
});
