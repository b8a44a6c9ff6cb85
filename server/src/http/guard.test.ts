import { mkdtempSync, rmSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import request from 'supertest';
import { openStore } from '../store/open.ts';
import type { Store } from '../store/store.ts';
import { createApp } from './app.ts';

let folder: string;
let store: Store;
const app = (more: object = {}) => request(createApp({ store, ...more }));

beforeAll(async () => {
  folder = mkdtempSync(join(tmpdir(), 'maquette-'));
  store = await openStore(folder, join(__dirname, '../../migrations'));
});
afterAll(() => {
  store.close();
  rmSync(folder, { recursive: true, force: true });
});

const book = (headers: Record<string, string>, more?: object) => app(more).get('/api/book').set(headers);

test.each(['localhost', 'localhost:4310', '127.0.0.1:80', '[::1]:4310'])(
  'the machine itself is answered as %s',
  (Host) => book({ Host }).expect(200),
);

test.each(['sluice.invalid', '127.0.0.1.sluice.invalid', 'localhost.sluice.invalid', '10.0.0.7', 'a b'])(
  'another name, %s, is answered with nothing: 421',
  async (Host) => {
    const answer = await book({ Host }).expect(421);
    expect(answer.body).toMatchObject({ title: 'This server does not answer to that name' });
  },
);

test.each(['http://sluice.invalid', 'null', 'file://', 'https://localhost.sluice.invalid:4310'])(
  'a page of %s may not send: 403',
  (Origin) => book({ Host: 'localhost', Origin }).expect(403),
);

test('a page of the server’s own may send, and a name that was allowed is answered', async () => {
  await book({ Host: 'localhost:4310', Origin: 'http://localhost:4310' }).expect(200);
  await book({ Host: 'Van.local:4310', Origin: 'http://van.local:4310' }, { hosts: ['van.local'] }).expect(200);
  await book({ Host: 'van.local' }).expect(421);
});

test('more than so many requests a minute are told to wait', async () => {
  const api = app({ requestsAMinute: 3 });
  for (let n = 0; n < 3; n++) await api.get('/api/health').expect(200);
  const answer = await api.get('/api/health').expect(429);
  expect(answer.headers['retry-after']).toMatch(/^[1-9]\d?$/);
  expect(answer.body).toMatchObject({ status: 429 });
});

test('what the API answers carries the headers that pages carry', async () => {
  const { headers } = await app().get('/api/health').expect(200);
  expect(headers['content-security-policy']).toContain("default-src 'self'");
  expect(headers['content-security-policy']).toContain("frame-ancestors 'none'");
  expect(headers).toMatchObject({
    'x-content-type-options': 'nosniff',
    'cross-origin-resource-policy': 'same-origin',
    'referrer-policy': 'no-referrer',
    'x-maquette-api': '1',
  });
  expect(headers['x-powered-by']).toBeUndefined();
});
