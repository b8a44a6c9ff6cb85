import { index, integer, primaryKey, real, sqliteTable, text } from 'drizzle-orm/sqlite-core';
import type {
  BaseDetails,
  Diagonal,
  DividingLine,
  Fixture,
  Opening,
  PointMm,
  SecondBase,
  Side,
  Start,
  Wall,
} from '@maquette/core/room';
import type { AirSample } from '@maquette/core/air';
import type { Seam } from '@maquette/core/layers';
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
