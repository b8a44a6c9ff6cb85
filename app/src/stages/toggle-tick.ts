import { bodyOf } from '@maquette/facts';
import { newId, nowUtc } from '../data/ids.ts';
import type { ShownRoom } from '../data/use-facts.ts';
import { write } from '../data/write.ts';

/** Ticks a piece of work done, or takes the tick back. */
export function toggleTick(shown: ShownRoom, key: string, words: string) {
  const tick = shown.ticks.find((one) => one.key === key);
  const roomId = shown.room!.id;
  return write(tick ? `${words}: not done` : `${words}: done`, [
    tick
      ? { kind: 'ticks', id: tick.id, roomId, body: bodyOf(tick), deleted: true }
      : { kind: 'ticks', id: newId(), roomId, body: { key, doneAt: nowUtc(), note: '' } },
  ]);
}
