import type { LeafClearance } from './leaf.ts';
import { parallelCut, taperedCut, worthTapering, type LeafCut } from './leaf-cut.ts';

/** What a leaf is made of, as far as it may be cut. A flat's entrance, a stair, garage or plant room: fire until shown not. */
export const LEAF_KINDS = ['unknown', 'hollow', 'solid', 'glazed', 'metal', 'plastic', 'fire', 'outside'] as const;
export type LeafKind = (typeof LEAF_KINDS)[number];

/** What is wanted of a leaf, mm. */
export interface LeafWants {
  clearMm: number;
  fireClearMm: number;
  /** Greatest gap under a closed fire leaf; its own certificate wins. */
  fireGapMm: number;
  /** Air wanted under the closed leaf; null where none is asked. */
  airMm: number | null;
  /** The most that may be taken off in all. */
  hollowTrimMm: number;
  solidTrimMm: number;
}
export const USUAL_LEAF: LeafWants = {
  clearMm: 5,
  fireClearMm: 2,
  fireGapMm: 3,
  airMm: null,
  hollowTrimMm: 10,
  solidTrimMm: 20,
};

export interface LeafFacts {
  kind: LeafKind;
  dropSeal: boolean;
  /** Taken off earlier, mm. */
  cutBeforeMm: number;
}

export type LeafVerdict =
  | { what: 'measure' | 'nothing' }
  | { what: 'stop'; why: 'fire-need' | 'fire-seal' | 'fire-air' | 'fire-gap' | 'not-cut' | 'past-trim'; byMm: number }
  | { what: 'trim'; parallel: LeafCut; tapered: LeafCut | null };

/** Clearance wanted over the swing of a leaf of a kind, mm. */
export const clearanceWanted = (kind: LeafKind, wants: LeafWants): number =>
  kind === 'fire' ? wants.fireClearMm : wants.clearMm;

/** Gap that a closed leaf needs more than its swing does, mm: air under it, where that is asked. */
const airNeed = ({ closedMm }: LeafClearance, { airMm }: LeafWants) =>
  airMm === null ? 0 : Math.max(0, airMm - closedMm);

/**
 * What becomes of a leaf: unknown things first, then what only others may decide, then whether anything has to come off at all,
 * and how. `used` is the gap under it, closed, once the floor has settled: a fire leaf's greatest gap holds even where nothing is cut.
 */
export function judgeLeaf(
  { kind, dropSeal, cutBeforeMm }: LeafFacts,
  clearance: LeafClearance | null,
  usedGapMm: number | null,
  widthMm: number,
  wants: LeafWants = USUAL_LEAF,
): LeafVerdict {
  if (kind === 'unknown' || !clearance || clearance.unknownShare > 0) return { what: 'measure' };
  const air = airNeed(clearance, wants);
  const need = clearance.need.map((at) => ({ ...at, needMm: Math.max(at.needMm, air) }));
  const parallel = parallelCut(need);
  if (kind === 'fire') {
    const stop = (why: 'fire-need' | 'fire-seal' | 'fire-air' | 'fire-gap', byMm: number): LeafVerdict => ({
      what: 'stop',
      why,
      byMm,
    });
    if (parallel.hingeMm > 0) return stop('fire-need', parallel.hingeMm);
    if (dropSeal) return stop('fire-seal', 0);
    if (wants.airMm !== null) return stop('fire-air', wants.airMm);
    if (usedGapMm === null) return { what: 'measure' };
    if (usedGapMm > wants.fireGapMm) return stop('fire-gap', usedGapMm - wants.fireGapMm);
  }
  if (parallel.hingeMm === 0) return { what: 'nothing' };
  if (kind !== 'hollow' && kind !== 'solid') return { what: 'stop', why: 'not-cut', byMm: parallel.hingeMm };
  const most = kind === 'hollow' ? wants.hollowTrimMm : wants.solidTrimMm;
  const past = parallel.hingeMm + cutBeforeMm - most;
  if (past > 0) return { what: 'stop', why: 'past-trim', byMm: past };
  const tapered = taperedCut(need, widthMm);
  return { what: 'trim', parallel, tapered: worthTapering(parallel, tapered) ? tapered : null };
}
