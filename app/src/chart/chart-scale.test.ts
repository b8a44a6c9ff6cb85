import { timesIn } from '@maquette/words';
import { dayTick } from '../stages/damp/day-tick.ts';
import { chartScale } from './chart-scale.ts';
import { nearest } from './nearest.ts';

const FIGURE = { kind: 'figure' } as const;

test('the first place stands left, the last right, the highest value on top and the lowest on the floor; pointing finds the place', () => {
  const { x, y, at, box } = chartScale({ width: 340, height: 120 }, FIGURE, [1000, 3000], [40, 60]);
  expect([x(1000), x(2000), x(3000)]).toEqual([box.left, (box.left + box.right) / 2, box.right]);
  expect([y(60), y(50), y(40)]).toEqual([box.top, (box.top + box.floor) / 2, box.floor]);
  expect(at(x(1750))).toBeCloseTo(1750, 6);
});

test('one place alone, or one value, is no number gone wrong; where nothing is named under it the floor is lower', () => {
  const { x, y, box } = chartScale({ width: 340, height: 120 }, FIGURE, [1000, 1000], [50, 50]);
  expect(x(1000)).toBe(box.left);
  expect(y(50)).toBe(box.floor);
  const bare = chartScale({ width: 340, height: 120, named: false }, FIGURE, [0, 1], [0, 1]);
  expect(bare.box.floor).toBeGreaterThan(box.floor);
});

test('figures along an axis are round and far enough apart to be read, on a phone and on a wide screen', () => {
  for (const width of [320, 700]) {
    const { x, ticks, values, y } = chartScale({ width, height: 210 }, FIGURE, [0, 97], [61.3, 92.8]);
    for (const [i, tick] of ticks.slice(1).entries()) expect(x(tick) - x(ticks[i]!)).toBeGreaterThan(40);
    for (const [i, value] of values.slice(1).entries()) expect(y(values[i]!) - y(value)).toBeGreaterThan(14);
    expect(values.every((value) => value % 5 === 0)).toBe(true);
  }
});

test('days begin at midnight by the clock of the site', () => {
  const times = timesIn('Asia/Kathmandu');
  const [from, to] = [Date.parse('2026-07-01T00:00:00Z'), Date.parse('2026-07-09T00:00:00Z')];
  const along = { kind: 'time', aheadMin: times.aheadMin('2026-07-01T00:00:00.000Z') } as const;
  const { ticks } = chartScale({ width: 340, height: 120 }, along, [from, to], [0, 1]);
  expect(ticks.length).toBeGreaterThan(1);
  for (const tick of ticks) expect(times.localTime(new Date(tick).toISOString())).toMatch(/ 00:00$/);
  expect(dayTick(times, to - from)(ticks[0]!)).toMatch(/^\d Jul$/);
});

test.each([
  [2, '2026-07-01T09:00:00.000Z', '10:00'],
  [30, '2026-07-01T09:00:00.000Z', '1 Jul'],
  [500, '2026-07-01T09:00:00.000Z', 'Jul 2026'],
])('over %i days a place along the chart is named as briefly as it can be', (days, utc, words) => {
  expect(dayTick(timesIn('Europe/London'), days * 86_400_000)(Date.parse(utc))).toBe(words);
});

test('the nearest reading is found, and none where there is none', () => {
  const places = [{ at: 0 }, { at: 10 }, { at: 30 }];
  expect([-5, 4, 6, 19, 21, 99].map((at) => nearest(places, at))).toEqual([0, 0, 1, 1, 2, 2]);
  expect(nearest([], 3)).toBeNull();
});
