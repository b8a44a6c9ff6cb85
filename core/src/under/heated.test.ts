import fc from 'fast-check';
import { givenOffW, heatedFloor, heatRamp, surfaceC, underRug } from './heated.ts';

test('what a floor gives off, and the water it takes, as worked by hand', () => {
  // 7 K over the room; 60 W through covering and screed of 0.06.
  expect(givenOffW(7)).toBeCloseTo(75.9, 1);
  expect(surfaceC(60, 20)).toBeCloseTo(25.7, 1);
  expect([0.05, 0.1, 0.15].map((r) => Math.round(heatedFloor(r, 60).waterC * 10) / 10)).toEqual([32.3, 35.3, 38.3]);
  expect(heatedFloor(0.05, 60).flowC - heatedFloor(0.05, 60).waterC).toBe(2.5);
  expect(heatedFloor(0.1, 60).mostWaterC).toBeCloseTo(27 + 75.86 * 0.16, 1);
});

test('over 0.15 it does not hold, nor where more heat is wanted than its surface may give', () => {
  expect([0.15, 0.16].map((r) => heatedFloor(r, 60).holds)).toEqual([true, false]);
  expect([75, 77].map((w) => heatedFloor(0.05, w).holds)).toEqual([true, false]);
  expect(underRug(0.1, 60).holds).toBe(false);
});

test('the ramp after laying: two days at 18, then five degrees a day, never past the limit', () => {
  expect(heatRamp(40, 60)).toEqual([18, 18, 23, 28, 33, 38, 40]);
  expect(heatRamp(40, 30)).toEqual([18, 18, 23, 28, 30]);
  expect(heatRamp(15, 60)).toEqual([15, 15]);
});

test('property: what is given off and the surface that takes are one another turned round', () => {
  fc.assert(
    fc.property(fc.double({ min: 0.1, max: 120, noNaN: true }), (w) => {
      expect(givenOffW(surfaceC(w, 20) - 20)).toBeCloseTo(w, 6);
    }),
  );
});
