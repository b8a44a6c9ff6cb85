import { skewWords } from '../ui/times.ts';
import { createClock } from './clock.ts';

const server = (ms: number) => new Date(ms).toISOString();
const T = Date.parse('2026-05-04T08:00:00.000Z');

test('the server’s time belongs to the middle between question and answer', () => {
  const clock = createClock();
  expect(clock.skewMs()).toBeNull();
  // Seven minutes ahead; the answer took 400 ms.
  clock.note(T + 420_000, T + 420_400, server(T + 200));
  expect(clock.skewMs()).toBe(420_000);
});

test('a slower answer does not replace a quicker one, a clock that was set does, and so does time', () => {
  const clock = createClock();
  clock.note(T, T + 20, server(T + 10));
  clock.note(T + 1000, T + 3000, server(T + 1100));
  expect(clock.skewMs()).toBe(0);
  // Set by an hour: no trip explains it.
  clock.note(T + 3_600_000, T + 3_600_500, server(T + 5000));
  expect(clock.skewMs()).toBe(3_595_250);
  clock.note(T + 3_600_600, T + 3_600_620, server(T + 3_600_610));
  expect(clock.skewMs()).toBe(0);
  clock.note(T + 4_300_000, T + 4_300_900, server(T + 4_300_350));
  expect(clock.skewMs()).toBe(100);
});

test('an answer without a time, or from before it was asked, tells nothing', () => {
  const clock = createClock();
  clock.note(T, T + 10, null);
  clock.note(T, T + 10, 'soon');
  clock.note(T + 10, T, server(T));
  expect(clock.skewMs()).toBeNull();
});

test('listeners hear of a change worth telling, and of no other', () => {
  const clock = createClock();
  const heard = jest.fn();
  clock.subscribe(heard);
  clock.note(T, T + 10, server(T + 5));
  clock.note(T + 20, T + 28, server(T + 24));
  expect(heard).toHaveBeenCalledTimes(1);
});

test('how far it is off is told in minutes, hours or days', () => {
  expect(skewWords(7 * 60_000)).toBe('The clock of this device is 7 minutes ahead of the server’s.');
  expect(skewWords(-61 * 60_000 * 3)).toBe('The clock of this device is 3 hours behind the server’s.');
  expect(skewWords(9 * 86_400_000)).toContain('9 days ahead');
});
