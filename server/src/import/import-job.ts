import { readdirSync } from 'node:fs';
import { join } from 'node:path';
import type { KeptLine } from '../seal/chain-of-job.ts';
import { IMPORT } from './land.ts';
import type { Tasks } from './pool.ts';
import * as here from './tasks.ts';
import { isToStop, tell, type Gauge } from './progress.ts';

/** What an import needs of the store. */
interface Into {
  folder: string;
  alone: <T>(work: () => Promise<T>) => Promise<T>;
  countFrom: (order: number) => void;
}

type Staged = Extract<here.StageResult, { is: 'staged' }>;
export type ImportResult =
  | Exclude<here.StageResult, Staged>
  | ({ is: 'stored'; chain: KeptLine[] } & Pick<Staged, 'jobId' | 'stored' | 'unchanged'>);

/**
 * Takes in the job file that lies in an import's own folder: all of it, or nothing. Other writes go on between its parts. The
 * folder is gone when this ends.
 */
export async function importJob(
  store: Into,
  run: Tasks,
  importFolder: string,
  { copy, gauge, now }: { copy: boolean; gauge: Gauge; now: () => string },
): Promise<ImportResult> {
  const where = { importFolder, dataFolder: store.folder };
  let finished = false;
  try {
    const unpacked = await run.unpack({ importFolder });
    if (unpacked.is === 'refused') return unpacked;
    const staged = await run.stageJob({ ...where, copy, gauge });
    if (staged.is !== 'staged') return staged;
    const { parts, pictures, jobId, stored, unchanged, lastOrder } = staged;
    for (const [index, part] of parts.entries()) {
      if (isToStop(gauge)) return { is: 'stopped' };
      tell(gauge, 'storing', parts.length + index, parts.length * 2);
      await store.alone(() => run.land({ ...where, part }));
    }
    if (isToStop(gauge)) return { is: 'stopped' };
    await store.alone(() => run.landLast({ ...where, pictures, now: now() }));
    finished = true;
    store.countFrom(lastOrder);
    // A copy is another job: the chain it was copied from is none of it.
    const chain = unpacked.is === 'bundle' && !copy ? unpacked.chain : [];
    return { is: 'stored', jobId, stored, unchanged, chain };
  } finally {
    await endImport(store.alone, run, where, finished);
  }
}

async function endImport(
  alone: Into['alone'],
  run: Tasks,
  where: { importFolder: string; dataFolder: string },
  finished: boolean,
): Promise<void> {
  if (!finished) for (const part of await run.leftBy(where)) await alone(() => run.takeBack({ ...where, part }));
  await run.clear(where);
}

/** Ends imports that a crash has cut off: what nobody could see is taken out again. */
export async function endCutOff(dataFolder: string): Promise<void> {
  for (const name of readdirSync(dataFolder))
    if (name.startsWith(IMPORT))
      await endImport((work) => work(), here, { importFolder: join(dataFolder, name), dataFolder }, false);
}
