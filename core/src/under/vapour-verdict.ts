import { saturationPa, vapourPa } from './saturation.ts';
import { placesIn, type FaceR, type MonthAir, type VapourLayer } from './vapour-layers.ts';
import { MONTH_S, vapourYear, type VapourYear } from './vapour-year.ts';

/** What a year of vapour says of a floor, the worst that holds. The method warns; it never proves. */
export type VapourWord = 'open' | 'warning' | 'work' | 'refused';

/** Limits a year is held against; each may be set by the job. */
export interface VapourLimits {
  /** Water that may come together at one place and leave again, g/m². */
  mostG: number;
  /** Wood stays under this, percent RH. */
  woodRh: number;
  /** What wet wood has to be able to give off in a year, g/m². */
  reserveG: number;
}
export const USUAL_VAPOUR: VapourLimits = { mostG: 200, woodRh: 80, reserveG: 100 };

/** Vapour wet wood gives off through a metre of air for each Pa, g/(m s Pa). */
const AIR_G = 2e-7;

export interface VapourVerdict {
  word: VapourWord;
  why: 'none' | 'condenses' | 'wood-damp' | 'too-much' | 'stays' | 'grows' | 'no-way-out';
  year: VapourYear;
  /** The dampest the air is at a face of any wood, and in how many months it is over the limit; null without wood. */
  wood: { rh: number; month: number; monthsOver: number } | null;
  reserve: DryingReserve | null;
}

/** What wet wood could give off in a year to either side, g/m². */
export interface DryingReserve {
  belowG: number;
  aboveG: number;
}

/** What a floor's wood could give off in a year: from its middle to each side, in every month in which it is driven there. */
export function dryingReserve(
  layers: readonly VapourLayer[],
  air: readonly MonthAir[],
  face: FaceR,
  wood: number,
): DryingReserve {
  const halves: VapourLayer[] = layers.flatMap((layer, k) => {
    if (k !== wood) return [layer];
    const half = { ...layer, rM2KW: layer.rM2KW / 2, sdM: layer.sdM / 2 };
    return [half, half];
  });
  const reserve: DryingReserve = { belowG: 0, aboveG: 0 };
  air.forEach((month, m) => {
    const places = placesIn(halves, month, face);
    const middle = places[wood + 1]!;
    const sides = [
      { side: 'belowG' as const, pa: vapourPa(month.below), sdM: middle.atSdM },
      { side: 'aboveG' as const, pa: vapourPa(month.above), sdM: places.at(-1)!.atSdM - middle.atSdM },
    ];
    for (const { side, pa, sdM } of sides)
      reserve[side] += (AIR_G * MONTH_S[m]! * Math.max(0, saturationPa(middle.c) - pa)) / sdM;
  });
  return reserve;
}

/**
 * A floor over the year: whether water comes together in it and leaves again, how damp its wood gets, and whether wood that gets
 * wet once can dry. Layers from below; air by months, January first.
 */
export function vapourVerdict(
  layers: readonly VapourLayer[],
  air: readonly MonthAir[],
  face: FaceR,
  limits: VapourLimits = USUAL_VAPOUR,
): VapourVerdict {
  const year = vapourYear(layers, air, face);
  const woods = layers.flatMap(({ isWood }, k) => (isWood ? [k] : []));
  const wood = woods.length === 0 ? null : dampestWood(year, woods, limits.woodRh);
  // The wood that lies lowest carries the floor.
  const reserve = woods.length === 0 ? null : dryingReserve(layers, air, face, woods[0]!);
  const told = { year, wood, reserve };
  const peakG = year.peak?.heldG ?? 0;
  if (year.grows) return { ...told, word: 'refused', why: 'grows' };
  if (peakG > 0 && !year.dries) return { ...told, word: 'refused', why: 'stays' };
  if (peakG > limits.mostG) return { ...told, word: 'refused', why: 'too-much' };
  if (reserve && reserve.belowG + reserve.aboveG < limits.reserveG)
    return { ...told, word: 'refused', why: 'no-way-out' };
  if (wood && wood.monthsOver > 0) return { ...told, word: 'work', why: 'wood-damp' };
  if (peakG > 0) return { ...told, word: 'warning', why: 'condenses' };
  return { ...told, word: 'open', why: 'none' };
}

/** Wood is as damp as the air at its faces. */
function dampestWood({ months }: VapourYear, woods: readonly number[], limitRh: number): VapourVerdict['wood'] {
  const by = months.map(({ rh }) => Math.max(...woods.flatMap((k) => [rh[k]!, rh[k + 1]!])));
  const rh = Math.max(...by);
  return { rh, month: by.indexOf(rh), monthsOver: by.filter((one) => one > limitRh).length };
}
