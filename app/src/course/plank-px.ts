/** A plank under this is missed with gloves on, and its word does not fit, px. */
const LEAST_PX = 56;
/** Width of a plank where the row slides, about, px. */
const SLIDING_PX = 76;

/**
 * Width of each plank where they are too many to stand side by side, px, or null where all of them fit. It is chosen so that
 * the last one seen is cut in half: there is more.
 */
export function plankPx(seenPx: number, planks: number): number | null {
  if (seenPx / planks >= LEAST_PX) return null;
  const whole = Math.max(1, Math.floor(seenPx / SLIDING_PX));
  return seenPx / (whole + 0.5);
}
