import { invented } from '../room/invented-rooms.ts';
import {
  fixtureOutline,
  inRegion,
  lineThrough,
  regionAreaM2,
  regionOf,
  rectangleWalls,
  outlineOf,
  without,
} from '../room/index.ts';
import { cutIntoPieces, plainGrid, type Guides, type PieceLimits } from './index.ts';

const NONE: Guides = { seams: [], standing: [] };
const squares: PieceLimits = { longMm: 1200, shortMm: 1200, massKg: 25, kgPerM2: 7 };
const rectangle = (w: number, d: number) => regionOf(outlineOf(rectangleWalls(w, d)).corners);

test('a rectangle is cut into the fewest pieces its limits allow, by the cuts one counts by hand', () => {
  // 4.8 x 2.4 m in 1.2 m squares: 4 x 2 pieces, three cuts of 2.4 m and one of 4.8 m.
  const cut = cutIntoPieces(rectangle(4800, 2400), squares, NONE, 0);
  expect(cut.pieces).toHaveLength(8);
  expect(cut.sawMm).toBeCloseTo(3 * 2400 + 4800, 3);
});

test('weight binds before size where the layer is heavy', () => {
  // 100 kg/m2 and 25 kg: a quarter of a square metre, 0.5 m square.
  const cut = cutIntoPieces(rectangle(2000, 1000), { ...squares, kgPerM2: 100 }, NONE, 0);
  expect(cut.pieces).toHaveLength(8);
  expect(Math.max(...cut.pieces.map((p) => p.massKg))).toBeLessThanOrEqual(25 + 1e-9);
});

test('strips lie the way that needs less cutting', () => {
  const strips: PieceLimits = { longMm: 3000, shortMm: 1000, massKg: 25, kgPerM2: 3 };
  const cut = cutIntoPieces(rectangle(3000, 4000), strips, NONE, 0);
  expect(cut.pieces).toHaveLength(4);
  expect(cut.sawMm).toBeCloseTo(9000, 3);
});

test('a known seam is followed and nothing is sawn along it', () => {
  const seam = lineThrough(0, 1000, 4000, 1000);
  const cut = cutIntoPieces(rectangle(2400, 2000), squares, { seams: [seam], standing: [] }, 0);
  expect(cut.seamMm).toBeCloseTo(2400, 3);
  expect(cut.sawMm).toBeCloseTo(2000, 3);
});

test('nothing stays threaded on a pipe; a hole with nothing standing in it may stay whole', () => {
  const pipe = { xMm: 500, yMm: 500 };
  const ring = [
    [480, 480],
    [520, 480],
    [520, 520],
    [480, 520],
  ].map(([xMm, yMm]) => ({ xMm: xMm!, yMm: yMm! }));
  const region = without(rectangle(1000, 1000), regionOf(ring));
  expect(cutIntoPieces(region, squares, NONE, 0).pieces).toHaveLength(1);
  const off = cutIntoPieces(region, squares, { seams: [], standing: [[pipe.xMm, pipe.yMm]] }, 0);
  expect(off.pieces.length).toBeGreaterThan(1);
  for (const piece of off.pieces) expect(piece.part).toHaveLength(1);
});

describe('random rooms', () => {
  test.each(Array.from({ length: 40 }, (_, i) => i))(
    'room %i: nothing lost, nothing too big, nothing threaded, no more work than the grid',
    (seed) => {
      const { floor, fixtures } = invented(seed);
      const pipes = fixtures.filter((f) => f.kind === 'pipe' || f.kind === 'column');
      const region = without(
        floor,
        ...fixtures.filter((f) => f.kind === 'pipe').map((f) => regionOf(fixtureOutline(f, 15))),
      );
      const guides: Guides = { seams: [], standing: pipes.map((f) => [f.xMm, f.yMm] as const) };
      const limits: PieceLimits =
        seed % 3 === 0
          ? { longMm: 3000, shortMm: 1000, massKg: 25, kgPerM2: 3 }
          : { ...squares, kgPerM2: seed % 3 === 1 ? 7 : 60 };
      const cut = cutIntoPieces(region, limits, guides, 0);
      const whole = regionAreaM2(region);
      const sum = cut.pieces.reduce((total, p) => total + p.areaM2, 0);
      expect(Math.abs(sum - whole)).toBeLessThan(whole * 1e-3);
      for (const piece of cut.pieces) {
        expect(piece.massKg).toBeLessThanOrEqual(limits.massKg + 1e-6);
        const xs = piece.part[0]!.map((p) => p[0]);
        const ys = piece.part[0]!.map((p) => p[1]);
        const sides = [Math.max(...xs) - Math.min(...xs), Math.max(...ys) - Math.min(...ys)].sort((a, b) => a - b);
        expect(sides[0]).toBeLessThanOrEqual(limits.shortMm + 0.1);
        expect(sides[1]).toBeLessThanOrEqual(limits.longMm + 0.1);
        for (const hole of piece.part.slice(1))
          for (const [x, y] of guides.standing) expect(inRegion([[hole]], x, y)).toBe(false);
      }
      // Every point of the region lies in one piece and no more.
      for (let k = 0; k < 40; k++) {
        const [x, y] = [137 + ((k * 977) % 6000), 211 + ((k * 613) % 5000)];
        const owners = cut.pieces.filter((p) => inRegion([p.part], x, y)).length;
        expect(owners).toBe(inRegion(region, x, y) ? 1 : 0);
      }
      const grid = plainGrid(region, limits, guides, 0);
      expect(cut.sawMm + 120 * cut.pieces.length).toBeLessThanOrEqual(grid.sawMm + 120 * grid.pieces.length + 1e-6);
    },
  );
});
