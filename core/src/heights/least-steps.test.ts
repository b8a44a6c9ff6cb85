import loadHighs from 'highs';
import { seeded } from '../units/index.ts';
import {
  leastSteps,
  USUAL_STEP_CLASSES,
  type HeightRoom,
  type HeightsChoice,
  type HeightsJob,
  type SolveMixed,
} from './least-steps.ts';
import { highsMixed } from './mixed-solver.ts';

let solve: SolveMixed;
beforeAll(async () => {
  solve = highsMixed(await loadHighs());
});

/** Litres a pour takes by its curve. */
const litresAt = (room: HeightRoom, levelMm: number) =>
  Math.max(0, ...room.pour!.pieces.map(({ perMm, litres }) => perMm * levelMm + litres));

interface Tried {
  systemId: string;
  pourMm: number | null;
}

/** What a choice costs by adding it up plainly, or Infinity where a limit refuses it: shares nothing with the programme. */
function plainCost(job: HeightsJob, tried: ReadonlyMap<string, Tried>): number {
  const roomOf = (id: string) => job.rooms.find((room) => room.id === id)!;
  const systemOf = (id: string) => roomOf(id).systems.find((s) => s.id === tried.get(id)!.systemId)!;
  const level = ({ roomId, keptMm }: { roomId: string; keptMm: number }) =>
    (tried.get(roomId)!.pourMm ?? keptMm) + systemOf(roomId).buildUpMm;
  let cost = 0;
  for (const room of job.rooms) {
    const { pourMm } = tried.get(room.id)!;
    const system = systemOf(room.id);
    const litres = pourMm === null ? 0 : litresAt(room, pourMm);
    cost += system.cost + (pourMm === null ? room.keepCost : room.pour!.cost + litres * room.pour!.costPerL);
    const kg = system.kgM2 + (pourMm === null ? 0 : (litres * room.pour!.kgPerL) / room.areaM2);
    if (room.mostKgM2 !== null && kg > room.mostKgM2 + 1e-6) return Infinity;
  }
  for (const { samples } of job.openings) {
    const step = Math.max(
      ...samples.map(({ here, beyond }) =>
        Math.abs(level(here) - ('levelMm' in beyond ? beyond.levelMm : level(beyond))),
      ),
    );
    const of = job.classes.find(({ mostMm }) => step <= mostMm + 1e-6);
    if (!of) return Infinity;
    cost += of.cost;
  }
  for (const { samples, mostMm, trimMm, trimCost } of job.leaves) {
    const over = Math.max(...samples.map(level)) - mostMm;
    if (over > trimMm + 1e-6) return Infinity;
    if (over > 1e-6) cost += trimCost;
  }
  for (const { sample, leastMm, mostMm } of job.limits) {
    const at = level(sample);
    if (at < (leastMm ?? -Infinity) - 1e-6 || at > (mostMm ?? Infinity) + 1e-6) return Infinity;
  }
  return cost;
}

const asTried = (choice: HeightsChoice) =>
  new Map(choice.rooms.map(({ roomId, systemId, pourMm }) => [roomId, { systemId, pourMm }]));

/** Every system, treatment and pour level on a lattice of half a millimetre, in every room. */
function searched(job: HeightsJob): number {
  let best = Infinity;
  const tried = new Map<string, Tried>();
  const next = (k: number) => {
    const room = job.rooms[k];
    if (!room) return void (best = Math.min(best, plainCost(job, tried)));
    for (const { id: systemId } of room.systems) {
      tried.set(room.id, { systemId, pourMm: null });
      next(k + 1);
      for (let pourMm = room.pour?.lowMm ?? 1; pourMm <= (room.pour?.highMm ?? 0); pourMm += 0.5) {
        tried.set(room.id, { systemId, pourMm });
        next(k + 1);
      }
    }
  };
  next(0);
  return best;
}

const system = (id: string, buildUpMm: number, cost: number, kgM2 = 7) => ({ id, buildUpMm, cost, kgM2 });

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

/** A job of rooms in a row, invented: two systems a room, some to be poured, doors that may be trimmed, a limit here and there. */
function inventedJob(seed: number, count: number): HeightsJob {
  const draw = seeded(seed);
  const between = (from: number, to: number) => from + (to - from) * draw();
  const half = (mm: number) => Math.round(mm * 2) / 2;
  const rooms = Array.from({ length: count }, (_, k): HeightRoom => {
    const keptMm = half(between(-8, 8));
    const areaM2 = half(between(4, 20));
    return {
      id: `r${k}`,
      areaM2,
      systems: [
        system('a', half(between(5, 9)), between(150, 400)),
        system('b', half(between(10, 18)), between(200, 500), 11),
      ],
      keepCost: between(0, 90),
      pour:
        draw() < 0.7
          ? {
              lowMm: keptMm + 3,
              highMm: keptMm + 3 + half(between(3, 9)),
              pieces: [
                { perMm: areaM2 * 0.8, litres: -areaM2 * 0.8 * keptMm },
                { perMm: areaM2, litres: -areaM2 * (keptMm + 1.5) },
              ],
              costPerL: between(1, 3),
              kgPerL: 1.7,
              cost: between(40, 150),
            }
          : null,
      mostKgM2: draw() < 0.3 ? 25 : null,
    };
  });
  const kept = rooms.map(() => half(between(-8, 8)));
  const at = (k: number) => ({ roomId: `r${k}`, keptMm: kept[k]! });
  return {
    rooms,
    openings: rooms.map((_, k) => ({
      id: `o${k}`,
      samples: [0, 1].map((end) => ({
        here: { ...at(k), keptMm: kept[k]! + end * half(between(0, 1)) },
        beyond: k + 1 < count ? at(k + 1) : { levelMm: half(between(0, 14)) },
      })),
    })),
    classes: USUAL_STEP_CLASSES,
    leaves: [{ id: 'leaf', samples: [at(0)], mostMm: half(between(4, 16)), trimMm: 12, trimCost: between(10, 40) }],
    limits: draw() < 0.5 ? [{ id: 'bay', sample: at(count - 1), leastMm: null, mostMm: half(between(12, 24)) }] : [],
  };
}

test('no choice on a lattice of half a millimetre is cheaper, on invented jobs of two rooms', () => {
  let solved = 0;
  for (let seed = 1; seed <= 12; seed++) {
    const job = inventedJob(seed, 2);
    const [best] = leastSteps(job, solve);
    const lattice = searched(job);
    if (!best) {
      expect(lattice).toBe(Infinity);
      continue;
    }
    solved++;
    // What it says it costs is what it costs, added up plainly; the lattice can only be as good.
    expect(plainCost(job, asTried(best))).toBeCloseTo(best.cost, 3);
    expect(best.cost).toBeLessThanOrEqual(lattice + 1e-3);
  }
  expect(solved).toBeGreaterThan(8);
});
