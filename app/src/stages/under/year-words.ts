import type { YearOfRoom } from '@maquette/core';

export const MONTHS = ['Jan', 'Feb', 'Mar', 'Apr', 'May', 'Jun', 'Jul', 'Aug', 'Sep', 'Oct', 'Nov', 'Dec'] as const;
export const MONTHS_LONG = [
  'January',
  'February',
  'March',
  'April',
  'May',
  'June',
  'July',
  'August',
  'September',
  'October',
  'November',
  'December',
] as const;

const LAYER: Record<string, string> = {
  base: 'the base',
  panel: 'the panel',
  film: 'the film',
  underlay: 'the underlay',
  covering: 'the planks',
};

/** What a place between two layers is called: the face below, under each layer, the face above. */
export function placeWords({ layers }: Pick<YearOfRoom, 'layers'>, place: number, isTimber: boolean): string {
  if (place === 0) return isTimber ? 'Underside of the boards' : 'Underside of the slab';
  if (place === layers.length) return 'Face of the planks';
  return `Under ${LAYER[layers[place]!.id] ?? 'a layer'}`;
}

/** What the air of a climate comes from. */
export const BELOW: Record<YearOfRoom['climate']['below'], string> = {
  crawl: 'a crawl space with open ground',
  'covered-crawl': 'a crawl space with its ground covered',
  ground: 'the ground',
  unheated: 'an unheated room',
  inside: 'a room',
};

export const VERDICT_SAID: Record<YearOfRoom['verdict']['why'], string> = {
  none: 'no water comes together',
  condenses: 'some water, which dries',
  'wood-damp': 'the wood gets too damp',
  'too-much': 'too much water',
  stays: 'water that stays',
  grows: 'more water every year',
  'no-way-out': 'wood could not dry',
};
export const CURES: Record<YearOfRoom['cures'][number]['id'], string> = {
  'cover-ground': 'With the ground of the crawl space covered',
  'with-film': 'With a film laid from above',
  'no-film': 'Without the film',
};
