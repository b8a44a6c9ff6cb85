import { regionAreaM2, regionOf, type Polygon, type Region } from '../room/index.ts';
import { equalEdges, firstRows, middleRows } from './first-row.ts';
import { layingFrame, middleFrame } from './frame.ts';
import { layableRegion, roundHole } from './layable.ts';
import { inFrame, rowStrips } from './rows.ts';

const points = (...at: [number, number][]): Polygon => at.map(([xMm, yMm]) => ({ xMm, yMm }));
const box = (width: number, depth: number): Polygon => points([0, 0], [width, 0], [width, depth], [0, depth]);
const floor = (...at: [number, number][]): Region => regionOf(points(...at));

test('the frame: facing the start wall, left to right, and never mirrored by another wall', () => {
  const outline = box(5000, 4000);
  // The first wall runs along x and the floor lies above it: facing it, left is high x.
  const first = layingFrame(outline, 0);
  expect(first.to({ xMm: 5000, yMm: 0 })[0]).toBeCloseTo(0, 9);
  expect(first.to({ xMm: 4000, yMm: 300 })).toEqual([1000, 300]);
  expect(first.back(1000, 300)).toEqual({ xMm: 4000, yMm: 300 });
  const other = layingFrame(outline, 0, 'right-to-left');
  expect(other.to({ xMm: 1000, yMm: 300 })).toEqual([1000, 300]);
  const turn = (wall: number) => {
    const { to } = layingFrame(outline, wall);
    const [o, x, y] = [to({ xMm: 0, yMm: 0 }), to({ xMm: 1, yMm: 0 }), to({ xMm: 0, yMm: 1 })];
    return (x[0] - o[0]) * (y[1] - o[1]) - (x[1] - o[1]) * (y[0] - o[0]);
  };
  for (const wall of [0, 1, 2, 3]) expect(turn(wall)).toBeCloseTo(-1, 9);
  const region = inFrame(regionOf(outline), layingFrame(outline, 1));
  expect(regionAreaM2(region)).toBeCloseTo(20, 9);
});

test('the layable region: every wall by its own gap, corners that stand in squared off, holes by theirs', () => {
  const l = points([0, 0], [5000, 0], [5000, 2000], [3000, 2000], [3000, 4000], [0, 4000]);
  const even = layableRegion({ outline: l, gapsMm: [10, 10, 10, 10, 10, 10] });
  // 5 x 2 and 3 x 2, each side in by 10: the corner that stands in takes a square of 10 with it.
  expect(regionAreaM2(even)).toBeCloseTo((4.98 * 1.98 + 2.98 * 2.0) as number, 6);
  const odd = layableRegion({ outline: box(4000, 3000), gapsMm: [10, 0, 20, -10] });
  expect(regionAreaM2(odd)).toBeCloseTo(4.0 * 2.97 + 0.01 * 3.0 - 0.01 * 0 - 0, 2);
  const pipe = roundHole({ xMm: 1000, yMm: 1000 }, 11);
  const holed = layableRegion({
    outline: box(4000, 3000),
    gapsMm: [0, 0, 0, 0],
    holes: [{ outline: pipe, gapMm: 10 }],
  });
  expect(12 - regionAreaM2(holed)).toBeGreaterThan((Math.PI * 21 ** 2) / 1e6);
  expect(12 - regionAreaM2(holed)).toBeLessThan((Math.PI * 22 ** 2) / 1e6);
  // Through an opening the planks run on: no gap is kept there.
  const opening = points([1000, -120], [1800, -120], [1800, 10], [1000, 10]);
  const through = layableRegion({ outline: box(4000, 3000), gapsMm: [10, 10, 10, 10], through: [opening] });
  expect(regionAreaM2(through)).toBeCloseTo(3.98 * 2.98 + 0.8 * 0.13, 6);
});

test('first rows of a straight room: 4060 in planks of 192, least 60, by hand', () => {
  const region = floor([0, 0], [5000, 0], [5000, 4060], [0, 4060]);
  const found = firstRows(region, 192, 60);
  expect(found).toEqual({ widths: [[60, 160]], isSingle: false, best: null });
  expect(equalEdges(region, 192, found)).toBe(110);
});

test('first rows of a room that tapers from 3945 to 3985, planks of 200, least 60', () => {
  const region = floor([0, 0], [5000, 0], [5000, 3985], [0, 3945]);
  expect(firstRows(region, 200, 60).widths).toEqual([
    [60, 85],
    [185, 200],
  ]);
});

test('where no first row keeps every edge, which edge and by how much; a floor narrower than a plank is one row', () => {
  // Two edges 100 apart beside the far one: planks of 150 leave one of the three under 110.
  const region = floor([0, 0], [5000, 0], [5000, 1000], [2500, 1000], [2500, 1100], [0, 1100]);
  const found = firstRows(region, 150, 110);
  expect(found.widths).toEqual([]);
  expect(found.best!.short.length).toBeGreaterThan(0);
  for (const { shortMm } of found.best!.short) expect(shortMm).toBeLessThanOrEqual(35);
  expect(firstRows(floor([0, 0], [3000, 0], [3000, 120], [0, 120]), 190, 50)).toMatchObject({
    isSingle: true,
    widths: [[120, 120]],
  });
});

test('strips of rows: first and last by their widths, a row parted by what stands in it, crumbs passed over', () => {
  const region = layableRegion({
    outline: box(4000, 1000),
    gapsMm: [0, 0, 0, 0],
    holes: [{ outline: points([1500, 300], [2500, 300], [2500, 1000], [1500, 1000]), gapMm: 0 }],
  });
  const strips = rowStrips(region, 200, 100);
  expect(strips.map(({ row, fromMm, toMm }) => [row, fromMm, toMm])).toEqual([
    [0, 0, 4000],
    [1, 0, 4000],
    [2, 0, 1500],
    [2, 2500, 4000],
    [3, 0, 1500],
    [3, 2500, 4000],
    [4, 0, 1500],
    [4, 2500, 4000],
    [5, 0, 1500],
    [5, 2500, 4000],
  ]);
  expect(strips.reduce((sum, { areaM2 }) => sum + areaM2, 0)).toBeCloseTo(regionAreaM2(region), 9);
  expect([strips[0]!.lowMm, strips[0]!.highMm, strips.at(-1)!.highMm]).toEqual([0, 100, 1000]);
});

test('a passage from its middle line: rows run halfway between its long walls, and the middle lies on a line or along a row', () => {
  // Walls of five metres that draw together by 200 over their length: half of that angle is turned.
  const passage = points([0, 0], [5000, 0], [5000, 1000], [0, 1200]);
  const { to } = middleFrame(passage, 0);
  const [a, b] = [to({ xMm: 0, yMm: 600 }), to({ xMm: 5000, yMm: 500 })];
  expect(Math.abs(a[1] - b[1])).toBeLessThan(0.5);
  // Where the wall over against it goes another way altogether, the start wall's own way is kept.
  const wedge = points([0, 0], [5000, 0], [0, 3000]);
  expect(middleFrame(wedge, 0).to({ xMm: 4000, yMm: 300 })).toEqual(layingFrame(wedge, 0).to({ xMm: 4000, yMm: 300 }));
  const region = floor([0, 0], [3000, 0], [3000, 4060], [0, 4060]);
  // 4060 over 192: the middle at 2030 lies ten rows and 110 from the wall; a row along it would leave 14.
  expect(middleRows(region, 192, firstRows(region, 192, 60))).toEqual([110]);
});
