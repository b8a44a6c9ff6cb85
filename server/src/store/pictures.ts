import { createHash } from 'node:crypto';
import { existsSync, mkdirSync } from 'node:fs';
import { open, readFile, rename } from 'node:fs/promises';
import { join } from 'node:path';
import { eq } from 'drizzle-orm';
import sharp from 'sharp';
import type { Store } from './open.ts';
import { pictures, TABLES } from './tables.ts';

type Picture = typeof pictures.$inferSelect;

type SaveResult =
  { ok: true; picture: Picture; created: boolean } | { ok: false; reason: 'no-photo' | 'not-a-picture'; words: string };

/** Longest side kept, px: enough to read a meter's display on a print. */
const SIDE_PX = 2000;
/** Kinds taken, by content and not by name. What a phone calls HEIC is converted by the app before sending. */
const KINDS = ['jpeg', 'png', 'webp'];
/** A picture larger than this many pixels is refused before it is unpacked. */
const MOST_PX = 60_000_000;

function folderOf(store: Store): string {
  return join(store.folder, 'photos');
}

function fileOf(store: Store, picture: Pick<Picture, 'sha256'>): string {
  return join(folderOf(store), `${picture.sha256}.jpg`);
}

export async function findPicture(store: Store, photoId: string): Promise<Picture | undefined> {
  return (await store.db.select().from(pictures).where(eq(pictures.photoId, photoId)).limit(1))[0];
}

/**
 * Stores the picture of a photograph: type told by content, turned upright, made smaller, everything it says of camera and place
 * left out. The file is on disk before the row is; sending it twice is one picture.
 */
export async function savePicture(
  store: Store,
  photoId: string,
  content: Buffer,
  now: string,
  /** When given, the photograph must be of this room. */
  roomId?: string,
): Promise<SaveResult> {
  const photo = (await store.db.select().from(TABLES.photos).where(eq(TABLES.photos.id, photoId)).limit(1))[0];
  if (!photo || (roomId !== undefined && photo.roomId !== roomId))
    return { ok: false, reason: 'no-photo', words: 'There is no such photograph' };
  const held = await findPicture(store, photoId);
  if (held) return { ok: true, picture: held, created: false };
  let made: { data: Buffer; info: { width: number; height: number } };
  try {
    const source = sharp(content, { limitInputPixels: MOST_PX });
    const { format } = await source.metadata();
    if (!format || !KINDS.includes(format))
      return {
        ok: false,
        reason: 'not-a-picture',
        words: `${format ?? 'unknown content'}: JPEG, PNG or WebP is taken`,
      };
    made = await source
      .rotate()
      .resize({ width: SIDE_PX, height: SIDE_PX, fit: 'inside', withoutEnlargement: true })
      .jpeg({ quality: 82 })
      .toBuffer({ resolveWithObject: true });
  } catch {
    return { ok: false, reason: 'not-a-picture', words: 'The content cannot be read: JPEG, PNG or WebP is taken' };
  }
  const sha256 = createHash('sha256').update(made.data).digest('hex');
  await keep(folderOf(store), `${sha256}.jpg`, made.data);
  const picture: Picture = {
    photoId,
    sha256,
    bytes: made.data.length,
    widthPx: made.info.width,
    heightPx: made.info.height,
    storedAt: now,
  };
  await store.write(async (tx) => {
    await tx.insert(pictures).values(picture).onConflictDoNothing();
  });
  return { ok: true, picture: (await findPicture(store, photoId)) ?? picture, created: true };
}

/** Writes a file so that it is either whole on disk or not there: synced under another name, then renamed. */
async function keep(folder: string, name: string, data: Buffer): Promise<void> {
  const path = join(folder, name);
  if (existsSync(path)) return;
  mkdirSync(folder, { recursive: true });
  const part = `${path}.${process.pid}.part`;
  const file = await open(part, 'w');
  try {
    await file.writeFile(data);
    await file.sync();
  } finally {
    await file.close();
  }
  await rename(part, path);
}

export async function readPicture(store: Store, picture: Picture): Promise<Buffer> {
  return readFile(fileOf(store, picture));
}
