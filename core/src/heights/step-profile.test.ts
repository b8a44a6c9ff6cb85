import { placesAlong, stepProfile } from './step-profile.ts';

test('a step that grows evenly has twist and no wave; one that bulges has wave', () => {
  const even = stepProfile(
    placesAlong(900).map((alongMm) => ({ alongMm, stepMm: 3 + (1.2 * alongMm) / 900 })),
    900,
  );
  expect(even).toMatchObject({ minMm: 3, maxMm: 4.2, worstMm: 4.2 });
  expect(even.meanMm).toBeCloseTo(3.6, 9);
  expect(even.twistMm).toBeCloseTo(1.2, 9);
  expect(even.waveMm).toBeCloseTo(0, 9);
  // Least squares by hand over 0, 1, 0: a level line at a third; the bulge stands two thirds over it.
  const bulge = stepProfile(
    [0, 450, 900].map((alongMm, k) => ({ alongMm, stepMm: k === 1 ? 1 : 0 })),
    900,
  );
  expect(bulge.twistMm).toBeCloseTo(0, 9);
  expect(bulge.waveMm).toBeCloseTo(2 / 3, 9);
});

test('a step down counts by its size', () => {
  expect(
    stepProfile(
      [
        { alongMm: 0, stepMm: -4 },
        { alongMm: 800, stepMm: 1 },
      ],
      800,
    ).worstMm,
  ).toBe(4);
  expect(() => stepProfile([], 800)).toThrow('one place');
});

test('both ends are asked, and no two places lie more than 50 mm apart', () => {
  expect(placesAlong(100)).toEqual([0, 50, 100]);
  const places = placesAlong(763);
  expect(places[0]).toBe(0);
  expect(places.at(-1)).toBe(763);
  expect(Math.max(...places.slice(1).map((mm, k) => mm - places[k]!))).toBeLessThanOrEqual(50);
});
