import { divide, startsOf } from './division.ts';
import type { LaidPlank } from './plank.ts';
import type { RowStrip } from './rows.ts';
import { searchRows } from './search.ts';

const PLANK: LaidPlank = {
  lengthMm: 1290,
  widthMm: 192,
  kerfMm: 3,
  leastEndMm: 300,
  staggerMm: 300,
  secondStaggerMm: 300,
  leastRowMm: 60,
  ends: 'click',
  trimMm: 0,
};
const strip = (row: number, lengthMm: number): RowStrip => ({
  row,
  part: [],
  lineMm: row * 200,
  fromMm: 0,
  toMm: lengthMm,
  lowMm: row * 200,
  highMm: row * 200 + 200,
  areaM2: (lengthMm * 200) / 1e6,
});

test('a strip of 3980 in planks of 1290: a start of 800 leaves an end of 600, and 110 together are impossible', () => {
  expect(divide(3980, 800, PLANK)).toEqual({ startMm: 800, wholes: 2, endMm: 600 });
  expect(startsOf(3980, PLANK)).toEqual([[300, 1100]]);
  expect(startsOf(3980, { ...PLANK, leastEndMm: 50 })).toEqual([
    [50, 60],
    [110, 1290],
  ]);
  expect(divide(3980, 200, PLANK)).toBeNull();
  // A length of whole planks: none is cut, or start and end make one together.
  expect(startsOf(2580, PLANK)).toEqual([
    [300, 990],
    [1290, 1290],
  ]);
  expect(startsOf(900, PLANK)).toEqual([
    [300, 600],
    [900, 900],
  ]);
});

test('strips of 2100 and 1900 in planks of a metre: five that click, four that are turned freely', () => {
  const plank: LaidPlank = {
    ...PLANK,
    lengthMm: 1000,
    widthMm: 200,
    kerfMm: 0,
    leastEndMm: 200,
    staggerMm: 200,
    secondStaggerMm: 0,
  };
  const strips = [strip(0, 2100), strip(1, 1900)];
  const click = searchRows({ strips, plank, steps: 4000 });
  expect([click.planks, click.breaches]).toEqual([5, []]);
  const plain = searchRows({ strips, plank: { ...plank, ends: 'plain' }, steps: 4000 });
  expect([plain.planks, plain.breaches]).toEqual([4, []]);
});
