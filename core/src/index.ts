import { defaultSpacingMm, type CoveringCard } from './coverings/index.ts';
import { entryPoint, planOf, type BaseKind, type Plan, type PointMm, type RoomFacts } from './room/index.ts';
import { figuresOf } from './figures/index.ts';
import { mayDo, type Gate } from './hazards/index.ts';
import { fromTheTop } from './layers/index.ts';
import {
  failureChance,
  judgeFlat,
  stationsBesides,
  stationsOf,
  type BreakLine,
  type FailureChance,
  type FlatFacts,
  type FlatMemo,
  type FlatState,
  type Placement,
  type Station,
} from './flat/index.ts';
import {
  levellingJob,
  planLevelling,
  type Change,
  type KeepOff,
  type LevellingJob,
  type LevellingPlan,
} from './levelling/index.ts';
import { plankMake, planksOver, telegraphing, type PlankReport } from './planks/index.ts';
import {
  laidOver,
  layersLeft,
  NO_STRIP_FACTS,
  planStripOut,
  stripContext,
  type StripContext,
  type StripFacts,
  type StripPlan,
} from './stripout/index.ts';
import { judgeDamp, NO_DAMP_FACTS, type DampContext, type DampFacts, type DampState } from './damp/index.ts';
import type { Mark, SoundFacts } from './soundness/index.ts';
import {
  dampCriteria,
  flatCriteria,
  soundCriteria,
  stripCriteria,
  worstVerdict,
  type Criterion,
  type Verdict,
} from './verdict/index.ts';

/** All facts of one room. */
export interface AllRoomFacts {
  room: RoomFacts;
  flat: FlatFacts;
  /** Layers, hazards and choices; absent while nothing of the kind is recorded. */
  strip?: StripFacts;
  /** Air, tests and readings of damp; absent: damp is not judged. */
  damp?: DampFacts;
  /** Damage found and the lines gone over; absent: soundness is not judged. */
  sound?: SoundFacts;
}

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
  /** Whether the surface that stays may be ground, and cleaned and primed for compound. */
  surfaceGates: { grind: Gate; prime: Gate };
  /** What the planks will lie over once the choices are carried out. */
  laidOver: BaseKind;
  damp: DampState | null;
}

/** Everything damp is judged from, looked up once from a room's facts. */
export function dampContext(facts: AllRoomFacts, card: CoveringCard, atUtc: string): DampContext {
  return dampUnder(stripContext(facts.room, card, facts.strip ?? NO_STRIP_FACTS), facts.damp, atUtc);
}

function dampUnder(strip: StripContext, damp: DampFacts | undefined, atUtc: string): DampContext {
  return {
    room: strip.room,
    plan: strip.plan,
    card: strip.card,
    facts: damp ?? NO_DAMP_FACTS,
    layers: layersLeft(strip.facts),
    answers: strip.facts.answers,
    hazards: strip.hazards,
    figure: strip.figure,
    atUtc: wholeMinute(atUtc),
  };
}

/** The last strip-out plan with what it was made from: a reading more changes neither. */
let lastStrip: { key: string; plan: StripPlan } | null = null;

function stripPlanOf(context: StripContext): StripPlan {
  const { room, card, facts } = context;
  const key = JSON.stringify([room, card, facts]);
  if (lastStrip?.key !== key) lastStrip = { key, plan: planStripOut(context) };
  return lastStrip.plan;
}

/** The last judgement of damp with what it was made from: a rod reading changes nothing in it. */
let lastDamp: { key: string; state: DampState } | null = null;

function dampStateOf(context: DampContext, facts: AllRoomFacts): DampState {
  const key = JSON.stringify([context.room, context.card, facts.strip, facts.damp, context.atUtc]);
  if (lastDamp?.key !== key) lastDamp = { key, state: judgeDamp(context) };
  return lastDamp.state;
}

const MINUTE_MS = 60_000;

/** The minute that ends at or after a time: evidence ages by days and waits by hours, and nothing read lies in the future. */
const wholeMinute = (atUtc: string) => new Date(Math.ceil(Date.parse(atUtc) / MINUTE_MS) * MINUTE_MS).toISOString();

export interface AssessOptions {
  /** Work kept from an earlier call of the same room: saves time and changes nothing. */
  memo?: FlatMemo;
  /** Also how sure the flatness is, by drawing floors that fit the readings: takes longer than the rest together. */
  chance?: boolean;
}

/**
 * Judges a room: criteria with verdicts, deciding readings, margins and maps. Deterministic; `atUtc` is the time judged at:
 * evidence grows old.
 */
export function assessRoom(
  facts: AllRoomFacts,
  card: CoveringCard,
  atUtc: string,
  { memo, chance: sure = false }: AssessOptions = {},
): RoomAssessment {
  const { room, flat } = facts;
  const plan = planOf(room);
  const spacingMm = room.spacingMm ?? defaultSpacingMm(card.rules);
  const proposed = stationsOf(plan, spacingMm, flat.stations, flat.readings, entryPoint(room, plan));
  const state = judgeFlat(plan, flat, card.rules, {
    spacingMm,
    contactsOnly: room.contactsOnly,
    breaks: breaksOf(room, facts.sound?.marks ?? []),
    ...(memo ? { memo } : {}),
  });
  const stations = state?.scanned ? stationsBesides(proposed, state.grid, state.scanned.seen, flat.readings) : proposed;
  const chance =
    sure && state
      ? failureChance(
          state,
          state.rules.map((result) => result.rule),
          room.contactsOnly,
        )
      : null;
  const context = stripContext(room, card, facts.strip ?? NO_STRIP_FACTS);
  const strip = stripPlanOf(context);
  const damp = facts.damp ? dampUnder(context, facts.damp, atUtc) : null;
  const dampState = damp ? dampStateOf(damp, facts) : null;
  const criteria = [
    ...stripCriteria(context, strip),
    ...(damp && dampState ? dampCriteria(damp, dampState) : []),
    ...(facts.sound ? soundCriteria(room, plan, facts.sound, context.facts.ticks, context.figure) : []),
    ...flatCriteria(room, plan, card, state, facts.sound, chance, flat),
  ];
  return {
    verdict: worstVerdict(criteria.map((c) => c.verdict)),
    criteria,
    plan,
    spacingMm,
    stations,
    flat: state,
    chance,
    strip,
    surfaceGates: surfaceGatesOf(context, strip),
    laidOver: laidOver(room, context.facts.layers, strip.keptLayerIds),
    damp: dampState,
  };
}

/** A step this high or higher is a break in the floor: heights are not carried across it. mm */
const BREAK_STEP_MM = 1;

/** Steps and joints marked as lines, and joints between two bases: the surface breaks there. */
function breaksOf(room: RoomFacts, marks: readonly Mark[]): BreakLine[] {
  const steps = marks.flatMap(({ kind, shape, points, stepMm, id }) => {
    const [a, b] = [points[0], points.at(-1)];
    const breaks = ['lippage', 'joint', 'crack', 'board-ridge'].includes(kind) && (stepMm ?? 0) >= BREAK_STEP_MM;
    return breaks && shape === 'line' && a && b && Math.hypot(b.xMm - a.xMm, b.yMm - a.yMm) >= 100
      ? [{ id, a, b }]
      : [];
  });
  const between = new Set((room.secondBase?.where ?? []).map(({ lineId }) => lineId));
  const at = (xMm: number, yMm: number): PointMm => ({ xMm, yMm });
  const joints = room.lines
    .filter(({ id }) => between.has(id))
    .map(({ axMm, ayMm, bxMm, byMm }) => ({ a: at(axMm, ayMm), b: at(bxMm, byMm) }));
  steps.sort((a, b) => (a.id < b.id ? -1 : 1));
  return [...joints, ...steps.map(({ a, b }) => ({ a, b }))];
}

/** Levelling works on the highest layer that stays, or on the base: both are asked of the one predicate. */
function surfaceGatesOf(context: StripContext, strip: StripPlan): RoomAssessment['surfaceGates'] {
  const top = fromTheTop(context.facts.layers).find((layer) => strip.keptLayerIds.includes(layer.id));
  const target = { layers: top ? [top] : [], base: !top };
  return { grind: mayDo(context.hazards, 'grind', target), prime: mayDo(context.hazards, 'prime', target) };
}

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

export type { ShownLevel } from './shown-level.ts';
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

export { pictureOf, type RoomPicture, type ShownExtreme, type ShownPlacement, type ShownRule } from './picture.ts';
