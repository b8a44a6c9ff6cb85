import { mkdirSync, writeFileSync } from 'node:fs';
import { join } from 'node:path';
import { newId } from '../store/new-id.ts';
import { importJob, type ImportResult } from './import-job.ts';
import { importFolderIn } from './land.ts';
import type { Tasks } from './pool.ts';
import { newGauge, type Gauge } from './progress.ts';
import { SENT } from './read-file.ts';
import * as here from './tasks.ts';

interface Asked {
  copy?: boolean;
  gauge?: Gauge;
  tasks?: Tasks;
}

/** Brings a job file in as the server does once it has arrived, for tests. */
export function bringIn(
  store: Parameters<typeof importJob>[0],
  text: string,
  { copy = false, gauge = newGauge(), tasks = here }: Asked = {},
): Promise<ImportResult> {
  const folder = importFolderIn(store.folder, newId());
  mkdirSync(folder);
  writeFileSync(join(folder, SENT), text);
  return importJob(store, tasks, folder, { copy, gauge, now: () => '2026-05-04T08:00:00.000Z' });
}
