import { outlineOf, rectangleWalls, type Plan } from '../room/index.ts';
import { gridOver, type Grid } from './grid.ts';
import type { EdgeWalk, FlatFacts, RodReading, SetUp } from './facts.ts';

/** Test floors: a plan, a grid over it and heights from a formula in metres. */
export function rectanglePlan(widthMm: number, depthMm: number): Plan {
  return { corners: outlineOf(rectangleWalls(widthMm, depthMm)).corners, islands: [] };
}

export function heightsFrom(grid: Grid, formula: (xM: number, yM: number) => number): Float64Array {
  return Float64Array.from({ length: grid.nx * grid.ny }, (_, cell) =>
    formula(
      (grid.x0Mm + (cell % grid.nx) * grid.cellMm) / 1000,
      (grid.y0Mm + Math.floor(cell / grid.nx) * grid.cellMm) / 1000,
    ),
  );
}

/** Numbers in [0, 1) that are the same at every run (linear congruential, Numerical Recipes). */
export function chanceFrom(seed: number): () => number {
  let state = seed >>> 0;
  return () => (state = (Math.imul(state, 1664525) + 1013904223) >>> 0) / 2 ** 32;
}

/** A smooth random floor: a few waves and bumps, mm. */
export function randomFloor(seed: number, amplitudeMm = 4): (xM: number, yM: number) => number {
  const chance = chanceFrom(seed);
  const waves = Array.from({ length: 6 }, () => ({
    kx: (chance() - 0.5) * 4,
    ky: (chance() - 0.5) * 4,
    phase: chance() * 7,
    size: (chance() - 0.3) * amplitudeMm,
  }));
  return (x, y) => waves.reduce((sum, w) => sum + w.size * Math.sin(w.kx * x + w.ky * y + w.phase), 0);
}

export function setup(
  id: string,
  openRodMm: number | null,
  closeRodMm: number | null = openRodMm,
  startedAt = id,
): SetUp {
  return { id, name: id, openRodMm, closeRodMm, startedAt };
}

export function reading(
  id: string,
  setupId: string,
  stationKey: string,
  xMm: number,
  yMm: number,
  rodMm: number,
  takenAt = id,
): RodReading {
  return { id, setupId, stationKey, xMm, yMm, rodMm, takenAt, note: '' };
}

/** Readings of a formula (metres in, mm out) at given places, line of sight 1000 mm over the datum. */
export function factsAt(
  places: readonly { xMm: number; yMm: number; key: string }[],
  formula: (xM: number, yM: number) => number,
): FlatFacts {
  const readings = places.map((p, i) =>
    reading(`r${String(i).padStart(4, '0')}`, 'A', p.key, p.xMm, p.yMm, 1000 - formula(p.xMm / 1000, p.yMm / 1000)),
  );
  return { setups: [setup('A', 1000)], readings, stations: [] };
}

/** Three edges of 2 m laid to break a verdict, which held. */
export function heldEdges(takenAt = 'z'): EdgeWalk[] {
  return [400, 1000, 1600].map((yMm, i) => ({
    id: `held${i}`,
    fromXMm: 300,
    fromYMm: yMm,
    toXMm: 2300,
    toYMm: yMm,
    tool: 'straightedge',
    contactsMm: [0, 2000],
    gaps: [{ atMm: 1000, gapMm: 0.2 }],
    rocksMm: null,
    takenAt,
    note: '',
    asked: true,
  }));
}

export { gridOver };
