import { mkdirSync } from 'node:fs';
import { join } from 'node:path';
import { createClient, type Client } from '@libsql/client';
import { drizzle, type LibSQLDatabase } from 'drizzle-orm/libsql';
import { migrate } from 'drizzle-orm/libsql/migrator';
import * as schema from './schema/index.ts';
import { writeQueue, type WriteQueue } from './write-queue.ts';

export type Database = LibSQLDatabase<typeof schema>;
/** A transaction of this database: what store functions write through. */
export type Transaction = Parameters<Parameters<Database['transaction']>[0]>[0];

export interface Store {
  /** The data folder: the database and, beside it, the pictures. */
  folder: string;
  db: Database;
  write: WriteQueue;
  close: () => void;
}

/**
 * Opens (or makes) the database in `folder` and brings it to the newest schema.
 * WAL persists in the file; foreign keys and full synchronous writes are the driver's defaults and are set again to be sure.
 */
export async function openStore(folder: string, migrations: string): Promise<Store> {
  mkdirSync(folder, { recursive: true });
  const client: Client = createClient({ url: `file:${join(folder, 'maquette.sqlite')}` });
  await client.execute('PRAGMA journal_mode = WAL');
  await client.execute('PRAGMA synchronous = FULL');
  await client.execute('PRAGMA foreign_keys = ON');
  const db = drizzle(client, { schema });
  await migrate(db, { migrationsFolder: migrations });
  return { folder, db, write: writeQueue(db), close: () => client.close() };
}
