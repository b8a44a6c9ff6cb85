import { BLANK_JOB } from '@maquette/core/job';
import { BLANK_SHAPE, rectangleWalls } from '@maquette/core/room';
import { mkdtempSync, readdirSync, rmSync } from 'node:fs';
import { createServer } from 'node:http';
import type { AddressInfo } from 'node:net';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import sharp from 'sharp';
import request from 'supertest';
import { openStore, type Store } from '../store/open.ts';
import { createApp } from './app.ts';

let folder: string;
let store: Store;
let api: ReturnType<typeof request>;
const migrations = join(__dirname, '../../migrations');
const now = () => '2026-05-04T08:00:00.000Z';
let count = 0;
const write = () => ({ baseVersion: 0, deleted: false, writeId: `w-${++count}` });

beforeEach(async () => {
  folder = mkdtempSync(join(tmpdir(), 'maquette-'));
  store = await openStore(folder, migrations);
  api = request(createApp({ store, now }));
  await api.put('/api/jobs/job-1').send({ ...write(), ...BLANK_JOB, name: 'Sluice House', rank: 0 });
  await api.put('/api/rooms/room-1').send({
    ...write(),
    ...BLANK_SHAPE,
    jobId: 'job-1',
    name: 'Kitchen',
    rank: 0,
    walls: rectangleWalls(4000, 3000),
    baseKind: 'panels-on-joists',
    cardId: 'shipped-laminate',
    units: 'metric',
    spacingMm: null,
    contactsOnly: false,
  });
  await api.put('/api/rooms/room-1/photos/photo-1').send({
    ...write(),
    about: 'room',
    aboutId: 'room-1',
    xMm: 100,
    yMm: 200,
    takenAt: now(),
    note: '',
  });
});

afterEach(() => {
  store.close();
  rmSync(folder, { recursive: true, force: true });
});

const picture = (withPlace = true) =>
  sharp({ create: { width: 2600, height: 1300, channels: 3, background: '#A8452E' } })
    .jpeg()
    .withExif(
      withPlace ? { IFD0: { Make: 'Invented' }, IFD3: { GPSLatitudeRef: 'N', GPSLatitude: '51/1 30/1 0/1' } } : {},
    )
    .toBuffer();
const path = '/api/rooms/room-1/photos/photo-1/picture';
const put = (content: Buffer) => api.put(path).set('Content-Type', 'image/jpeg').send(content);

test('a picture arrives once, made smaller, without what the camera wrote of its place', async () => {
  const sent = await picture();
  expect((await sharp(sent).metadata()).exif).toBeDefined();
  await put(sent).expect(201);
  const again = await put(sent).expect(200);
  expect(again.body).toMatchObject({ widthPx: 2000, heightPx: 1000 });
  expect(readdirSync(join(folder, 'photos'))).toEqual([`${again.body.sha256}.jpg`]);
  const got = await api.get(path).expect(200).expect('Content-Type', 'image/jpeg');
  expect((await sharp(got.body as Buffer).metadata()).exif).toBeUndefined();
});

test('type is told by content, not by what it is called', async () => {
  const refused = await put(Buffer.from('%PDF-1.7 not a picture')).expect(415);
  expect(refused.body.title).toContain('JPEG, PNG or WebP');
  const svg = await put(Buffer.from('<svg xmlns="http://www.w3.org/2000/svg" width="4" height="4"/>')).expect(415);
  expect(svg.body.title).toContain('svg');
  await api.get(path).expect(404);
});

test('a picture of nothing is refused, and an empty one', async () => {
  await api
    .put('/api/rooms/room-1/photos/photo-9/picture')
    .set('Content-Type', 'image/jpeg')
    .send(await picture())
    .expect(404);
  await api
    .put('/api/rooms/room-2/photos/photo-1/picture')
    .set('Content-Type', 'image/jpeg')
    .send(await picture())
    .expect(404);
  await api.put(path).set('Content-Type', 'image/jpeg').expect(400);
});

test('a whole job carries its pictures, also into a copy', async () => {
  await put(await picture(false)).expect(201);
  const file = (await api.get('/api/jobs/job-1/file').expect(200)).body;
  expect(file.pictures).toHaveLength(1);
  await api.post('/api/job-files?copy=1').send(file).expect(201);
  const book = (await api.get('/api/book')).body;
  const copied = book.rooms.find((r: { id: string }) => r.id !== 'room-1');
  const { photos } = (await api.get(`/api/rooms/${copied.id}/facts`)).body;
  await api.get(`/api/rooms/${copied.id}/photos/${photos[0].id}/picture`).expect(200);
  await api
    .post('/api/job-files')
    .send({ ...file, pictures: [{ photoId: 'photo-1', jpegBase64: 7 }] })
    .expect(422);
});

test('the simulated meter streams lengths near the wall it is held to', async () => {
  const server = createServer(createApp({ store, now })).listen(0);
  const { port } = server.address() as AddressInfo;
  const stop = new AbortController();
  const answer = await fetch(`http://127.0.0.1:${port}/api/instruments/distance-meter?wall=1`, { signal: stop.signal });
  expect(answer.headers.get('content-type')).toContain('text/event-stream');
  const reader = answer.body!.getReader();
  const lengths: number[] = [];
  let text = '';
  while (lengths.length < 2) {
    text += new TextDecoder().decode((await reader.read()).value);
    lengths.splice(0, lengths.length, ...[...text.matchAll(/"lengthMm":([\d.]+)/g)].map((m) => Number(m[1])));
  }
  stop.abort();
  server.closeAllConnections();
  await new Promise((resolve) => server.close(resolve));
  // The parlour's second wall is 4200 mm; a miss reads shorter, never longer.
  expect(Math.max(...lengths)).toBeLessThan(4205);
  expect(Math.min(...lengths)).toBeGreaterThan(2000);
  await api.get('/api/instruments/distance-meter?wall=99').expect(422);
});
