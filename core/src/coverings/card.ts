import type { FlatnessRule } from './rules.ts';

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
export const OLD_FLOOR_WORDS: Record<OldFloor, string> = {
  tile: 'Ceramic tile',
  resilient: 'One layer of vinyl or lino',
  wood: 'Wood and panels',
  mineral: 'Compound and residue',
};

/** What a covering's sheet asks of the floor. One figure a field; the maker's sheet replaces ours by editing a copy. */
export interface CoveringCard {
  id: string;
  name: string;
  kind: CoveringKind;
  thicknessMm: number;
  attachedPad: boolean;
  rules: FlatnessRule[];
  /** Greatest step between two faces, mm; null when the sheet names none. */
  stepMm: number | null;
  cementLimitRh: number;
  timberLimitMc: number;
  airMinC: number;
  airMaxC: number;
  airMinRh: number;
  airMaxRh: number;
  acclimatiseH: number;
  perimeterGapMm: number;
  lastRowMm: number;
  endPieceMm: number;
  staggerMm: number;
  /** Longest run without a joint, m; null when the sheet names none. */
  longestRunM: number | null;
  /** What of an old floor the sheet allows beneath the covering. */
  layOver: OldFloor[];
  /** Where the figures come from, shown beside them. */
  source: string;
}

/** Ranges a card's figures may take: what is physically sensible, wider than any shipped card. */
export const CARD_RANGES = {
  thicknessMm: { min: 1, max: 40, unit: 'mm', words: 'Plank thickness' },
  cementLimitRh: { min: 30, max: 100, unit: '%RH', words: 'Cement base limit' },
  timberLimitMc: { min: 4, max: 25, unit: '%', words: 'Timber base limit' },
  airMinC: { min: 0, max: 40, unit: '°C', words: 'Air, coolest' },
  airMaxC: { min: 0, max: 50, unit: '°C', words: 'Air, warmest' },
  airMinRh: { min: 0, max: 100, unit: '%RH', words: 'Air, driest' },
  airMaxRh: { min: 0, max: 100, unit: '%RH', words: 'Air, dampest' },
  acclimatiseH: { min: 0, max: 336, unit: 'h', words: 'Acclimatise' },
  perimeterGapMm: { min: 0, max: 40, unit: 'mm', words: 'Gap at walls' },
  lastRowMm: { min: 0, max: 300, unit: 'mm', words: 'Last row at least' },
  endPieceMm: { min: 0, max: 1000, unit: 'mm', words: 'End piece at least' },
  staggerMm: { min: 0, max: 1000, unit: 'mm', words: 'Stagger at least' },
} as const;
export type CardFigure = keyof typeof CARD_RANGES;

/** Ranges of the two figures that may be absent. */
export const STEP_MM = { min: 0.1, max: 5 } as const;
export const LONGEST_RUN_M = { min: 2, max: 100 } as const;

const GENERIC = 'Generic card: invented figures inside the usual range. The maker’s sheet wins.';

/** The five cards that ship: generic kinds, the stricter figure of each usual range, never a real product. */
export const SHIPPED_CARDS: readonly CoveringCard[] = [
  {
    id: 'shipped-click-vinyl',
    name: 'Click vinyl, rigid core',
    kind: 'click-vinyl',
    thicknessMm: 5,
    attachedPad: true,
    rules: [{ gapMm: 3, edgeMm: 2000 }],
    stepMm: null,
    cementLimitRh: 75,
    timberLimitMc: 12,
    airMinC: 15,
    airMaxC: 28,
    airMinRh: 35,
    airMaxRh: 70,
    acclimatiseH: 48,
    perimeterGapMm: 8,
    lastRowMm: 50,
    endPieceMm: 300,
    staggerMm: 300,
    longestRunM: 10,
    layOver: ['tile', 'resilient', 'wood', 'mineral'],
    source: GENERIC,
  },
  {
    id: 'shipped-laminate',
    name: 'Laminate, floating',
    kind: 'laminate',
    thicknessMm: 8,
    attachedPad: false,
    rules: [{ gapMm: 2, edgeMm: 2000 }],
    stepMm: null,
    cementLimitRh: 75,
    timberLimitMc: 12,
    airMinC: 15,
    airMaxC: 30,
    airMinRh: 35,
    airMaxRh: 65,
    acclimatiseH: 48,
    perimeterGapMm: 10,
    lastRowMm: 50,
    endPieceMm: 300,
    staggerMm: 300,
    longestRunM: 8,
    layOver: ['tile', 'resilient', 'wood', 'mineral'],
    source: GENERIC,
  },
  {
    id: 'shipped-glue-vinyl',
    name: 'Vinyl, glued down',
    kind: 'glue-down-vinyl',
    thicknessMm: 3,
    attachedPad: false,
    rules: [{ gapMm: 2, edgeMm: 2000 }],
    stepMm: 0.5,
    cementLimitRh: 75,
    timberLimitMc: 12,
    airMinC: 18,
    airMaxC: 27,
    airMinRh: 40,
    airMaxRh: 65,
    acclimatiseH: 24,
    perimeterGapMm: 2,
    lastRowMm: 50,
    endPieceMm: 200,
    staggerMm: 200,
    longestRunM: null,
    layOver: ['tile', 'wood', 'mineral'],
    source: GENERIC,
  },
  {
    id: 'shipped-engineered',
    name: 'Engineered wood, floating',
    kind: 'engineered-wood',
    thicknessMm: 14,
    attachedPad: false,
    rules: [{ gapMm: 3, edgeMm: 2000 }],
    stepMm: null,
    cementLimitRh: 65,
    timberLimitMc: 12,
    airMinC: 15,
    airMaxC: 25,
    airMinRh: 35,
    airMaxRh: 60,
    acclimatiseH: 72,
    perimeterGapMm: 15,
    lastRowMm: 60,
    endPieceMm: 500,
    staggerMm: 500,
    longestRunM: 8,
    layOver: ['tile', 'resilient', 'wood', 'mineral'],
    source: GENERIC,
  },
  {
    id: 'shipped-herringbone',
    name: 'Click herringbone',
    kind: 'click-herringbone',
    thicknessMm: 6,
    attachedPad: false,
    rules: [{ gapMm: 3, edgeMm: 2000 }],
    stepMm: null,
    cementLimitRh: 75,
    timberLimitMc: 11,
    airMinC: 15,
    airMaxC: 28,
    airMinRh: 35,
    airMaxRh: 70,
    acclimatiseH: 24,
    perimeterGapMm: 8,
    lastRowMm: 50,
    endPieceMm: 300,
    staggerMm: 300,
    longestRunM: 8,
    layOver: ['tile', 'resilient', 'wood', 'mineral'],
    source: GENERIC,
  },
];

/** The card a room names: its own copy first, else a shipped one, else null. */
export function findCard(own: readonly CoveringCard[], id: string): CoveringCard | null {
  return own.find((card) => card.id === id) ?? SHIPPED_CARDS.find((card) => card.id === id) ?? null;
}

/** Whether a card ships with the product: such cards are copied, never edited. */
export function isShipped(id: string): boolean {
  return SHIPPED_CARDS.some((card) => card.id === id);
}
