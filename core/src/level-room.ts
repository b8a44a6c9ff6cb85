import type { CoveringCard } from './coverings/index.ts';
import { figuresOf } from './figures/index.ts';
import type { FlatState, Placement } from './flat/index.ts';
import type { AllRoomFacts, RoomAssessment } from './index.ts';
import {
  levellingJob,
  planLevelling,
  type Change,
  type KeepOff,
  type LevellingJob,
  type LevellingPlan,
} from './levelling/index.ts';
import { plankMake, planksOver, telegraphing, type PlankReport } from './planks/index.ts';
import type { Mark } from './soundness/index.ts';

/** What levelling of a judged room is planned from, or null where nothing has been read. */
export function levellingOf(
  assessment: RoomAssessment,
  facts: AllRoomFacts,
): { job: LevellingJob; state: FlatState } | null {
  const { flat: state, plan, surfaceGates, laidOver: over } = assessment;
  if (!state) return null;
  const job = levellingJob({
    room: facts.room,
    plan,
    state,
    figures: facts.strip?.figures ?? [],
    keepOff: keptOff(facts.sound?.marks ?? []),
    gates: { grind: surfaceGates.grind.allowed, prime: surfaceGates.prime.allowed },
    laidOver: over,
    rises: risesAsked(facts.strip?.answers ?? []),
  });
  return { job, state };
}

/** Answers to this, followed by an opening's id, say how far the floor is to rise there, mm; empty: no matter. */
export const RISE_TOPIC = 'levelling/rise/';

function risesAsked(answers: readonly { topic: string; value: string }[]): Map<string, number> {
  const rises = new Map<string, number>();
  // The newest answer counts, and comes last.
  for (const { topic, value } of answers) {
    if (!topic.startsWith(RISE_TOPIC)) continue;
    const id = topic.slice(RISE_TOPIC.length);
    if (value === '' || !Number.isFinite(Number(value))) rises.delete(id);
    else rises.set(id, Number(value));
  }
  return rises;
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
export function planRoom(
  assessment: RoomAssessment,
  facts: AllRoomFacts,
  shouldStop?: () => boolean,
): LevellingPlan | null {
  const work = levellingOf(assessment, facts);
  return work ? planLevelling(work.job, work.state, shouldStop) : null;
}

/** Planks over a judged floor as it is, or as a change would leave it; for a glued covering also what would show through. */
export function layPlanks(
  assessment: RoomAssessment,
  facts: AllRoomFacts,
  card: CoveringCard,
  after: Change | null,
): { report: PlankReport; showing: Placement[] | null } | null {
  const { flat: state } = assessment;
  if (!state) return null;
  const heights = after
    ? state.surfaceMm.map((z, cell) => z + after.fillMm[cell]! - after.grindMm[cell]!)
    : state.surfaceMm;
  const { nx, ny } = state.judged;
  const make = plankMake(card.thicknessMm, figuresOf(facts.strip?.figures ?? []));
  return {
    // Along the longer way of the room, as most floors are laid.
    report: planksOver(state.judged, heights, make, nx >= ny ? 0 : 90),
    showing: card.kind === 'glue-down-vinyl' ? telegraphing(state.judged, heights) : null,
  };
}
