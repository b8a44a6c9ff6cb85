import type { FireClass } from '../coverings/index.ts';

/** What a floating floor may lie on: a soft layer and a film, each from its own card, or neither. */
export interface UnderOption {
  id: string;
  underlay: UnderlayFigures | null;
  film: FilmFigures | null;
}

export const UNDERLAY_KINDS = ['foam', 'rubber', 'cork', 'felt', 'fibre', 'composite'] as const;
export type UnderlayKind = (typeof UNDERLAY_KINDS)[number];

/** Figures of an underlay as its sheet states them; null where it does not. */
export interface UnderlayFigures {
  kind: UnderlayKind;
  thicknessMm: number;
  /** Pressure at half a millimetre, kPa. */
  kPa: number | null;
  rM2KW: number | null;
  /** Air layer it is as tight as, m; a film that is part of it is stated as its film. */
  sdM: number | null;
  /** Film that is part of it, taped at its seams: its sd, m; 0 without one. */
  filmSdM: number;
  stepDb: number | null;
  /** What its step noise was measured on. */
  stepDbOn: 'mineral' | 'timber' | null;
  /** Local bumps it takes up, mm. */
  conformsMm: number | null;
  isHeatRated: boolean | null;
  costM2: number;
}

export interface FilmFigures {
  sdM: number;
  isTaped: boolean;
  rM2KW: number;
  costM2: number;
}

/** What a covering asks of what lies under it. */
export interface CoveringNeeds {
  floats: boolean;
  hasOwnPad: boolean;
  /** Its sheet allows a soft layer under its own pad, or says nothing. */
  allowsSoft: boolean | null;
  mostSoftMm: number | null;
  leastKPa: number | null;
  sdM: number | null;
  rM2KW: number | null;
  isHeatRated: boolean | null;
  /** Its sheet asks for a film over timber. */
  asksFilmOnTimber: boolean;
  /** Its sheet takes a film as a cure for damp. */
  filmCures: boolean;
  /** Local bumps it takes without an underlay, mm. */
  bumpsMm: number;
  allowsWetRoom: boolean;
  /** Its class with a soft layer under it. */
  fireClassWithUnderlay: FireClass | null;
}

type Word = 'measure' | 'stop' | 'work' | 'wait' | 'lay';

/** What is known of the room it is laid in; null where nobody has said. */
export interface UnderRoom {
  damp: Word;
  flat: Word;
  /** Old carpet or underlay stays beneath. */
  liesOnSoft: boolean;
  base: 'mineral' | 'timber' | 'other';
  isSulfate: boolean;
  isOnGround: boolean;
  hasMembrane: boolean | null;
  crawl: 'none' | 'covered' | 'open' | null;
  heated: 'none' | 'water' | 'electric' | null;
  dwellingBelow: boolean | null;
  askedDb: number | null;
  /** The largest local bump that is left, mm. */
  bumpsMm: number;
  isWetRoom: boolean;
  isEscapeRoute: boolean;
  askedFireClass: FireClass | null;
  panelRM2KW: number;
}

/** Where practitioners differ. */
export interface UnderSchools {
  /** A film on every mineral base, or only where none is recorded beneath it. */
  film: 'always' | 'by-need';
  /** A soft layer under planks with a pad of their own: never, or where their sheet allows it. */
  secondPad: 'never' | 'by-card';
  /** A film over timber where the covering's sheet asks for one, or never. */
  timber: 'by-card' | 'never';
}
export const USUAL_SCHOOLS: UnderSchools = { film: 'always', secondPad: 'by-card', timber: 'by-card' };
