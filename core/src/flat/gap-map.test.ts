import fc from 'fast-check';
import { gapMap, restrict, type Grid } from './index.ts';
import { gapsAlong, edgeScratch, crownsAlong, mayExceed } from './straightedge.ts';
import { gridOver, heightsFrom, randomFloor, rectanglePlan } from './invented.ts';

/** The plain scan of all chords on one line, written from the definition: the oracle for the tangent method. */
function plainGaps(h: Float64Array, window: number): number[] {
  return Array.from(h, (_, s) => {
    let most = 0;
    for (let i = 0; i < s; i++) {
      for (let j = s + 1; j <= Math.min(h.length - 1, i + window); j++)
        most = Math.max(most, h[i]! + ((h[j]! - h[i]!) * (s - i)) / (j - i) - h[s]!);
    }
    return most;
  });
}

test.each([3, 8, 21, 40])(
  'the tangent method finds what the plain scan of all chords finds, edge of %i steps',
  (window) => {
    const height = fc.double({ min: -3, max: 3, noNaN: true });
    const line = fc.record({
      wave: fc.double({ min: 5, max: 30, noNaN: true }),
      // Some lines are nearly smooth, where many chords all but tie.
      roughness: fc.constantFrom(0, 0.003, 1),
      heights: fc.array(height, { minLength: 3, maxLength: 90 }),
    });
    fc.assert(
      fc.property(line, ({ wave, roughness, heights }) => {
        const h = Float64Array.from(heights, (mm, i) => 4 * Math.sin(i / wave) + roughness * mm);
        const scratch = edgeScratch(h.length);
        gapsAlong(h, h.length, window, scratch);
        plainGaps(h, window).forEach((gap, s) => expect(scratch.gap[s]).toBeCloseTo(gap, 9));
      }),
    );
  },
);

test.each([
  ['a valley, where neighbouring chords cross midway', (i: number) => 0.01 * (i - 40) ** 2],
  ['a flat floor, where every chord ties', () => 2],
  ['steps of whole millimetres, where many tie', (i: number) => Math.floor(i / 7) % 3],
  ['two valleys and a ridge', (i: number) => 3 * Math.cos(i / 9) + 0.002 * (i - 20) ** 2],
] as const)('nor does it miss %s', (_, heightAt) => {
  for (const window of [2, 5, 16, 40, 89]) {
    const h = Float64Array.from({ length: 90 }, (__, i) => heightAt(i));
    const scratch = edgeScratch(90);
    gapsAlong(h, 90, window, scratch);
    plainGaps(h, window).forEach((gap, s) => {
      expect(scratch.gap[s]).toBeCloseTo(gap, 9);
      if (gap < 1e-9) return;
      // The contacts told are those of a chord that leaves just that gap, no longer than the edge.
      const [i, j] = [scratch.from[s]!, scratch.to[s]!];
      expect(j - i).toBeLessThanOrEqual(window);
      expect(h[i]! + ((h[j]! - h[i]!) * (s - i)) / (j - i) - h[s]!).toBeCloseTo(gap, 9);
    });
  }
});

test('h = 4x² mm under 2 m leaves 4 mm: L²/4 times the coefficient', () => {
  const grid = gridOver(rectanglePlan(5000, 1000));
  expect(
    gapMap(
      grid,
      heightsFrom(grid, (x) => 4 * (x - 2.5) ** 2),
      { edgeMm: 2000 },
    ).worstGap!.valueMm,
  ).toBeCloseTo(4, 6);
});

test('a 5 mm step under 2 m on 5 cm leaves 39/40 of it', () => {
  const grid = gridOver(rectanglePlan(5000, 1000));
  expect(
    gapMap(
      grid,
      heightsFrom(grid, (x) => (x > 2.5 ? 5 : 0)),
      { edgeMm: 2000 },
    ).worstGap!.valueMm,
  ).toBeCloseTo(4.875, 9);
});

test('a crown h = −4x² has no gap and rocks by 4 mm at each end', () => {
  const grid = gridOver(rectanglePlan(5000, 1000));
  const map = gapMap(
    grid,
    heightsFrom(grid, (x) => -4 * (x - 2.5) ** 2),
    { edgeMm: 2000, directions: 1 },
  );
  expect(map.worstGap?.valueMm ?? 0).toBeCloseTo(0, 9);
  expect(map.worstCrown!.valueMm).toBeCloseTo(4, 6);
});

test('an edge of an odd number of steps is met exactly', () => {
  // 1830 mm on 50 mm cells is 37 steps of 49.46 mm; the parabola's gap is c L²/4 at the middle, met half a step off it.
  const grid = gridOver(rectanglePlan(5000, 500));
  const worst = gapMap(
    grid,
    heightsFrom(grid, (x) => 4 * (x - 2.5) ** 2),
    { edgeMm: 1830, directions: 1 },
  ).worstGap!.valueMm;
  expect(worst).toBeGreaterThan(3.34);
  expect(worst).toBeLessThanOrEqual(1.83 ** 2 + 0.01);
});

test('near a wall the crown uses the room there is on both sides', () => {
  const h = Float64Array.from({ length: 11 }, (_, i) => (i === 2 ? 5 : 0));
  const crown = new Float64Array(11);
  crownsAlong(h, 11, 40, crown);
  expect(crown[2]).toBe(5);
  expect(crown[0]).toBe(0);
});

test('an inclined plane has neither gap nor crown', () => {
  const grid = gridOver(rectanglePlan(4000, 3000));
  const map = gapMap(
    grid,
    heightsFrom(grid, (x, y) => 7 * x - 3 * y),
    { edgeMm: 2000 },
  );
  expect(map.worstGap?.valueMm ?? 0).toBeLessThan(1e-5);
  expect(map.worstCrown?.valueMm ?? 0).toBeLessThan(1e-5);
});

function turned(grid: Grid, h: Float64Array): { grid: Grid; h: Float64Array } {
  const out = new Float64Array(h.length);
  const inside = new Uint8Array(h.length);
  for (let iy = 0; iy < grid.ny; iy++)
    for (let ix = 0; ix < grid.nx; ix++) {
      const to = ix * grid.ny + (grid.ny - 1 - iy);
      out[to] = h[iy * grid.nx + ix]!;
      inside[to] = grid.inside[iy * grid.nx + ix]!;
    }
  return { grid: { ...grid, nx: grid.ny, ny: grid.nx, inside }, h: out };
}

test.each([1, 2, 3])('a quarter turn changes nothing beyond rounding (floor %i)', (seed) => {
  const grid = gridOver(rectanglePlan(4000, 3050));
  const h = heightsFrom(grid, randomFloor(seed));
  const before = gapMap(grid, h, { edgeMm: 2000 });
  const t = turned(grid, h);
  const after = gapMap(t.grid, t.h, { edgeMm: 2000 });
  expect(after.worstGap!.valueMm).toBeCloseTo(before.worstGap!.valueMm, 5);
  expect(after.worstCrown!.valueMm).toBeCloseTo(before.worstCrown!.valueMm, 5);
});

test('no edge reaches across what is not floor', () => {
  const grid = gridOver(rectanglePlan(4000, 1000));
  const keep = grid.inside.map((_, cell) => (Math.abs((cell % grid.nx) - 40) < 2 ? 0 : 1));
  const valley = heightsFrom(grid, (x) => 4 * (x - 2) ** 2);
  const whole = gapMap(grid, valley, { edgeMm: 2000, directions: 1 }).worstGap!.valueMm;
  const split = gapMap(restrict(grid, keep), valley, { edgeMm: 2000, directions: 1 }).worstGap!.valueMm;
  expect(whole).toBeCloseTo(4, 6);
  expect(split).toBeLessThan(4.0001);
  for (const p of [gapMap(restrict(grid, keep), valley, { edgeMm: 2000, directions: 1, limitMm: 1 }).over].flat())
    expect(Math.sign(p.from[0] - 2000)).toBe(Math.sign(p.to[0] - 2000));
});

test('lines passed over as harmless hold nothing: the worst alone is the worst of the whole map, and no bound is too small', () => {
  const grid = gridOver(rectanglePlan(3000, 2000));
  for (const seed of [3, 8, 21]) {
    const heights = heightsFrom(grid, randomFloor(seed));
    const whole = gapMap(grid, heights, { edgeMm: 1500, directions: 36 });
    const worst = gapMap(grid, heights, { edgeMm: 1500, directions: 36, worstOnly: true });
    expect(worst.worstGap).toEqual(whole.worstGap);
    expect(worst.worstCrown).toEqual(whole.worstCrown);
  }
  const line = Float64Array.from({ length: 90 }, (_, i) => 3 * Math.sin(i / 7) + 0.2 * i);
  const scratch = edgeScratch(90);
  gapsAlong(line, 90, 30, scratch);
  crownsAlong(line, 90, 30, scratch.crown);
  const most = Math.max(...scratch.gap, ...scratch.crown);
  expect(mayExceed(line, 90, 30, most - 1e-9)).toBe(true);
  // A straight slope may be passed over at once.
  expect(
    mayExceed(
      Float64Array.from({ length: 90 }, (_, i) => 4 * i),
      90,
      30,
      1e-9,
    ),
  ).toBe(false);
});
