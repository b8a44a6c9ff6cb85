import type { FrameKind, LeafFact, LeafKind } from '@maquette/core/heights';

export const LEAF_WORDS: Record<LeafKind, string> = {
  unknown: 'Not known yet',
  hollow: 'Hollow',
  solid: 'Solid wood',
  glazed: 'Glazed',
  metal: 'Metal',
  plastic: 'Plastic',
  fire: 'Fire door',
  outside: 'Outside door',
};

export const FRAME_WORDS: Record<FrameKind, string> = {
  unknown: 'Not known yet',
  wood: 'Wood',
  metal: 'Metal',
  stone: 'Stone',
  fire: 'Fire door frame',
};

/** A leaf of which nothing but some of it is known. */
export const newLeaf = (
  openingId: string,
  part: Partial<Omit<LeafFact, 'id' | 'openingId'>>,
): Omit<LeafFact, 'id'> => ({
  openingId,
  kind: 'unknown',
  dropSeal: false,
  cutBeforeMm: 0,
  opensDeg: 90,
  airMm: null,
  rugMm: 0,
  frame: 'unknown',
  note: '',
  ...part,
});
