import { index, integer, real, sqliteTable, text } from 'drizzle-orm/sqlite-core';
import type {
  BaseDetails,
  Diagonal,
  DividingLine,
  Fixture,
  Opening,
  SecondBase,
  Start,
  Wall,
} from '@maquette/core/room';
import type { FlatnessRule } from '@maquette/core/coverings';
import { stored } from './stored.ts';

export const jobs = sqliteTable('jobs', {
  ...stored(),
  name: text('name').notNull(),
  about: text('about').notNull(),
  rank: real('rank').notNull(),
  country: text('country'),
  currency: text('currency').notNull(),
  asbestosFrom: real('asbestos_from'),
  leadFrom: real('lead_from'),
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
    start: text('start', { mode: 'json' }).$type<Start>().notNull(),
    diagonals: text('diagonals', { mode: 'json' }).$type<Diagonal[]>().notNull(),
    openings: text('openings', { mode: 'json' }).$type<Opening[]>().notNull(),
    fixtures: text('fixtures', { mode: 'json' }).$type<Fixture[]>().notNull(),
    lines: text('lines', { mode: 'json' }).$type<DividingLine[]>().notNull(),
    baseKind: text('base_kind').notNull(),
    base: text('base', { mode: 'json' }).$type<BaseDetails>().notNull(),
    secondBase: text('second_base', { mode: 'json' }).$type<SecondBase>(),
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
  layOver: text('lay_over', { mode: 'json' }).$type<string[]>().notNull(),
  source: text('source').notNull(),
});

/** Defaults of the trade as one job has them. */
export const figures = sqliteTable(
  'figures',
  {
    ...stored(),
    jobId: text('job_id')
      .notNull()
      .references(() => jobs.id),
    name: text('name').notNull(),
    value: real('value').notNull(),
    source: text('source').notNull(),
  },
  (table) => [index('figures_by_job').on(table.jobId)],
);
