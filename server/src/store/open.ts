import { createClient, type Client } from '@libsql/client';
import { drizzle } from 'drizzle-orm/libsql';
import { migrate } from 'drizzle-orm/libsql/migrator';
import { carryLevels } from './carry-levels.ts';
import { carryOver } from './carry-over.ts';
import { checkBeginning, checkDatabase, databaseIn, lockFolder, prepareFolder } from './check-folder.ts';
import { endCutOff } from '../import/import-job.ts';
import { lastOrder } from './order.ts';
import { sweep } from './picture-files.ts';
import type { Store } from './store.ts';
import { writeQueue } from './write-queue.ts';

/**
 * Opens (or makes) the database in `folder` and brings it to the newest schema.
 * WAL persists in the file; foreign keys and full synchronous writes are the driver's defaults and are set again to be sure.
 * @throws StartProblem in words where the folder cannot be written to, another server has it, or the database is damaged
 */
export async function openStore(folder: string, migrations: string): Promise<Store> {
  prepareFolder(folder);
  checkBeginning(folder);
  const unlock = await lockFolder(folder);
  const client: Client = createClient({ url: `file:${databaseIn(folder)}` });
  try {
    await checkDatabase(client, folder);
    await client.execute('PRAGMA journal_mode = WAL');
    await client.execute('PRAGMA synchronous = FULL');
    await client.execute('PRAGMA foreign_keys = ON');
    const db = drizzle(client);
    await migrate(db, { migrationsFolder: migrations });
    await carryOver(db);
    await carryLevels(db);
    await endCutOff(folder);
    sweep(folder);
    const close = () => {
      client.close();
      unlock();
    };
    let last = await lastOrder(db);
    return {
      folder,
      db,
      ...writeQueue(db),
      seen: new Map(),
      nextOrder: () => ++last,
      countFrom: (order) => void (last = Math.max(last, order)),
      close,
    };
  } catch (error) {
    client.close();
    unlock();
    throw error;
  }
}
