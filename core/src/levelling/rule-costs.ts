import type { FlatnessRule } from '../coverings/index.ts';
import type { SchoolResult } from '../flat/index.ts';
import { smallestFill } from './fill.ts';
import type { LevellingJob } from './job.ts';
import { amounts } from './finished.ts';
import { costOf, needsFor } from './way.ts';

/** What filling alone would take for a floor to keep another rule. */
export interface RuleCost {
  rule: FlatnessRule;
  fillL: number;
  cost: number;
  bags: number;
}

/** Smallest fill against gaps under each rule that the floor breaks, with bags and cost; rocking is left to the ways themselves. */
export function ruleCosts(job: LevellingJob, schools: readonly SchoolResult[]): RuleCost[] {
  return schools
    .filter(({ overMm }) => overMm > 0)
    .map(({ rule }) => {
      const { fillMm } = smallestFill(job.grid, job.heights, [rule]);
      const { fillL, touchedM2 } = amounts(job.grid, fillMm, new Float64Array(fillMm.length));
      const deepestMm = fillMm.reduce((most, f) => Math.max(most, f), 0);
      const need = fillL > 0 ? (needsFor(job, fillL, 0, deepestMm)[0] ?? null) : null;
      return { rule, fillL, bags: need?.bags ?? 0, cost: costOf(job, { fillL, grindL: 0, touchedM2, need }).cost };
    });
}
