import { readOut } from '@maquette/words';
import { readFileSync } from 'node:fs';
import { join } from 'node:path';
import { airHistory } from '../air/index.ts';
import { readClimateFile, readProbeFile } from './index.ts';

const sample = (name: string) => readFileSync(join(__dirname, '../fixtures', name), 'utf8');

test('the climate logger’s file comes in as it is: zone, decimal commas, day first, its gap named', () => {
  const file = readClimateFile(sample('climate-logger.csv'));
  expect(file).toMatchObject({ missing: [], zone: { minutes: 0, stated: true }, intervalMin: 30 });
  expect(readOut(file.problems.map((p) => [p.line, p.reason]))).toEqual([
    [81, 'the logger recorded nothing'],
    [82, 'the logger recorded nothing'],
  ]);
  expect(file.samples).toHaveLength(286);
  expect(file.samples[0]).toEqual({ at: '2026-10-05T07:30:00.000Z', tempC: 15.7, rhPercent: 60.5 });
  expect(file.gaps).toEqual([{ from: '2026-10-06T21:30:00.000Z', to: '2026-10-06T23:00:00.000Z', hours: 1.5 }]);
  const history = airHistory(file.samples, { airMinC: 15, airMaxC: 28, airMinRh: 35, airMaxRh: 70 }, 14);
  // The stretch read off the file by eye: cold and damp from 10:00, back in band at 15:30.
  expect(readOut(history.excursions)).toEqual([
    {
      from: '2026-10-07T10:00:00.000Z',
      to: '2026-10-07T15:30:00.000Z',
      worst: { at: '2026-10-07T10:30:00.000Z', tempC: 9.4, rhPercent: 70.1 },
      words: 'too damp, too cold',
    },
  ]);
});

test('a logger in another zone, in Fahrenheit, with a bad row: times go to UTC, the row is named', () => {
  const file = readClimateFile(
    'Logger,UTC-0500\nDate/Time,Temp (°F),RH (%)\n10/31/2026 19:30,68,50\n10/31/2026 20:00,68,wet\n',
  );
  expect(file.samples).toEqual([{ at: '2026-11-01T00:30:00.000Z', tempC: 20, rhPercent: 50 }]);
  expect(readOut(file.problems)).toEqual([
    { line: 4, text: '10/31/2026 20:00,68,wet', reason: 'humidity “wet” is no number' },
  ]);
});

test('the probes’ file comes in as it is: three holes, seven readings each, the slab’s thickness', () => {
  const file = readProbeFile(sample('slab-probes.csv'), null);
  expect(file).toMatchObject({ missing: [], problems: [], slabMm: 120 });
  expect(file.probes.map((p) => [p.name, p.xMm, p.yMm, p.depthMm, p.readings.length])).toEqual([
    ['P1', 900, 600, 48, 7],
    ['P2', 2700, 2100, 48, 7],
    ['P3', 4600, 3600, 48, 7],
  ]);
  expect(file.probes[0]!.readings[0]).toEqual({
    line: 2,
    takenAt: '2026-09-01T23:24:00.000Z',
    value: 84.3,
    tempC: 18.8,
  });
});

test('rows that make no sense are named, and the rest is read', () => {
  const head = 'probe,x_m,y_m,slab_mm,depth_mm,drilled_utc,read_utc,rh_percent,temp_c\n';
  const file = readProbeFile(
    `${head}A,1,1,100,40,2026-01-02T00:00Z,2026-01-01T00:00Z,80,18\nA,1,1,100,40,2026-01-02T00:00Z,2026-01-03T00:00Z,180,18\nA,1,1,100,40,2026-01-02T00:00Z,2026-01-03T00:00Z,80,\n`,
    null,
  );
  expect(readOut(file.problems.map((p) => [p.line, p.reason]))).toEqual([
    [2, 'read before the hole was drilled'],
    [3, '“180”: 10 to 100 %RH is taken'],
  ]);
  expect(file.probes[0]!.readings).toEqual([{ line: 4, takenAt: '2026-01-03T00:00:00.000Z', value: 80, tempC: null }]);
});

test('a file of something else is refused as a whole', () => {
  expect(readOut(readClimateFile('a,b\n1,2\n').missing)).toEqual(['a header with temperature and humidity']);
  expect(readProbeFile('a,b\n1,2\n', null).missing).toContain('rh');
});
