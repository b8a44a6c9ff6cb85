import type { DampState } from '../damp/index.ts';
import type { FailureChance, FlatState, FloorSurface, Station } from '../flat/index.ts';
import type { Gate } from '../hazards/index.ts';
import type { BaseKind, Plan } from '../room/index.ts';
import { lower, say, type Sayable } from '../said/index.ts';
import type { StripPlan } from '../stripout/index.ts';
import { worstVerdict, type Criterion, type Verdict } from '../verdict/index.ts';
import type { HeightsOfRoom } from './heights-of.ts';
import type { LayState } from './lay-state.ts';
import { PARTS } from './parts.ts';
import type { PartName, PartStates } from './room-part.ts';
import type { RoomSet } from './room-set.ts';
import { createRunner, type Runner } from './runner.ts';
import type { UnderOfRoom } from './under-of.ts';

/** Everything that is said of one room. */
export interface RoomAssessment {
  verdict: Verdict;
  criteria: Criterion[];
  plan: Plan;
  spacingMm: number;
  stations: Station[];
  flat: FlatState | null;
  /** How sure the flatness is; null until it has been asked for. */
  chance: FailureChance | null;
  strip: StripPlan;
  /** Whether the surface that stays may be ground, cleaned and primed for compound, and fixed through. */
  surfaceGates: Record<'grind' | 'prime' | 'fix', Gate>;
  /** What the planks will lie over once the choices are carried out. */
  laidOver: BaseKind;
  /** Null where heights were left out. */
  heights: HeightsOfRoom | null;
  /** Null where what lies under the planks was left out. */
  under: UnderOfRoom | null;
  /** Null where the laying was left out. */
  lay: LayState | null;
  /** Null where damp was left out. */
  damp: DampState | null;
  /** The earliest time at which the same facts would be judged otherwise; null: at no time. */
  validUntil: string | null;
}

export type RoomRunner = Runner<RoomSet>;

/** A runner of the parts of a room: it keeps what they made of the last set it was given. */
export const roomRunner = (): RoomRunner => createRunner<RoomSet>(PARTS);

export interface AssessOptions {
  /** A runner to call the parts by: what is unchanged since its last call is not judged anew. No answer depends on it. */
  runner?: RoomRunner;
  /** Parts to judge, with all they need; where none are named all but how sure it is. */
  parts?: readonly PartName[];
  /** Also how sure the flatness is, by drawing floors that fit the readings. */
  chance?: boolean;
  /** Told of the surface before anything is judged. */
  surfaced?: (floor: FloorSurface) => void;
}

/** What parts say by themselves, so that no line speaks against another: work on the floor comes after what is stopped (neither a door or a stair holds it up, nor what is laid over it or lies ready in boxes), and none is advised that is closed. */
function agreed(criteria: readonly Criterion[], { grind }: RoomAssessment['surfaceGates']): Criterion[] {
  const stopped = criteria.find(
    ({ verdict, part }) => verdict === 'stop' && part !== 'heights' && part !== 'under' && part !== 'lay',
  );
  return criteria.map((c) => {
    if (c.part !== 'flat' || c.verdict !== 'work') return c;
    if (stopped) return { ...c, next: say('verdict.afterStop', { title: lower(stopped.title) }) };
    return !grind.allowed && codeOf(c.next) === 'verdict.planLevellingOfHigh'
      ? { ...c, next: say('verdict.planFlanksUp') }
      : c;
  });
}

const codeOf = (said: Sayable): string | null => (typeof said === 'object' && 'code' in said ? said.code : null);

const USUAL: readonly PartName[] = ['strip', 'damp', 'sound', 'flat', 'heights', 'under', 'lay'];

/**
 * Judges a room: criteria with verdicts, deciding readings, margins and maps. Deterministic; `atUtc` is the time judged at:
 * evidence grows old.
 */
export function assessRoom(
  set: RoomSet,
  atUtc: string,
  { runner = roomRunner(), parts = USUAL, chance = false, surfaced }: AssessOptions = {},
): RoomAssessment {
  const asked: PartName[] = ['strip', 'surface', ...parts, ...(chance ? (['sure'] as const) : [])];
  const {
    states,
    criteria: own,
    validUntil,
  } = runner.run(set, atUtc, {
    parts: asked,
    ...(surfaced ? { tell: (part, floor) => part === 'surface' && surfaced(floor as FloorSurface) } : {}),
  });
  // Each part's state is what it says it makes.
  const of = <P extends PartName>(part: P) => states.get(part) as PartStates[P] | undefined;
  const strip = of('strip')!;
  const { state, spacingMm, stations } = of('surface')!;
  const criteria = agreed(own, strip.surfaceGates);
  return {
    verdict: worstVerdict(criteria.map((c) => c.verdict)),
    criteria,
    plan: of('outline')!,
    spacingMm,
    stations,
    flat: state,
    chance: of('sure') ?? null,
    strip: strip.plan,
    surfaceGates: strip.surfaceGates,
    laidOver: strip.laidOver,
    heights: of('heights') ?? null,
    under: of('under') ?? null,
    lay: of('lay') ?? null,
    damp: of('damp')?.state ?? null,
    validUntil,
  };
}
