/** Air over an appliance in its bay, unless its maker asks for more, mm. */
export const BAY_AIR_MM = 3;

export interface BayRoom {
  /** Left between the floor and the underside, where it is least, mm; and what is wanted there. */
  headroomMm: number;
  wantedMm: number;
  /** What is left over; under 0 it does not go in, or never comes out. */
  spareMm: number;
}

/**
 * Whether an appliance stands in its bay and can be pulled out once the floor lies: the underside, lowest of its readings, less the
 * highest finished floor in the bay or on its front edge. A bay left without floor frees no machine: it has to get over the lip
 * at the front edge all the same, with its feet wound in. Levels over the datum and heights in mm.
 */
export function bayRoom(
  undersidesMm: readonly number[],
  { inBayMm, onEdgeMm }: { inBayMm: readonly number[]; onEdgeMm: readonly number[] },
  applianceMm: number,
  airMm = BAY_AIR_MM,
): BayRoom {
  const headroomMm = Math.min(...undersidesMm) - Math.max(...inBayMm, ...onEdgeMm);
  const wantedMm = applianceMm + airMm;
  return { headroomMm, wantedMm, spareMm: headroomMm - wantedMm };
}
