import { newFixture, newOpening } from '../room/index.ts';
import { heightsRoom, LEVEL_FLOOR } from './invented-heights.ts';
import type { LevelOf, LevelRead } from './level-read.ts';
import type { FinishedAt } from './opening-judged.ts';
import { judgeHeights } from './room-heights.ts';

let made = 0;
const level = (of: LevelOf, aboutId: string, alongMm: number, levelMm: number): LevelRead => ({
  id: `l${made++}`,
  of,
  aboutId,
  alongMm,
  readBy: 'staff',
  setupId: 's',
  rodMm: 1400 - levelMm,
  overMm: null,
  lyingMm: null,
  datumMm: null,
});

test('a door with its levels read is judged; one nobody looked at asks what leaf it is', () => {
  const openings = [newOpening('d', 0, 500, 800)];
  const levels = [
    level('beyond', 'd', 0, 15),
    level('beyond', 'd', 800, 15),
    level('leaf', 'd', 0, 21),
    level('leaf', 'd', 800, 21),
  ];
  const [unknown] = judgeHeights(heightsRoom({ openings, levels })).openings;
  expect(unknown).toMatchObject({ bar: { kind: 'flat', nearLimitMm: 2 }, leaf: { what: 'measure' }, toRead: [] });
  const leaves = new Map([
    ['d', { kind: 'hollow' as const, dropSeal: false, cutBeforeMm: 0, opensDeg: 90, airMm: null, rugMm: 0 }],
  ]);
  const [known] = judgeHeights(heightsRoom({ openings, levels, leaves })).openings;
  // 21 over 17 leaves 4 of the 5 mm wanted.
  expect(known!.leaf).toMatchObject({ what: 'trim', parallel: { hingeMm: expect.closeTo(1, 6) } });
});

test('a level whose set-up nothing ties is told, and counts as not read', () => {
  const openings = [newOpening('d', 0, 500, 800)];
  const levels = [{ ...level('beyond', 'd', 0, 15), setupId: 'other' }];
  const judged = judgeHeights(heightsRoom({ openings, levels }));
  expect(judged.untied).toEqual([levels[0]!.id]);
  expect(judged.openings[0]!.bar.kind).toBe('measure');
});

test('a flange is held against the highest floor about its rim', () => {
  const flange = newFixture('t', 'toilet', { xMm: 1000, yMm: 1000 }, 0);
  const hump: FinishedAt = (x, y) =>
    LEVEL_FLOOR(x, y) && (Math.hypot(x - 1090, y - 1000) < 20 ? { new: 19, used: 19 } : { new: 17, used: 17 });
  const levels = [level('flange', 't', 0, 12)];
  expect(judgeHeights(heightsRoom({ fixtures: [flange], levels })).fixtures[0]!.flange).toMatchObject({ ringsMm: [6] });
  expect(judgeHeights(heightsRoom({ fixtures: [flange], levels, finishedAt: hump })).fixtures[0]!.flange).toMatchObject(
    {
      overMm: expect.closeTo(-7, 6),
      ringsMm: [10],
    },
  );
  expect(judgeHeights(heightsRoom({ fixtures: [flange] })).fixtures[0]).toMatchObject({
    flange: null,
    toRead: [{ of: 'flange', alongMm: 0 }],
  });
});

test('a bay has the room that is left over the highest floor in it and on its edge', () => {
  const washer = newFixture('w', 'appliance', { xMm: 2000, yMm: 300 }, 0);
  const appliances = new Map([['w', { heightMm: 845, airMm: 3 }]]);
  const lip: FinishedAt = (x, y) => LEVEL_FLOOR(x, y) && (y > 590 ? { new: 21, used: 21 } : { new: 17, used: 17 });
  const levels = [level('underside', 'w', 0, 868), level('underside', 'w', 300, 866)];
  expect(judgeHeights(heightsRoom({ fixtures: [washer], levels, appliances })).fixtures[0]!.bay!.spareMm).toBeCloseTo(
    866 - 17 - 848,
    6,
  );
  expect(
    judgeHeights(heightsRoom({ fixtures: [washer], levels, appliances, finishedAt: lip })).fixtures[0]!.bay!.spareMm,
  ).toBeCloseTo(866 - 21 - 848, 6);
  expect(judgeHeights(heightsRoom({ fixtures: [washer], levels })).fixtures[0]).toMatchObject({
    bay: null,
    toRead: [
      { of: 'appliance', alongMm: 0 },
      { of: 'underside', alongMm: 600 },
    ],
  });
});

test('a bar on a wedge stands on the surface that stays until a groove is read, and moving the datum moves no packing', () => {
  const packing = (datumMm: number, groove: (number | null)[]) => {
    const levels = [
      level('beyond', 'd', 0, 14 + datumMm),
      level('beyond', 'd', 800, 14 + datumMm),
      ...groove.flatMap((mm, k) => (mm === null ? [] : [level('groove', 'd', k * 800, mm + datumMm)])),
    ];
    const finished = { new: 17 + datumMm, used: 17 + datumMm };
    const openings = [newOpening('d', 0, 500, 800)];
    return judgeHeights(heightsRoom({ openings, levels, finishedAt: () => finished })).openings[0]!.packing!.map(
      ({ lowEdgeMm, highEdgeMm }) => (lowEdgeMm + highEdgeMm) / 2,
    );
  };
  // Middle of the track: 14 of the lower floor + half of 3 - a seat of 9 - the groove's floor.
  expect(packing(0, [null, null])).toEqual([expect.closeTo(6.5, 6), expect.closeTo(6.5, 6)]);
  expect(packing(120, [null, null])).toEqual([expect.closeTo(6.5, 6), expect.closeTo(6.5, 6)]);
  expect(packing(120, [-4, -3])).toEqual([expect.closeTo(10.5, 6), expect.closeTo(9.5, 6)]);
  // One end alone is not known of the other.
  expect(packing(0, [-4, null])).toEqual([expect.closeTo(6.5, 6), expect.closeTo(6.5, 6)]);
});
