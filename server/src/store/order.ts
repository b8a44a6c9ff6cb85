import { max } from 'drizzle-orm';
import { FACT_KINDS } from '@maquette/facts';
import type { Database } from './database.ts';
import { TABLES } from './tables.ts';

/** The count of the last write stored. Replaced versions have lower ones than what replaced them. */
export async function lastOrder(db: Database): Promise<number> {
  let last = 0;
  for (const kind of FACT_KINDS) {
    const table = TABLES[kind];
    const [row] = await db.select({ last: max(table.order) }).from(table);
    last = Math.max(last, row?.last ?? 0);
  }
  return last;
}
