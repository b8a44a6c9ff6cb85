import { forecastSeries, humidityOn, dayReached, fitSeries, ruleOfThumbDays, speedAt, type Slab } from './index.ts';
import { inventSlabs } from './invented-slabs.ts';

const slab = (part: Partial<Slab> = {}): Slab => ({
  thicknessMm: 100,
  diffusivityM2S: 2e-10,
  startRh: 0.97,
  climates: [{ fromDay: 0, roomRh: 0.5, speed: 1, faces: 1 }],
  law: 'constant',
  ...part,
});

/** Crank, The Mathematics of Diffusion (2nd ed. 1975), eq. 4.17 with one face closed: the share of the step still to go. */
function crank(depthShare: number, fourier: number): number {
  let sum = 0;
  for (let n = 0; n < 60; n++) {
    const k = ((2 * n + 1) * Math.PI) / 2;
    sum += (2 / k) * Math.sin(k * depthShare) * Math.exp(-k * k * fourier);
  }
  return sum;
}

test.each([
  [90, 40],
  [30, 40],
  [200, 20],
  [400, 80],
])('after %d days at %d mm the humidity is that of the series solution', (day, depthMm) => {
  const fourier = (2e-10 * day * 86_400) / 0.1 ** 2;
  const expected = 50 + 47 * crank(depthMm / 100, fourier);
  expect(humidityOn(slab(), depthMm, [day])[0]! * 100).toBeCloseTo(expected, 0);
});

test('the worked example: 0.1 m, one face, 97 to 50 %RH, 90 days: 74.6 %RH at 40 % of the depth', () => {
  expect(humidityOn(slab(), 40, [90])[0]! * 100).toBeCloseTo(74.6, 0);
});

test('two faces dry a slab as one face dries half of it', () => {
  const both = slab({ climates: [{ fromDay: 0, roomRh: 0.5, speed: 1, faces: 2 }] });
  const half = slab({ thicknessMm: 50 });
  expect(humidityOn(both, 20, [60])[0]!).toBeCloseTo(humidityOn(half, 20, [60])[0]!, 2);
});

test('humidity falls, never under the room’s, and stays where the room is as damp', () => {
  const days = [10, 50, 100, 400, 1500];
  const rh = humidityOn(slab({ law: 'concrete' }), 40, days);
  for (let i = 1; i < rh.length; i++) expect(rh[i]!).toBeLessThan(rh[i - 1]!);
  expect(rh[4]!).toBeGreaterThan(0.5);
  const damp = slab({ climates: [{ fromDay: 0, roomRh: 0.97, speed: 1, faces: 1 }] });
  expect(humidityOn(damp, 40, [300])[0]!).toBeCloseTo(0.97, 6);
});

test('the day of the limit is the day the humidity is there', () => {
  const day = dayReached(slab(), 40, 0.75, 0, 1000)!;
  expect(humidityOn(slab(), 40, [day])[0]!).toBeCloseTo(0.75, 2);
  expect(dayReached(slab(), 40, 0.45, 0, 1000)).toBeNull();
});

test('a fit finds the slab its readings came from', () => {
  const truth = slab({ law: 'concrete', diffusivityM2S: 4e-10, startRh: 0.95, thicknessMm: 120 });
  const days = [30, 44, 58, 72, 86, 100, 120];
  const readings = humidityOn(truth, 48, days).map((rh, i) => ({ day: days[i]!, rhPercent: rh * 100 }));
  const fit = fitSeries({ thicknessMm: 120, depthMm: 48, readings, climates: truth.climates });
  expect(10 ** fit.logD / 4e-10).toBeGreaterThan(0.8);
  expect(10 ** fit.logD / 4e-10).toBeLessThan(1.25);
  expect(fit.leftPercent).toBeLessThan(0.5);
});

test('a forecast is the same at every run, wetter limits come sooner, drier rooms help, and it can be stopped', () => {
  const [one] = inventSlabs(1, 5);
  const plan = { roomRhPercent: one!.planRhPercent, roomC: 20, faces: 1 as const };
  const first = forecastSeries(one!.series, one!.limitPercent, plan, 20);
  expect(forecastSeries(one!.series, one!.limitPercent, plan, 20)).toEqual(first);
  expect(first.earlyDay!).toBeLessThanOrEqual(first.middleDay!);
  const last = one!.series.readings.at(-1)!.day;
  expect(first.earlyDay!).toBeGreaterThanOrEqual(last);
  const tolerant = forecastSeries(one!.series, one!.limitPercent + 3, plan, 20);
  expect(tolerant.middleDay!).toBeLessThan(first.middleDay!);
  const warm = forecastSeries(one!.series, one!.limitPercent, { ...plan, roomC: 28, roomRhPercent: 30 }, 20);
  expect(warm.middleDay!).toBeLessThan(first.middleDay!);
  const stop = () => {
    throw new Error('stopped');
  };
  expect(() => forecastSeries(one!.series, one!.limitPercent, plan, 20, stop)).toThrow('stopped');
});

test('moisture moves faster in the warm: 25 kJ/mol gives a third more from 20 to 30 C', () => {
  // exp(25000/8.314 x (1/293.15 - 1/303.15)), worked out apart.
  expect(speedAt(30, 20)).toBeCloseTo(1.403, 2);
  expect(speedAt(20, 20)).toBe(1);
});

test.each([
  ['cement-screed', 40, 1, 40],
  ['cement-screed', 65, 1, 90],
  ['calcium-sulfate-screed', 50, 1, 60],
  ['slab-on-ground', 100, 1, 121.6],
  ['suspended-concrete', 100, 2, 60.8],
] as const)('rule of thumb for %s of %d mm through %d faces: %d days', (kind, mm, faces, days) => {
  expect(ruleOfThumbDays(kind, mm, faces)).toBeCloseTo(days, 1);
  expect(ruleOfThumbDays('panels-on-joists', mm, faces)).toBeNull();
});
