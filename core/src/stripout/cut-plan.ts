import { cutPart, regionAreaM2, type Region, type RegionPart } from '../room/index.ts';
import { candidatesOf, fits, guessMm, seamsIn, type Setting } from './cut-candidates.ts';
import {
  boxOf,
  frameOf,
  lineOf,
  PIECE_MM,
  sidesOf,
  SLACK_MM,
  type Box,
  type Candidate,
  type CutFrame,
  type Cutting,
  type Guides,
  type PieceLimits,
} from './cut-frame.ts';
import { roughly } from './cut-rough.ts';

const DEPTH_MOST = 400;

/** Puts one cut into a cutting. */
function note(cutting: Cutting, candidate: Candidate, frame: CutFrame, split: ReturnType<typeof cutPart>): void {
  if (candidate.seam) cutting.seamMm += split.cutMm;
  else cutting.sawMm += split.cutMm;
  const { a, b, c } = lineOf(candidate, frame);
  const at = (t: number): [number, number] => [a * c - b * t, b * c + a * t];
  for (const [t0, t1] of split.spans)
    cutting.cuts.push({ from: at(t0), to: at(t1), kind: candidate.seam ? 'seam' : 'saw' });
}

/**
 * Cuts until everything is within the limits, each cut going right across what is being cut (as a saw does), choosing at every
 * step the cut with the least length plus what the rest is guessed to need. Seams are free. Every part of the region ends in
 * exactly one piece, since each cut keeps both of its sides.
 */
function cutOn(cutting: Cutting, parts: readonly RegionPart[], setting: Setting): Cutting {
  const open = parts.map((part) => ({ part, depth: 0 }));
  for (let next = open.pop(); next; next = open.pop()) {
    const { part, depth } = next;
    const box = boxOf(part, setting.frame);
    const best = fits(part, box, setting) || depth > DEPTH_MOST ? null : bestCut(part, box, setting);
    if (!best) {
      const areaM2 = regionAreaM2([part]);
      cutting.pieces.push({ part, areaM2, massKg: areaM2 * setting.limits.kgPerM2 });
      continue;
    }
    note(cutting, best.candidate, setting.frame, best.split);
    for (const child of [...best.split.low, ...best.split.high]) open.push({ part: child, depth: depth + 1 });
  }
  return cutting;
}

/** Candidates looked at exactly, after all have been told apart roughly. */
const LOOKED_AT = 5;

function bestCut(part: RegionPart, box: Box, setting: Setting) {
  const rough = roughly(part, setting);
  const near = candidatesOf(part, box, setting)
    .map((candidate) => ({ candidate, score: rough(candidate) }))
    .sort((a, b) => a.score - b.score)
    .slice(0, LOOKED_AT);
  let best: { score: number; candidate: Candidate; split: ReturnType<typeof cutPart> } | null = null;
  for (const { candidate } of near) {
    const split = cutPart(part, lineOf(candidate, setting.frame));
    if (split.low.length === 0 || split.high.length === 0) continue;
    const rest = [...split.low, ...split.high].reduce((sum, p) => sum + guessMm(p, setting), 0);
    const score = (candidate.seam ? 0 : split.cutMm) + rest;
    if (!best || score < best.score - 1e-6) best = { score, candidate, split };
  }
  return best;
}

/** Cuts of the plain grid over a region: from the corner of its box, blind to everything in it. */
function gridCut(region: Region, { frame, sides }: Setting): { cutting: Cutting; parts: Region } {
  const cutting: Cutting = { pieces: [], cuts: [], sawMm: 0, seamMm: 0 };
  let parts: Region = region;
  const boxes = region.map((part) => boxOf(part, frame));
  const [x0, y0] = [Math.min(...boxes.map((b) => b.x0)), Math.min(...boxes.map((b) => b.y0))];
  const [x1, y1] = [Math.max(...boxes.map((b) => b.x1)), Math.max(...boxes.map((b) => b.y1))];
  const slice = (upright: boolean, at: number) => {
    const candidate = { upright, at, seam: false };
    parts = parts.flatMap((part) => {
      const split = cutPart(part, lineOf(candidate, frame));
      note(cutting, candidate, frame, split);
      return [...split.low, ...split.high];
    });
  };
  for (let x = x0 + sides.w; x < x1 - SLACK_MM; x += sides.w) slice(true, x);
  for (let y = y0 + sides.h; y < y1 - SLACK_MM; y += sides.h) slice(false, y);
  return { cutting, parts };
}

function worth(cutting: Cutting): number {
  return cutting.sawMm + cutting.pieces.length * PIECE_MM;
}

/** Weights of a piece in the guess that are tried: no one of them is best for every room. */
const GUESSES_MM = [0, PIECE_MM, 3 * PIECE_MM];

function settingsOf(limits: PieceLimits, guides: Guides, turnRad: number, pieceMm: number): Setting[] {
  const frame = frameOf(turnRad);
  const ways = Math.abs(limits.longMm - limits.shortMm) < 1 ? [true] : [true, false];
  const seams = seamsIn(frame, guides.seams);
  return ways.map((alongX) => ({
    limits,
    frame,
    sides: sidesOf(limits, alongX),
    standing: guides.standing,
    seams,
    pieceMm,
  }));
}

const empty = (): Cutting => ({ pieces: [], cuts: [], sawMm: 0, seamMm: 0 });

/**
 * The plain grid, finished so that it can be lifted: squares (or strips, the better way round) from the corner, and where a
 * piece is threaded on a pipe or a column, cut again. What the planned cuts are compared with.
 */
export function plainGrid(region: Region, limits: PieceLimits, guides: Guides, turnRad: number): Cutting {
  if (region.length === 0) return empty();
  return settingsOf(limits, { ...guides, seams: [] }, turnRad, PIECE_MM)
    .map((setting) => {
      const { cutting, parts } = gridCut(region, setting);
      return cutOn(cutting, parts, setting);
    })
    .reduce((a, b) => (worth(b) < worth(a) ? b : a));
}

/**
 * Cuts a region into pieces a person can carry: the best of several searches, never worse than the plain grid.
 * `turnRad` is the way of the wall the cuts run along.
 */
export function cutIntoPieces(region: Region, limits: PieceLimits, guides: Guides, turnRad: number): Cutting {
  if (region.length === 0) return empty();
  const tries = GUESSES_MM.flatMap((pieceMm) =>
    settingsOf(limits, guides, turnRad, pieceMm).map((setting) => cutOn(empty(), region, setting)),
  );
  return [plainGrid(region, limits, guides, turnRad), ...tries].reduce((a, b) => (worth(b) < worth(a) ? b : a));
}
