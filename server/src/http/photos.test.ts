import { BLANK_JOB } from '@maquette/core/job';
import { BLANK_SHAPE, rectangleWalls } from '@maquette/core/room';
import { mkdtempSync, readdirSync, readFileSync, rmSync, writeFileSync } from 'node:fs';
import { createServer } from 'node:http';
import type { AddressInfo } from 'node:net';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { crc32 } from 'node:zlib';
import sharp from 'sharp';
import request from 'supertest';
import { openStore } from '../store/open.ts';
import type { Store } from '../store/store.ts';
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

const files = () => readdirSync(join(folder, 'photos'));

test('a picture whose file is gone or damaged is said to be so, comes back when sent again, and breaks no export', async () => {
  const content = await picture();
  await put(content).expect(201);
  const [name] = files();
  const file = join(folder, 'photos', name!);
  const whole = readFileSync(file);
  for (const harm of [() => rmSync(file), () => writeFileSync(file, whole.subarray(0, 900))]) {
    harm();
    const said = await api.get(path).expect(410);
    expect(said.body.title).toMatch(/missing or damaged here/);
    const exported = await api.get('/api/jobs/job-1/file').expect(200);
    expect(exported.body.pictures).toEqual([]);
    await put(content).expect(201);
    await api.get(path).expect(200);
    expect(readFileSync(file).equals(whole)).toBe(true);
  }
});

test('the same picture sent four times at once is one picture, and nothing is left half written', async () => {
  const content = await picture();
  const answers = await Promise.all([1, 2, 3, 4].map(() => put(content)));
  expect(answers.map(({ status }) => Math.floor(status / 100))).toEqual([2, 2, 2, 2]);
  expect(files()).toHaveLength(1);
});

test('what a crash left half written goes at start; whole pictures stay', async () => {
  await put(await picture()).expect(201);
  writeFileSync(join(folder, 'photos', '.part-left'), 'half');
  writeFileSync(join(folder, '.copy-left.sqlite'), 'half');
  store.close();
  store = await openStore(folder, migrations);
  expect(files()).toHaveLength(1);
  expect(readdirSync(folder).filter((name) => name.startsWith('.copy'))).toEqual([]);
});

/** A PNG of one colour says its size at once and unpacks to as many pixels as it says. */
const claims = (width: number, height: number) => {
  const head = Buffer.alloc(33);
  Buffer.from('89504e470d0a1a0a0000000d49484452', 'hex').copy(head);
  head.writeUInt32BE(width, 16);
  head.writeUInt32BE(height, 20);
  head.set([8, 2, 0, 0, 0], 24);
  head.writeInt32BE(crc32(head.subarray(12, 29)) | 0, 29);
  return Buffer.concat([head, Buffer.from('00000000494441540000000049454e44ae426082', 'hex')]);
};

test.each([
  ['a picture of 59 million pixels', claims(9800, 6020), /9800 by 6020 pixels: at most 25 million/],
  [
    'a drawing of a million parts',
    Buffer.from(`<svg xmlns="http://www.w3.org/2000/svg">${'<g>'.repeat(1e6)}`),
    /^svg: /,
  ],
  ['a film', Buffer.from('GIF89a and more'), /^gif: /],
  ['a photograph as some phones keep it', Buffer.from('\0\0\0\x18ftypheic'), /^heic: /],
])('%s is refused by how it begins', async (_, content, words) => {
  const answer = await put(content).expect(415);
  expect(answer.body.title).toMatch(words);
});

test('a job file with a picture that cannot be read brings nothing in, and names it', async () => {
  await put(await picture()).expect(201);
  const { body: file } = await api.get('/api/jobs/job-1/file').expect(200);
  const copy = { ...file, pictures: [{ ...file.pictures[0], jpegBase64: 'AAAA' }] };
  const refused = await api.post('/api/job-files?copy=1').send(copy).expect(422);
  expect(refused.body.errors).toMatchObject([{ field: 'pictures[0].jpegBase64' }]);
  expect((await api.get('/api/book')).body.jobs).toHaveLength(1);
});
