import fc from 'fast-check';
import loadHighs from 'highs';
import { readOut } from '@maquette/words';
import { figuresOf } from '../figures/index.ts';
import { gridOver } from '../flat/invented.ts';
import { newFixture, newOpening, UNKNOWN_BASE, type RoomFacts } from '../room/index.ts';
import { inventedLevelling, inventedRoom } from './invented-job.ts';
import { bagsPerM2, meanAround } from './load.ts';
import { highsModels, planLevelling, programmedWay, type LevellingJob, type OpenModel } from './index.ts';

/* Every way to level passes one check of limits, gates, doors and weight before it is shown: none says it holds and breaks one. */

let open: OpenModel;
beforeAll(async () => {
  open = highsModels(await loadHighs());
});

const dip = (atX: number, atY: number, mm: number) => (x: number, y: number) =>
  -mm * Math.exp(-2 * ((x - atX) ** 2 + (y - atY) ** 2));
const room = inventedRoom(1800, 1500, {
  openings: [newOpening('door', 0, 100, 700)],
  fixtures: [newFixture('wc', 'toilet', { xMm: 1400, yMm: 1100 }, 0)],
});
const area = { shape: 'area', reachMm: 0 } as const;
const square = (x: number, y: number, mm: number) => [
  { xMm: x, yMm: y },
  { xMm: x + mm, yMm: y },
  { xMm: x + mm, yMm: y + mm },
  { xMm: x, yMm: y + mm },
];

/** Most that a change takes over what a cell allows, by looking at each. */
function mostOver({ grid, limits }: LevellingJob, change: { fillMm: Float64Array; grindMm: Float64Array }): number {
  let most = 0;
  grid.inside.forEach((on, cell) => {
    if (on)
      most = Math.max(most, change.fillMm[cell]! - limits.fillMm[cell]!, change.grindMm[cell]! - limits.grindMm[cell]!);
  });
  return most;
}

test('no way says that it holds and takes more at any place than is allowed there', () => {
  const ask = fc.record({
    at: fc.tuple(fc.double({ min: 0.3, max: 1.5, noNaN: true }), fc.double({ min: 0.3, max: 1.2, noNaN: true })),
    mm: fc.double({ min: 4, max: 14, noNaN: true }),
    keepOff: fc.constantFrom([], [{ what: 'fill' as const, ...area, points: square(600, 500, 600) }]),
    gates: fc.record({ grind: fc.boolean(), prime: fc.boolean(), fix: fc.boolean() }),
    timber: fc.boolean(),
  });
  fc.assert(
    fc.property(ask, ({ at: [x, y], mm, keepOff, gates, timber }) => {
      const baseKind = timber ? 'panels-on-joists' : 'slab-on-ground';
      const { job, state } = inventedLevelling({ ...room, baseKind }, dip(x, y, mm), { keepOff, gates });
      const plan = planLevelling(job, state)!;
      const mixed = programmedWay(job, 'mixed', 'live', { open }).way;
      for (const way of [plan.fill, mixed])
        if (way) {
          expect(way.refusal === null).toBe(mostOver(job, way.change) <= 0.05);
          if (way.holds) expect(way.refusal).toBeNull();
        }
      if (plan.panel && !gates.fix) expect(plan.panel.refusal).toMatchObject({ limit: 'gate' });
    }),
    { numRuns: 8 },
  );
});

test.each([
  [
    'a place marked to keep compound off',
    { keepOff: [{ what: 'fill', ...area, points: square(600, 500, 600) }] },
    'keep-off',
    dip(0.9, 0.8, 14),
  ],
  ['priming that is shut', { gates: { grind: true, prime: false, fix: true } }, 'gate', dip(0.9, 0.8, 14)],
  ['a door', {}, 'opening', dip(0.8, 0.1, 30)],
  ['a flange', {}, 'fixture', dip(1.4, 1.1, 14)],
] as const)('filling alone is refused by %s, and does not say that it holds', (_, part, limit, floor) => {
  const { job, state } = inventedLevelling(room, floor, part as object);
  const { fill } = planLevelling(job, state)!;
  expect(fill).toMatchObject({ holds: false, refusal: { limit } });
});

test('a pour too heavy for boards on joists is for an engineer to decide; a slab carries it', () => {
  // 10 mm to the metre over 2.4 m and 3 mm at the highest: half of the floor lies under 15 mm and more, 1.6 kg to the litre.
  const slope = (_: number, y: number) => 10 * y;
  const planes = (baseKind: 'panels-on-joists' | 'slab-on-ground') => {
    const { job, state } = inventedLevelling(inventedRoom(3000, 2400, { baseKind }), slope);
    return planLevelling(job, state)!.planes;
  };
  for (const { refusal } of planes('panels-on-joists')) {
    expect(refusal).toMatchObject({ limit: 'load', allowedKgM2: 25 });
    expect(readOut(refusal!.decides!)).toBe('a structural engineer');
  }
  // The heaviest square metre lies along the low wall: 22 mm deep in the middle of it, 27 at the wall.
  const [first] = planes('panels-on-joists');
  expect((first!.refusal as { takesKgM2: number }).takesKgM2).toBeGreaterThan(1.6 * 21);
  expect(planes('slab-on-ground').every(({ refusal }) => refusal === null)).toBe(true);
});

test('old tile on joists does not make the floor carry more', () => {
  const { job, state } = inventedLevelling(
    inventedRoom(3000, 2400, { baseKind: 'panels-on-joists' }),
    (_, y) => 10 * y,
    {
      laidOver: 'existing-tile',
    },
  );
  expect(planLevelling(job, state)!.planes[0]!.refusal).toMatchObject({ limit: 'load' });
});

test('the mean around a cell is that of looking at every cell of the floor about it', () => {
  const grid = gridOver({
    corners: [
      { xMm: 0, yMm: 0 },
      { xMm: 900, yMm: 0 },
      { xMm: 900, yMm: 400 },
      { xMm: 300, yMm: 400 },
      { xMm: 300, yMm: 800 },
      { xMm: 0, yMm: 800 },
    ],
    islands: [],
  });
  const values = fc.array(fc.double({ min: 0, max: 40, noNaN: true }), {
    minLength: grid.inside.length,
    maxLength: grid.inside.length,
  });
  fc.assert(
    fc.property(values, (list) => {
      const means = meanAround(grid, Float64Array.from(list), 125);
      grid.inside.forEach((on, cell) => {
        if (!on) return expect(means[cell]).toBe(0);
        const near = list.filter(
          (_, i) =>
            grid.inside[i] &&
            Math.abs((i % grid.nx) - (cell % grid.nx)) <= 2 &&
            Math.abs(Math.floor(i / grid.nx) - Math.floor(cell / grid.nx)) <= 2,
        );
        return expect(means[cell]).toBeCloseTo(near.reduce((sum, v) => sum + v, 0) / near.length, 9);
      });
    }),
    { numRuns: 20 },
  );
});

test('heating that nobody has spoken of is heating at any depth: nothing is ground; a second base has its own', () => {
  const line = { id: 'l', name: '', axMm: 1500, ayMm: 0, bxMm: 1500, byMm: 2400 };
  const unheated = { ...UNKNOWN_BASE, heating: 'none' as const };
  const most = (base: typeof UNKNOWN_BASE, second: typeof UNKNOWN_BASE | null) => {
    const secondBase = second && {
      ...second,
      kind: 'cement-screed' as const,
      where: [{ lineId: 'l', side: 'left' as const }],
    };
    const { job } = inventedLevelling({ ...inventedRoom(3000, 2400), lines: [line], base, secondBase }, () => 0);
    const on = (from: number, to: number) =>
      Math.max(
        ...job.limits.grindMm.filter(
          (_, cell) => job.grid.inside[cell] && cell % job.grid.nx >= from && cell % job.grid.nx < to,
        ),
      );
    return [on(0, 29), on(31, 60)];
  };
  expect(most(UNKNOWN_BASE, null)).toEqual([0, 0]);
  expect(most(unheated, null)).toEqual([3, 3]);
  // Along the line from its first point left is towards the first corner.
  expect(most(unheated, UNKNOWN_BASE)).toEqual([0, 3]);
  expect(most(UNKNOWN_BASE, unheated)).toEqual([3, 0]);
});

describe('calcium sulfate', () => {
  const planned = (
    baseKind: 'calcium-sulfate-screed' | 'cement-screed',
    secondBase: RoomFacts['secondBase'] = null,
  ) => {
    const held = { ...inventedRoom(2000, 1600, { baseKind }), secondBase };
    const { job, state } = inventedLevelling(held, dip(1, 0.8, 14));
    return planLevelling(job, state)!;
  };

  test('every way is filled with gypsum, what is made with cement is unsuited, and the words say so first', () => {
    const { fill, planes, caution } = planned('calcium-sulfate-screed');
    expect(readOut(caution!)).toMatch(/sand the skin.*primer.*gypsum.*No cement/i);
    for (const { needs, costLines } of [fill, planes[0]!]) {
      expect(needs[0]).toMatchObject({ compound: { binder: 'gypsum' }, unsuited: null });
      for (const { compound, unsuited } of needs) if (compound.binder === 'cement') expect(unsuited).not.toBeNull();
      expect(costLines.map(({ words }) => readOut(words))).toEqual(
        expect.arrayContaining([expect.stringMatching(/skin/), expect.stringMatching(/rated for calcium sulfate/)]),
      );
    }
  });

  test('a part of the room on it is enough; elsewhere none of this is said', () => {
    const second = {
      ...UNKNOWN_BASE,
      kind: 'calcium-sulfate-screed' as const,
      where: [{ lineId: 'l', side: 'left' as const }],
    };
    expect(planned('cement-screed', second).fill.needs[0]!.compound.binder).toBe('gypsum');
    const { fill, caution } = planned('cement-screed');
    expect(caution).toBeNull();
    expect(fill.needs.every(({ compound }) => compound.binder === 'cement')).toBe(true);
    expect(readOut(fill.costLines.map(({ words }) => words)).join()).not.toMatch(/skin|rated/);
  });

  // 0.1 h to the m2 at the job's rate of an hour, with what vacuuming and marking out take.
  test('sanding is in the hours and in the money, to the digit', () => {
    const [sulfate, cement] = [planned('calcium-sulfate-screed').planes[0]!, planned('cement-screed').planes[0]!];
    const areaM2 = 2 * 1.6;
    const mixing = (bags: number) => (bags * 8) / 60;
    expect(sulfate.hours - mixing(sulfate.needs[0]!.bags) - (cement.hours - mixing(cement.needs[0]!.bags))).toBeCloseTo(
      0.1 * areaM2,
      1,
    );
    for (const { cost, costLines } of [sulfate, cement])
      expect(costLines.reduce((sum, line) => sum + line.amount * line.rate, 0)).toBeCloseTo(cost, 9);
  });
});

test.each([
  [25, 6],
  [20, 7],
  [50, 3],
])('bags of %i kg: at most %i on a square metre that carries 150 kg', (kg, bags) => {
  expect(bagsPerM2(kg, figuresOf([]))).toBe(bags);
});
