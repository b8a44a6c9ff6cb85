import type { PredictedStation } from '../flat/index.ts';
import { pourPlan, type PourPlan } from './bays.ts';
import { certify, PLANE_BETWEEN, type Certificate } from './certificate.ts';
import { dryingHours, type CompoundNeed } from './compound.ts';
import type { LevellingJob } from './job.ts';
import { planeCurve, type PlanePour } from './plane.ts';
import { refusalOf, type Refusal } from './refusal.ts';
import { costOf, needsFor, predictedOf, risesOf, type CostLine, type OpeningRise } from './way.ts';

/** A pour to one level with so much ground off the top first, worked out like any other way. */
export interface PlaneChoice extends PlanePour {
  needs: CompoundNeed[];
  cost: number;
  costLines: CostLine[];
  hours: number;
  primerL: number;
  dryH: number;
  rises: OpeningRise[];
  predicted: PredictedStation[];
  certificates: Certificate[];
  /** The pour in bays, with the product that leads; null where none suits. */
  pour: PourPlan | null;
  /** Where it goes farthest past a limit, or null where it keeps them all. */
  refusal: Refusal | null;
}

/** The least depth a plane pour is planned with, mm: the thinnest a self-levelling card takes. */
const PLANE_LEAST_MM = 3;

/** Every half millimetre ground off the top against what the pour then takes, as deep as may be ground. */
export function planeChoices(job: LevellingJob, leastMm = PLANE_LEAST_MM): PlaneChoice[] {
  const { grid, heights, limits, rules, contactsOnly, figure } = job;
  const most = Math.max(0, ...limits.grindMm.filter((_, cell) => grid.inside[cell]));
  const areaM2 = grid.cellAreaM2 * grid.inside.reduce((sum, on) => sum + on, 0);
  // Every pour ends at one level: checked once, it is checked for all.
  const level = heights.map(() => 0);
  const certificates = rules.map((rule) => certify(grid, level, rule, contactsOnly, { between: PLANE_BETWEEN }));
  return planeCurve(grid, heights, leastMm, most).map((pour): PlaneChoice => {
    const ceiling = pour.levelMm - leastMm;
    const change = {
      fillMm: heights.map((z, cell) => (grid.inside[cell] ? pour.levelMm - Math.min(z, ceiling) : 0)),
      grindMm: heights.map((z, cell) => (grid.inside[cell] ? Math.max(0, z - ceiling) : 0)),
    };
    const needs = needsFor(job, pour.volumeL, leastMm, pour.deepestMm);
    const priced = costOf(job, {
      fillL: pour.volumeL,
      grindL: pour.groundVolumeL,
      touchedM2: areaM2,
      need: needs[0] ?? null,
    });
    return {
      ...pour,
      needs,
      ...priced,
      dryH: needs[0] ? dryingHours(needs[0].compound, pour.deepestMm, figure) : 0,
      rises: risesOf(job, change),
      predicted: predictedOf(job, change),
      certificates,
      pour: needs[0] ? pourPlan(job.room, job.plan, grid, change.fillMm, needs[0].compound, figure) : null,
      refusal: refusalOf(job, change, needs[0]?.compound.kgPerM2Mm ?? 0),
    };
  });
}
