import type { ShownTask } from '@maquette/core/planning';
import { bodyOf } from '@maquette/facts';
import { store } from '../../data/device.ts';
import { newId, nowUtc } from '../../data/ids.ts';
import { write, type Change } from '../../data/write.ts';

/** Ticks every step a task is made of, by the same ticks as in its stage; or takes them back. */
export function tickTask({ roomId, ticks, doneAt }: ShownTask, words: string) {
  if (roomId === null || ticks.length === 0) return Promise.resolve(null);
  const held = store.room(roomId).ticks;
  const changes = ticks.flatMap((key): Change[] => {
    const tick = held.find((one) => one.key === key);
    if (doneAt !== null) return tick ? [{ kind: 'ticks', id: tick.id, roomId, body: bodyOf(tick), deleted: true }] : [];
    return tick ? [] : [{ kind: 'ticks', id: newId(), roomId, body: { key, doneAt: nowUtc(), note: '' } }];
  });
  return write(doneAt === null ? `${words}: done` : `${words}: not done`, changes);
}
