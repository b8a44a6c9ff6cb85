import type { CutLine, RegionPart } from '../room/index.ts';

/** What a piece may be at most, so that a person can carry it. */
export interface PieceLimits {
  longMm: number;
  shortMm: number;
  massKg: number;
  kgPerM2: number;
}

/** What the cuts heed. */
export interface Guides {
  /** Known seams: the layer is already parted there, nothing is sawn. */
  seams: readonly CutLine[];
  /** Middles of what stands up through the layer (pipes, columns): no piece may have one of these in a hole of it. */
  standing: readonly (readonly [number, number])[];
}

/** One straight cut, sawn or along a seam. */
export interface Cut {
  from: [number, number];
  to: [number, number];
  kind: 'saw' | 'seam';
}

/** A piece as it is lifted. */
export interface CutPiece {
  part: RegionPart;
  areaM2: number;
  massKg: number;
}

/** Pieces and cuts of a region, with the length sawn and the length along seams, mm. */
export interface Cutting {
  pieces: CutPiece[];
  cuts: Cut[];
  sawMm: number;
  seamMm: number;
}

/** Upright in the frame, mm. */
export interface Box {
  x0: number;
  y0: number;
  x1: number;
  y1: number;
}

/** A candidate cut, upright (x = at) or level (y = at), in the working frame. */
export interface Candidate {
  upright: boolean;
  at: number;
  seam: boolean;
}

/** A frame turned so that the room's longest wall lies along x: cuts run along it and across it. */
export interface CutFrame {
  cos: number;
  sin: number;
}

/** The frame of a wall that runs at `turnRad`. */
export function frameOf(turnRad: number): CutFrame {
  return { cos: Math.cos(turnRad), sin: Math.sin(turnRad) };
}

/** The line of a candidate cut, on the plan. */
export function lineOf(candidate: Candidate, frame: CutFrame): CutLine {
  return candidate.upright
    ? { a: frame.cos, b: frame.sin, c: candidate.at }
    : { a: -frame.sin, b: frame.cos, c: candidate.at };
}

/** Upright box of a part in the frame, mm. */
export function boxOf(part: RegionPart, { cos, sin }: CutFrame): Box {
  let [x0, y0, x1, y1] = [Infinity, Infinity, -Infinity, -Infinity];
  for (const [px, py] of part[0]!) {
    const [x, y] = [cos * px + sin * py, -sin * px + cos * py];
    if (x < x0) x0 = x;
    if (x > x1) x1 = x;
    if (y < y0) y0 = y;
    if (y > y1) y1 = y;
  }
  return { x0, y0, x1, y1 };
}

/** Sides shrunk so that a piece of full size is not heavier than may be carried. */
export function sidesOf(limits: PieceLimits, along: boolean): { w: number; h: number } {
  const mostMm2 = (limits.massKg / limits.kgPerM2) * 1e6;
  let [long, short] = [limits.longMm, limits.shortMm];
  if (long * short > mostMm2) {
    const square = Math.sqrt(mostMm2);
    if (short > square) [long, short] = [square, square];
    else long = mostMm2 / short;
  }
  return along ? { w: long, h: short } : { w: short, h: long };
}

/** Lengths are no finer than this. */
export const SLACK_MM = 0.01;
/** A strip narrower than this is a nuisance to saw and to carry. */
export const SLIVER_MM = 120;
/** What a piece more costs, as millimetres of cut: carrying, turning the saw. */
export const PIECE_MM = 120;

/** How many cuts a box needs each way to come within the sides. */
export function cutsNeeded(box: Box, sides: { w: number; h: number }): { across: number; along: number } {
  return {
    across: Math.max(0, Math.ceil((box.x1 - box.x0 - SLACK_MM) / sides.w) - 1),
    along: Math.max(0, Math.ceil((box.y1 - box.y0 - SLACK_MM) / sides.h) - 1),
  };
}
