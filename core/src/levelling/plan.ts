import { say, type Said } from '../said/index.ts';
import { underEachSchool, type FlatState, type SchoolResult } from '../flat/index.ts';
import type { LevellingJob } from './job.ts';
import { panelOver, usualPanel, type PanelWay } from './panel-over.ts';
import { planeChoices, type PlaneChoice } from './plane-choices.ts';
import type { Way } from './way.ts';
import { untouchedBounds, type Untouched } from './untouched.ts';
import { smallestFillWay } from './ways.ts';

/** What is known at once of levelling a judged floor; the programmed ways follow. */
export interface LevellingPlan {
  /** True when the judged floor needs nothing. */
  nothingToDo: boolean;
  /** Where nothing is done: what no edge anywhere goes over. Empty where something is. */
  untouched: Untouched[];
  fill: Way;
  /** A pour to one level after grinding nothing, half a millimetre ... off the top. */
  planes: PlaneChoice[];
  /** A timber base may be panelled over instead: what that takes. It bridges short spans and cures no long low. */
  panel: PanelWay | null;
  /** Openings that are to come to a height: there is a way to meet them. */
  targets: { name: Said; riseMm: number }[];
  /** The same floor under each common rule: another covering may ask for less. */
  otherRules: SchoolResult[];
  /** What the base asks of every fill, told first; null where nothing in particular. */
  caution: Said | null;
  /** Quantities stand on readings that do not cover the floor. */
  provisional: boolean;
}

/**
 * The smallest fill, pours to a plane, panels, and how other rules would judge the floor. Each way is re-checked at 36
 * directions on the judgement grid. Null when stopped.
 */
export function planLevelling(job: LevellingJob, state: FlatState, shouldStop?: () => boolean): LevellingPlan | null {
  const fill = smallestFillWay(job, shouldStop);
  if (!fill) return null;
  const { grid, provisional } = job;
  const nothingToDo = fill.patches.length === 0 && fill.rocking === null && job.targets.length === 0;
  return {
    nothingToDo,
    untouched: nothingToDo ? untouchedBounds(grid, job.heights, fill.certificates, job.contactsOnly) : [],
    fill,
    planes: job.pourLeastMm === null ? planeChoices(job) : planeChoices(job, job.pourLeastMm),
    panel: panelOver(job, usualPanel(job)),
    targets: job.targets.map(({ name, levelMm, nowMm }) => ({ name, riseMm: levelMm - nowMm })),
    otherRules: underEachSchool(state, job.rules, job.contactsOnly),
    caution: job.sulfate ? say('levelling.onSulfate') : null,
    provisional,
  };
}
