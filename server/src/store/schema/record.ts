import { index, integer, primaryKey, real, sqliteTable, text } from 'drizzle-orm/sqlite-core';
import { inRoom } from './in-room.ts';
import { stored } from './stored.ts';

export const photos = sqliteTable(
  'photos',
  {
    ...stored(),
    roomId: inRoom(),
    about: text('about').notNull(),
    aboutId: text('about_id').notNull(),
    xMm: real('x_mm'),
    yMm: real('y_mm'),
    takenAt: text('taken_at').notNull(),
    note: text('note').notNull(),
  },
  (table) => [index('photos_by_room').on(table.roomId)],
);

/** The picture of a photograph: a file named by the hash of its content. Written once. */
export const pictures = sqliteTable('pictures', {
  photoId: text('photo_id')
    .primaryKey()
    .references(() => photos.id),
  sha256: text('sha256').notNull(),
  bytes: integer('bytes').notNull(),
  widthPx: integer('width_px').notNull(),
  heightPx: integer('height_px').notNull(),
  storedAt: text('stored_at').notNull(),
});

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
    body: text('body', { mode: 'json' }).$type<Record<string, unknown>>().notNull(),
  },
  (table) => [primaryKey({ columns: [table.kind, table.factId, table.version] })],
);
