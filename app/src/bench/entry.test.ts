import { correct, EMPTY, entryMm, entryOf, entryText, press, pressSixteenth, type Entry } from './entry.ts';

const keyed = (keys: string[], units: 'metric' | 'imperial' = 'metric') =>
  keys.reduce<Entry>((entry, key) => press(entry, key, units), EMPTY);

test('digits, half millimetres and tenths', () => {
  expect(entryMm(keyed(['1', '3', '4', '5']), 'metric')).toBe(1345);
  expect(entryMm(keyed(['1', '3', '4', '5', '.5']), 'metric')).toBe(1345.5);
  expect(entryMm(keyed(['7', '.', '3']), 'metric')).toBe(7.3);
  expect(entryText(keyed(['1', '3', '4', '5', '.5']), 'metric')).toBe('1\u2009345.5');
});

test('presses that make no number are passed over', () => {
  expect(keyed(['.5'])).toEqual(EMPTY);
  expect(keyed(['1', '.5', '.5', '2']).digits).toBe('1.5');
  expect(keyed(['0', '0', '7']).digits).toBe('7');
  expect(keyed(['1', '2', '3', '4', '5', '6', '7']).digits).toBe('123456');
});

test('inches and sixteenths; the same sixteenth again takes it off', () => {
  const entry = pressSixteenth(keyed(['4', '9'], 'imperial'), 3);
  expect(entryMm(entry, 'imperial')).toBeCloseTo(49.1875 * 25.4, 9);
  expect(entryText(entry, 'imperial')).toBe('49 3/16');
  expect(entryText(pressSixteenth(entry, 3), 'imperial')).toBe('49');
  expect(entryText(pressSixteenth(EMPTY, 8), 'imperial')).toBe('1/2');
});

test('Correct takes back the last press, and brings the last value up when nothing is keyed', () => {
  expect(correct(keyed(['1', '2']), 1340, 'metric').digits).toBe('1');
  expect(entryMm(correct(EMPTY, 1340.5, 'metric'), 'metric')).toBe(1340.5);
  expect(entryMm(correct(EMPTY, 49.1875 * 25.4, 'imperial'), 'imperial')).toBeCloseTo(49.1875 * 25.4, 6);
  expect(correct(EMPTY, null, 'metric')).toEqual(EMPTY);
});

test('nothing keyed is no value, not nought', () => {
  expect(entryMm(EMPTY, 'metric')).toBeNull();
  expect(entryMm(entryOf(0, 'metric'), 'metric')).toBe(0);
});
