/** What a heated floor is reckoned with; each may be set by the job. */
export interface HeatedRules {
  roomC: number;
  /** The covering's surface may be so warm, °C. */
  mostSurfaceC: number;
  /** Screed over the pipes, m²K/W. */
  screedR: number;
  /** Half of what the water cools by on its way, K. */
  halfDropK: number;
  /** A rug on the floor, m²K/W. */
  rugR: number;
}
export const USUAL_HEATED: HeatedRules = { roomC: 20, mostSurfaceC: 27, screedR: 0.06, halfDropK: 2.5, rugR: 0.1 };

/** Sum of all resistances above the heating, m²K/W: more than this it does not warm the room. */
export const MOST_R = 0.15;
/** q = 8.92 (surface - room)^1.1, W/m²: what a floor gives off (EN 1264). */
const GIVEN_OFF = 8.92;
const POWER = 1.1;

/** What a floor gives off, W/m², with its surface so much warmer than the room. */
export const givenOffW = (overK: number): number => GIVEN_OFF * Math.max(0, overK) ** POWER;

/** How warm its surface has to be for that, °C. */
export const surfaceC = (qW: number, roomC: number): number => roomC + (Math.max(0, qW) / GIVEN_OFF) ** (1 / POWER);

export interface HeatedFloor {
  /** Covering, underlay and panel together, m²K/W. */
  sumR: number;
  holds: boolean;
  surfaceC: number;
  /** Mean of the water, and of what leaves the boiler, for the heat that is wanted, °C. */
  waterC: number;
  flowC: number;
  /** The most both may be without the surface getting too warm, °C; and what that gives off, W/m². */
  mostWaterC: number;
  mostFlowC: number;
  mostW: number;
}

/** A floor warmed by water: how warm its water has to be for a heat, W/m², through all that lies over it, and how warm it may be. */
export function heatedFloor(sumR: number, wantedW: number, rules: HeatedRules = USUAL_HEATED): HeatedFloor {
  const through = sumR + rules.screedR;
  const mostW = givenOffW(rules.mostSurfaceC - rules.roomC);
  const waterC = surfaceC(wantedW, rules.roomC) + wantedW * through;
  const mostWaterC = rules.mostSurfaceC + mostW * through;
  return {
    sumR,
    holds: sumR <= MOST_R + 1e-9 && wantedW <= mostW + 1e-9,
    surfaceC: surfaceC(wantedW, rules.roomC),
    waterC,
    flowC: waterC + rules.halfDropK,
    mostWaterC,
    mostFlowC: mostWaterC + rules.halfDropK,
    mostW,
  };
}

/** The same floor with a rug on it: the covering beneath gets as warm as the water asks, and the room gets less. */
export const underRug = (sumR: number, wantedW: number, rules: HeatedRules = USUAL_HEATED): HeatedFloor =>
  heatedFloor(sumR + rules.rugR, wantedW, rules);

/** The flow on the days after laying, °C: two at 18, then no more than 5 up a day, to what is wanted or what it may be. */
export function heatRamp(wantedC: number, mostC: number, stepK = 5): number[] {
  const START_C = 18;
  const topC = Math.min(wantedC, mostC);
  const days = [Math.min(START_C, topC), Math.min(START_C, topC)];
  while (days.at(-1)! < topC) days.push(Math.min(topC, days.at(-1)! + stepK));
  return days;
}
