import fc from 'fast-check';
import { readOut } from '@maquette/words';
import { newFixture } from '../room/index.ts';
import { newLayer } from '../layers/index.ts';
import { heightCriteria } from '../verdict/index.ts';
import { heightsAfter } from './heights-room.ts';
import { readRoom, staffLevel } from './invented-cottage.ts';

const AT = '2026-05-05T08:00:00.000Z';
const base = readRoom('a', () => 0);
const judge = (more: Partial<typeof base>) => heightsAfter({ ...base, ...more }, AT, null);

test('a worktop is told over what lies there today and over the new floor', () => {
  const cabinet = newFixture('c', 'cabinet', { xMm: 2000, yMm: 300 }, 0);
  const carpet = newLayer('carpet', 'carpet', { thicknessMm: 9, year: 2015, yearOf: 'layer' });
  const room = { ...base.room, fixtures: [cabinet] };
  expect(judge({ room }).worktops).toEqual([]);
  const levels = [staffLevel(base, 'worktop', 'c', 300, 909)];
  const layerChoices = [{ id: 'l', layerId: 'carpet', choice: 'remove' as const, note: '' }];
  const [top] = judge({ room, levels }).worktops;
  expect([top!.todayMm, top!.afterMm]).toEqual([expect.closeTo(909, 1), expect.closeTo(909 - 5.2, 1)]);
  // The floor was read on the carpet: 909 over it today, and 9 mm more less the new floor once that is up.
  const [over] = judge({ room, levels, layers: [carpet], layerChoices }).worktops;
  expect([over!.todayMm, over!.afterMm]).toEqual([expect.closeTo(909, 1), expect.closeTo(909 + 9 - 5.2, 1)]);
});

test('a guard lower over the new floor than the code asks stops, and holds at the height asked', () => {
  const guards = (levelMm: number) => judge({ levels: [staffLevel(base, 'guard', 'wall-2', 1500, levelMm)] });
  const told = (levelMm: number) => {
    const heights = guards(levelMm);
    const told = heightCriteria(base.room, heights, new Set()).find(({ id }) => id === 'heights-guards')!;
    return readOut([told]).map(({ verdict, margin }) => [verdict, margin]);
  };
  expect(guards(903).guards).toEqual([{ aboutId: 'wall-2', overMm: expect.closeTo(897.8, 1), leastMm: 900 }]);
  expect(told(903)[0]![0]).toBe('stop');
  expect(told(906)).toEqual([['lay', 'The guard at the wall W2 stands 900.8 mm over the new floor; 900 mm is asked.']]);
  // One that nobody read is not told of: nothing waits for it.
  expect(heightCriteria(base.room, judge({}), new Set()).map(({ id }) => id)).not.toContain('heights-guards');
});

test('a board that stays is judged by its bottom: planks pass under it, and little shows', () => {
  const left = (levelMm: number, boardMm = 15) =>
    judge({
      levels: [staffLevel(base, 'skirting', 'wall-2', 1500, levelMm)],
      skirtings: [{ id: 's', wall: 1, boardMm, fit: 'stays', waver: [], note: '' }],
    }).skirting[1]!.left!;
  expect(left(5)).toMatchObject({ why: 'too-low' });
  expect(left(6.5)).toMatchObject({ why: null, leastMm: expect.closeTo(1.3, 1) });
  expect(left(7.8)).toMatchObject({ why: 'too-high' });
  expect(left(6.5, 10)).toMatchObject({ why: 'too-thin' });
  expect(judge({}).skirting[1]!.left).toBeNull();
});

test('property: raising the build-up by d raises the finished floor by d all over, and no line of its map moves', () => {
  const set = readRoom('w', (x, y) => 2 * Math.sin(x) + y);
  const at = (coveringMm: number) =>
    heightsAfter(
      {
        ...set,
        buildUps: [
          {
            id: 'b',
            panelMm: 0,
            filmMm: 0,
            underlayMm: null,
            kPaAtHalfMm: 60,
            setShare: 0,
            coveringMm,
            coveringKgM2: 5,
            note: '',
          },
        ],
      },
      AT,
      null,
    ).finished!;
  const before = at(5);
  expect(before.highest.overMm).toBeGreaterThan(1);
  expect(before.lowest.overMm).toBeLessThan(-1);
  fc.assert(
    fc.property(fc.double({ min: 5, max: 35, noNaN: true }), (coveringMm) => {
      const after = at(coveringMm);
      expect(after.meanMm - before.meanMm).toBeCloseTo(coveringMm - 5, 9);
      expect(after.highest.overMm).toBeCloseTo(before.highest.overMm, 9);
      expect(after.highest.at).toEqual(before.highest.at);
      expect(after.map.highs.map(({ levelMm }) => levelMm)).toEqual(before.map.highs.map(({ levelMm }) => levelMm));
    }),
    { numRuns: 6 },
  );
});

test('an old floor that comes up on one side of a line lowers the finished floor there and nowhere else', () => {
  const line = { id: 'z', name: 'Split', axMm: 2000, ayMm: 0, bxMm: 2000, byMm: 3000 };
  const carpet = {
    ...newLayer('carpet', 'carpet', { thicknessMm: 6, year: 2015, yearOf: 'layer' }),
    where: [{ lineId: 'z', side: 'left' as const }],
  };
  const { finished } = judge({
    room: { ...base.room, lines: [line] },
    layers: [carpet],
    layerChoices: [{ id: 'l', layerId: 'carpet', choice: 'remove' as const, note: '' }],
  });
  // 6 mm on half of the floor: 3 under the mean and 3 over it.
  expect(finished!.highest.overMm - finished!.lowest.overMm).toBeCloseTo(6, 1);
  // Looking along the line from its first point, its left is towards x = 0.
  expect(finished!.lowest.at.xMm).toBeLessThan(2000);
  expect(finished!.highest.at.xMm).toBeGreaterThan(2000);
});
