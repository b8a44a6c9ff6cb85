import { newFixture, newOpening } from '../room/index.ts';
import { CORNERS } from './invented-heights.ts';
import type { LevelOf, LevelRead } from './level-read.ts';
import { usualOpeningRules, type FinishedAt } from './opening-judged.ts';
import { judgeHeights, type RoomHeights } from './room-heights.ts';

const LEVEL: FinishedAt = (x, y) => (x > 0 && x < 4000 && y > 0 && y < 3000 ? { new: 17, used: 17 } : null);
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
const room = (more: Partial<RoomHeights>): RoomHeights => ({
  corners: CORNERS,
  openings: [],
  fixtures: [],
  levels: [],
  sightMm: new Map([['s', 1400]]),
  leaves: new Map(),
  appliances: new Map(),
  goesOn: new Set(),
  finishedAt: LEVEL,
  rules: { ...usualOpeningRules({ gapMm: 3, edgeMm: 2000 }), capMm: 0 },
  baseAlong: () => [],
  beyond: new Map(),
  offMm: 0.5,
  nodes: [],
  ...more,
});

test('a door with its levels read is judged; one nobody looked at asks what leaf it is', () => {
  const openings = [newOpening('d', 0, 500, 800)];
  const levels = [
    level('beyond', 'd', 0, 15),
    level('beyond', 'd', 800, 15),
    level('leaf', 'd', 0, 21),
    level('leaf', 'd', 800, 21),
  ];
  const [unknown] = judgeHeights(room({ openings, levels })).openings;
  expect(unknown).toMatchObject({ bar: { kind: 'flat', nearLimitMm: 2 }, leaf: { what: 'measure' }, toRead: [] });
  const leaves = new Map([
    ['d', { kind: 'hollow' as const, dropSeal: false, cutBeforeMm: 0, opensDeg: 90, airMm: null, rugMm: 0 }],
  ]);
  const [known] = judgeHeights(room({ openings, levels, leaves })).openings;
  // 21 over 17 leaves 4 of the 5 mm wanted.
  expect(known!.leaf).toMatchObject({ what: 'trim', parallel: { hingeMm: expect.closeTo(1, 6) } });
});

test('a level whose set-up nothing ties is told, and counts as not read', () => {
  const openings = [newOpening('d', 0, 500, 800)];
  const levels = [{ ...level('beyond', 'd', 0, 15), setupId: 'other' }];
  const judged = judgeHeights(room({ openings, levels }));
  expect(judged.untied).toEqual([levels[0]!.id]);
  expect(judged.openings[0]!.bar.kind).toBe('measure');
});

test('a flange is held against the highest floor about its rim', () => {
  const flange = newFixture('t', 'toilet', { xMm: 1000, yMm: 1000 }, 0);
  const hump: FinishedAt = (x, y) =>
    LEVEL(x, y) && (Math.hypot(x - 1090, y - 1000) < 20 ? { new: 19, used: 19 } : { new: 17, used: 17 });
  const levels = [level('flange', 't', 0, 12)];
  expect(judgeHeights(room({ fixtures: [flange], levels })).fixtures[0]!.flange).toMatchObject({ ringsMm: [6] });
  expect(judgeHeights(room({ fixtures: [flange], levels, finishedAt: hump })).fixtures[0]!.flange).toMatchObject({
    overMm: expect.closeTo(-7, 6),
    ringsMm: [10],
  });
  expect(judgeHeights(room({ fixtures: [flange] })).fixtures[0]).toMatchObject({
    flange: null,
    toRead: [{ of: 'flange', alongMm: 0 }],
  });
});

test('a bay has the room that is left over the highest floor in it and on its edge', () => {
  const washer = newFixture('w', 'appliance', { xMm: 2000, yMm: 300 }, 0);
  const appliances = new Map([['w', { heightMm: 845, airMm: 3 }]]);
  const lip: FinishedAt = (x, y) => LEVEL(x, y) && (y > 590 ? { new: 21, used: 21 } : { new: 17, used: 17 });
  const levels = [level('underside', 'w', 0, 868), level('underside', 'w', 300, 866)];
  expect(judgeHeights(room({ fixtures: [washer], levels, appliances })).fixtures[0]!.bay!.spareMm).toBeCloseTo(
    866 - 17 - 848,
    6,
  );
  expect(
    judgeHeights(room({ fixtures: [washer], levels, appliances, finishedAt: lip })).fixtures[0]!.bay!.spareMm,
  ).toBeCloseTo(866 - 21 - 848, 6);
  expect(judgeHeights(room({ fixtures: [washer], levels })).fixtures[0]).toMatchObject({
    bay: null,
    toRead: [
      { of: 'appliance', alongMm: 0 },
      { of: 'underside', alongMm: 600 },
    ],
  });
});
