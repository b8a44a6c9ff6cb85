import type { UnderRoom } from './option.ts';

/** A dry, flat slab on which nothing speaks against anything: what a test changes of it is what it is about. */
export const PLAIN_ROOM: UnderRoom = {
  damp: 'lay',
  flat: 'lay',
  liesOnSoft: false,
  base: 'mineral',
  isSulfate: false,
  isOnGround: true,
  hasMembrane: null,
  crawl: 'none',
  heated: 'none',
  dwellingBelow: false,
  askedDb: null,
  bumpsMm: 0,
  isWetRoom: false,
  isEscapeRoute: false,
  askedFireClass: null,
  panelRM2KW: 0,
};
