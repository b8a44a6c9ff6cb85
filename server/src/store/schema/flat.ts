import { index, integer, real, sqliteTable, text } from 'drizzle-orm/sqlite-core';
import { inRoom } from './in-room.ts';
import { stored } from './stored.ts';

export const setups = sqliteTable(
  'setups',
  {
    ...stored(),
    roomId: inRoom(),
    name: text('name').notNull(),
    openRodMm: real('open_rod_mm'),
    closeRodMm: real('close_rod_mm'),
    startedAt: text('started_at').notNull(),
  },
  (table) => [index('setups_by_room').on(table.roomId)],
);

export const stations = sqliteTable(
  'stations',
  {
    ...stored(),
    roomId: inRoom(),
    replacesKey: text('replaces_key'),
    xMm: real('x_mm').notNull(),
    yMm: real('y_mm').notNull(),
    dropped: integer('dropped', { mode: 'boolean' }).notNull(),
  },
  (table) => [index('stations_by_room').on(table.roomId)],
);

export const readings = sqliteTable(
  'readings',
  {
    ...stored(),
    roomId: inRoom(),
    setupId: text('setup_id')
      .notNull()
      .references(() => setups.id),
    stationKey: text('station_key').notNull(),
    xMm: real('x_mm').notNull(),
    yMm: real('y_mm').notNull(),
    rodMm: real('rod_mm').notNull(),
    takenAt: text('taken_at').notNull(),
    note: text('note').notNull(),
  },
  (table) => [index('readings_by_room').on(table.roomId)],
);
