import { readOut } from '@maquette/words';
import { readFileSync } from 'node:fs';
import { join } from 'node:path';
import { heightsOf } from '../flat/index.ts';
import { rectanglePlan, reading, setup } from '../flat/invented.ts';
import { decodeText, factsFromRodFile, readRodFile, rodCsv } from './index.ts';

const fixture = (name: string) => decodeText(readFileSync(join(__dirname, '../fixtures', name)));
let made = 0;
const newId = () => `id-${String(++made).padStart(5, '0')}`;

test('two set-ups with their benchmarks: commas, metres, a comment line', () => {
  const file = readRodFile(fixture('parlour-rod.csv'), rectanglePlan(5400, 4200));
  expect([file.delimiter, file.readings.length, file.benchmarks.length, file.problems.length]).toEqual([',', 63, 4, 0]);
  const facts = factsFromRodFile(file, file.readings, '2026-05-04T08:00:00.000Z', newId);
  const { setups } = heightsOf(facts);
  expect(setups.map((s) => [s.setup.name, Math.round(s.closingMm! * 10) / 10, s.suspect])).toEqual([
    ['A', 0.6, false],
    ['B', -1.8, true],
  ]);
  // The same spot read from both lines of sight: station 31 and its neighbour differ by millimetres, not by the move of the laser.
  const heights = heightsOf(facts).heights;
  expect(Math.max(...heights.map((h) => h.heightMm)) - Math.min(...heights.map((h) => h.heightMm))).toBeLessThan(25);
});

test('semicolons, decimal commas, centimetres, foreign headings, an encoding mark', () => {
  const file = readRodFile(fixture('bootroom-rod-comma.csv'), rectanglePlan(2900, 2300));
  expect([file.delimiter, file.readings.length]).toEqual([';', 42]);
  expect(file.readings[1]).toMatchObject({ xMm: 550, yMm: 100, rodMm: 1177.6 });
  expect(readOut(file.problems)).toEqual([
    { line: 44, text: '43;145,0;40,0;;vergessen', reason: 'Ablesung (mm) is empty' },
  ]);
});

test('tabs, feet and inches with fractions; a slip of the pen and an empty cell are named', () => {
  const file = readRodFile(fixture('hall-rod-inches.txt'), null);
  expect([file.delimiter, file.readings.length]).toEqual(['\t', 42]);
  expect(file.readings[2]!.xMm).toBeCloseTo(50.5 * 25.4, 9);
  expect(file.readings[2]!.rodMm).toBeCloseTo(49.25 * 25.4, 9);
  expect(readOut(file.problems.map((p) => [p.line, p.reason]))).toEqual([
    [8, 'rod (in) “4B9 1/16” is not a length in inches'],
    [13, 'rod (in) is empty'],
  ]);
});

test('columns nobody can name are asked for, and taken as chosen', () => {
  const text = 'a;b;c\n0,5;0,5;1300\n1,0;0,5;1301\n';
  const asked = readRodFile(text, null);
  expect(asked.missing).toEqual(['x', 'y', 'rod']);
  expect(asked.readings).toEqual([]);
  const chosen = readRodFile(text, null, [
    { role: 'x', unit: 'm' },
    { role: 'y', unit: 'm' },
    { role: 'rod', unit: 'mm' },
  ]);
  expect(chosen.readings).toHaveLength(2);
  expect(chosen.readings[1]).toMatchObject({ xMm: 1000, yMm: 500, rodMm: 1301 });
});

test('a reading outside the room, out of range or far from the rest is named and not taken', () => {
  const rows = [
    'x_mm,y_mm,rod_mm',
    ...Array.from({ length: 8 }, (_, i) => `${100 + i * 100},500,${1300 + i}`),
    '9000,500,1300',
    '500,500,9999',
    '600,500,1924',
  ];
  const file = readRodFile(rows.join('\n'), rectanglePlan(3000, 2000));
  expect(file.readings).toHaveLength(8);
  expect(file.problems.map((p) => p.line)).toEqual([10, 11, 12]);
  expect(readOut(file.problems[0]!.reason)).toContain('outside the room');
  expect(readOut(file.problems[1]!.reason)).toContain('0 to 5000');
  expect(file.problems[2]!.reading).toMatchObject({ rodMm: 1924 });
});

test.each(['', '\n\n', 'x,y,rod', '"', 'x_mm,y_mm,rod_mm\n,,\n,,', '\u0000\u0001'])(
  'no text makes it throw: %j',
  (text) => {
    expect(readRodFile(text, null).readings).toEqual([]);
  },
);

test('UTF-16 and Windows-1252 are read as what they are', () => {
  const utf16 = new Uint8Array([0xff, 0xfe, ...Array.from('x;y').flatMap((c) => [c.charCodeAt(0), 0])]);
  expect(decodeText(utf16)).toBe('x;y');
  expect(decodeText(Uint8Array.of(0x4c, 0xe4, 0x6e, 0x67, 0x65))).toBe('Länge');
});

test('what is saved comes back: readings, set-ups, benchmarks, notes', () => {
  const facts = {
    setups: [setup('A', 1330, 1330.6), setup('B', null, null)],
    stations: [],
    readings: [
      reading('1', 'A', 'p1', 100, 200, 1340.5),
      { ...reading('2', 'B', 'p1', 100, 200, 1501), note: '=by the "door"' },
    ],
  };
  const text = rodCsv(facts, []);
  expect(text.split('\r\n')[0]).toBe('setup,station,x_mm,y_mm,rod_mm,height_mm,taken_at,note');
  // A note that a spreadsheet would run is kept as text.
  expect(text).toContain(`"'=by the ""door"""`);
  const back = readRodFile(text, null);
  expect(back.problems).toEqual([]);
  expect(back.readings.map((r) => [r.setup, r.xMm, r.yMm, r.rodMm])).toEqual([
    ['A', 100, 200, 1340.5],
    ['B', 100, 200, 1501],
  ]);
  expect(back.benchmarks.map((b) => b.rodMm)).toEqual([1330, 1330.6]);
});

test('a file read twice falls on the same stations', () => {
  const file = readRodFile(fixture('parlour-rod.csv'), null);
  const keys = () =>
    factsFromRodFile(file, file.readings, '2026-05-04T08:00:00Z', newId).readings.map((r) => r.stationKey);
  expect(keys()).toEqual(keys());
});
