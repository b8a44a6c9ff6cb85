import { randomBytes } from 'node:crypto';
import { asc, eq } from 'drizzle-orm';
import type { JobFile } from '@maquette/facts/job-file';
import type { Database } from '../store/database.ts';
import type { Store } from '../store/store.ts';
import { chainLines } from '../store/tables.ts';
import { linesAfter, type KeptLine } from './chain-of-job.ts';

/** Lines written at once: each takes nine places of a statement. */
const AT_ONCE = 500;

const read = async (db: Pick<Database, 'select'>, jobId: string): Promise<KeptLine[]> =>
  (await db.select().from(chainLines).where(eq(chainLines.jobId, jobId)).orderBy(asc(chainLines.line))).map(
    ({ jobId: _job, line: _line, ...kept }) => kept,
  );

/** A job’s chain as far as it was ever sealed. */
export const keptChain = (store: Store, jobId: string): Promise<KeptLine[]> => read(store.db, jobId);

const newSalt = () => randomBytes(32).toString('hex');

/** A job’s chain with everything it has now: what is new in it is kept before anybody is shown it. */
export function chainOn(store: Store, jobId: string, file: Pick<JobFile, 'facts'>): Promise<KeptLine[]> {
  return store.write(async (tx) => {
    const held = await read(tx, jobId);
    const coming = linesAfter(held, file, newSalt);
    await put(tx, jobId, held.length, coming);
    return [...held, ...coming];
  });
}

/** Keeps the lines of a chain that came with a bundle, where none is kept of that job. */
export function keepChain(store: Store, jobId: string, lines: readonly KeptLine[]): Promise<void> {
  return store.write(async (tx) => {
    if ((await read(tx, jobId)).length === 0) await put(tx, jobId, 0, lines);
  });
}

async function put(
  tx: Pick<Database, 'insert'>,
  jobId: string,
  from: number,
  lines: readonly KeptLine[],
): Promise<void> {
  for (let k = 0; k < lines.length; k += AT_ONCE)
    await tx
      .insert(chainLines)
      .values(lines.slice(k, k + AT_ONCE).map((line, n) => ({ ...line, jobId, line: from + k + n })));
}
