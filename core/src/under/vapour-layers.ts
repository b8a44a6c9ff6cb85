import { saturationPa, vapourPa, type SideAir } from './saturation.ts';

/** A layer of a floor as heat and vapour pass through it, from below. */
export interface VapourLayer {
  id: string;
  /** Resistance to heat, m²K/W. */
  rM2KW: number;
  /** Air layer that holds vapour back as much, m. */
  sdM: number;
  isWood: boolean;
}

/** Air on both sides of a floor in one month. */
export interface MonthAir {
  below: SideAir;
  above: SideAir;
}

/** Resistance to heat between a floor's face and the air before it, m²K/W; none towards the ground. */
export interface FaceR {
  belowM2KW: number;
  aboveM2KW: number;
}
export const INSIDE_R = 0.17;
export const CRAWL_R = 0.17;

/** Vapour passes a square metre of air a metre thick at so much for each Pa, kg/(m s Pa). */
export const AIR_KG_M_S_PA = 2e-10;

/** Thickness of air a layer is as tight as, m: its mu by its thickness in metres. */
export const sdOf = (mu: number, thicknessMm: number): number => (mu * thicknessMm) / 1000;

/** What a layer counts that is open in part: joints, holes, laps that are not taped. A hundredth of it decides more than the rest. */
export const sdWithOpen = (sdM: number, openShare: number, openSdM: number): number =>
  1 / ((1 - openShare) / sdM + openShare / openSdM);

/** A place between two layers, or at a face, with what air would be there in one month. */
export interface PlaceInFloor {
  /** From the face below, m of sd. */
  atSdM: number;
  c: number;
  saturationPa: number;
}

/** A layer without any resistance to vapour is taken as a hair of air, so that no two places coincide, m. */
const LEAST_SD_M = 1e-6;

/** The face below, every place between layers, and the face above, with their temperatures: linear in what holds the heat. */
export function placesIn(layers: readonly VapourLayer[], { below, above }: MonthAir, face: FaceR): PlaceInFloor[] {
  const totalR = face.belowM2KW + layers.reduce((sum, { rM2KW }) => sum + rM2KW, 0) + face.aboveM2KW;
  let [r, atSdM] = [face.belowM2KW, 0];
  const place = (): PlaceInFloor => {
    const c = below.c + (totalR === 0 ? 0 : ((above.c - below.c) * r) / totalR);
    return { atSdM, c, saturationPa: saturationPa(c) };
  };
  return [
    place(),
    ...layers.map(({ rM2KW, sdM }) => {
      r += rM2KW;
      atSdM += Math.max(LEAST_SD_M, sdM);
      return place();
    }),
  ];
}

/** Vapour through a floor at one moment: pressure at every place, and what comes together or leaves there, kg/(m² s). */
export interface Passing {
  pa: number[];
  rate: number[];
}

/**
 * Pressure over the cumulated sd: the lower hull of both ends and of what is saturated at the places between; where water is held the
 * air stays saturated. What comes together at a place is 2e-10 by the kink of the slope there, below nothing where water leaves.
 */
export function passing(
  places: readonly PlaceInFloor[],
  { below, above }: MonthAir,
  isWet: (place: number) => boolean,
): Passing {
  const last = places.length - 1;
  const most = places.map((place, k) =>
    k === 0 ? vapourPa(below) : k === last ? vapourPa(above) : place.saturationPa,
  );
  const slope = (a: number, b: number) => (most[b]! - most[a]!) / (places[b]!.atSdM - places[a]!.atSdM);
  const on: number[] = [];
  places.forEach((_, k) => {
    // A place that holds water is on the line whatever lies about it; all others only where the hull comes down to them.
    while (on.length > 1 && !isWet(on.at(-1)!) && slope(on.at(-2)!, on.at(-1)!) >= slope(on.at(-1)!, k)) on.pop();
    on.push(k);
  });
  const pa = places.map(({ atSdM }, k) => {
    const after = on.findIndex((at) => at >= k);
    const [a, b] = [on[Math.max(0, after - 1)]!, on[after]!];
    return a === b ? most[a]! : most[a]! + slope(a, b) * (atSdM - places[a]!.atSdM);
  });
  const rate = places.map((_, k) => {
    const at = on.indexOf(k);
    return at <= 0 || at === on.length - 1 ? 0 : AIR_KG_M_S_PA * (slope(k, on[at + 1]!) - slope(on[at - 1]!, k));
  });
  return { pa, rate };
}
