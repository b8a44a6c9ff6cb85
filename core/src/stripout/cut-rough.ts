import { inRegion, type RegionPart } from '../room/index.ts';
import type { Setting } from './cut-candidates.ts';
import { SLACK_MM, SLIVER_MM, type Candidate } from './cut-frame.ts';

/**
 * A quick score of a cut, in one pass over the part's corners: length of the cut, and the guess for either side taken as one.
 * The area of a side is the sum of (u - c) dt over its own boundary, u across the line and t along it: what runs along the
 * line itself adds nothing, so the sides need not be put together.
 */
export function roughly(
  part: RegionPart,
  { frame, sides, standing, pieceMm }: Setting,
): (candidate: Candidate) => number {
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
