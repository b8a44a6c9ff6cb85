import { certify, type Certificate } from './certificate.ts';
import { coverHours, type CompoundNeed } from './compound.ts';
import type { LevellingJob } from './job.ts';
import { planeCurve, type PlanePour } from './plane.ts';
import { costOf, needsFor, risesOf, type CostLine, type OpeningRise } from './way.ts';

/** A pour to one level with so much ground off the top first, worked out like any other way. */
export interface PlaneChoice extends PlanePour {
  needs: CompoundNeed[];
  cost: number;
  costLines: CostLine[];
  hours: number;
  primerL: number;
  dryH: number;
  rises: OpeningRise[];
  certificates: Certificate[];
  /** Why it cannot be done within the limits, or null. */
  refused: string | null;
}

/** The least depth a plane pour is planned with, mm: the thinnest a self-levelling card takes. */
export const PLANE_LEAST_MM = 3;

/** Every half millimetre ground off the top against what the pour then takes, as deep as may be ground. */
export function planeChoices(job: LevellingJob, leastMm = PLANE_LEAST_MM): PlaneChoice[] {
  const { grid, heights, limits, boundBy, rules, contactsOnly, figure } = job;
  const most = Math.max(0, ...limits.grindMm.filter((_, cell) => grid.inside[cell]));
  const areaM2 = grid.cellAreaM2 * grid.inside.reduce((sum, on) => sum + on, 0);
  // Every pour ends at one level: checked once, it is checked for all.
  const level = heights.map(() => 0);
  const certificates = rules.map((rule) => certify(grid, level, rule, contactsOnly));
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
    const off = change.grindMm.findIndex((g, cell) => g > limits.grindMm[cell]! + 1e-6);
    const over = change.fillMm.findIndex((f, cell) => f > limits.fillMm[cell]! + 1e-6);
    return {
      ...pour,
      needs,
      ...priced,
      dryH: needs[0] ? figure('primer-dry-h') + coverHours(needs[0].compound, pour.deepestMm) : 0,
      rises: risesOf(job, change),
      certificates,
      refused:
        off >= 0
          ? boundBy.grind[off] === 'keep-off'
            ? 'its top lies where grinding is kept off'
            : null
          : over >= 0
            ? refusedBy(boundBy.fill[over]!)
            : null,
    };
  });
}

function refusedBy(limit: LevellingJob['boundBy']['fill'][number]): string {
  if (limit === 'opening') return 'it raises the floor at an opening by more than is allowed there';
  if (limit === 'fill-depth') return 'it is deeper than may be filled';
  if (limit === 'gate') return 'a hazard forbids priming here';
  return 'it covers a place that must stay clear';
}
