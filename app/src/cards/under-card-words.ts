import type { Field } from '@maquette/core/fields';
import type { UnderCards } from '@maquette/core/under';
import type { UnitSystem } from '@maquette/core/units';
import { KINDS } from '@maquette/facts';
import { shownValue, type FieldWords } from './card-fields.tsx';

export type UnderKind = keyof UnderCards;

/** What a kind of card is called, one and several. */
export const KIND_WORDS: Record<UnderKind, { one: string; several: string }> = {
  underlays: { one: 'Underlay', several: 'Underlays' },
  films: { one: 'Film', several: 'Films' },
  membranes: { one: 'Membrane', several: 'Membranes' },
  panels: { one: 'Panel', several: 'Panels' },
};
export const UNDER_KINDS = Object.keys(KIND_WORDS) as UnderKind[];

export const FIELD_WORDS: FieldWords = {
  name: ['Name'],
  kind: ['Kind'],
  thicknessMm: ['Thickness'],
  kPa: ['Pressure at half a millimetre', 'kPa'],
  setShare: ['Share of its thickness lost for good'],
  rM2KW: ['Holds back heat, R', 'm²K/W'],
  sdM: ['Holds back vapour, sd', 'm'],
  filmSdM: ['Its own film, sd; 0 without one', 'm'],
  stepDb: ['Step noise taken away', 'dB'],
  stepDbOn: ['Step noise measured on'],
  conformsMm: ['Bumps it takes up'],
  heatRated: ['Rated for a heated floor'],
  isTacky: ['Tacky face'],
  rollWidthMm: ['Width of a roll or board'],
  rollLengthMm: ['Length of a roll or board'],
  costM2: ['Cost of a square metre'],
  isRadonRated: ['Rated against radon, sealed all round'],
  binder: ['Binder'],
  limitRh: ['Rated to', '%RH'],
  primerKgM2: ['Primer', 'kg/m²'],
  primerH: ['Primer dries', 'h'],
  coats: ['Coats'],
  coatKgM2: ['Each coat', 'kg/m²'],
  nextFromH: ['Next coat not sooner than', 'h'],
  nextToH: ['Next coat not later than', 'h'],
  potLifeMin: ['A mixed tub lasts', 'min'],
  tubKg: ['A tub holds', 'kg'],
  takesCompound: ['Compound may be laid on it'],
  takesAdhesive: ['Adhesive may be spread on it'],
  hardH: ['Hard after', 'h'],
  stuff: ['Made of'],
  lengthMm: ['Length'],
  widthMm: ['Width'],
  gapMm: ['Left open between panels'],
  kgM2: ['Mass', 'kg/m²'],
  hasDimples: ['Fixed at dimples'],
  costEach: ['Cost of a sheet'],
  source: ['Where these figures come from'],
};

/** Fields a card is told apart by, where several stand in a list. */
const TELLING: Record<UnderKind, readonly string[]> = {
  underlays: ['thicknessMm', 'kPa', 'rM2KW', 'stepDb'],
  films: ['thicknessMm', 'sdM', 'rollWidthMm'],
  membranes: ['limitRh', 'coats', 'hardH'],
  panels: ['thicknessMm', 'lengthMm', 'widthMm'],
};

/** The figures of a card that tell it apart, in one line. */
export const figuresLine = (kind: UnderKind, card: object, units: UnitSystem): string => {
  const fields: Readonly<Record<string, Field>> = KINDS[kind].fields;
  const held = card as Readonly<Record<string, unknown>>;
  return TELLING[kind]
    .map((name) => {
      const [label, unit] = FIELD_WORDS[name]!;
      return `${label} ${shownValue(fields[name]!, held[name], unit, units)}`;
    })
    .join(' · ');
};
