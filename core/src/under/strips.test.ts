import fc from 'fast-check';
import { L_FLOOR } from './invented-floors.ts';
import { coveredM2, grown, stripsOf, type RolledFloor, type RollMake } from './strips.ts';

const roll: RollMake = { widthMm: 1000, lengthMm: 10_000, lapMm: 0, edgeMm: 0 };
const lengths = (strips: readonly { lengthMm: number }[]) => strips.map(({ lengthMm }) => Math.round(lengthMm));

test('strips along the planks and across them, worked by hand', () => {
  const along = stripsOf(L_FLOOR, roll, { direction: 'x' });
  expect(lengths(along.strips)).toEqual([5200, 5200, 5200, 3000, 3000]);
  expect(along.strips.at(-1)!.widthMm).toBeCloseTo(400, 6);
  expect(along.seamMm).toBeCloseTo(16_400, 6);
  const across = stripsOf(L_FLOOR, roll, { direction: 'y', from: 'high' });
  expect(lengths(across.strips)).toEqual([2400, 2400, 4400, 4400, 4400, 4400]);
  expect(across.strips.at(-1)!.widthMm).toBeCloseTo(200, 6);
  expect(across.seamMm).toBeCloseTo(18_000, 6);
});

test('a film laps by as much as it is laid over', () => {
  const film = stripsOf(L_FLOOR, { ...roll, widthMm: 2000, lapMm: 200 }, { direction: 'x' });
  expect(lengths(film.strips)).toEqual([5200, 5200, 3000]);
  expect(film.strips.at(-1)!.widthMm).toBeCloseTo(800, 6);
  expect(film.seamMm).toBeCloseTo(8200, 6);
});

test('an outline grows on every side, also at corners that turn inwards', () => {
  const out = grown(L_FLOOR.outline, 50);
  expect(out[0]).toEqual({ xMm: -50, yMm: -50 });
  expect(out[3]).toEqual({ xMm: expect.closeTo(3050, 6), yMm: expect.closeTo(2450, 6) });
  expect(coveredM2(L_FLOOR, 0)).toBeCloseTo(5.2 * 4.4 - 2.2 * 2, 6);
  expect(stripsOf(L_FLOOR, { ...roll, edgeMm: 50 }, { direction: 'x' }).strips[0]!.lengthMm).toBeCloseTo(5300, 6);
});

test('property: strips cover the floor, and none is wider than the roll, whatever side and start they have', () => {
  const corner = fc.integer({ min: 500, max: 4000 });
  fc.assert(
    fc.property(
      corner,
      corner,
      fc.integer({ min: 0, max: 900 }),
      fc.constantFrom('x' as const, 'y' as const),
      fc.constantFrom('low' as const, 'high' as const),
      fc.constantFrom(0, 100, 200),
      (notchX, notchY, startMm, direction, from, lapMm) => {
        const floor: RolledFloor = {
          id: 'f',
          outline: [
            [0, 0],
            [5000, 0],
            [5000, 4500 - Math.min(notchY, 4000)],
            [5000 - notchX, 4500 - Math.min(notchY, 4000)],
            [5000 - notchX, 4500],
            [0, 4500],
          ].map(([xMm, yMm]) => ({ xMm: xMm!, yMm: yMm! })),
          islands: [],
        };
        const { strips } = stripsOf(floor, { ...roll, lapMm }, { direction, from, startMm });
        for (const { widthMm } of strips) expect(widthMm).toBeLessThanOrEqual(1000 + 1e-6);
        const laid = strips.reduce((sum, { widthMm, lengthMm }) => sum + widthMm * lengthMm, 0) / 1e6;
        expect(laid).toBeGreaterThanOrEqual(coveredM2(floor, 0) - 1e-6);
        for (let x = 60; x < 5000; x += 490)
          for (let y = 70; y < 4500; y += 430) {
            const inNotch = x > 5000 - notchX && y > 4500 - Math.min(notchY, 4000);
            if (inNotch) continue;
            const [u, v] = direction === 'x' ? [x, y] : [y, x];
            expect(
              strips.some(
                (one) =>
                  v >= one.fromMm - 1e-6 &&
                  v <= one.fromMm + one.widthMm + 1e-6 &&
                  u >= one.startMm - 1e-6 &&
                  u <= one.startMm + one.lengthMm + 1e-6,
              ),
            ).toBe(true);
          }
      },
    ),
    { numRuns: 60 },
  );
});
