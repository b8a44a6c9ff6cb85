import { Piscina } from 'piscina';
import * as tasks from './tasks.ts';

/** The steps of an import, run in whichever thread. */
export type Tasks = typeof tasks;

/** Memory one import may take, MB: a hundred thousand facts take half of it. */
const MEMORY_MB = 400;

/** The steps in a thread of their own, from the file that was built of them. */
export function inThread(filename: string): Tasks {
  const pool = new Piscina({
    filename,
    minThreads: 0,
    maxThreads: 1,
    idleTimeout: 10_000,
    resourceLimits: { maxOldGenerationSizeMb: MEMORY_MB },
  });
  return {
    unpack: (args) => pool.run(args, { name: 'unpack' }),
    stageJob: (args) => pool.run(args, { name: 'stageJob' }),
    land: (args) => pool.run(args, { name: 'land' }),
    landLast: (args) => pool.run(args, { name: 'landLast' }),
    leftBy: (args) => pool.run(args, { name: 'leftBy' }),
    takeBack: (args) => pool.run(args, { name: 'takeBack' }),
    clear: (args) => pool.run(args, { name: 'clear' }),
  };
}

/** The steps where they are called: for what has no built file beside it. */
export const here: Tasks = tasks;
