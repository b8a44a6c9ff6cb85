import {
  figure,
  flag,
  group,
  kind,
  list,
  moment,
  oneOf,
  orNull,
  refersTo,
  text,
  together,
  whole,
  within,
  type FactOf,
} from '../fields/index.ts';
import { ROD_MM } from '../flat/facts.ts';
import { OPENING_MM, SHEET_MM, WALL_COUNT } from '../room/index.ts';
import { gap, say, type Said } from '../said/index.ts';
import { LEAF_KINDS } from './leaf-verdict.ts';
import { LEVEL_OF, type LevelOf } from './level-read.ts';
import { READ_BY_MM, type ReadBy } from './uncertain.ts';
import { FRAME_KINDS } from './undercut.ts';

/** Ranges taken of what is asked about heights. */
export const HEIGHT_RANGES = {
  overMm: { min: -400, max: 3000 },
  lyingMm: { min: 0, max: 500 },
  datumMm: { min: -10_000, max: 10_000 },
  cutBeforeMm: { min: 0, max: 60 },
  rugMm: { min: 0, max: 40 },
  opensDeg: { min: 10, max: 180 },
  airMm: { min: 0, max: 40 },
  panelMm: { min: 0, max: 40 },
  filmMm: { min: 0, max: 5 },
  underlayMm: { min: 0.5, max: 25 },
  kPaAtHalfMm: { min: 1, max: 2000 },
  setShare: { min: 0, max: 0.15 },
  coveringMm: { min: 1, max: 40 },
  coveringKgM2: { min: 0.5, max: 40 },
  applianceMm: { min: 200, max: 2500 },
  riserMm: { min: 50, max: 400 },
  boardMm: { min: 3, max: 60 },
} as const;
export const RISERS_MOST = 30;

const READ_BY: readonly ReadBy[] = Object.keys(READ_BY_MM) as ReadBy[];
const OF_WORDS: Record<LevelOf, Said> = {
  beyond: say('formats.levelBeyond'),
  leaf: say('formats.levelLeaf'),
  flange: say('formats.levelFlange'),
  underside: say('formats.levelUnderside'),
  sill: say('formats.levelSill'),
  worktop: say('formats.levelWorktop'),
  skirting: say('formats.levelSkirting'),
  guard: say('formats.levelGuard'),
  groove: say('formats.levelGroove'),
};

/** A level about an opening, a fixture or a wall. What was taped over the floor is told over the datum when it is entered. */
export const levels = kind(
  'room',
  'Level',
  {
    of: oneOf(...LEVEL_OF),
    /** The opening, the fixture, or the wall: `wall-1` is the first. */
    aboutId: refersTo('places'),
    /** How far along it, mm. */
    alongMm: figure(0, OPENING_MM.width.max, 'mm'),
    readBy: oneOf(...READ_BY),
    setupId: orNull(refersTo('setups')),
    rodMm: orNull(within(ROD_MM, 'mm')),
    /** Over what lay there, mm; with how much of the old floor that was, by its recorded layers. */
    overMm: orNull(within(HEIGHT_RANGES.overMm, 'mm')),
    lyingMm: orNull(within(HEIGHT_RANGES.lyingMm, 'mm')),
    /** The level that made over the datum, mm; null while the floor there was not read yet. */
    datumMm: orNull(within(HEIGHT_RANGES.datumMm, 'mm')),
    takenAt: moment(),
    note: text(500),
  },
  {
    logged: {
      as: 'level',
      line: ({ of, takenAt, rodMm, overMm }) => ({
        at: takenAt,
        what: OF_WORDS[of],
        value: together([
          rodMm !== null && say('formats.byStaff', { rodMm: gap(rodMm) }),
          overMm !== null && say('formats.overWhatLay', { overMm: gap(overMm) }),
        ]),
      }),
    },
  },
);
export type LevelFact = FactOf<typeof levels>;

/** The leaf that hangs in a door, as far as the floor comes to it. The newest counts. */
export const leaves = kind(
  'room',
  'Door leaf',
  {
    openingId: refersTo('openings'),
    kind: oneOf(...LEAF_KINDS),
    dropSeal: flag(),
    cutBeforeMm: within(HEIGHT_RANGES.cutBeforeMm, 'mm'),
    opensDeg: within(HEIGHT_RANGES.opensDeg, 'deg'),
    /** Air asked for under it, mm; null where none is. */
    airMm: orNull(within(HEIGHT_RANGES.airMm, 'mm')),
    /** A mat or rug it has to pass over, mm. */
    rugMm: within(HEIGHT_RANGES.rugMm, 'mm'),
    frame: oneOf(...FRAME_KINDS),
    note: text(500),
  },
  { newestCounts: true },
);
export type LeafFact = FactOf<typeof leaves>;

/** What goes over the surface that stays. The newest counts; without one what is usual for the covering is reckoned with. */
export const buildUps = kind(
  'room',
  'Build-up',
  {
    panelMm: within(HEIGHT_RANGES.panelMm, 'mm'),
    filmMm: within(HEIGHT_RANGES.filmMm, 'mm'),
    /** Null where no underlay is laid. */
    underlayMm: orNull(within(HEIGHT_RANGES.underlayMm, 'mm')),
    kPaAtHalfMm: within(HEIGHT_RANGES.kPaAtHalfMm),
    setShare: within(HEIGHT_RANGES.setShare),
    /** Covering with its adhesive, mm; null takes the card's thickness. */
    coveringMm: orNull(within(HEIGHT_RANGES.coveringMm, 'mm')),
    coveringKgM2: within(HEIGHT_RANGES.coveringKgM2),
    note: text(500),
  },
  { newestCounts: true },
);
export type BuildUpFact = FactOf<typeof buildUps>;

/** An appliance in its bay, with its feet wound in. The newest counts. */
export const appliances = kind(
  'room',
  'Appliance',
  {
    fixtureId: refersTo('fixtures'),
    heightMm: within(HEIGHT_RANGES.applianceMm, 'mm'),
    /** Air over it: 3 mm unless its maker asks for more. */
    airMm: within(HEIGHT_RANGES.airMm, 'mm'),
    fixed: oneOf('plug', 'gas', 'wired'),
    note: text(500),
  },
  { newestCounts: true },
);
export type ApplianceFact = FactOf<typeof appliances>;

/** A flight of stairs at an opening: its risers from the lower floor up. The newest counts. */
export const flights = kind(
  'room',
  'Flight of stairs',
  {
    openingId: refersTo('openings'),
    risersMm: list(within(HEIGHT_RANGES.riserMm, 'mm'), 'risers', RISERS_MOST, 2),
    /** It leads down from this room, or up from it. */
    leads: oneOf('down', 'up'),
    /** What is laid over the floor at its other end, and over each tread at the top of its nosing; null takes the best. */
    otherMm: figure(0, 100, 'mm'),
    treadMm: orNull(figure(0, 40, 'mm')),
    note: text(500),
  },
  { newestCounts: true },
);
export type FlightFact = FactOf<typeof flights>;

/** Where a room lies on the storey's sheet, where it was moved there by hand. The newest counts. */
export const poses = kind(
  'room',
  'Place on the storey',
  {
    xMm: figure(-SHEET_MM, SHEET_MM, 'mm'),
    yMm: figure(-SHEET_MM, SHEET_MM, 'mm'),
    turnDeg: figure(-360, 360, 'deg'),
    /** False takes it back to where its openings put it. */
    own: flag(),
  },
  { newestCounts: true },
);
export type PoseFact = FactOf<typeof poses>;

/** What becomes of a skirting board. */
export const SKIRTING_FITS = ['refit', 'stays', 'new'] as const;
export type SkirtingFit = (typeof SKIRTING_FITS)[number];

/** A place at which a wall stands off a string along it. */
export const WAVER = { alongMm: figure(0, 50_000, 'mm'), intoRoomMm: figure(-60, 60, 'mm') } as const;

/** Skirting along a wall: how thick its board is. The newest counts. */
export const skirtings = kind(
  'room',
  'Skirting board',
  {
    wall: whole(0, WALL_COUNT.max - 1),
    boardMm: within(HEIGHT_RANGES.boardMm, 'mm'),
    /** The old board is put back, stays on the wall while the floor is laid, or a new one is bought. */
    fit: oneOf(...SKIRTING_FITS),
    /** How far the wall stands into the room from a string along it, negative where it stands back, by places along it. */
    waver: list(group(WAVER), 'places', 20),
    note: text(500),
  },
  { newestCounts: true, since: { fit: 'refit' } },
);
export type SkirtingFact = FactOf<typeof skirtings>;

/** Whether the covering goes through an opening or is parted in it, where somebody decided so. The newest counts. */
export const partings = kind(
  'room',
  'Break in an opening',
  { openingId: refersTo('openings'), asked: oneOf('by-run', 'break'), note: text(500) },
  { newestCounts: true },
);
export type PartingFact = FactOf<typeof partings>;
