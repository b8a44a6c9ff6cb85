import type { LevelFact } from './facts.ts';
import { seeded } from '../units/index.ts';
import { usualOpeningRules, type FinishedAt } from './opening-judged.ts';
import type { RoomHeights } from './room-heights.ts';
import {
  USUAL_STEP_CLASSES,
  type HeightRoom,
  type HeightSample,
  type HeightSystem,
  type HeightsJob,
} from './least-steps.ts';

/** Litres a pour takes by its curve. */
const litresAt = (room: HeightRoom, levelMm: number) =>
  Math.max(0, ...room.pour!.pieces.map(({ perMm, litres }) => perMm * levelMm + litres));

export interface Tried {
  systemId: string;
  pourMm: number | null;
}

/** Openings that come to a step no bar takes, and what it all costs. */
export interface Plain {
  avoided: number;
  cost: number;
}
export const REFUSED: Plain = { avoided: Infinity, cost: Infinity };
/** Fewer steps that no bar takes come before any cost. */
export const isLess = (a: Plain, b: Plain): boolean =>
  a.avoided < b.avoided || (a.avoided === b.avoided && a.cost < b.cost);

/** What a choice comes to by adding it up plainly; refused where a limit refuses it. Shares nothing with the programme. */
export function plainCost(job: HeightsJob, tried: ReadonlyMap<string, Tried>): Plain {
  const roomOf = (id: string) => job.rooms.find((room) => room.id === id)!;
  const systemOf = (id: string) => roomOf(id).systems.find((s) => s.id === tried.get(id)!.systemId)!;
  const level = ({ roomId, keptMm, overMm = 0 }: HeightSample) =>
    (tried.get(roomId)!.pourMm ?? keptMm) + overMm + systemOf(roomId).buildUpMm;
  let [cost, avoided] = [0, 0];
  for (const room of job.rooms) {
    const { pourMm } = tried.get(room.id)!;
    const system = systemOf(room.id);
    const litres = pourMm === null ? 0 : litresAt(room, pourMm);
    cost +=
      system.cost +
      (pourMm === null ? (system.keepCost ?? room.keepCost) : room.pour!.cost + litres * room.pour!.costPerL);
    const kg = system.kgM2 + (pourMm === null ? 0 : (litres * room.pour!.kgPerL) / room.areaM2);
    if (room.mostKgM2 !== null && kg > room.mostKgM2 + 1e-6) return REFUSED;
  }
  for (const { samples, classes = job.classes } of job.openings) {
    const step = Math.max(
      ...samples.map(({ here, beyond }) =>
        Math.abs(level(here) - ('levelMm' in beyond ? beyond.levelMm : level(beyond))),
      ),
    );
    const of = classes.find(({ mostMm }) => step <= mostMm + 1e-6);
    if (!of) return REFUSED;
    cost += of.cost;
    if (of.avoided) avoided++;
  }
  for (const { samples, mostMm, trimMm, trimCost, fixedMm = -Infinity } of job.leaves) {
    const over = Math.max(fixedMm, ...samples.map(level)) - mostMm;
    if (over > trimMm + 1e-6) return REFUSED;
    if (over > 1e-6) cost += trimCost;
  }
  for (const { sample, leastMm, mostMm } of job.limits) {
    const at = level(sample);
    if (at < (leastMm ?? -Infinity) - 1e-6 || at > (mostMm ?? Infinity) + 1e-6) return REFUSED;
  }
  return { avoided, cost };
}

/** Every system, treatment and pour level on a lattice of half a millimetre, in every room. */
export function searched(job: HeightsJob): Plain {
  let best = REFUSED;
  const tried = new Map<string, Tried>();
  const next = (k: number) => {
    const room = job.rooms[k];
    if (!room) {
      const plain = plainCost(job, tried);
      if (isLess(plain, best)) best = plain;
      return;
    }
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

export const system = (id: string, buildUpMm: number, cost: number, kgM2 = 7) => ({ id, buildUpMm, cost, kgM2 });

/** Underlays that are sold, mm, and what each millimetre of them costs on a square metre. */
const UNDERLAYS_MM = [0, 1.5, 3, 5];
const UNDERLAY_COST = 1.2;
const overUnderlays = (covering: HeightSystem, areaM2: number): HeightSystem[] =>
  UNDERLAYS_MM.map((mm) => ({
    ...covering,
    id: `${covering.id}/${mm}`,
    buildUpMm: covering.buildUpMm + mm,
    cost: covering.cost + mm * UNDERLAY_COST * areaM2,
  }));

/** A job of rooms in a row, invented: two coverings a room over the underlays that are sold, some to be poured, doors that may be trimmed, a limit here and there. */
export function inventedJob(seed: number, count: number): HeightsJob {
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
        ...overUnderlays(system('a', half(between(5, 9)), between(150, 400)), areaM2),
        ...overUnderlays(system('b', half(between(10, 18)), between(200, 500), 11), areaM2),
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

/** Corners of a room of 4 x 3 m, anticlockwise from its first. */
export const CORNERS = [
  { xMm: 0, yMm: 0 },
  { xMm: 4000, yMm: 0 },
  { xMm: 4000, yMm: 3000 },
  { xMm: 0, yMm: 3000 },
];

/** A level taped in the middle beyond an opening, over so much of an old floor. */
export const tapedBeyond = (openingId: string, overMm: number, lyingMm = 0): LevelFact => ({
  id: `beyond-${openingId}`,
  of: 'beyond',
  aboutId: openingId,
  alongMm: 400,
  readBy: 'tape',
  setupId: null,
  rodMm: null,
  overMm,
  lyingMm,
  datumMm: null,
  takenAt: '2026-05-04T08:00:00.000Z',
  note: '',
});

/** A new floor of 17 mm on a base at the datum, inside the walls of that room. */
export const LEVEL_FLOOR: FinishedAt = (x, y) =>
  x > 0 && x < 4000 && y > 0 && y < 3000 ? { new: 17, used: 17 } : null;

/** A room of 4 x 3 m with a new floor 17 mm over its datum, read from a set-up at 1400 mm, with what else is given. */
export const heightsRoom = (more: Partial<RoomHeights>): RoomHeights => ({
  corners: CORNERS,
  openings: [],
  fixtures: [],
  levels: [],
  sightMm: new Map([['s', 1400]]),
  baseAlong: () => [],
  leaves: new Map(),
  appliances: new Map(),
  goesOn: new Set(),
  beyond: new Map(),
  finishedAt: LEVEL_FLOOR,
  buildUpMm: 17,
  offMm: 0.5,
  rules: { ...usualOpeningRules({ gapMm: 3, edgeMm: 2000 }), capMm: 0 },
  nodes: [],
  ...more,
});
