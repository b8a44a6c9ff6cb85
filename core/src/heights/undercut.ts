/** A part of a door frame that the floor goes under. */
export const FRAME_PARTS = ['jamb-hinge', 'jamb-latch', 'architrave-here', 'architrave-beyond', 'stop'] as const;
export type FramePart = (typeof FRAME_PARTS)[number];

/** What a frame is made of: metal, stone and fire frames are never sawn, the floor is scribed to them. */
export const FRAME_KINDS = ['unknown', 'wood', 'metal', 'stone', 'fire'] as const;
export type FrameKind = (typeof FRAME_KINDS)[number];

/** Air over the floor under a sawn frame, mm. */
export const UNDERCUT_AIR_MM = 0.5;

export interface Undercut {
  /** Level of the cut, mm over the datum. */
  levelMm: number;
  /** Setting of the saw over the base there today, and over what lies there when it is sawn, mm. */
  overBaseMm: number;
  overLyingMm: number;
}

/**
 * Where a frame's foot is sawn off: level with the highest finished floor in its footprint, and some air. The saw stands on
 * something: on the base, or on the old floor while it still lies. Null where nothing of the floor reaches under it.
 */
export function undercut(
  finishedMm: readonly number[],
  baseMm: number,
  lyingMm: number,
  airMm = UNDERCUT_AIR_MM,
): Undercut | null {
  if (finishedMm.length === 0) return null;
  const levelMm = Math.max(...finishedMm) + airMm;
  return { levelMm, overBaseMm: levelMm - baseMm, overLyingMm: levelMm - lyingMm };
}

/** Whether a frame may be sawn, has to be scribed to, or is asked about first. */
export const frameTreatment = (kind: FrameKind): 'saw' | 'scribe' | 'measure' =>
  kind === 'wood' ? 'saw' : kind === 'unknown' ? 'measure' : 'scribe';
