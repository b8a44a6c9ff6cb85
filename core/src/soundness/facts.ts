import { say, type Said } from '../said/index.ts';
import {
  day,
  flag,
  group,
  key,
  kind,
  list,
  moment,
  oneOf,
  orNull,
  text,
  within,
  type FactOf,
  type Held,
} from '../fields/index.ts';
import { PLACE, type PointMm } from '../room/index.ts';

/** Damage and weakness found underfoot. */
export const MARK_KINDS = [
  'squeak',
  'rot',
  'soft',
  'proud-fixing',
  'staples',
  'board-ridge',
  'hole',
  'crack',
  'joint',
  'hollow',
  'weak-surface',
  'residue',
  'contamination',
  'stain',
  'efflorescence',
  'mortar-residue',
  'wide-grout',
  'lippage',
  'damp',
  'insect',
  'no-grind',
  'no-fill',
  'other',
] as const;
export type MarkKind = (typeof MARK_KINDS)[number];

export const MARK_WORDS: Record<MarkKind, Said> = {
  squeak: say('soundness.markWordsSqueak'),
  rot: say('soundness.markWordsRot'),
  soft: say('soundness.markWordsSoft'),
  'proud-fixing': say('soundness.markWordsProudFixing'),
  staples: say('soundness.markWordsStaples'),
  'board-ridge': say('soundness.markWordsBoardRidge'),
  hole: say('soundness.markWordsHole'),
  crack: say('soundness.markWordsCrack'),
  joint: say('soundness.markWordsJoint'),
  hollow: say('soundness.markWordsHollow'),
  'weak-surface': say('soundness.markWordsWeakSurface'),
  residue: say('soundness.markWordsResidue'),
  contamination: say('soundness.markWordsContamination'),
  stain: say('soundness.markWordsStain'),
  efflorescence: say('soundness.markWordsEfflorescence'),
  'mortar-residue': say('soundness.markWordsMortarResidue'),
  'wide-grout': say('soundness.markWordsWideGrout'),
  lippage: say('soundness.markWordsLippage'),
  damp: say('soundness.markWordsDamp'),
  insect: say('soundness.markWordsInsect'),
  'no-grind': say('soundness.markWordsNoGrind'),
  'no-fill': say('soundness.markWordsNoFill'),
  other: say('soundness.markWordsOther'),
};

/** Marks that find no damage: levelling works round them. */
export const KEEP_OFF_KINDS: readonly MarkKind[] = ['no-grind', 'no-fill'];

/** Damage that water does, or leaves behind. */
export const WATER_SIGNS: readonly MarkKind[] = ['rot', 'stain', 'efflorescence', 'damp'];

export const MARK_SHAPES = ['point', 'line', 'area'] as const;
export type MarkShape = (typeof MARK_SHAPES)[number];

/** The shape a kind is usually marked as. */
export const USUAL_SHAPE: Record<MarkKind, MarkShape> = {
  squeak: 'area',
  rot: 'area',
  soft: 'area',
  'proud-fixing': 'point',
  staples: 'area',
  'board-ridge': 'line',
  hole: 'area',
  crack: 'line',
  joint: 'line',
  hollow: 'area',
  'weak-surface': 'area',
  residue: 'area',
  contamination: 'area',
  stain: 'area',
  efflorescence: 'area',
  'mortar-residue': 'area',
  'wide-grout': 'area',
  lippage: 'line',
  damp: 'area',
  insect: 'area',
  'no-grind': 'area',
  'no-fill': 'line',
  other: 'point',
};

export const SEVERITIES = ['slight', 'clear', 'severe'] as const;
export type Severity = (typeof SEVERITIES)[number];

export const MARK_RANGES = {
  sizeMm: { min: 0.1, max: 20_000, words: say('soundness.markRangesSizeMm') },
  depthMm: { min: 0.5, max: 500, words: say('soundness.markRangesDepthMm') },
  stepMm: { min: 0, max: 50, words: say('soundness.markRangesStepMm') },
  moveMm: { min: 0, max: 50, words: say('soundness.markRangesMoveMm') },
} as const;
/** What whoever has to decide about damage has decided. */
export const FINDING = {
  by: text(80),
  on: day(),
  document: text(120),
  /** What may be done, in their words. */
  may: text(500),
} as const;
export type Finding = Held<typeof FINDING>;

/** Whether a finding decides: with who, when, in which document and what may be done; half of one is none. */
export const decides = ({ by, on, document, may }: Finding): boolean =>
  [by, on, document, may].every((part) => part.trim() !== '');

/** Corners a line or area may have. */
export const MARK_POINTS_MOST = 60;

/** Damage found, with its place and size. x and y are its place; lines and areas have their own corners. */
export const marks = kind(
  'room',
  'Mark',
  {
    kind: oneOf(...MARK_KINDS),
    ...PLACE,
    shape: oneOf(...MARK_SHAPES),
    /** Corners of a line or an area; empty for a point. */
    points: list(group(PLACE), 'corners', MARK_POINTS_MOST),
    /** Width of a crack or joint, or the size across of a point, mm. */
    sizeMm: orNull(within(MARK_RANGES.sizeMm, 'mm')),
    /** Depth of a hole or weak layer, mm. */
    depthMm: orNull(within(MARK_RANGES.depthMm, 'mm')),
    /** Step from one side to the other, mm: lips, ridges, stepped cracks. */
    stepMm: orNull(within(MARK_RANGES.stepMm, 'mm')),
    /** Movement under a person standing by, mm. */
    moveMm: orNull(within(MARK_RANGES.moveMm, 'mm')),
    severity: oneOf(...SEVERITIES),
    /** Whether it still moves: a live crack, an expansion joint. */
    moving: flag(),
    finding: orNull(group(FINDING)),
    note: text(500),
  },
  {
    since: {
      shape: 'point',
      points: [],
      depthMm: null,
      stepMm: null,
      moveMm: null,
      severity: 'clear',
      moving: false,
      finding: null,
    },
  },
);
export type Mark = FactOf<typeof marks>;

/** A mark of a kind at a place, nothing measured yet. */
export function newMark(id: string, kind: MarkKind, at: PointMm, part: Partial<Mark> = {}): Mark {
  return {
    id,
    kind,
    xMm: at.xMm,
    yMm: at.yMm,
    shape: 'point',
    points: [],
    sizeMm: null,
    depthMm: null,
    stepMm: null,
    moveMm: null,
    severity: 'clear',
    moving: false,
    finding: null,
    note: '',
    ...part,
  };
}

const GONE_OVER: Readonly<Record<string, (n: string) => Said>> = {
  joist: (n) => say('soundness.joistLineGoneOver', { n }),
  tap: (n) => say('soundness.tapRowGoneOver', { n }),
  bounce: (n) => say('soundness.heelSpotGoneOver', { n }),
  scratch: (n) => say('soundness.scratchSpotGoneOver', { n }),
  drop: (n) => say('soundness.dropSpotGoneOver', { n }),
};

/** What a place of the walk is called where it has been gone over; a key from elsewhere is told as it is. */
function placeGoneOver(over: string): Said {
  const [what = '', n = ''] = over.split('/');
  const named = Object.hasOwn(GONE_OVER, what) ? GONE_OVER[what] : undefined;
  return named && n ? named(n) : say('formats.goneOver', { key: over });
}

/** One line or spot of the guided walk, gone over: nothing found is a finding too. */
export const checks = kind(
  'room',
  'Place gone over',
  { key: key(60), found: flag(), takenAt: moment(), note: text(500) },
  {
    logged: {
      as: 'walk',
      line: ({ key: over, found, takenAt }) => ({
        at: takenAt,
        what: placeGoneOver(over),
        value: found ? say('formats.somethingFound') : say('formats.nothingFound'),
      }),
    },
  },
);
export type Check = FactOf<typeof checks>;

export interface SoundFacts {
  marks: Mark[];
  checks: Check[];
}
export const NO_SOUND_FACTS: SoundFacts = { marks: [], checks: [] };
