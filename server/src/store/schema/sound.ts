import { index, integer, real, sqliteTable, text } from 'drizzle-orm/sqlite-core';
import type { PointMm } from '@maquette/core/room';
import { inRoom } from './in-room.ts';
import { stored } from './stored.ts';

export const marks = sqliteTable(
  'marks',
  {
    ...stored(),
    roomId: inRoom(),
    kind: text('kind').notNull(),
    xMm: real('x_mm').notNull(),
    yMm: real('y_mm').notNull(),
    sizeMm: real('size_mm'),
    shape: text('shape').notNull().default('point'),
    points: text('points', { mode: 'json' }).$type<PointMm[]>().notNull().default([]),
    depthMm: real('depth_mm'),
    stepMm: real('step_mm'),
    moveMm: real('move_mm'),
    severity: text('severity').notNull().default('clear'),
    moving: integer('moving', { mode: 'boolean' }).notNull().default(false),
    note: text('note').notNull(),
  },
  (table) => [index('marks_by_room').on(table.roomId)],
);

export const checks = sqliteTable(
  'checks',
  {
    ...stored(),
    roomId: inRoom(),
    key: text('key').notNull(),
    found: integer('found', { mode: 'boolean' }).notNull(),
    takenAt: text('taken_at').notNull(),
    note: text('note').notNull(),
  },
  (table) => [index('checks_by_room').on(table.roomId)],
);
