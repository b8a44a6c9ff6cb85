import { createStore, entries, set, type UseStore } from 'idb-keyval';
import type { RoomPicture } from '@maquette/core';

/** What the site book says of a room, in the room's own units. */
export interface RoomLine {
  verdict: RoomPicture['verdict'];
  margin: string;
  next: string;
  read: number;
  stations: number;
}

interface KeptLine {
  /** The build that judged it, the day (evidence grows old by the day), and the writes it was judged from. */
  stamp: readonly string[];
  line: RoomLine;
}

/** The build that runs, by the name of its script: what another build said is not taken for what this one would say. */
const build = () => document.querySelector('script[src*="/entry-"]')?.getAttribute('src') ?? '';

const same = (a: readonly string[], b: readonly string[]) => a.length === b.length && a.every((v, i) => v === b[i]);
const today = () => new Date().toISOString().slice(0, 10);

/** What was last said of each room, kept on the device: a book of many rooms opens with its verdicts at once. */
function createKeptLines() {
  let store: UseStore | null = null;
  const disk = () => (store ??= createStore('maquette-verdicts', 'lines'));
  let held: ReadonlyMap<string, KeptLine> = new Map();
  let loading: Promise<void> | null = null;
  const listeners = new Set<() => void>();

  function change(next: ReadonlyMap<string, KeptLine>): void {
    held = next;
    for (const listener of listeners) listener();
  }

  async function load(): Promise<void> {
    try {
      const kept = await entries<string, KeptLine>(disk());
      // What has been judged meanwhile is newer than what lies here.
      change(new Map([...kept, ...held]));
    } catch {
      // A browser that keeps nothing judges every room when the book is opened.
    }
  }

  const stampOf = (stamp: readonly string[]) => [build(), today(), ...stamp];
  return {
    subscribe(listener: () => void): () => void {
      listeners.add(listener);
      return () => listeners.delete(listener);
    },
    /** Resolves when what earlier visits kept has been read, or cannot be. */
    loaded: (): Promise<void> => (loading ??= load()),
    all: () => held,
    /** What was said of a room when it was judged from these very writes, today; null when it has to be judged anew. */
    find(roomId: string, stamp: readonly string[]): RoomLine | null {
      const kept = held.get(roomId);
      return kept && same(kept.stamp, stampOf(stamp)) ? kept.line : null;
    },
    keep(roomId: string, stamp: readonly string[], line: RoomLine): void {
      const kept = { stamp: stampOf(stamp), line };
      change(new Map([...held, [roomId, kept]]));
      void set(roomId, kept, disk()).catch(() => undefined);
    },
  };
}

export const keptLines = createKeptLines();
