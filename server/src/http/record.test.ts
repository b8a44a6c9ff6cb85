import { spawnSync } from 'node:child_process';
import { createHash, generateKeyPairSync } from 'node:crypto';
import { mkdirSync, mkdtempSync, rmSync, writeFileSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { dirname, join } from 'node:path';
import { strFromU8, unzipSync, zipSync } from 'fflate';
import sharp from 'sharp';
import request from 'supertest';
import { BLANK_JOB } from '@maquette/core/job';
import { chained, chainText, readChain, type BundleEntry } from '@maquette/core/seal';
import { seeded } from '@maquette/core/units';
import { sealedBundle } from '../seal/bundle.ts';
import { checkBundle } from '../seal/page/check-bundle.ts';
import { shownJobFile } from '../seal/bundle-parts.ts';
import { chainOn, keptChain } from '../seal/kept-chain.ts';
import { writeJobFile } from '../store/job-file.ts';
import { openStore } from '../store/open.ts';
import type { Store } from '../store/store.ts';
import { createApp } from './app.ts';
import { buildRoom, reading, write } from './invented-room.ts';

const migrations = join(__dirname, '../../migrations');
let at = '2026-05-04T08:00:00.000Z';
const now = () => at;

const folders: string[] = [];
const stores: Store[] = [];
const newFolder = () => {
  const folder = mkdtempSync(join(tmpdir(), 'maquette-record-'));
  folders.push(folder);
  return folder;
};
const FILES = { verifySh: join(__dirname, '../seal/verify.sh'), verifyHtml: join(newFolder(), 'verify.html') };
writeFileSync(FILES.verifyHtml, '<!doctype html>');

async function server() {
  const store = await openStore(newFolder(), migrations);
  stores.push(store);
  return { store, api: request(createApp({ store, now, recordFiles: FILES })) };
}
afterAll(() => {
  stores.forEach((store) => store.close());
  folders.forEach((folder) => rmSync(folder, { recursive: true, force: true }));
});

type Api = Awaited<ReturnType<typeof server>>['api'];
const binary = (res: request.Response, done: (error: Error | null, body: Buffer) => void) => {
  const parts: Buffer[] = [];
  res.on('data', (part: Buffer) => parts.push(part));
  res.on('end', () => done(null, Buffer.concat(parts)));
};
const bytesOf = async (api: Api, path: string): Promise<Buffer> =>
  (
    await api
      .get(path)
      .buffer(true)
      .parse(binary as never)
      .expect(200)
  ).body as Buffer;
const sealed = async (api: Api, id: string, part: object = {}) =>
  (
    await api
      .post('/api/jobs/job-1/seals')
      .send({ id, writeId: `w-${id}`, ...part })
      .expect(201)
  ).body as Record<string, string>;

/** A room with a noted reading, a photograph, and what is nobody else’s. */
async function withSecrets(api: Api): Promise<void> {
  await buildRoom(api);
  await api
    .put('/api/rooms/room-1/readings/read-1')
    .send({ ...write(), ...reading, note: 'key under the pot' })
    .expect(201);
  await api
    .put('/api/contacts/who-1')
    .send({ ...write(), jobId: 'job-1', name: 'A. Client', role: 'client', reach: 'client@example.invalid', note: '' })
    .expect(201);
  await api
    .put('/api/figures/fig-1')
    .send({ ...write(), jobId: 'job-1', name: 'labour-h', value: 61.37, source: 'own' })
    .expect(201);
  const photo = { about: 'room', aboutId: 'room-1', xMm: null, yMm: null, takenAt: at, note: '', originalSha256: '' };
  await api
    .put('/api/rooms/room-1/photos/photo-1')
    .send({ ...write(), ...photo })
    .expect(201);
  const picture = await sharp({ create: { width: 60, height: 40, channels: 3, background: '#a8452e' } })
    .jpeg()
    .toBuffer();
  await api.put('/api/rooms/room-1/photos/photo-1/picture').set('content-type', 'image/jpeg').send(picture).expect(201);
}

const hasTools = ['sh', 'sha256sum', 'openssl'].every((tool) => spawnSync('which', [tool]).status === 0);

test('the report is a tagged PDF/A with its fonts; the same facts at the same time make the same bytes, in either units', async () => {
  const { api } = await server();
  await buildRoom(api);
  const path = '/api/jobs/job-1/report?zone=Europe/London';
  const pdf = await bytesOf(api, path);
  const text = pdf.toString('latin1');
  expect(text.slice(0, 8)).toBe('%PDF-1.7');
  expect(text).toMatch(/\/MarkInfo|\/StructTreeRoot/);
  expect(text).toContain('pdfaid:part>3</pdfaid:part');
  expect(text).toMatch(/FontFile2/);
  expect(text).toContain('/Lang (en-GB)');
  expect((await bytesOf(api, path)).equals(pdf)).toBe(true);
  const letter = await bytesOf(api, `${path}&units=imperial`);
  expect(letter.toString('latin1')).toContain('/MediaBox [0 0 612 792]');
});

test('what cannot be taken is named with its value and what is taken', async () => {
  const { api } = await server();
  await buildRoom(api);
  const refused = async (path: string) => (await api.get(path).expect(422)).body.errors[0];
  expect(await refused('/api/jobs/job-1/report?units=cubits')).toMatchObject({ field: 'units', value: 'cubits' });
  expect(await refused('/api/jobs/job-1/report?size=A3')).toMatchObject({ field: 'size', value: 'A3' });
  expect(await refused('/api/jobs/job-1/report?zone=Nowhere/Else')).toMatchObject({ field: 'zone' });
  await api.get('/api/jobs/none/report').expect(404);
  await api.post('/api/jobs/none/seals').send({ id: 'seal-1' }).expect(404);
  const wrong = await api.post('/api/jobs/job-1/seals').send({ id: 'seal-1', sealedFor: 'fun' }).expect(422);
  expect(wrong.body.errors[0]).toMatchObject({ field: 'sealedFor', value: 'fun' });
  await api.post('/api/jobs/job-1/seals').send({ sealedFor: 'asked' }).expect(422);
  await api.get('/api/jobs/job-1/seals/..%2F..%2Fseal-key.pem').expect(404);
  await api.get(`/api/jobs/job-1/seals/${'0'.repeat(64)}`).expect(404);
  await api.get('/api/records/nothing').expect(404);
});

test('a record is sealed once: asked again the same seal comes back, and its bundle is kept as it was', async () => {
  const { api, store } = await server();
  await withSecrets(api);
  const first = await sealed(api, 'seal-1', { sealedFor: 'planks', ofRoomId: 'room-1' });
  const zip = await bytesOf(api, `/api/jobs/job-1/seals/${first['sealSha256']}`);
  const again = await api.post('/api/jobs/job-1/seals').send({ id: 'seal-1', writeId: 'other' }).expect(200);
  expect(again.body.sealSha256).toBe(first['sealSha256']);

  // Later facts come behind: the earlier chain begins the later one, byte for byte; the seal itself is a fact of it.
  at = '2026-05-05T08:00:00.000Z';
  await api
    .put('/api/rooms/room-1/readings/read-1')
    .send({ ...write(1), ...reading, rodMm: 1299 })
    .expect(200);
  const second = await sealed(api, 'seal-2');
  const later = await bytesOf(api, `/api/jobs/job-1/seals/${second['sealSha256']}`);
  const chain = (from: Buffer) => strFromU8(unzipSync(new Uint8Array(from))['facts.chain']!);
  expect(chain(later).startsWith(chain(zip))).toBe(true);
  expect(chain(later).length).toBeGreaterThan(chain(zip).length);
  expect(chain(later)).toContain(first['sealSha256']);
  expect((await bytesOf(api, `/api/jobs/job-1/seals/${first['sealSha256']}`)).equals(zip)).toBe(true);
  expect(await keptChain(store, 'job-1')).toHaveLength(Number(second['facts']));

  // Who has a seal of one job does not come to its bundle by another’s address.
  await api
    .put('/api/jobs/job-2')
    .send({ ...BLANK_JOB, ...write(), name: 'Other', rank: 2 })
    .expect(201);
  await api.get(`/api/jobs/job-2/seals/${first['sealSha256']}`).expect(404);
  await api.get(`/api/jobs/job-1/seals/${first['sealSha256']}`).expect(200);
});

test('what is nobody else’s stands in no file of a bundle', async () => {
  const { api } = await server();
  await withSecrets(api);
  const { sealSha256 } = await sealed(api, 'seal-1');
  const files = unzipSync(new Uint8Array(await bytesOf(api, `/api/jobs/job-1/seals/${sealSha256}`)));
  expect(Object.keys(files)).toEqual(
    expect.arrayContaining([
      'report.pdf',
      'facts.chain',
      'job.json',
      'evidence.csv',
      'readings.csv',
      'plan.ics',
      'verify.sh',
    ]),
  );
  expect(Object.keys(files).some((name) => /^photographs\/[0-9a-f]{64}\.jpg$/.test(name))).toBe(true);
  for (const [name, content] of Object.entries(files))
    expect([
      name,
      Buffer.from(content)
        .toString('latin1')
        .match(/under the pot|client@example|61\.37|A\. Client/),
    ]).toEqual([name, null]);
  expect(readChain(strFromU8(files['facts.chain']!))).not.toHaveProperty('fault');
});

(hasTools ? test : test.skip)(
  'common tools find a sealed bundle as it was, by the seal that came apart from it',
  async () => {
    const { api } = await server();
    await withSecrets(api);
    const { sealSha256, chainSha256, keySha256 } = await sealed(api, 'seal-1');
    const folder = newFolder();
    for (const [path, content] of Object.entries(
      unzipSync(new Uint8Array(await bytesOf(api, `/api/jobs/job-1/seals/${sealSha256}`))),
    )) {
      mkdirSync(dirname(join(folder, path)), { recursive: true });
      writeFileSync(join(folder, path), content);
    }
    const { status, stdout } = spawnSync('sh', ['verify.sh', String(sealSha256)], { cwd: folder, encoding: 'utf8' });
    expect(stdout).toContain(chainSha256);
    expect(status).toBe(0);
    const sums = spawnSync('sha256sum', ['MANIFEST.sha256', 'SEAL.pub'], { cwd: folder, encoding: 'utf8' }).stdout;
    expect(sums).toContain(sealSha256);
    expect(sums).toContain(keySha256);
  },
);

test('the whole job comes back from its bundle on another server, its file and its chain byte for byte', async () => {
  const { api, store } = await server();
  await withSecrets(api);
  const { sealSha256, chainSha256 } = await sealed(api, 'seal-1');
  const zip = await bytesOf(api, `/api/jobs/job-1/seals/${sealSha256}`);
  const other = await server();
  const answer = await other.api.post('/api/job-files').set('content-type', 'application/zip').send(zip).expect(201);
  expect(answer.body.jobId).toBe('job-1');
  const there = (await writeJobFile(other.store.db, 'job-1', at))!;
  const files = unzipSync(new Uint8Array(zip));
  expect(shownJobFile(there)).toBe(strFromU8(files['job.json']!));
  const chain = await chainOn(other.store, 'job-1', there);
  expect(chain.at(-1)!.digest).toBe(chainSha256);
  expect(chain.map(({ digest, fact }) => `${digest} ${fact}\n`).join('')).toBe(strFromU8(files['facts.chain']!));
  // The photograph has its own digest there too.
  const [path, content] = Object.entries(files).find(([name]) => name.startsWith('photographs/'))!;
  const shown = await bytesOf(other.api, '/api/rooms/room-1/photos/photo-1/picture');
  expect(createHash('sha256').update(shown).digest('hex')).toBe(path.slice('photographs/'.length, -'.jpg'.length));
  expect(shown.equals(Buffer.from(content))).toBe(true);
  expect(store).not.toBe(other.store);
});

test('a bundle that was altered is not taken in, and its file is named', async () => {
  const { api } = await server();
  await withSecrets(api);
  const { sealSha256 } = await sealed(api, 'seal-1');
  const zip = await bytesOf(api, `/api/jobs/job-1/seals/${sealSha256}`);
  const files = unzipSync(new Uint8Array(zip));
  const refused = async (changed: Record<string, Uint8Array>) =>
    (
      await api
        .post('/api/job-files')
        .set('content-type', 'application/zip')
        .send(Buffer.from(zipSync(changed)))
        .expect(422)
    ).body;
  const job = strFromU8(files['job.json']!).replace('1340.5', '1339.5');
  expect((await refused({ ...files, 'job.json': new TextEncoder().encode(job) })).errors[0]).toMatchObject({
    field: 'job.json',
  });
  expect((await refused({ ...files, 'more.txt': new Uint8Array(1) })).errors[0]).toMatchObject({ field: 'more.txt' });
  const { 'facts.chain': _gone, ...without } = files;
  expect((await refused(without)).errors[0]).toMatchObject({ field: 'facts.chain' });
  await api.post('/api/job-files').send(zip.subarray(0, 400)).expect(422);

  // Sealed anew with a key of one’s own, nothing of it odd: a chain made up beside the job, and a job that is none.
  const resealed = (path: string, content: string) =>
    sealedBundle(
      Object.entries({ ...files, [path]: new TextEncoder().encode(content) })
        .filter(([name]) => name !== 'MANIFEST.sha256' && !name.startsWith('SEAL'))
        .map(([name, held]) => ({ path: name, content: held })),
      generateKeyPairSync('ed25519'),
    ).entries;
  const unzipped = (entries: BundleEntry[]) => Object.fromEntries(entries.map(({ path, content }) => [path, content]));
  const told = (readChain(strFromU8(files['facts.chain']!)) as { fact: string }[]).map(({ fact }) =>
    fact.replace('"rodMm":1340.5', '"rodMm":1339.5'),
  );
  const other = await refused(unzipped(resealed('facts.chain', chainText(chained(told)))));
  expect(other.errors[0]).toMatchObject({ field: 'facts.chain', message: expect.stringContaining('readings read-1') });
  expect((await refused(unzipped(resealed('job.json', '{"facts":')))).errors[0]).toMatchObject({ field: 'job.json' });
  expect((await refused(unzipped(resealed('job.json', '{"facts":[{}]}')))).errors[0]).toMatchObject({
    field: 'job.json',
  });
});

test('the page that checks finds a bundle as it was, and shows every byte that was changed', async () => {
  const { api } = await server();
  await withSecrets(api);
  const { sealSha256, chainSha256 } = await sealed(api, 'seal-1');
  const zip = new Uint8Array(await bytesOf(api, `/api/jobs/job-1/seals/${sealSha256}`));
  const good = await checkBundle(zip, String(sealSha256));
  expect(good).toMatchObject({ faults: [], isRepacked: false, chain: chainSha256, seal: sealSha256 });
  expect(good.isSigned).not.toBe(false);
  expect((await checkBundle(zip, '0'.repeat(64))).faults).toHaveLength(1);
  const draw = seeded(5);
  for (let k = 0; k < 150; k++) {
    const changed = Uint8Array.from(zip);
    const place = Math.floor(draw() * zip.length);
    changed[place]! ^= 1 + Math.floor(draw() * 255);
    const found = await checkBundle(changed, String(sealSha256)).catch(() => null);
    expect([place, found === null || found.faults.length > 0 || found.isRepacked]).toEqual([place, true]);
  }
});
