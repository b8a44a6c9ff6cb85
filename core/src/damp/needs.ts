import { area, say, type Said } from '../said/index.ts';
import { answerTo } from '../fields/index.ts';
import { OUTER_WALLS } from './questions.ts';
import {
  boundsMm,
  contains,
  distanceMm,
  distanceToSegmentMm,
  distanceToWallsMm,
  planAreaM2,
  planOf,
  type PointMm,
} from '../room/index.ts';
import type { DampContext } from './facts.ts';
import { onGround } from './ground.ts';
import type { DampMethod } from './method-names.ts';
import { testsForArea } from './methods.ts';
import { dampResults, newestValid, type DampResult } from './result.ts';
import { clearOfServices } from './test-gate.ts';

/** How many tests a method needs here, in words that can be checked. */
export interface DampNeed {
  count: number;
  /** Sides of the room with a test within reach of an outer wall that are still to be covered. */
  outerWalls: number[];
  why: Said[];
}

/** Probes by each exterior wall stand within this of it. */
export const OUTER_WALL_MM = 1000;
/** Off the wall far enough not to read the wall itself. */
const OFF_WALL_MM = 600;
const PIPE_CLEAR_MM = 500;
const GRID_MM = 200;

/** Outer walls as the user marked them; null while nobody has said. */
export function outerWallsOf(ctx: Pick<DampContext, 'answers' | 'room'>): number[] | null {
  const said = answerTo(ctx.answers, OUTER_WALLS);
  return said && said.filter((wall) => wall < ctx.room.walls.length);
}

/** Tests nearer to one another than this say the same of the floor and count as one, mm. */
const APART_MM = 1500;

/** How far apart tests of a method have to stand to count by themselves; half of the room's longer side where that is less. */
function apartMm(ctx: DampContext, method: DampMethod): number {
  if (!['probe', 'hood', 'dish', 'carbide'].includes(method)) return 0;
  const box = boundsMm(ctx.plan.corners);
  return Math.min(APART_MM, Math.max(box.maxX - box.minX, box.maxY - box.minY) / 2);
}

/** Places that count by themselves: those with the fewest others near them first, then whatever is far enough from these. */
export function placesApart<P extends PointMm>(ctx: DampContext, method: DampMethod, places: readonly P[]): P[] {
  const apart = apartMm(ctx, method);
  const near = (p: PointMm) => places.filter((q) => distanceMm(p, q) < apart).length;
  const crowded = new Map(places.map((p) => [p, near(p)]));
  return [...places]
    .sort((a, b) => crowded.get(a)! - crowded.get(b)!)
    .reduce<P[]>((kept, p) => (kept.some((q) => distanceMm(p, q) < apart) ? kept : [...kept, p]), []);
}

/** Tests by a method in the job's other rooms on a like base: those that are valid there now, close ones counted once. */
function testsElsewhere(ctx: DampContext, method: DampMethod): number {
  const { otherTests, others = [] } = ctx.facts.like;
  return others.reduce((sum, { room, answers, airReadings, airLogs, dampTests, dampReadings }) => {
    const there: DampContext = {
      ...ctx,
      room,
      plan: planOf(room),
      answers: [...answers],
      facts: {
        airReadings: [...airReadings],
        airLogs: [...airLogs],
        dampTests: [...dampTests],
        dampReadings: [...dampReadings],
        like: { otherAreaM2: 0, otherTests: {} },
      },
    };
    const valid = newestValid(dampResults(there)).filter(({ test }) => test.method === method && test.of === 'base');
    return (
      sum +
      placesApart(
        there,
        method,
        valid.map(({ test }) => test),
      ).length
    );
  }, otherTests[method] ?? 0);
}

/**
 * Tests needed: by area over the job's like bases, less those made in its other rooms, but at least one here; on ground also one
 * within a metre of each outer wall.
 */
export function needOf(ctx: DampContext, method: DampMethod): DampNeed {
  const heated = ctx.room.base.heating === 'water' || ctx.room.base.heating === 'electric';
  const here = planAreaM2(ctx.plan);
  const { otherAreaM2 } = ctx.facts.like;
  const shared = method === 'probe' || method === 'dish' || (method === 'hood' && here > 20);
  const likeM2 = shared ? here + otherAreaM2 : here;
  const byArea = testsForArea(method, likeM2, heated);
  const elsewhere = shared ? testsElsewhere(ctx, method) : 0;
  const why = [
    shared && otherAreaM2 > 0
      ? say('damp.testsForLikeBase', { byArea, area: area(likeM2), elsewhere })
      : say('damp.testsForArea', { byArea, area: area(likeM2) }),
  ];
  let count = Math.max(1, byArea - elsewhere);
  if (method !== 'probe' || !onGround(ctx)) return { count, outerWalls: [], why };
  const walls = outerWallsOf(ctx);
  if (walls === null) why.push(say('damp.outerWallsUnknown'));
  else if (walls.length > 0) why.push(say('damp.oneAtOuterWalls', { walls: walls.length }));
  count = Math.max(count, walls?.length ?? 0);
  return { count, outerWalls: walls ?? [], why };
}

/** Outer walls that no place lies within reach of. */
export function uncoveredWalls(ctx: DampContext, walls: readonly number[], places: readonly PointMm[]): number[] {
  const { corners } = ctx.plan;
  return walls.filter((wall) => {
    const [a, b] = [corners[wall]!, corners[(wall + 1) % corners.length]!];
    return !places.some((p) => distanceToSegmentMm(p.xMm, p.yMm, a, b) <= OUTER_WALL_MM);
  });
}

/** Whether a place can be tested: on the floor, off the wall, clear of pipes and registers. */
function testable(ctx: DampContext, x: number, y: number, offWallMm: number): boolean {
  const { corners, islands } = ctx.plan;
  if (!contains(corners, x, y) || islands.some((island) => contains(island, x, y))) return false;
  if (distanceToWallsMm(corners, x, y) < offWallMm) return false;
  return !ctx.room.fixtures.some((f) =>
    f.kind === 'pipe' || f.kind === 'register' || f.kind === 'radiator'
      ? Math.hypot(f.xMm - x, f.yMm - y) < PIPE_CLEAR_MM
      : Math.hypot(f.xMm - x, f.yMm - y) < Math.max(f.widthMm, f.depthMm) / 2,
  );
}

/**
 * Places for the tests still to be made: by outer walls first, then where the survey meter stands out, then spread as far from
 * all others as the room allows. Deterministic.
 */
export function proposePlaces(
  ctx: DampContext,
  method: DampMethod,
  need: DampNeed,
  made: readonly PointMm[],
  outliers: readonly PointMm[],
): PointMm[] {
  const places: PointMm[] = [];
  const { corners } = ctx.plan;
  const box = boundsMm(corners);
  const offWall = Math.min(OFF_WALL_MM, Math.min(box.maxX - box.minX, box.maxY - box.minY) / 4);
  const candidates: PointMm[] = [];
  const add = (at: PointMm) => void (clearOfServices(ctx, method, at) && candidates.push(at));
  for (let y = box.minY + GRID_MM / 2; y < box.maxY; y += GRID_MM)
    for (let x = box.minX + GRID_MM / 2; x < box.maxX; x += GRID_MM)
      if (testable(ctx, x, y, offWall)) add({ xMm: Math.round(x), yMm: Math.round(y) });
  const counted = placesApart(ctx, method, made).length;
  const left = () => need.count - counted - places.length;
  for (const wall of uncoveredWalls(ctx, need.outerWalls, made)) {
    const [a, b] = [corners[wall]!, corners[(wall + 1) % corners.length]!];
    const middle = { xMm: (a.xMm + b.xMm) / 2, yMm: (a.yMm + b.yMm) / 2 };
    const near = nearest(
      candidates.filter((c) => distanceToSegmentMm(c.xMm, c.yMm, a, b) <= OUTER_WALL_MM),
      middle,
    );
    if (near && uncoveredWalls(ctx, [wall], places).length > 0) places.push(near);
  }
  for (const outlier of outliers) {
    const all = [...made, ...places];
    if (!all.some((p) => distanceMm(p, outlier) < OUTER_WALL_MM)) {
      const near = nearest(candidates, outlier);
      if (near) places.push(near);
    }
  }
  while (left() > 0 && candidates.length > 0) {
    const all = [...made, ...places];
    let best: PointMm = candidates[0]!;
    let bestMm = -Infinity;
    for (const c of candidates) {
      const mm = all.length === 0 ? -distanceMm(c, middleOf(box)) : Math.min(...all.map((p) => distanceMm(p, c)));
      if (bestMm === -Infinity || mm > bestMm) [best, bestMm] = [c, mm];
    }
    if (all.length > 0 && bestMm < Math.max(GRID_MM, apartMm(ctx, method))) break;
    places.push(best);
  }
  return places;
}

const middleOf = (box: { minX: number; minY: number; maxX: number; maxY: number }): PointMm => ({
  xMm: (box.minX + box.maxX) / 2,
  yMm: (box.minY + box.maxY) / 2,
});

function nearest(from: readonly PointMm[], to: PointMm): PointMm | null {
  return from.reduce<PointMm | null>((best, p) => (best && distanceMm(best, to) <= distanceMm(p, to) ? best : p), null);
}

/** Survey readings that ask for a test at their place: over the meter's own threshold, or well over the median. */
export function surveyOutliers(results: readonly DampResult[], threshold: number, ratio: number): DampResult[] {
  const survey = results.filter((r) => r.test.method === 'survey' && r.valid);
  if (survey.length === 0) return [];
  const sorted = survey.map((r) => r.value).sort((a, b) => a - b);
  const half = sorted.length / 2;
  const median = sorted.length % 2 === 1 ? sorted[Math.floor(half)]! : (sorted[half - 1]! + sorted[half]!) / 2;
  return survey.filter((r) => r.value > threshold || (sorted.length >= 3 && r.value > ratio * median));
}
