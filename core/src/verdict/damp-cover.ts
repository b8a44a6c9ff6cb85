import { say, type Said } from '../said/index.ts';

/** What lies, or is to lie, over a base that reads too damp: a membrane every step of which is ticked, or a film that the covering's own sheet takes as a cure. */
export type DampCover = { by: 'membrane'; name: string; limitRh: number } | { by: 'film'; name: string };

/** What is to be done over a base that is covered so. */
export const coverWords = (cover: DampCover): Said =>
  cover.by === 'membrane'
    ? say('verdict.membraneOn', { name: cover.name, limitRh: cover.limitRh })
    : say('verdict.filmCures', { name: cover.name });
