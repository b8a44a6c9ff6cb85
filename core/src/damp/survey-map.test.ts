import type { DampResult } from './result.ts';
import { surveyMap } from './survey-map.ts';

const ROOM = [
  { xMm: 0, yMm: 0 },
  { xMm: 4000, yMm: 0 },
  { xMm: 4000, yMm: 3000 },
  { xMm: 0, yMm: 3000 },
];
const read = (xMm: number, yMm: number, value: number) => ({ test: { xMm, yMm }, value }) as DampResult;

test('two readings make no map', () => {
  expect(surveyMap([read(0, 0, 1), read(900, 0, 2)], ROOM).cells).toEqual([]);
});

test('shares run from the lowest reading to the highest, and nothing is told beyond a reach', () => {
  const { cells } = surveyMap([read(200, 200, 2), read(200, 2800, 2), read(900, 1500, 6)], ROOM);
  const at = (x: number, y: number) => cells.find((c) => c.xMm === x && c.yMm === y);
  expect(at(750, 1500)!.share).toBeGreaterThan(0.9);
  expect(at(0, 0)!.share).toBeLessThan(0.1);
  expect(cells.every((c) => c.share >= 0 && c.share <= 1)).toBe(true);
  expect(cells.some((c) => c.xMm > 2500)).toBe(false);
});

test('many readings of one spot weigh as many readings, and an even floor has no slope', () => {
  const even = surveyMap(
    Array.from({ length: 50 }, (_, i) => read(80 * i, 1500, 3)),
    ROOM,
  );
  expect(new Set(even.cells.map((c) => c.share))).toEqual(new Set([0]));
  const spot = [...Array.from({ length: 9 }, () => read(1000, 1000, 4)), read(1250, 1000, 8), read(3900, 2900, 0)];
  const middle = surveyMap(spot, ROOM).cells.find((c) => c.xMm === 1000 && c.yMm === 750)!;
  expect(middle.share).toBeCloseTo((9 * 4 + 8) / 10 / 8, 2);
});
