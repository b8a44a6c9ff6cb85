import { index, integer, primaryKey, real, sqliteTable, text } from 'drizzle-orm/sqlite-core';
import type { Door, Wall } from '@maquette/core/room';
import type { FlatnessRule } from '@maquette/core/coverings';

/** Columns every fact has: what is needed to count a write once, to see a conflict and to keep what was deleted. */
const stored = () => ({
  id: text('id').primaryKey(),
  version: integer('version').notNull(),
  writeId: text('write_id').notNull(),
  updatedAt: text('updated_at').notNull(),
  deletedAt: text('deleted_at'),
});

export const jobs = sqliteTable('jobs', {
  ...stored(),
  name: text('name').notNull(),
  about: text('about').notNull(),
  rank: real('rank').notNull(),
});

export const rooms = sqliteTable(
  'rooms',
  {
    ...stored(),
    jobId: text('job_id')
      .notNull()
      .references(() => jobs.id),
    name: text('name').notNull(),
    rank: real('rank').notNull(),
    walls: text('walls', { mode: 'json' }).$type<Wall[]>().notNull(),
    door: text('door', { mode: 'json' }).$type<Door>(),
    baseKind: text('base_kind').notNull(),
    cardId: text('card_id').notNull(),
    units: text('units').$type<'metric' | 'imperial'>().notNull(),
    spacingMm: real('spacing_mm'),
    contactsOnly: integer('contacts_only', { mode: 'boolean' }).notNull(),
  },
  (table) => [index('rooms_by_job').on(table.jobId)],
);

export const cards = sqliteTable('cards', {
  ...stored(),
  name: text('name').notNull(),
  kind: text('kind').notNull(),
  thicknessMm: real('thickness_mm').notNull(),
  attachedPad: integer('attached_pad', { mode: 'boolean' }).notNull(),
  rules: text('rules', { mode: 'json' }).$type<FlatnessRule[]>().notNull(),
  stepMm: real('step_mm'),
  cementLimitRh: real('cement_limit_rh').notNull(),
  timberLimitMc: real('timber_limit_mc').notNull(),
  airMinC: real('air_min_c').notNull(),
  airMaxC: real('air_max_c').notNull(),
  airMinRh: real('air_min_rh').notNull(),
  airMaxRh: real('air_max_rh').notNull(),
  acclimatiseH: real('acclimatise_h').notNull(),
  perimeterGapMm: real('perimeter_gap_mm').notNull(),
  lastRowMm: real('last_row_mm').notNull(),
  endPieceMm: real('end_piece_mm').notNull(),
  staggerMm: real('stagger_mm').notNull(),
  longestRunM: real('longest_run_m'),
  source: text('source').notNull(),
});

const inRoom = () =>
  text('room_id')
    .notNull()
    .references(() => rooms.id);

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
