import { createHash } from 'node:crypto';
import { createReadStream, createWriteStream } from 'node:fs';
import { open } from 'node:fs/promises';
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

/** Writes files and their manifest into one archive, and has it on disk when it resolves. */
export async function writeArchive(
  to: string,
  files: readonly { name: string; path: string }[],
  writtenAt: string,
): Promise<Manifest> {
  const archive = pack();
  const written = pipeline(archive, createWriteStream(to, { flush: true }));
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
