import { createStore, delMany, entries, setMany, type UseStore } from 'idb-keyval';
import { upgraded } from '@maquette/facts';
import type { Waiting } from './waiting.ts';

/** Where writes lie until they are answered: one record each. */
export interface OutboxDisk {
  load: () => Promise<Waiting[]>;
  /** Keeps all of them or none; rejects where the device keeps nothing more. */
  put: (waiting: readonly Waiting[]) => Promise<void>;
  drop: (writeIds: readonly string[]) => Promise<void>;
  /** Calls back when another tab has changed what lies here. */
  onOthers: (changed: () => void) => void;
}

/** The browser's own database, shared by all tabs. */
export function browserDisk(): OutboxDisk {
  let store: UseStore | null = null;
  const open = () => (store ??= createStore('maquette-outbox', 'writes'));
  const others = typeof BroadcastChannel === 'undefined' ? null : new BroadcastChannel('maquette-outbox');
  const tell = () => others?.postMessage('changed');
  return {
    async load() {
      // What an earlier version of the app left waiting is sent in today's shape.
      return (await entries<string, Waiting>(open())).map(([, waiting]) => ({
        ...waiting,
        ...upgraded(waiting.kind, waiting.body),
      }));
    },
    async put(waiting) {
      await setMany(
        waiting.map((one) => [one.writeId, one]),
        open(),
      );
      tell();
    },
    async drop(writeIds) {
      await delMany([...writeIds], open());
      tell();
    },
    onOthers: (changed) => others?.addEventListener('message', changed),
  };
}
