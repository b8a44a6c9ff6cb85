import { say, type Said } from '../said/index.ts';
import { group, list, mayLack, oneOf, orNull, within, type Held } from '../fields/index.ts';
import { SIDE } from './lines.ts';

/** What the planks will lie over. */
export const BASE_KINDS = [
  'slab-on-ground',
  'suspended-concrete',
  'cement-screed',
  'calcium-sulfate-screed',
  'panels-on-joists',
  'floorboards-on-joists',
  'existing-tile',
  'existing-resilient',
] as const;
export type BaseKind = (typeof BASE_KINDS)[number];

export const BASE_WORDS: Record<BaseKind, Said> = {
  'slab-on-ground': say('room.baseWordsSlabOnGround'),
  'suspended-concrete': say('room.baseWordsSuspendedConcrete'),
  'cement-screed': say('room.baseWordsCementScreed'),
  'calcium-sulfate-screed': say('room.baseWordsCalciumSulfateScreed'),
  'panels-on-joists': say('room.baseWordsPanelsOnJoists'),
  'floorboards-on-joists': say('room.baseWordsFloorboardsOnJoists'),
  'existing-tile': say('room.baseWordsExistingTile'),
  'existing-resilient': say('room.baseWordsExistingResilient'),
};

export const BENEATH_KINDS = ['unknown', 'ground', 'crawl-space', 'heated-room', 'unheated-room', 'dwelling'] as const;
type Beneath = (typeof BENEATH_KINDS)[number];
export const BENEATH_WORDS: Record<Beneath, Said> = {
  unknown: say('room.beneathWordsUnknown'),
  ground: say('room.beneathWordsGround'),
  'crawl-space': say('room.beneathWordsCrawlSpace'),
  'heated-room': say('room.beneathWordsHeatedRoom'),
  'unheated-room': say('room.beneathWordsUnheatedRoom'),
  dwelling: say('room.beneathWordsDwelling'),
};

export const GRADES = ['unknown', 'below', 'on', 'above'] as const;
type Grade = (typeof GRADES)[number];
export const GRADE_WORDS: Record<Grade, Said> = {
  unknown: say('room.gradeWordsUnknown'),
  below: say('room.gradeWordsBelow'),
  on: say('room.gradeWordsOn'),
  above: say('room.gradeWordsAbove'),
};

export const HEATINGS = ['unknown', 'none', 'water', 'electric'] as const;
type Heating = (typeof HEATINGS)[number];
export const HEATING_WORDS: Record<Heating, Said> = {
  unknown: say('room.heatingWordsUnknown'),
  none: say('room.heatingWordsNone'),
  water: say('room.heatingWordsWater'),
  electric: say('room.heatingWordsElectric'),
};

export const BASE_RANGES = {
  slabMm: { min: 10, max: 1000, words: say('room.baseRangesSlabMm') },
  heatingDepthMm: { min: 0, max: 500, words: say('room.baseRangesHeatingDepthMm') },
  joistDeg: { min: 0, max: 179, words: say('room.baseRangesJoistDeg') },
  joistSpacingMm: { min: 150, max: 1500, words: say('room.baseRangesJoistSpacingMm') },
  joistFirstMm: { min: 0, max: 1500, words: say('room.baseRangesJoistFirstMm') },
  panelLongMm: { min: 300, max: 6000, words: say('room.baseRangesPanelLongMm') },
  panelShortMm: { min: 200, max: 3000, words: say('room.baseRangesPanelShortMm') },
  seamXMm: { min: 0, max: 60_000, words: say('room.baseRangesSeamXmm') },
  seamYMm: { min: 0, max: 60_000, words: say('room.baseRangesSeamYmm') },
} as const;

/** What is known of a base. Null or `unknown` means nobody has recorded it, and is never read as `none`. */
export const BASE = {
  /** Thickness of slab or screed, mm. */
  slabMm: orNull(within(BASE_RANGES.slabMm, 'mm')),
  beneath: oneOf(...BENEATH_KINDS),
  grade: oneOf(...GRADES),
  heating: oneOf(...HEATINGS),
  /** Depth of pipes or cable under the surface, mm. */
  heatingDepthMm: orNull(within(BASE_RANGES.heatingDepthMm, 'mm')),
  /** Way the joists run: 0 along the first wall, 90 across it. */
  joistDeg: orNull(within(BASE_RANGES.joistDeg, 'deg')),
  joistSpacingMm: orNull(within(BASE_RANGES.joistSpacingMm, 'mm')),
  /** The middle of the first joist from the first corner, across the joists, mm. */
  joistFirstMm: mayLack(orNull(within(BASE_RANGES.joistFirstMm, 'mm'))),
  /** Panel seams across and along the joists: one seam's distance from the first corner, and the panel's size. */
  panelLongMm: orNull(within(BASE_RANGES.panelLongMm, 'mm')),
  panelShortMm: orNull(within(BASE_RANGES.panelShortMm, 'mm')),
  seamXMm: orNull(within(BASE_RANGES.seamXMm, 'mm')),
  seamYMm: orNull(within(BASE_RANGES.seamYMm, 'mm')),
} as const;
export type BaseDetails = Held<typeof BASE>;

export const UNKNOWN_BASE: BaseDetails = {
  slabMm: null,
  beneath: 'unknown',
  grade: 'unknown',
  heating: 'unknown',
  heatingDepthMm: null,
  joistDeg: null,
  joistSpacingMm: null,
  panelLongMm: null,
  panelShortMm: null,
  seamXMm: null,
  seamYMm: null,
};

/** Another base beyond a dividing line, for example an extension. */
export const SECOND_BASE = {
  ...BASE,
  kind: oneOf(...BASE_KINDS),
  where: list(group(SIDE), 'sides of lines', 8, 1),
} as const;

export function isTimber(kind: BaseKind): boolean {
  return kind === 'panels-on-joists' || kind === 'floorboards-on-joists';
}
