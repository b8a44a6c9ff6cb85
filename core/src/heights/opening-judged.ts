import type { Opening, PointMm, Polygon } from '../room/index.ts';
import { INSIDE_MM, leafOf, placesAt } from './at-opening.ts';
import {
  accessAt,
  chooseBar,
  underAccess,
  USUAL_BAR_LIMITS,
  type AccessRule,
  type BarChoice,
  type BarKind,
  type BarLimits,
} from './bar.ts';
import { FLOOR_AGES, type FloorAge } from './build-up.ts';
import { grindInsteadL } from './grind-instead.ts';
import { leafClearance, type LeafClearance, type LeafSwing, type LevelUnder } from './leaf.ts';
import {
  clearanceWanted,
  judgeLeaf,
  USUAL_LEAF,
  type LeafFacts,
  type LeafVerdict,
  type LeafWants,
} from './leaf-verdict.ts';
import { madeRamp, type MadeRamp } from './made-ramp.ts';
import { beyondAt, beyondToRead, stepAlong, type BeyondLevel, type StepAlong } from './step-along.ts';
import { placesAlong } from './step-profile.ts';
import { packingUnder, type Packing, type TrackBar } from './tilted-base.ts';
import type { FlatnessRule } from '../coverings/index.ts';

/** Finished level at a place of the room, mm over the datum, on a new floor and on one lived on; null where it is not known. */
export type FinishedAt = (xMm: number, yMm: number) => Record<FloorAge, number> | null;

/** A leaf as it hangs: what it is, and its underside, mm over the datum; null where one end is not read. */
export interface HungLeaf extends LeafFacts {
  hingeMm: number | null;
  latchMm: number | null;
  opensDeg: number;
  /** Air asked for under it, mm; null where none is. */
  airMm: number | null;
  /** A mat or rug it passes over, mm. */
  rugMm: number;
}

/** What is known of an opening. */
export interface OpeningFacts {
  opening: Opening;
  beyond: readonly BeyondLevel[];
  leaf: HungLeaf | null;
  /** The same floor goes on beyond and nothing asks for a break. */
  goesOn: boolean;
  /** Level of the floor of the groove at both ends, mm over the datum; null where none is cut: the track stands on the surface that stays. */
  grooveMm: readonly [number, number] | null;
  /** What is laid over the surface that stays on this side, mm. */
  buildUpMm: number;
  /** The sill's water bar of an outside door, mm over the datum: null where it is not read, or no such door. */
  sillMm?: number | null;
  /** How far off the new floor here may be, mm. */
  hereOffMm?: number;
}

/** What openings are judged by. */
export interface OpeningRules {
  bar: TrackBar;
  limits: BarLimits;
  access: AccessRule | null;
  leaf: LeafWants;
  rule: FlatnessRule;
  /** Thickness of a bar’s cap, mm: it stands over the higher floor. */
  capMm: number;
}

export const USUAL_TRACK: TrackBar = { trackMm: 16, bearingMm: 38, seatMm: 9 };
export const USUAL_CAP_MM = 3;
export const usualOpeningRules = (rule: FlatnessRule): OpeningRules => ({
  bar: USUAL_TRACK,
  limits: USUAL_BAR_LIMITS,
  access: null,
  leaf: USUAL_LEAF,
  rule,
  capMm: USUAL_CAP_MM,
});

/** Bars whose cap stands over the higher floor, under the closed leaf. */
const CAPPED: readonly BarKind[] = ['flat', 'tilted', 'ramp-bar', 'reducer', 'carpet-bar'];

export interface OpeningJudged {
  openingId: string;
  /** The new floor along it on this side, mm over the datum; null where it is not known. */
  here: { alongMm: number; levelMm: number | null }[];
  step: StepAlong | null;
  bar: BarChoice;
  /** Packing under a tilted bar at the opening's start and end. */
  packing: readonly [Packing, Packing] | null;
  /** Where access rules apply: how the bar's top meets the lower floor. */
  access: ReturnType<typeof accessAt> | null;
  /** The ramp that takes the step, where no bar does. */
  ramp: MadeRamp | null;
  clearance: LeafClearance | null;
  leaf: LeafVerdict | null;
  /** Floor that would be ground away under the leaf instead of cutting it, litres at most; null where nothing comes off it. */
  grindL: number | null;
  /** Underside of the closed leaf at the start and the end of the opening, mm over the datum; null before both are read. */
  leafMm: readonly [start: number, end: number] | null;
  /** How far an outside door's floor stays under the water bar of its sill, mm; null where there is none, or it is not read. */
  underSillMm: number | null;
  /** What is still to be read, in the order in which it is asked: places beyond, the sill, and the ends of the leaf. */
  toRead: { of: 'beyond' | 'leaf' | 'sill'; alongMm: number }[];
  /** A limit lies within what the readings may be off, and not all of them were taken twice: one more decides. */
  again: boolean;
  /** Something may still change: a level is missing, or is to be read again. */
  provisional: boolean;
}

/**
 * Everything one opening makes of the new floor: the step along it and its bar, the packing or the ramp that takes, the leaf in
 * its swing and what comes off it, and which reading would settle what is open.
 */
export function judgeOpening(
  corners: Polygon,
  { opening, beyond, leaf, goesOn, grooveMm, buildUpMm, sillMm = null, hereOffMm }: OpeningFacts,
  finishedAt: FinishedAt,
  rules: OpeningRules,
  nodes: readonly PointMm[] = [],
): OpeningJudged {
  const { widthMm } = opening;
  const places = placesAt(corners, opening, placesAlong(widthMm));
  const here = places.map(({ alongMm, inside }) => ({ alongMm, levelMm: finishedAt(inside.xMm, inside.yMm) }));
  const step = stepAlong(widthMm, here, beyond, hereOffMm);
  const bar = chooseBar(
    {
      profiles: step?.profiles ?? null,
      offMm: step?.offMm ?? 0,
      stairEdge: opening.kind === 'stair',
      carpetBeyond: opening.beyond === 'carpet',
      goesOn,
      bearingMm: rules.bar.bearingMm,
    },
    rules.access ? underAccess(rules.limits, rules.access) : rules.limits,
  );
  const outside = opening.beyond === 'outside';
  const capMm = CAPPED.includes(bar.kind) ? rules.capMm : 0;
  const swung = leaf && swing(corners, opening, leaf, finishedAt, { beyond, capMm }, rules, nodes);
  const highest = Math.max(...here.flatMap(({ levelMm }) => levelMm?.new ?? []));
  // A stair's edge takes a nosing whatever lies below; there nothing is read beyond.
  const toRead = [
    ...(bar.kind === 'nosing'
      ? []
      : beyondToRead(widthMm, beyond).map((alongMm) => ({ of: 'beyond' as const, alongMm }))),
    ...(outside && sillMm === null ? [{ of: 'sill' as const, alongMm: widthMm / 2 }] : []),
    ...(leaf && opening.kind === 'door'
      ? leafEnds(opening, leaf).map((alongMm) => ({ of: 'leaf' as const, alongMm }))
      : []),
  ];
  const worstMm = bar.worstMm ?? 0;
  const again = bar.nearLimitMm !== null && beyond.some(({ times = 1 }) => times < 2);
  return {
    openingId: opening.id,
    here: here.map(({ alongMm, levelMm }) => ({ alongMm, levelMm: levelMm?.new ?? null })),
    step,
    bar,
    packing:
      bar.kind === 'tilted' && step ? packingAt(step, beyond, widthMm, { grooveMm, buildUpMm }, rules.bar) : null,
    access: rules.access && step && bar.kind !== 'nosing' ? accessAt(worstMm + rules.capMm, rules.access) : null,
    ramp: bar.kind === 'made-ramp' ? madeRamp(worstMm, rules.rule) : null,
    clearance: swung?.clearance ?? null,
    leaf: swung?.verdict ?? null,
    grindL:
      leaf && swung?.clearance && swung.verdict.what === 'trim' && opening.swing === 'in'
        ? grindInsteadL(swung.clearance.need, leaf.opensDeg)
        : null,
    leafMm: leaf && leafEndsMm(opening, leaf),
    underSillMm: outside && sillMm !== null && Number.isFinite(highest) ? sillMm - highest : null,
    toRead,
    again,
    provisional: toRead.length > 0 || again,
  };
}

/** Underside of a leaf along its opening, from its start. */
const leafEndsMm = ({ hinge }: Opening, { hingeMm, latchMm }: HungLeaf): [number, number] | null =>
  hingeMm === null || latchMm === null ? null : hinge === 'start' ? [hingeMm, latchMm] : [latchMm, hingeMm];

/** Ends of a leaf that are not read: the hinge, then the latch, as places along the opening. */
function leafEnds({ hinge, widthMm }: Opening, { hingeMm, latchMm }: HungLeaf): number[] {
  const [atHinge, atLatch] = hinge === 'start' ? [0, widthMm] : [widthMm, 0];
  return [...(hingeMm === null ? [atHinge] : []), ...(latchMm === null ? [atLatch] : [])];
}

/** Packing at both ends of the opening, for the age of floor that asks for more. */
function packingAt(
  { profiles }: StepAlong,
  beyond: readonly BeyondLevel[],
  widthMm: number,
  { grooveMm, buildUpMm }: Pick<OpeningFacts, 'grooveMm' | 'buildUpMm'>,
  bar: TrackBar,
): [Packing, Packing] {
  const age = FLOOR_AGES.reduce((worst, one) => (profiles[one].worstMm > profiles[worst].worstMm ? one : worst));
  const end = (k: 0 | 1) => {
    const levels = (of: FloorAge) => {
      const { alongMm, stepMm } = (k === 0 ? profiles[of].at[0] : profiles[of].at.at(-1))!;
      const beyondMm = beyondAt(beyond, k === 0 ? 0 : widthMm, of) ?? beyondAt(beyond, alongMm, of)!;
      return { hereMm: beyondMm + stepMm, beyondMm };
    };
    const { hereMm, beyondMm } = levels(age);
    return packingUnder(bar, hereMm, beyondMm, grooveMm?.[k] ?? levels('new').hereMm - buildUpMm);
  };
  return [end(0), end(1)];
}

/** The leaf over the new floor in its swing, and under it, closed, the gap once the floor has settled. */
function swing(
  corners: Polygon,
  opening: Opening,
  { hingeMm, latchMm, opensDeg, rugMm, airMm, ...facts }: HungLeaf,
  finishedAt: FinishedAt,
  { beyond, capMm }: { beyond: readonly BeyondLevel[]; capMm: number },
  { leaf: usual }: OpeningRules,
  nodes: readonly PointMm[],
): { clearance: LeafClearance | null; verdict: LeafVerdict } {
  if (hingeMm === null || latchMm === null) return { clearance: null, verdict: { what: 'measure' } };
  const wants = { ...usual, airMm: airMm ?? usual.airMm };
  const hung = leafOf(corners, opening, { hingeMm, latchMm, openDeg: opensDeg });
  const angle = (hung.closedDeg * Math.PI) / 180;
  const [ux, uy] = [Math.cos(angle), Math.sin(angle)];
  /** At the threshold the bar over whichever floor is the higher there; not known before both are. */
  const threshold = (alongMm: number, age: FloorAge): number | null => {
    const [place] = placesAt(corners, opening, [alongMm]);
    const here = finishedAt(place!.inside.xMm, place!.inside.yMm)?.[age] ?? null;
    const there = beyondAt(beyond, alongMm, age);
    return here === null || there === null ? null : Math.max(here, there) + capMm;
  };
  const under = (age: FloorAge) => (xMm: number, yMm: number) => {
    const [dx, dy] = [xMm - hung.hinge.xMm, yMm - hung.hinge.yMm];
    const fromHinge = Math.min(opening.widthMm, Math.max(0, dx * ux + dy * uy));
    const alongMm = opening.hinge === 'start' ? fromHinge : opening.widthMm - fromHinge;
    if (Math.abs(dy * ux - dx * uy) <= INSIDE_MM) return threshold(alongMm, age);
    const floor = opening.swing === 'in' ? (finishedAt(xMm, yMm)?.[age] ?? null) : beyondAt(beyond, alongMm, age);
    return floor === null ? null : floor + rugMm;
  };
  const clearance = leafClearance(hung, under('new'), clearanceWanted(facts.kind, wants), nodes);
  return { clearance, verdict: judgeLeaf(facts, clearance, widestGap(hung, under('used')), opening.widthMm, wants) };
}

/** The largest gap under the closed leaf, mm; null where a level is not known. */
function widestGap(leaf: LeafSwing, under: LevelUnder): number | null {
  const angle = (leaf.closedDeg * Math.PI) / 180;
  const gaps = placesAlong(leaf.widthMm).map((r) => {
    const level = under(leaf.hinge.xMm + r * Math.cos(angle), leaf.hinge.yMm + r * Math.sin(angle));
    return level === null ? null : leaf.hingeMm + ((leaf.latchMm - leaf.hingeMm) * r) / leaf.widthMm - level;
  });
  return gaps.some((gap) => gap === null) ? null : Math.max(...gaps.map((gap) => gap!));
}
