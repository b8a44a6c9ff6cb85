import { randomUUID } from 'node:crypto';
import { existsSync, mkdirSync, readdirSync, rmSync } from 'node:fs';
import { open, rename } from 'node:fs/promises';
import { join } from 'node:path';

/** Begins the name of a file that is being written. */
const PART = '.part-';

/** The folder of the pictures, beside the database. */
export const picturesIn = (folder: string): string => join(folder, 'photos');

/** Puts content on disk, synced, under a name that a start sweeps away. Returns where. */
export async function keepPart(folder: string, data: Buffer, mode = 0o666): Promise<string> {
  mkdirSync(folder, { recursive: true });
  const part = join(folder, `${PART}${randomUUID()}`);
  const file = await open(part, 'w', mode);
  try {
    await file.writeFile(data);
    await file.sync();
  } finally {
    await file.close();
  }
  return part;
}

/** Gives a part its name, so that the file is either whole on disk or not there. */
export async function namePart(folder: string, part: string, name: string): Promise<void> {
  // The first picture of a folder may come with a file.
  mkdirSync(folder, { recursive: true });
  await rename(part, join(folder, name));
  const inside = await open(folder, 'r');
  try {
    await inside.sync();
  } finally {
    await inside.close();
  }
}

/** Writes a file so that it is either whole on disk or not there: synced under a name of its own, renamed, its folder synced. */
export async function keepFile(folder: string, name: string, data: Buffer, mode?: number): Promise<void> {
  await namePart(folder, await keepPart(folder, data, mode), name);
}

/** Begins the name of the copy of the database that a backup is made from. */
export const COPY = '.copy-';

/** Takes away what a crash left half written: pictures, and copies made for a backup. */
export function sweep(folder: string): void {
  for (const name of readdirSync(folder)) if (name.startsWith(COPY)) rmSync(join(folder, name));
  const pictures = picturesIn(folder);
  if (!existsSync(pictures)) return;
  for (const name of readdirSync(pictures))
    if (name.startsWith(PART) || name.endsWith('.part')) rmSync(join(pictures, name));
}
