import { readOut } from '@maquette/words';
import {
  formatBulk,
  formatGap,
  formatMassPerArea,
  gapWords,
  formatInches,
  formatRod,
  formatReach,
  formatSpan,
  parseLength,
  toMm,
  type LengthUnit,
} from './index.ts';

const mm = (text: string, unit: LengthUnit = 'mm') => {
  const parsed = parseLength(text, unit);
  return parsed.ok ? Math.round(parsed.mm * 1e4) / 1e4 : parsed.reason;
};

test.each([
  ['1345.5', 'mm', 1345.5],
  ['1177,4', 'mm', 1177.4],
  ['1 345.5', 'mm', 1345.5],
  ['10,0', 'cm', 100],
  ['2.05', 'm', 2050],
  ['135 cm', 'mm', 1350],
  ['49 3/16', 'in', 49.1875 * 25.4],
  ['3/4"', 'in', 19.05],
  ['49', 'in', 1244.6],
  [`4' 2 1/2"`, 'ftin', 50.5 * 25.4],
  [`0' 4"`, 'ftin', 101.6],
  ['2 ft 3 in', 'mm', 685.8],
  [`6'`, 'mm', 1828.8],
  ['-3', 'mm', -3],
] as const)('reads %s in %s', (text, unit, expected) => {
  expect(mm(text, unit)).toBeCloseTo(expected, 3);
});

test.each([
  ['', 'mm', 'empty'],
  ['4B9 1/16', 'in', 'not a length'],
  ['12..5', 'mm', 'not a length'],
  ['1/0', 'in', 'not a length'],
  ['NaN', 'mm', 'not a length'],
  ['Infinity', 'm', 'not a length'],
] as const)('says why %s is no length', (text, unit, reason) => {
  expect(readOut(mm(text, unit))).toContain(reason);
});

test('an inch is exactly 25.4 mm and a foot twelve of them', () => {
  expect(toMm(1, 'in')).toBe(25.4);
  expect(toMm(1, 'ft')).toBeCloseTo(12 * 25.4, 12);
});

test('figures are written as a tape shows them', () => {
  expect(formatInches(toMm(49.1875, 'in'))).toBe('49 3/16');
  expect(formatInches(toMm(-0.5, 'in'))).toBe('−1/2');
  expect(formatSpan(5400, 'metric')).toBe('5\u2009400');
  expect(formatSpan(6096, 'imperial')).toBe(`20' 0"`);
  expect(formatRod(1345.5, 'metric')).toBe('1\u2009345.5');
  expect(formatGap(3.175, 'imperial')).toBe('1/8');
  expect(formatGap(-0.04, 'metric')).toBe('0');
});

test('every sixteenth survives being written and read again', () => {
  for (let n = 0; n <= 16 * 80; n++) expect(mm(formatInches((n * 25.4) / 16), 'in')).toBeCloseTo((n * 25.4) / 16, 3);
});

test('amounts in both systems: an inch is 25.4 mm, a foot 304.8 mm, a pound 0.45359237 kg', () => {
  expect([gapWords(8.5, 'metric'), gapWords(25.4 / 4, 'imperial')]).toEqual(['8.5 mm', '1/4 in']);
  // 1 m3 is 35.3147 ft3; 100 kg/m2 is 20.4816 lb/ft2.
  expect([formatBulk(1, 'metric'), formatBulk(1, 'imperial')]).toEqual(['1 m³', '35.3 ft³']);
  expect([formatMassPerArea(100, 'metric'), formatMassPerArea(100, 'imperial')]).toEqual(['100 kg/m²', '20.5 lb/ft²']);
});

test('a tape length comes in round figures: the centimetre and the half inch, and whole feet as feet', () => {
  const both = [124, 623, 1501, 1828.8, 3050].map((mm) => [formatReach(mm, 'metric'), formatReach(mm, 'imperial')]);
  expect(both).toEqual([
    ['124 mm', '4 7/8 in'],
    ['0.62 m', `2' 1/2"`],
    ['1.5 m', `4' 11"`],
    ['1.83 m', '6 ft'],
    ['3.05 m', '10 ft'],
  ]);
});
