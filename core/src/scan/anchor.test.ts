import { anchoredBy, anchorOf, type AnchorPair } from './index.ts';

const at = (xMm: number, yMm: number, rodMm: number, scanMm = 0): AnchorPair => ({ xMm, yMm, rodMm, scanMm });

// Three staffs fix a plane exactly: 5 + 2 x - 1 y (mm, m).
test('three staffs in a triangle give level and lean without anything left', () => {
  const anchor = anchorOf([at(0, 0, 5), at(2000, 0, 9), at(0, 3000, 2)]);
  expect(anchor.holds).toBe(true);
  expect(anchor.rmsMm).toBeCloseTo(0, 9);
  expect(anchoredBy(anchor, 1000, 1000)).toBeCloseTo(5 + 2 - 1, 9);
});

test('two staffs, or any number in a line, give the level only', () => {
  const two = anchorOf([at(0, 0, 4), at(3000, 0, 6)]);
  const line = anchorOf([0, 1000, 2000, 3000].map((x) => at(x, x, 7)));
  expect([two.holds, line.holds]).toEqual([false, false]);
  expect(anchoredBy(two, 9000, 9000)).toBe(5);
  expect(line.rmsMm).toBe(0);
});

test('what a plane cannot take out is told as drift', () => {
  // Corners of a square bent like a saddle by 1 mm: no plane helps.
  const anchor = anchorOf([at(0, 0, 1), at(2000, 2000, 1), at(2000, 0, -1), at(0, 2000, -1)]);
  expect([anchor.rmsMm, anchor.worstMm]).toEqual([1, 1]);
});

test('without a staff nothing holds and nothing is added', () => {
  const anchor = anchorOf([]);
  expect([anchor.holds, anchor.rods, anchoredBy(anchor, 100, 100)]).toEqual([false, 0, 0]);
});
