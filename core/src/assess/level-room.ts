import { figuresOf } from '../figures/index.ts';
import type { FlatState, Placement } from '../flat/index.ts';
import type { RoomAssessment } from './assess-room.ts';
import type { RoomSet } from './room-set.ts';
import {
  levellingJob,
  planLevelling,
  type Change,
  type KeepOff,
  type LevellingJob,
  type LevellingPlan,
  type Rise,
} from '../levelling/index.ts';
import { plankMake, planksOver, telegraphing, type PlankReport } from '../planks/index.ts';
import type { Mark } from '../soundness/index.ts';

/** What levelling of a judged room is planned from, or null where nothing has been read. */
export function levellingOf(
  assessment: RoomAssessment,
  facts: RoomSet,
): { job: LevellingJob; state: FlatState } | null {
  const { flat: state, plan, surfaceGates, laidOver: over } = assessment;
  if (!state) return null;
  const job = levellingJob({
    room: facts.room,
    plan,
    state,
    figures: facts.figures,
    keepOff: keptOff(facts.marks),
    gates: { grind: surfaceGates.grind.allowed, prime: surfaceGates.prime.allowed },
    laidOver: over,
    rises: risesAsked(facts.rises),
  });
  return { job, state };
}

function risesAsked(rises: readonly Rise[]): Map<string, number> {
  const asked = new Map<string, number>();
  // The newest counts, and comes last.
  for (const { placeId, riseMm } of rises) {
    if (riseMm === null) asked.delete(placeId);
    else asked.set(placeId, riseMm);
  }
  return asked;
}

/** How far a marked point or line keeps work off, where no size is given, mm. */
const KEEP_OFF_MM = 100;

/** Places marked to be kept off by the grinder or by compound. */
function keptOff(marks: readonly Mark[]): KeepOff[] {
  return marks.flatMap((mark): KeepOff[] => {
    if (mark.kind !== 'no-grind' && mark.kind !== 'no-fill') return [];
    const { shape, sizeMm } = mark;
    return [
      {
        what: mark.kind === 'no-grind' ? 'grind' : 'fill',
        shape,
        points: shape === 'point' ? [mark] : mark.points,
        reachMm: sizeMm === null ? (shape === 'area' ? 0 : KEEP_OFF_MM) : sizeMm / 2,
      },
    ];
  });
}

/** The first ways to level a judged room. Null where nothing has been read, or when stopped. */
export function planRoom(assessment: RoomAssessment, facts: RoomSet, shouldStop?: () => boolean): LevellingPlan | null {
  const work = levellingOf(assessment, facts);
  return work ? planLevelling(work.job, work.state, shouldStop) : null;
}

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
  const make = plankMake(facts.card.thicknessMm, figuresOf(facts.figures));
  return {
    // Along the longer way of the room, as most floors are laid.
    report: planksOver(state.judged, heights, make, nx >= ny ? 0 : 90),
    showing: facts.card.kind === 'glue-down-vinyl' ? telegraphing(state.judged, heights) : null,
  };
}
