import { gap, moment, dayOf, say } from '@maquette/core/said';
import { inWords, timesIn } from './index.ts';

// Offsets and changes of these clocks are public: London changed on 29 March and changes on 25 October 2026 at 01:00 UTC, New York
// on 8 March and 1 November at 02:00 local, Kathmandu is 5 h 45 min ahead all year.
test.each([
  ['Europe/London', '2026-07-01T09:30:00.000Z', '2026-07-01 10:30'],
  ['Europe/London', '2026-12-01T09:30:00.000Z', '2026-12-01 09:30'],
  ['America/New_York', '2026-07-01T02:30:00.000Z', '2026-06-30 22:30'],
  ['Asia/Kathmandu', '2026-07-01T20:00:00.000Z', '2026-07-02 01:45'],
  ['UTC', '2026-07-01T20:00:00.000Z', '2026-07-01 20:00'],
])('in %s the clock shows %s as %s, and what it shows is that moment', (zone, utc, shown) => {
  const times = timesIn(zone);
  expect(times.localTime(utc)).toBe(shown);
  expect(times.fromLocalTime(shown)).toBe(utc);
  expect(times.dayOf(utc)).toBe(shown.slice(0, 10));
});

test('a clock’s offset is that of the moment, not of today', () => {
  const { aheadMs } = timesIn('Europe/London');
  const moments = ['2026-10-25T00:59:59.000Z', '2026-10-25T01:00:00.000Z', '2026-03-29T01:00:00.000Z'];
  expect(moments.map((utc) => aheadMs(Date.parse(utc)))).toEqual([3_600_000, 0, 3_600_000]);
});

test('a zone this device has not heard of is no reason to show nothing: its own clock is shown', () => {
  const utc = '2026-07-01T09:30:00.000Z';
  expect(timesIn('Atlantis/Harbour').localTime(utc)).toBe(timesIn('').localTime(utc));
});

test.each(['', 'soon', '2026-13-01 09:00', '2026-02-30 09:00', '2026-10-08'])('“%s” is no time', (text) => {
  expect(timesIn('Europe/London').fromLocalTime(text)).toBeNull();
});

test('a sentence tells a moment by the clock and a day by the calendar of whoever reads it', () => {
  const said = say('damp.untilTo', {
    day: dayOf('2026-07-01T20:00:00.000Z'),
    day2: moment('2026-07-01T20:00:00.000Z'),
  });
  expect(inWords(said, 'metric', 'Asia/Kathmandu')).toContain('2026-07-02');
  expect(inWords(said, 'metric', 'Asia/Kathmandu')).toContain('2026-07-02 01:45');
  expect(inWords(said, 'metric')).toContain('2026-07-01 20:00');
  expect(
    inWords(say('verdict.readFrom', { test: gap(3), from: moment('2026-01-01T00:00:00.000Z') }), 'metric'),
  ).toContain('2026-01-01 00:00');
});
