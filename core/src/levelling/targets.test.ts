import { say } from '../said/index.ts';
import loadHighs from 'highs';
import { gridOver } from '../flat/index.ts';
import { heightsFrom, rectanglePlan } from '../flat/invented.ts';
import { certify, highsModels, mixedChange, type LevelTarget, type OpenModel } from './index.ts';

const grid = gridOver(rectanglePlan(4800, 1600));
const RULE = { gapMm: 3, edgeMm: 2000 };
const RATES = { fillPerL: 3, grindPerL: 10, touchPerM2: 3 };
const everywhere = (mm: number) => new Float64Array(grid.inside.length).fill(mm);
let open: OpenModel;
beforeAll(async () => (open = highsModels(await loadHighs())));

/** The strip of 150 mm along the short wall, to come to a height. */
function strip(levelMm: number, toleranceMm = 0.5): LevelTarget {
  const cells = Array.from(grid.inside.keys()).filter((cell) => (cell % grid.nx) * grid.cellMm < 150);
  return { id: 'door', name: say('room.openingWordsDoor'), cells, levelMm, toleranceMm, nowMm: 0 };
}
const plan = (targets: LevelTarget[], fillMost = Infinity, heights = heightsFrom(grid, () => 0)) => {
  const made = mixedChange(
    grid,
    heights,
    [RULE],
    RATES,
    { fillMm: everywhere(fillMost), grindMm: everywhere(3) },
    { open, contactsOnly: false, pace: 'live', targets },
  );
  return made && { ...made, after: heights.map((z, cell) => z + made.fillMm[cell]! - made.grindMm[cell]!) };
};

test('a flat floor is brought up to a threshold, and every edge over the ramp keeps the rule', () => {
  const target = strip(8);
  const { after, holds } = plan([target])!;
  expect(holds).toBe(true);
  for (const cell of target.cells) expect(Math.abs(after[cell]! - 8)).toBeLessThan(0.56);
  expect(certify(grid, after, RULE).holds).toBe(true);
});

// At the wall nothing lies beyond the top, so the ramp only turns at its foot. An edge of length L over a turn by slope s
// stands s L / 4 over it: 3 mm under 2 m allow 6 mm a metre, and 8 mm take 1333 mm.
test('it runs out as steep as the turn at its foot allows', () => {
  const { fillMm } = plan([strip(8)])!;
  const middle = Math.floor(grid.ny / 2) * grid.nx;
  const reach =
    Array.from({ length: grid.nx }, (_, ix) => fillMm[middle + ix]!).filter((f) => f > 0.05).length * grid.cellMm;
  expect(reach).toBeGreaterThan(1200);
  expect(reach).toBeLessThan(1500);
});

test('a threshold below the floor is ground down to', () => {
  const { after, grindMm, holds } = plan([strip(-2)])!;
  expect(holds).toBe(true);
  expect(Math.max(...grindMm)).toBeGreaterThan(1.4);
  expect(after[0]!).toBeLessThan(-1.4);
});

test('a height that the limits do not reach has no way', () => {
  expect(plan([strip(8)], 3)).toBeNull();
});

test('without a target a flat floor is left alone', () => {
  const { fillL, grindL } = plan([])!;
  expect([fillL, grindL]).toEqual([0, 0]);
});
