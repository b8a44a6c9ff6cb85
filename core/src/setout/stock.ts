import type { LaidPlank } from './plank.ts';

/** A cut piece by what it needs of a plank: its start end, its other end, or neither. */
export interface CutPiece {
  id: number;
  need: 'start' | 'end' | 'none';
  lengthMm: number;
}

/** A plank with the pieces cut from it. */
export interface CutPlank {
  pieces: CutPiece[];
  restMm: number;
}

const HAIR = 1e-6;

const longest = (a: CutPiece, b: CutPiece) => b.lengthMm - a.lengthMm || a.id - b.id;

/**
 * Fewest planks for pieces that are given, whole planks left out. A plank that clicks gives one start and one end at most, one without locks any two
 * one-ended pieces; whatever needs no end is cut from what is left. Starts are paired longest first with the longest end that fits: of nested choices
 * the one with the fewest goes first, which is exact. Pieces that need no end then go where least is left over.
 */
export function cutPlanks(pieces: readonly CutPiece[], plank: LaidPlank): CutPlank[] {
  const paired = plank.ends === 'click' ? pairedByHand(pieces, plank) : pairedFreely(pieces, plank);
  const free = pieces.filter(({ need }) => need === 'none').sort(longest);
  for (const piece of free) {
    const takes = ({ restMm }: CutPlank) => restMm >= piece.lengthMm + plank.kerfMm - HAIR;
    const into = paired.filter(takes).sort((a, b) => a.restMm - b.restMm)[0];
    if (into) {
      into.pieces.push(piece);
      into.restMm -= piece.lengthMm + plank.kerfMm;
    } else paired.push({ pieces: [piece], restMm: plank.lengthMm - piece.lengthMm });
  }
  return paired;
}

const cutFrom = (plank: LaidPlank, pieces: CutPiece[]): CutPlank => ({
  pieces,
  restMm:
    plank.lengthMm -
    pieces.reduce((sum, { lengthMm }) => sum + lengthMm, 0) -
    plank.kerfMm * Math.max(0, pieces.length - 1),
});

function pairedByHand(pieces: readonly CutPiece[], plank: LaidPlank): CutPlank[] {
  const starts = pieces.filter(({ need }) => need === 'start').sort(longest);
  const ends = pieces.filter(({ need }) => need === 'end').sort(longest);
  const planks: CutPlank[] = [];
  // As starts grow shorter, longer ends come to fit: the last that came is the longest.
  const fitting: CutPiece[] = [];
  let next = ends.length - 1;
  for (const start of starts) {
    const roomMm = plank.lengthMm - plank.kerfMm - start.lengthMm + HAIR;
    while (next >= 0 && ends[next]!.lengthMm <= roomMm) fitting.push(ends[next--]!);
    const end = fitting.pop();
    planks.push(cutFrom(plank, end ? [start, end] : [start]));
  }
  for (; next >= 0; next--) planks.push(cutFrom(plank, [ends[next]!]));
  for (const end of fitting) planks.push(cutFrom(plank, [end]));
  return planks;
}

function pairedFreely(pieces: readonly CutPiece[], plank: LaidPlank): CutPlank[] {
  const left = pieces.filter(({ need }) => need !== 'none').sort(longest);
  const planks: CutPlank[] = [];
  while (left.length > 0) {
    const first = left.shift()!;
    const roomMm = plank.lengthMm - plank.kerfMm - first.lengthMm + HAIR;
    const k = left.findIndex(({ lengthMm }) => lengthMm <= roomMm);
    planks.push(cutFrom(plank, k < 0 ? [first] : [first, ...left.splice(k, 1)]));
  }
  return planks;
}
