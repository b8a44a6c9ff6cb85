import { accessSync, closeSync, constants, existsSync, mkdirSync, openSync, readSync, statSync } from 'node:fs';
import { join } from 'node:path';
import { createClient, type Client, type Transaction } from '@libsql/client';
import { StartProblem } from './start-problem.ts';

export const databaseIn = (folder: string): string => join(folder, 'maquette.sqlite');

/** How every SQLite file begins. */
const MAGIC = 'SQLite format 3\0';

/** Makes the folder where there is none; says so where it cannot be written to. Nothing in it is touched. */
export function prepareFolder(folder: string): void {
  try {
    mkdirSync(folder, { recursive: true });
    accessSync(folder, constants.R_OK | constants.W_OK | constants.X_OK);
    const file = databaseIn(folder);
    if (existsSync(file)) accessSync(file, constants.R_OK | constants.W_OK);
  } catch (error) {
    const { code } = error as NodeJS.ErrnoException;
    throw new StartProblem(
      `The data folder ${folder} cannot be written to (${code}): give this user the right to write there, or name another folder with --data.`,
    );
  }
}

/** Says what is wrong with a database file by how it begins; the file is only read. */
export function checkBeginning(folder: string): void {
  const file = databaseIn(folder);
  if (!existsSync(file)) return;
  const bad = (what: string) =>
    new StartProblem(
      `${file} ${what}: put the newest backup in its place (npm run restore), or name another folder with --data.`,
    );
  const { size } = statSync(file);
  if (size === 0) throw bad('is empty');
  const head = Buffer.alloc(100);
  const handle = openSync(file, 'r');
  try {
    readSync(handle, head, 0, head.length, 0);
  } finally {
    closeSync(handle);
  }
  if (head.subarray(0, MAGIC.length).toString('latin1') !== MAGIC) throw bad('is no database');
  // Page size and number of pages stand in the header; what is in the log beside it may add pages, never take any away.
  const pageBytes = head.readUInt16BE(16) === 1 ? 65_536 : head.readUInt16BE(16);
  if (size < pageBytes) throw bad('is cut short');
}

/** Goes through the whole database for damage. */
export async function checkDatabase(client: Client, folder: string): Promise<void> {
  const file = databaseIn(folder);
  let found: string;
  try {
    const { rows } = await client.execute('PRAGMA quick_check(1)');
    found = String(rows[0]?.[0] ?? 'no answer');
  } catch (error) {
    found = error instanceof Error ? error.message : String(error);
  }
  if (found !== 'ok')
    throw new StartProblem(
      `${file} is damaged (${found}): put the newest backup in its place (npm run restore), or name another folder with --data.`,
    );
}

/**
 * Keeps a second server off the folder: a write transaction held open on a file of its own. The system lets go of it when the
 * process ends, however it ends, so that a crash locks nobody out.
 */
export async function lockFolder(folder: string): Promise<() => void> {
  const client = createClient({ url: `file:${join(folder, 'lock.sqlite')}` });
  let held: Transaction;
  try {
    held = await client.transaction('write');
  } catch (error) {
    client.close();
    if (!/busy|locked/i.test(String(error))) throw error;
    throw new StartProblem(
      `Another server has the data folder ${folder} open: stop that one first, or name another folder with --data.`,
    );
  }
  return () => {
    held.close();
    client.close();
  };
}
