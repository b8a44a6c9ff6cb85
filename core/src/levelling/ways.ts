import { keptRuns } from '../flat/index.ts';
import { mendBetween } from './between.ts';
import { certify } from './certificate.ts';
import { smallestFill } from './fill.ts';
import { changeTo } from './finished.ts';
import type { LevellingJob } from './job.ts';
import { mixedChange, type MixedChange, type Pace } from './mixed.ts';
import type { PlanLimits, ProgrammeOptions } from './programme.ts';
import { worstOver, type Refusal } from './refusal.ts';
import { wayOf, type Way, type WayId } from './way.ts';

export interface Programmed {
  id: WayId;
  way: Way | null;
  refusal: Refusal | null;
  /** Cost by the programme's own linear rates, and what nothing on the same nodes can go under. */
  linearCost: number;
  boundCost: number;
  nodesMm: number;
  pace: Pace;
  rounds: number;
  rows: number;
  settled: boolean;
}

/** Which of filling and grinding a programmed way may use. */
const USES: Record<WayId, { fill: boolean; grind: boolean }> = {
  mixed: { fill: true, grind: true },
  fill: { fill: true, grind: false },
  grind: { fill: false, grind: true },
  ramp: { fill: true, grind: true },
};

/** The cheapest way by fill, grinding or both that keeps every rule within its limits; or which limit refuses it, and where. */
export function programmedWay(job: LevellingJob, id: WayId, pace: Pace, options: ProgrammeOptions): Programmed {
  const limits = limitsFor(id === 'ramp' ? openedFor(job) : job.limits, USES[id]);
  const solve = (within: PlanLimits) =>
    mixedChange(job.grid, job.heights, job.rules, job.rates, within, {
      ...options,
      contactsOnly: job.contactsOnly,
      pace,
      targets: id === 'ramp' ? job.targets : [],
    });
  const solved = solve(limits);
  if (!solved)
    return {
      id,
      way: null,
      refusal: options.shouldStop?.() ? null : whyNone(job, id, limits, solve),
      linearCost: 0,
      boundCost: 0,
      nodesMm: 0,
      pace,
      rounds: 0,
      rows: 0,
      settled: false,
    };
  const { linearCost, boundCost, nodesMm, rounds, rows, settled, holds } = solved;
  const way = wayOf(job, id, solved, solved.certificates);
  return {
    id,
    way: { ...way, holds: way.holds && holds },
    refusal: way.refusal,
    linearCost,
    boundCost,
    nodesMm,
    pace,
    rounds,
    rows,
    settled,
  };
}

/** Where the floor is to come to a height, that height is the limit: what an opening lets through is for others. */
function openedFor({ limits, targets, figure }: LevellingJob): PlanLimits {
  const fillMm = limits.fillMm.slice();
  for (const { cells, levelMm, toleranceMm, nowMm } of targets)
    for (const cell of cells)
      if (fillMm[cell]! > 0)
        fillMm[cell] = Math.min(
          figure('fill-most-mm'),
          Math.max(fillMm[cell]!, levelMm - nowMm + toleranceMm + REACH_MM),
        );
  return { ...limits, fillMm };
}

/** A threshold's own unevenness may take this much more than its mean, mm. */
const REACH_MM = 10;

function limitsFor({ fillMm, grindMm }: PlanLimits, uses: { fill: boolean; grind: boolean }): PlanLimits {
  return {
    fillMm: uses.fill ? fillMm : new Float64Array(fillMm.length),
    grindMm: uses.grind ? grindMm : new Float64Array(grindMm.length),
  };
}

/** Solved again with depths set free: where it then goes farthest past a limit, that limit is the one that refuses. */
function whyNone(
  job: LevellingJob,
  id: WayId,
  asked: PlanLimits,
  solve: (limits: PlanLimits) => MixedChange | null,
): Refusal | null {
  const free = job.limits.fillMm.map(() => Infinity);
  const freed = solve({ fillMm: USES[id].fill ? free : asked.fillMm, grindMm: USES[id].grind ? free : asked.grindMm });
  if (!freed) return null;
  return worstOver(job, freed, asked);
}

/** The smallest fill against gaps, at once: what fill alone does, whether or not an edge still rocks after it. */
export function smallestFillWay(job: LevellingJob, shouldStop?: () => boolean): Way | null {
  const { grid, heights, rules, contactsOnly } = job;
  const kept = keptRuns(grid);
  const { fillMm, settled } = smallestFill(grid, heights, rules, { shouldStop, kept });
  if (!settled && shouldStop?.()) return null;
  const least = heights.map((z, cell) => z + fillMm[cell]!);
  const mended = mendBetween(grid, least, rules, { contactsOnly: true, kept, shouldStop });
  // Mended against gaps alone: where rocking counts, what lies between the lines is looked at with it.
  const left = (r: number) => (contactsOnly ? { between: mended.left[r]! } : {});
  return wayOf(
    job,
    'fill',
    changeTo(grid, heights, mended.heights),
    rules.map((rule, r) => certify(grid, mended.heights, rule, contactsOnly, { ...left(r), kept })),
  );
}
