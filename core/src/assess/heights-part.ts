import type { FlatState } from '../flat/index.ts';
import { HEIGHT_DONE } from '../heights/index.ts';
import { heightCriteria } from '../verdict/index.ts';
import type { Plan, RoomFacts } from '../room/index.ts';
import { outline, strip, surface } from './floor-parts.ts';
import type { HeightGround } from './height-ground.ts';
import { heightsOf, type HeightsOfRoom } from './heights-of.ts';
import type { RoomPart, SurfaceState } from './room-part.ts';
import type { StripState } from './strip-state.ts';
import type { RoomSet } from './room-set.ts';
import { createRunner, type Runner } from './runner.ts';
import { waysOutOf } from './ways-out-of.ts';

/** What of another room its floor is known by. */
const FLOOR_PARTS = [outline, strip, surface] as const;

/** Floors of the rooms a room is joined to, each judged once and kept while its facts are the same. */
export function neighbourGround(memo: Map<string, unknown>, atUtc: string): (other: RoomSet) => HeightGround {
  return (other) => {
    const name = `ground/${other.room.id}`;
    const runner = (memo.get(name) as Runner<RoomSet> | undefined) ?? createRunner<RoomSet>(FLOOR_PARTS);
    memo.set(name, runner);
    const { states } = runner.run(other, atUtc);
    // Each part's state is what it says it makes.
    return {
      plan: states.get('outline') as Plan,
      strip: states.get('strip') as StripState,
      state: (states.get('surface') as SurfaceState).state as FlatState | null,
    };
  };
}

/** Ways out change with the drawing alone, and moving a machine over it takes longer than all else here. */
export function keptWaysOut(memo: Map<string, unknown>, room: RoomFacts, plan: Plan): HeightsOfRoom['waysOut'] {
  const kept = memo.get('ways-out') as { plan: Plan; waysOut: HeightsOfRoom['waysOut'] } | undefined;
  if (kept?.plan === plan) return kept.waysOut;
  const waysOut = waysOutOf(room, plan);
  memo.set('ways-out', { plan, waysOut });
  return waysOut;
}

/** Steps, leaves, stairs, fixtures and skirting against the floor as it lies and what is laid on it. */
export const heights: RoomPart<'heights', 'outline' | 'strip' | 'surface'> = {
  id: 'heights',
  reads: [
    'room',
    'card',
    'levels',
    'leaves',
    'buildUps',
    'appliances',
    'flights',
    'skirtings',
    'partings',
    'poses',
    'readings',
    'scans',
    'layers',
    'ticks',
    'answers',
    'figures',
    'country',
    'neighbours',
  ],
  needs: ['outline', 'strip', 'surface'],
  judge: (set, needs, atUtc, { memo }) => ({
    state: heightsOf(
      set,
      { plan: needs.outline, strip: needs.strip, state: needs.surface.state },
      null,
      neighbourGround(memo, atUtc),
      keptWaysOut(memo, set.room, needs.outline),
    ),
    validUntil: null,
  }),
  criteria: (state, { room, ticks }) =>
    heightCriteria(room, state, new Set(ticks.flatMap(({ key }) => (key.startsWith(HEIGHT_DONE) ? [key] : [])))),
};
