import { WORK_STATIONS_MOST } from '@maquette/core/flat/facts';
import { BLANK_JOB } from '@maquette/core/job';
import { mkdtempSync, rmSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import request from 'supertest';
import { bodyOf } from '@maquette/facts';
import { seedDemo } from '../demo/seed.ts';
import { openStore } from '../store/open.ts';
import type { Store } from '../store/store.ts';
import { createApp } from './app.ts';
import { buildRoom, reading, room, wall, write } from './invented-room.ts';

/** When the demo is seeded: the same for every run. */
const SEEDED = '2026-10-06T07:00:00.000Z';

let folder: string;
let store: Store;
let api: ReturnType<typeof request>;
const migrations = join(__dirname, '../../migrations');

beforeEach(async () => {
  folder = mkdtempSync(join(tmpdir(), 'maquette-'));
  store = await openStore(folder, migrations);
  api = request(createApp({ store, now: () => '2026-05-04T08:00:00.000Z' }));
});

afterEach(() => {
  store.close();
  rmSync(folder, { recursive: true, force: true });
});

const build = () => buildRoom(api);

test('a reading sent twice is one reading', async () => {
  await build();
  const body = { ...write(), ...reading };
  await api.put('/api/rooms/room-1/readings/read-1').send(body).expect(201);
  const again = await api.put('/api/rooms/room-1/readings/read-1').send(body).expect(200);
  expect(again.body).toMatchObject({ version: 1, rodMm: 1340.5 });
  expect((await api.get('/api/rooms/room-1/facts')).body.readings).toHaveLength(1);
});

test('an edit on an old version shows what is held; nothing is lost', async () => {
  await build();
  const path = '/api/rooms/room-1/readings/read-1';
  await api.put(path).send({ ...write(), ...reading });
  await api
    .put(path)
    .send({ ...write(1), ...reading, rodMm: 1341 })
    .expect(200);
  const clash = await api
    .put(path)
    .send({ ...write(1), ...reading, rodMm: 1399 })
    .expect(409);
  expect(clash.body).toMatchObject({ status: 409, current: { version: 2, rodMm: 1341 } });
  const history = (await api.get(`${path}/history`)).body;
  expect(history.current.rodMm).toBe(1341);
  expect(history.replaced.map((r: { body: { rodMm: number } }) => r.body.rodMm)).toEqual([1340.5]);
});

test('a write that lost its answer and was followed by another still counts once', async () => {
  await build();
  const path = '/api/rooms/room-1/readings/read-1';
  const first = { ...write(), ...reading };
  await api.put(path).send(first);
  await api.put(path).send({ ...write(1), ...reading, rodMm: 1341 });
  await api.put(path).send(first).expect(200);
  expect((await api.get('/api/rooms/room-1/facts')).body.readings[0]).toMatchObject({ version: 2, rodMm: 1341 });
});

test('removing marks; undoing brings it back with its history', async () => {
  await build();
  const path = '/api/rooms/room-1/readings/read-1';
  await api.put(path).send({ ...write(), ...reading });
  await api
    .put(path)
    .send({ ...write(1, true), ...reading })
    .expect(200);
  expect((await api.get('/api/rooms/room-1/facts')).body.readings).toEqual([]);
  await api
    .put(path)
    .send({ ...write(2), ...reading })
    .expect(200);
  expect((await api.get('/api/rooms/room-1/facts')).body.readings).toHaveLength(1);
});

test.each([
  ['a rod out of range', { rodMm: 9000 }, 'rodMm', 9000, '0 to 5000'],
  ['a rod in words', { rodMm: 'long' }, 'rodMm', 'long', '0 to 5000'],
  ['an unknown field', { colour: 'blue' }, 'colour', 'blue', 'known'],
  ['no time', { takenAt: null }, 'takenAt', null, 'time'],
])('%s is refused with field, value and range', async (_, part, field, value, words) => {
  await build();
  const answer = await api
    .put('/api/rooms/room-1/readings/read-1')
    .send({ ...write(), ...reading, ...part })
    .expect(422);
  expect(answer.headers['content-type']).toContain('application/problem+json');
  expect(answer.body.errors[0]).toMatchObject({ field, value });
  expect(answer.body.errors[0].message).toContain(words);
  expect((await api.get('/api/rooms/room-1/facts')).body.readings).toEqual([]);
});

test('a room that crosses itself is refused with the wall named', async () => {
  await build();
  const walls = [wall(4000), wall(3000), wall(2000), wall(4000, -90), wall(2000, -90), wall(1000, 170)];
  const answer = await api
    .put('/api/rooms/room-1')
    .send({ ...write(1), ...room, walls })
    .expect(422);
  expect(answer.body.errors[0]).toMatchObject({ field: 'walls', message: 'W4 crosses W1' });
});

test('what belongs to nothing is refused', async () => {
  await build();
  await api
    .put('/api/rooms/none-such')
    .send({ ...write(), ...room, jobId: 'job-none' })
    .expect(404);
  await api
    .put('/api/rooms/room-9/readings/read-1')
    .send({ ...write(), ...reading })
    .expect(404);
  await api
    .put('/api/rooms/room-1/readings/read-1')
    .send({ ...write(), ...reading, setupId: 'setup-9' })
    .expect(404);
  await api.put('/api/cards/shipped-laminate').send(write()).expect(422);
  await api.get('/api/rooms/room-9/facts').expect(404);
  await api.get('/api/nothing').expect(404);
});

test('bodies that are too large or no JSON are refused in words', async () => {
  const large = await api
    .put('/api/jobs/job-1')
    .send({ ...write(), name: 'x'.repeat(80_000), ...BLANK_JOB, rank: 0 })
    .expect(413);
  expect(large.body.title).toContain('too large');
  await api.put('/api/jobs/job-1').set('content-type', 'application/json').send('{"name":').expect(400);
});

test('twenty devices writing at once all get their answer and every write is there', async () => {
  await build();
  const answers = await Promise.all(
    Array.from({ length: 200 }, (_, i) =>
      api.put(`/api/rooms/room-1/readings/read-${i}`).send({ ...write(), ...reading, stationKey: `p${i}` }),
    ),
  );
  expect(answers.every((a) => a.status === 201)).toBe(true);
  expect((await api.get('/api/rooms/room-1/facts')).body.readings).toHaveLength(200);
});

test('one bad write among many spoils no other', async () => {
  await build();
  const works = Array.from({ length: 10 }, (_, i) =>
    store.write(async () => {
      if (i === 4) throw new Error('no');
      return i;
    }),
  );
  const settled = await Promise.allSettled(works);
  expect(settled.map((s) => s.status)).toEqual(
    Array.from({ length: 10 }, (_, i) => (i === 4 ? 'rejected' : 'fulfilled')),
  );
});

test('the demo seeds the same facts at every run, and only into an empty book', async () => {
  const n = await seedDemo(store, async () => true, SEEDED);
  expect(n).toBeGreaterThan(400);
  expect(await seedDemo(store, async () => false, SEEDED)).toBe(0);
  const facts = (await api.get('/api/rooms/demo-parlour/facts')).body;
  expect(facts.readings[0]).toMatchObject({ id: 'demo-parlour-setup-a-001', rodMm: expect.any(Number) });
  const book = (await api.get('/api/book')).body;
  expect(book.jobs.map((j: { name: string }) => j.name)).toEqual(['Sluice House', 'Fennimore Hall']);
});

test('a scan of a whole hall is one fact: stored as it was sent, also where nothing was seen', async () => {
  await api.put('/api/jobs/job-1').send({ ...BLANK_JOB, ...write(), name: 'Sluice House', rank: 0 });
  await api.put('/api/rooms/room-1').send({ ...room, ...write() });
  const heightsTenthMm = Array.from({ length: 240 * 160 }, (_, i) => (i % 7 === 0 ? null : (i % 90) - 45));
  const scan = {
    fileName: 'hall.ply',
    points: 900_000,
    takenAt: '2026-05-04T09:00:00.000Z',
    cellMm: 50,
    nx: 240,
    ny: 160,
    x0Mm: 0,
    y0Mm: 0,
    heightsTenthMm,
    noiseMm: 0.4,
    turnDeg: 12,
    xMm: 6000,
    yMm: 4000,
    note: '',
  };
  await api
    .put('/api/rooms/room-1/scans/scan-1')
    .send({ ...scan, ...write() })
    .expect(201);
  const { body } = await api.get('/api/rooms/room-1/facts').expect(200);
  expect(body.scans).toHaveLength(1);
  expect(body.scans[0].heightsTenthMm).toEqual(heightsTenthMm);
  const refused = await api.put('/api/rooms/room-1/scans/scan-2').send({ ...scan, nx: 241, ...write() });
  expect(refused.status).toBe(422);
  expect(refused.body.errors[0]).toMatchObject({ field: 'heightsTenthMm' });
});

test('a write is answered with a receipt for itself, also when it comes again after the fact has gone on', async () => {
  await build();
  const first = { ...write(), ...reading };
  const receipts = [];
  for (const body of [first, { ...write(1), ...reading, rodMm: 1341 }, first]) {
    const answer = await api.put('/api/rooms/room-1/readings/reading-1').send(body);
    receipts.push([answer.status, answer.headers['x-maquette-api'], answer.headers['x-maquette-receipt']]);
  }
  expect(receipts.map(([status, ours]) => [status, ours])).toEqual([
    [201, '1'],
    [200, '1'],
    [200, '1'],
  ]);
  expect(receipts[0]![2]).toBe(`${first.writeId} 1`);
  expect(receipts[1]![2]).toMatch(/ 2$/);
  expect(receipts[2]![2]).toBe(receipts[0]![2]);
  const refused = await api.put('/api/rooms/room-1/readings/reading-1').send({ ...write(1), ...reading });
  expect([refused.status, refused.headers['x-maquette-receipt']]).toEqual([409, undefined]);
});

test('what was removed stands in a place of its own, and comes back with everything in it', async () => {
  await build();
  await api
    .put('/api/rooms/room-1/readings/read-1')
    .send({ ...write(), ...reading })
    .expect(201);
  const { body: held } = await api.get('/api/book');
  const { version } = held.rooms[0];
  const body = bodyOf(held.rooms[0] as object);
  await api
    .put('/api/rooms/room-1')
    .send({ ...body, ...write(version, true) })
    .expect(200);
  expect((await api.get('/api/book')).body.rooms).toEqual([]);
  // Who goes on writing in it is told, with what was removed; what was written before is there.
  const late = await api.put('/api/rooms/room-1/readings/read-2').send({ ...write(), ...reading });
  expect([late.status, late.body.removed]).toMatchObject([410, { kind: 'rooms', fact: { version: version + 1 } }]);
  const removed = (await api.get('/api/removed').expect(200)).body;
  expect(removed).toMatchObject([{ kind: 'rooms', fact: { id: 'room-1', name: 'Parlour', version: version + 1 } }]);
  await api
    .put('/api/rooms/room-1')
    .send({ ...body, ...write(version + 1) })
    .expect(200);
  expect((await api.get('/api/removed')).body).toEqual([]);
  expect((await api.get('/api/rooms/room-1/facts')).body.readings).toHaveLength(1);
});

test('what was levelled is taken with as many stations as it may have, and refused with one more', async () => {
  await build();
  const predicted = Array.from({ length: WORK_STATIONS_MOST }, (_, n) => ({
    stationKey: `f${n}:${n}`,
    xMm: n + 0.5,
    yMm: n + 0.25,
    beforeMm: -1.2345,
    afterMm: -2.3456,
  }));
  const work = {
    ...{ way: 'mixed', doneAt: '2026-05-04T09:00:00.000Z', product: 'Compound', batch: 'B1', bagsPlanned: 9 },
    ...{ bagsUsed: 8, tempC: 18, rhPercent: 50, note: '' },
  };
  const put = (list: object[]) =>
    api.put('/api/rooms/room-1/works/work-1').send({ ...work, predicted: list, ...write() });
  const refused = await put([...predicted, predicted[0]!]);
  expect([refused.status, refused.body.errors[0].field]).toEqual([422, 'predicted']);
  await put(predicted).expect(201);
  expect((await api.get('/api/rooms/room-1/facts')).body.works[0].predicted).toHaveLength(WORK_STATIONS_MOST);
});
