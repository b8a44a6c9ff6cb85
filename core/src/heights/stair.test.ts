import fc from 'fast-check';
import { bestTread, evenRisers, flightAfter } from './stair.ts';

const RISERS = [190, 188, 191, 188, 193];

test('15 mm added below and 12 above: bare treads leave a range of 30 mm, 8 mm on each tread 14', () => {
  const bare = flightAfter(RISERS, { belowMm: 15, treadsMm: [0, 0, 0, 0], aboveMm: 12 });
  expect(bare).toEqual({ risersMm: [175, 188, 191, 188, 205], rangeMm: 30, past: [], holds: false });
  expect(flightAfter(RISERS, { belowMm: 15, treadsMm: [8, 8, 8, 8], aboveMm: 12 }).rangeMm).toBe(14);
});

test('the best tread of those stocked leaves the least range; of equals the thinnest', () => {
  const best = bestTread(RISERS, { belowMm: 15, aboveMm: 12 }, [4, 8, 12]);
  expect(best.treadMm).toBe(12);
  // By hand: 187 188 191 188 193.
  expect(best.after).toMatchObject({ risersMm: [187, 188, 191, 188, 193], rangeMm: 6, holds: false });
  expect(bestTread(evenRisers(760, 4), { belowMm: 10, aboveMm: 10 }, [10]).after).toMatchObject({
    rangeMm: 0,
    holds: true,
  });
  expect(bestTread([180, 180], { belowMm: 0, aboveMm: 0 }, [0, 6]).treadMm).toBe(0);
});

test('a riser past the code is named, also where it was so before', () => {
  expect(flightAfter([230, 230], { belowMm: 0, treadsMm: [0], aboveMm: 0 })).toMatchObject({
    past: [1, 2],
    holds: false,
  });
});

test('a flight keeps its height but for what its two floors add, whatever lies on its treads', () => {
  const mm = fc.double({ min: 0, max: 30, noNaN: true });
  fc.assert(
    fc.property(fc.array(mm, { minLength: 4, maxLength: 4 }), mm, mm, (treadsMm, belowMm, aboveMm) => {
      const after = flightAfter(RISERS, { belowMm, treadsMm, aboveMm }).risersMm;
      const sum = (all: number[]) => all.reduce((a, b) => a + b, 0);
      expect(sum(after)).toBeCloseTo(sum(RISERS) + aboveMm - belowMm, 6);
    }),
  );
  expect(() => flightAfter(RISERS, { belowMm: 0, treadsMm: [1], aboveMm: 0 })).toThrow('4 treads');
});
