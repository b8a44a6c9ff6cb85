import { say, type Said } from '../said/index.ts';
import { figure, flag, group, kind, list, oneOf, orNull, text, whole, within, type FactOf } from '../fields/index.ts';
import { RULE } from './rules.ts';

export const COVERING_KINDS = [
  'click-vinyl',
  'laminate',
  'glue-down-vinyl',
  'engineered-wood',
  'click-herringbone',
] as const;
export type CoveringKind = (typeof COVERING_KINDS)[number];

/** Families of old floors a sheet may allow beneath. */
export const OLD_FLOORS = ['tile', 'resilient', 'wood', 'mineral'] as const;
export type OldFloor = (typeof OLD_FLOORS)[number];
export const OLD_FLOOR_WORDS: Record<OldFloor, Said> = {
  tile: say('coverings.oldFloorWordsTile'),
  resilient: say('coverings.oldFloorWordsResilient'),
  wood: say('coverings.oldFloorWordsWood'),
  mineral: say('coverings.oldFloorWordsMineral'),
};

/** Ranges a card's figures may take: what is physically sensible, wider than any shipped card. */
export const CARD_RANGES = {
  thicknessMm: { min: 1, max: 40, unit: 'mm', words: say('coverings.cardRangesThicknessMm') },
  cementLimitRh: { min: 30, max: 100, unit: '%RH', words: say('coverings.cardRangesCementLimitRh') },
  timberLimitMc: { min: 4, max: 25, unit: '%', words: say('coverings.cardRangesTimberLimitMc') },
  airMinC: { min: 0, max: 40, unit: '°C', words: say('coverings.cardRangesAirMinC') },
  airMaxC: { min: 0, max: 50, unit: '°C', words: say('coverings.cardRangesAirMaxC') },
  airMinRh: { min: 0, max: 100, unit: '%RH', words: say('coverings.cardRangesAirMinRh') },
  airMaxRh: { min: 0, max: 100, unit: '%RH', words: say('coverings.cardRangesAirMaxRh') },
  acclimatiseH: { min: 0, max: 336, unit: 'h', words: say('coverings.cardRangesAcclimatiseH') },
  perimeterGapMm: { min: 0, max: 40, unit: 'mm', words: say('coverings.cardRangesPerimeterGapMm') },
  lastRowMm: { min: 0, max: 300, unit: 'mm', words: say('coverings.cardRangesLastRowMm') },
  endPieceMm: { min: 0, max: 1000, unit: 'mm', words: say('coverings.cardRangesEndPieceMm') },
  staggerMm: { min: 0, max: 1000, unit: 'mm', words: say('coverings.cardRangesStaggerMm') },
} as const;
export type CardFigure = keyof typeof CARD_RANGES;

/** Ranges of the two figures that may be absent. */
export const STEP_MM = { min: 0.1, max: 5 } as const;
export const LONGEST_RUN_M = { min: 2, max: 100 } as const;
const COST_M2_MOST = 1000;

/** What a sheet says to something asked: yes, no, or nothing. */
export const STATED_WORDS = ['unsaid', 'yes', 'no'] as const;
export type StatedWord = (typeof STATED_WORDS)[number];
/** As a rule reads it: null where the sheet says nothing. */
export const asFlag = (word: StatedWord): boolean | null => (word === 'unsaid' ? null : word === 'yes');

/** Reaction to fire of a floor, the worst first (EN 13501-1). */
export const FIRE_CLASSES = ['Ffl', 'Efl', 'Dfl', 'Cfl', 'Bfl', 'A2fl', 'A1fl'] as const;
export type FireClass = (typeof FIRE_CLASSES)[number];

/** What a sheet says of what lies under its planks and of their boxes; null and `unsaid`: it says nothing. */
export const UNDER_PLANKS = {
  heatRated: oneOf(...STATED_WORDS),
  rM2KW: orNull(figure(0, 0.5)),
  sdM: orNull(figure(0.01, 5000, 'm')),
  /** A soft layer under planks with a pad of their own. */
  softAllowed: oneOf(...STATED_WORDS),
  mostSoftMm: orNull(figure(0, 10, 'mm')),
  leastKPa: orNull(figure(1, 2000)),
  /** Asks for a film over timber; takes one as a cure for damp. */
  filmOnTimber: flag(),
  filmCures: flag(),
  /** Local bumps it takes without an underlay, mm. */
  bumpsMm: figure(0, 5, 'mm'),
  wetRoom: flag(),
  /** Its class with a soft layer under it. */
  fireClass: oneOf('unsaid', ...FIRE_CLASSES),
  plankWidthMm: orNull(figure(40, 1000, 'mm')),
  plankLengthMm: orNull(figure(200, 4000, 'mm')),
  packM2: orNull(figure(0.1, 10, 'm²')),
  massKgM2: orNull(figure(0.5, 40)),
} as const;

/** What a sheet says of how its planks are laid; null and `unsaid`: it says nothing, and the kind or the job's own figure is taken. */
export const LAYING = {
  /** Joints of every second row stand so far apart. */
  secondStaggerMm: orNull(figure(0, 1000, 'mm')),
  /** How rows are laid, facing the start wall. */
  layHand: oneOf('unsaid', 'left-to-right', 'right-to-left'),
  /** The tilt at which the long lock closes. */
  tiltDeg: orNull(figure(5, 45, 'deg')),
  /** Ways in where a plank cannot be tilted: slid along its row, tapped flat, or with its lip shaved off and glued. */
  endsSlide: oneOf(...STATED_WORDS),
  longTaps: oneOf(...STATED_WORDS),
  lipShaved: oneOf(...STATED_WORDS),
} as const;

/** Planks of one length in a box that holds several. */
export const MIXED_LENGTH = { lengthMm: figure(200, 4000, 'mm'), inBox: whole(1, 60) } as const;
const MIXED_MOST = 8;

/** A sheet that says nothing of laying. */
export const NOTHING_SAID_OF_LAYING = {
  secondStaggerMm: null,
  layHand: 'unsaid',
  tiltDeg: null,
  endsSlide: 'unsaid',
  longTaps: 'unsaid',
  lipShaved: 'unsaid',
  mixedLengths: [] as { lengthMm: number; inBox: number }[],
} as const;

const NOTHING_SAID = {
  heatRated: 'unsaid',
  rM2KW: null,
  sdM: null,
  softAllowed: 'unsaid',
  mostSoftMm: null,
  leastKPa: null,
  filmOnTimber: false,
  filmCures: false,
  bumpsMm: 0,
  wetRoom: false,
  fireClass: 'unsaid',
  plankWidthMm: null,
  plankLengthMm: null,
  packM2: null,
  massKgM2: null,
} as const;

/** What a covering's sheet asks of the floor. One figure a field; the maker's sheet replaces ours by editing a copy. */
export const cards = kind(
  'book',
  'Card',
  {
    name: text(80),
    kind: oneOf(...COVERING_KINDS),
    thicknessMm: within(CARD_RANGES.thicknessMm, 'mm'),
    attachedPad: flag(),
    rules: list(group(RULE), 'rules', 6, 1),
    /** Greatest step between two faces, mm; null when the sheet names none. */
    stepMm: orNull(within(STEP_MM, 'mm')),
    cementLimitRh: within(CARD_RANGES.cementLimitRh, '%RH'),
    timberLimitMc: within(CARD_RANGES.timberLimitMc, '%MC'),
    airMinC: within(CARD_RANGES.airMinC, '°C'),
    airMaxC: within(CARD_RANGES.airMaxC, '°C'),
    airMinRh: within(CARD_RANGES.airMinRh, '%RH'),
    airMaxRh: within(CARD_RANGES.airMaxRh, '%RH'),
    acclimatiseH: within(CARD_RANGES.acclimatiseH, 'h'),
    perimeterGapMm: within(CARD_RANGES.perimeterGapMm, 'mm'),
    lastRowMm: within(CARD_RANGES.lastRowMm, 'mm'),
    endPieceMm: within(CARD_RANGES.endPieceMm, 'mm'),
    staggerMm: within(CARD_RANGES.staggerMm, 'mm'),
    /** Longest run without a joint, m; null when the sheet names none. */
    longestRunM: orNull(within(LONGEST_RUN_M, 'm')),
    /** What a square metre costs, laid; null while nobody has said. */
    costM2: orNull(figure(0, COST_M2_MOST)),
    /** What of an old floor the sheet allows beneath the covering. */
    layOver: list(oneOf(...OLD_FLOORS), 'old floors', 4),
    ...UNDER_PLANKS,
    ...LAYING,
    /** What a box holds of each length, where its planks are of several; empty where all are as long as one another. */
    mixedLengths: list(group(MIXED_LENGTH), 'lengths in a box', MIXED_MOST),
    /** Where the figures come from, shown beside them. */
    source: text(300),
  },
  { since: { layOver: [...OLD_FLOORS], costM2: null, ...NOTHING_SAID, ...NOTHING_SAID_OF_LAYING } },
);
export type CoveringCard = FactOf<typeof cards>;

/** Whether a covering is of wood: it moves with damp, and has to agree with what it lies on. */
export const isWood = ({ kind }: Pick<CoveringCard, 'kind'>): boolean =>
  kind === 'engineered-wood' || kind === 'click-herringbone';
