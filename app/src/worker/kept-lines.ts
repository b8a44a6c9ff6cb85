import { createStore, entries, set, type UseStore } from 'idb-keyval';
import type { Sayable } from '@maquette/core/said';
import type { RoomPicture } from '@maquette/core';
import { judgedFrom } from '../data/judged-from.ts';

/** What the site book says of a room: put into words where it is shown, in the room's units and by the site's clock. */
export interface RoomLine {
  verdict: RoomPicture['verdict'];
  margin: Sayable;
  next: Sayable;
  read: number;
  stations: number;
  /** The part whose criterion it is; lines kept by an older app do not say. */
  part?: string | undefined;
  /** The time until which the same facts say the same; null: for good. Lines kept by an older app do not say. */
  validUntil?: string | null;
  /** False while how sure its flatness is has not been worked out: the verdict does not hang on it. Older lines do not say. */
  proved?: boolean;
}

/** Whether the hour alone may have changed what was said. */
export const isAged = ({ validUntil }: RoomLine, atUtc: string) => typeof validUntil === 'string' && validUntil < atUtc;

interface KeptLine {
  from: string;
  line: RoomLine;
}

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

  return {
    subscribe(listener: () => void): () => void {
      listeners.add(listener);
      return () => listeners.delete(listener);
    },
    /** Resolves when what earlier visits kept has been read, or cannot be. */
    loaded: (): Promise<void> => (loading ??= load()),
    all: () => held,
    /** What was said of a room when it was judged from these very writes, today; null when it has to be judged anew. */
    find(roomId: string, writes: string): RoomLine | null {
      const kept = held.get(roomId);
      return kept?.from === judgedFrom(writes) ? kept.line : null;
    },
    keep(roomId: string, writes: string, line: RoomLine): void {
      const kept = { from: judgedFrom(writes), line };
      change(new Map([...held, [roomId, kept]]));
      void set(roomId, kept, disk()).catch(() => undefined);
    },
  };
}

export const keptLines = createKeptLines();
