import type { CoveringCard } from '../coverings/index.ts';
import type { AnyFigureOf } from '../figures/index.ts';
import type { CompoundCard } from '../levelling/index.ts';
import { say } from '../said/index.ts';
import type { FilmCard, MembraneCard, PanelCard, UnderlayCard } from '../under/index.ts';
import type { BillProduct } from './stage-cost.ts';

/** Days sealed bags keep, and hours an opened one does, as bags of cement usually say. */
const BAG_SEALED_DAYS = 180;
const BAG_OPENED_H = 336;
/** Room a kilogram takes in the van, litres, of what is dense and of what is light. */
const DENSE_L_KG = 0.9;
const LIGHT_L_KG = 1.6;
const PRIMER_CAN_L = 5;
const GLUE_TUB_KG = 6;
const FILM_KG_M2 = 0.2;
const UNDERLAY_KG_M2 = 0.4;

const usual = { openedH: null, sealedDays: null, isKit: false, isOneBatch: false };

export const levelProduct = ({ id, name, bagKg, bagCost, source }: CompoundCard): BillProduct => ({
  ...usual,
  id: `compound/${id}`,
  name,
  unit: 'kg',
  pack: bagKg,
  price: bagCost,
  kg: bagKg,
  litres: bagKg * DENSE_L_KG,
  openedH: BAG_OPENED_H,
  sealedDays: BAG_SEALED_DAYS,
  source,
});

export const primerProduct = (figure: AnyFigureOf): BillProduct => ({
  ...usual,
  id: 'primer',
  name: say('planning.primerName'),
  unit: 'l',
  pack: PRIMER_CAN_L,
  price: PRIMER_CAN_L * figure('primer-cost-l'),
  kg: PRIMER_CAN_L,
  litres: PRIMER_CAN_L * 1.2,
  sealedDays: 365,
  source: say('figures.price'),
});

/** A membrane of two parts is a kit: what is mixed is used. */
export const membraneProduct = (card: MembraneCard): BillProduct => ({
  ...usual,
  id: `membrane/${card.id}`,
  name: card.name,
  unit: 'kg',
  pack: card.tubKg,
  price: (card.costM2 * card.tubKg) / (card.coatKgM2 * card.coats),
  kg: card.tubKg,
  litres: card.tubKg * DENSE_L_KG,
  isKit: card.binder !== 'dispersion',
  sealedDays: 365,
  source: card.source,
});

/** Planks by the box; where the card does not say what a box covers they are bought by the square metre. */
export const coveringProduct = (card: CoveringCard, figure: AnyFigureOf): BillProduct => {
  const pack = card.packM2 ?? 1;
  const kgM2 = card.massKgM2 ?? figure('box-kg-m2');
  return {
    ...usual,
    id: `card/${card.id}`,
    name: card.name,
    unit: 'm²',
    pack,
    price: card.costM2 === null ? null : card.costM2 * pack,
    kg: kgM2 * pack,
    litres: (card.thicknessMm + 1) * pack,
    isOneBatch: true,
    source: card.source,
  };
};

export const glueProduct = (figure: AnyFigureOf): BillProduct => ({
  ...usual,
  id: 'adhesive',
  name: say('planning.adhesive'),
  unit: 'kg',
  pack: GLUE_TUB_KG,
  price: GLUE_TUB_KG * figure('glue-cost-kg'),
  kg: GLUE_TUB_KG,
  litres: GLUE_TUB_KG * LIGHT_L_KG,
  openedH: 24 * 30,
  sealedDays: 365,
  source: say('figures.price'),
});

/** Underlay or film by the roll. */
export const rollProduct = (of: 'underlay' | 'film', card: UnderlayCard | FilmCard): BillProduct => {
  const pack = (card.rollWidthMm * card.rollLengthMm) / 1e6;
  return {
    ...usual,
    id: `${of}/${card.id}`,
    name: card.name,
    unit: 'm²',
    pack,
    price: card.costM2 * pack,
    kg: pack * (of === 'film' ? FILM_KG_M2 : UNDERLAY_KG_M2),
    litres: pack * (card.thicknessMm + 0.5),
    source: card.source,
  };
};

export const panelProduct = (card: PanelCard): BillProduct => {
  const pack = (card.lengthMm * card.widthMm) / 1e6;
  return {
    ...usual,
    id: `panel/${card.id}`,
    name: card.name,
    unit: 'm²',
    pack,
    price: card.costEach,
    kg: pack * card.kgM2,
    litres: pack * card.thicknessMm,
    source: card.source,
  };
};

export const fixingProduct = (figure: AnyFigureOf): BillProduct => ({
  ...usual,
  id: 'fixings',
  name: say('planning.fixings'),
  unit: '',
  pack: 1000,
  price: 1000 * figure('fixing-cost'),
  kg: 2,
  litres: 1,
  source: say('figures.price'),
});

export const tapeProduct = (figure: AnyFigureOf): BillProduct => ({
  ...usual,
  id: 'tape',
  name: say('planning.tape'),
  unit: 'm',
  pack: figure('tape-m'),
  price: figure('tape-m') * figure('tape-cost-m'),
  kg: 0.3,
  litres: 1,
  source: say('figures.price'),
});
