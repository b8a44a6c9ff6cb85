import { mkdtempSync, readdirSync, rmSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import request from 'supertest';
import { openStore } from '../store/open.ts';
import type { Store } from '../store/store.ts';
import { createApp } from './app.ts';
import { buildRoom, reading, write } from './invented-room.ts';

let folder: string;
let store: Store;
let api: ReturnType<typeof request>;
const migrations = join(__dirname, '../../migrations');
const now = () => '2026-05-04T08:00:00.000Z';

beforeEach(async () => {
  folder = mkdtempSync(join(tmpdir(), 'maquette-'));
  store = await openStore(folder, migrations);
  api = request(createApp({ store, now }));
});
afterEach(() => {
  store.close();
  rmSync(folder, { recursive: true, force: true });
});

test('a whole job goes out and comes in again without loss, history and removed facts too', async () => {
  await buildRoom(api);
  const path = '/api/rooms/room-1/readings/read-1';
  await api.put(path).send({ ...write(), ...reading });
  await api.put(path).send({ ...write(1), ...reading, rodMm: 1350 });
  await api.put('/api/rooms/room-1/readings/read-2').send({ ...write(), ...reading, stationKey: 'p2' });
  await api.put('/api/rooms/room-1/readings/read-2').send({ ...write(1, true), ...reading, stationKey: 'p2' });
  const file = (await api.get('/api/jobs/job-1/file').expect(200)).body;

  const elsewhere = mkdtempSync(join(tmpdir(), 'maquette-'));
  const other = await openStore(elsewhere, migrations);
  const there = request(createApp({ store: other, now }));
  const answer = await there.post('/api/job-files').send(file).expect(201);
  expect(answer.body).toMatchObject({ jobId: 'job-1', stored: file.facts.length });
  expect((await there.get('/api/jobs/job-1/file')).body.facts).toEqual(file.facts);
  // The same file again stores nothing; a copy stands beside it.
  expect((await there.post('/api/job-files').send(file)).body).toMatchObject({
    stored: 0,
    unchanged: file.facts.length,
  });
  const copy = await there.post('/api/job-files?copy=1').send(file).expect(201);
  expect(copy.body.jobId).not.toBe('job-1');
  expect((await there.get('/api/book')).body.jobs).toHaveLength(2);
  // A fact held in another state stops the whole file.
  await there.put(path).send({ ...write(2), ...reading, rodMm: 1360 });
  await there.post('/api/job-files').send(file).expect(409);
  other.close();
  rmSync(elsewhere, { recursive: true, force: true });
});

test('a job file touches nothing of another job: not by its id, not by a room that is held elsewhere', async () => {
  await buildRoom(api);
  const { body: file } = await api.get('/api/jobs/job-1/file').expect(200);
  type Filed = { kind: string; id: string; body: Record<string, unknown> };
  // The same room under a job of the forger's own: what lies in it would land in the job that holds the room.
  const forged = {
    ...file,
    facts: (file.facts as Filed[]).map((fact) => {
      if (fact.kind === 'jobs') return { ...fact, id: 'job-9' };
      return fact.kind === 'rooms' ? { ...fact, body: { ...fact.body, jobId: 'job-9' } } : fact;
    }),
  };
  await api.post('/api/job-files').send(forged).expect(409);
  expect((await api.get('/api/book')).body.jobs).toHaveLength(1);
});

test('what is wrong with a file is told by path and line; nothing of it is stored, and nothing of it stays', async () => {
  await buildRoom(api);
  await api
    .put('/api/rooms/room-1/readings/read-1')
    .send({ ...write(), ...reading })
    .expect(201);
  const { body: file } = await api.get('/api/jobs/job-1/file').expect(200);
  const text = JSON.stringify(file, null, 1).replace('"rodMm": 1340.5', '"rodMm": 99999');
  const at = text.slice(0, text.indexOf('99999')).split('\n').length;
  const sent = await api.post('/api/job-files?copy=1').set('Content-Type', 'application/json').send(text).expect(422);
  const [first] = sent.body.errors;
  expect(first).toMatchObject({ field: 'facts[3].body.rodMm', value: 99999 });
  // The line on which the fact begins, a dozen above the figure.
  expect(at - first.line).toBeGreaterThan(0);
  expect(
    text
      .split('\n')
      .slice(first.line - 1, at)
      .join(''),
  ).toMatch(/^ *\{ *"kind": "readings"/);
  expect(sent.body.detail).toContain(`Line ${first.line}, facts[3].body.rodMm`);
  const broken = await api.post('/api/job-files').set('Content-Type', 'application/json').send(text.slice(0, -30));
  expect([broken.status, broken.body.detail]).toEqual([400, expect.stringMatching(/^Line \d+ cannot be read/)]);
  expect((await api.get('/api/book')).body.jobs).toHaveLength(1);
  expect(readdirSync(folder).filter((name) => name.startsWith('.import-'))).toEqual([]);
});

test('an import can be asked how far it is, and its name is taken once at a time', async () => {
  await buildRoom(api);
  const { body: file } = await api.get('/api/jobs/job-1/file').expect(200);
  await api.get('/api/job-files/mine').expect(404);
  const sent = api.post('/api/job-files?as=mine&copy=1').send(file);
  const [answer, second] = await Promise.all([sent, api.post('/api/job-files?as=mine&copy=1').send(file)]);
  expect([answer.status, second.status].sort()).toEqual([201, 409]);
  // Whoever asked for it to stop learns whether that was in time.
  const book = (await api.get('/api/book')).body;
  const { body: end } = await api.get('/api/job-files/mine').expect(200);
  expect(book.jobs.map(({ id }: { id: string }) => id)).toContain(end.jobId);
  await api.post('/api/job-files?as=wrong').send('{').expect(400);
  expect((await api.get('/api/job-files/wrong').expect(200)).body).toEqual({ jobId: null });
  await api.post('/api/job-files?as=../x').send(file).expect(422);
  expect((await api.get('/api/book')).body.jobs).toHaveLength(2);
});
