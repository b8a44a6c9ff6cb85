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
  const along = { kind: 'time', aheadMs: times.aheadMs } as const;
  const { ticks } = chartScale({ width: 340, height: 120 }, along, [from, to], [0, 1]);
  expect(ticks.length).toBeGreaterThan(1);
  for (const tick of ticks) expect(times.localTime(new Date(tick).toISOString())).toMatch(/ 00:00$/);
  expect(dayTick(times, to - from)(ticks[0]!)).toMatch(/^\d Jul$/);
});

// London's clocks go back on 25 October 2026 at 01:00 UTC and forward on 29 March 2026 at the same hour.
test.each([
  ['2026-10-20T00:00:00Z', '2026-11-05T00:00:00Z'],
  ['2026-03-20T00:00:00Z', '2026-04-05T00:00:00Z'],
  ['2026-03-01T00:00:00Z', '2027-03-01T00:00:00Z'],
])('from %s to %s days begin at midnight on both sides of a change of clocks', (first, last) => {
  const times = timesIn('Europe/London');
  const [from, to] = [Date.parse(first), Date.parse(last)];
  const along = { kind: 'time', aheadMs: times.aheadMs } as const;
  const { ticks, x, at } = chartScale({ width: 700, height: 120 }, along, [from, to], [0, 1]);
  expect(ticks.length).toBeGreaterThan(3);
  for (const tick of ticks) expect(times.localTime(new Date(tick).toISOString())).toMatch(/ 00:00$/);
  expect(at(x(ticks[2]!))).toBeCloseTo(ticks[2]!, -1);
});

test('the hour that is lived through twice is named once, and nothing is named beyond the ends', () => {
  const times = timesIn('Europe/London');
  const [from, to] = [Date.parse('2026-10-24T22:30:00Z'), Date.parse('2026-10-25T04:00:00Z')];
  const { ticks } = chartScale(
    { width: 1200, height: 120 },
    { kind: 'time', aheadMs: times.aheadMs },
    [from, to],
    [0, 1],
  );
  expect(new Set(ticks).size).toBe(ticks.length);
  expect(Math.min(...ticks)).toBeGreaterThanOrEqual(from);
  expect(Math.max(...ticks)).toBeLessThanOrEqual(to);
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
