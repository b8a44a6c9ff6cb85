import { grindInsteadL } from './grind-instead.ts';

test('the same missing everywhere under a quarter turn: height times the area of the sector', () => {
  const need = Array.from({ length: 33 }, (_, k) => ({ fromHingeMm: 25 * k, needMm: 2 }));
  // Pi/4 x 0.8 m x 0.8 m x 2 mm.
  expect(grindInsteadL(need, 90)).toBeCloseTo((Math.PI / 4) * 0.8 * 0.8 * 2, 6);
  expect(grindInsteadL(need, -45)).toBeCloseTo((Math.PI / 8) * 0.8 * 0.8 * 2, 6);
});

test('nothing missing takes nothing, and the order in which places were heard does not matter', () => {
  expect(grindInsteadL([], 90)).toBe(0);
  const need = [
    { fromHingeMm: 800, needMm: 1 },
    { fromHingeMm: 0, needMm: 0 },
    { fromHingeMm: 400, needMm: 3 },
  ];
  expect(grindInsteadL(need, 90)).toBeCloseTo(grindInsteadL([...need].reverse(), 90), 12);
});
