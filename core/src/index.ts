import type { CoveringCard } from './coverings/index.ts';
import { entryPoint, planOf, type BaseKind, type Plan, type RoomFacts } from './room/index.ts';
import { mayDo, type Gate } from './hazards/index.ts';
import { fromTheTop } from './layers/index.ts';
import { judgeFlat, stationsOf, type FlatFacts, type FlatMemo, type FlatState, type Station } from './flat/index.ts';
import { planLevelling, type LevellingPlan } from './levelling/index.ts';
import {
  laidOver,
  NO_STRIP_FACTS,
  planStripOut,
  stripContext,
  type StripContext,
  type StripFacts,
  type StripPlan,
} from './stripout/index.ts';
import { flatCriteria, stripCriteria, worstVerdict, type Criterion, type Verdict } from './verdict/index.ts';
import { defaultSpacingMm } from './coverings/index.ts';

/** All facts of one room. */
export interface AllRoomFacts {
  room: RoomFacts;
  flat: FlatFacts;
  /** Layers, hazards and choices; absent while nothing of the kind is recorded. */
  strip?: StripFacts;
}

export interface RoomAssessment {
  verdict: Verdict;
  criteria: Criterion[];
  plan: Plan;
  spacingMm: number;
  stations: Station[];
  flat: FlatState | null;
  strip: StripPlan;
  /** Whether the surface that stays may be ground, and cleaned and primed for compound. */
  surfaceGates: { grind: Gate; prime: Gate };
  /** What the planks will lie over once the choices are carried out. */
  laidOver: BaseKind;
}

/** The last strip-out plan with what it was made from: a reading more changes neither. */
let lastStrip: { key: string; plan: StripPlan } | null = null;

function stripPlanOf(context: StripContext): StripPlan {
  const { room, card, facts } = context;
  const key = JSON.stringify([room, card, facts]);
  if (lastStrip?.key !== key) lastStrip = { key, plan: planStripOut(context) };
  return lastStrip.plan;
}

/**
 * Judges a room: criteria with verdicts, deciding readings, margins and maps. Deterministic; `atUtc` is the time judged at
 * (evidence grows old in later stages). A memo from an earlier call of the same room saves time and changes nothing.
 */
export function assessRoom(facts: AllRoomFacts, card: CoveringCard, atUtc: string, memo?: FlatMemo): RoomAssessment {
  void atUtc;
  const { room, flat } = facts;
  const plan = planOf(room);
  const spacingMm = room.spacingMm ?? defaultSpacingMm(card.rules);
  const stations = stationsOf(plan, spacingMm, flat.stations, flat.readings, entryPoint(room, plan));
  const state = judgeFlat(plan, flat, card.rules, {
    spacingMm,
    contactsOnly: room.contactsOnly,
    ...(memo ? { memo } : {}),
  });
  const context = stripContext(room, card, facts.strip ?? NO_STRIP_FACTS);
  const strip = stripPlanOf(context);
  const criteria = [...stripCriteria(context, strip), ...flatCriteria(room, plan, card, state)];
  return {
    verdict: worstVerdict(criteria.map((c) => c.verdict)),
    criteria,
    plan,
    spacingMm,
    stations,
    flat: state,
    strip,
    surfaceGates: surfaceGatesOf(context, strip),
    laidOver: laidOver(room, context.facts.layers, strip.keptLayerIds),
  };
}

/** Levelling works on the highest layer that stays, or on the base: both are asked of the one predicate. */
function surfaceGatesOf(context: StripContext, strip: StripPlan): RoomAssessment['surfaceGates'] {
  const top = fromTheTop(context.facts.layers).find((layer) => strip.keptLayerIds.includes(layer.id));
  const target = { layers: top ? [top] : [], base: !top };
  return { grind: mayDo(context.hazards, 'grind', target), prime: mayDo(context.hazards, 'prime', target) };
}

/** Treatments for a judged room: levelling today. Null where nothing has been read, or when stopped. */
export function planRoom(
  assessment: RoomAssessment,
  facts: AllRoomFacts,
  card: CoveringCard,
  shouldStop?: () => boolean,
): LevellingPlan | null {
  return assessment.flat ? planLevelling(assessment.flat, card.rules, facts.room.contactsOnly, shouldStop) : null;
}
export { pictureOf, type RoomPicture, type ShownExtreme, type ShownPlacement, type ShownRule } from './picture.ts';
