import { say } from '../said/index.ts';
import { ScanProblem, type Cloud } from './cloud.ts';

/** Which axis of the file points up. */
export type UpAxis = 'z' | 'y';

/** The floor's plane in a cloud: up = level + slopeA a + slopeB b over the two flat axes, metres. */
export interface FloorPlane {
  up: UpAxis;
  levelM: number;
  slopeA: number;
  slopeB: number;
  /** Share of the sampled points within reach of it. */
  support: number;
}

/** The flat axes and the upright one of a cloud. With y up the flat pair is (z, x), so that it still turns anticlockwise seen from above. */
export function axesOf({ x, y, z }: Cloud, up: UpAxis): { a: Float32Array; b: Float32Array; h: Float32Array } {
  return up === 'z' ? { a: x, b: y, h: z } : { a: z, b: x, h: y };
}

const SAMPLE = 20_000;
const TRIES = 400;
/** Points this near to a plane are of it, m: a phone's noise and a floor's own waves. */
const REACH_M = 0.02;
/** A floor falls by less than this: 1 in 8. */
const SLOPE_MOST = 0.125;
/** A plane with this share of the largest one's points may be the floor if it lies lower: table tops are large too. */
const LARGE_SHARE = 0.35;
const LEAST_SUPPORT = 0.04;

/**
 * The floor's plane by random triples of a sample: of the near-level planes with many points the lowest, so that a table top
 * does not pass for it. `chance` decides the triples. Throws `ScanProblem` where no level plane is found.
 */
export function findPlane(cloud: Cloud, up: UpAxis, chance: () => number): FloorPlane {
  const { a, b, h } = axesOf(cloud, up);
  const n = Math.min(SAMPLE, cloud.count);
  if (n < 3) throw new ScanProblem(say('scan.fewerThanThreePointsNoFloor'));
  const sa = new Float32Array(n);
  const sb = new Float32Array(n);
  const sh = new Float32Array(n);
  for (let i = 0; i < n; i++) {
    const at = Math.floor(((i + chance()) * cloud.count) / n);
    sa[i] = a[at]!;
    sb[i] = b[at]!;
    sh[i] = h[at]!;
  }
  const found: FloorPlane[] = [];
  for (let t = 0; t < TRIES; t++) {
    const pick = () => Math.floor(chance() * n);
    const [p, q, r] = [pick(), pick(), pick()];
    const [a1, b1, h1] = [sa[q]! - sa[p]!, sb[q]! - sb[p]!, sh[q]! - sh[p]!];
    const [a2, b2, h2] = [sa[r]! - sa[p]!, sb[r]! - sb[p]!, sh[r]! - sh[p]!];
    const det = a1 * b2 - a2 * b1;
    if (Math.abs(det) < 0.05) continue;
    const slopeA = (h1 * b2 - h2 * b1) / det;
    const slopeB = (a1 * h2 - a2 * h1) / det;
    if (Math.hypot(slopeA, slopeB) > SLOPE_MOST) continue;
    const levelM = sh[p]! - slopeA * sa[p]! - slopeB * sb[p]!;
    let near = 0;
    for (let i = 0; i < n; i++) if (Math.abs(sh[i]! - levelM - slopeA * sa[i]! - slopeB * sb[i]!) < REACH_M) near++;
    found.push({ up, levelM, slopeA, slopeB, support: near / n });
  }
  const largest = found.reduce((most, plane) => Math.max(most, plane.support), 0);
  if (largest < LEAST_SUPPORT) throw new ScanProblem(say('scan.noLevelPlaneWithEnoughPoints'));
  const [ma, mb] = [mean(sa), mean(sb)];
  const height = (plane: FloorPlane) => plane.levelM + plane.slopeA * ma + plane.slopeB * mb;
  const large = found.filter((plane) => plane.support >= LARGE_SHARE * largest);
  const lowest = large.reduce((low, plane) => Math.min(low, height(plane)), Infinity);
  // Among the tries at that level the one with most points lies nearest to it.
  const best = large
    .filter((plane) => height(plane) < lowest + 2 * REACH_M)
    .reduce((best, plane) => (plane.support > best.support ? plane : best));
  return refined(best, sa, sb, sh);
}

function mean(values: Float32Array): number {
  let sum = 0;
  for (const value of values) sum += value;
  return sum / values.length;
}

/** Least squares through the points near a plane, twice. */
function refined(plane: FloorPlane, a: Float32Array, b: Float32Array, h: Float32Array): FloorPlane {
  let { levelM, slopeA, slopeB } = plane;
  for (let round = 0; round < 2; round++) {
    let [n, sa, sb, sh] = [0, 0, 0, 0];
    const near = (i: number) => Math.abs(h[i]! - levelM - slopeA * a[i]! - slopeB * b[i]!) < REACH_M;
    const kept: number[] = [];
    for (let i = 0; i < a.length; i++) {
      if (!near(i)) continue;
      kept.push(i);
      n++;
      sa += a[i]!;
      sb += b[i]!;
      sh += h[i]!;
    }
    const [ca, cb, ch] = [sa / n, sb / n, sh / n];
    let [aa, bb, ab, ah, bh] = [0, 0, 0, 0, 0];
    for (const i of kept) {
      const [da, db, dh] = [a[i]! - ca, b[i]! - cb, h[i]! - ch];
      aa += da * da;
      bb += db * db;
      ab += da * db;
      ah += da * dh;
      bh += db * dh;
    }
    const det = aa * bb - ab * ab;
    if (det <= 1e-9 * aa * bb) break;
    slopeA = (ah * bb - bh * ab) / det;
    slopeB = (bh * aa - ah * ab) / det;
    levelM = ch - slopeA * ca - slopeB * cb;
  }
  return { ...plane, levelM, slopeA, slopeB };
}

/** The axis that points up: the one along which the best level plane holds most points. */
export function likelyUp(cloud: Cloud, chance: () => number): UpAxis {
  const support = (up: UpAxis) => {
    try {
      return findPlane(cloud, up, chance).support;
    } catch {
      return 0;
    }
  };
  return support('y') > 1.15 * support('z') ? 'y' : 'z';
}
