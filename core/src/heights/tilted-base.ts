/** A bar that stands in a track: what its maker gives. */
export interface TrackBar {
  /** Width of the track, mm. */
  trackMm: number;
  /** Distance between the two lines the cap bears on, mm. */
  bearingMm: number;
  /** From the underside of the cap to the floor of the track, mm. */
  seatMm: number;
}

/** Packing under the track at one end of an opening. */
export interface Packing {
  /** Under the edge towards the lower floor, and towards the higher one, mm. Below 0 the groove is deepened by so much. */
  lowEdgeMm: number;
  highEdgeMm: number;
  /** Difference of the two, mm. */
  wedgeMm: number;
  tiltDeg: number;
  /** Which side is the higher, and so lies over the thick edge. */
  thickUnder: 'here' | 'beyond';
}

/**
 * The wedge that tilts a track bar over a step, at one end of the opening: wedge = b s/D under a tilt of atan(s/D), with the
 * middle of the track at low + s/2 - seat - groove. Levels over the datum, the step and the result in mm.
 */
export function packingUnder(
  { trackMm, bearingMm, seatMm }: TrackBar,
  hereMm: number,
  beyondMm: number,
  grooveMm: number,
): Packing {
  const stepMm = Math.abs(hereMm - beyondMm);
  const wedgeMm = (trackMm * stepMm) / bearingMm;
  const middleMm = Math.min(hereMm, beyondMm) + stepMm / 2 - seatMm - grooveMm;
  return {
    lowEdgeMm: middleMm - wedgeMm / 2,
    highEdgeMm: middleMm + wedgeMm / 2,
    wedgeMm,
    tiltDeg: tiltDeg(stepMm, bearingMm),
    thickUnder: hereMm >= beyondMm ? 'here' : 'beyond',
  };
}

/** How far a cap tilts over a step, degrees. */
export const tiltDeg = (stepMm: number, bearingMm: number): number =>
  (Math.atan(Math.abs(stepMm) / bearingMm) * 180) / Math.PI;

/** By how much the groove is deepened so that the track lies on its floor, mm; 0 where there is packing under both edges. */
export const deepenMm = ({ lowEdgeMm, highEdgeMm }: Packing): number => Math.max(0, -Math.min(lowEdgeMm, highEdgeMm));
