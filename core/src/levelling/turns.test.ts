import { gapMap, gridOver, worstOf, type Grid } from '../flat/index.ts';
import { heightsFrom, randomFloor, rectanglePlan } from '../flat/invented.ts';
import { smallestFill } from './index.ts';

const SIDE_M = 3.4;
const RULE = { gapMm: 3, edgeMm: 2000 };
const grid = gridOver(rectanglePlan(SIDE_M * 1000, SIDE_M * 1000));
type Floor = (x: number, y: number) => number;

/** A floor turned about the middle of the room, degrees anticlockwise. */
function turned(floor: Floor, deg: number): Floor {
  const [c, s] = [Math.cos((deg * Math.PI) / 180), Math.sin((deg * Math.PI) / 180)];
  const m = SIDE_M / 2;
  return (x, y) => floor(m + c * (x - m) + s * (y - m), m - s * (x - m) + c * (y - m));
}
const mirrored =
  (floor: Floor): Floor =>
  (x, y) =>
    floor(SIDE_M - x, y);
/** What lies round the middle, so that a turn moves nothing over the walls: it dies away before them. */
const round =
  (floor: Floor): Floor =>
  (x, y) => {
    const r = Math.hypot(x - SIDE_M / 2, y - SIDE_M / 2);
    return r > 1.1 ? 0 : floor(x, y) * Math.cos((Math.PI * r) / 2.2) ** 2;
  };
const worst = (floor: Floor) =>
  worstOf(gapMap(grid, heightsFrom(grid, floor), { edgeMm: RULE.edgeMm, directions: 36 }), false)!.valueMm;
const litres = (g: Grid, fillMm: Float64Array) => fillMm.reduce((sum, f) => sum + f, 0) * g.cellAreaM2;
const filled = (floor: Floor) => litres(grid, smallestFill(grid, heightsFrom(grid, floor), [RULE]).fillMm);

test.each([4, 9])(
  'turned by quarters or mirrored, a floor has the same worst gap and takes the same fill (floor %i)',
  (seed) => {
    const floor = randomFloor(seed, 3);
    const takes = filled(floor);
    for (const other of [turned(floor, 90), mirrored(floor)]) {
      expect(worst(other)).toBeCloseTo(worst(floor), 6);
      // The least fill is unique; it is met within hundredths of a millimetre.
      expect(Math.abs(filled(other) - takes)).toBeLessThan(0.005 * Math.max(1, takes));
    }
  },
);

test.each([4, 9, 15])(
  'turned any other way the worst gap changes by at most two parts in a hundred (floor %i)',
  (seed) => {
    const floor = round(randomFloor(seed, 8));
    const straight = worst(floor);
    expect(straight).toBeGreaterThan(1);
    for (const deg of [7, 23, 68]) expect(Math.abs(worst(turned(floor, deg)) / straight - 1)).toBeLessThan(0.02);
  },
);
