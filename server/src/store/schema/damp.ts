import { index, integer, real, sqliteTable, text } from 'drizzle-orm/sqlite-core';
import type { AirSample } from '@maquette/core/air';
import { inRoom } from './in-room.ts';
import { stored } from './stored.ts';

export const airReadings = sqliteTable(
  'air_readings',
  {
    ...stored(),
    roomId: inRoom(),
    takenAt: text('taken_at').notNull(),
    tempC: real('temp_c').notNull(),
    rhPercent: real('rh_percent').notNull(),
    surfaceC: real('surface_c'),
    instrument: text('instrument').notNull(),
    who: text('who').notNull(),
    note: text('note').notNull(),
  },
  (table) => [index('air_readings_by_room').on(table.roomId)],
);

export const airLogs = sqliteTable(
  'air_logs',
  {
    ...stored(),
    roomId: inRoom(),
    name: text('name').notNull(),
    instrument: text('instrument').notNull(),
    samples: text('samples', { mode: 'json' }).$type<AirSample[]>().notNull(),
    note: text('note').notNull(),
  },
  (table) => [index('air_logs_by_room').on(table.roomId)],
);

export const dampTests = sqliteTable(
  'damp_tests',
  {
    ...stored(),
    roomId: inRoom(),
    method: text('method').notNull(),
    name: text('name').notNull(),
    xMm: real('x_mm').notNull(),
    yMm: real('y_mm').notNull(),
    startedAt: text('started_at'),
    depthMm: real('depth_mm'),
    startG: real('start_g'),
    areaM2: real('area_m2'),
    of: text('of').notNull(),
    offsetPercent: real('offset_percent').notNull(),
    compensates: integer('compensates', { mode: 'boolean' }).notNull(),
    instrument: text('instrument').notNull(),
    checkedOn: text('checked_on').notNull(),
    note: text('note').notNull(),
  },
  (table) => [index('damp_tests_by_room').on(table.roomId)],
);

export const dampReadings = sqliteTable(
  'damp_readings',
  {
    ...stored(),
    roomId: inRoom(),
    testId: text('test_id').notNull(),
    takenAt: text('taken_at').notNull(),
    value: real('value').notNull(),
    sampleG: real('sample_g'),
    tempC: real('temp_c'),
    who: text('who').notNull(),
    note: text('note').notNull(),
  },
  (table) => [index('damp_readings_by_room').on(table.roomId)],
);
