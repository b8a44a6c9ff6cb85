import fc from 'fast-check';
import { bestTread, flightAfter, TREADS_MM, USUAL_STAIR } from './stair.ts';
import { riseHeld } from './stair-limits.ts';

test('a flight of even risers holds within the range of its code, more with treads that are covered', () => {
  const even = [180, 180, 180, 180];
  // Bare treads: the last riser may be 5 more or less than the others.
  expect(riseHeld(even, { leads: 'down', otherMm: 0, treadMm: 0 }, USUAL_STAIR)).toEqual({ leastMm: -5, mostMm: 5 });
  // With 3 and 5 mm on the treads the first riser grows and shrinks with them: 5 + 5 is reached by 5 mm of tread.
  expect(riseHeld(even, { leads: 'down', otherMm: 0, treadMm: null }, USUAL_STAIR)!.mostMm).toBeGreaterThanOrEqual(5);
  expect(riseHeld([180, 160, 180], { leads: 'up', otherMm: 0, treadMm: 0 }, USUAL_STAIR)).toBeNull();
});

test('property: the code holds at every rise inside, and at none a hair outside that a covering of the treads could save', () => {
  const riser = fc.integer({ min: 175, max: 185 });
  fc.assert(
    fc.property(
      fc.array(riser, { minLength: 2, maxLength: 6 }),
      fc.constantFrom('down' as const, 'up' as const),
      fc.integer({ min: 0, max: 20 }),
      fc.double({ min: 0, max: 1, noNaN: true }),
      (risers, leads, otherMm, share) => {
        const limits = riseHeld(risers, { leads, otherMm, treadMm: null }, USUAL_STAIR);
        const holds = (hereMm: number) => {
          const ends = leads === 'down' ? { belowMm: otherMm, aboveMm: hereMm } : { belowMm: hereMm, aboveMm: otherMm };
          return [0, ...TREADS_MM].some(
            (tread) => flightAfter(risers, { ...ends, treadsMm: risers.slice(1).map(() => tread) }, USUAL_STAIR).holds,
          );
        };
        if (!limits) {
          for (let mm = -40; mm <= 60; mm += 0.5) expect(holds(mm)).toBe(false);
          return;
        }
        expect(holds(limits.leastMm + share * (limits.mostMm - limits.leastMm))).toBe(true);
        expect([holds(limits.leastMm - 1e-3), holds(limits.mostMm + 1e-3)]).toEqual([false, false]);
      },
    ),
    { numRuns: 60 },
  );
});

test('what the best covering of the treads holds lies inside', () => {
  const risers = [190, 188, 191, 188, 193];
  const limits = riseHeld(risers, { leads: 'down', otherMm: 15, treadMm: null }, USUAL_STAIR);
  const best = bestTread(risers, { belowMm: 15, aboveMm: 12 }, TREADS_MM, USUAL_STAIR).after;
  expect(best.holds).toBe(limits !== null && limits.leastMm <= 12 && 12 <= limits.mostMm);
});
