import { createHash, randomUUID } from 'node:crypto';
import { createWriteStream, existsSync, mkdirSync, readdirSync, rmSync } from 'node:fs';
import { rename } from 'node:fs/promises';
import { basename, dirname, join, resolve } from 'node:path';
import { text } from 'node:stream/consumers';
import { pipeline } from 'node:stream/promises';
import { createClient } from '@libsql/client';
import { MANIFEST, readArchive, writeArchive, type Manifest } from './archive.ts';
import { databaseIn } from './check-folder.ts';
import { bundlesIn } from '../seal/kept-bundles.ts';
import { SEAL_KEY } from '../seal/seal-key.ts';
import { COPY, picturesIn } from './picture-files.ts';

/** Why a backup or a restore was not made, in words. */
export class BackupProblem extends Error {}

const DATABASE = 'maquette.sqlite';
/** Files beside the database that a backup holds: pictures, sealed bundles, and the key that signs. */
const BESIDE = /^(photos\/[0-9a-f]{64}\.jpg|bundles\/[0-9a-f]{64}\.zip|seal-key\.pem)$/;

const filesIn = (folder: string, sub: string): string[] =>
  existsSync(join(folder, sub)) ? readdirSync(join(folder, sub)).map((name) => `${sub}/${name}`) : [];

/**
 * Writes all that is stored into one archive while the server goes on: the database as it is at one moment (`VACUUM INTO` takes no
 * lock that a write waits for), every picture, every sealed bundle, and the key of the seals. The database is copied first: each picture it
 * speaks of is on disk by then, and none is ever taken away.
 */
export async function backUp(folder: string, to: string, writtenAt: string): Promise<Manifest> {
  if (!existsSync(databaseIn(folder))) throw new BackupProblem(`There is no database in ${folder}.`);
  if (existsSync(to)) throw new BackupProblem(`${to} is there already: name another file.`);
  mkdirSync(dirname(resolve(to)), { recursive: true });
  const copy = join(folder, `${COPY}${randomUUID()}.sqlite`);
  const part = `${to}.part`;
  const client = createClient({ url: `file:${databaseIn(folder)}` });
  try {
    await client.execute({ sql: 'VACUUM INTO ?', args: [copy] });
    const beside = [
      ...filesIn(folder, 'photos'),
      ...filesIn(folder, 'bundles'),
      ...(existsSync(join(folder, SEAL_KEY)) ? [SEAL_KEY] : []),
    ];
    const files = [
      { name: DATABASE, path: copy },
      ...beside.filter((name) => BESIDE.test(name)).map((name) => ({ name, path: join(folder, name) })),
    ];
    const manifest = await writeArchive(part, files, writtenAt);
    await rename(part, to);
    return manifest;
  } finally {
    client.close();
    rmSync(copy, { force: true });
    rmSync(part, { force: true });
  }
}

const isManifest = (value: unknown): value is Manifest =>
  typeof value === 'object' &&
  value !== null &&
  (value as Manifest).format === 'maquette-backup' &&
  Array.isArray((value as Manifest).files);

/** Reads an archive through and holds every file in it to its manifest; nothing is written. */
export async function checkBackup(from: string): Promise<Manifest> {
  if (!existsSync(from)) throw new BackupProblem(`There is no file ${from}.`);
  const found = new Map<string, string>();
  let manifest: unknown = null;
  try {
    await readArchive(from, async (name, content) => {
      if (name === MANIFEST) manifest = JSON.parse(await text(content as AsyncIterable<Buffer>));
      else {
        if (name !== DATABASE && !BESIDE.test(name))
          throw new BackupProblem(`${from} holds ${name}, which no backup does.`);
        const hash = createHash('sha256');
        for await (const piece of content) hash.update(piece as Buffer);
        found.set(name, hash.digest('hex'));
      }
    });
  } catch (error) {
    if (error instanceof BackupProblem) throw error;
    throw new BackupProblem(`${from} cannot be read as a backup: ${(error as Error).message}.`);
  }
  if (!isManifest(manifest)) throw new BackupProblem(`${from} is no backup, or is cut short: it has no manifest.`);
  const { files } = manifest;
  for (const { name, sha256 } of files)
    if (found.get(name) !== sha256)
      throw new BackupProblem(
        `${name} in ${from} is ${found.has(name) ? 'damaged' : 'missing'}: nothing was restored.`,
      );
  if (found.size !== files.length || !found.has(DATABASE))
    throw new BackupProblem(`${from} does not hold what its manifest says: nothing was restored.`);
  return manifest;
}

/** Restores a backup into a folder that is new or empty, after every file in it has been held to its manifest. */
export async function restore(from: string, folder: string): Promise<Manifest> {
  if (existsSync(folder) && readdirSync(folder).length > 0)
    throw new BackupProblem(`${folder} is not empty: name a new folder, so that nothing is written over.`);
  const manifest = await checkBackup(from);
  mkdirSync(picturesIn(folder), { recursive: true });
  mkdirSync(bundlesIn(folder), { recursive: true });
  await readArchive(from, async (name, content) => {
    if (name !== MANIFEST) await pipeline(content, createWriteStream(join(folder, name), { flush: true }));
  });
  return manifest;
}

const DATED = /^maquette-\d{4}-\d{2}-\d{2}\.tar$/;

/** Makes the copy of a day where there is none yet, and takes away the oldest beyond so many. Returns the copy made, or null. */
export async function keepDaily(folder: string, into: string, keep: number, now: string): Promise<string | null> {
  const to = join(into, `maquette-${now.slice(0, 10)}.tar`);
  if (existsSync(to)) return null;
  await backUp(folder, to, now);
  const dated = readdirSync(into)
    .filter((name) => DATED.test(name))
    .sort();
  for (const old of dated.slice(0, Math.max(0, dated.length - keep))) rmSync(join(into, old));
  return basename(to);
}
