import { DAMP_INSTRUMENTS, dampInstrument, type InstrumentEvent } from './damp-instruments.ts';

const NOW = '2026-05-04T08:00:00.000Z';
const run = (name: (typeof DAMP_INSTRUMENTS)[number], at: [number, number], n: number, seed = 5) => {
  const read = dampInstrument(name, ...at, seed);
  return Array.from({ length: n }, () => read(NOW));
};
const values = (events: InstrumentEvent[]) => events.flatMap((e) => (e.event === 'value' ? [e.data.value] : []));
const mean = (list: number[]) => list.reduce((a, b) => a + b, 0) / list.length;

test.each(DAMP_INSTRUMENTS)('%s: the same seed says the same, noise and lost connections included', (name) => {
  expect(run(name, [900, 600], 80)).toEqual(run(name, [900, 600], 80));
  const events = run(name, [4000, 3000], 200);
  expect(new Set(values(events)).size).toBeGreaterThan(3);
  // About one in fifty over a thousand values.
  const many = [1, 2, 3, 4, 5].flatMap((seed) => run(name, [4000, 3000], 200, seed));
  const lost = many.filter((e) => e.event === 'lost').length;
  expect(lost).toBeGreaterThan(8);
  expect(lost).toBeLessThan(40);
});

test('a probe reader settles upwards, and the battery ends', () => {
  const events = run('probe-reader', [4000, 3000], 260);
  const seen = values(events);
  expect(mean(seen.slice(0, 3))).toBeLessThan(mean(seen.slice(30, 60)) - 1);
  expect(events.at(-1)).toEqual({ event: 'flat' });
  const batteries = events.flatMap((e) => (e.event === 'value' ? [e.data.batteryPct] : []));
  expect([...batteries].sort((a, b) => b - a)).toEqual(batteries);
});

test('the corner with the bridged membrane reads wetter', () => {
  expect(mean(values(run('survey-meter', [100, 100], 40)))).toBeGreaterThan(
    mean(values(run('survey-meter', [5000, 4000], 40))) * 1.25,
  );
});
