import type { PointMm } from '../room/index.ts';

/** A door leaf as it swings over the floor: its hinge on the plan, where it points when closed and how far it opens. */
export interface LeafSwing {
  hinge: PointMm;
  /** Direction of the closed leaf, degrees on the plan; it turns by `openDeg` from there, anticlockwise positive. */
  closedDeg: number;
  openDeg: number;
  widthMm: number;
  /** Underside at the hinge and at the latch, mm over the datum. */
  hingeMm: number;
  latchMm: number;
}

/** Level of what a leaf passes over at a place, mm over the datum: floor, bar or rug; null where nobody knows. */
export type LevelUnder = (xMm: number, yMm: number) => number | null;

/** What a leaf leaves over the floor in its swing. */
export interface LeafClearance {
  leastMm: number;
  /** Where that is: how far from the hinge, and how far open. */
  fromHingeMm: number;
  atDeg: number;
  /** The least with the leaf closed, and the mean of it, mm. */
  closedMm: number;
  closedMeanMm: number;
  /** How far open the leaf first touches, degrees; null where it swings free. */
  bindsDeg: number | null;
  /** What is missing of the clearance wanted, at each distance from the hinge, mm. */
  need: LeafNeed[];
  /** Share of the swing over which no level is known. */
  unknownShare: number;
}

export interface LeafNeed {
  fromHingeMm: number;
  needMm: number;
}

/** Samples along the leaf and along the arc are no farther apart than this, mm. */
const SAMPLE_MM = 25;
/** The least clearance is sought on between samples until it is known to this, mm. */
const FINE_MM = 0.5;

/**
 * Clearance of a leaf over its whole swing: its underside, straight from hinge to latch, less what lies beneath. Sampled every
 * 25 mm and at places given (the map's nodes), then sought on from the least sample. Null where no level is known at all.
 */
export function leafClearance(
  leaf: LeafSwing,
  under: LevelUnder,
  wantedMm: number,
  places: readonly PointMm[] = [],
): LeafClearance | null {
  const { widthMm, openDeg } = leaf;
  const clear = (fromHingeMm: number, deg: number) => clearanceAt(leaf, under, fromHingeMm, deg);
  const radii = evenly(widthMm, Math.ceil(widthMm / SAMPLE_MM));
  const arcMm = (Math.abs(openDeg) * Math.PI * widthMm) / 180;
  const turns = evenly(Math.abs(openDeg), Math.max(1, Math.ceil(arcMm / SAMPLE_MM)));
  const needs = radii.map((fromHingeMm): LeafNeed => ({ fromHingeMm, needMm: 0 }));
  let least = { mm: Infinity, r: 0, deg: 0 };
  let [asked, unknown, bindsDeg] = [0, 0, null as number | null];
  const closed: number[] = [];
  const hear = (r: number, deg: number, mm: number) => {
    if (mm < least.mm) least = { mm, r, deg };
    if (mm < 0 && (bindsDeg === null || deg < bindsDeg)) bindsDeg = deg;
    return Math.max(0, wantedMm - mm);
  };
  for (const deg of turns)
    radii.forEach((r, at) => {
      asked++;
      const mm = clear(r, deg);
      if (mm === null) return void unknown++;
      needs[at]!.needMm = Math.max(needs[at]!.needMm, hear(r, deg, mm));
      if (deg === 0) closed.push(mm);
    });
  for (const place of places) {
    const at = seenFromHinge(leaf, place);
    const mm = at && clear(at.fromHingeMm, at.deg);
    if (at && mm !== null) needs.push({ fromHingeMm: at.fromHingeMm, needMm: hear(at.fromHingeMm, at.deg, mm!) });
  }
  if (least.mm === Infinity) return null;
  const finest = soughtOn(least, clear, leaf);
  needs.push({ fromHingeMm: finest.r, needMm: hear(finest.r, finest.deg, finest.mm) });
  return {
    leastMm: finest.mm,
    fromHingeMm: finest.r,
    atDeg: finest.deg,
    closedMm: Math.min(...closed),
    closedMeanMm: closed.reduce((sum, mm) => sum + mm, 0) / closed.length,
    bindsDeg,
    need: needs.sort((a, b) => a.fromHingeMm - b.fromHingeMm),
    unknownShare: unknown / asked,
  };
}

/** Clearance at a distance from the hinge with the leaf so far open, mm. */
function clearanceAt(leaf: LeafSwing, under: LevelUnder, fromHingeMm: number, deg: number): number | null {
  const angle = ((leaf.closedDeg + Math.sign(leaf.openDeg || 1) * deg) * Math.PI) / 180;
  const level = under(leaf.hinge.xMm + fromHingeMm * Math.cos(angle), leaf.hinge.yMm + fromHingeMm * Math.sin(angle));
  if (level === null) return null;
  return leaf.hingeMm + ((leaf.latchMm - leaf.hingeMm) * fromHingeMm) / leaf.widthMm - level;
}

/** A place of the plan as the leaf meets it, or null where it never does. */
function seenFromHinge(leaf: LeafSwing, { xMm, yMm }: PointMm): { fromHingeMm: number; deg: number } | null {
  const [dx, dy] = [xMm - leaf.hinge.xMm, yMm - leaf.hinge.yMm];
  const fromHingeMm = Math.hypot(dx, dy);
  if (fromHingeMm > leaf.widthMm) return null;
  const turned = ((Math.atan2(dy, dx) * 180) / Math.PI - leaf.closedDeg) * Math.sign(leaf.openDeg || 1);
  const deg = ((turned % 360) + 360) % 360;
  return deg <= Math.abs(leaf.openDeg) ? { fromHingeMm, deg } : null;
}

interface Sample {
  mm: number;
  r: number;
  deg: number;
}

/** From the least sample on to the least there is about it: the best of eight neighbours, in steps that halve. */
function soughtOn(
  from: Sample,
  clear: (r: number, deg: number) => number | null,
  { widthMm, openDeg }: LeafSwing,
): Sample {
  let best = from;
  for (let stepMm = SAMPLE_MM / 2; stepMm >= FINE_MM / 2;) {
    const stepDeg = (stepMm / Math.max(best.r, SAMPLE_MM)) * (180 / Math.PI);
    let next = best;
    for (const along of [-1, 0, 1])
      for (const round of [-1, 0, 1]) {
        const r = within(best.r + along * stepMm, widthMm);
        const deg = within(best.deg + round * stepDeg, Math.abs(openDeg));
        const mm = clear(r, deg);
        if (mm !== null && mm < next.mm) next = { mm, r, deg };
      }
    if (next === best) stepMm /= 2;
    best = next;
  }
  return best;
}

const within = (value: number, most: number) => Math.min(most, Math.max(0, value));

/** From 0 to a length in so many even parts. */
const evenly = (length: number, parts: number) => Array.from({ length: parts + 1 }, (_, k) => (length * k) / parts);
