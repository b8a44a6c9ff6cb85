import { asFlag, type CoveringCard } from '../coverings/index.ts';

/** How a piece comes into its place where something hangs over it. */
export type WayIn = 'angled' | 'along' | 'tapped' | 'shaved';

/** Ways a covering's sheet allows. */
export interface WaysAllowed {
  /** The tilt at which its long lock closes, degrees; null where it does not angle in. */
  angleDeg: number | null;
  /** Its end lock taps home, so that a piece may be slid along its row. */
  slides: boolean;
  /** Its long lock may be tapped flat. */
  taps: boolean;
  /** The lip of its lock may be shaved off and the joint glued. */
  shaves: boolean;
}

/** Ways a covering's sheet allows; what it does not say is taken by its kind: planks that are glued lie flat, those that click are tilted, slid along, or shaved and glued. */
export function waysAllowed(
  {
    kind,
    tiltDeg,
    endsSlide,
    longTaps,
    lipShaved,
  }: Pick<CoveringCard, 'kind' | 'tiltDeg' | 'endsSlide' | 'longTaps' | 'lipShaved'>,
  usualTiltDeg: number,
): WaysAllowed {
  const isGlued = kind === 'glue-down-vinyl';
  return {
    angleDeg: isGlued ? null : (tiltDeg ?? usualTiltDeg),
    slides: asFlag(endsSlide) ?? !isGlued,
    taps: asFlag(longTaps) ?? isGlued,
    shaves: asFlag(lipShaved) ?? !isGlued,
  };
}

/** How much stays free over the far edge of a piece while it is tilted in, mm: its width rises with the angle, and its thickness stands on it. */
export const tiltedMm = (wideMm: number, thickMm: number, angleDeg: number): number => {
  const rad = (angleDeg * Math.PI) / 180;
  return wideMm * Math.sin(rad) + thickMm * Math.cos(rad);
};

/**
 * How a piece is got in, the plainest way first; null where nothing the sheet allows would do and another start wall is asked. `freeMm` is what is free over it, null where nothing hangs
 * over; `openMm` is how far its row is open beside it.
 */
export function wayIn(
  piece: { wideMm: number; longMm: number; thickMm: number },
  { freeMm, openMm }: { freeMm: number | null; openMm: number },
  allowed: WaysAllowed,
): WayIn | null {
  const { angleDeg, slides, taps, shaves } = allowed;
  if (angleDeg !== null && (freeMm === null || tiltedMm(piece.wideMm, piece.thickMm, angleDeg) <= freeMm))
    return 'angled';
  if (freeMm !== null && freeMm < piece.thickMm) return null;
  if (slides && openMm >= piece.longMm) return 'along';
  if (taps) return 'tapped';
  return shaves ? 'shaved' : null;
}
