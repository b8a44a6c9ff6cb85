import { regionOf, type Region } from '../room/index.ts';
import { borderRound } from './border.ts';
import { boxAt, CLICK_1290 } from './invented-floors.ts';

const STAVE = { ...CLICK_1290, lengthMm: 600, widthMm: 120 };
const within = (insetMm: number): Region => regionOf(boxAt(insetMm, insetMm, 4000 - 2 * insetMm, 3000 - 2 * insetMm));

test('one row round four by three metres: its middle line in whole staves, and rests that share what they can', () => {
  const border = borderRound(regionOf(boxAt(0, 0, 4000, 3000)), within, 1, STAVE);
  // 3880 and 2880 along the middle: six and 280, four and 480, twice each. Two rests of 280 come from one stave.
  expect(border.runs.map(({ wholes }) => wholes).sort()).toEqual([4, 4, 6, 6]);
  expect(border.planks).toBe(20 + 1 + 2);
  expect(border.areaM2).toBeCloseTo(12 - 3.76 * 2.76, 9);
});

test('two rows: the second along its own middle line; a doorway is laid with them by its area', () => {
  const door = regionOf(boxAt(1000, -100, 800, 100));
  const whole: Region = [...regionOf(boxAt(0, 0, 4000, 3000)), ...door];
  const border = borderRound(whole, within, 2, STAVE);
  const longMm = border.runs.reduce((sum, { lengthMm }) => sum + lengthMm, 0);
  expect(longMm).toBeCloseTo(2 * (3880 + 2880) + 2 * (3640 + 2640) + (800 * 100) / 120, 6);
  expect(border.areaM2).toBeCloseTo(12 - 3.52 * 2.52 + 0.08, 9);
});
