/** The step at one place along an opening: finished level here less the level beyond, mm. */
export interface StepAt {
  alongMm: number;
  stepMm: number;
}

/** A step along its opening. Positive: this room is the higher. */
export interface StepProfile {
  at: readonly StepAt[];
  minMm: number;
  maxMm: number;
  meanMm: number;
  /** By how much the step grows from end to end on the fitted line, mm. */
  twistMm: number;
  /** Largest distance of the step from that line, mm. */
  waveMm: number;
  /** The largest step either way, mm: what the bar is chosen by. */
  worstMm: number;
}

/**
 * Sums up the step along an opening of a width: least, most and mean, the slope of the least-squares line times the width, and
 * the largest distance from that line.
 * @throws where there is no place at all
 */
export function stepProfile(at: readonly StepAt[], widthMm: number): StepProfile {
  if (at.length === 0) throw new Error('A step needs one place at least');
  const steps = at.map(({ stepMm }) => stepMm);
  const meanMm = mean(steps);
  const middleMm = mean(at.map(({ alongMm }) => alongMm));
  const spread = at.reduce((sum, { alongMm }) => sum + (alongMm - middleMm) ** 2, 0);
  const slope =
    spread === 0 ? 0 : at.reduce((sum, one) => sum + (one.alongMm - middleMm) * (one.stepMm - meanMm), 0) / spread;
  const offLine = at.map(({ alongMm, stepMm }) => Math.abs(stepMm - meanMm - slope * (alongMm - middleMm)));
  const [minMm, maxMm] = [Math.min(...steps), Math.max(...steps)];
  return {
    at,
    minMm,
    maxMm,
    meanMm,
    twistMm: slope * widthMm,
    waveMm: Math.max(...offLine),
    worstMm: Math.max(maxMm, -minMm),
  };
}

/** Places along an opening at which its step is asked, mm from its start: both ends, and between them no more than `mostMm` apart. */
export function placesAlong(widthMm: number, mostMm = 50): number[] {
  const parts = Math.max(1, Math.ceil(widthMm / mostMm - 1e-9));
  return Array.from({ length: parts + 1 }, (_, k) => (widthMm * k) / parts);
}

const mean = (values: readonly number[]) => values.reduce((sum, value) => sum + value, 0) / values.length;
