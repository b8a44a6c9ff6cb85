import { readOut } from '@maquette/words';
import { airHistory, bandClock, dewPointC, equilibriumMcPercent, samplesOf, type AirBands } from './index.ts';

const BANDS: AirBands = { airMinC: 15, airMaxC: 28, airMinRh: 35, airMaxRh: 70 };
const at = (hour: number) => new Date(Date.UTC(2026, 9, 1, hour)).toISOString();
const sample = (hour: number, rhPercent: number, tempC = 18) => ({ at: at(hour), tempC, rhPercent });

test.each([
  // Psychrometric tables for sea-level pressure (any engineering handbook), to 0.1 C.
  [20, 50, 9.3],
  [25, 60, 16.7],
  [10, 80, 6.7],
  [20, 100, 20],
])('dew point of air at %d C and %d %%RH is %d C', (tempC, rh, dew) => {
  expect(dewPointC(tempC, rh)).toBeCloseTo(dew, 1);
});

test.each([
  // Wood Handbook (Forest Products Laboratory), table of equilibrium moisture content: 70 F is 21.1 C, 50 F is 10 C.
  [21.1, 50, 9.2],
  [21.1, 65, 12.0],
  [21.1, 80, 16.0],
  [21.1, 30, 6.2],
  [10, 65, 12.3],
])('wood in air at %d C and %d %%RH comes to %d %%', (tempC, rh, mc) => {
  expect(Math.abs(equilibriumMcPercent(tempC, rh) - mc)).toBeLessThan(0.15);
});

test('an excursion and a gap both start the clock again, and are named', () => {
  const history = airHistory(
    [
      sample(0, 50),
      sample(6, 50),
      sample(12, 78),
      sample(13, 74),
      sample(18, 60),
      sample(24, 60),
      sample(60, 60),
      sample(66, 60),
    ],
    BANDS,
    12,
  );
  expect(readOut(history.excursions)).toEqual([{ from: at(12), to: at(18), worst: sample(12, 78), words: 'too damp' }]);
  expect(history.gaps).toEqual([{ from: at(24), to: at(60), hours: 36 }]);
  expect(history.inBandSince).toBe(at(60));
  expect(history.inBandHours).toBe(6);
});

test('the acclimatising clock counts from the boxes coming in, not before, and says when it is due', () => {
  const history = airHistory(
    [0, 8, 16, 24, 32, 40, 48].map((h) => sample(h, 55)),
    BANDS,
    12,
  );
  expect(bandClock(history, 48, null)).toEqual({ hoursNeeded: 48, hoursDone: 48, dueAt: at(48), done: true });
  expect(bandClock(history, 48, at(20))).toEqual({ hoursNeeded: 48, hoursDone: 28, dueAt: at(68), done: false });
});

test('out of band no clock runs', () => {
  const history = airHistory([sample(0, 55), sample(6, 80)], BANDS, 12);
  expect(history.lastInBand).toBe(false);
  expect(bandClock(history, 48, null)).toEqual({ hoursNeeded: 48, hoursDone: 0, dueAt: null, done: false });
});

test('readings by hand and a logger make one series in order of time', () => {
  const log = { id: 'l', name: 'L', instrument: '', note: '', samples: [sample(2, 50), sample(1, 49)] };
  const hand = { id: 'a', takenAt: at(2), tempC: 20, rhPercent: 52, surfaceC: null, instrument: '', who: '', note: '' };
  expect(samplesOf([hand], [log]).map((s) => s.rhPercent)).toEqual([49, 52]);
});
