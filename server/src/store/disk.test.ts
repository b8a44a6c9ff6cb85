import { mkdtempSync, rmSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import request from 'supertest';
import { createApp } from '../http/app.ts';
import { buildRoom, reading, write } from '../http/invented-room.ts';
import { freeShareOf, isDiskFailing, watchDisk } from './disk.ts';
import { openStore } from './open.ts';
import type { Store } from './store.ts';

let folder: string;
let store: Store;
beforeEach(async () => {
  folder = mkdtempSync(join(tmpdir(), 'maquette-'));
  store = await openStore(folder, join(__dirname, '../../migrations'));
});
afterEach(() => {
  store.close();
  rmSync(folder, { recursive: true, force: true });
});

test('a disk short of room is told with every answer, one that has enough is not', async () => {
  for (const [share, said] of [
    [0.074, 'low 7'],
    [0.1, undefined],
    [0.6, undefined],
  ] as const) {
    const disk = watchDisk(folder, 10, async () => share);
    await Promise.resolve();
    const answer = await request(createApp({ store, disk })).get('/api/book').expect(200);
    expect(answer.headers['x-maquette-disk']).toBe(said);
  }
  expect(await freeShareOf(folder)).toBeGreaterThan(0);
});

test('a write that the disk refuses is told to all until one succeeds; the writer is told that nothing was stored', async () => {
  const disk = watchDisk(folder, 10, async () => 0.5);
  const straight = store.write;
  const api = request(createApp({ store, disk }));
  await buildRoom(api);
  const put = () => api.put('/api/rooms/room-1/readings/read-1').send({ ...write(), ...reading });
  store.write = async () => {
    throw Object.assign(new Error('database or disk is full'), { code: 'SQLITE_FULL' });
  };
  const refused = await put();
  expect([refused.status, refused.headers['x-maquette-disk'], refused.headers['x-maquette-receipt']]).toEqual([
    500,
    'failing',
    undefined,
  ]);
  expect((await api.get('/api/book')).headers['x-maquette-disk']).toBe('failing');
  store.write = straight;
  await put().expect(201);
  expect((await api.get('/api/book')).headers['x-maquette-disk']).toBeUndefined();
});

test.each([
  ['SQLITE_IOERR: disk I/O error', true],
  ['ENOSPC: no space left on device, write', true],
  ['EROFS: read-only file system', true],
  ['SQLITE_CONSTRAINT: UNIQUE constraint failed', false],
  ['fetch failed', false],
])('%j is the disk: %s', (message, is) => {
  expect(isDiskFailing(new Error('Failed query', { cause: new Error(message) }))).toBe(is);
});
