import loadHighs from 'highs';
import { inventedJob, isLess, plainCost, REFUSED, searched, system } from './invented-heights.ts';
import { leastSteps, USUAL_STEP_CLASSES, type HeightsChoice, type HeightsJob, type SolveMixed } from './least-steps.ts';
import { highsMixed } from './mixed-solver.ts';

let solve: SolveMixed;
beforeAll(async () => {
  solve = highsMixed(await loadHighs());
});

const asTried = (choice: HeightsChoice) =>
  new Map(choice.rooms.map(({ roomId, systemId, pourMm }) => [roomId, { systemId, pourMm }]));

/** Two rooms, one 9 mm under the other, with a floor that stays beyond the second. */
const TWO: HeightsJob = {
  rooms: [
    {
      id: 'low',
      areaM2: 10,
      systems: [system('thin', 6, 300), system('thick', 15, 420)],
      keepCost: 40,
      pour: {
        lowMm: -6,
        highMm: 12,
        // 60 litres at its own mean level of -9 bent upwards: two lines.
        pieces: [
          { perMm: 8, litres: 80 },
          { perMm: 10, litres: 92 },
        ],
        costPerL: 2,
        kgPerL: 1.7,
        cost: 120,
      },
      mostKgM2: null,
    },
    { id: 'high', areaM2: 12, systems: [system('thin', 6, 320)], keepCost: 0, pour: null, mostKgM2: null },
  ],
  openings: [
    { id: 'between', samples: [{ here: { roomId: 'low', keptMm: -9 }, beyond: { roomId: 'high', keptMm: 0 } }] },
    { id: 'out', samples: [{ here: { roomId: 'high', keptMm: 0.4 }, beyond: { levelMm: 7 } }] },
  ],
  classes: USUAL_STEP_CLASSES,
  leaves: [],
  limits: [],
};

test('thin planks with a reducer come cheaper than the thicker build-up with a flat bar, and both before a pour', () => {
  const [best, second] = leastSteps(TWO, solve);
  // By hand: thin 300 + 40 + 320 with a reducer of 95 and a flat bar of 15; thick 420 + 40 + 320 with two flat bars.
  expect(best!.cost).toBeCloseTo(770, 6);
  expect(best!.rooms[0]).toMatchObject({ systemId: 'thin', pourMm: null });
  expect(second!.cost).toBeCloseTo(810, 6);
  expect(second!.rooms[0]).toMatchObject({ systemId: 'thick', pourMm: null });
  expect(best!.boundCost).toBe(best!.cost);
});

test('access that takes no more than 6 mm makes the dearer build-up the cheapest, and a full bay makes it none', () => {
  const even = { ...TWO, classes: USUAL_STEP_CLASSES.slice(0, 2) };
  expect(leastSteps(even, solve)[0]!.rooms[0]!.systemId).toBe('thick');
  const full = { ...even, limits: [{ id: 'bay', sample: { roomId: 'low', keptMm: -9 }, leastMm: null, mostMm: -4 }] };
  expect(leastSteps(full, solve)).toEqual([]);
});

test('choices differ in what lies somewhere, and stand in order of cost', () => {
  const choices = leastSteps(TWO, solve);
  expect(
    new Set(
      choices.map((choice) => JSON.stringify(choice.rooms.map(({ systemId, pourMm }) => [systemId, pourMm === null]))),
    ).size,
  ).toBe(3);
  expect(choices.map(({ cost }) => cost)).toEqual([...choices].map(({ cost }) => cost).sort((a, b) => a - b));
});

test('no choice on a lattice of half a millimetre is cheaper, on invented jobs of two rooms', () => {
  let solved = 0;
  for (let seed = 1; seed <= 12; seed++) {
    const job = inventedJob(seed, 2);
    const [best] = leastSteps(job, solve);
    const lattice = searched(job);
    if (!best) {
      expect(lattice).toEqual(REFUSED);
      continue;
    }
    solved++;
    // What it says it costs is what it costs, added up plainly; the lattice can only be as good.
    const plain = plainCost(job, asTried(best));
    expect(plain.cost).toBeCloseTo(best.cost, 3);
    expect(isLess(lattice, { ...plain, cost: plain.cost - 1e-3 })).toBe(false);
  }
  expect(solved).toBeGreaterThan(8);
});
