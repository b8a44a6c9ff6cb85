import { say, type Said, type Sayable } from '../said/index.ts';
/** Materials of a layer that are sampled one by one. */
export const PARTS = [
  'covering',
  'backing',
  'adhesive',
  'bed',
  'grout',
  'compound',
  'board',
  'underlay',
  'finish',
  'fill',
] as const;
export type Part = (typeof PARTS)[number];

export const PART_WORDS: Record<Part, Sayable> = {
  covering: 'covering',
  backing: 'backing',
  adhesive: 'adhesive',
  bed: 'bed',
  grout: 'grout',
  compound: 'compound',
  board: 'board',
  underlay: 'underlay',
  finish: say('layers.partWordsFinish'),
  fill: 'fill',
};

/** What a laboratory can be asked to look for. */
export const ANALYTES = ['asbestos', 'coal-tar', 'lead', 'other'] as const;
export type Analyte = (typeof ANALYTES)[number];

export const ANALYTE_WORDS: Record<Analyte, Sayable> = {
  asbestos: 'asbestos',
  'coal-tar': say('layers.analyteCoalTar'),
  lead: 'lead',
  other: say('layers.analyteOther'),
};

export const LAYER_KINDS = [
  'carpet',
  'floating-laminate',
  'floating-vinyl',
  'sheet-resilient',
  'sheet-on-panel',
  'resilient-tile',
  'tile-thin-bed',
  'tile-mortar-bed',
  'glued-wood',
  'glued-vinyl',
  'nailed-boards',
  'overlay-panel',
  'felt-or-paper',
  'foam',
  'compound',
  'adhesive-residue',
  'fibre-cement',
  'magnesite',
  'loose-fill',
] as const;
export type LayerKind = (typeof LAYER_KINDS)[number];

export const FIXINGS = [
  'loose',
  'floating',
  'glued',
  'tacked',
  'stapled',
  'nailed',
  'screwed',
  'bedded',
  'unknown',
] as const;
type Fixing = (typeof FIXINGS)[number];

export const CONDITIONS = ['sound', 'worn', 'loose', 'broken'] as const;
type Condition = (typeof CONDITIONS)[number];
export const CONDITION_WORDS: Record<Condition, Said> = {
  sound: say('layers.conditionWordsSound'),
  worn: say('layers.conditionWordsWorn'),
  loose: say('layers.conditionWordsLoose'),
  broken: say('layers.conditionWordsBroken'),
};

/** What a material may be suspected of by its kind. */
export type Hazard = Exclude<Analyte, 'other'>;

/** What a layer is in the trade: thickness it usually has, what it is made of, how it comes up and what that takes. */
export interface LayerSpec {
  words: Said;
  family: 'soft' | 'floating' | 'resilient' | 'tile' | 'wood' | 'panel' | 'mineral' | 'fill';
  thicknessMm: number;
  fixing: Fixing;
  /** Parts that may hold a hazard, and which; `bonded` parts count only where the layer is glued. */
  suspect: readonly { part: Part; hazard: Hazard; bonded?: true }[];
  hoursM2: number;
  kgM2: number;
  debris: 'soft' | 'mineral';
  dust: 'low' | 'wood' | 'silica';
  /** How it is cut for carrying: squares by saw, strips by knife or saw, broken by hammer, or not at all. */
  cut: 'squares' | 'strips' | 'broken' | 'none';
  watch: Said;
}
