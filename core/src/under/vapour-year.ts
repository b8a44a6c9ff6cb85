import { passing, placesIn, type FaceR, type MonthAir, type PlaceInFloor, type VapourLayer } from './vapour-layers.ts';

/** One month of the year as it comes back every year. */
export interface VapourMonth {
  /** Air at every place, from the face below to the face above: percent of what would be saturated. */
  rh: number[];
  c: number[];
  /** Water held at every place at its end, g/m². */
  heldG: number[];
}

/** A year of a floor: month by month, January first, once it comes back the same, or after three of them. */
export interface VapourYear {
  months: VapourMonth[];
  /** The most water held at one time at one place, g/m², and where; null where none ever is. */
  peak: { heldG: number; place: number; month: number } | null;
  /** At the end of some month nothing is held anywhere. */
  dries: boolean;
  /** There is more at the end of a year than there was at its beginning. */
  grows: boolean;
}

export const MONTH_S: readonly number[] = [31, 28, 31, 30, 31, 30, 31, 31, 30, 31, 30, 31].map((days) => days * 86_400);
const YEARS_MOST = 3;
/** Two years within so much of one another are the same, g/m². */
const SAME_G = 0.01;
/** Less than this is no water, g/m². */
const DRY_G = 1e-6;
const G_PER_KG = 1000;

/**
 * Water that comes together in a floor over the year and leaves it again. It begins where
 * nothing is held: at the first month in which water comes together after one in which none does. A place that falls dry within a
 * month is let go from that moment on.
 */
export function vapourYear(layers: readonly VapourLayer[], air: readonly MonthAir[], face: FaceR): VapourYear {
  const places = air.map((month) => placesIn(layers, month, face));
  const wetFrom = (month: number) => passing(places[month]!, air[month]!, () => false).rate.some((rate) => rate > 0);
  const start = Math.max(
    0,
    air.findIndex((_, month) => wetFrom(month) && !wetFrom((month + 11) % 12)),
  );
  let held = places[0]!.map(() => 0);
  let months: VapourMonth[] = [];
  let [begun, grows] = [held, false];
  for (let year = 0; year < YEARS_MOST; year++) {
    begun = held;
    const made: VapourMonth[] = [];
    for (let k = 0; k < 12; k++) {
      const month = (start + k) % 12;
      const { after, pa } = monthOn(places[month]!, air[month]!, held, MONTH_S[month]!);
      held = after;
      made[month] = {
        rh: pa.map((p, at) => (100 * p) / places[month]![at]!.saturationPa),
        c: places[month]!.map(({ c }) => c),
        heldG: held,
      };
    }
    months = made;
    grows = sumOf(held) > sumOf(begun) + SAME_G;
    if (held.every((g, at) => Math.abs(g - begun[at]!) <= SAME_G)) break;
  }
  return { months, peak: peakOf(months), dries: months.some(({ heldG }) => sumOf(heldG) <= DRY_G), grows };
}

const sumOf = (all: readonly number[]) => all.reduce((sum, one) => sum + one, 0);

function peakOf(months: readonly VapourMonth[]): VapourYear['peak'] {
  let peak: VapourYear['peak'] = null;
  months.forEach(({ heldG }, month) =>
    heldG.forEach((g, place) => {
      if (g > DRY_G && (!peak || g > peak.heldG)) peak = { heldG: g, place, month };
    }),
  );
  return peak;
}

/** One month from what is held at its beginning: until a place falls dry, then on with what is left. */
function monthOn(places: readonly PlaceInFloor[], air: MonthAir, before: readonly number[], seconds: number) {
  const held = [...before];
  let left = seconds;
  let now = passing(places, air, (place) => held[place]! > DRY_G);
  // Every round lets go of one place at least, or ends the month.
  while (left > 0) {
    const gS = now.rate.map((rate) => rate * G_PER_KG);
    const dryIn = Math.min(...gS.map((rate, at) => (rate < 0 && held[at]! > DRY_G ? held[at]! / -rate : Infinity)));
    const step = Math.min(left, dryIn);
    gS.forEach((rate, at) => {
      const after = held[at]! + rate * step;
      held[at] = after > DRY_G ? after : 0;
    });
    left -= step;
    if (left > 0) now = passing(places, air, (place) => held[place]! > DRY_G);
  }
  return { after: held, pa: now.pa };
}
