import { integer, primaryKey, sqliteTable, text } from 'drizzle-orm/sqlite-core';
import { FACT_KINDS, type FactKind, type Made } from '@maquette/facts';
import { tableOf, type FactTable } from './columns.ts';

function tablesOf(): { [K in FactKind]: FactTable } {
  const made = new Map<string, FactTable>();
  for (const kind of FACT_KINDS) made.set(kind, tableOf(kind, made));
  return Object.fromEntries(made) as { [K in FactKind]: FactTable };
}

/** A table for each kind of fact. */
export const TABLES = tablesOf();

/** The picture of a photograph: a file named by the hash of its content. Written once. */
export const pictures = sqliteTable('pictures', {
  photoId: text('photo_id')
    .primaryKey()
    .references(() => TABLES.photos.id),
  sha256: text('sha256').notNull(),
  bytes: integer('bytes').notNull(),
  widthPx: integer('width_px').notNull(),
  heightPx: integer('height_px').notNull(),
  storedAt: text('stored_at').notNull(),
});

/**
 * Chains of facts as they were sealed: what once stood in one stays there byte for byte, whatever is written or brought in later.
 * A line that shows its fact by a digest alone keeps the random bytes here that the digest was made with.
 */
export const chainLines = sqliteTable(
  'chain_lines',
  {
    jobId: text('job_id').notNull(),
    line: integer('line').notNull(),
    kind: text('kind').notNull(),
    factId: text('fact_id').notNull(),
    version: integer('version').notNull(),
    isHidden: integer('is_hidden', { mode: 'boolean' }).notNull(),
    salt: text('salt'),
    digest: text('digest').notNull(),
    fact: text('fact').notNull(),
  },
  (table) => [primaryKey({ columns: [table.jobId, table.line] })],
);

/** Every version a write replaced, kept for ever. */
export const revisions = sqliteTable(
  'revisions',
  {
    kind: text('kind').notNull(),
    factId: text('fact_id').notNull(),
    version: integer('version').notNull(),
    writeId: text('write_id').notNull(),
    updatedAt: text('updated_at').notNull(),
    deletedAt: text('deleted_at'),
    order: integer('stored_order').notNull().default(0),
    made: text('made', { mode: 'json' }).$type<Made>(),
    body: text('body', { mode: 'json' }).$type<Record<string, unknown>>().notNull(),
  },
  (table) => [primaryKey({ columns: [table.kind, table.factId, table.version] })],
);
