import { Piscina } from 'piscina';
import * as tasks from './tasks.ts';

/** What takes long of a record, in whichever thread. */
export type RecordTasks = typeof tasks;

/** Memory one record may take, MB: rooms judged, sheets laid out and a bundle with its photographs. */
const MEMORY_MB = 700;

/** Records made in a thread of their own, from the file that was built of them. */
export function recordsInThread(filename: string): RecordTasks {
  const pool = new Piscina({
    filename,
    minThreads: 0,
    maxThreads: 1,
    idleTimeout: 10_000,
    resourceLimits: { maxOldGenerationSizeMb: MEMORY_MB },
  });
  return {
    makeReport: (ask) => pool.run(ask, { name: 'makeReport' }),
    makeBundle: (ask) => pool.run(ask, { name: 'makeBundle' }),
  };
}

/** Records made where they are asked for: for what has no built file beside it. */
export const recordsHere: RecordTasks = tasks;
