import { say, type Said } from '../said/index.ts';
import { cellCentre, underEachSchool, type FlatState, type SchoolResult } from '../flat/index.ts';
import type { LevellingJob } from './job.ts';
import { LIMIT_WORDS } from './job.ts';
import type { Refusal } from './refusal.ts';
import { planeChoices, type PlaneChoice } from './plane-choices.ts';
import type { Way } from './way.ts';
import { untouchedBounds, type Untouched } from './untouched.ts';
import { smallestFillWay } from './ways.ts';

/** Panels over the whole floor: what that takes, and why it cannot be done. */
interface PanelWay {
  areaM2: number;
  cost: number;
  hours: number;
  riseMm: number;
  refusal: Refusal | null;
}

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
  const { grid, figure, timber, provisional } = job;
  const areaM2 = grid.cellAreaM2 * grid.inside.reduce((sum, on) => sum + on, 0);
  const nothingToDo = fill.patches.length === 0 && fill.rocking === null && job.targets.length === 0;
  return {
    nothingToDo,
    untouched: nothingToDo ? untouchedBounds(grid, job.heights, fill.certificates, job.contactsOnly) : [],
    fill,
    planes: job.pourLeastMm === null ? planeChoices(job) : planeChoices(job, job.pourLeastMm),
    panel: timber
      ? {
          areaM2,
          cost: areaM2 * (figure('panel-cost-m2') + figure('panel-h-m2') * figure('labour-h')),
          hours: areaM2 * figure('panel-h-m2'),
          riseMm: figure('panel-mm'),
          refusal: panelRefusal(job, figure('panel-mm')),
        }
      : null,
    targets: job.targets.map(({ name, levelMm, nowMm }) => ({ name, riseMm: levelMm - nowMm })),
    otherRules: underEachSchool(state, job.rules, job.contactsOnly),
    caution: job.sulfate ? say('levelling.onSulfate') : null,
    provisional,
  };
}

/** Panels are fixed through, and raise the floor at every opening by what they are thick. */
function panelRefusal({ grid, limits, openings, mayFix }: LevellingJob, riseMm: number): Refusal | null {
  const first = grid.inside.findIndex((on) => on === 1);
  const held = openings
    .flatMap(({ cells }) => cells)
    .reduce((least, cell) => (least < 0 || limits.fillMm[cell]! < limits.fillMm[least]! ? cell : least), -1);
  const at = (cell: number): [number, number] => {
    const { xMm, yMm } = cellCentre(grid, cell);
    return [xMm, yMm];
  };
  const refuse = (limit: 'gate' | 'opening', cell: number, allowedMm: number): Refusal => ({
    limit,
    words: LIMIT_WORDS[limit],
    at: at(cell),
    takesMm: riseMm,
    allowedMm,
    decides: null,
  });
  if (!mayFix) return refuse('gate', first, 0);
  return held >= 0 && limits.fillMm[held]! < riseMm ? refuse('opening', held, limits.fillMm[held]!) : null;
}
