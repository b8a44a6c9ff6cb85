import { assessRoom, roomRunner, type RoomAssessment, type RoomRunner } from '../assess/assess-room.ts';
import { dampContext } from '../assess/damp-context.ts';
import { planLaying, type LayPlan } from '../assess/lay-plan.ts';
import { levellingOf, planRoom } from '../assess/level-room.ts';
import type { RoomSet } from '../assess/room-set.ts';
import { forecastProbe, probeSeries, usualPlan, waitRefused, type DryingForecast } from '../damp/index.ts';
import { answerTo, type Answer } from '../fields/index.ts';
import { jobFiguresOf, type AnyFigureOf } from '../figures/index.ts';
import {
  PLANE_CHOSEN,
  programmedWay,
  WAY_CHOSEN,
  type CompoundNeed,
  type CostLine,
  type OpenModel,
} from '../levelling/index.ts';
import { perimeterMm, planAreaM2, planOf, type Plan } from '../room/index.ts';

/** The levelling a room is planned with: what its stage shows for the way that was chosen, or for the one proposed. */
export interface ChosenLevel {
  way: 'mixed' | 'fill' | 'grind' | 'ramp' | 'plane';
  isChosen: boolean;
  fillL: number;
  grindL: number;
  deepestMm: number;
  touchedM2: number;
  need: CompoundNeed | null;
  /** Every product that suits, the one taken first. */
  needs: CompoundNeed[];
  hours: number;
  costLines: CostLine[];
  cost: number;
}

/** One room as its tasks and its costs are made from it. */
export interface RoomGround {
  set: RoomSet;
  /** Every answer: what was chosen among ways too. */
  answers: readonly Answer[];
  plan: Plan;
  areaM2: number;
  perimeterM: number;
  figure: AnyFigureOf;
  assessment: RoomAssessment;
  /** Null where nothing has to be levelled; `unread` where nobody knows yet, `none` where no way keeps the rule. */
  level: ChosenLevel | 'unread' | 'none' | null;
  lay: LayPlan | null;
  /** When the base is as dry as the covering asks, where a series of readings says so. */
  drying: DryingForecast | null;
  /** Judged at this time. */
  atUtc: string;
}

/** What takes long of a room's ground, kept while its facts are the same. */
type Slow = Pick<RoomGround, 'level' | 'lay' | 'drying'>;

/** Rooms as they were judged before: asked again with the very same facts, only what the hour changes is judged anew. */
export interface GroundMemory {
  runner: RoomRunner;
  set: RoomSet | null;
  answers: readonly Answer[] | null;
  slow: Slow | null;
}
export const openMemory = (): GroundMemory => ({ runner: roomRunner(), set: null, answers: null, slow: null });

/**
 * All that is known of a room for its days and its bill.
 *
 * @param open - the solver of programmes; without it a way that needs one is planned by the smallest fill
 */
export function groundOf(
  set: RoomSet,
  answers: readonly Answer[],
  atUtc: string,
  memory: GroundMemory = openMemory(),
  open: OpenModel | null = null,
): RoomGround {
  const { runner } = memory;
  const assessment = assessRoom(set, atUtc, { runner });
  if (memory.set !== set || memory.answers !== answers || !memory.slow) {
    memory.slow = {
      level: levelOf(set, answers, atUtc, runner, open),
      lay: planLaying(set, { pace: 'live' }),
      drying: dryingOf(set, assessment, atUtc),
    };
    memory.set = set;
    memory.answers = answers;
  }
  const plan = planOf(set.room);
  return {
    set,
    answers,
    plan,
    areaM2: planAreaM2(plan),
    perimeterM: perimeterMm(plan.corners) / 1000,
    figure: jobFiguresOf(set.figures, set.room.units),
    assessment,
    ...memory.slow,
    atUtc,
  };
}

function levelOf(
  set: RoomSet,
  answers: readonly Answer[],
  atUtc: string,
  runner: RoomRunner,
  open: OpenModel | null,
): RoomGround['level'] {
  const levelling = planRoom(set, atUtc, { runner });
  const work = levellingOf(set, atUtc, { runner });
  if (!levelling || !work) return 'unread';
  if (levelling.nothingToDo) return null;
  const chosen = answerTo(answers, WAY_CHOSEN);
  const plane = levelling.planes[answerTo(answers, PLANE_CHOSEN) ?? 0];
  if (chosen === 'plane' && plane && plane.refusal === null)
    return {
      way: 'plane',
      isChosen: true,
      fillL: plane.volumeL,
      grindL: plane.groundVolumeL,
      deepestMm: plane.deepestMm,
      touchedM2: planAreaM2(planOf(set.room)),
      need: plane.needs[0] ?? null,
      needs: plane.needs,
      hours: plane.hours,
      costLines: plane.costLines,
      cost: plane.cost,
    };
  const id = chosen === 'fill' || chosen === 'grind' || chosen === 'ramp' ? chosen : 'mixed';
  const programmed =
    id === 'fill' && levelling.fill.holds ? null : open && programmedWay(work.job, id, 'live', { open }).way;
  const way = programmed ?? (levelling.fill.holds || !open ? levelling.fill : null);
  if (!way) return 'none';
  return {
    way: way.id,
    isChosen: chosen === way.id,
    fillL: way.fillL,
    grindL: way.grindL,
    deepestMm: way.deepestFillMm,
    touchedM2: way.touchedM2,
    need: way.needs[0] ?? null,
    needs: way.needs,
    hours: way.hours,
    costLines: way.costLines,
    cost: way.cost,
  };
}

/** A forecast for the wettest probe where probes decide and the base is over its limit; null elsewhere. */
function dryingOf(set: RoomSet, { damp }: RoomAssessment, atUtc: string): DryingForecast | null {
  if (damp?.over?.method !== 'probe') return null;
  const ctx = dampContext(set, atUtc);
  if (waitRefused(ctx)) return null;
  const probe = probeSeries(ctx, damp.results)[0];
  return probe ? forecastProbe(probe, damp.over.limit.value, usualPlan(ctx, probe)) : null;
}
