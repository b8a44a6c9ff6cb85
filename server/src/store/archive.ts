import { createHash } from 'node:crypto';
import { createReadStream } from 'node:fs';
import { open } from 'node:fs/promises';
import { Writable } from 'node:stream';
import { pipeline } from 'node:stream/promises';
import { extract, pack, type Pack } from 'tar-stream';

/** What an archive says is in it: each file with its SHA-256 and length. The last entry, so that all before it can be held to it. */
export interface Manifest {
  format: 'maquette-backup';
  version: 1;
  writtenAt: string;
  files: { name: string; sha256: string; bytes: number }[];
}

export const MANIFEST = 'manifest.json';

/** Puts a file's bytes into an archive as they are read. */
async function add(into: Pack, name: string, path: string): Promise<Manifest['files'][number]> {
  const file = await open(path);
  try {
    const { size } = await file.stat();
    const hash = createHash('sha256');
    const entry = into.entry({ name, size });
    const content = file.createReadStream({ autoClose: false });
    content.on('data', (piece) => hash.update(piece));
    await pipeline(content, entry);
    return { name, sha256: hash.digest('hex'), bytes: size };
  } finally {
    await file.close();
  }
}

/** Written before it is made sure of on disk: more at once, and a reading that is stored meanwhile waits behind it. */
const UNSYNCED_BYTES = 4_000_000;

/** A file that is on disk when it ends, and never far from it before. */
async function synced(to: string): Promise<Writable> {
  const file = await open(to, 'w');
  let unsynced = 0;
  const write = async (piece: Buffer) => {
    await file.writeFile(piece);
    unsynced += piece.length;
    if (unsynced < UNSYNCED_BYTES) return;
    await file.datasync();
    unsynced = 0;
  };
  return new Writable({
    write: (piece: Buffer, _encoding, done) => void write(piece).then(() => done(), done),
    final: (done) => void file.sync().then(() => done(), done),
    destroy: (error, done) => void file.close().then(() => done(error), done),
  });
}

/** Writes files and their manifest into one archive, and has it on disk when it resolves. */
export async function writeArchive(
  to: string,
  files: readonly { name: string; path: string }[],
  writtenAt: string,
): Promise<Manifest> {
  const archive = pack();
  const written = pipeline(archive, await synced(to));
  const manifest: Manifest = { format: 'maquette-backup', version: 1, writtenAt, files: [] };
  for (const { name, path } of files) manifest.files.push(await add(archive, name, path));
  archive.entry({ name: MANIFEST }, JSON.stringify(manifest, null, 1));
  archive.finalize();
  await written;
  return manifest;
}

/** Goes through an archive, handing each entry's content to whoever wants it. Rejects with what is wrong with it, or what they say. */
export async function readArchive(
  from: string,
  each: (name: string, content: AsyncIterable<unknown>) => Promise<void>,
): Promise<void> {
  const entries = extract();
  entries.on('entry', (header, content, next) => {
    each(header.name, content).then(
      () => {
        content.resume();
        next();
      },
      (error: unknown) => entries.destroy(error as Error),
    );
  });
  await pipeline(createReadStream(from), entries);
}
