import { Piscina } from 'piscina';
import * as tasks from './tasks.ts';

/** What takes long of a record, in whichever thread. */
export type RecordTasks = typeof tasks;

/** Memory one record may take, MB: rooms judged, sheets laid out and a bundle with its photographs. */
const MEMORY_MB = 700;

/** Whoever has made a report often seals next: the thread is kept warm so long, ms. A cold one takes twice as long. */
const KEPT_WARM_MS = 5 * 60_000;

/** Records made in a thread of their own, from the file that was built of them. */
export function recordsInThread(filename: string): RecordTasks {
  const pool = new Piscina({
    filename,
    minThreads: 0,
    maxThreads: 1,
    idleTimeout: KEPT_WARM_MS,
    resourceLimits: { maxOldGenerationSizeMb: MEMORY_MB },
  });
  return {
    makeReport: (ask) => pool.run(ask, { name: 'makeReport' }),
    makeBundle: (ask) => pool.run(ask, { name: 'makeBundle' }),
  };
}

/** Records made where they are asked for: for what has no built file beside it. */
export const recordsHere: RecordTasks = tasks;
