import type { Database, Transaction } from './database.ts';

/** Runs a write in a transaction and answers once it is durable. */
export type WriteQueue = <T>(work: (tx: Transaction) => Promise<T>) => Promise<T>;

interface Waiting {
  work: (tx: Transaction) => Promise<unknown>;
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

  async function alone(one: Waiting): Promise<void> {
    try {
      one.resolve((await db.transaction((tx) => one.work(tx), { behavior: 'immediate' })) as never);
    } catch (error) {
      one.reject(error);
    }
  }

  async function drain(): Promise<void> {
    busy = true;
    while (waiting.length > 0) {
      const batch = waiting.splice(0, MOST_TOGETHER);
      if (batch.length === 1) {
        await alone(batch[0]!);
        continue;
      }
      try {
        const results = await db.transaction(
          async (tx) => {
            const done: unknown[] = [];
            for (const one of batch) done.push(await one.work(tx));
            return done;
          },
          { behavior: 'immediate' },
        );
        batch.forEach((one, index) => one.resolve(results[index] as never));
      } catch {
        for (const one of batch) await alone(one);
      }
    }
    busy = false;
  }

  return (work) =>
    new Promise((resolve, reject) => {
      waiting.push({ work, resolve, reject });
      // Writes that arrive in the same turn of the event loop belong together.
      if (!busy) {
        busy = true;
        setImmediate(() => void drain());
      }
    });
}
