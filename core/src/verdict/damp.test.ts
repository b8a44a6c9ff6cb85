import { readOut } from '@maquette/words';
import type { AnswerValue } from '../fields/index.ts';
import { judgeDamp, type DampFacts } from '../damp/index.ts';
import { daysAgo, dampOf, readingOf, testOf } from '../damp/invented-damp.ts';
import { dampCriteria } from './index.ts';

const probes = (values: number[], wait = 20) => {
  const places: [number, number][] = [
    [600, 600],
    [3000, 2500],
    [5400, 4400],
  ];
  const tests = values.map((_, i) => testOf('probe', `P${i + 1}`, places[i]!, { startedAt: daysAgo(wait) }));
  return { dampTests: tests, dampReadings: tests.map((t, i) => readingOf(t, 1, values[i]!)) };
};
const air = (rhPercent: number) =>
  Array.from({ length: 9 }, (_, i) => ({
    id: `a${i}`,
    takenAt: daysAgo(4 - i * 0.5),
    tempC: 19,
    rhPercent,
    surfaceC: null,
    instrument: '',
    who: '',
    note: '',
  }));
const judge = (facts: Partial<DampFacts>, answers: Record<string, AnswerValue> = {}) => {
  const ctx = dampOf(facts, answers);
  return Object.fromEntries(dampCriteria(ctx, judgeDamp(ctx)).map((c) => [c.id, c.verdict]));
};
const DRY = { 'damp/source': 'no', 'damp/outer-walls': [] };

test('nothing read asks for tests and air', () => {
  expect(judge({})).toEqual({ 'damp-walls': 'measure', 'damp-tests': 'measure', 'damp-air': 'measure' });
});

test('enough valid probes under the limit and air in band: lay', () => {
  expect(judge({ ...probes([70, 72, 71]), airReadings: air(50) }, DRY)).toEqual({
    'damp-probe': 'lay',
    'damp-air': 'lay',
  });
});

test('under the limit with too few tests is still to be measured', () => {
  expect(judge({ ...probes([70, 72]), airReadings: air(50) }, DRY)['damp-probe']).toBe('measure');
});

test('an outer wall without a test within a metre is still to be measured', () => {
  expect(judge(probes([70, 72, 71]), { ...DRY, 'damp/outer-walls': [3] })['damp-probe']).toBe('lay');
  expect(judge({ ...probes([70, 72, 71]) }, { ...DRY, 'damp/outer-walls': [0, 1, 2, 3] })['damp-probe']).toBe(
    'measure',
  );
});

test.each([
  ['suspected', 'stop'],
  ['no', 'work'],
] as const)('over the limit, source %s: %s', (source, verdict) => {
  expect(judge(probes([80, 72, 71]), { ...DRY, 'damp/source': source })['damp-probe']).toBe(verdict);
});

test.each(['leak', 'pressure', 'efflorescence'])('%s stops, dry readings or not', (source) => {
  expect(judge(probes([60, 60, 60]), { ...DRY, 'damp/source': source })['damp-source']).toBe('stop');
});

test('over the limit, but dry by forecast before the wanted day: wait; after it: work', () => {
  const test1 = testOf('probe', 'P1', [3000, 2500], { startedAt: daysAgo(60) });
  const falling = [40, 33, 26, 19, 12, 5, 1].map((d, i) => readingOf(test1, d, 82 - i * 1.1));
  const facts = { dampTests: [test1], dampReadings: falling };
  const base = { ...DRY, 'damp/weathertight': daysAgo(90) };
  expect(judge(facts, { ...base, 'lay/date': '2028-06-01' })['damp-probe']).toBe('wait');
  expect(judge(facts, { ...base, 'lay/date': '2026-07-01' })['damp-probe']).toBe('work');
});

test('air out of band waits', () => {
  expect(judge({ airReadings: air(90) })['damp-air']).toBe('wait');
});

test('boards that differ from their base wait', () => {
  const pin = (name: string, of: 'base' | 'boards', value: number) => {
    const test = testOf('pin', name, [3000, 2500], { startedAt: null, of });
    return { test, reading: readingOf(test, 1, value) };
  };
  const verdictOf = (boards: number) => {
    const pins = [pin('M1', 'base', 10), pin('M2', 'base', 11), pin('M3', 'boards', boards)];
    const facts = { dampTests: pins.map((p) => p.test), dampReadings: pins.map((p) => p.reading) };
    const ctx = dampOf(facts, {}, { baseKind: 'panels-on-joists' });
    return dampCriteria(ctx, judgeDamp(ctx)).find((c) => c.id === 'damp-boards');
  };
  expect(readOut(verdictOf(12))).toMatchObject({
    verdict: 'lay',
    margin: expect.stringContaining('1.5 apart, 2 allowed'),
  });
  expect(verdictOf(13)).toMatchObject({ verdict: 'wait' });
});
