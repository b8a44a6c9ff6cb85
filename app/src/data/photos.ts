import type { Photograph } from '@maquette/core/record';
import { createStore, del, entries, get, keys, set } from 'idb-keyval';
import { ask, checkReceipt } from './api.ts';
import { newId, nowUtc } from './ids.ts';
import { outbox } from './device.ts';
import { DeviceFull } from './outbox.ts';
import { createPictureCount } from './picture-count.ts';
import type { ChosenFile } from './save-text.ts';
import { sha256Of } from './sha256.ts';
import { write } from './write.ts';

/** A picture on this device, until the server has it. */
interface KeptPicture {
  roomId: string;
  blob: Blob;
}

/** What a photograph is of. */
export interface PhotoAbout {
  about: Photograph['about'];
  aboutId: string;
  at: { xMm: number; yMm: number } | null;
}

const SIDE_PX = 2000;
const QUALITY = 0.85;
const TRY_AGAIN_MS = 6000;

const open = () => createStore('maquette-photos', 'pictures');
let idb: ReturnType<typeof open> | null = null;
const store = () => (idb ??= open());

/** Pictures that only this device has: “all sent” waits for them too. */
export const picturesHere = createPictureCount();
const countPictures = async () => picturesHere.set((await keys(store())).length);

/** Addresses of pictures this device holds, made once each. */
const urls = new Map<string, string>();

/**
 * A picture made smaller and drawn anew: what the camera wrote into it of time, place and owner is not in the copy. Anything the
 * browser cannot draw is refused in words.
 */
export async function redrawn(file: Blob): Promise<Blob> {
  let bitmap: ImageBitmap;
  try {
    bitmap = await createImageBitmap(file, { imageOrientation: 'from-image' });
  } catch {
    throw new Error('This file is not a picture the browser can open: take JPEG, PNG or WebP');
  }
  const scale = Math.min(1, SIDE_PX / Math.max(bitmap.width, bitmap.height));
  const width = Math.max(1, Math.round(bitmap.width * scale));
  const height = Math.max(1, Math.round(bitmap.height * scale));
  const canvas = new OffscreenCanvas(width, height);
  canvas.getContext('2d')!.drawImage(bitmap, 0, 0, width, height);
  bitmap.close();
  return canvas.convertToBlob({ type: 'image/jpeg', quality: QUALITY });
}

/** Pictures worked on at once: a browser draws when it finds the time, and a dozen megapixels each fill a phone's memory. */
const BUNCH = 4;

/**
 * Keeps pictures with their photographs' facts: on the device first, sent when there is signal. Resolves to what was wrong with
 * those that could not be kept, by file.
 */
export async function keepPhotos(
  roomId: string,
  { about, aboutId, at }: PhotoAbout,
  files: readonly ChosenFile[],
  note = '',
): Promise<string[]> {
  const wrong: string[] = [];
  const keep = async (file: ChosenFile): Promise<{ id: string; originalSha256: string }[]> => {
    const id = newId();
    try {
      const originalSha256 = (await sha256Of(file.bytes as BufferSource)) ?? '';
      const blob = await redrawn(new Blob([file.bytes as BlobPart]));
      await set(id, { roomId, blob } satisfies KeptPicture, store()).catch(() => {
        throw new DeviceFull();
      });
      await countPictures();
      return [{ id, originalSha256 }];
    } catch (error) {
      wrong.push(`${file.name}: ${error instanceof Error ? error.message : String(error)}`);
      return [];
    }
  };
  for (let from = 0; from < files.length; from += BUNCH) {
    const kept = (await Promise.all(files.slice(from, from + BUNCH).map(keep))).flat();
    if (kept.length === 0) continue;
    const body = { about, aboutId, xMm: at?.xMm ?? null, yMm: at?.yMm ?? null, takenAt: nowUtc(), note };
    const result = await write(
      kept.length === 1 ? 'Photograph taken' : `${kept.length} photographs taken`,
      kept.map(({ id, originalSha256 }) => ({
        kind: 'photos' as const,
        id,
        roomId,
        body: { ...body, originalSha256 },
      })),
    );
    if (!result.ok) wrong.push(...result.problems.map((p) => `${p.field} ${p.message}`));
  }
  void sendPictures();
  return wrong;
}

/** Where a picture can be shown from: this device while it is held here, else the server. */
export async function pictureUrl(roomId: string, id: string): Promise<string> {
  const known = urls.get(id);
  if (known) return known;
  const kept = await get<KeptPicture>(id, store());
  if (!kept) return `/api/rooms/${roomId}/photos/${id}/picture`;
  const url = URL.createObjectURL(kept.blob);
  urls.set(id, url);
  return url;
}

/**
 * What the server has to say it has received: the picture's SHA-256 and its length. A page that did not come over a secure
 * connection cannot work the digest out, and has the length to go by.
 */
async function receiptOf(blob: Blob): Promise<RegExp> {
  const hex = await sha256Of(await blob.arrayBuffer());
  return new RegExp(`^${hex ?? '[0-9a-f]{64}'} ${blob.size}$`);
}

let sending = false;
let timer: ReturnType<typeof setTimeout> | undefined;

/** Sends pictures whose facts the server has, one after another; a picture stays on the device until it is acknowledged. */
export async function sendPictures(): Promise<void> {
  if (sending) return;
  sending = true;
  clearTimeout(timer);
  let left = false;
  try {
    for (const [id, { roomId, blob }] of await entries<string, KeptPicture>(store())) {
      if (outbox.get().waiting.some((w) => w.id === id || w.id === roomId)) {
        left = true;
        continue;
      }
      const answer = await ask(`/api/rooms/${roomId}/photos/${id}/picture`, {
        method: 'PUT',
        body: blob,
        headers: { 'Content-Type': 'image/jpeg' },
      });
      // 404: the fact was refused or never sent; the picture stays here, nothing is thrown away.
      if (answer.ok) {
        checkReceipt(answer, await receiptOf(blob));
        await del(id, store());
        await countPictures();
      } else if (answer.status !== 404 && answer.status !== 415) left = true;
    }
  } catch {
    outbox.noteReachable(false);
    left = true;
  } finally {
    sending = false;
  }
  if (left) timer = setTimeout(() => void sendPictures(), TRY_AGAIN_MS);
}

/** Goes on sending what earlier visits left, and whenever facts have been taken. */
export function startPhotos(): void {
  let before = outbox.get().waiting.length;
  outbox.subscribe(() => {
    const { waiting, reachable } = outbox.get();
    if (reachable && waiting.length < before) void sendPictures();
    before = waiting.length;
  });
  globalThis.addEventListener?.('online', () => void sendPictures());
  // Where pictures cannot be kept there are none.
  countPictures().catch(() => picturesHere.set(0));
  void sendPictures();
}
