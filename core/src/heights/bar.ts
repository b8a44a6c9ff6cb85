import type { FloorAge } from './build-up.ts';
import { FLOOR_AGES } from './build-up.ts';
import type { StepProfile } from './step-profile.ts';
import { tiltDeg } from './tilted-base.ts';

/** What stands in an opening, from the least to the most. */
export const BAR_CLASSES = ['run-through', 'flat', 'tilted', 'ramp-bar', 'reducer', 'made-ramp'] as const;
type BarClass = (typeof BAR_CLASSES)[number];
export type BarKind = BarClass | 'nosing' | 'carpet-bar' | 'make-good' | 'measure';

/** Up to which step each bar serves, mm, with the tilt and the wave a track bar takes. */
export interface BarLimits {
  runThroughMm: number;
  flatMm: number;
  tiltedMm: number;
  reducerMm: number;
  carpetMm: number;
  mostTiltDeg: number;
  mostWaveMm: number;
}
export const USUAL_BAR_LIMITS: BarLimits = {
  runThroughMm: 0.5,
  flatMm: 2,
  tiltedMm: 6,
  reducerMm: 15,
  carpetMm: 15,
  mostTiltDeg: 10,
  mostWaveMm: 1,
};

/** What access rules allow where they apply, judged on the bar's top over the lower floor. */
export interface AccessRule {
  uprightMm: number;
  bevelledMm: number;
  /** A bevel is so many times as long as high, a ramp likewise. */
  bevelRatio: number;
  rampRatio: number;
}
export const USUAL_ACCESS: AccessRule = { uprightMm: 6, bevelledMm: 13, bevelRatio: 2, rampRatio: 12 };

/** Where access rules apply no reducer and no carpet bar goes beyond their bevel. */
export const underAccess = (limits: BarLimits, { bevelledMm }: AccessRule): BarLimits => ({
  ...limits,
  reducerMm: Math.min(limits.reducerMm, bevelledMm),
  carpetMm: Math.min(limits.carpetMm, bevelledMm),
});

/** An opening as its bar is chosen by. */
export interface OpeningStep {
  /** The step along it, on a new floor and on one lived on; null where a level is not known. */
  profiles: Record<FloorAge, StepProfile> | null;
  /** How far off a step may be, mm. */
  offMm: number;
  stairEdge: boolean;
  carpetBeyond: boolean;
  /** The same floor goes on beyond, and nothing asks for a break here. */
  goesOn: boolean;
  /** Distance between the bearing lines of the track bar, mm. */
  bearingMm: number;
}

export interface BarChoice {
  kind: BarKind;
  /** The age of the floor that asks for the most, and the step by which it was chosen, mm; null where no step was asked. */
  age: FloorAge | null;
  worstMm: number | null;
  /** What else serves, the next best first. */
  others: BarKind[];
  /** A limit lies within what the reading may be off, mm: one more reading decides; null where none does. */
  nearLimitMm: number | null;
  /** By how much less step a smaller bar would serve, mm; null where there is none smaller. */
  lessByMm: number | null;
}

/**
 * The bar for an opening: nosing at a stair's edge; nothing before its levels are known; made good where the step goes both
 * ways; a carpet bar; then by the worst step, on the new floor or the one lived on, whichever asks for more.
 */
export function chooseBar(opening: OpeningStep, limits: BarLimits = USUAL_BAR_LIMITS): BarChoice {
  const none = { age: null, worstMm: null, others: [], nearLimitMm: null, lessByMm: null };
  if (opening.stairEdge) return { kind: 'nosing', ...none };
  if (!opening.profiles) return { kind: 'measure', ...none };
  const choices = FLOOR_AGES.map((age) => ({ age, ...byStep(opening, opening.profiles![age], limits) }));
  const [first, second] = choices as [(typeof choices)[0], (typeof choices)[0]];
  return rank(second.kind) > rank(first.kind) ? second : first;
}

/** How much a bar asks for: what has to be made good first asks for the most. */
const rank = (kind: BarKind) =>
  kind === 'make-good' ? BAR_CLASSES.length : BAR_CLASSES.indexOf(kind as (typeof BAR_CLASSES)[number]);

function byStep(opening: OpeningStep, profile: StepProfile, limits: BarLimits): Omit<BarChoice, 'age'> {
  const { minMm, maxMm, worstMm } = profile;
  const { offMm } = opening;
  const bothWays = (by: number) => minMm - by < -limits.flatMm && maxMm + by > limits.flatMm;
  if (bothWays(0))
    return {
      kind: 'make-good',
      worstMm,
      others: [],
      nearLimitMm: bothWays(-offMm) ? null : limits.flatMm,
      lessByMm: Math.min(maxMm, -minMm) - limits.flatMm,
    };
  const uses = limitsUsed(opening, limits);
  const near = uses.find((limit) => Math.abs(worstMm - limit) < offMm) ?? (bothWays(offMm) ? limits.flatMm : null);
  const kind: BarKind =
    opening.carpetBeyond && worstMm <= limits.carpetMm ? 'carpet-bar' : classOf(opening, profile, limits);
  const smaller = uses.filter((limit) => limit < worstMm).at(-1);
  return {
    kind,
    worstMm,
    others: othersThan(kind, opening, profile, limits),
    nearLimitMm: near,
    lessByMm: smaller === undefined ? null : worstMm - smaller,
  };
}

/** The limits a step is held against, mm, ascending. */
function limitsUsed({ goesOn, carpetBeyond, bearingMm }: OpeningStep, limits: BarLimits): number[] {
  if (carpetBeyond) return [limits.carpetMm];
  const tiltsTo = bearingMm * Math.tan((limits.mostTiltDeg * Math.PI) / 180);
  return [
    ...(goesOn ? [limits.runThroughMm] : []),
    limits.flatMm,
    ...(tiltsTo > limits.flatMm && tiltsTo < limits.tiltedMm ? [tiltsTo] : []),
    limits.tiltedMm,
    limits.reducerMm,
  ].sort((a, b) => a - b);
}

function classOf(opening: OpeningStep, { worstMm, waveMm }: StepProfile, limits: BarLimits): BarClass {
  if (opening.goesOn && worstMm <= limits.runThroughMm) return 'run-through';
  if (worstMm <= limits.flatMm) return 'flat';
  if (worstMm <= limits.tiltedMm) {
    const tilts = tiltDeg(worstMm, opening.bearingMm) <= limits.mostTiltDeg && waveMm <= limits.mostWaveMm;
    return tilts ? 'tilted' : 'ramp-bar';
  }
  return worstMm <= limits.reducerMm ? 'reducer' : 'made-ramp';
}

/** Whatever asks for more than was chosen serves as well, the nearest first; a carpet bar has the ramp and the threshold beside it. */
function othersThan(kind: BarKind, opening: OpeningStep, profile: StepProfile, limits: BarLimits): BarKind[] {
  const from = kind === 'carpet-bar' ? classOf(opening, profile, limits) : kind;
  const after = BAR_CLASSES.slice(BAR_CLASSES.indexOf(from as BarClass) + (kind === 'carpet-bar' ? 0 : 1));
  return after.filter((other) => other !== 'tilted' && other !== 'run-through').slice(0, 2);
}

/** How a bar's top may meet the lower floor where access rules apply: its shape, and how long it has to be, mm. */
export function accessAt(
  topMm: number,
  { uprightMm, bevelledMm, bevelRatio, rampRatio }: AccessRule,
): { shape: 'upright' | 'bevelled' | 'ramp'; lengthMm: number } {
  if (topMm <= uprightMm) return { shape: 'upright', lengthMm: 0 };
  if (topMm <= bevelledMm) return { shape: 'bevelled', lengthMm: bevelRatio * topMm };
  return { shape: 'ramp', lengthMm: rampRatio * topMm };
}

/** How far a cap has to reach past each flank of its track so that the floor may move under it, mm. */
export const capReachMm = (perimeterGapMm: number): number => perimeterGapMm + 5;
