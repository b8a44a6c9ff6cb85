import { defaultSpacingMm, findCard } from '@maquette/core/coverings';
import { stationsOf } from '@maquette/core/flat';
import {
  BLANK_SHAPE,
  entryPoint,
  newFixture,
  newOpening,
  planOf,
  type RoomFacts,
  UNKNOWN_BASE,
} from '@maquette/core/room';
import { normal, roundTo, seeded } from '@maquette/core/units';
import { BLANK_JOB } from '@maquette/core/job';
import { putFact } from '../store/facts.ts';
import { savePicture } from '../store/pictures.ts';
import type { Store } from '../store/store.ts';
import type { DemoRoom } from './demo-room.ts';
import type { Put } from './put.ts';
import { SCENARIO } from './scenario.ts';
import { seedDamp } from './seed-damp.ts';
import { seedHeights } from './seed-heights.ts';
import { seedLevelled } from './seed-levelled.ts';
import { seedOldFloor } from './seed-old-floor.ts';
import { seedJob } from './seed-job.ts';
import { seedLay } from './seed-lay.ts';
import { DEMO_CARDS, seedUnder } from './seed-under.ts';
import { demoPhotos, seedPhotos } from './seed-photos.ts';
import { seedScan, stationsToRead } from './seed-scan.ts';

const SEED = 41;
const STARTED = Date.parse('2026-05-04T08:00:00.000Z');
/** Reading noise of the invented instrument, mm (one standard deviation). */
const NOISE_MM = 0.25;

/** Height of an invented floor, mm. */
function truthAt(room: Pick<DemoRoom, 'bumps' | 'fall'>, xMm: number, yMm: number): number {
  const fall = (room.fall[0] * xMm + room.fall[1] * yMm) / 1000;
  return room.bumps.reduce(
    (sum, b) => sum + b.heightMm * Math.exp(-((xMm - b.xMm) ** 2 + (yMm - b.yMm) ** 2) / (2 * b.widthMm ** 2)),
    fall,
  );
}

/** Puts the demo scenario into an empty store; returns how many facts it wrote, 0 when the store is not empty. */
export async function seedDemo(store: Store, isEmpty: () => Promise<boolean>, seededAt: string): Promise<number> {
  if (!(await isEmpty())) return 0;
  const chance = seeded(SEED);
  // Air has chances of its own: the floors stay as they were.
  const air = seeded(SEED + 1);
  let count = 0;
  const photos = await demoPhotos(seededAt);
  await store.write(async (tx) => {
    const put: Put = async (kind, id, roomId, body) => {
      const write = { ...body, baseVersion: 0, writeId: `demo-${count++}`, deleted: false };
      const result = await putFact(store, tx, kind, id, roomId, write, new Date(STARTED).toISOString());
      if (!result.ok) throw new Error(`the demo's ${kind} ${id} was refused: ${result.reason}`);
    };
    for (const { id, ...card } of DEMO_CARDS) await put('cards', id, null, card);
    for (const [j, job] of SCENARIO.entries()) {
      await put('jobs', `demo-${job.slug}`, null, {
        ...BLANK_JOB,
        name: job.name,
        about: job.about,
        rank: j,
        country: job.country,
        currency: job.currency,
      });
      for (const [r, room] of job.rooms.entries()) {
        // A room that came later draws its own noise: the others stay as they were.
        const facts = await seedRoom(put, `demo-${job.slug}`, room, r, room.scan ? seeded(SEED + 2) : chance);
        await seedDamp(put, `demo-${room.slug}`, room, { walls: room.walls, fixtures: [] }, seededAt, air);
        await seedUnder(put, `demo-${room.slug}`, room, seededAt);
        await seedLay(put, facts, room, seededAt);
      }
      await seedJob(put, job.slug, seededAt);
    }
    await seedPhotos(put, photos);
  });
  for (const { id, picture } of photos) await savePicture(store, id, picture, seededAt);
  return count;
}

async function seedRoom(
  put: Put,
  jobId: string,
  room: DemoRoom,
  rank: number,
  chance: () => number,
): Promise<RoomFacts> {
  const id = `demo-${room.slug}`;
  const { name, walls, baseKind, cardId, units } = room;
  const openings = room.openings.map((o, i) => ({ ...newOpening(`${id}-opening-${i + 1}`, 0, 0, 800), ...o }));
  const fixtures = (room.fixtures ?? []).map((f, i) => ({
    ...newFixture(`${id}-fixture-${i + 1}`, f.kind!, { xMm: 0, yMm: 0 }, 0),
    ...f,
  }));
  const shape = {
    ...BLANK_SHAPE,
    walls,
    openings,
    fixtures,
    lines: room.lines ?? [],
    base: { ...UNKNOWN_BASE, ...room.base },
  };
  const body = {
    jobId,
    name,
    rank,
    ...shape,
    baseKind,
    cardId,
    units,
    spacingMm: null,
    contactsOnly: false,
  };
  await put('rooms', id, null, body);
  await seedOldFloor(put, id, room);
  const plan = planOf(shape);
  const card = findCard(DEMO_CARDS, cardId)!;
  const proposed = stationsOf(plan, defaultSpacingMm(card.rules), [], [], entryPoint(shape, plan));
  const stations = room.scan ? stationsToRead(plan, proposed, room.scan.chest) : proposed;
  const read = stations.slice(0, Math.round(stations.length * room.readShare));
  const startedAt = new Date(STARTED + rank * 90 * 60_000).toISOString();
  await seedScan(put, id, room, plan, (x, y) => truthAt(room, x, y), startedAt);
  await seedLevelled(put, id, room, stations, truthAt, STARTED + rank * 90 * 60_000);
  const step = units === 'imperial' ? 25.4 / 16 : 0.5;
  for (const [s, setup] of room.setups.entries()) {
    const setupId = `${id}-setup-${setup.name.toLowerCase()}`;
    const from = Math.round(setup.fromShare * read.length);
    const to = Math.round((room.setups[s + 1]?.fromShare ?? 1) * read.length);
    const at = (n: number) => new Date(STARTED + (rank * 90 + s * 40) * 60_000 + n * 9_000).toISOString();
    const openRodMm = units === 'imperial' ? roundTo(setup.benchMm, step) : setup.benchMm;
    const closeRodMm = setup.closingMm === null ? null : roundTo(openRodMm + setup.closingMm, 0.1);
    await put('setups', setupId, id, { name: setup.name, openRodMm, closeRodMm, startedAt: at(0) });
    for (const [n, station] of read.slice(from, to).entries()) {
      const rod = openRodMm - truthAt(room, station.xMm, station.yMm) + NOISE_MM * normal(chance);
      await put('readings', `${setupId}-${String(n + 1).padStart(3, '0')}`, id, {
        setupId,
        stationKey: station.key,
        xMm: station.xMm,
        yMm: station.yMm,
        rodMm: roundTo(rod, step),
        takenAt: at(n + 1),
        note: '',
      });
    }
  }
  // An hour later, with everything read.
  const triedAt = new Date(STARTED + (rank * 90 + 60) * 60_000).toISOString();
  await seedHeights(put, id, room, triedAt);
  for (const [n, { from, to, atMm, gapMm }] of (room.tried ?? []).entries())
    await put('edgeWalks', `${id}-edge-${n + 1}`, id, {
      fromXMm: from[0],
      fromYMm: from[1],
      toXMm: to[0],
      toYMm: to[1],
      tool: 'straightedge',
      contactsMm: [0, Math.round(Math.hypot(to[0] - from[0], to[1] - from[1]))],
      gaps: [{ atMm, gapMm }],
      rocksMm: null,
      takenAt: triedAt,
      note: '',
      asked: true,
    });
  return { id, ...body };
}
