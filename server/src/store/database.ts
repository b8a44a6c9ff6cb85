import type { LibSQLDatabase } from 'drizzle-orm/libsql';

export type Database = LibSQLDatabase;
/** A transaction of this database: what store functions write through. */
export type Transaction = Parameters<Parameters<Database['transaction']>[0]>[0];
