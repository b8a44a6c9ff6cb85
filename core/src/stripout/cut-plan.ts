import { cutPart, inRegion, regionAreaM2, type CutLine, type Region, type RegionPart } from '../room/index.ts';

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

export interface Cut {
  from: [number, number];
  to: [number, number];
  kind: 'saw' | 'seam';
}

export interface CutPiece {
  part: RegionPart;
  areaM2: number;
  massKg: number;
}

export interface Cutting {
  pieces: CutPiece[];
  cuts: Cut[];
  sawMm: number;
  seamMm: number;
}

interface Box {
  x0: number;
  y0: number;
  x1: number;
  y1: number;
}

/** A candidate cut, upright (x = at) or level (y = at), in the working frame. */
interface Candidate {
  upright: boolean;
  at: number;
  seam: boolean;
}

/** A frame turned so that the room's longest wall lies along x: cuts run along it and across it. */
export interface CutFrame {
  cos: number;
  sin: number;
}

export function frameOf(turnRad: number): CutFrame {
  return { cos: Math.cos(turnRad), sin: Math.sin(turnRad) };
}

function lineOf(candidate: Candidate, frame: CutFrame): CutLine {
  return candidate.upright
    ? { a: frame.cos, b: frame.sin, c: candidate.at }
    : { a: -frame.sin, b: frame.cos, c: candidate.at };
}

function boxOf(part: RegionPart, { cos, sin }: CutFrame): Box {
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
function sidesOf(limits: PieceLimits, along: boolean): { w: number; h: number } {
  const mostMm2 = (limits.massKg / limits.kgPerM2) * 1e6;
  let [long, short] = [limits.longMm, limits.shortMm];
  if (long * short > mostMm2) {
    const square = Math.sqrt(mostMm2);
    if (short > square) [long, short] = [square, square];
    else long = mostMm2 / short;
  }
  return along ? { w: long, h: short } : { w: short, h: long };
}

const SLACK_MM = 0.01;
/** A strip narrower than this is a nuisance to saw and to carry. */
const SLIVER_MM = 120;
/** What a piece more costs, as millimetres of cut: carrying, turning the saw. */
const PIECE_MM = 120;

function cutsNeeded(box: Box, sides: { w: number; h: number }): { across: number; along: number } {
  return {
    across: Math.max(0, Math.ceil((box.x1 - box.x0 - SLACK_MM) / sides.w) - 1),
    along: Math.max(0, Math.ceil((box.y1 - box.y0 - SLACK_MM) / sides.h) - 1),
  };
}

/** Holes of a part with something standing in them: it cannot be lifted off. */
function threaded(part: RegionPart, standing: Guides['standing']): number {
  if (part.length === 1) return 0;
  return part.slice(1).filter((hole) => standing.some(([x, y]) => inRegion([[hole]], x, y))).length;
}

/** How one run of the search goes about it. */
interface Setting {
  limits: PieceLimits;
  frame: CutFrame;
  sides: { w: number; h: number };
  standing: Guides['standing'];
  seams: readonly Candidate[];
  /** Weight of a piece more in the guess. */
  pieceMm: number;
}

/** What is still to be cut in a part, guessed from its box and its mean height and width. */
function guessMm(part: RegionPart, setting: Setting): number {
  const { frame, sides, standing, pieceMm } = setting;
  const box = boxOf(part, frame);
  const areaMm2 = regionAreaM2([part]) * 1e6;
  const { across, along } = cutsNeeded(box, sides);
  const width = box.x1 - box.x0 || 1;
  const height = box.y1 - box.y0 || 1;
  const guess = (across * areaMm2) / width + (along * areaMm2) / height;
  const holes = threaded(part, standing) * Math.min(width, height) * 0.5;
  const sliver = Math.min(width, height) < SLIVER_MM ? 400 : 0;
  return guess + holes + sliver + (across + 1) * (along + 1) * pieceMm;
}

function fits(part: RegionPart, box: Box, { sides, limits, standing }: Setting): boolean {
  return (
    box.x1 - box.x0 <= sides.w + SLACK_MM &&
    box.y1 - box.y0 <= sides.h + SLACK_MM &&
    regionAreaM2([part]) * limits.kgPerM2 <= limits.massKg + 1e-9 &&
    threaded(part, standing) === 0
  );
}

function candidatesOf(part: RegionPart, box: Box, { frame, sides, seams }: Setting): Candidate[] {
  const found = new Map<string, Candidate>();
  const offer = (upright: boolean, at: number, seam = false) => {
    const [low, high] = upright ? [box.x0, box.x1] : [box.y0, box.y1];
    if (at <= low + 5 || at >= high - 5) return;
    const key = `${upright ? 'u' : 'l'}${Math.round(at)}`;
    if (seam || !found.has(key)) found.set(key, { upright, at, seam });
  };
  const { across, along } = cutsNeeded(box, sides);
  for (let k = 1; k <= across; k++) {
    offer(true, box.x0 + (k * (box.x1 - box.x0)) / (across + 1));
    if (k === 1 || k === across) {
      offer(true, box.x0 + k * sides.w);
      offer(true, box.x1 - k * sides.w);
    }
  }
  for (let k = 1; k <= along; k++) {
    offer(false, box.y0 + (k * (box.y1 - box.y0)) / (along + 1));
    if (k === 1 || k === along) {
      offer(false, box.y0 + k * sides.h);
      offer(false, box.y1 - k * sides.h);
    }
  }
  part.forEach((ring, r) => {
    const n = ring.length;
    // A hole needs a cut through it, or along its edge; round ones are offered their middle by the guides.
    for (let i = 0; i < n; i++) {
      const [p, q, s] = [ring[(i + n - 1) % n]!, ring[i]!, ring[(i + 1) % n]!];
      const cross = (q[0] - p[0]) * (s[1] - q[1]) - (q[1] - p[1]) * (s[0] - q[0]);
      if (cross >= 0 || (r > 0 && n > 8)) continue;
      const [x, y] = [frame.cos * q[0] + frame.sin * q[1], -frame.sin * q[0] + frame.cos * q[1]];
      offer(true, x);
      offer(false, y);
    }
    if (r > 0) {
      const hole = boxOf([ring], frame);
      offer(true, (hole.x0 + hole.x1) / 2);
      offer(false, (hole.y0 + hole.y1) / 2);
    }
  });
  for (const seam of seams) offer(seam.upright, seam.at, true);
  if (found.size === 0) {
    // Fits by its box but is too heavy or has is threaded on something: halve it the longer way.
    const wide = box.x1 - box.x0 >= box.y1 - box.y0;
    offer(wide, wide ? (box.x0 + box.x1) / 2 : (box.y0 + box.y1) / 2);
  }
  return [...found.values()];
}

function seamsIn(frame: CutFrame, seams: readonly CutLine[]): Candidate[] {
  return seams.flatMap((line): Candidate[] => {
    const along = line.a * frame.cos + line.b * frame.sin;
    const across = -line.a * frame.sin + line.b * frame.cos;
    // Only what runs along or across the frame can be followed by the straight cuts of this pattern.
    if (Math.abs(across) < 0.002) return [{ upright: true, at: line.c / along, seam: true }];
    if (Math.abs(along) < 0.002) return [{ upright: false, at: line.c / across, seam: true }];
    return [];
  });
}

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

/**
 * A quick score of a cut, in one pass over the part's corners: length of the cut, and the guess for either side taken as one.
 * The area of a side is the sum of (u - c) dt over its own boundary, u across the line and t along it: what runs along the
 * line itself adds nothing, so the sides need not be put together.
 */
function roughly(part: RegionPart, { frame, sides, standing, pieceMm }: Setting): (candidate: Candidate) => number {
  const rings = part.map((ring) =>
    ring.map(([x, y]) => [frame.cos * x + frame.sin * y, -frame.sin * x + frame.cos * y] as const),
  );
  const hung = part
    .map((ring, r) => ({ r, threaded: r > 0 && standing.some(([x, y]) => inRegion([[ring]], x, y)) }))
    .filter((h) => h.threaded)
    .map(({ r }) => {
      const xs = rings[r]!.map((p) => p[0]);
      const ys = rings[r]!.map((p) => p[1]);
      return { x0: Math.min(...xs), x1: Math.max(...xs), y0: Math.min(...ys), y1: Math.max(...ys) };
    });
  return ({ upright, at, seam }) => {
    const [across, along] = upright ? [0, 1] : [1, 0];
    const area = [0, 0];
    const box = [
      [Infinity, -Infinity, Infinity, -Infinity],
      [Infinity, -Infinity, Infinity, -Infinity],
    ];
    const crossings: number[] = [];
    const reach = (side: number, u: number, t: number) => {
      const b = box[side]!;
      if (u < b[0]!) b[0] = u;
      if (u > b[1]!) b[1] = u;
      if (t < b[2]!) b[2] = t;
      if (t > b[3]!) b[3] = t;
    };
    for (const ring of rings) {
      for (let i = 0, j = ring.length - 1; i < ring.length; j = i++) {
        const [pu, pt, qu, qt] = [ring[j]![across]! - at, ring[j]![along]!, ring[i]![across]! - at, ring[i]![along]!];
        const [low, next] = [pu > 0 ? 1 : 0, qu > 0 ? 1 : 0];
        reach(next, qu, qt);
        if (low === next) {
          area[low]! += ((pu + qu) / 2) * (qt - pt);
          continue;
        }
        const t = pt + (pu / (pu - qu)) * (qt - pt);
        crossings.push(t);
        reach(0, 0, t);
        reach(1, 0, t);
        area[low]! += (pu / 2) * (t - pt);
        area[next]! += (qu / 2) * (qt - t);
      }
    }
    crossings.sort((a, b) => a - b);
    let cutMm = 0;
    for (let i = 0; i + 1 < crossings.length; i += 2) cutMm += crossings[i + 1]! - crossings[i]!;
    let score = seam ? 0 : cutMm;
    for (const side of [0, 1]) {
      const [u0, u1, t0, t1] = box[side] as [number, number, number, number];
      if (!(u1 > u0) || !(t1 > t0)) return Infinity;
      const [w, h] = upright ? [u1 - u0, t1 - t0] : [t1 - t0, u1 - u0];
      const nx = Math.max(0, Math.ceil((w - SLACK_MM) / sides.w) - 1);
      const ny = Math.max(0, Math.ceil((h - SLACK_MM) / sides.h) - 1);
      const mm2 = Math.abs(area[side]!);
      score += (nx * mm2) / w + (ny * mm2) / h + (nx + 1) * (ny + 1) * pieceMm;
      if (Math.min(w, h) < SLIVER_MM) score += 400;
    }
    // A threaded hole the line does not cross is still to be freed.
    for (const h of hung) {
      const [from, to] = upright ? [h.x0, h.x1] : [h.y0, h.y1];
      if (at <= from || at >= to) score += 600;
    }
    return score;
  };
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
