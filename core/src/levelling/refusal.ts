import { say, type Said } from '../said/index.ts';
import { cellCentre } from '../flat/index.ts';
import { meanAround } from './load.ts';
import { LIMIT_WORDS, type LevellingJob, type LimitName } from './job.ts';
import type { Change, PlanLimits } from './programme.ts';

/** A depth that is more than a limit allows: which, where it would have to give most, what it would take there and what is allowed. */
interface DepthRefusal {
  limit: LimitName;
  words: Said;
  at: [number, number];
  takesMm: number;
  allowedMm: number;
  decides: null;
}

/** More weight than the floor may be given without the word of whoever decides about it. */
interface LoadRefusal {
  limit: 'load';
  words: Said;
  at: [number, number];
  takesKgM2: number;
  allowedKgM2: number;
  decides: Said;
}

/** Why a way cannot be gone. */
export type Refusal = DepthRefusal | LoadRefusal;

/** More than this past a limit counts, mm: arithmetic. */
const PAST_MM = 1e-6;
/** The last fill of a plan may go this far past a limit, mm: a trowel's scrape. */
const SCRAPE_MM = 0.05;

/**
 * The one check that every way passes before it is shown: it keeps each limit of fill and grinding, those of gates, doors, flanges and
 * places kept off among them, and loads the floor with no more than it may be. Null where it does.
 */
export function refusalOf(job: LevellingJob, change: Change, kgPerM2Mm: number): Refusal | null {
  return worstOver(job, change, job.limits, SCRAPE_MM) ?? overloaded(job, change, kgPerM2Mm);
}

const STRUCTURE = say('hazards.structuralEngineer');
/** Half the side of the square of floor that a load is spread over, mm. */
const SPREAD_MM = 500;

function overloaded(
  { grid, suspendedTimber, figure }: LevellingJob,
  { fillMm }: Change,
  kgPerM2Mm: number,
): Refusal | null {
  const allowedKgM2 = figure('timber-load-kg-m2');
  if (!suspendedTimber) return null;
  const depths = meanAround(grid, fillMm, SPREAD_MM);
  const cell = depths.reduce((most, depth, i) => (depth > depths[most]! ? i : most), 0);
  const takesKgM2 = depths[cell]! * kgPerM2Mm;
  if (takesKgM2 <= allowedKgM2) return null;
  const { xMm, yMm } = cellCentre(grid, cell);
  const words = say('levelling.limitWordsLoad');
  return { limit: 'load', words, at: [xMm, yMm], takesKgM2, allowedKgM2, decides: STRUCTURE };
}

/** Where a change goes farthest past the limits, or null where it keeps them all. */
export function worstOver(
  { grid, limits, boundBy }: LevellingJob,
  change: Change,
  asked: PlanLimits = limits,
  pastMm = PAST_MM,
): DepthRefusal | null {
  let worst: DepthRefusal | null = null;
  for (let cell = 0; cell < change.fillMm.length; cell++) {
    if (!grid.inside[cell]) continue;
    for (const map of ['fillMm', 'grindMm'] as const) {
      const takesMm = change[map][cell]!;
      const allowedMm = asked[map][cell]!;
      if (takesMm - allowedMm <= (worst ? worst.takesMm - worst.allowedMm : pastMm)) continue;
      const limit = boundBy[map === 'fillMm' ? 'fill' : 'grind'][cell]!;
      const { xMm, yMm } = cellCentre(grid, cell);
      worst = { limit, words: LIMIT_WORDS[limit], at: [xMm, yMm], takesMm, allowedMm, decides: null };
    }
  }
  return worst;
}
