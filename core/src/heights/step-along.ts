import { FLOOR_AGES, type FloorAge } from './build-up.ts';
import { stepProfile, type StepAt, type StepProfile } from './step-profile.ts';
import { combined, READ_BY_MM } from './uncertain.ts';

/** A level on the far side of an opening, mm over the datum. */
export interface BeyondLevel {
  alongMm: number;
  levelMm: number;
  /** How far off it may be, mm. */
  offMm: number;
  /** How often it was read; once unless it is said. */
  times?: number;
  /** What the next room lays over the surface that was read, mm; nothing where the floor beyond stays. */
  addsMm?: Readonly<Record<FloorAge, number>>;
}

/** Over this width the middle of an opening is read as well, mm. */
export const MIDDLE_OVER_MM = 1000;
/** A reading within this of an end or of the middle stands for it, mm. */
const NEAR_MM = 100;

/** Places still to be read beyond an opening: both ends, and the middle of a wide one. */
export function beyondToRead(widthMm: number, levels: readonly Pick<BeyondLevel, 'alongMm'>[]): number[] {
  const wanted = [0, ...(widthMm > MIDDLE_OVER_MM ? [widthMm / 2] : []), widthMm];
  return wanted.filter((place) => !levels.some(({ alongMm }) => Math.abs(alongMm - place) <= NEAR_MM));
}

/** The level beyond at a place: straight between the readings, as the nearest outside them. Null without any. */
export function beyondAt(levels: readonly BeyondLevel[], alongMm: number, age: FloorAge = 'new'): number | null {
  const sorted = levels
    .map(({ alongMm: at, levelMm, addsMm }) => ({ alongMm: at, levelMm: levelMm + (addsMm?.[age] ?? 0) }))
    .sort((a, b) => a.alongMm - b.alongMm);
  const after = sorted.find((level) => level.alongMm >= alongMm);
  const before = sorted.findLast((level) => level.alongMm <= alongMm);
  if (!before || !after) return (before ?? after)?.levelMm ?? null;
  if (before.alongMm === after.alongMm) return after.levelMm;
  const share = (alongMm - before.alongMm) / (after.alongMm - before.alongMm);
  return before.levelMm + share * (after.levelMm - before.levelMm);
}

export interface StepAlong {
  profiles: Record<FloorAge, StepProfile>;
  /** How far off a step may be, mm. */
  offMm: number;
  /** Places beyond that are not read yet: until then the step is provisional. */
  toRead: number[];
}

/**
 * The step along an opening, new and used: finished level here less level beyond. Null where nothing is read beyond, or where
 * no place here has a level.
 */
export function stepAlong(
  widthMm: number,
  here: readonly { alongMm: number; levelMm: Record<FloorAge, number> | null }[],
  beyond: readonly BeyondLevel[],
  hereOffMm: number = READ_BY_MM.staff,
): StepAlong | null {
  const known = here.flatMap(({ alongMm, levelMm }) => (levelMm === null ? [] : [{ alongMm, levelMm }]));
  if (known.length === 0 || beyond.length === 0) return null;
  const profile = (age: FloorAge) =>
    stepProfile(
      known.map(({ alongMm, levelMm }): StepAt => ({
        alongMm,
        stepMm: levelMm[age] - beyondAt(beyond, alongMm, age)!,
      })),
      widthMm,
    );
  const [first, second] = FLOOR_AGES.map(profile) as [StepProfile, StepProfile];
  return {
    profiles: { new: first, used: second },
    offMm: combined(hereOffMm, Math.max(...beyond.map(({ offMm }) => offMm))),
    toRead: beyondToRead(widthMm, beyond),
  };
}
