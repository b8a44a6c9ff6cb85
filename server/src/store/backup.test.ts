import { createHash } from 'node:crypto';
import {
  createWriteStream,
  existsSync,
  mkdirSync,
  mkdtempSync,
  readdirSync,
  readFileSync,
  rmSync,
  truncateSync,
  writeFileSync,
} from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { pipeline } from 'node:stream/promises';
import { pack } from 'tar-stream';
import type { Write } from '@maquette/facts';
import { goodWrite } from '@maquette/facts/invented';
import { backUp, BackupProblem, checkBackup, keepDaily, restore } from './backup.ts';
import { putFact, readBook, readHistory } from './facts.ts';
import { keepBundle, readBundle } from '../seal/kept-bundles.ts';
import { sealKey } from '../seal/seal-key.ts';
import { openStore } from './open.ts';
import type { Store } from './store.ts';

const migrations = join(__dirname, '../../migrations');
const AT = '2026-05-04T08:00:00.000Z';
let base: string;
let store: Store;
const data = () => join(base, 'data');
const file = () => join(base, 'kept', 'backup.tar');
const job = (id: string, part: object = {}) =>
  store.write((tx) =>
    putFact(
      store,
      tx,
      'jobs',
      id,
      null,
      { ...(goodWrite('jobs') as unknown as Write), writeId: `w-${id}`, ...part },
      AT,
    ),
  );
const digest = (content: Buffer) => createHash('sha256').update(content).digest('hex');

beforeEach(async () => {
  base = mkdtempSync(join(tmpdir(), 'maquette-'));
  store = await openStore(data(), migrations);
  await job('job-1');
  await job('job-1', { baseVersion: 1, writeId: 'w-again', name: 'Sluice House' });
  mkdirSync(join(data(), 'photos'));
  for (const content of ['one', 'two'])
    writeFileSync(join(data(), 'photos', `${digest(Buffer.from(content))}.jpg`), content);
  writeFileSync(join(data(), 'photos', '.part-half'), 'half');
});
afterEach(() => {
  store.close();
  rmSync(base, { recursive: true, force: true });
});

test('what is restored is what was backed up while the server went on: facts, versions, pictures', async () => {
  const writing = Promise.all(Array.from({ length: 50 }, (_, n) => job(`job-while-${n}`)));
  const [manifest] = await Promise.all([backUp(data(), file(), AT), writing]);
  await job('job-after');
  expect(manifest.files.map(({ name }) => name).filter((name) => name.startsWith('photos/'))).toHaveLength(2);
  const [book, history] = [await readBook(store.db), await readHistory(store.db, 'jobs', 'job-1')];
  await restore(file(), join(base, 'new'));
  const again = await openStore(join(base, 'new'), migrations);
  const restored = await readBook(again.db);
  expect(await readHistory(again.db, 'jobs', 'job-1')).toEqual(history);
  expect(restored.jobs.map(({ id }) => id)).not.toContain('job-after');
  for (const one of restored.jobs) expect(book.jobs).toContainEqual(one);
  again.close();
  for (const name of readdirSync(join(base, 'new', 'photos')))
    expect(`${digest(readFileSync(join(base, 'new', 'photos', name)))}.jpg`).toBe(name);
  // Nothing is left lying about.
  expect(readdirSync(data()).filter((name) => name.startsWith('.copy'))).toEqual([]);
  expect(readdirSync(join(base, 'kept'))).toEqual(['backup.tar']);
});

test('sealed bundles and the key of the seals come along, and sign the same afterwards', async () => {
  const key = await sealKey(data());
  const seal = 'ab'.repeat(32);
  await keepBundle(data(), seal, Buffer.from('a bundle'));
  await backUp(data(), file(), AT);
  await restore(file(), join(base, 'new'));
  expect(await sealKey(join(base, 'new'))).toBe(key);
  expect((await readBundle(join(base, 'new'), seal))?.toString()).toBe('a bundle');
  // Whatever is no seal names no file.
  for (const name of ['../seal-key.pem', 'AB'.repeat(32), '']) expect(await readBundle(data(), name)).toBeNull();
});

/** An archive with some entries, as somebody else might make one. */
async function archive(entries: Record<string, string>): Promise<void> {
  mkdirSync(join(base, 'kept'), { recursive: true });
  const made = pack();
  for (const [name, content] of Object.entries(entries)) made.entry({ name }, content);
  made.finalize();
  await pipeline(made, createWriteStream(file()));
}
const MANIFEST = { format: 'maquette-backup', version: 1, writtenAt: AT };

test.each([
  [
    'a flipped bit',
    () => {
      const content = readFileSync(file());
      content[5000]! ^= 1;
      writeFileSync(file(), content);
    },
    /maquette.sqlite in .* is damaged/,
  ],
  ['an end cut off', () => truncateSync(file(), 20_000), /cannot be read as a backup|is cut short/],
  ['nothing in it', () => truncateSync(file(), 0), /is no backup/],
  [
    'text in its place',
    () => writeFileSync(file(), 'A letter. '.repeat(200)),
    /cannot be read as a backup|is no backup/,
  ],
  ['no manifest', () => archive({ 'maquette.sqlite': 'x' }), /has no manifest/],
  [
    'a way out of the folder',
    () => archive({ '../../evil': 'x', 'manifest.json': JSON.stringify({ ...MANIFEST, files: [] }) }),
    /which no backup does/,
  ],
  [
    'a picture that is missing',
    () =>
      archive({
        'maquette.sqlite': 'x',
        'manifest.json': JSON.stringify({ ...MANIFEST, files: [{ name: 'photos/a.jpg', sha256: '0', bytes: 1 }] }),
      }),
    /photos\/a.jpg in .* is missing/,
  ],
])('a backup with %s is refused in words, and nothing is written', async (_, harm, words) => {
  await backUp(data(), file(), AT);
  await harm();
  await expect(restore(file(), join(base, 'new'))).rejects.toThrow(BackupProblem);
  await expect(checkBackup(file())).rejects.toThrow(words);
  expect(existsSync(join(base, 'new'))).toBe(false);
});

test('nothing is written over: neither a backup that is there nor a folder with something in it', async () => {
  await backUp(data(), file(), AT);
  await expect(backUp(data(), file(), AT)).rejects.toThrow(/is there already/);
  await expect(restore(file(), data())).rejects.toThrow(/is not empty: name a new folder/);
  await expect(backUp(join(base, 'none'), join(base, 'x.tar'), AT)).rejects.toThrow(/no database/);
});

test('one copy a day is kept, the newest so many', async () => {
  const kept = join(base, 'daily');
  for (const day of ['01', '02', '02', '03', '04']) await keepDaily(data(), kept, 3, `2026-05-${day}T09:00:00.000Z`);
  expect(readdirSync(kept).sort()).toEqual(['02', '03', '04'].map((day) => `maquette-2026-05-${day}.tar`));
});
