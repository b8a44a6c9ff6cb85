import { inRegion, regionAreaM2, type CutLine, type RegionPart } from '../room/index.ts';
import {
  boxOf,
  cutsNeeded,
  SLACK_MM,
  SLIVER_MM,
  type Box,
  type Candidate,
  type CutFrame,
  type Guides,
  type PieceLimits,
} from './cut-frame.ts';

/** Holes of a part with something standing in them: it cannot be lifted off. */
function threaded(part: RegionPart, standing: Guides['standing']): number {
  if (part.length === 1) return 0;
  return part.slice(1).filter((hole) => standing.some(([x, y]) => inRegion([[hole]], x, y))).length;
}

/** How one run of the search goes about it. */
export interface Setting {
  limits: PieceLimits;
  frame: CutFrame;
  sides: { w: number; h: number };
  standing: Guides['standing'];
  seams: readonly Candidate[];
  /** Weight of a piece more in the guess. */
  pieceMm: number;
}

/** What is still to be cut in a part, guessed from its box and its mean height and width. */
export function guessMm(part: RegionPart, setting: Setting): number {
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

/** Whether a part may be lifted as it is: within the sides and the weight, threaded on nothing. */
export function fits(part: RegionPart, box: Box, { sides, limits, standing }: Setting): boolean {
  return (
    box.x1 - box.x0 <= sides.w + SLACK_MM &&
    box.y1 - box.y0 <= sides.h + SLACK_MM &&
    regionAreaM2([part]) * limits.kgPerM2 <= limits.massKg + 1e-9 &&
    threaded(part, standing) === 0
  );
}

/** Cuts worth looking at: even divisions, full sides from either end, inner corners, middles of holes, seams. */
export function candidatesOf(part: RegionPart, box: Box, { frame, sides, seams }: Setting): Candidate[] {
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

/** Known seams that run along or across the frame, as candidates. */
export function seamsIn(frame: CutFrame, seams: readonly CutLine[]): Candidate[] {
  return seams.flatMap((line): Candidate[] => {
    const along = line.a * frame.cos + line.b * frame.sin;
    const across = -line.a * frame.sin + line.b * frame.cos;
    // Only what runs along or across the frame can be followed by the straight cuts of this pattern.
    if (Math.abs(across) < 0.002) return [{ upright: true, at: line.c / along, seam: true }];
    if (Math.abs(along) < 0.002) return [{ upright: false, at: line.c / across, seam: true }];
    return [];
  });
}
