import {
  areaM2,
  boundsMm,
  contains,
  distanceToSegmentMm,
  distanceToWallsMm,
  firstCrossing,
  perimeterMm,
  segmentsMeet,
  signedAreaM2,
  type PointMm,
} from './geometry.ts';

const at = (xMm: number, yMm: number): PointMm => ({ xMm, yMm });
/** An L of 4 by 3 m with a bite of 1.5 by 1 m out of its far right corner: 10.5 m². */
const ELL = [at(0, 0), at(4000, 0), at(4000, 2000), at(2500, 2000), at(2500, 3000), at(0, 3000)];
const ISLAND = [at(500, 500), at(1500, 500), at(1500, 1000), at(500, 1000)];

test('area, walls and bounds of an L by hand: the bite takes area, adds no length and leaves the bounds', () => {
  expect(areaM2(ELL)).toBeCloseTo(10.5, 12);
  expect(areaM2(ELL, [ISLAND])).toBeCloseTo(10, 12);
  expect(perimeterMm(ELL)).toBe(14_000);
  expect(boundsMm(ELL)).toEqual({ minX: 0, minY: 0, maxX: 4000, maxY: 3000 });
});

test('turned the other way about an area is negative, and no smaller', () => {
  expect(signedAreaM2(ELL)).toBeCloseTo(10.5, 12);
  expect(signedAreaM2([...ELL].reverse())).toBeCloseTo(-10.5, 12);
});

test('the bite of an L is outside; either side of it is in', () => {
  expect([contains(ELL, 3000, 2500), contains(ELL, 2000, 2500), contains(ELL, 3000, 1500)]).toEqual([
    false,
    true,
    true,
  ]);
});

test('distance to a wall is to its nearest point: square off it, or to its end', () => {
  expect(distanceToSegmentMm(2000, 700, at(0, 0), at(4000, 0))).toBe(700);
  expect(distanceToSegmentMm(4300, 400, at(0, 0), at(4000, 0))).toBe(500);
  expect(distanceToSegmentMm(30, 40, at(0, 0), at(0, 0))).toBe(50);
  // Inside the L near the inner corner the nearest wall is the bite's.
  expect(distanceToWallsMm(ELL, 2200, 1600)).toBe(500);
});

test.each([
  ['crossing', at(0, 0), at(10, 10), at(0, 10), at(10, 0), true],
  ['end on side', at(0, 0), at(100, 0), at(50, 0), at(50, 80), true],
  ['sharing an end', at(0, 0), at(100, 0), at(100, 0), at(200, 90), true],
  ['along one line, overlapping', at(0, 0), at(100, 0), at(60, 0), at(160, 0), true],
  ['along one line, apart', at(0, 0), at(100, 0), at(160, 0), at(260, 0), false],
  ['side by side', at(0, 0), at(100, 0), at(0, 10), at(100, 10), false],
  ['one short of the other', at(0, 0), at(100, 0), at(50, 5), at(50, 80), false],
])('segments %s', (_, a, b, c, d, meet) => {
  expect(segmentsMeet(a, b, c, d)).toBe(meet);
  expect(segmentsMeet(c, d, a, b)).toBe(meet);
});

test('the first pair of walls that cross is named; a wall folded straight back counts, a touch only when asked for', () => {
  expect(firstCrossing(ELL)).toBeNull();
  const bow = [at(0, 0), at(2000, 2000), at(2000, 0), at(0, 2000)];
  expect(firstCrossing(bow)).toEqual({ first: 0, second: 2 });
  const folded = [at(0, 0), at(3000, 0), at(1000, 0), at(1000, 2000), at(0, 2000)];
  expect(firstCrossing(folded)).toEqual({ first: 0, second: 1 });
  // A chain that does not close yet ends on its first wall.
  const touching = [at(0, 0), at(3000, 0), at(3000, 2000), at(1000, 2000), at(1000, 0), at(1000, -500)];
  expect(firstCrossing(touching)).not.toBeNull();
});
