import { cutList, planBond, type Bond, type FloorPlan } from '../setout/index.ts';
import type { LayGround } from './lay-ground.ts';

/** A piece beside a wall that a bond leaves shorter than the card asks. */
export interface ShortEnd {
  row: number;
  shortMm: number;
}

/** The same rows with their joints in a bond; its short ends are told, and nothing else is moved for them. */
export function bondPlan(
  { plank }: LayGround,
  floor: FloorPlan,
  bond: Bond,
): { floor: FloorPlan; shortEnds: ShortEnd[] } | null {
  const found = planBond(floor.strips, plank, bond);
  if (!found) return null;
  const cuts = cutList(floor.strips, found.divisions, plank);
  const laidMm2 = floor.strips.reduce((sum, { areaM2 }) => sum + areaM2 * 1e6, 0);
  return {
    floor: {
      ...floor,
      rows: { divisions: found.divisions, planks: found.planks, breaches: [] },
      cuts,
      // Rows in a bond are bounded by their area and lengths as any others are.
      bound: { longest: floor.bound.area, rows: floor.bound.area, area: floor.bound.area },
      waste: 1 - laidMm2 / (cuts.planks.length * plank.lengthMm * plank.widthMm),
    },
    shortEnds: found.shortEnds.map(({ strip, shortMm }) => ({ row: floor.strips[strip]!.row + 1, shortMm })),
  };
}
