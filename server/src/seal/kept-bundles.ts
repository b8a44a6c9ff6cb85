import { existsSync } from 'node:fs';
import { readFile } from 'node:fs/promises';
import { join } from 'node:path';
import { keepFile } from '../store/picture-files.ts';

/** Sealed bundles lie beside the database, each by its seal: what was sealed is kept as it was and never made anew. */
export const bundlesIn = (folder: string): string => join(folder, 'bundles');

const nameOf = (seal: string) => `${seal}.zip`;
/** A seal is the digest of a manifest: nothing else names a file here. */
export const isSeal = (text: string): boolean => /^[0-9a-f]{64}$/.test(text);

/** Puts a bundle on disk, whole or not at all. */
export const keepBundle = (folder: string, seal: string, zip: Uint8Array): Promise<void> =>
  keepFile(bundlesIn(folder), nameOf(seal), Buffer.from(zip));

/** A kept bundle, or null where this server has none by that seal. */
export async function readBundle(folder: string, seal: string): Promise<Buffer | null> {
  if (!isSeal(seal)) return null;
  const path = join(bundlesIn(folder), nameOf(seal));
  return existsSync(path) ? readFile(path) : null;
}
