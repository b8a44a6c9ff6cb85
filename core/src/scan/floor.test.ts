import { problemOf } from './invented-problem.ts';
import { seeded } from '../units/index.ts';
import { rectanglePlan } from '../flat/invented.ts';
import { cloudFrom, inventedPoints, plyBytes, type InventedScan } from './invented-scan.ts';
import { findPlane, floorCells, proposePlace, readScan, scanHeights, snapScan, toPlan, toScan } from './index.ts';

const hump = (x: number, y: number) => 6 * Math.exp(-((x - 1.2) ** 2 + (y - 2) ** 2) / 0.18);
const ROOM: InventedScan = {
  widthM: 4.2,
  depthM: 2.8,
  floorMm: hump,
  turnDeg: 23,
  shiftM: [3.1, -1.7, -1.25],
  noiseMm: 2,
  perM2: 5000,
  table: { x: 3, y: 1, size: 0.9, heightM: 0.72 },
  seed: 7,
};
const cloud = cloudFrom(inventedPoints(ROOM));
const plane = findPlane(cloud, 'z', seeded(1));
const found = floorCells(cloud, plane);
const plan = rectanglePlan(4200, 2800);
/** Scan laid exactly where it was taken. */
const truePlace = (() => {
  const at = toPlan(found, { turnDeg: -ROOM.turnDeg, xMm: 0, yMm: 0 });
  const [ox, oy] = at(ROOM.shiftM[0] * 1000, ROOM.shiftM[1] * 1000);
  return { turnDeg: -ROOM.turnDeg, xMm: -ox, yMm: -oy };
})();
const laid = { ...found, ...truePlace };

test('the floor is the lowest large plane, not the table top', () => {
  expect(plane.levelM + plane.slopeA * 3.1 + plane.slopeB * -1.7).toBeCloseTo(-1.25, 2);
  expect(Math.hypot(plane.slopeA, plane.slopeB)).toBeLessThan(0.002);
});

test('where the table stands and along the walls nothing is taken for floor', () => {
  const at = scanHeights(laid);
  expect(at(3000, 1000)).toBeNull();
  expect(at(2000, 5)).toBeNull();
  expect(at(2000, 1400)).not.toBeNull();
});

test('a hump comes out as high as it is, within half a millimetre; so does the noise of a cell', () => {
  const at = scanHeights(laid);
  expect(at(1200, 2000)! - at(3600, 2300)!).toBeCloseTo(6, 0);
  // 12.5 points a cell with 2 mm of noise: the median's spread is 1.2533 x 2 / sqrt(12.5).
  expect(found.noiseMm).toBeGreaterThan(0.5);
  expect(found.noiseMm).toBeLessThan(0.95);
});

test('a scan placed and asked back is where it was', () => {
  const [x, y] = toScan(found, truePlace)(...toPlan(found, truePlace)(812, -377));
  expect([x, y].map((v) => v.toFixed(6))).toEqual(['812.000000', '-377.000000']);
});

test('it is laid on the room by its walls, within 30 mm and half a degree; the staffs tell which way round', () => {
  const known = [
    [300, 300],
    [1200, 2000],
    [2000, 2500],
    [3900, 2500],
    [2100, 1400],
    [700, 1500],
    [1200, 1700],
  ].map(([xMm, yMm]) => ({ xMm: xMm!, yMm: yMm!, heightMm: hump(xMm! / 1000, yMm! / 1000) }));
  const place = proposePlace(plan, found, known);
  expect(Math.abs(place.turnDeg - truePlace.turnDeg)).toBeLessThan(0.5);
  expect(Math.hypot(place.xMm - truePlace.xMm, place.yMm - truePlace.yMm)).toBeLessThan(30);
});

test('pulled off by hand it snaps back to the walls', () => {
  const off = { turnDeg: truePlace.turnDeg + 3, xMm: truePlace.xMm + 180, yMm: truePlace.yMm - 120 };
  const place = snapScan(plan, found, off);
  expect(Math.abs(place.turnDeg - truePlace.turnDeg)).toBeLessThan(0.5);
  expect(Math.hypot(place.xMm - truePlace.xMm, place.yMm - truePlace.yMm)).toBeLessThan(40);
});

test('a file with y up is found out, and gives the same floor', () => {
  // A right-handed frame with y up: (x, y, z) of z up becomes (y, z, x).
  const turned = inventedPoints(ROOM).map(([x, y, z]): [number, number, number] => [y, z, x]);
  const [z, y] = [readScan(plyBytes(inventedPoints(ROOM)), null), readScan(plyBytes(turned), null)];
  expect([z.up, y.up]).toEqual(['z', 'y']);
  expect([y.floor.nx, y.floor.ny]).toEqual([z.floor.nx, z.floor.ny]);
});

test('what holds no floor is refused in words', () => {
  const wall = inventedPoints({ ...ROOM, floorMm: () => NaN }).filter(([, , z]) => Number.isFinite(z));
  const upright = wall.filter(([, , z]) => z < -0.7 || z > -0.4);
  expect(problemOf(() => readScan(plyBytes(upright.slice(0, 60)), null))).toContain('60 points');
  const wallOnly = plyBytes(Array.from({ length: 500 }, (_, i) => [0, i / 100, i / 250]));
  expect(problemOf(() => readScan(wallOnly, 'z'))).toContain('No level plane');
});

test('the same file gives the same floor', () => {
  const bytes = plyBytes(inventedPoints(ROOM));
  expect(readScan(bytes, null).floor.heightsTenthMm).toEqual(readScan(bytes, null).floor.heightsTenthMm);
});
