import type { Side } from './lines.ts';

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

export const BASE_WORDS: Record<BaseKind, string> = {
  'slab-on-ground': 'Concrete slab on ground',
  'suspended-concrete': 'Suspended concrete',
  'cement-screed': 'Cement screed',
  'calcium-sulfate-screed': 'Calcium sulfate screed',
  'panels-on-joists': 'Panels on joists',
  'floorboards-on-joists': 'Floorboards on joists',
  'existing-tile': 'Existing tile',
  'existing-resilient': 'Existing resilient',
};

export const BENEATH_KINDS = ['unknown', 'ground', 'crawl-space', 'heated-room', 'unheated-room', 'dwelling'] as const;
export type Beneath = (typeof BENEATH_KINDS)[number];
export const BENEATH_WORDS: Record<Beneath, string> = {
  unknown: 'not recorded',
  ground: 'the ground',
  'crawl-space': 'a crawl space',
  'heated-room': 'a heated room',
  'unheated-room': 'an unheated room',
  dwelling: 'another dwelling',
};

export const GRADES = ['unknown', 'below', 'on', 'above'] as const;
export type Grade = (typeof GRADES)[number];
export const GRADE_WORDS: Record<Grade, string> = {
  unknown: 'not recorded',
  below: 'below grade',
  on: 'on grade',
  above: 'above grade',
};

export const HEATINGS = ['unknown', 'none', 'water', 'electric'] as const;
export type Heating = (typeof HEATINGS)[number];
export const HEATING_WORDS: Record<Heating, string> = {
  unknown: 'not recorded',
  none: 'not heated',
  water: 'water pipes',
  electric: 'electric cable',
};

/** What is known of a base. Null or `unknown` means nobody has recorded it, and is never read as `none`. */
export interface BaseDetails {
  /** Thickness of slab or screed, mm. */
  slabMm: number | null;
  beneath: Beneath;
  grade: Grade;
  heating: Heating;
  /** Depth of pipes or cable under the surface, mm. */
  heatingDepthMm: number | null;
  /** Way the joists run: 0 along the first wall, 90 across it. */
  joistDeg: number | null;
  joistSpacingMm: number | null;
  /** Panel seams across and along the joists: one seam's distance from the first corner, and the panel's size. */
  panelLongMm: number | null;
  panelShortMm: number | null;
  seamXMm: number | null;
  seamYMm: number | null;
}

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

export const BASE_RANGES = {
  slabMm: { min: 10, max: 1000, words: 'Thickness of the slab or screed' },
  heatingDepthMm: { min: 0, max: 500, words: 'Depth of pipes or cable' },
  joistDeg: { min: 0, max: 179, words: 'Way of the joists' },
  joistSpacingMm: { min: 150, max: 1500, words: 'Joist spacing' },
  panelLongMm: { min: 300, max: 6000, words: 'Panel length' },
  panelShortMm: { min: 200, max: 3000, words: 'Panel width' },
  seamXMm: { min: 0, max: 60_000, words: 'A seam across, from the first corner' },
  seamYMm: { min: 0, max: 60_000, words: 'A seam along, from the first corner' },
} as const;

/** Another base beyond a dividing line, for example an extension. */
export interface SecondBase extends BaseDetails {
  kind: BaseKind;
  where: Side[];
}

export function isTimber(kind: BaseKind): boolean {
  return kind === 'panels-on-joists' || kind === 'floorboards-on-joists';
}

export function isMineral(kind: BaseKind): boolean {
  return !isTimber(kind) && kind !== 'existing-resilient';
}
