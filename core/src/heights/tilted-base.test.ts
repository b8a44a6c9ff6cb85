import { deepenMm, packingUnder } from './tilted-base.ts';

const BAR = { trackMm: 16, bearingMm: 38, seatMm: 9 };

test('a strip under a tilted bar tapers from 3.87/5.13 to 6.22/7.98 mm', () => {
  // By hand: wedge 16 x 3/38 = 1.263, middle 8 + 1.5 - 9 + 4 = 4.5; at the other end 1.768 and 11 + 2.1 - 9 + 3 = 7.1.
  const left = packingUnder(BAR, 11, 8, -4);
  expect(left.lowEdgeMm).toBeCloseTo(3.87, 2);
  expect(left.highEdgeMm).toBeCloseTo(5.13, 2);
  expect(left.tiltDeg).toBeCloseTo(4.51, 2);
  expect(left.thickUnder).toBe('here');
  const right = packingUnder(BAR, 15.2, 11, -3);
  expect(right.lowEdgeMm).toBeCloseTo(6.22, 2);
  expect(right.highEdgeMm).toBeCloseTo(7.98, 2);
  expect(right.tiltDeg).toBeCloseTo(6.31, 2);
});

test('a thin edge below nothing is groove to be deepened, and the thick edge goes under whichever floor is higher', () => {
  const packing = packingUnder(BAR, 8, 11, 0);
  expect(packing.thickUnder).toBe('beyond');
  expect(packing.lowEdgeMm).toBeCloseTo(-0.132, 3);
  expect(deepenMm(packing)).toBeCloseTo(0.132, 3);
  expect(deepenMm(packingUnder(BAR, 11, 8, -4))).toBe(0);
});
