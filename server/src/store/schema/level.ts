import { index, integer, real, sqliteTable, text } from 'drizzle-orm/sqlite-core';
import type { EdgeGap, PredictedStation } from '@maquette/core/flat';
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

export const edgeWalks = sqliteTable(
  'edge_walks',
  {
    ...stored(),
    roomId: inRoom(),
    fromXMm: real('from_x_mm').notNull(),
    fromYMm: real('from_y_mm').notNull(),
    toXMm: real('to_x_mm').notNull(),
    toYMm: real('to_y_mm').notNull(),
    tool: text('tool').notNull(),
    contactsMm: text('contacts', { mode: 'json' }).$type<number[]>().notNull(),
    gaps: text('gaps', { mode: 'json' }).$type<EdgeGap[]>().notNull(),
    rocksMm: real('rocks_mm'),
    takenAt: text('taken_at').notNull(),
    note: text('note').notNull(),
  },
  (table) => [index('edge_walks_by_room').on(table.roomId)],
);

export const scans = sqliteTable(
  'scans',
  {
    ...stored(),
    roomId: inRoom(),
    fileName: text('file_name').notNull(),
    points: integer('points').notNull(),
    takenAt: text('taken_at').notNull(),
    cellMm: real('cell_mm').notNull(),
    nx: integer('nx').notNull(),
    ny: integer('ny').notNull(),
    x0Mm: real('x0_mm').notNull(),
    y0Mm: real('y0_mm').notNull(),
    heightsTenthMm: text('heights_tenth_mm', { mode: 'json' }).$type<(number | null)[]>().notNull(),
    noiseMm: real('noise_mm').notNull(),
    turnDeg: real('turn_deg').notNull(),
    xMm: real('x_mm').notNull(),
    yMm: real('y_mm').notNull(),
    note: text('note').notNull(),
  },
  (table) => [index('scans_by_room').on(table.roomId)],
);
