import { reach, say, type Said } from '../said/index.ts';
import { boundsMm, joistOffsetMm, contains, isTimber, type Plan, type PointMm, type RoomFacts } from '../room/index.ts';
import { mayDo, type Method, type Stop } from '../hazards/index.ts';
import type { Check } from './facts.ts';
import { layersAt, type Underfoot } from './treatment.ts';

/** One line to walk, or one spot to try. */
export interface WalkStep {
  key: string;
  kind: 'joist' | 'tap' | 'bounce' | 'scratch' | 'drop';
  words: Said;
  /** Ends of the line, or twice the same place. */
  from: PointMm;
  to: PointMm;
  /** What trying it does to the floor. */
  does: Method;
  /** What closes the floor to that; empty where it may be done. */
  closedBy: Stop[];
  done: Check | null;
}

type Place = Omit<WalkStep, 'does' | 'closedBy' | 'done'>;

/** What each kind of step does to the floor: the hazard gate is asked of it. */
export const WALK_DOES: Readonly<Record<WalkStep['kind'], Method>> = {
  joist: 'walk-over',
  tap: 'light-tap',
  bounce: 'walk-over',
  scratch: 'scratch',
  drop: 'look',
};

const ASSUMED_JOISTS_MM = 400;
const ALONG_STEP_MM = 100;
/** A line shorter than this inside the room is walked with its neighbour. */
const SHORTEST_MM = 300;

/** Stretches of a line through the room, from one wall to the next. */
function stretches(plan: Plan, deg: number, offMm: number): [PointMm, PointMm][] {
  const box = boundsMm(plan.corners);
  const [ux, uy] = [Math.cos((deg * Math.PI) / 180), Math.sin((deg * Math.PI) / 180)];
  const reachMm = Math.hypot(box.maxX - box.minX, box.maxY - box.minY) + ALONG_STEP_MM;
  const at = (t: number): PointMm => ({
    xMm: Math.round(box.minX + ux * t - uy * offMm),
    yMm: Math.round(box.minY + uy * t + ux * offMm),
  });
  const found: [PointMm, PointMm][] = [];
  let start: number | null = null;
  for (let t = -reachMm; t <= reachMm; t += ALONG_STEP_MM / 2) {
    const p = at(t);
    const inside =
      contains(plan.corners, p.xMm, p.yMm) && !plan.islands.some((island) => contains(island, p.xMm, p.yMm));
    if (inside) start ??= t;
    else if (start !== null) {
      if (t - start >= SHORTEST_MM) found.push([at(start), at(t - ALONG_STEP_MM / 2)]);
      start = null;
    }
  }
  return found;
}

/** Lines and spots of the guided walk: joist lines and bounce where there are joists, rows of taps elsewhere; a scratch and a drop on mineral bases. */
export function walkPlaces(room: RoomFacts, plan: Plan, tapMm: number): Place[] {
  const timber = isTimber(room.baseKind);
  const deg = timber ? (room.base.joistDeg ?? 0) : 0;
  const spacing = timber ? (room.base.joistSpacingMm ?? ASSUMED_JOISTS_MM) : tapMm;
  const box = boundsMm(plan.corners);
  const reachMm = Math.hypot(box.maxX - box.minX, box.maxY - box.minY);
  const steps: Place[] = [];
  let n = 0;
  // Lines run where the joists are drawn.
  const offset = joistOffsetMm(plan, { deg, spacingMm: spacing, firstMm: timber ? room.base.joistFirstMm : null });
  for (let off = offset - Math.ceil((reachMm + offset) / spacing) * spacing; off <= reachMm; off += spacing)
    for (const [from, to] of stretches(plan, deg, off)) {
      n++;
      steps.push(
        timber
          ? { key: `joist/${n}`, kind: 'joist', words: say('soundness.walkJoistLineHeelToToe', { n }), from, to }
          : {
              key: `tap/${n}`,
              kind: 'tap',
              words: say('soundness.tapAlongRowEvery', { n, tapMm: reach(tapMm) }),
              from,
              to,
            },
      );
    }
  const spots = spread(steps);
  for (const [i, p] of spots.entries()) {
    if (timber)
      steps.push({
        key: `bounce/${i + 1}`,
        kind: 'bounce',
        words: say('soundness.dropOnYourHeelsAtSpot', { i: i + 1 }),
        from: p,
        to: p,
      });
    else {
      steps.push({
        key: `scratch/${i + 1}`,
        kind: 'scratch',
        words: say('soundness.scratchTheSurfaceAtSpot', { i: i + 1 }),
        from: p,
        to: p,
      });
      steps.push({
        key: `drop/${i + 1}`,
        kind: 'drop',
        words: say('soundness.letADropStandAtSpot', { i: i + 1 }),
        from: p,
        to: p,
      });
    }
  }
  return steps;
}

/** The guided walk of a room, each place with what was found there, if anybody has been, and with what closes the floor to it. */
export function walkOf(
  room: RoomFacts,
  plan: Plan,
  checks: readonly Check[],
  tapMm: number,
  under: Underfoot,
): WalkStep[] {
  const steps = walkPlaces(room, plan, tapMm);
  const latest = new Map([...checks].sort((a, b) => (a.takenAt < b.takenAt ? -1 : 1)).map((c) => [c.key, c]));
  return steps.map((step) => {
    const does = WALK_DOES[step.kind];
    const layers = layersAt([step.from, step.to], room, under.layers);
    const closedBy = mayDo(under.hazards, does, { layers, base: true }).stops;
    return { ...step, does, closedBy, done: latest.get(step.key) ?? null };
  });
}

/** Up to three spots, spread over the lines. */
function spread(lines: readonly Pick<WalkStep, 'from' | 'to'>[]): PointMm[] {
  if (lines.length === 0) return [];
  return [...new Set([0.15, 0.5, 0.85].map((share) => Math.floor(share * lines.length)))].map((i, n) => {
    const { from, to } = lines[i]!;
    const t = [0.3, 0.5, 0.7][n]!;
    return { xMm: Math.round(from.xMm + (to.xMm - from.xMm) * t), yMm: Math.round(from.yMm + (to.yMm - from.yMm) * t) };
  });
}
