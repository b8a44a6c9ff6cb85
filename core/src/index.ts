import type { CoveringCard } from './coverings/index.ts';
import { entryPoint, planOf, type Plan, type RoomFacts } from './room/index.ts';
import { judgeFlat, stationsOf, type FlatFacts, type FlatMemo, type FlatState, type Station } from './flat/index.ts';
import { planLevelling, type LevellingPlan } from './levelling/index.ts';
import { flatCriteria, worstVerdict, type Criterion, type Verdict } from './verdict/index.ts';
import { defaultSpacingMm } from './coverings/index.ts';

/** All facts of one room. */
export interface AllRoomFacts {
  room: RoomFacts;
  flat: FlatFacts;
}

export interface RoomAssessment {
  verdict: Verdict;
  criteria: Criterion[];
  plan: Plan;
  spacingMm: number;
  stations: Station[];
  flat: FlatState | null;
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
  const criteria = flatCriteria(room, plan, card, state);
  return { verdict: worstVerdict(criteria.map((c) => c.verdict)), criteria, plan, spacingMm, stations, flat: state };
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
