import type { FlatnessRule } from '../coverings/index.ts';
import type { FlatState, Placement } from '../flat/index.ts';
import { certify, type Certificate } from './certificate.ts';
import { needOf, SHIPPED_COMPOUNDS, type CompoundNeed } from './compound.ts';
import { smallestFill } from './fill.ts';
import { patchesOf, type Patch } from './patches.ts';
import { planeCurve, type PlanePour } from './plane.ts';

export interface FillPlan {
  patches: Patch[];
  areaM2: number;
  volumeL: number;
  deepestMm: number;
  needs: CompoundNeed[];
  certificates: Certificate[];
  /** Rocking that is left over the rule after the fill: filling alone is not the cure there. */
  rocking: Placement | null;
  holds: boolean;
}

export interface PlanePlan {
  curve: PlanePour[];
  pour: PlanePour;
  needs: CompoundNeed[];
}

export interface LevellingPlan {
  /** True when the judged floor needs nothing. */
  nothingToDo: boolean;
  fill: FillPlan;
  plane: PlanePlan;
  /** Quantities stand on readings that do not cover the floor. */
  provisional: boolean;
}

/** The least depth a plane pour is planned with, mm: the thinnest the shipped self-levelling card takes. */
export const PLANE_LEAST_MM = 3;

/**
 * Two ways to make a judged floor keep its rules: the smallest fill, and a pour to a plane. Each is re-checked at 36
 * directions on the judgement grid. Null when stopped.
 */
export function planLevelling(
  state: FlatState,
  rules: readonly FlatnessRule[],
  contactsOnly: boolean,
  shouldStop?: () => boolean,
): LevellingPlan | null {
  const mapped = state.rules.map((result) => result.rule).filter((rule) => rules.includes(rule));
  const { judged, surfaceMm } = state;
  const fill = smallestFill(judged, surfaceMm, mapped, undefined, shouldStop);
  if (!fill.settled && shouldStop?.()) return null;
  const after = surfaceMm.map((z, cell) => z + fill.fillMm[cell]!);
  const certificates = mapped.map((rule) => certify(judged, after, rule, contactsOnly));
  const patches = patchesOf(judged, fill.fillMm);
  const volumeL = patches.reduce((sum, patch) => sum + patch.volumeL, 0);
  const deepestMm = Math.max(0, ...patches.map((patch) => patch.deepestMm));
  const rocking = contactsOnly ? null : (certificates.find((c) => !c.crownHolds)?.worstCrown ?? null);
  const curve = planeCurve(judged, surfaceMm, PLANE_LEAST_MM);
  const pour = curve[0]!;
  return {
    nothingToDo: patches.length === 0 && rocking === null,
    fill: {
      patches,
      areaM2: patches.reduce((sum, patch) => sum + patch.areaM2, 0),
      volumeL,
      deepestMm,
      needs: SHIPPED_COMPOUNDS.map((compound) => needOf(compound, volumeL, 0, deepestMm)),
      certificates,
      rocking,
      holds: certificates.every((certificate) => certificate.holds),
    },
    plane: {
      curve,
      pour,
      needs: SHIPPED_COMPOUNDS.map((compound) => needOf(compound, pour.volumeL, PLANE_LEAST_MM, pour.deepestMm)),
    },
    provisional: state.evidence.coveredShare < 0.99,
  };
}
