import fc from 'fast-check';
import { buildUpMm, FLOOR_AGES, pressedMm, type BuildUp } from './build-up.ts';

const COMFORT = { thicknessMm: 3, kPaAtHalfMm: 60, setShare: 0.05 };
const LAID: BuildUp = { panelMm: 6, filmMm: 0.2, underlay: COMFORT, coveringMm: 8, coveringKgM2: 7 };

test('panel, film, underlay and plank: by hand 17.1994 mm new and 17.0328 mm used', () => {
  // New: 6 + 0.2 + (3 - 0.5 x 0.06867/60) + 8. Used: 6 + 0.2 + (3 - 0.15 - 0.5 x 2.06867/60) + 8.
  expect(buildUpMm(LAID, 'new')).toBeCloseTo(17.1994, 4);
  expect(buildUpMm(LAID, 'used')).toBeCloseTo(17.0328, 4);
  expect(buildUpMm({ ...LAID, underlay: null }, 'used')).toBeCloseTo(14.2, 9);
});

test('an underlay never gives way by more than half of itself', () => {
  expect(pressedMm({ thicknessMm: 4, kPaAtHalfMm: 0.01, setShare: 0 }, 9, 'used')).toBe(2);
});

test('a floor lived on is never higher than when it was new, and a thicker panel raises both by as much', () => {
  const some = fc.record({
    thicknessMm: fc.double({ min: 0.5, max: 12, noNaN: true }),
    kPaAtHalfMm: fc.double({ min: 2, max: 500, noNaN: true }),
    setShare: fc.double({ min: 0, max: 0.15, noNaN: true }),
  });
  fc.assert(
    fc.property(
      some,
      fc.double({ min: 0, max: 30, noNaN: true }),
      fc.double({ min: 0, max: 20, noNaN: true }),
      (underlay, kg, by) => {
        const laid = { ...LAID, underlay, coveringKgM2: kg };
        expect(buildUpMm(laid, 'used')).toBeLessThanOrEqual(buildUpMm(laid, 'new') + 1e-9);
        for (const age of FLOOR_AGES)
          expect(buildUpMm({ ...laid, panelMm: laid.panelMm + by }, age) - buildUpMm(laid, age)).toBeCloseTo(by, 9);
      },
    ),
  );
});
