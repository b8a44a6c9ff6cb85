import { formatInches } from '../units/index.ts';
import { FIGURES, figuresOf, JOB_FIGURES, usualOf, type FigureName } from './index.ts';

const NAMES = Object.keys(FIGURES) as FigureName[];

test('a room in inches works with round inches: screws every 6 in, not 5 7/8', () => {
  const figure = figuresOf([], 'imperial');
  expect(formatInches(figure('screw-mm'))).toBe('6');
  expect(formatInches(figure('stitch-mm'))).toBe('8');
  expect(figuresOf([])('screw-mm')).toBe(150);
});

test.each(NAMES)('%s: the default of both systems lies in its range, and near the other', (name) => {
  const { value, min, max } = FIGURES[name];
  const inches = usualOf(name, 'imperial');
  expect(inches).toBeGreaterThanOrEqual(min);
  expect(inches).toBeLessThanOrEqual(max);
  expect(Math.abs(inches - value)).toBeLessThanOrEqual(0.21 * value);
});

test('what holds back is never looser in inches', () => {
  for (const name of ['fill-most-mm', 'door-fill-mm', 'threshold-tol-mm', 'grind-pass-mm', 'tap-mm'] as const)
    expect(usualOf(name, 'imperial')).toBeLessThanOrEqual(usualOf(name, 'metric'));
  for (const name of ['services-clear-mm', 'pipe-clear-mm', 'cabinet-front-mm'] as const)
    expect(usualOf(name, 'imperial')).toBeGreaterThanOrEqual(usualOf(name, 'metric'));
});

test('the job’s own figure stands in both', () => {
  const own = [{ name: 'screw-mm', value: 200, source: 'maker' }];
  expect([figuresOf(own)('screw-mm'), figuresOf(own, 'imperial')('screw-mm')]).toEqual([200, 200]);
});

test.each(Object.entries(JOB_FIGURES))('%s of the job: its default lies in its range', (name, { value, min, max }) => {
  expect(value).toBeGreaterThanOrEqual(min);
  expect(value).toBeLessThanOrEqual(max);
  expect(name in FIGURES).toBe(false);
});
