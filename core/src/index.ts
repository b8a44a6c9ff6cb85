import { defaultSpacingMm, type CoveringCard } from './coverings/index.ts';
import { entryPoint, planOf, type BaseKind, type Plan, type RoomFacts } from './room/index.ts';
import { mayDo, type Gate } from './hazards/index.ts';
import { fromTheTop } from './layers/index.ts';
import {
  failureChance,
  judgeFlat,
  stationsBesides,
  stationsOf,
  type FailureChance,
  type FlatFacts,
  type FlatMemo,
  type FlatState,
  type FloorSurface,
  type Station,
} from './flat/index.ts';
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
import { breaksOf } from './room-breaks.ts';
import type { SoundFacts } from './soundness/index.ts';
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
  /** Told of the surface before anything is judged. */
  surfaced?: (floor: FloorSurface) => void;
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
  { memo, surfaced, chance: sure = false }: AssessOptions = {},
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
    ...(surfaced ? { surfaced } : {}),
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
/** Levelling works on the highest layer that stays, or on the base: both are asked of the one predicate. */
function surfaceGatesOf(context: StripContext, strip: StripPlan): RoomAssessment['surfaceGates'] {
  const top = fromTheTop(context.facts.layers).find((layer) => strip.keptLayerIds.includes(layer.id));
  const target = { layers: top ? [top] : [], base: !top };
  return { grind: mayDo(context.hazards, 'grind', target), prime: mayDo(context.hazards, 'prime', target) };
}
export { layPlanks, levellingOf, planRoom, RISE_TOPIC } from './level-room.ts';
export type { ShownLevel } from './shown-level.ts';
export {
  pictureOf,
  surfacePicture,
  type RoomPicture,
  type ShownExtreme,
  type ShownPlacement,
  type ShownRule,
  type SurfacePicture,
} from './picture.ts';
