import { figuresOf } from '../figures/index.ts';
import type { Placement } from '../flat/index.ts';
import type { Change, LevellingPlan } from '../levelling/index.ts';
import { plankMake, planksOver, telegraphing, type PlankReport } from '../planks/index.ts';
import { roomRunner, type AssessOptions, type RoomAssessment } from './assess-room.ts';
import type { LevelWork, PartName, PartStates } from './room-part.ts';
import type { RoomSet } from './room-set.ts';

type Options = Pick<AssessOptions, 'runner'>;

/** What a part makes of a room, with all it needs. */
function stateOf<P extends PartName>(part: P, set: RoomSet, atUtc: string, { runner = roomRunner() }: Options) {
  // The part's state is what it says it makes.
  return runner.run(set, atUtc, { parts: [part] }).states.get(part) as PartStates[P];
}

/** What levelling of a room is planned from, or null where nothing has been read. */
export const levellingOf = (set: RoomSet, atUtc: string, options: Options = {}): LevelWork | null =>
  stateOf('levelJob', set, atUtc, options);

/** The first ways to level a room. Null where nothing has been read. */
export const planRoom = (set: RoomSet, atUtc: string, options: Options = {}): LevellingPlan | null =>
  stateOf('levelling', set, atUtc, options);

/** Planks over a judged floor as it is, or as a change would leave it; for a glued covering also what would show through. */
export function layPlanks(
  assessment: RoomAssessment,
  facts: RoomSet,
  after: Change | null,
): { report: PlankReport; showing: Placement[] | null } | null {
  const { flat: state } = assessment;
  if (!state) return null;
  const heights = after
    ? state.surfaceMm.map((z, cell) => z + after.fillMm[cell]! - after.grindMm[cell]!)
    : state.surfaceMm;
  const { nx, ny } = state.judged;
  const make = plankMake(facts.card.thicknessMm, figuresOf(facts.figures, facts.room.units));
  return {
    // Along the longer way of the room, as most floors are laid.
    report: planksOver(state.judged, heights, make, nx >= ny ? 0 : 90),
    showing: facts.card.kind === 'glue-down-vinyl' ? telegraphing(state.judged, heights) : null,
  };
}
