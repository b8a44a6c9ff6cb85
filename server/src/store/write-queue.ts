import type { Database, Transaction } from './database.ts';

export interface WriteQueue {
  /** Runs a write in a transaction and answers once it is durable. */
  write: <T>(work: (tx: Transaction) => Promise<T>) => Promise<T>;
  /** Runs what writes by itself, in its turn, while no transaction is open. */
  alone: <T>(work: () => Promise<T>) => Promise<T>;
}

interface Waiting {
  /** What is run in a transaction; null for what opens its own. */
  work: ((tx: Transaction) => Promise<unknown>) | null;
  outside: () => Promise<unknown>;
  resolve: (value: never) => void;
  reject: (error: unknown) => void;
}

/** At most this many writes share a transaction, which bounds how long the first of them waits. */
const MOST_TOGETHER = 64;

/**
 * One writer at a time: the driver is a pool, and a second open transaction fails at once. Writes that arrive while one is
 * being made durable share the next transaction, so that twenty devices cost one sync and not twenty. If a shared transaction
 * fails, each of its writes is run again alone, so that one bad write spoils no other.
 */
export function writeQueue(db: Database): WriteQueue {
  const waiting: Waiting[] = [];
  let busy = false;

  async function single({ work, outside, ...one }: Waiting): Promise<void> {
    try {
      const done = work ? await db.transaction((tx) => work(tx), { behavior: 'immediate' }) : await outside();
      one.resolve(done as never);
    } catch (error) {
      one.reject(error);
    }
  }

  async function drain(): Promise<void> {
    busy = true;
    while (waiting.length > 0) {
      const outside = waiting.slice(0, MOST_TOGETHER).findIndex(({ work }) => work === null);
      const batch = waiting.splice(0, outside === -1 ? MOST_TOGETHER : Math.max(1, outside));
      if (batch.length === 1) {
        await single(batch[0]!);
        continue;
      }
      try {
        const results = await db.transaction(
          async (tx) => {
            const done: unknown[] = [];
            for (const one of batch) done.push(await one.work!(tx));
            return done;
          },
          { behavior: 'immediate' },
        );
        batch.forEach((one, index) => one.resolve(results[index] as never));
      } catch {
        for (const one of batch) await single(one);
      }
    }
    busy = false;
  }

  const queued = <T>(one: Pick<Waiting, 'work' | 'outside'>): Promise<T> =>
    new Promise((resolve, reject) => {
      waiting.push({ ...one, resolve, reject });
      // Writes that arrive in the same turn of the event loop belong together.
      if (!busy) {
        busy = true;
        setImmediate(() => void drain());
      }
    });
  return {
    write: (work) => queued({ work, outside: () => Promise.resolve() }),
    alone: (outside) => queued({ work: null, outside }),
  };
}
