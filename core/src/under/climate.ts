import { saturationPa, vapourPa, type SideAir } from './saturation.ts';
import type { MonthAir } from './vapour-layers.ts';

/** Air outside by months, January first, °C: the yearly mean and half of what it swings, coldest in the middle of January. */
export const outsideYear = (meanC: number, swingC: number): number[] =>
  Array.from({ length: 12 }, (_, month) => meanC - swingC * Math.cos((2 * Math.PI * month) / 12));

const COLD = { c: -10, rh: 30 };
const WARM = { c: 20, rh: 60 };
const CROWDED_RH = 10;

/** Air inside where nothing was read: 20 °C, and as damp as it usually is with that air outside; more where many live. */
export function insideAir(outsideC: number, isCrowded = false): SideAir {
  const share = Math.min(1, Math.max(0, (outsideC - COLD.c) / (WARM.c - COLD.c)));
  return { c: 20, rh: COLD.rh + share * (WARM.rh - COLD.rh) + (isCrowded ? CROWDED_RH : 0) };
}

/** Air in a crawl space: a little warmer than outside, and damp unless its ground is covered. */
export const crawlAir = (outsideC: number, isCovered: boolean, towardsInside = 0.25): SideAir => ({
  c: outsideC + towardsInside * (20 - outsideC),
  rh: isCovered ? 70 : 90,
});

/** The ground under a slab: all year as warm as the year is on average and a degree more, and saturated. */
export const groundAir = (outsideC: readonly number[]): SideAir => ({
  c: outsideC.reduce((sum, c) => sum + c, 0) / outsideC.length + 1,
  rh: 100,
});

/** Air in an unheated room beneath: between the room and outside, holding as much water as the room does and no more than it can. */
export function unheatedAir(outsideC: number, inside: SideAir, towardsInside = 0.5): SideAir {
  const c = outsideC + towardsInside * (inside.c - outsideC);
  return { c, rh: Math.min(100, (100 * vapourPa(inside)) / saturationPa(c)) };
}

export type Beneath = 'crawl' | 'covered-crawl' | 'ground' | 'heated';

/** Months of a floor over what lies beneath it, where nothing was read. */
export function usualMonths(outsideC: readonly number[], beneath: Beneath, isCrowded = false): MonthAir[] {
  const ground = groundAir(outsideC);
  return outsideC.map((c) => {
    const above = insideAir(c, isCrowded);
    const below =
      beneath === 'ground' ? ground : beneath === 'heated' ? above : crawlAir(c, beneath === 'covered-crawl');
    return { below, above };
  });
}
