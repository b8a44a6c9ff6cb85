import type { LeafNeed } from './leaf.ts';

/** What comes off the underside of a leaf, mm, at the hinge and at the latch. */
export interface LeafCut {
  hingeMm: number;
  latchMm: number;
}

/** A tapered cut is offered where one end keeps so much more wood, mm. */
const WORTH_TAPERING_MM = 3;

/** The same all along: the most that is missing anywhere. */
export function parallelCut(need: readonly LeafNeed[]): LeafCut {
  const most = Math.max(0, ...need.map(({ needMm }) => needMm));
  return { hingeMm: most, latchMm: most };
}

/**
 * The straight cut that takes off the least on the whole: the line over all that is missing, nowhere below nothing, lowest in
 * the middle of the leaf. That is the edge of the upper hull over the middle.
 */
export function taperedCut(need: readonly LeafNeed[], widthMm: number): LeafCut {
  const ends: LeafNeed[] = [
    { fromHingeMm: 0, needMm: 0 },
    { fromHingeMm: widthMm, needMm: 0 },
  ];
  const hull = upperHull([...need, ...ends]);
  const middle = widthMm / 2;
  const after = hull.findIndex(({ fromHingeMm }) => fromHingeMm >= middle);
  const [a, b] = [hull[Math.max(0, after - 1)]!, hull[after]!];
  const slope = b.fromHingeMm === a.fromHingeMm ? 0 : (b.needMm - a.needMm) / (b.fromHingeMm - a.fromHingeMm);
  return { hingeMm: a.needMm - slope * a.fromHingeMm, latchMm: a.needMm + slope * (widthMm - a.fromHingeMm) };
}

/** Whether tapering keeps enough wood at one end to be worth setting up. */
export function worthTapering(parallel: LeafCut, { hingeMm, latchMm }: LeafCut): boolean {
  return Math.min(hingeMm, latchMm) <= parallel.hingeMm - WORTH_TAPERING_MM;
}

/** The upper hull of points from the hinge to the latch. */
function upperHull(points: readonly LeafNeed[]): LeafNeed[] {
  const hull: LeafNeed[] = [];
  const sorted = [...points].sort((a, b) => a.fromHingeMm - b.fromHingeMm || b.needMm - a.needMm);
  for (const point of sorted) {
    if (hull.at(-1)?.fromHingeMm === point.fromHingeMm) continue;
    while (hull.length > 1 && !turnsDown(hull.at(-2)!, hull.at(-1)!, point)) hull.pop();
    hull.push(point);
  }
  return hull;
}

const turnsDown = (a: LeafNeed, b: LeafNeed, c: LeafNeed) =>
  (b.needMm - a.needMm) * (c.fromHingeMm - b.fromHingeMm) > (c.needMm - b.needMm) * (b.fromHingeMm - a.fromHingeMm);
