import { createHash } from 'node:crypto';
import { readFile } from 'node:fs/promises';
import { join } from 'node:path';
import { eq } from 'drizzle-orm';
import sharp from 'sharp';
import { isBareJpeg } from './bare-jpeg.ts';
import type { Store } from './store.ts';
import { keepFile, picturesIn } from './picture-files.ts';
import { pictures, TABLES } from './tables.ts';

type Picture = typeof pictures.$inferSelect;

type SaveResult =
  { ok: true; picture: Picture; created: boolean } | { ok: false; reason: 'no-photo' | 'not-a-picture'; words: string };

/** Longest side kept, px: enough to read a meter's display on a print. */
const SIDE_PX = 2000;
/** A picture of more pixels is refused by its header, before anything is unpacked: the app sends far smaller ones. */
const MOST_PX = 25_000_000;

const fileOf = (store: Store, sha256: string): string => join(picturesIn(store.folder), `${sha256}.jpg`);

/** A picture unpacked, turned upright, made smaller, and packed again: what is kept of it. */
export interface Made {
  data: Buffer;
  sha256: string;
  widthPx: number;
  heightPx: number;
}

/** How kinds of content begin: told by content, and before any library looks at it. What a phone calls HEIC the app converts. */
const BEGINNINGS: readonly [kind: string, taken: boolean, begins: RegExp][] = [
  ['jpeg', true, /^\xff\xd8\xff/],
  ['png', true, /^\x89PNG\r\n\x1a\n/],
  ['webp', true, /^RIFF[^]{4}WEBP/],
  ['svg', false, /^\s*<(\?xml|svg|!DOCTYPE svg)/i],
  ['gif', false, /^GIF8/],
  ['pdf', false, /^%PDF/],
  ['heic', false, /^[^]{4}ftyp/],
];

/** Why content is not taken as a picture, or null. */
function notTaken(content: Buffer): string | null {
  const head = content.subarray(0, 64).toString('latin1');
  const [kind, taken] = BEGINNINGS.find(([, , begins]) => begins.test(head)) ?? ['unknown content', false];
  return taken ? null : `${kind}: JPEG, PNG or WebP is taken`;
}

/** Makes what is kept of a picture; says in words why it is none. Everything it says of camera and place is left out. */
export async function makePicture(content: Buffer): Promise<Made | { words: string }> {
  const refusal = notTaken(content);
  if (refusal) return { words: refusal };
  try {
    // Its header alone is read, whatever it says of its size.
    const { width, height } = await sharp(content, { limitInputPixels: false }).metadata();
    if (width * height > MOST_PX)
      return { words: `It has ${width} by ${height} pixels: at most ${MOST_PX / 1e6} million are taken` };
    // A picture that is what would be kept of it stays as it is: its digest is the one it was sent under.
    if (Math.max(width, height) <= SIDE_PX && isBareJpeg(content)) {
      await sharp(content, { limitInputPixels: MOST_PX, failOn: 'warning' }).raw().toBuffer();
      return {
        data: content,
        sha256: createHash('sha256').update(content).digest('hex'),
        widthPx: width,
        heightPx: height,
      };
    }
    const { data, info } = await sharp(content, { limitInputPixels: MOST_PX })
      .rotate()
      .resize({ width: SIDE_PX, height: SIDE_PX, fit: 'inside', withoutEnlargement: true })
      .jpeg({ quality: 82 })
      .toBuffer({ resolveWithObject: true });
    const sha256 = createHash('sha256').update(data).digest('hex');
    return { data, sha256, widthPx: info.width, heightPx: info.height };
  } catch {
    return { words: 'The content cannot be read: JPEG, PNG or WebP is taken' };
  }
}

export async function findPicture(store: Store, photoId: string): Promise<Picture | undefined> {
  return (await store.db.select().from(pictures).where(eq(pictures.photoId, photoId)).limit(1))[0];
}

/**
 * Stores the picture of a photograph. The file is on disk before the row is; sending it twice is one picture, and sending it again
 * when its file is gone or damaged brings it back.
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
  if (held && (await readPicture(store, held))) return { ok: true, picture: held, created: false };
  const made = await makePicture(content);
  if ('words' in made) return { ok: false, reason: 'not-a-picture', words: made.words };
  return { ok: true, picture: await keepPicture(store, photoId, made, now), created: true };
}

/** Puts a picture that has been made on disk, and then on record. */
export async function keepPicture(store: Store, photoId: string, made: Made, now: string): Promise<Picture> {
  await keepFile(picturesIn(store.folder), `${made.sha256}.jpg`, made.data);
  const { sha256, widthPx, heightPx } = made;
  const picture: Picture = { photoId, sha256, bytes: made.data.length, widthPx, heightPx, storedAt: now };
  await store.write(async (tx) => {
    const { photoId: _id, ...again } = picture;
    await tx.insert(pictures).values(picture).onConflictDoUpdate({ target: pictures.photoId, set: again });
  });
  return picture;
}

/** A picture's content; null where its file is missing or is not what was stored. */
export async function readPicture(store: Store, { sha256 }: Pick<Picture, 'sha256'>): Promise<Buffer | null> {
  try {
    const data = await readFile(fileOf(store, sha256));
    return createHash('sha256').update(data).digest('hex') === sha256 ? data : null;
  } catch {
    return null;
  }
}
