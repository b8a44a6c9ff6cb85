import loadHighs from 'highs';
import { highsModels, type OpenModel } from '../levelling/index.ts';
import { regionOf } from '../room/index.ts';
import { divide, type Division } from './division.ts';
import { boxAt, CLICK_1290, inventedRows } from './invented-floors.ts';
import { breachesOf, neighboursOf } from './joints.ts';
import { piecesOf } from './pieces.ts';
import type { LaidPlank } from './plank.ts';
import { planFloor } from './floor-plan.ts';
import { priceBound } from './price-bound.ts';
import { rowsCount } from './rows-count.ts';
import { rowStrips, type RowStrip } from './rows.ts';
import { staggerBound } from './stagger-bound.ts';

let open: OpenModel;
beforeAll(async () => {
  open = highsModels(await loadHighs());
});

const PLANK: LaidPlank = {
  lengthMm: 1000,
  widthMm: 200,
  kerfMm: 0,
  leastEndMm: 200,
  staggerMm: 200,
  secondStaggerMm: 200,
  leastRowMm: 50,
  ends: 'click',
  trimMm: 0,
};

/** The fewest planks of a few rows that keep every rule, by trying every start to the centimetre; null where none does. */
function fewest(strips: readonly RowStrip[], plank: LaidPlank): number | null {
  let best: number | null = null;
  const divisions: Division[] = [];
  const go = (k: number): void => {
    if (k === strips.length) {
      const count = rowsCount(strips, plank);
      divisions.forEach((division, i) => count.set(i, piecesOf(division, plank)));
      const planks = count.planks();
      if (best === null || planks < best) best = planks;
      return;
    }
    const { fromMm, toMm } = strips[k]!;
    for (let start = 200; start <= 1000; start += 20) {
      const division = divide(toMm - fromMm, start, plank);
      if (!division) continue;
      divisions[k] = division;
      const soFar = strips.slice(0, k + 1);
      if (breachesOf(soFar, divisions.slice(0, k + 1), plank, neighboursOf(soFar, plank)).length === 0) go(k + 1);
    }
    divisions.length = k;
  };
  go(0);
  return best;
}

test.each([2100, 2300, 2440, 2660, 2900])(
  'three rows of %i mm: no more than the fewest that keep the rules, and no less than by prices alone',
  (lengthMm) => {
    const strips = rowStrips(regionOf(boxAt(0, 0, lengthMm, 600)), 200, 200);
    const exact = fewest(strips, PLANK);
    const [price, stagger] = [priceBound(strips, PLANK, open), staggerBound(strips, PLANK, open)];
    expect(stagger).toBeGreaterThanOrEqual(price);
    // Starts between two centimetres could only take fewer.
    if (exact !== null) expect(stagger).toBeLessThanOrEqual(exact);
  },
);

test('never above what was found on invented floors, and above prices alone where the rules cost a plank', () => {
  let gained = 0;
  for (const seed of [2, 3, 5, 7]) {
    const found = planFloor({ region: inventedRows(seed), plank: CLICK_1290, firsts: 1, rounds: [3000] })!;
    if (found.rows.breaches.length > 0) continue;
    const [price, stagger] = [priceBound(found.strips, CLICK_1290, open), staggerBound(found.strips, CLICK_1290, open)];
    expect(stagger).toBeLessThanOrEqual(found.rows.planks);
    expect(stagger).toBeGreaterThanOrEqual(price);
    gained += stagger - price;
  }
  expect(gained).toBeGreaterThan(0);
});

test('pieces from wall to wall are priced: ten of 600 mm ask for ten planks of a metre, where their length alone says six', () => {
  const strips = rowStrips(regionOf(boxAt(0, 0, 600, 2000)), 200, 200);
  const plank = { ...PLANK, leastEndMm: 350 };
  expect(priceBound(strips, plank, open)).toBe(10);
  // Two of 490 come from one plank.
  const shorter = rowStrips(regionOf(boxAt(0, 0, 490, 2000)), 200, 200);
  expect(priceBound(shorter, plank, open)).toBe(5);
});

test('pieces as long as the longest edge of their place: the bound speaks of these alone, and no plan goes under it', () => {
  const slanted = regionOf([
    { xMm: 0, yMm: 0 },
    { xMm: 2790, yMm: 0 },
    { xMm: 4790, yMm: 2000 },
    { xMm: 2000, yMm: 2000 },
  ]);
  const strips = rowStrips(slanted, 200, 200);
  const plank = { ...PLANK, leastEndMm: 100 };
  // Ten rows of 2990: 32 planks of a metre where each piece takes its longest edge; 30 hold the floor.
  expect(priceBound(strips, plank, open, { over: 'longest' })).toBeGreaterThanOrEqual(32 - 2);
  expect(priceBound(strips, plank, open)).toBeLessThanOrEqual(30);
  for (const seed of [1, 4, 6, 8, 12]) {
    const found = planFloor({ region: inventedRows(seed), plank: CLICK_1290, firsts: 1, rounds: [3000] })!;
    if (found.rows.breaches.length > 0) continue;
    const price = priceBound(found.strips, CLICK_1290, open, { over: 'longest' });
    const stagger = staggerBound(found.strips, CLICK_1290, open, { over: 'longest' });
    expect(price).toBeGreaterThanOrEqual(priceBound(found.strips, CLICK_1290, open));
    expect(stagger).toBeGreaterThanOrEqual(price);
    expect(stagger).toBeLessThanOrEqual(found.rows.planks);
  }
});

test('what lies already was cut as it was found: a short end of it makes no bound wrong', () => {
  const strips = rowStrips(regionOf(boxAt(0, 0, 2100, 200)), 200, 200);
  // A plank, another, and 100 that no card would allow: three planks with the rule, two and a piece of any without.
  expect(priceBound(strips, PLANK, open, { over: 'longest', held: new Set([0]) })).toBeLessThanOrEqual(3);
  const division = divide(2100, 1000, { ...PLANK, leastEndMm: 0 })!;
  const count = rowsCount(strips, PLANK);
  count.set(0, piecesOf(division, PLANK));
  expect(priceBound(strips, PLANK, open, { over: 'longest', held: new Set([0]) })).toBeLessThanOrEqual(count.planks());
});
