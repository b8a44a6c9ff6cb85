import { index, integer, real, sqliteTable, text } from 'drizzle-orm/sqlite-core';
import type { Side } from '@maquette/core/room';
import type { Seam } from '@maquette/core/layers';
import { inRoom } from './in-room.ts';
import { stored } from './stored.ts';

export const layers = sqliteTable(
  'layers',
  {
    ...stored(),
    roomId: inRoom(),
    kind: text('kind').notNull(),
    rank: real('rank').notNull(),
    thicknessMm: real('thickness_mm').notNull(),
    fixing: text('fixing').notNull(),
    year: integer('year'),
    yearOf: text('year_of').notNull(),
    condition: text('condition').notNull(),
    where: text('where_sides', { mode: 'json' }).$type<Side[]>().notNull(),
    seams: text('seams', { mode: 'json' }).$type<Seam[]>().notNull(),
    groutMm: real('grout_mm'),
    groutDepthMm: real('grout_depth_mm'),
    lippageMm: real('lippage_mm'),
    foundAt: text('found_at').notNull(),
    note: text('note').notNull(),
  },
  (table) => [index('layers_by_room').on(table.roomId)],
);

export const samples = sqliteTable(
  'samples',
  {
    ...stored(),
    roomId: inRoom(),
    layerId: text('layer_id').notNull(),
    part: text('part').notNull(),
    where: text('where_sides', { mode: 'json' }).$type<Side[]>().notNull(),
    sampleNo: text('sample_no').notNull(),
    laboratory: text('laboratory').notNull(),
    resultOn: text('result_on').notNull(),
    result: text('result').notNull(),
    note: text('note').notNull(),
  },
  (table) => [index('samples_by_room').on(table.roomId)],
);

export const taps = sqliteTable(
  'taps',
  {
    ...stored(),
    roomId: inRoom(),
    layerId: text('layer_id').notNull(),
    xMm: real('x_mm').notNull(),
    yMm: real('y_mm').notNull(),
    sound: text('sound').notNull(),
  },
  (table) => [index('taps_by_room').on(table.roomId)],
);

export const answers = sqliteTable(
  'answers',
  {
    ...stored(),
    roomId: inRoom(),
    topic: text('topic').notNull(),
    value: text('value').notNull(),
    note: text('note').notNull(),
  },
  (table) => [index('answers_by_room').on(table.roomId)],
);

export const ticks = sqliteTable(
  'ticks',
  {
    ...stored(),
    roomId: inRoom(),
    key: text('key').notNull(),
    doneAt: text('done_at').notNull(),
    note: text('note').notNull(),
  },
  (table) => [index('ticks_by_room').on(table.roomId)],
);
