import { index, real, sqliteTable, text } from 'drizzle-orm/sqlite-core';
import type { PredictedStation } from '@maquette/core/flat';
import { inRoom } from './in-room.ts';
import { stored } from './stored.ts';

export const works = sqliteTable(
  'works',
  {
    ...stored(),
    roomId: inRoom(),
    way: text('way').notNull(),
    doneAt: text('done_at').notNull(),
    product: text('product').notNull(),
    batch: text('batch').notNull(),
    bagsPlanned: real('bags_planned').notNull(),
    bagsUsed: real('bags_used'),
    tempC: real('temp_c'),
    rhPercent: real('rh_percent'),
    note: text('note').notNull(),
    predicted: text('predicted', { mode: 'json' }).$type<PredictedStation[]>().notNull(),
  },
  (table) => [index('works_by_room').on(table.roomId)],
);
