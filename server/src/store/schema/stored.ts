import { integer, text } from 'drizzle-orm/sqlite-core';

/** Columns every fact has: what is needed to count a write once, to see a conflict and to keep what was deleted. */
export const stored = () => ({
  id: text('id').primaryKey(),
  version: integer('version').notNull(),
  writeId: text('write_id').notNull(),
  updatedAt: text('updated_at').notNull(),
  deletedAt: text('deleted_at'),
});
