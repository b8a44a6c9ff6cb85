import { createHash } from 'node:crypto';
import { DAMP_STORIES } from './damp-story.ts';
import { drawnPhoto, type Scene } from './drawn-photo.ts';
import type { Put } from './put.ts';

/** Rooms whose tests were photographed; the others still miss theirs, as the record says. */
const PHOTOGRAPHED = ['parlour', 'boot-room'];
const DAY_MS = 86_400_000;

/** A photograph of the demo with its picture, drawn before anything is stored. */
export interface DemoPhoto {
  id: string;
  roomId: string;
  testId: string;
  takenAt: string;
  picture: Buffer;
}

/** Of each test that was read its display as it stood last, and the place it stands in. */
export async function demoPhotos(seededAt: string): Promise<DemoPhoto[]> {
  const photos: DemoPhoto[] = [];
  for (const [room, slug] of PHOTOGRAPHED.entries())
    for (const [n, test] of (DAMP_STORIES[slug]?.tests ?? []).entries()) {
      const last = test.readings.at(-1);
      if (!last || test.method === 'survey') continue;
      const [daysAgo, value] = last;
      const testId = `demo-${slug}-test-${n + 1}`;
      const scenes: Scene[] = [
        { shows: 'display', figure: value.toFixed(1) },
        { shows: 'place', seed: n + 3 * room },
      ];
      for (const [k, scene] of scenes.entries())
        photos.push({
          id: `${testId}-photo-${k + 1}`,
          roomId: `demo-${slug}`,
          testId,
          takenAt: new Date(Date.parse(seededAt) - daysAgo * DAY_MS + k * 60_000).toISOString(),
          picture: await drawnPhoto(scene),
        });
    }
  return photos;
}

/** Puts what is known of the photographs on record; their pictures follow when that is stored. */
export async function seedPhotos(put: Put, photos: readonly DemoPhoto[]): Promise<void> {
  for (const { id, roomId, testId, takenAt, picture } of photos)
    await put('photos', id, roomId, {
      about: 'damp',
      aboutId: testId,
      xMm: null,
      yMm: null,
      takenAt,
      note: '',
      originalSha256: createHash('sha256').update(picture).digest('hex'),
    });
}
