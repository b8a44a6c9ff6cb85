import { common, regionAreaM2, regionOf, type PointMm, type Region, type RegionPart } from '../room/index.ts';
import { acrossOf, spanOf } from './rows.ts';

/** A stave of herringbone; where they are of two hands, both are sold apart. */
export interface Stave {
  lengthMm: number;
  widthMm: number;
  kerfMm: number;
}

export type StaveHand = 'left' | 'right';

/** A stave as it lies, whole or cut by the edge of the floor; in the frame of the pattern's axis. */
export interface LaidStave {
  hand: StaveHand;
  part: RegionPart;
  isWhole: boolean;
  /** A cut piece by its centre line: its area over a stave's width. */
  centreMm: number;
  /** Which end of the stave it keeps, and the slope of the cut over its width; null where it is cut at both ends or round something. */
  keeps: 'near' | 'far' | null;
  cutSlope: number;
}

export interface HerringbonePlan {
  staves: LaidStave[];
  /** Staves of each hand that are bought: whole ones, and those cut pieces are taken from. */
  bought: Record<StaveHand, { whole: number; cut: number }>;
  waste: number;
  offsetMm: number;
}

/** Axes of the staves, at 45 degrees to the pattern's axis (u): left ones rise to the one side, right ones to the other. */
const H = Math.SQRT1_2;

/** From the pattern's own square axes to the frame of its axis. */
const turned = (x: number, y: number): PointMm => ({ xMm: (x - y) * H, yMm: (x + y) * H });

/** The line through the tips lies so far beside the middle of the pattern, mm. */
export const tipBesideMm = (widthMm: number): number => widthMm / (2 * Math.SQRT2);

/** Pieces under this are filled, m². */
const CRUMB_M2 = 4e-4;
const HAIR_M2 = 5e-5;

/**
 * Herringbone at 45 degrees over a region whose u runs along the pattern's axis: left staves [0, l] x [0, w] and right ones [l, l + w] x [w - l, w], repeated by (w, w) and (l, -l) in
 * the pattern's square axes, moved along the axis by an offset and across it by where its tips shall lie.
 */
export function laidStaves(
  region: Region,
  { lengthMm: l, widthMm: w }: Stave,
  offsetMm: number,
  tipMm: number,
): LaidStave[] {
  if (region.length === 0) return [];
  const [lowV, highV] = acrossOf(region);
  const us = region.map((part) => spanOf(part, 0));
  const [lowU, highU] = [Math.min(...us.map(([low]) => low)), Math.max(...us.map(([, high]) => high))];
  const laid: LaidStave[] = [];
  // One step of (w, w) goes across the axis by w root 2, one of (l, -l) along it by l root 2.
  const [acrossStep, alongStep] = [w * Math.SQRT2, l * Math.SQRT2];
  const kLow = Math.floor((lowV - tipMm) / acrossStep) - Math.ceil(l / w) - 2;
  const kHigh = Math.ceil((highV - tipMm) / acrossStep) + Math.ceil(l / w) + 2;
  for (let k = kLow; k <= kHigh; k++) {
    const m0 = Math.floor((lowU - offsetMm) / alongStep) - 2;
    const m1 = Math.ceil((highU - offsetMm) / alongStep) + 2;
    for (let m = m0; m <= m1; m++) {
      const [ox, oy] = [k * w + m * l, k * w - m * l];
      for (const hand of ['left', 'right'] as const) {
        const [x0, x1, y0, y1] = hand === 'left' ? [0, l, 0, w] : [l, l + w, w - l, w];
        const corners = [
          [x0, y0],
          [x1, y0],
          [x1, y1],
          [x0, y1],
        ].map(([x, y]): PointMm => {
          const { xMm, yMm } = turned(x! + ox, y! + oy);
          return { xMm: xMm + offsetMm, yMm: yMm + tipMm };
        });
        const [vLow, vHigh] = [Math.min(...corners.map(({ yMm }) => yMm)), Math.max(...corners.map(({ yMm }) => yMm))];
        const [uLow, uHigh] = [Math.min(...corners.map(({ xMm }) => xMm)), Math.max(...corners.map(({ xMm }) => xMm))];
        if (vHigh < lowV || vLow > highV || uHigh < lowU || uLow > highU) continue;
        const parts = isClear(region, [uLow, uHigh, vLow, vHigh])
          ? [regionOf(corners)[0]!]
          : common(region, regionOf(corners));
        for (const part of parts) {
          const areaM2 = regionAreaM2([part]);
          if (areaM2 >= CRUMB_M2) laid.push(staveOf(hand, part, areaM2, corners, { l, w }));
        }
      }
    }
  }
  return laid;
}

/** Whether a box lies inside a region, no edge of which comes near it: most staves do, and need not be cut to find out. */
function isClear(region: Region, [uLow, uHigh, vLow, vHigh]: [number, number, number, number]): boolean {
  const [u, v] = [(uLow + uHigh) / 2, (vLow + vHigh) / 2];
  let isInside = false;
  for (const part of region)
    for (const ring of part)
      for (let k = 0, j = ring.length - 1; k < ring.length; j = k++) {
        const [[au, av], [bu, bv]] = [ring[j]!, ring[k]!];
        if (
          Math.max(au, bu) >= uLow &&
          Math.min(au, bu) <= uHigh &&
          Math.max(av, bv) >= vLow &&
          Math.min(av, bv) <= vHigh
        )
          return false;
        if (av > v !== bv > v && u < au + ((v - av) * (bu - au)) / (bv - av)) isInside = !isInside;
      }
  return isInside;
}

/** What a piece keeps of its stave: told by which of the stave's two ends it still has over its whole width. */
function staveOf(
  hand: StaveHand,
  part: RegionPart,
  areaM2: number,
  corners: readonly PointMm[],
  { l, w }: { l: number; w: number },
): LaidStave {
  const isWhole = areaM2 > (l * w) / 1e6 - HAIR_M2;
  const centreMm = (areaM2 * 1e6) / w;
  // Along the stave: from its first corner to its second for left ones, to its fourth for right ones.
  const [from, to] = hand === 'left' ? [corners[0]!, corners[1]!] : [corners[0]!, corners[3]!];
  const [ex, ey] = [(to.xMm - from.xMm) / l, (to.yMm - from.yMm) / l];
  const inStave = part[0]!.map(([x, y]): [number, number] => {
    const [dx, dy] = [x - from.xMm, y - from.yMm];
    return [dx * ex + dy * ey, dy * ex - dx * ey];
  });
  const nearEnd = inStave.filter(([at]) => at < END_MM).length;
  const farEnd = inStave.filter(([at]) => at > l - END_MM).length;
  const keeps = nearEnd >= 2 && farEnd === 0 ? 'near' : farEnd >= 2 && nearEnd === 0 ? 'far' : null;
  const free = inStave.filter(([at]) => at >= END_MM && at <= l - END_MM);
  // By its sign as well: cuts that lean the other way do not lie on one another.
  const [a, b] = free;
  const cutSlope = keeps && part.length === 1 && free.length === 2 ? (a![0] - b![0]) / (a![1] - b![1]) : Number.NaN;
  return { hand, part, isWhole, centreMm, keeps: Number.isNaN(cutSlope) ? null : keeps, cutSlope };
}

/** Within so much of a stave's end is at it, mm. */
const END_MM = 0.5;
/** Cut slopes that differ by less are one saw setting. */
const SLOPE = 0.05;

/** Staves for cut pieces of one hand: two share one if they keep different ends, are cut at the same slope, and fit with the cut between them. */
export function stavesFor(pieces: readonly LaidStave[], { lengthMm, kerfMm }: Stave): number {
  const near = pieces.filter(({ keeps }) => keeps === 'near').sort((a, b) => b.centreMm - a.centreMm);
  const far = pieces.filter(({ keeps }) => keeps === 'far').sort((a, b) => b.centreMm - a.centreMm);
  const used = new Set<LaidStave>();
  let pairs = 0;
  for (const one of near) {
    const room = lengthMm - kerfMm * Math.SQRT2 - one.centreMm + 1e-6;
    const other = far.find(
      (piece) => !used.has(piece) && piece.centreMm <= room && Math.abs(piece.cutSlope - one.cutSlope) < SLOPE,
    );
    if (!other) continue;
    used.add(other);
    pairs++;
  }
  return pieces.length - pairs;
}

/** Offsets along the axis that are tried. */
const OFFSETS = 6;

/** Herringbone over a region with its tips on a line, at the offset that takes the fewest staves. */
export function planHerringbone(region: Region, stave: Stave, middleMm: number): HerringbonePlan | null {
  const step = stave.widthMm * Math.SQRT2;
  const plans = Array.from({ length: OFFSETS }, (_, k) =>
    herringboneAt(region, stave, (step * k) / OFFSETS, middleMm - tipBesideMm(stave.widthMm)),
  );
  const staves = ({ bought: { left, right } }: HerringbonePlan) => left.whole + left.cut + right.whole + right.cut;
  return plans.reduce<HerringbonePlan | null>(
    (best, one) => (one && (!best || staves(one) < staves(best)) ? one : best),
    null,
  );
}

/** Herringbone at one offset, with its tips on a line across the region. */
export function herringboneAt(region: Region, stave: Stave, offsetMm: number, tipMm: number): HerringbonePlan | null {
  const staves = laidStaves(region, stave, offsetMm, tipMm);
  if (staves.length === 0) return null;
  const of = (hand: StaveHand) => {
    const own = staves.filter((one) => one.hand === hand);
    const whole = own.filter(({ isWhole }) => isWhole).length;
    return {
      whole,
      cut: stavesFor(
        own.filter(({ isWhole }) => !isWhole),
        stave,
      ),
    };
  };
  const bought = { left: of('left'), right: of('right') };
  const count = bought.left.whole + bought.left.cut + bought.right.whole + bought.right.cut;
  const waste = 1 - (regionAreaM2(region) * 1e6) / (count * stave.lengthMm * stave.widthMm);
  return { staves, bought, waste, offsetMm };
}
