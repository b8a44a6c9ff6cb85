import type { RoomSet } from '../assess/room-set.ts';
import { jobFiguresOf } from '../figures/job-figures.ts';
import { SHIPPED_COMPOUNDS } from '../levelling/compound.ts';
import { say, type Sayable } from '../said/index.ts';
import { allUnder } from '../under/index.ts';
import {
  coveringProduct,
  fixingProduct,
  glueProduct,
  levelProduct,
  membraneProduct,
  panelProduct,
  primerProduct,
  rollProduct,
  tapeProduct,
} from './products.ts';

/** What of a room its products are named by. */
export type NamedCards = Pick<RoomSet, 'card' | 'underCards'>;

/**
 * Names of everything a job’s bill can have a line of, by the ids under which packs are counted and prices kept: of the rooms’ cards
 * and of what is bought without one. A product whose card was removed from the book says so.
 */
export function productNames(sets: readonly NamedCards[]): (id: string) => Sayable {
  const figure = jobFiguresOf([]);
  const under = sets.map(({ underCards }) => allUnder(underCards));
  const products = [
    ...SHIPPED_COMPOUNDS.map(levelProduct),
    ...sets.map(({ card }) => coveringProduct(card, figure)),
    ...under.flatMap(({ underlays, films, membranes, panels }) => [
      ...underlays.map((card) => rollProduct('underlay', card)),
      ...films.map((card) => rollProduct('film', card)),
      ...membranes.map(membraneProduct),
      ...panels.map(panelProduct),
    ]),
    ...[primerProduct, glueProduct, fixingProduct, tapeProduct].map((of) => of(figure)),
  ];
  // The job's own card stands before one that ships under the same id: it is written last.
  const names = new Map(products.reverse().map(({ id, name }) => [id, name]));
  return (id) => names.get(id) ?? say('planning.productGone', { id });
}
