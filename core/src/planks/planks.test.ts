import { figuresOf } from '../figures/index.ts';
import { gridOver } from '../flat/index.ts';
import { heightsFrom, rectanglePlan } from '../flat/invented.ts';
import { planksOver, plankMake, restOf, telegraphing, type Beam } from './index.ts';

const beam = (floor: (xMm: number) => number, nodes = 81, part: Partial<Beam> = {}): Beam => ({
  stepMm: 50,
  floorMm: Float64Array.from({ length: nodes }, (_, i) => floor(i * 50)),
  bendNPerMm: new Float64Array(nodes).fill(40),
  bedNPerMm: 1000,
  weightN: 0.5,
  ...part,
});

test('on a flat floor it touches everywhere and sinks by weight over bed stiffness', () => {
  const { planksMm, touches, settled } = restOf(beam(() => 3));
  expect(settled).toBe(true);
  expect(touches.every((on) => on === 1)).toBe(true);
  for (const w of planksMm) expect(w).toBeCloseTo(3 - 0.5 / 1000, 9);
});

// A simply supported beam with point load F at midspan goes down by F l^3 / 48 EI (any table of beam formulas).
test('over a pit between two rigid edges a foot sinks as the beam formula says', () => {
  const nodes = 41;
  const step = 50;
  const bend = 5000;
  const EI = bend * step ** 3;
  const floorMm = new Float64Array(nodes).fill(-1000);
  floorMm[0] = 0;
  floorMm[nodes - 1] = 0;
  const load = new Float64Array(nodes);
  load[20] = 100;
  const bare = {
    ...beam(() => 0, nodes),
    floorMm,
    bendNPerMm: new Float64Array(nodes).fill(bend),
    bedNPerMm: 1e9,
    weightN: 1e-9,
  };
  const { planksMm, settled } = restOf(bare, load);
  const span = (nodes - 1) * step;
  expect(settled).toBe(true);
  expect(-planksMm[20]!).toBeCloseTo((100 * span ** 3) / (48 * EI), 1);
});

test('the floor never pulls: over a hollow it hangs, and what it presses equals what it weighs', () => {
  const it = beam((x) => -4 * Math.exp(-(((x - 2000) / 300) ** 2)));
  const { planksMm, touches } = restOf(it);
  expect(touches[40]).toBe(0);
  let pressed = 0;
  for (const [i, w] of planksMm.entries()) {
    expect(w <= it.floorMm[i]! ? 1 : 0).toBe(touches[i]);
    pressed += it.bedNPerMm * Math.max(0, it.floorMm[i]! - w);
  }
  expect(pressed).toBeCloseTo(81 * it.weightN, 4);
});

test('a ridge lifts it: it touches the ridge and stands off beside it', () => {
  const { touches } = restOf(beam((x) => (Math.abs(x - 2000) < 30 ? 3 : 0)));
  expect(touches[40]).toBe(1);
  expect(touches[37]).toBe(0);
});

const make = plankMake(5, figuresOf([]));
const grid = gridOver(rectanglePlan(3600, 2000));

test('planks over a flat floor are soft nowhere, also where it slopes', () => {
  const report = planksOver(
    grid,
    heightsFrom(grid, (x) => 4 * x),
    make,
    0,
  );
  expect([report.soft, report.bent]).toEqual([[], []]);
  expect(report.unsettled).toBe(0);
  expect(report.rows).toBe(11);
});

test('a hollow is the softest place, deeper ones softer, and turning the floor turns the answer', () => {
  const hollow = (mm: number) => (x: number, y: number) => -mm * Math.exp(-((x - 1.4) ** 2 + (y - 1) ** 2) / 0.06);
  const [shallow, deep] = [2.5, 5].map((mm) => planksOver(grid, heightsFrom(grid, hollow(mm)), make, 0).soft[0]!);
  expect(Math.hypot(deep!.at[0] - 1400, deep!.at[1] - 1000)).toBeLessThan(200);
  expect(deep!.sinksMm).toBeGreaterThan(shallow!.sinksMm);
  expect(deep!.jointDeg).toBeGreaterThan(0);
  const turned = gridOver(rectanglePlan(2000, 3600));
  const across = planksOver(
    turned,
    heightsFrom(turned, (x, y) => hollow(5)(y, x)),
    make,
    90,
  ).soft[0]!;
  expect(across.sinksMm).toBeCloseTo(deep!.sinksMm, 6);
});

test('over a ridge that a plank drapes on, joints lie bent where it runs', () => {
  const ridge = planksOver(
    grid,
    heightsFrom(grid, (x) => 5 * Math.exp(-(((x - 1.8) / 0.3) ** 2))),
    make,
    0,
  );
  expect(ridge.bent.length).toBeGreaterThan(0);
  expect(Math.abs(ridge.bent[0]!.at[0] - 1800)).toBeLessThan(800);
});

test('what shows through a glued covering: a narrow ridge does, a long swell does not', () => {
  const ridge = telegraphing(
    grid,
    heightsFrom(grid, (x) => (Math.abs(x - 1.5) < 0.03 ? 2 : 0)),
  );
  expect(ridge.length).toBeGreaterThan(0);
  expect(
    telegraphing(
      grid,
      heightsFrom(grid, (x) => 6 * Math.sin(x)),
    ),
  ).toEqual([]);
});
