import { divide, type Division } from './division.ts';
import { piecesOf } from './pieces.ts';
import type { LaidPlank } from './plank.ts';
import { rowsCount } from './rows-count.ts';
import type { RowStrip } from './rows.ts';

/** Joints that shift by a half or by a third of a plank from row to row. */
export type Bond = 'half' | 'third';

export interface BondPlan {
  divisions: Division[];
  planks: number;
  /** Strips with a piece beside a wall that is shorter than it may be: a bond leaves it no choice. */
  shortEnds: { strip: number; shortMm: number }[];
  /** Where the joints of the first row lie, from the left end of the floor. */
  offsetMm: number;
}

const SHARE: Record<Bond, number> = { half: 1 / 2, third: 1 / 3 };
/** How finely the one free offset is looked for, mm. */
const OFFSET_MM = 2;
const HAIR = 1e-6;

/** Whether a plank's own stagger lets it be laid so: a third of it may be too little. */
export const mayBond = ({ lengthMm, staggerMm }: LaidPlank, bond: Bond): boolean =>
  lengthMm * SHARE[bond] >= staggerMm - HAIR;

/** A strip whose joints lie at a place and every plank's length from it; short ends are left as they come. */
function divided({ fromMm, toMm }: RowStrip, jointMm: number, plank: LaidPlank): Division {
  const { lengthMm: len } = plank;
  const lengthMm = toMm - fromMm;
  const off = (((jointMm - fromMm) % len) + len) % len;
  const startMm = off < HAIR ? len : off;
  if (startMm >= lengthMm - HAIR) return { startMm: lengthMm, wholes: 0, endMm: 0 };
  return divide(lengthMm, startMm, { ...plank, leastEndMm: 0 })!;
}

/**
 * A bond over all strips: one offset moves every joint of the floor, and the one with the fewest short ends, then the fewest planks, is taken. Null where the plank's stagger forbids it.
 */
export function planBond(strips: readonly RowStrip[], plank: LaidPlank, bond: Bond): BondPlan | null {
  if (strips.length === 0 || !mayBond(plank, bond)) return null;
  const left = Math.min(...strips.map(({ fromMm }) => fromMm));
  const shift = plank.lengthMm * SHARE[bond];
  const count = rowsCount(strips, plank);
  let best: BondPlan | null = null;
  for (let offsetMm = 0; offsetMm < plank.lengthMm; offsetMm += OFFSET_MM) {
    const divisions = strips.map((strip) => divided(strip, left + offsetMm + strip.row * shift, plank));
    divisions.forEach((division, k) => count.set(k, piecesOf(division, plank)));
    const shortEnds = divisions.flatMap(({ startMm, endMm }, strip) => {
      const shortMm = endMm === 0 ? 0 : plank.leastEndMm - Math.min(startMm, endMm);
      return shortMm > HAIR ? [{ strip, shortMm }] : [];
    });
    const planks = count.planks();
    const isBetter =
      best === null ||
      shortEnds.length < best.shortEnds.length ||
      (shortEnds.length === best.shortEnds.length && planks < best.planks);
    if (isBetter) best = { divisions, planks, shortEnds, offsetMm };
  }
  return best;
}
