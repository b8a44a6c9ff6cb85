import { planFloor, planMixed, type FloorPlan, type MixedPlan } from '../setout/index.ts';
import { floorAsk, type LayOptions } from './lay-ask.ts';
import type { LayGround } from './lay-ground.ts';

/** Boxes of planks of several lengths, and how many of each length are laid. */
export type MixedBoxes = Pick<MixedPlan, 'boxes' | 'leastBoxes' | 'used'> & { inBox: number; spare: number };

/** One width and hand of trying for every pace: a row that lies has to be the row of the plan that is shown. */
const CARRIED = 16;
const DRAWN = 30;

/** A floor of planks of several lengths; null where its card names one length only, or no row can be laid from what its boxes hold. */
export function mixedPlan(ground: LayGround, options: LayOptions): { floor: FloorPlan; mixed: MixedBoxes } | null {
  const { set, plank, zones, figure } = ground;
  const mix = set.card.mixedLengths;
  if (mix.length === 0) return null;
  const floor = planFloor({ ...floorAsk(ground, options), laid: [], firsts: 1, rounds: [1] });
  const found = floor && planMixed({ strips: floor.strips, plank, mix, zones, carried: CARRIED, drawn: DRAWN });
  if (!floor || !found) return null;
  const inBox = mix.reduce((sum, one) => sum + one.inBox, 0);
  const planks = found.cuts.planks.length;
  const spare = Math.max(1, Math.ceil((planks * figure('spare-pct')) / 100 - 1e-9));
  const boughtMm2 = found.cuts.planks.reduce((sum, { lengthMm }) => sum + lengthMm * plank.widthMm, 0);
  const laidMm2 = floor.strips.reduce((sum, { areaM2 }) => sum + areaM2 * 1e6, 0);
  const laid = new Set(set.laidRows.map(({ row, strip }) => `${row}/${strip}`));
  const at = new Map<number, number>();
  const held = floor.strips.flatMap(({ row }, k) => {
    const strip = (at.get(row) ?? 0) + 1;
    at.set(row, strip);
    return laid.has(`${row + 1}/${strip}`) ? [k] : [];
  });
  const boxes = Math.max(found.boxes, Math.ceil((planks + spare) / inBox));
  return {
    floor: {
      ...floor,
      rows: { divisions: found.divisions, planks, breaches: found.breaches },
      held: new Set(held),
      cuts: found.cuts,
      // Planks of several lengths have no fewest number: boxes have.
      bound: { longest: 0, rows: 0, area: 0 },
      waste: 1 - laidMm2 / boughtMm2,
    },
    mixed: { boxes, leastBoxes: found.leastBoxes, used: found.used, inBox, spare },
  };
}
