import { mkdtempSync, rmSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import fc from 'fast-check';
import request from 'supertest';
import { openStore } from '../store/open.ts';
import type { Store } from '../store/store.ts';
import { createApp } from './app.ts';
import { hostile } from './invented-requests.ts';

let folder: string;
let store: Store;
let api: ReturnType<typeof request>;

beforeAll(async () => {
  folder = mkdtempSync(join(tmpdir(), 'maquette-'));
  store = await openStore(folder, join(__dirname, '../../migrations'));
  api = request(createApp({ store, requestsAMinute: 1_000_000 }));
});
afterAll(() => {
  store.close();
  rmSync(folder, { recursive: true, force: true });
});

test('nothing that is sent has the server fail: what it cannot take it refuses', async () => {
  await fc.assert(
    fc.asyncProperty(hostile, async (sent) => {
      const answer = await api[sent.method](sent.path).set('Content-Type', 'application/json').send(sent.body);
      expect([sent.path, answer.status < 500]).toEqual([sent.path, true]);
    }),
    { numRuns: 1200, seed: 14 },
  );
}, 240_000);

test.each(['text/plain', 'application/json; charset=utf-7', 'application/json; charset=x', 'multipart/form-data', ''])(
  'a body called %j is refused or read, and never fails',
  async (type) => {
    const answer = await api.put('/api/jobs/job-1').set('Content-Type', type).send('{"a":1}');
    expect(answer.status).toBeGreaterThanOrEqual(400);
    expect(answer.status).toBeLessThan(500);
  },
);
