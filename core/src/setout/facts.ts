import {
  figure,
  flag,
  group,
  key,
  kind,
  list,
  moment,
  oneOf,
  orNull,
  refersTo,
  text,
  whole,
  type FactOf,
} from '../fields/index.ts';
import { WALL_COUNT } from '../room/index.ts';
import { say } from '../said/index.ts';

const HANDS = ['left-to-right', 'right-to-left'] as const;
export const PATTERNS = ['stagger', 'half', 'third', 'herringbone'] as const;
export type Pattern = (typeof PATTERNS)[number];
export const FIRST_ROWS = ['fewest', 'equal', 'centre', 'from-wall', 'set'] as const;

const ROW_COUNT = 2000;
const PIECE_MM = 40_000;
const wallNumber = () => whole(0, WALL_COUNT.max - 1);

/** How the planks of a room are to lie, as somebody chose it. The newest counts. */
export const setOuts = kind(
  'room',
  'Set-out',
  {
    /** Null takes the wall that is proposed. */
    startWall: orNull(wallNumber()),
    hand: oneOf(...HANDS),
    pattern: oneOf(...PATTERNS),
    firstRow: oneOf(...FIRST_ROWS),
    /** Width of the first row, where it is set by hand. */
    firstMm: orNull(figure(5, 1000, 'mm')),
    /** Wall the light is taken from; null takes the wall with most window. */
    lightWall: orNull(wallNumber()),
    windows: list(group({ wall: wallNumber(), widthMm: figure(100, 12_000, 'mm') }), 'windows', 40),
    /** Walls with a gap of their own; all others take the card's. */
    gaps: list(group({ wall: wallNumber(), gapMm: figure(0, 60, 'mm') }), 'gaps at walls', WALL_COUNT.max),
    /** Openings through which the planks run on into the next room. */
    through: list(group({ openingId: refersTo('openings') }), 'openings laid through', 40),
    /** Dividing lines of the room at which the planks are parted by a bar. */
    breaks: list(group({ lineId: refersTo('lines') }), 'breaks', 20),
    /** Rows of straight staves round a herringbone floor. */
    borderRows: whole(0, 3),
    note: text(500),
  },
  { newestCounts: true, since: { windows: [], breaks: [], borderRows: 0 } },
);
export type SetOut = FactOf<typeof setOuts>;

/** A set-out nobody has chosen yet. */
export const USUAL_SET_OUT: Omit<SetOut, 'id'> = {
  startWall: null,
  hand: 'left-to-right',
  pattern: 'stagger',
  firstRow: 'fewest',
  firstMm: null,
  lightWall: null,
  windows: [],
  gaps: [],
  through: [],
  breaks: [],
  borderRows: 0,
  note: '',
};

/** A row as it was laid, or as it was measured before its last piece is cut: it stands, and all that follows is planned round it. */
export const laidRows = kind(
  'room',
  'Row of planks',
  {
    /** What it was laid by: another start or another first row is another floor. */
    startWall: wallNumber(),
    hand: oneOf(...HANDS),
    firstMm: figure(1, 4000, 'mm'),
    row: whole(1, ROW_COUNT),
    /** Which strip of the row, where something parts it. */
    strip: whole(1, 60),
    startMm: figure(1, PIECE_MM, 'mm'),
    wholes: whole(0, ROW_COUNT),
    /** Nothing where one piece goes from wall to wall. */
    endMm: figure(0, PIECE_MM, 'mm'),
    isLaid: flag(),
    laidAt: moment(),
    batch: text(40),
    note: text(500),
  },
  {
    logged: {
      as: 'laid',
      line: ({ row, laidAt, isLaid }) => ({
        at: laidAt,
        what: isLaid ? say('formats.rowLaid', { row }) : say('formats.rowMeasured', { row }),
      }),
    },
  },
);
export type LaidRow = FactOf<typeof laidRows>;

/** Boxes of one batch that were put into the room: where they lie decides whether their clock runs. */
export const plankBoxes = kind(
  'room',
  'Boxes of planks',
  {
    batch: text(40),
    boxes: whole(1, 500),
    planksEach: whole(1, 200),
    stoodAt: moment(),
    isFlat: flag(),
    isOffConcrete: flag(),
    isOffOuterWall: flag(),
    isOffVentsAndSun: flag(),
    isOpened: flag(),
    note: text(500),
  },
  {
    logged: {
      as: 'boxes',
      line: ({ stoodAt, batch, boxes }) => ({ at: stoodAt, what: say('formats.boxesStood', { count: boxes, batch }) }),
    },
  },
);
export type PlankBoxes = FactOf<typeof plankBoxes>;

const FOUND = ['good', 'bad'] as const;

/** The first box of a batch, looked through before the rest is opened. */
export const boxChecks = kind('room', 'First box of a batch', {
  batch: text(40),
  locks: oneOf(...FOUND),
  straight: oneOf(...FOUND),
  colour: oneOf(...FOUND),
  /** How many figures the print has, before it comes again. */
  prints: orNull(whole(1, 99)),
  checkedAt: moment(),
  note: text(500),
});
export type BoxCheck = FactOf<typeof boxChecks>;

/** Planks that are set aside. */
export const damagedPlanks = kind('room', 'Damaged planks', {
  batch: text(40),
  planks: whole(1, 200),
  what: text(120),
  foundAt: moment(),
});
export type DamagedPlanks = FactOf<typeof damagedPlanks>;

/** Adhesive tried on a zone of the base: how long until it is tacky, and whether the strip held. */
export const glueTests = kind('room', 'Patch test of adhesive', {
  /** The base itself, or the mark of a residue. */
  zone: key(80),
  begunAt: moment(),
  tackMin: orNull(figure(1, 900, 'min')),
  isHeld: orNull(flag()),
  note: text(500),
});
export type GlueTest = FactOf<typeof glueTests>;

/** One bay of adhesive by the clock. */
export const glueBays = kind('room', 'Bay of adhesive', {
  bay: whole(1, 400),
  spreadAt: moment(),
  laidAt: orNull(moment()),
  rolledAt: orNull(moment()),
  isScraped: flag(),
});
export type GlueBayDone = FactOf<typeof glueBays>;
