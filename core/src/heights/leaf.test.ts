import fc from 'fast-check';
import { leafClearance, type LeafSwing } from './leaf.ts';

const LEAF: LeafSwing = {
  hinge: { xMm: 0, yMm: 0 },
  closedDeg: 0,
  openDeg: 90,
  widthMm: 760,
  hingeMm: 9,
  latchMm: 8,
};
const hump = (highMm: number, xMm: number, yMm: number, wideMm: number) => (x: number, y: number) =>
  highMm * Math.exp(-((x - xMm) ** 2 + (y - yMm) ** 2) / (2 * wideMm ** 2));

test('a hump of 6 mm in the swing of a leaf that hangs at 9 to 8 mm: 7.990 mm on the threshold, 2.252 mm at 571 mm and 45 degrees', () => {
  const seen = leafClearance(LEAF, hump(6, 400, 400, 150), 5)!;
  expect(seen.closedMm).toBeCloseTo(7.99, 3);
  expect(seen.leastMm).toBeCloseTo(2.252, 3);
  expect(Math.round(seen.fromHingeMm)).toBeGreaterThanOrEqual(570);
  expect(Math.round(seen.fromHingeMm)).toBeLessThanOrEqual(572);
  expect(seen.atDeg).toBeCloseTo(45, 0);
  expect(Math.max(...seen.need.map(({ needMm }) => needMm))).toBeCloseTo(2.75, 2);
  expect(seen.bindsDeg).toBeNull();
});

test('a leaf that touches says how far it opens before', () => {
  const seen = leafClearance(LEAF, hump(12, 400, 400, 150), 5)!;
  // The hump stands over the underside within a ring about its middle; its near side comes first.
  expect(seen.leastMm).toBeLessThan(0);
  expect(seen.bindsDeg!).toBeGreaterThan(25);
  expect(seen.bindsDeg!).toBeLessThan(45);
});

test('a place of the map between the samples is heard', () => {
  const nail = (x: number, y: number) => (Math.hypot(x - 313, y - 222) < 2 ? 20 : 0);
  expect(leafClearance(LEAF, nail, 5)!.leastMm).toBeGreaterThan(0);
  expect(leafClearance(LEAF, nail, 5, [{ xMm: 313, yMm: 222 }])!.leastMm).toBeLessThan(0);
});

test('where no level is known it says so', () => {
  expect(leafClearance(LEAF, () => null, 5)).toBeNull();
  expect(leafClearance(LEAF, (x) => (x < 300 ? 0 : null), 5)!.unknownShare).toBeCloseTo(0.34, 1);
});

test('raising the floor takes as much from every clearance, whichever way the leaf turns', () => {
  const some = fc.record({
    highMm: fc.double({ min: -6, max: 8, noNaN: true }),
    closedDeg: fc.integer({ min: -180, max: 180 }),
    openDeg: fc.constantFrom(-110, -90, 60, 90, 170),
    byMm: fc.double({ min: -5, max: 5, noNaN: true }),
  });
  fc.assert(
    fc.property(some, ({ highMm, closedDeg, openDeg, byMm }) => {
      const leaf = { ...LEAF, closedDeg, openDeg };
      const floor = hump(highMm, 250, -300, 120);
      const [now, raised] = [leafClearance(leaf, floor, 5)!, leafClearance(leaf, (x, y) => floor(x, y) + byMm, 5)!];
      expect(now.leastMm - raised.leastMm).toBeCloseTo(byMm, 6);
    }),
    { numRuns: 40 },
  );
});

test('a leaf never binds where a plain search every 5 mm finds it clear by more than the floor changes between', () => {
  const some = fc.record({
    highMm: fc.double({ min: 0, max: 12, noNaN: true }),
    xMm: fc.double({ min: 0, max: 760, noNaN: true }),
    yMm: fc.double({ min: 0, max: 760, noNaN: true }),
    wideMm: fc.double({ min: 60, max: 300, noNaN: true }),
  });
  fc.assert(
    fc.property(some, ({ highMm, xMm, yMm, wideMm }) => {
      const floor = hump(highMm, xMm, yMm, wideMm);
      let plain = Infinity;
      for (let x = 0; x <= 760; x += 5)
        for (let y = 0; y <= 760; y += 5) {
          const r = Math.hypot(x, y);
          if (r <= 760) plain = Math.min(plain, 9 - r / 760 - floor(x, y));
        }
      const seen = leafClearance(LEAF, floor, 5)!;
      // On a hump no steeper than this a place between is at most a twentieth of a millimetre lower.
      expect(seen.leastMm).toBeLessThanOrEqual(plain + 0.01);
      if (plain > 0.1) expect(seen.bindsDeg).toBeNull();
    }),
    { numRuns: 60 },
  );
});
